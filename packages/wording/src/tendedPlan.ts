/** A plan as it stands now, with the jobs of the food that was added: the same on a phone and on the server. */
import {
  cutOf,
  localOf,
  litAtMs,
  METRIC,
  MINUTE_MS,
  type Log,
  type Plan,
  type PlanJob,
  type Units,
} from '@ostrin/core';
import { addedFoods, planAsChanged, type AddedFood } from '@ostrin/core/tending';
import { doneWords } from './plan/jobs';
import { countWords } from './quantities';

/** The plan after changes of mind, with a job for each piece of added food to come off. */
export function tendedPlan(plan: Plan, log: Log): Plan {
  const changed = planAsChanged(plan, log);
  const litMs = litAtMs(log);
  const added = addedFoods(log);
  if (litMs === null || added.length === 0) return changed;
  const { timeZone, units = METRIC } = plan.request;
  const jobs = added.map((a) => offJob(a, litMs, timeZone, units));
  return { ...changed, jobs: [...changed.jobs, ...jobs] };
}

function offJob({ food, offMs }: AddedFood, litMs: number, zone: string, units: Units): PlanJob {
  const { id, cut, count = 1, done } = food;
  const name =
    count === 1 ? cutOf(cut).short : countWords(count, cutOf(cut).short, cutOf(cut).plural);
  return {
    id: `off ${id}`,
    at: localOf(offMs, zone),
    atMin: Math.round((offMs - litMs) / MINUTE_MS),
    do: 'meat-off',
    inWords: `Take the ${name} off`,
    detail: doneWords(done ?? { tender: true }, null, units),
    logs: [{ do: 'meat-off', meat: id }],
  };
}
