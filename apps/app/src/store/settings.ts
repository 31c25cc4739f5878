/** What a person sets once: units, light, the height of the yard and who they are. Kept on this device. */
import type { Access } from '@ostrin/contract/types';
import type { Units } from '@ostrin/core/quantity';
import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import { v4 as newId } from 'uuid';

export type Light = 'auto' | 'day' | 'night';

/** How alarms call; quiet hours are `HH:mm`, none where both are the same. */
interface AlarmSettings {
  sound: boolean;
  vibrate: boolean;
  quietFrom: string;
  quietTo: string;
}

interface Settings {
  units: Units;
  alarms: AlarmSettings;
  light: Light;
  /** How high the yard lies above the sea, m: air is thinner there, and water boils cooler. */
  altitudeM: number;
  /** Who uses this device: their name in the log; empty where it was not said. */
  me: string;
  /** Tells this browser from others. */
  device: string;
  setMe(name: string): void;
  setTemperature(unit: Units['temperature']): void;
  setMass(unit: Units['mass']): void;
  setLight(light: Light): void;
  setAltitude(m: number): void;
  setAlarms(part: Partial<AlarmSettings>): void;
}

/** Who uses this device: as it signed in, or as it was said here; empty where nobody said. */
export const nameOf = (access: Access | undefined, said: string): string =>
  access?.me?.name ?? said;

export const useSettings = create<Settings>()(
  persist(
    (set) => ({
      units: { temperature: 'C', mass: 'kg' },
      light: 'auto',
      alarms: { sound: true, vibrate: true, quietFrom: '00:00', quietTo: '00:00' },
      altitudeM: 0,
      me: '',
      device: newId(),
      setMe: (me) => set({ me }),
      setTemperature: (temperature) => set((s) => ({ units: { ...s.units, temperature } })),
      setMass: (mass) => set((s) => ({ units: { ...s.units, mass } })),
      setLight: (light) => set({ light }),
      setAltitude: (altitudeM) => set({ altitudeM }),
      setAlarms: (part) => set((s) => ({ alarms: { ...s.alarms, ...part } })),
    }),
    { name: 'ostrin-settings', version: 1, storage: createJSONStorage(() => localStorage) },
  ),
);
