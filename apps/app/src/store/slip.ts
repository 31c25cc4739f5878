/** The slip: the handful of choices a planning sentence is made of. */
import {
  CUTS,
  localOf,
  MINUTE_MS,
  piecesFor,
  piecesThatFit,
  presetOf,
  roundTo,
  type Request,
  type Units,
  type WrapId,
} from '@ostrin/core';
import { create } from 'zustand';
import type { PitRecord } from '@ostrin/contract/types';

export interface Slip {
  people: number;
  /** `YYYY-MM-DDTHH:mm` in the zone below. */
  serveAt: string;
  timeZone: string;
  /** Mass of one piece, kg. */
  massKg: number;
  pitC: number;
  wrap: WrapId;
  airC: number;
  windMps: number;
}

interface SlipStore extends Slip {
  change(part: Partial<Slip>): void;
}

export const CUT = CUTS['mutton-shoulder']!;
export const MASS_STEP_KG = 0.1;
export const PEOPLE_RANGE = [1, 300] as const;
export const BAND_C = 8;
const APPETITE_G = 220;
const HUMIDITY = 0.6;

/** Paces on offer: slow, and the hotter end that a kettle snake can hold. */
export const PACES = [107, 113, 121, 127, 135] as const;
/** Winds in words, with the figure each stands for, m/s at 10 m. */
export const WINDS = [
  { value: 0.5, label: 'calm' },
  { value: 2, label: 'light wind' },
  { value: 5, label: 'windy' },
  { value: 8, label: 'strong wind' },
] as const;
export const WRAP_WHEN_C = 74;

/** Tomorrow at half past six in the evening: late enough for any cook from here. */
export function firstSlip(nowMs: number, timeZone: string): Slip {
  const tomorrow = localOf(nowMs + 1440 * MINUTE_MS, timeZone).slice(0, 10);
  return {
    people: 8,
    serveAt: `${tomorrow}T18:30`,
    timeZone,
    massKg: 2.5,
    pitC: 121,
    wrap: 'paper',
    airC: 12,
    windMps: 2,
  };
}

const zone = Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC';

export const useSlip = create<SlipStore>()((set) => ({
  ...firstSlip(Date.now(), zone),
  change: (part) => set(part),
}));

/** Pieces a slip amounts to. */
export const piecesOf = (slip: Slip): number =>
  piecesFor(slip.people, APPETITE_G, CUT, slip.massKg);

/** Pieces that fit on the pit beside its fire. */
export const roomOf = (slip: Slip, preset: string): number =>
  piecesThatFit(presetOf(preset), CUT, slip.massKg);

/** A mass one step lighter or heavier, within the cut's sensible range. */
export function stepMass(massKg: number, by: -1 | 1): number {
  const [low, high] = CUT.massRange;
  return Math.min(high, Math.max(low, roundTo(massKg + by * MASS_STEP_KG, MASS_STEP_KG)));
}

/** The request a slip stands for. */
export function requestOf(slip: Slip, pit: PitRecord, units: Units): Request {
  return {
    ostrin: 'request/1',
    serveAt: slip.serveAt,
    timeZone: slip.timeZone,
    people: slip.people,
    appetiteG: APPETITE_G,
    pits: [
      {
        id: pit.id,
        cooker: { preset: pit.preset, overrides: pit.overrides },
        fire: { fuel: 'briquette', arrangement: 'snake', species: 'cherry' },
        pace: { pitC: slip.pitC, bandC: BAND_C },
      },
    ],
    meats: [
      {
        id: 'mutton',
        cut: CUT.id,
        massKg: slip.massKg,
        wrap:
          slip.wrap === 'none'
            ? { with: 'none' }
            : { with: slip.wrap, when: { coreC: WRAP_WHEN_C } },
        done: { tender: true },
        rest: { where: 'cool-box', minutes: 60 },
      },
    ],
    weather: {
      airC: slip.airC,
      windMps: slip.windMps,
      relativeHumidityFraction: HUMIDITY,
      altitudeM: 0,
      rainMmPerH: 0,
    },
    chanceOnTimeFraction: 0.9,
    units,
  };
}
