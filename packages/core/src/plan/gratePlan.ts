/** The pieces of a plan on the grate of their pit. */
import type { Place } from '../pit/types';
import { massOf } from './amount';
import { footprintOf, grateOf, laidAt, layOut, misplaced, placeAt, type Laid } from './grate';
import type { Way } from './lay';
import type { GratePlan, RequestMeat } from './types';

export interface OnGrate {
  meat: RequestMeat;
  pieces: number;
  /** Where the meat stands in the request. */
  index: number;
}

/** A piece that cannot lie where it was wished. */
export interface Misplaced {
  index: number;
  piece: number;
  why: 'off-ground' | 'touching';
}

/** More pieces than this are not laid one by one. */
const MOST_LAID = 120;

/**
 * Where everything lies, and how many of each meat (by its index) there is room for. Pieces lie where they
 * are wished; one that cannot is named and laid with the rest, where there is room.
 */
export function gratePlanned(
  way: Way,
  on: readonly OnGrate[],
): { plan: GratePlan; fits: Record<number, number>; misplaced: Misplaced[] } {
  const grate = grateOf(way.preset, way.fire.arrangement);
  const all = on.flatMap((o) => {
    const foot = footprintOf(o.meat.cut, massOf(o.meat), o.meat.thicknessMm);
    return Array.from({ length: Math.min(o.pieces, MOST_LAID) }, (_, n) => ({ o, foot, n }));
  });
  const wrong: Misplaced[] = [];
  const laid: (Laid | null)[] = all.map(() => null);
  all.forEach(({ o, foot, n }, i) => {
    const lie = o.meat.lie?.[n];
    if (!lie) return;
    const wished = laidAt(foot, lie.x, lie.y, lie.turned);
    const why = misplaced(grate, wished, down(laid));
    if (why) wrong.push({ index: o.index, piece: n, why });
    else laid[i] = wished;
  });
  const rest = all.flatMap((_, i) => (laid[i] ? [] : [i]));
  const found = layOut(
    grate,
    rest.map((i) => all[i]!.foot),
    down(laid),
  );
  rest.forEach((i, n) => (laid[i] = found[n]!));
  const fits: Record<number, number> = Object.fromEntries(on.map((o) => [o.index, 0]));
  const placed = laid.flatMap((p, i) => {
    if (!p) return [];
    const { meat, index } = all[i]!.o;
    fits[index]! += 1;
    return [{ meat: meat.id, ...p, at: meat.at ?? placeAt(grate, p.x) }];
  });
  return { plan: { pit: way.pit.id, laid: placed }, fits, misplaced: wrong };
}

const down = (laid: readonly (Laid | null)[]): Laid[] => laid.filter((p) => p !== null);

/** Where most pieces of a meat lie; nothing where nobody laid them by hand. */
export function placeOf(meat: RequestMeat, grate: GratePlan): Place | undefined {
  if (meat.at || !meat.lie?.length) return meat.at;
  const counts = new Map<Place, number>();
  for (const p of grate.laid) {
    if (p.meat === meat.id) counts.set(p.at, (counts.get(p.at) ?? 0) + 1);
  }
  return [...counts].sort((a, b) => b[1] - a[1])[0]?.[0];
}
