/** One pit's part of a plan for several, as a plan of its own: to tend it, to draw it, to hand it over. */
import { epochOf, MINUTE_MS } from '../quantity/time';
import { METRIC } from '../quantity/words';
import { planBOf } from './risks';
import { courseOf, servedMs } from './schedule/schedule';
import { shoppingOf } from './jobs/shopping';
import type { Plan } from './request/types';
import { watchOf } from './jobs/watch';

/** The id of a job that stands at more than one pit. */
export const idAt = (job: string, pit: string): string => `${job}@${pit}`;

const plainId = (id: string, pit: string): string =>
  id.endsWith(`@${pit}`) ? id.slice(0, -pit.length - 1) : id;

/**
 * The plan as far as it is about one pit: its fire, its meats, its jobs with their plain names, and the
 * courses that come from it; shopping is the table's and stays behind. Throws RangeError for a pit that the
 * plan has no fire in.
 */
export function onePit(plan: Plan, pitId: string): Plan {
  const k = plan.fires.findIndex((f) => f.pit === pitId);
  if (k < 0) throw new RangeError(`no fire is planned in ${pitId}`);
  if (plan.fires.length === 1) {
    const jobs = plan.jobs.filter((j) => j.do !== 'shop');
    return jobs.length === plan.jobs.length ? plan : { ...plan, jobs };
  }
  const zone = plan.request.timeZone;
  const fire = plan.fires[k]!;
  const lightAt = fire.lightAt ?? plan.lightAt;
  const litMs = epochOf(lightAt, zone);
  const index = plan.request.meats.flatMap((m, i) => (pitOf(plan, m.pit) === pitId ? [i] : []));
  const pick = <T>(list: readonly T[]): T[] => index.map((i) => list[i]!);
  const meats = pick(plan.request.meats);
  const serveAt = meats
    .map((m) => m.serveAt ?? plan.serveAt)
    .sort()
    .at(-1)!;
  const courses = new Set(meats.map((m) => courseOf(plan.request, m)));
  const last = courseOf(
    plan.request,
    meats.find((m) => (m.serveAt ?? plan.serveAt) === serveAt)!,
  );
  const request = {
    ...plan.request,
    serveAt,
    pits: plan.request.pits.filter((p) => p.id === pitId),
    meats,
  };
  const amounts = pick(plan.amounts);
  const ready = pick(plan.ready);
  const jobs = plan.jobs
    .filter((j) => j.pit === pitId || (!j.pit && courses.has(j.id)))
    .map(({ pit: _, ...j }) =>
      j.do === 'serve'
        ? {
            ...j,
            id: j.id === last ? 'serve' : j.id,
            atMin: Math.round((epochOf(j.at, zone) - litMs) / MINUTE_MS),
          }
        : { ...j, id: plainId(j.id, pitId) },
    );
  const { list, cost } = shoppingOf(request, [fire], amounts, request.units ?? METRIC);
  const clocked = jobs.map((j) => ({ ...j, clockMin: (epochOf(j.at, zone) - litMs) / MINUTE_MS }));
  const eaten = servedMs(request, meats[0]!);
  const restFrom = (at: string): number => Math.max(0, (eaten - epochOf(at, zone)) / MINUTE_MS);
  const { expectedOf, ...rest } = plan;
  return {
    ...rest,
    request,
    serveAt,
    lightAt,
    meatOnAt: pick(plan.meatOnAt),
    ready,
    restAvailableMin: [restFrom(ready[0]!.p90), restFrom(ready[0]!.p10)],
    chanceLateFraction: 1 - ready.reduce((p, r) => p * (1 - (r.chanceLateFraction ?? 0)), 1),
    pieces: amounts.reduce((n, a) => n + a.pieces, 0),
    cookedKg: [0, 1].map((e) => amounts.reduce((kg, a) => kg + a.cookedKg[e]!, 0)) as [
      number,
      number,
    ],
    amounts,
    fires: [fire],
    vents: plan.vents.filter((v) => v.pit === pitId),
    grates: plan.grates.filter((g) => g.pit === pitId),
    guides: plan.guides.filter((g) => g.pit === pitId),
    jobs,
    watch: watchOf(clocked, request.crew ?? [], litMs, zone),
    shopping: list,
    cost,
    planB: planBOf(meats),
    expected: expectedOf?.[k] ?? plan.expected,
    scenarios: [plan.scenarios[k]!],
  };
}

/** The pit that a meat of a plan lies on. */
const pitOf = (plan: Plan, wanted: string | undefined): string =>
  (plan.request.pits.find((p) => p.id === wanted) ?? plan.request.pits[0]!).id;
