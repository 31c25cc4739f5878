/**
 * How much of a cook its pit stays in the band, in one true pit: by the plan's own jobs alone, by rules of thumb, and by
 * the advice. Counted from the first time the pit reached its band and its meat was on until the meat is done.
 */
import { leadMeat, pitOf } from '@ostrin/core';
import {
  actionsOfJobs,
  adviseNow,
  FEED_WITHIN_MIN,
  FollowedFire,
  INNER,
  MINUTE_MS,
  type Action,
  type Observation,
  type Operator,
  type PitPlan,
  type ProbeReading,
  type Scenario,
} from '@ostrin/core/internals';
import type { Case } from '../plans/requests';
import { ruleOfThumbOperator } from '../plans/ruleOfThumb';
import { trueCook, type TrueCook } from './truth';
import type { PlannedCase } from './truePit';

export type Way = 'advice' | 'planOnly' | 'rules';
export const WAYS: readonly Way[] = ['advice', 'planOnly', 'rules'];

/** One way of tending one cook. */
export interface Tended {
  /** Share of the time in the band after it was first reached with the meat on, 0 to 1. */
  inBand: number;
  /** Minutes at which somebody did something, after that, an hour. */
  visitsPerH: number;
}

/** Advice is asked for so often, min; the pit is read each minute. */
const ASKED_MIN = { charcoal: 10, splits: 5 };

/** The jobs of a plan, at their minutes; meat is put on and taken off by the cook itself. */
const jobsOf = (plan: PitPlan): Action[] =>
  actionsOfJobs(plan.jobs)
    .filter((a) => !('meat' in a))
    .map((a) => ({ ...a, atMin: Math.max(a.atMin, 0) }));

/** Does what the plan's jobs say, when they say it. */
function planOperator(plan: PitPlan, jobs = jobsOf(plan)): Operator {
  return {
    setTarget: () => undefined,
    decide: ({ atMin }) => jobs.filter((a) => Math.floor(a.atMin) === atMin),
  };
}

/** Does the same, and what is advised besides, with the wait that the advice asks for. */
function adviceOperator(scenario: Scenario, plan: PitPlan, owners: Scenario): Operator {
  const jobs = jobsOf(plan);
  const byPlan = planOperator(plan, jobs);
  const followed = new FollowedFire();
  const readings: ProbeReading[] = [];
  const done: Action[] = [...scenario.actions];
  const { pitC: target, bandC } = pitOf(plan).pace;
  const onSplits = pitOf(plan).fire.fuel === 'splits';
  const everyMin = ASKED_MIN[onSplits ? 'splits' : 'charcoal'];
  let waitUntil = 0;
  let reached = false;
  const advised = ({ atMin, pitC }: Observation): Action[] => {
    reached ||= pitC > target - bandC;
    if (!reached || atMin < waitUntil || atMin % everyMin !== 0) return [];
    // Nobody asks before it has left its inner band.
    if (!onSplits && Math.abs(pitC - target) < INNER * bandC) return [];
    const advice = adviseNow(
      {
        input: {
          scenario: owners,
          done: done.filter((a) => a.atMin <= atMin),
          ahead: jobs.filter((a) => a.atMin > atMin),
          nowMin: atMin,
          readings,
          piece: leadMeat(plan).id,
          members: 4,
          seed: 5,
        },
        plan,
        lines: [...done]
          .sort((a, b) => a.atMin - b.atMin)
          .map(({ atMin: at, ...action }, i) => ({
            id: String(i),
            at: at * MINUTE_MS,
            corrected: false,
            body: { kind: 'act' as const, action },
          })),
        nowMs: atMin * MINUTE_MS,
      },
      followed,
    );
    if (!advice || advice.move.do === 'leave') return [];
    // A split is watched from the next look on; other moves are waited for.
    waitUntil = atMin + (onSplits ? everyMin : advice.waitMin);
    const next = jobs.find((a) => a.do === 'add-fuel' && a.atMin >= atMin);
    if (advice.move.do === 'wait-with-fuel' && next) next.atMin += advice.move.minutes;
    if (
      advice.logs.some((a) => a.do === 'add-fuel') &&
      next &&
      next.atMin <= atMin + FEED_WITHIN_MIN
    ) {
      jobs.splice(jobs.indexOf(next), 1);
    }
    return advice.logs.map((log): Action => ({ ...log, atMin }));
  };
  return {
    setTarget: () => undefined,
    decide: (seen) => {
      readings.push({ atMin: seen.atMin, pitC: seen.pitC, coreC: null });
      const planned = byPlan.decide(seen);
      done.push(...planned);
      const more = advised(seen);
      done.push(...more);
      return [...planned, ...more];
    },
  };
}

function operatorOf(way: Way, owners: Scenario, truth: Scenario, plan: PitPlan): Operator {
  if (way === 'planOnly') return planOperator(plan);
  if (way === 'advice') return adviceOperator(truth, plan, owners);
  return ruleOfThumbOperator(truth.cooker.preset, truth.fire!, pitOf(plan).pace.pitC);
}

/** Tends one case in one way. */
export function tendCase(way: Way, c: Case, made: PlannedCase): Tended {
  const t = trueCook(c, made, {
    operator: (truth, plan) => operatorOf(way, made.scenario, truth, plan),
    untilMin: made.onMin + HOURS * 60,
  });
  return inBandOf(t);
}

/** So long after the meat went on a cook is judged at most, h. */
const HOURS = 8;

export function inBandOf(t: TrueCook): Tended {
  const first = t.truePitC.findIndex(
    (c, half) => half >= 2 * t.onMin && Math.abs(c - t.targetC) <= t.bandC,
  );
  if (first < 0 || (t.doneMin !== null && 2 * t.doneMin <= first))
    return { inBand: 0, visitsPerH: 0 };
  const after = t.truePitC.slice(first, t.doneMin === null ? undefined : 2 * t.doneMin);
  const inside = after.filter((c) => Math.abs(c - t.targetC) <= t.bandC).length;
  const minutes = new Set(
    t.done.filter((a) => a.atMin > first / 2).map((a) => Math.floor(a.atMin)),
  );
  return { inBand: inside / after.length, visitsPerH: minutes.size / (after.length / 120) };
}
