/** Other ways of cooking the same meal, side by side: each planned for itself with the same likely cooks. */
import { cutOf, doneByFeel } from '../meat/cuts';
import { WRAPS, type WrapId } from '../meat/wraps';
import { epochOf, MINUTE_MS } from '../quantity/time';
import { METRIC, temperatureWords } from '../quantity/words';
import { fuelNeeded } from './shopping';
import type { PlanOptions } from './assemble';
import { planning } from './plan';
import type { Plan, Request, RequestPit } from './types';

/** One way as it would go. */
export interface WayRow {
  id: string;
  inWords: string;
  request: Request;
  lightAt: string;
  ready: [string, string];
  cookMin: number;
  fuelKg: number;
  cost: number | null;
  visits: number;
  longestFreeMin: number;
  /** Of the first piece when it is done, 0 to 1 and over; null where it was not run. */
  bark: number | null;
  tenderness: number | null;
  chanceLateFraction: number;
  /** What stands in the way; empty when nothing does. */
  problem: string;
}

/** Paces that are compared, C: slow, steady, fast (common practice). */
const PACES = [107, 121, 135, 150];
const WRAP_WAYS: readonly WrapId[] = ['none', 'paper', 'foil'];
/** Members of the ensemble behind each row. */
const MEMBERS = 16;

interface Wish {
  id: string;
  inWords: string;
  request: Request;
}

/** The ways worth a look: other paces, other wraps, other pits of the yard. */
export function waysOf(request: Request, others: readonly RequestPit[] = []): Wish[] {
  const units = request.units ?? METRIC;
  const pit = request.pits[0]!;
  const meat = request.meats[0]!;
  const withPit = (p: RequestPit): Request => ({
    ...request,
    pits: [p, ...request.pits.slice(1)],
    meats: request.meats.map((m) => (m.pit === pit.id ? { ...m, pit: p.id } : m)),
  });
  const paces = PACES.filter((c) => Math.abs(c - pit.pace.pitC) > 5).map((pitC) => ({
    id: `pace-${pitC}`,
    inWords: `at ${temperatureWords(pitC, units)}`,
    request: withPit({ ...pit, pace: { ...pit.pace, pitC } }),
  }));
  const wraps = !doneByFeel(cutOf(meat.cut))
    ? []
    : WRAP_WAYS.filter((w) => w !== meat.wrap.with).map((w) => ({
        id: `wrap-${w}`,
        inWords: w === 'none' ? 'not wrapped' : `wrapped in ${WRAPS[w].name}`,
        request: {
          ...request,
          meats: request.meats.map((m, i) =>
            i > 0
              ? m
              : {
                  ...m,
                  wrap:
                    w === 'none' ? { with: w } : { with: w, when: meat.wrap.when ?? { coreC: 74 } },
                },
          ),
        },
      }));
  const pits = others
    .filter((p) => p.id !== pit.id)
    .map((p) => ({ id: `pit-${p.id}`, inWords: `on ${p.name ?? p.id}`, request: withPit(p) }));
  return [{ id: 'as-planned', inWords: 'as planned', request }, ...paces, ...wraps, ...pits];
}

/** Plans one way after another; yields each row as it is known, and null between simulations. */
export function* compareWays(
  request: Request,
  others: readonly RequestPit[],
  options: Pick<PlanOptions, 'nowMs' | 'known'>,
): Generator<WayRow | null, void> {
  for (const wish of waysOf(request, others)) {
    const work = planning(wish.request, { ...options, members: MEMBERS });
    let step = work.next();
    for (; !step.done; step = work.next()) yield null;
    yield rowOf(wish, step.value);
  }
}

function rowOf(wish: Wish, plan: Plan): WayRow {
  const zone = plan.request.timeZone;
  const ready = plan.ready[0]!;
  const fuel = fuelNeeded(plan.fires);
  fuel.delete('chunks');
  const on = epochOf(plan.meatOnAt[0]!, zone);
  return {
    id: wish.id,
    inWords: wish.inWords,
    request: plan.request,
    lightAt: plan.lightAt,
    ready: [ready.p10, ready.p90],
    cookMin: Math.round((epochOf(ready.p50, zone) - on) / MINUTE_MS),
    fuelKg: [...fuel.values()].reduce((a, b) => a + b, 0),
    cost: plan.cost,
    visits: plan.watch.visits,
    longestFreeMin: plan.watch.longestFreeMin,
    bark: plan.outcome?.bark ?? null,
    tenderness: plan.outcome?.tenderness ?? null,
    chanceLateFraction: plan.chanceLateFraction,
    problem: plan.problems[0]?.message ?? '',
  };
}
