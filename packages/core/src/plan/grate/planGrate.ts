/** The pieces of a plan on the grate of their pit. */
import type { Place } from '../../pit/layout';
import { requestedMassKg } from '../request/amount';
import {
  footprintOf,
  grateOf,
  placedAt,
  arrangePieces,
  placementProblem,
  gratePlaceAt,
  type PlacedPiece,
} from './grate';
import type { PitSetup } from '../fire/designFire';
import type { GratePlan } from '../document/gratePlan';
import type { RequestMeat } from '../request/types';

export interface PiecesToPlace {
  /** The meat. */
  meat: RequestMeat;
  /** Number of pieces. */
  pieces: number;
  /** Where the meat stands in the request. */
  index: number;
  /** Which load of the grate it belongs to, from 0; all lie there together where left out. */
  round?: number;
}

/** A piece that cannot lie where it was wished. */
export interface MisplacedPiece {
  /** Where its meat stands in the request. */
  index: number;
  /** Which of its pieces. */
  piece: number;
  /** What is wrong. */
  why: 'off-ground' | 'touching';
}

/** More pieces than this are not laid one by one. */
const MAX_PLACED = 120;

/** Where everything lies, how many of each meat (by its index) there is room for, and what cannot lie where it was wished. */
interface LaidGrate {
  plan: GratePlan;
  fits: Record<number, number>;
  misplaced: MisplacedPiece[];
}

/** One load of the grate makes room for the next so long before that goes on, min. */
const ROOM_MIN = 10;

/** The loads of a grate, by the hours at which each meat lies there, min: what overlaps lies there together. */
export function inRounds(
  on: readonly PiecesToPlace[],
  hours: readonly (readonly [fromMin: number, toMin: number])[],
): PiecesToPlace[] {
  const inOrder = on.map((_, i) => i).sort((a, b) => hours[a]![0] - hours[b]![0]);
  const rounds: number[] = [];
  let [round, untilMin] = [-1, -Infinity];
  for (const i of inOrder) {
    const [from, to] = hours[i]!;
    if (from >= untilMin + ROOM_MIN || round < 0) round += 1;
    rounds[i] = round;
    untilMin = Math.max(untilMin, to);
  }
  return on.map((o, i) => ({ ...o, round: rounds[i]! }));
}

/**
 * Where everything lies, load by load. Pieces lie where they are wished; one that cannot is named and laid with the rest,
 * where there is room.
 */
export function planGrate(setup: PitSetup, on: readonly PiecesToPlace[]): LaidGrate {
  const rounds = [...new Set(on.map((o) => o.round ?? 0))].sort((a, b) => a - b);
  if (rounds.length <= 1) return oneLoad(setup, on);
  const all: LaidGrate = { plan: { pit: setup.pit.id, laid: [] }, fits: {}, misplaced: [] };
  for (const round of rounds) {
    const load = oneLoad(
      setup,
      on.filter((o) => (o.round ?? 0) === round),
    );
    all.plan.laid.push(...load.plan.laid.map((p) => ({ ...p, round })));
    Object.assign(all.fits, load.fits);
    all.misplaced.push(...load.misplaced);
  }
  return all;
}

/** What lies on the grate together. */
function oneLoad(setup: PitSetup, on: readonly PiecesToPlace[]): LaidGrate {
  const grate = grateOf(setup.preset, setup.fire.arrangement);
  const all = on.flatMap((o) => {
    const foot = footprintOf(o.meat.cut, requestedMassKg(o.meat), o.meat.thicknessMm);
    return Array.from({ length: Math.min(o.pieces, MAX_PLACED) }, (_, n) => ({ o, foot, n }));
  });
  const wrong: MisplacedPiece[] = [];
  const laid: (PlacedPiece | null)[] = all.map(() => null);
  all.forEach(({ o, foot, n }, i) => {
    const lie = o.meat.lie?.[n];
    if (!lie) return;
    const wished = placedAt(foot, lie.x, lie.y, lie.turned);
    const why = placementProblem(grate, wished, placedOnly(laid));
    if (why) wrong.push({ index: o.index, piece: n, why });
    else laid[i] = wished;
  });
  const rest = all.flatMap((_, i) => (laid[i] ? [] : [i]));
  const found = arrangePieces(
    grate,
    rest.map((i) => all[i]!.foot),
    placedOnly(laid),
  );
  rest.forEach((i, n) => (laid[i] = found[n]!));
  const fits: Record<number, number> = Object.fromEntries(on.map((o) => [o.index, 0]));
  const placed = laid.flatMap((p, i) => {
    if (!p) return [];
    const { meat, index } = all[i]!.o;
    fits[index]! += 1;
    return [{ meat: meat.id, ...p, at: meat.at ?? gratePlaceAt(grate, p.x) }];
  });
  return { plan: { pit: setup.pit.id, laid: placed }, fits, misplaced: wrong };
}

const placedOnly = (laid: readonly (PlacedPiece | null)[]): PlacedPiece[] =>
  laid.filter((p) => p !== null);

/** Where most pieces of a meat lie; nothing where nobody laid them by hand. */
export function mainPlaceOf(meat: RequestMeat, grate: GratePlan): Place | undefined {
  if (meat.at || !meat.lie?.length) return meat.at;
  const counts = new Map<Place, number>();
  for (const p of grate.laid) {
    if (p.meat === meat.id) counts.set(p.at, (counts.get(p.at) ?? 0) + 1);
  }
  return [...counts].sort((a, b) => b[1] - a[1])[0]?.[0];
}
