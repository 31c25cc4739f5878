/** The slip: the handful of choices a planning sentence is made of. */
import {
  cutOf,
  localOf,
  MINUTE_MS,
  piecesFor,
  presetOf,
  roundTo,
  temperatureWords,
  usualDone,
  usualKg,
  usualRest,
  usualWrap,
  type Cut,
  type DoneWhen,
  type Request,
  type Units,
  type WoodId,
  type WrapId,
  type WrapSchool,
} from '@ostrin/core';
import { create } from 'zustand';
import type { PitRecord } from '@ostrin/contract/types';
import { fireOf } from './fires';

export interface Slip {
  people: number;
  /** `YYYY-MM-DDTHH:mm` in the zone below. */
  serveAt: string;
  timeZone: string;
  cut: string;
  /** Mass of one piece, kg. */
  massKg: number;
  /** The pit it is cooked on; null: the first of the yard. */
  pitId: string | null;
  /** Its fire, one of FIRES; null: the usual one. */
  fireId: string | null;
  species: WoodId;
  pitC: number;
  wrap: WrapId;
  /** When to wrap: one of WRAP_SCHOOLS. */
  wrapWhen: SchoolId;
  /** Core at which it is done, C; null: when it probes tender. */
  doneC: number | null;
  airC: number;
  windMps: number;
  /** How many share the watch; 0 and 1: nobody else. */
  crew: number;
}

interface SlipStore extends Slip {
  change(part: Partial<Slip>): void;
}

const FIRST_CUT = 'mutton-shoulder';
export const PEOPLE_RANGE = [1, 300] as const;
export const BAND_C = 8;
const APPETITE_G = 220;
const HUMIDITY = 0.6;

/** Paces on offer: slow, steady, fast. */
export const PACES = [107, 113, 121, 127, 135, 150, 163] as const;
/** Woods on offer. */
export const SMOKE_WOODS = ['cherry', 'apple', 'oak', 'hickory', 'beech', 'maple'] as const;
/** What the shifts of a shared watch are called. */
const CREW_NAMES = ['First watch', 'Second watch', 'Third watch', 'Fourth watch'];
export const MOST_CREW = CREW_NAMES.length;
/** Winds in words, with the figure each stands for, m/s at 10 m. */
export const WINDS = [
  { value: 0.5, label: 'calm' },
  { value: 2, label: 'light wind' },
  { value: 5, label: 'windy' },
  { value: 8, label: 'strong wind' },
] as const;
/** When to wrap: the schools people belong to. */
export const WRAP_SCHOOLS = {
  'core-68': { when: { coreC: 68 }, note: 'early: softer bark, sooner done' },
  'core-74': { when: { coreC: 74 }, note: 'the usual' },
  'core-80': { when: { coreC: 80 }, note: 'late: past the stall' },
  'core-85': { when: { coreC: 85 }, note: 'only to finish' },
  stall: { when: { stalled: true }, note: 'when it has stopped climbing' },
  bark: { when: { barkSet: true }, note: 'when nothing comes off on a finger' },
} as const satisfies Record<string, { when: WrapSchool; note: string }>;
export type SchoolId = keyof typeof WRAP_SCHOOLS;

/** A school in words: `at 74 C`, `in the stall`. */
export function schoolWords(id: SchoolId, units: Units): string {
  const { when } = WRAP_SCHOOLS[id];
  if ('coreC' in when) return `at ${temperatureWords(when.coreC, units)}`;
  return 'stalled' in when ? 'in the stall' : 'when the bark is set';
}

/** What changes with the cut: a usual piece of it, cooked the usual way. */
export function withCut(id: string): Pick<Slip, 'cut' | 'massKg' | 'wrap' | 'doneC'> {
  const cut = cutOf(id);
  const done = usualDone(cut);
  return {
    cut: id,
    massKg: usualKg(cut),
    wrap: usualWrap(cut),
    doneC: 'coreC' in done ? done.coreC : null,
  };
}

/** How the slip's piece is called done. */
const doneOf = (slip: Pick<Slip, 'doneC'>): DoneWhen =>
  slip.doneC === null ? { tender: true } : { coreC: slip.doneC };

/** Tomorrow at half past six in the evening: late enough for any cook from here. */
export function firstSlip(nowMs: number, timeZone: string): Slip {
  const tomorrow = localOf(nowMs + 1440 * MINUTE_MS, timeZone).slice(0, 10);
  return {
    people: 8,
    serveAt: `${tomorrow}T18:30`,
    timeZone,
    ...withCut(FIRST_CUT),
    pitId: null,
    fireId: null,
    species: 'cherry',
    pitC: 121,
    crew: 0,
    wrapWhen: 'core-74',
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
  piecesFor(slip.people, APPETITE_G, cutOf(slip.cut), slip.massKg);

/** How finely a piece of a cut is weighed, kg. */
export const massStep = (cut: Cut): number => (cut.massRange[1] < 1 ? 0.05 : 0.1);

/** A mass one step lighter or heavier, within the cut's sensible range. */
export function stepMass(cut: Cut, massKg: number, by: -1 | 1): number {
  const [low, high] = cut.massRange;
  const step = massStep(cut);
  return Math.min(high, Math.max(low, roundTo(massKg + by * step, step)));
}

/** A handful of masses across the cut's sensible range. */
export function usualMasses(cut: Cut): number[] {
  const [low, high] = cut.massRange;
  const step = massStep(cut);
  const all = [0, 0.2, 0.4, 0.6, 0.8, 1].map((x) => roundTo(low + x * (high - low), step));
  return [...new Set(all)];
}

/** The request a slip stands for. */
export function requestOf(slip: Slip, pit: PitRecord, units: Units): Request {
  const { fuel, arrangement } = fireOf(presetOf(pit.preset).family, slip.fireId);
  return {
    ostrin: 'request/1',
    serveAt: slip.serveAt,
    timeZone: slip.timeZone,
    people: slip.people,
    appetiteG: APPETITE_G,
    pits: [
      {
        id: pit.id,
        name: pit.name,
        ventWay: pit.ventWay,
        cooker: { preset: pit.preset, overrides: pit.overrides },
        fire: { fuel, arrangement, species: slip.species },
        pace: { pitC: slip.pitC, bandC: BAND_C },
      },
    ],
    meats: [
      {
        id: slip.cut,
        cut: slip.cut,
        massKg: slip.massKg,
        wrap:
          slip.wrap === 'none'
            ? { with: 'none' }
            : { with: slip.wrap, when: WRAP_SCHOOLS[slip.wrapWhen].when },
        done: doneOf(slip),
        rest: usualRest(cutOf(slip.cut)),
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
    ...(slip.crew > 1 ? { crew: CREW_NAMES.slice(0, slip.crew) } : {}),
    units,
  };
}
