/** The plan of a cook from outside: as figures, and checked for what spans several fields. */
import type { PitPlan } from '@ostrin/core';
import { wordPlan } from '@ostrin/wording';
import { liftPlan } from './liftPlan';
import { isObject, plainOf } from './plain';
import type { PlanDto } from './plan';
import type { FieldProblem } from './problems';
import { scenarioProblems } from './read';
import { toScenario } from './scenario';
import { invalid, type Checked } from './validate';

/** A document with its plan as figures, whichever way that was written. */
export const withFigures = (plain: unknown): unknown =>
  isObject(plain) ? { ...plain, plan: liftPlan(plain.plan) } : plain;

/** What of a plan cannot be put into words, though each of its fields is as it should be. */
function wordsProblems(plan: PitPlan, field: string): FieldProblem[] {
  const message = 'cannot be put into words';
  try {
    const worded = wordPlan(plan);
    const lists = [
      'jobs',
      'vents',
      'preparation',
      'holds',
      'shopping',
      'risks',
      'problems',
    ] as const;
    return lists.flatMap((list) =>
      worded[list].flatMap((x, i) => {
        const text = JSON.stringify(x);
        return text.includes('"as-written"') || !/\bNaN\b|\bundefined\b/.test(text)
          ? []
          : [{ field: `${field}.${list}[${i}]`, message }];
      }),
    );
  } catch {
    return [{ field, message }];
  }
}

/** The plan of a cook whose single fields are good, as the engine takes it; `field` is where it is. */
export function readPlan(dto: PlanDto, field: string): Checked<PitPlan> {
  const problems: FieldProblem[] = [];
  const some = (list: unknown[], name: string): void => {
    if (list.length === 0)
      problems.push({ field: `${field}.${name}`, message: 'must have at least one entry' });
  };
  // A cook is one pit's.
  const one = (list: unknown[], name: string): void => {
    if (list.length !== 1)
      problems.push({ field: `${field}.${name}`, message: 'must have one entry' });
  };
  one(dto.scenarios, 'scenarios');
  one(dto.fires, 'fires');
  some(dto.ready, 'ready');
  some(dto.jobs, 'jobs');
  some(dto.meatOnAt, 'meatOnAt');
  one(dto.request.pits, 'request.pits');
  some(dto.request.meats, 'request.meats');
  const scenarios = dto.scenarios.map(toScenario);
  if (scenarios.length === 1) {
    problems.push(
      ...scenarioProblems(scenarios[0]!).map((p) => ({
        field: `${field}.scenarios[0].${p.field}`,
        message: p.message,
      })),
    );
  }
  if (problems.length > 0) return invalid(problems);
  const plan = plainOf<PitPlan>({ ...dto, scenarios });
  const unsaid = wordsProblems(plan, field);
  return unsaid.length > 0 ? invalid(unsaid) : { ok: true, value: plan };
}
