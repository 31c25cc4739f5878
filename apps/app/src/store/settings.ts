/** What a person sets once: units and light. Kept on this device. */
import type { Units } from '@ostrin/core';
import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';

export type Light = 'auto' | 'day' | 'night';

interface Settings {
  units: Units;
  light: Light;
  setTemperature(unit: Units['temperature']): void;
  setMass(unit: Units['mass']): void;
  setLight(light: Light): void;
}

export const useSettings = create<Settings>()(
  persist(
    (set) => ({
      units: { temperature: 'C', mass: 'kg' },
      light: 'auto',
      setTemperature: (temperature) => set((s) => ({ units: { ...s.units, temperature } })),
      setMass: (mass) => set((s) => ({ units: { ...s.units, mass } })),
      setLight: (light) => set({ light }),
    }),
    { name: 'ostrin-settings', version: 1, storage: createJSONStorage(() => localStorage) },
  ),
);
