/** One pit's part of a plan for several, as a plan of its own: to tend it, to draw it, to hand it over. */
import {
  courseOf,
  epochOf,
  METRIC,
  MINUTE_MS,
  servedMs,
  shoppingOf,
  watchOf,
  waysOut,
  type Plan,
  type PlanJob,
  type Request,
} from '@ostrin/core';
import { wayOutWords } from './risks';
import { shoppingWords } from './shopping';

/** The id of a job at one of several pits without its pit. */
const plainId = (id: string, pit: string): string =>
  id.endsWith(`@${pit}`) ? id.slice(0, -pit.length - 1) : id;

/**
 * The plan as far as it is about one pit: its fire, its meats, its jobs with their plain names, and the
 * courses that come from it. Shopping is done for all pits together and is left out of its jobs. Throws
 * RangeError for a pit that the plan has no fire in.
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
  const request: Request = {
    ...plan.request,
    serveAt,
    pits: plan.request.pits.filter((p) => p.id === pitId),
    meats,
  };
  const units = request.units ?? METRIC;
  const amounts = pick(plan.amounts);
  const ready = pick(plan.ready);
  const jobs = jobsOf(plan, request, pitId, litMs);
  const { list, cost } = shoppingOf(request, [fire], amounts);
  const clocked = jobs.map((j) => ({ ...j, clockMin: (epochOf(j.at, zone) - litMs) / MINUTE_MS }));
  const eaten = servedMs(request, meats[0]!);
  const restFrom = (at: string): number => Math.max(0, (eaten - epochOf(at, zone)) / MINUTE_MS);
  const cookedKg = (end: 0 | 1): number => amounts.reduce((kg, a) => kg + a.cookedKg[end], 0);
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
    cookedKg: [cookedKg(0), cookedKg(1)],
    amounts,
    fires: [fire],
    vents: plan.vents.filter((v) => v.pit === pitId),
    grates: plan.grates.filter((g) => g.pit === pitId),
    guides: plan.guides.filter((g) => g.pit === pitId),
    preparation: plan.preparation?.filter((p) => meats.some((m) => m.id === p.meat)),
    holds: plan.holds?.filter((h) => meats.some((m) => m.id === h.meat)),
    jobs,
    watch: watchOf(clocked, request.crew ?? [], litMs, zone),
    shopping: list.map((s) => shoppingWords(s, units)),
    cost,
    plate: undefined,
    planB: waysOut(meats).map((way) => wayOutWords(way, units)),
    expected: expectedOf?.[k] ?? plan.expected,
    scenarios: [plan.scenarios[k]!],
  };
}

/** The jobs at a pit and the courses that come from it, with minutes after its own lighting. */
function jobsOf(plan: Plan, request: Request, pitId: string, litMs: number): PlanJob[] {
  const zone = request.timeZone;
  const courses = new Set(request.meats.map((m) => courseOf(plan.request, m)));
  const last = courseOf(
    plan.request,
    request.meats.find((m) => (m.serveAt ?? plan.serveAt) === request.serveAt)!,
  );
  return plan.jobs
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
}

/** The pit that a meat of a plan lies on. */
const pitOf = (plan: Plan, wanted: string | undefined): string =>
  (plan.request.pits.find((p) => p.id === wanted) ?? plan.request.pits[0]!).id;
