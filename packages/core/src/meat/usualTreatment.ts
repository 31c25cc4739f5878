/** What is usually done with a cut where nobody says otherwise (common practice). */
import { SHUT_IN, type RestFirst, type RestSpec, type RestWhere } from './rest';
import { roundTo } from '../quantity/units';
import { SAFE_C } from '../safety/lethality';
import { doneByFeel, usualThicknessMm, type Cut } from './cut';
import type { WrapId } from './wraps';

/** What meat from the fridge is at, C. */
export const FRIDGE_C = 4;

/** How a piece is called done. */
type DoneWhen = { coreC: number } | { tender: true } | { plateC: number };
/** When it is wrapped. */
type WrapCondition = { coreC: number } | { stalled: true } | { barkSet: true };

/** The schools of when to wrap that people belong to (common practice). */
export const WRAP_SCHOOLS = {
  'core-68': { coreC: 68 },
  'core-74': { coreC: 74 },
  'core-80': { coreC: 80 },
  'core-85': { coreC: 85 },
  stall: { stalled: true },
  bark: { barkSet: true },
} as const satisfies Record<string, WrapCondition>;
export type SchoolId = keyof typeof WRAP_SCHOOLS;
export const SCHOOL_IDS = Object.keys(WRAP_SCHOOLS) as SchoolId[];

/** When a piece is wrapped where nobody says otherwise. */
export const USUAL_WRAP_WHEN = WRAP_SCHOOLS['core-74'];

/** The school that a condition belongs to; null for one of its own. */
export const schoolOf = (when: object): SchoolId | null =>
  SCHOOL_IDS.find((id) => sameCondition(WRAP_SCHOOLS[id], when)) ?? null;

/** Conditions have one field each. */
function sameCondition(a: object, b: object): boolean {
  const [[key, value]] = Object.entries(a) as [[string, unknown]];
  return key in b && (b as Record<string, unknown>)[key] === value;
}

/** The schools of spraying: from when the bark is firm, so often, and how many times at most (common practice). */
export const SPRAY_SCHOOLS = {
  'dry-spots': { everyMin: 40 },
  twice: { everyMin: 60, most: 2 },
} as const;
export type SpraySchool = keyof typeof SPRAY_SCHOOLS;

/** Sauce goes on so long before the end, min: it sets, and its sugar does not burn (common practice 10-15). */
export const SAUCE_LAST_MIN = 15;
/** A wrapped piece is bared again for so long, min (common practice 20-30). */
export const BARE_LAST_MIN = 25;

/** Thinner than this a piece is through before wrapping pays, and rests minutes, not hours; mm. */
const THIN_MM = 45;

/** How finely a piece of a cut is weighed, kg. */
export const massStepKg = (cut: Cut): number => (cut.massRange[1] < 1 ? 0.05 : 0.1);

/** The mass of one piece as it is usually bought, kg. */
export function usualMassKg(cut: Cut): number {
  const [low, high] = cut.massRange;
  const kg = cut.referenceKg >= low && cut.referenceKg <= high ? cut.referenceKg : (low + high) / 2;
  return roundTo(kg, massStepKg(cut));
}

/** The middle of a red roast on the plate, rare to medium, C (common practice 52 to 54). */
const ROAST_PLATE_C = 53;

/** Whether a cut is called done by the middle that is wanted on the plate: intact red roasts. */
export const doneOnPlate = (cut: Cut): boolean => !doneByFeel(cut) && cut.safetyKind === 'red';

/** The middle that a piece is called done by, as it is pulled or on the plate, C; null where it is called done by feel. */
export const wishedC = (done: DoneWhen): number | null =>
  'coreC' in done ? done.coreC : 'plateC' in done ? done.plateC : null;

/** Tender where a cut has that; else a little over what makes it safe, or rare to medium for a roast. */
export function usualDone(cut: Cut): DoneWhen {
  if (doneByFeel(cut)) return { tender: true };
  return cut.safetyKind === 'red'
    ? { plateC: ROAST_PLATE_C }
    : { coreC: Math.ceil(SAFE_C[cut.safetyKind]) };
}

/** Big pieces done by feel go into paper, thin ones and those done by temperature stay bare. */
export const usualWrap = (cut: Cut): WrapId =>
  doneByFeel(cut) && usualThicknessMm(cut, usualMassKg(cut)) > THIN_MM ? 'paper' : 'none';

/** How long a piece usually rests in each place, min, and what that is set to, C (common practice). */
export const USUAL_RESTS = {
  open: { minutes: 10 },
  tented: { minutes: 15 },
  counter: { minutes: 30 },
  'cool-box': { minutes: 60 },
  warmer: { minutes: 90, atC: 68 },
  oven: { minutes: 90, atC: 70 },
} as const satisfies Readonly<Record<RestWhere, { minutes: number; atC?: number }>>;
/** Rest of a thin piece in a cool box, min (common practice). */
const THIN_REST_MIN = 15;

/** How a piece stops cooking before it is shut in (common practice): until it stops steaming, or down to a middle. */
export const FIRST_STAGES = {
  open: { where: 'open', minutes: 12 },
  counter: { where: 'counter', untilCoreC: 71 },
} as const satisfies Readonly<Record<string, RestFirst>>;

/** A large piece done by feel stands open first where it is shut in; a thin one, and a roast, goes straight in. */
export const usualFirst = (cut: Cut, where: RestWhere): RestFirst | undefined =>
  SHUT_IN.includes(where) && usualWrap(cut) !== 'none' ? FIRST_STAGES.open : undefined;

/** Rest of a thin piece that is done by a temperature, min: it is cold soon (common practice). */
const THIN_TENTED_MIN = 5;

/**
 * A dry cool box: for an hour, or a quarter of one for thin pieces; what is done by a temperature a quarter under loose
 * foil, or a few minutes where it is thin.
 */
export function usualRest(cut: Cut): RestSpec & { where: 'cool-box' | 'tented' } {
  if (!doneByFeel(cut)) {
    const thin = usualThicknessMm(cut, usualMassKg(cut)) <= THIN_MM;
    return { where: 'tented', minutes: thin ? THIN_TENTED_MIN : USUAL_RESTS.tented.minutes };
  }
  const first = usualFirst(cut, 'cool-box');
  const minutes = first ? USUAL_RESTS['cool-box'].minutes : THIN_REST_MIN;
  return { where: 'cool-box', minutes, ...(first ? { first } : {}) };
}
