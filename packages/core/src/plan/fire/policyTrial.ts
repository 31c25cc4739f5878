/** A policy tried on a simulated pit, and how well it holds it. */
import { laterTarget, USUAL_LID_S } from '../../scenario/actions';
import { simulate } from '../../cook/cook';
import type { ControlPolicy } from '../../control/controlPolicy';
import type { Operator } from '../../control/operator';
import type { Action } from '../../scenario/actions';
import type { MeatSpec, Scenario } from '../../scenario/scenario';
import type { Result } from '../../scenario/result';
import { createSimulatedOperator } from '../../control/simulatedOperator';
import type { FireSpec } from '../../fire/fireSpec';
import { mean, rms } from '../../quantity/statistics';
import type { PitSetup } from './designFire';

/** From here on a pit should stand in its band where nothing lies on it, min after lighting. */
const JUDGED_FROM_MIN = 75;

/** From when a run is judged, min after lighting: from the minute the first meat goes on. */
export const judgedFromMin = (happened: Result['happened']): number =>
  happened.find((a) => a.do === 'meat-on')?.atMin ?? JUDGED_FROM_MIN;
const EVERY_MIN = 5;

/** What lies on the grate and when it goes on. */
export interface MeatSchedule {
  /** The meats. */
  meats: MeatSpec[];
  /** When each goes on, min after lighting. */
  onMin: number[];
}

/** The scenario of a setup with its load; no operator yet. */
export function plannedScenario(
  setup: PitSetup,
  weather: Scenario['weather'],
  schedule: MeatSchedule,
  untilMin: number,
  fire: FireSpec = setup.fire,
): Scenario {
  const { pit } = setup;
  const minutes = [...new Set(schedule.onMin)];
  const actions: Action[] = minutes.flatMap((atMin): Action[] => [
    { atMin, do: 'lid-open', seconds: USUAL_LID_S },
    ...schedule.meats.flatMap((m, i): Action[] =>
      schedule.onMin[i] === atMin ? [{ atMin, do: 'meat-on', meat: m.id }] : [],
    ),
  ]);
  return {
    ostrin: 'scenario/1',
    cooker: { preset: pit.cooker.preset, overrides: pit.cooker.overrides },
    fire,
    weather,
    control: {
      mode: setup.underFan ? 'fan' : 'vents',
      targetC: pit.pace.pitC,
      ...(pit.pace.then ? { then: { targetC: pit.pace.then.pitC, when: pit.pace.then.when } } : {}),
    },
    actions: actions.sort((a, b) => a.atMin - b.atMin),
    meats: schedule.meats,
    untilMin,
    everyMin: EVERY_MIN,
  };
}

/** The operator that holds it by a policy. */
export const operatorFor = (setup: PitSetup, scenario: Scenario, policy: ControlPolicy): Operator =>
  createSimulatedOperator(scenario, setup.pit.pace.pitC, policy);

/** How well a pit was held from the minute the meat went on. */
export interface HoldingScore {
  /** Mean of the pit, C. */
  meanC: number;
  /** Root mean square of what it was off, K. */
  rmsK: number;
  /** Share of the time outside the band, and white smoke's share. */
  outFraction: number;
  /** Share of the time with white smoke. */
  whiteFraction: number;
  /** Moves and feedings an hour. */
  visitsPerHour: number;
}

const VISIT_ACTIONS = new Set(['set-vents', 'add-fuel', 'add-wood', 'fill-water', 'rake']);

/** On its way from one pace to another a pit is not judged for so long, min. */
const CHANGES_MIN = 60;

/** Judges a run against its target, and against its second one from an hour after that began. */
export function scoreRun(result: Result, targetC: number, bandC: number): HoldingScore {
  const fromMin = judgedFromMin(result.happened);
  const from = result.minutes.findIndex((m) => m >= fromMin);
  const later = laterTarget(result.happened);
  const offK = result.pitC.slice(from).flatMap((c, i): number[] => {
    if (c === null) return [];
    const sinceMin = later ? result.minutes[from + i]! - later.atMin : -1;
    if (!later || sinceMin < 0) return [c - targetC];
    return sinceMin < CHANGES_MIN ? [] : [c - later.targetC];
  });
  const smoke = result.smoke.slice(from);
  const visits = new Set(
    result.happened
      .filter((a) => VISIT_ACTIONS.has(a.do) && a.atMin >= fromMin)
      .map((a) => a.atMin),
  );
  const hours = Math.max(((result.minutes.at(-1) ?? 0) - fromMin) / 60, 0.1);
  return {
    meanC: targetC + mean(offK),
    rmsK: rms(offK),
    outFraction: offK.filter((k) => Math.abs(k) > bandC).length / Math.max(offK.length, 1),
    whiteFraction:
      smoke.filter((s) => s === 'white' || s === 'dark').length / Math.max(smoke.length, 1),
    visitsPerHour: visits.size / hours,
  };
}

/** Runs a scenario under a policy. */
export const simulatePolicy = (
  setup: PitSetup,
  scenario: Scenario,
  policy: ControlPolicy,
): Result => simulate(scenario, { operator: operatorFor(setup, scenario, policy) });
