/** What a person sets once: units, light and who they are. Kept on this device. */
import type { Access } from '@ostrin/contract/types';
import type { Units } from '@ostrin/core';
import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import { v4 as newId } from 'uuid';

export type Light = 'auto' | 'day' | 'night';

interface Settings {
  units: Units;
  light: Light;
  /** Who uses this device: their name in the log; empty where it was not said. */
  me: string;
  /** Tells this browser from others. */
  device: string;
  setMe(name: string): void;
  setTemperature(unit: Units['temperature']): void;
  setMass(unit: Units['mass']): void;
  setLight(light: Light): void;
}

/** Who uses this device: as it signed in, or as it was said here; empty where nobody said. */
export const nameOf = (access: Access | undefined, said: string): string =>
  access?.me?.name ?? said;

export const useSettings = create<Settings>()(
  persist(
    (set) => ({
      units: { temperature: 'C', mass: 'kg' },
      light: 'auto',
      me: '',
      device: newId(),
      setMe: (me) => set({ me }),
      setTemperature: (temperature) => set((s) => ({ units: { ...s.units, temperature } })),
      setMass: (mass) => set((s) => ({ units: { ...s.units, mass } })),
      setLight: (light) => set({ light }),
    }),
    { name: 'ostrin-settings', version: 1, storage: createJSONStorage(() => localStorage) },
  ),
);
