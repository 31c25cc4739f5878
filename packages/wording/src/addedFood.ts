/** The words of jobs that came up during a cook. */
import { cutOf, METRIC, type MeatSpec, type Plan, type Units } from '@ostrin/core';
import { doneWords } from './plan/jobs';
import { countWords } from './quantities';

/** A plan with words for the jobs of the food that was added. */
export function wordAddedFood(plan: Plan): Plan {
  if (!plan.jobs.some((j) => j.food)) return plan;
  const { units = METRIC } = plan.request;
  const jobs = plan.jobs.map((j) => (j.food ? { ...j, ...offWords(j.food, units) } : j));
  return { ...plan, jobs };
}

function offWords({ cut, count = 1, done }: MeatSpec, units: Units) {
  const { short, plural } = cutOf(cut);
  const name = count === 1 ? short : countWords(count, short, plural);
  return {
    inWords: `Take the ${name} off`,
    detail: doneWords(done ?? { tender: true }, null, units),
  };
}
