/** The pieces of a plan on the grate of their pit. */
import { massOf } from './amount';
import { footprintOf, grateOf, layOut, placeAt, type Laid } from './grate';
import type { Way } from './lay';
import type { GratePlan, RequestMeat } from './types';

export interface OnGrate {
  meat: RequestMeat;
  pieces: number;
  /** Where the meat stands in the request. */
  index: number;
}

/** More pieces than this are not laid one by one. */
const MOST_LAID = 120;

/** Where everything lies, and how many of each meat (by its index) there is room for. */
export function gratePlanned(
  way: Way,
  on: readonly OnGrate[],
): { plan: GratePlan; fits: Record<number, number> } {
  const grate = grateOf(way.preset, way.fire.arrangement);
  const all = on.flatMap((o) => {
    const foot = footprintOf(o.meat.cut, massOf(o.meat), o.meat.thicknessMm);
    return Array.from({ length: Math.min(o.pieces, MOST_LAID) }, () => ({ o, foot }));
  });
  const laid = layOut(
    grate,
    all.map((a) => a.foot),
  );
  const fits: Record<number, number> = Object.fromEntries(on.map((o) => [o.index, 0]));
  const placed = laid.flatMap((p: Laid | null, i) => {
    if (!p) return [];
    const { meat, index } = all[i]!.o;
    fits[index]! += 1;
    return [{ meat: meat.id, ...p, at: meat.at ?? placeAt(grate, p.x) }];
  });
  return { plan: { pit: way.pit.id, laid: placed }, fits };
}
