/** One pit's part of a plan for several, as a plan of its own: to tend it, to draw it, to hand it over. */
import { epochOf, MINUTE_MS } from '../quantity/time';
import type { Plan, PlanJob } from './document/plan';
import type { PitPlan, PitRequest } from './document/pitPlan';
import { shoppingOf } from './jobs/shopping';
import { watchOf } from './jobs/watch';
import { cookedKgOf } from './request/amount';
import { pitFor } from './request/pitFor';
import { courseOf, servedMs } from './schedule/schedule';

/** The id of a job at one of several pits without its pit. */
const plainId = (id: string, pit: string): string =>
  id.endsWith(`@${pit}`) ? id.slice(0, -pit.length - 1) : id;

/**
 * The plan as far as it is about one pit: its fire, its meats, its jobs with their plain names, and the
 * courses that come from it. Shopping is done for all pits together and is left out of its jobs. Throws
 * RangeError for a pit that the plan has no fire in.
 */
export function onePit(plan: Plan, pitId: string): PitPlan {
  const k = plan.fires.findIndex((f) => f.pit === pitId);
  const [fire, scenario] = [plan.fires[k], plan.scenarios[k]];
  if (!fire || !scenario) throw new RangeError(`no fire is planned in ${pitId}`);
  const { index, request } = requestOf(plan, pitId);
  const ofOne: Pick<PitPlan, 'request' | 'fires' | 'scenarios'> = {
    request,
    fires: [fire],
    scenarios: [scenario],
  };
  if (plan.fires.length === 1) {
    return { ...plan, ...ofOne, jobs: plan.jobs.filter((j) => j.do !== 'shop') };
  }
  const zone = request.timeZone;
  const lightAt = fire.lightAt ?? plan.lightAt;
  const litMs = epochOf(lightAt, zone);
  const pick = <T>(list: readonly T[]): T[] => index.map((i) => list[i]!);
  const amounts = pick(plan.amounts);
  const ready = pick(plan.ready);
  const jobs = jobsOf(plan, request, pitId, litMs);
  const { list, cost } = shoppingOf(request, [fire], amounts);
  const clocked = jobs.map((j) => ({ ...j, clockMin: (epochOf(j.at, zone) - litMs) / MINUTE_MS }));
  const [lead] = request.meats;
  const restFrom = (at: string): number =>
    Math.max(0, (servedMs(request, lead) - epochOf(at, zone)) / MINUTE_MS);
  const isHere = ({ meat }: { meat: string }): boolean => request.meats.some((m) => m.id === meat);
  const { expectedOf, ...rest } = plan;
  return {
    ...rest,
    ...ofOne,
    serveAt: request.serveAt,
    lightAt,
    meatOnAt: pick(plan.meatOnAt),
    ready,
    restAvailableMin: [restFrom(ready[0]!.p90), restFrom(ready[0]!.p10)],
    chanceLateFraction: 1 - ready.reduce((p, r) => p * (1 - (r.chanceLateFraction ?? 0)), 1),
    pieces: amounts.reduce((n, a) => n + a.pieces, 0),
    cookedKg: cookedKgOf(amounts),
    amounts,
    vents: plan.vents.filter((v) => v.pit === pitId),
    grates: plan.grates.filter((g) => g.pit === pitId),
    guides: plan.guides.filter((g) => g.pit === pitId),
    rules: plan.rules?.filter((r) => r.pit === pitId),
    preparation: plan.preparation.filter(isHere),
    holds: plan.holds.filter(isHere),
    jobs,
    watch: watchOf(clocked, request.crew ?? [], litMs, zone),
    shopping: list,
    cost,
    plate: undefined,
    expected: expectedOf?.[k] ?? plan.expected,
  };
}

/** What is asked of one pit, and which of the plan's meats lie on it. */
function requestOf(plan: Plan, pitId: string): { index: number[]; request: PitRequest } {
  const { request } = plan;
  const index = request.meats.flatMap((m, i) => (pitFor(request, m.pit).id === pitId ? [i] : []));
  const [lead, ...others] = index.map((i) => request.meats[i]!);
  if (!lead) throw new RangeError(`nothing is cooked on ${pitId}`);
  const served = [lead, ...others].map((m) => m.serveAt ?? plan.serveAt).sort();
  return {
    index,
    request: {
      ...request,
      serveAt: served.at(-1)!,
      pits: [pitFor(request, pitId)],
      meats: [lead, ...others],
    },
  };
}

/** The jobs at a pit and the courses that come from it, with minutes after its own lighting. */
function jobsOf(plan: Plan, request: PitRequest, pitId: string, litMs: number): PlanJob[] {
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
