/** Variants of a plan for the same meal: each planned for itself with the same likely cooks. */
import { cutOf } from '../../meat/cuts';
import { cutsInstead } from '../../meat/handling';
import { doneByFeel } from '../../meat/cut';
import { presetOf } from '../../pit/catalogue';
import type { WrapId } from '../../meat/wraps';
import { epochOf, MINUTE_MS } from '../../quantity/time';
import {
  SCHOOL_IDS,
  type SchoolId,
  USUAL_WRAP_WHEN,
  WRAP_SCHOOLS,
  schoolOf,
  usualDone,
  usualRest,
  usualWrap,
} from '../../meat/usualTreatment';
import { fuelNeeded, fuelWorth } from '../jobs/shopping';
import type { PlanOptions } from '../assemble';
import { planSteps } from '../plan';
import { splitIntervals } from '../fire/tuneSplits';
import type { Plan, PlannedFire, Problem } from '../document/plan';
import type { Request, RequestMeat, RequestPit } from '../request/types';

/** In what a variant differs from the plan it is compared with. */
export type VariantChange =
  | { kind: 'as-planned' }
  | { kind: 'pit-temperature'; pitC: number }
  | { kind: 'feed-interval'; everyMin: number }
  | { kind: 'fire'; id: string }
  | { kind: 'pit'; name: string }
  | { kind: 'wrap'; with: WrapId }
  | { kind: 'wrap-when'; school: SchoolId }
  | { kind: 'cut'; cut: string };

/** One variant as it would go, without its sentences. */
export interface VariantFigures {
  /** Its id: what differs, and how. */
  id: string;
  /** What differs. */
  change: VariantChange;
  /** The request it answers. */
  request: Request;
  /** When the first fire is lit, local time. */
  lightAt: string;
  /** When the first meat is ready, local time: 1 and 9 in 10. */
  ready: [string, string];
  /** From meat on to ready, min. */
  cookMin: number;
  /** Fuel in all, kg. */
  fuelKg: number;
  /** Worth of that fuel at the user's prices, whether it is bought or on the shelf. */
  cost: number | null;
  /** What a plate costs, meat and fuel; null where the meat has no price. */
  plateCost: number | null;
  /** Visits to the pit. */
  visits: number;
  /** Longest stretch without a visit, min. */
  longestFreeMin: number;
  /** Share of the time in which the first pit stands in its band. */
  inBandFraction: number | null;
  /** Of the first piece when it is done, 0 to 1 and over; null where it was not run. */
  bark: number | null;
  /** Tenderness; 1 probes tender. */
  tenderness: number | null;
  /** Chance of being late, 0 to 1. */
  chanceLateFraction: number;
  /** The same when it is lit at the time of the plan it is compared with. */
  lateIfLitAsPlannedFraction: number;
  /** What stands in the way; null when nothing does. */
  problem: Problem | null;
}

/** What a meal can be compared with besides its own pit and fire. */
export interface VariantSources {
  /** Other pits. */
  pits?: readonly RequestPit[];
  /** Other fires of the first pit, by the names of their choices. */
  fires?: readonly { id: string; fire: RequestPit['fire'] }[];
}

/** Paces that are compared, C: slow, steady, fast (common practice). */
const PACE_VARIANTS_C = [107, 121, 135, 150];
const WRAP_VARIANTS: readonly WrapId[] = ['none', 'paper', 'foil'];
interface VariantRequest {
  id: string;
  change: VariantChange;
  request: Request;
}

/** The variants that are worth a look: other pit temperatures, wraps, times to wrap, feeds, fires, and pits. */
export function variantRequests(request: Request, others: VariantSources = {}): VariantRequest[] {
  const [pit, ...otherPits] = request.pits;
  if (!pit) return [];
  const withPit = (p: RequestPit): Request => ({
    ...request,
    pits: [p, ...otherPits],
    meats: request.meats.map((m) => (m.pit === pit.id ? { ...m, pit: p.id } : m)),
  });
  const paces = PACE_VARIANTS_C.filter((c) => Math.abs(c - pit.pace.pitC) > 5).map((pitC) => ({
    id: `pace-${pitC}`,
    change: { kind: 'pit-temperature' as const, pitC },
    request: withPit({ ...pit, pace: { ...pit.pace, pitC } }),
  }));
  const feeds = otherFeedIntervals(pit).map((everyMin) => ({
    id: `every-${everyMin}`,
    change: { kind: 'feed-interval' as const, everyMin },
    request: withPit({ ...pit, fire: { ...pit.fire, everyMin } }),
  }));
  const fires = (others.fires ?? []).map((f) => ({
    id: `fire-${f.id}`,
    change: { kind: 'fire' as const, id: f.id },
    request: withPit({ ...pit, fire: { ...f.fire, species: pit.fire.species } }),
  }));
  const pits = (others.pits ?? [])
    .filter((p) => !request.pits.some((mine) => mine.id === p.id))
    .map((p) => ({
      id: `pit-${p.id}`,
      change: { kind: 'pit' as const, name: p.name ?? p.id },
      request: withPit(p),
    }));
  return [
    { id: 'as-planned', change: { kind: 'as-planned' }, request },
    ...paces,
    ...wrapVariants(request),
    ...cutVariants(request),
    ...feeds,
    ...fires,
    ...pits,
  ];
}

/** Other intervals between splits, min. */
function otherFeedIntervals(pit: RequestPit): readonly number[] {
  if (pit.fire.fuel !== 'splits') return [];
  return splitIntervals(presetOf(pit.cooker.preset)).filter((m) => m !== pit.fire.everyMin);
}

/** Other wraps of a meat, and the same wrap (or the usual one) by the other schools. */
function wrapVariants(request: Request): VariantRequest[] {
  const [meat, ...others] = request.meats;
  if (!meat || !doneByFeel(cutOf(meat.cut))) return [];
  const when = meat.wrap.when ?? USUAL_WRAP_WHEN;
  const wrapped = (wrap: RequestMeat['wrap']): Request => ({
    ...request,
    meats: [{ ...meat, wrap }, ...others],
  });
  const wraps = WRAP_VARIANTS.filter((w) => w !== meat.wrap.with).map((w) => ({
    id: `wrap-${w}`,
    change: { kind: 'wrap' as const, with: w },
    request: wrapped(w === 'none' ? { with: w } : { with: w, when }),
  }));
  if (meat.wrap.with === 'none') return wraps;
  const mine = schoolOf(when);
  const schools = SCHOOL_IDS.filter((id) => id !== mine).map((id) => ({
    id: `when-${id}`,
    change: { kind: 'wrap-when' as const, school: id },
    request: wrapped({ ...meat.wrap, when: WRAP_SCHOOLS[id] }),
  }));
  return [...wraps, ...schools];
}

/** Another cut in the place of the first, usual pieces cooked the usual way, as many as the people take. */
function cutVariants(request: Request): VariantRequest[] {
  const [meat, ...others] = request.meats;
  if (!meat) return [];
  return cutsInstead(meat.cut).map((cut) => ({
    id: `cut-${cut}`,
    change: { kind: 'cut', cut },
    request: { ...request, meats: [usualPieceInstead(meat, cut), ...others] },
  }));
}

function usualPieceInstead({ id, pit, serveAt, notBefore }: RequestMeat, cut: string): RequestMeat {
  const kind = cutOf(cut);
  const wrap = usualWrap(kind);
  return {
    id,
    cut,
    pit,
    ...(serveAt ? { serveAt } : {}),
    ...(notBefore ? { notBefore } : {}),
    wrap: wrap === 'none' ? { with: wrap } : { with: wrap, when: USUAL_WRAP_WHEN },
    done: usualDone(kind),
    rest: usualRest(kind),
  };
}

/** Plans one variant after another, with as many likely cooks as the plan they stand beside; yields each row as it is known, and null between simulations. */
export function* compareVariants(
  request: Request,
  others: VariantSources,
  options: PlanOptions,
): Generator<VariantFigures | null, void> {
  let planned: Plan | null = null;
  for (const variant of variantRequests(request, others)) {
    const work = planSteps(variant.request, options);
    let step = work.next();
    for (; !step.done; step = work.next()) yield null;
    planned ??= step.value;
    // Fed as it would be anyway, it is no other way.
    const fedEvery = planned.guides[0]!.feed?.mostMin;
    if (variant.id === `every-${fedEvery}`) continue;
    yield variantFigures(variant, step.value, planned);
  }
}

function variantFigures(variant: VariantRequest, plan: Plan, planned: Plan): VariantFigures {
  const zone = plan.request.timeZone;
  const ready = plan.ready[0]!;
  const fuel = fuelNeeded(plan.fires);
  fuel.delete('chunks');
  const on = epochOf(plan.meatOnAt[0]!, zone);
  return {
    id: variant.id,
    change: variant.change,
    request: plan.request,
    lightAt: plan.lightAt,
    ready: [ready.p10, ready.p90],
    cookMin: Math.round((epochOf(ready.p50, zone) - on) / MINUTE_MS),
    fuelKg: [...fuel.values()].reduce((a, b) => a + b, 0),
    cost: fuelWorth(plan),
    plateCost: (plan.plate?.unpriced ? null : plan.plate?.each) ?? null,
    visits: plan.watch.visits,
    longestFreeMin: plan.watch.longestFreeMin,
    inBandFraction: plan.fires[0]!.inBandFraction ?? null,
    bark: plan.outcome?.bark ?? null,
    tenderness: plan.outcome?.tenderness ?? null,
    chanceLateFraction: plan.chanceLateFraction,
    lateIfLitAsPlannedFraction: lateIfLitAt(plan, epochOf(planned.lightAt, zone)),
    problem: plan.problems[0] ?? null,
  };
}

/** Chance that something of a plan is late when its first fire is lit at another moment. */
export function lateIfLitAt(
  plan: Pick<Plan, 'request' | 'lightAt' | 'ready'> & {
    fires: readonly Pick<PlannedFire, 'pit' | 'lightAt'>[];
  },
  litMs: number,
): number {
  const zone = plan.request.timeZone;
  const laterMs = litMs - epochOf(plan.lightAt, zone);
  const inTime = plan.ready.reduce((p, r) => {
    const likely = r.likelyMin ?? [];
    if (likely.length === 0 || !r.wanted) return p * (1 - (r.chanceLateFraction ?? 0));
    const pit = plan.request.meats.find((m) => m.id === r.id)?.pit;
    const fire = plan.fires.find((f) => f.pit === pit) ?? plan.fires[0]!;
    const litAt = epochOf(fire.lightAt ?? plan.lightAt, zone) + laterMs;
    const latestMin = (epochOf(r.wanted[1], zone) - litAt) / MINUTE_MS;
    return (p * likely.filter((v) => v !== null && v <= latestMin).length) / likely.length;
  }, 1);
  return 1 - inTime;
}
