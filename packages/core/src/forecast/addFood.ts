/** Food that is put on while a cook runs: what it does to the pit, and when everything is ready with it. */
import { FollowedFire } from '../estimate/followedFire';
import { readyWindow, runLikelyPiece, type PieceOutcome } from '../estimate/likelyPiece';
import type { Triple } from '../estimate/fireState';
import { cutOf } from '../meat/cuts';
import { FRIDGE_C, usualDone, usualRest } from '../meat/usualTreatment';
import { pullTemperatureC } from '../plan/schedule/pullTemperature';
import { ascending, quantile } from '../quantity/statistics';
import type { Action } from '../scenario/actions';
import type { MeatSpec } from '../scenario/scenario';
import { likelyCooks, type ForecastInput, type LikelyCooks } from './likelyCooks';
import { puttingOn } from '../log/log';
import { withFood } from '../log/planAsChanged';

/** Food that somebody thinks of putting on. */
export interface FoodWish {
  /** An id that no piece of the cook has. */
  id: string;
  /** A cut of the catalogue. */
  cut: string;
  /** Mass of one piece, kg. */
  massKg: number;
  /** How many pieces of it. */
  count: number;
  /** Where the pit is held, C. */
  pitC: number;
}

/** The effect of adding it; triples are p10, p50 and p90 of the likely cooks, minutes after lighting, null out of sight. */
export interface FoodOutcome {
  /** The piece as the cook would have it. */
  food: MeatSpec;
  /** When it is done. */
  readyMin: Triple | null;
  /** When the piece that is asked about is done, without it and with it. */
  firstReadyMin: { without: Triple | null; with: Triple | null };
  /**
   * How far the pit falls below what it would do without it, K, once the lid is shut again; and after how long it is nearly
   * back, min, null where it is not within three hours.
   */
  dip: { mostK: number; backMin: number | null };
  /** How long this pit burns for the heat that the food takes, min; null where it does not get done. */
  fuelMin: number | null;
}
/** Heat capacity of raw meat, kJ/(kg K), and heat that takes a kilogram of its water away, kJ/kg (handbook values). */
const MEAT_KJ_PER_KG_K = 3.4;
const VAPOUR_KJ_PER_KG = 2260;

/** The piece as a cook has it: bare, from the fridge, done as is usual for its cut. Throws RangeError for an unknown cut. */
export function foodOf({ id, cut, massKg, count, pitC }: FoodWish): MeatSpec {
  const done = usualDone(cutOf(cut));
  const spec: MeatSpec = { id, cut, massKg, count, startC: FRIDGE_C, rest: usualRest(cutOf(cut)) };
  return {
    ...spec,
    done: 'plateC' in done ? { coreC: pullTemperatureC(spec, done.plateC, pitC) } : done,
  };
}

/** Runs the likely cooks from now on with the food and without it. `input` asks about a piece that is on already. */
export function foodOutcome(
  input: ForecastInput,
  wish: FoodWish,
  followed?: FollowedFire,
): FoodOutcome {
  const food = foodOf(wish);
  const { nowMin } = input;
  const without = likelyCooks(input, followed);
  const cook = cookWith(input, food);
  // The fire has to be estimated anew for a cook with one piece more; the other estimate is not touched.
  const fire = new FollowedFire();
  const withIt = likelyCooks(cook, fire);
  const own = likelyCooks(
    {
      ...cook,
      piece: food.id,
      readings: cook.readings.map((r) => ({ ...r, coreC: null })),
      felt: undefined,
    },
    fire,
  );
  const pieces = runsOf(own, nowMin);
  return {
    food,
    readyMin: inSight(readyWindow(pieces)),
    firstReadyMin: {
      without: inSight(readyWindow(runsOf(without, nowMin, input.felt))),
      with: inSight(readyWindow(runsOf(withIt, nowMin, input.felt))),
    },
    dip: dipBetween(without, withIt),
    fuelMin: fuelMinFor(pieces, food, withIt),
  };
}

/** A window, null where it ends beyond what was run. */
const inSight = (window: Triple): Triple | null => (window.every(Number.isFinite) ? window : null);

/** The cook with the food put on now. */
function cookWith(input: ForecastInput, food: MeatSpec): ForecastInput {
  const { scenario, nowMin, ahead } = input;
  return {
    ...input,
    scenario: withFood(scenario, food, nowMin),
    ahead: [...ahead, ...puttingOn(food).map((log): Action => ({ ...log, atMin: nowMin }))],
  };
}

const runsOf = (
  { remaining, members }: LikelyCooks,
  nowMin: number,
  felt?: ForecastInput['felt'],
): PieceOutcome[] =>
  members.map(({ drawn, measured }) => runLikelyPiece(remaining, measured, nowMin, drawn, felt));

const median = (values: readonly number[]): number => quantile(ascending(values), 0.5);

/** A pit is looked at for these minutes after food went on, and is back within so many K of what it would do. */
const LOOKED_AT_MIN = { from: 10, until: 180 };
const BACK_K = 4;

/** How the pit falls for the food: the middle of the likely pits, each beside itself. */
function dipBetween(without: LikelyCooks, withIt: LikelyCooks): FoodOutcome['dip'] {
  const { now } = without;
  const belowK = Array.from({ length: LOOKED_AT_MIN.until }, (_, i) =>
    median(
      without.members.map(
        ({ measured }, m) => measured.pitC(now + i) - withIt.members[m]!.measured.pitC(now + i),
      ),
    ),
  );
  const last = belowK.findLastIndex((k) => k > BACK_K) + 1;
  return {
    mostK: Math.max(0, ...belowK.slice(LOOKED_AT_MIN.from)),
    backMin: last < LOOKED_AT_MIN.until ? last : null,
  };
}

/** How long the pit burns for what the food takes: its heat over what stays in the pit of all that was burnt so far. */
function fuelMinFor(
  pieces: readonly PieceOutcome[],
  { startC, count = 1 }: MeatSpec,
  { fire }: LikelyCooks,
): number | null {
  const heatsKJ = pieces.flatMap(({ meat }) => {
    const at = meat?.doneAtMin ?? null;
    if (!meat || at === null) return [];
    const [rawKg, kg, coreC] = [
      meat.massKg.find((m) => m !== null),
      meat.massKg[at],
      meat.coreC[at],
    ];
    if (rawKg == null || kg == null || coreC == null) return [];
    return [
      count * (rawKg * MEAT_KJ_PER_KG_K * (coreC - startC) + (rawKg - kg) * VAPOUR_KJ_PER_KG),
    ];
  });
  if (!fire || heatsKJ.length * 2 <= pieces.length) return null;
  const keptKW = fire.members.map(({ cook }) => {
    const { releasedJ, exhaustJ } = cook.pit!.ledger;
    return (releasedJ - exhaustJ) / 1000 / Math.max(cook.timeS, 60);
  });
  return median(heatsKJ) / median(keptKW) / 60;
}
