/** A plan as it stands after what was done: another pace, food that was added, splits as they were fed. */
import type { PlanJob } from '../plan/document/plan';
import { pitOf, type PitPlan } from '../plan/document/pitPlan';
import type { RequestMeat } from '../plan/request/types';
import { cutOf } from '../meat/cuts';
import { usualRest } from '../meat/usualTreatment';
import { localOf, MINUTE_MS } from '../quantity/time';
import type { MeatSpec, Scenario } from '../scenario/scenario';
import { withRhythm } from './feeds';
import { litAtMs, type Log } from './log';

/** Food that goes on later is followed for so long, min. */
const FOLLOWED_MIN = 720;

/** A scenario with one piece more, which goes on at `onMin`, min after lighting. */
export const withFood = (scenario: Scenario, food: MeatSpec, onMin: number): Scenario => ({
  ...scenario,
  meats: [...scenario.meats, food],
  untilMin: Math.max(scenario.untilMin, Math.ceil(onMin) + FOLLOWED_MIN),
});

/** Food that was added during a cook, with when it went on and was expected to be done, epoch ms. */
interface AddedFood {
  food: MeatSpec;
  onMs: number;
  offMs: number;
}

/** What was added, in the order in which it went on. */
export const addedFoods = ({ lines }: Pick<Log, 'lines'>): AddedFood[] =>
  lines.flatMap(({ at, body }) =>
    body.kind === 'add-food' ? [{ food: body.food, onMs: at, offMs: body.offAt }] : [],
  );

type Changeable = Pick<PitPlan, 'request' | 'scenarios' | 'jobs'>;

/**
 * The plan as it is now: the last target that was set stands over the planned one, added food is among its meats with a
 * job for each to come off, and feeds are as far apart as they are given.
 */
export function planAsChanged<P extends Changeable>(plan: P, log: Log): P {
  return withRhythm(withFoods(withTarget(plan, log), log), log);
}

function withTarget<P extends Changeable>(plan: P, log: Log): P {
  const set = log.lines.findLast(
    ({ body, jobId }) =>
      body.kind === 'act' && body.action.do === 'set-target' && jobId !== 'light',
  );
  if (set?.body.kind !== 'act' || set.body.action.do !== 'set-target') return plan;
  const { targetC: pitC } = set.body.action;
  const pit = pitOf(plan);
  if (pit.pace.pitC === pitC) return plan;
  const pits: typeof plan.request.pits = [{ ...pit, pace: { ...pit.pace, pitC } }];
  return { ...plan, request: { ...plan.request, pits } };
}

function withFoods<P extends Changeable>(plan: P, log: Log): P {
  const added = addedFoods(log);
  if (added.length === 0) return plan;
  const [scenario] = plan.scenarios;
  const litMs = litAtMs(log);
  const onMin = ({ onMs }: AddedFood): number => (onMs - (litMs ?? onMs)) / MINUTE_MS;
  return {
    ...plan,
    request: {
      ...plan.request,
      meats: [...plan.request.meats, ...added.map(({ food }) => requestMeatOf(food))],
    },
    scenarios: [added.reduce((s, a) => withFood(s, a.food, onMin(a)), scenario)],
    jobs: litMs === null ? plan.jobs : [...plan.jobs, ...added.map((a) => offJob(plan, a, litMs))],
  };
}

const offJob = (plan: Changeable, { food, offMs }: AddedFood, litMs: number): PlanJob => ({
  id: `off ${food.id}`,
  at: localOf(offMs, plan.request.timeZone),
  atMin: Math.round((offMs - litMs) / MINUTE_MS),
  do: 'meat-off',
  facts: {
    kind: 'food-off',
    cut: food.cut,
    pieces: food.count ?? 1,
    done: food.done ?? { tender: true },
  },
  logs: [{ do: 'meat-off', meat: food.id }],
});

const requestMeatOf = ({ id, cut, massKg, count, done, rest }: MeatSpec): RequestMeat => ({
  id,
  cut,
  massKg,
  pieces: count ?? 1,
  wrap: { with: 'none' },
  done: done ?? { tender: true },
  rest: rest ?? usualRest(cutOf(cut)),
});
