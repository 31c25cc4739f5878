/** Sixty wishes, twelve for each family of pits, from a fixed seed: what plans are measured on. */
import {
  epochOf,
  HOUR_MS,
  PRESETS,
  seeded,
  type ArrangementId,
  type Family,
  type FuelId,
  type Random,
  type Request,
} from '@ostrin/core/internals';

export const SEED = 20270515;
const PER_FAMILY = 12;

/** A fire that somebody has: pit, fuel, how it lies, and the heats it is used for, C. */
interface Kit {
  preset: string;
  fuel: FuelId;
  arrangement?: ArrangementId;
  heats: readonly number[];
}

/** Cookers and fires of each family; offsets on splits and, the light ones, on charcoal too. */
const KITS: Readonly<Record<Family, readonly Kit[]>> = {
  kettle: [
    { preset: 'kettle-57', fuel: 'briquette', arrangement: 'snake', heats: [110, 116, 121] },
    { preset: 'kettle-57', fuel: 'briquette', arrangement: 'side-basket', heats: [121, 135] },
    { preset: 'kettle-66', fuel: 'briquette', arrangement: 'side-basket', heats: [115, 121] },
    { preset: 'kettle-47', fuel: 'briquette', arrangement: 'snake', heats: [113, 121] },
  ],
  bullet: [{ preset: 'bullet-47', fuel: 'briquette', heats: [107, 113, 121] }],
  kamado: [
    { preset: 'kamado-46', fuel: 'lump', heats: [110, 121, 135] },
    { preset: 'kamado-steel-50', fuel: 'lump', heats: [110, 121, 135] },
  ],
  offset: [
    { preset: 'offset-heavy', fuel: 'splits', heats: [121, 135] },
    { preset: 'offset-light', fuel: 'splits', heats: [121, 135] },
    { preset: 'offset-light', fuel: 'briquette', heats: [121] },
    { preset: 'offset-heavy-reverse', fuel: 'splits', heats: [121, 135] },
  ],
  hopper: [{ preset: 'hopper-fan', fuel: 'briquette', heats: [110, 121, 135] }],
};

/** Cuts that rules of thumb give a time for; ribs only for the one heat that the rule names. */
const CUTS = [
  { cut: 'pork-shoulder', kg: [2, 4], wrap: ['paper', 'foil', 'none'], heats: null },
  { cut: 'brisket', kg: [3, 5.5], wrap: ['paper', 'foil'], heats: null },
  { cut: 'spare-ribs', kg: [1, 1.5], wrap: ['none'], heats: [116, 121] },
] as const;

/** Serving times: lunch, supper, a late supper. */
const SERVED = ['13:00', '18:30', '20:00'];

const pick = <T>(random: Random, list: readonly T[]): T =>
  list[Math.floor(random.next() * list.length)]!;
const between = (random: Random, low: number, high: number, step: number): number =>
  Number((Math.round((low + random.next() * (high - low)) / step) * step).toFixed(3));

export interface Case {
  id: string;
  family: Family;
  request: Request;
  /** What the true pit and piece are drawn from. */
  truth: string;
}

function caseOf(family: Family, n: number, random: Random): Omit<Case, 'truth'> {
  const kits = KITS[family];
  const kit = kits[n % kits.length]!;
  const pitC = pick(random, kit.heats);
  const cuts = CUTS.filter(
    (c) => c.heats === null || (c.heats as readonly number[]).includes(pitC),
  );
  const small =
    PRESETS[kit.preset]!.parameters.diameterM < 0.5 &&
    PRESETS[kit.preset]!.parameters.lengthM === 0;
  const cut = pick(random, small ? cuts.filter((c) => c.cut !== 'brisket') : cuts);
  const massKg = between(random, cut.kg[0], cut.kg[1], 0.1);
  const wrap = pick(random, cut.wrap);
  const thin = cut.cut === 'spare-ribs';
  return {
    id: `${family}-${n + 1}`,
    family,
    request: {
      ostrin: 'request/1',
      serveAt: `2027-0${4 + Math.floor(random.next() * 5)}-15T${pick(random, SERVED)}`,
      timeZone: 'Europe/Ljubljana',
      people: 6,
      appetiteG: 220,
      pits: [
        {
          id: 'pit',
          cooker: { preset: kit.preset, overrides: {} },
          fire: { fuel: kit.fuel, arrangement: kit.arrangement, species: 'oak' },
          pace: { pitC, bandC: 8 },
        },
      ],
      meats: [
        {
          id: 'a',
          cut: cut.cut,
          massKg,
          pieces: 1,
          wrap: wrap === 'none' ? { with: 'none' } : { with: wrap, when: { coreC: 74 } },
          done: { tender: true },
          rest: thin ? { where: 'cool-box', minutes: 15 } : { where: 'cool-box', minutes: 60 },
        },
      ],
      weather: {
        airC: between(random, 2, 26, 1),
        windMps: between(random, 0.5, 5, 0.5),
        relativeHumidityFraction: between(random, 0.4, 0.85, 0.05),
        altitudeM: between(random, 0, 600, 50),
        rainMmPerH: 0,
      },
      chanceOnTimeFraction: 0.9,
    },
  };
}

/** When a case's plan is asked for: 60 hours before it is served, epoch ms. */
export const askedMs = ({ serveAt, timeZone }: Request): number =>
  epochOf(serveAt, timeZone) - 60 * HOUR_MS;

/** The families of pits, in the order of their cases. */
export const FAMILIES = Object.keys(KITS) as Family[];

/** So many of each family of a seed, always the same; the sixty that are published when nothing is named. */
export function cases(seed = SEED, perFamily = PER_FAMILY): Case[] {
  const random = seeded(seed);
  return FAMILIES.flatMap((family) =>
    Array.from({ length: perFamily }, (_, n) => {
      const made = caseOf(family, n, random);
      return { ...made, truth: `truth/${made.id}${seed === SEED ? '' : `/${seed}`}` };
    }),
  );
}
