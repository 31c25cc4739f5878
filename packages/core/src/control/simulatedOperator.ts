/**
 * A simulated tender: does what a good cook does with a guide in hand, going by the probe, the clock and a
 * look at the fuel. Every hold on the pit is a rule of the hand, not a search.
 */
import { CHARCOALS } from '../fuel/catalogue';
import { presetOf } from '../pit/catalogue';
import { clamp, roundTo } from '../quantity/units';
import { habitPolicy, type ControlPolicy } from './controlPolicy';
import type { Operator, Observation } from './operator';
import type { Action, Scenario } from '../scenario/scenario';
import { feedSplits } from './splitFeeding';
import { setVents, probeTrendK, type OperatorState } from './operatorState';

/** Looks at the thermometer this often, min, and remembers an hour of it. */
const OBSERVE_EVERY_MIN = 5;
const REMEMBERED_OBSERVATIONS = 13;
/** Charcoal put on at once: a handful at least, else an hour's worth (common practice). */
const HANDFUL_KG = 0.31;
const TOP_UP_EVERY_MIN = 20;
/** Nobody lights a chimney oftener than this for one fire, min. */
const RELIT_EVERY_MIN = 60;
const LID_S = 40;
/** Share of glowing charcoal that still gives its heat (by eye: coals are half burnt). */
const STILL_IN_COALS = 0.5;
/** A pit is not judged for so long after its lid was off, min. */
const AFTER_LID_MIN = 15;
/** With the intake this far open the exhaust is what holds a fire back: it is opened with it from there on. */
const WIDE_INTAKE = 0.6;

/** A tender for that scenario's pit, going by habit where there is no guide. */
export function createSimulatedOperator(
  scenario: Scenario,
  targetC: number,
  policy?: ControlPolicy,
): Operator {
  const preset = presetOf(scenario.cooker.preset);
  const fire = scenario.fire!;
  const by = policy ?? habitPolicy(preset, fire, targetC);
  const t: OperatorState = {
    targetC,
    policy: by,
    preset,
    fire,
    hasComeUp: false,
    intake: by.up.intake,
    exhaust: by.up.exhaust,
    lastMoveMin: 0,
    lastFeedMin: 0,
    splitKg: by.feed?.kg ?? 0,
    history: [],
    addedKg: 0,
    burnKgPerMin: 0,
  };
  return {
    decide: (observation) => decide(t, observation),
    setTarget: (c) => {
      t.targetC = c;
    },
  };
}

/** What the tender does at this whole minute. */
function decide(operator: OperatorState, observation: Observation): Action[] {
  if (observation.atMin === 0)
    return [setVents(operator, 0, operator.policy.up.intake, operator.policy.up.exhaust)];
  if (observation.atMin % OBSERVE_EVERY_MIN !== 0) return [];
  operator.history.push({
    ...observation,
    spentKg: operator.addedKg - observation.unlitKg - observation.litKg,
  });
  if (operator.history.length > REMEMBERED_OBSERVATIONS) operator.history.shift();
  return operator.policy.feed
    ? feedSplits(operator, operator.policy.feed, observation)
    : holdByVents(operator, observation);
}

/** A charcoal fire: close down on the way up, then small moves with time between them. */
function holdByVents(operator: OperatorState, observation: Observation): Action[] {
  const { policy } = operator;
  const { atMin } = observation;
  const under = operator.targetC - observation.pitC;
  if (!operator.hasComeUp) {
    if (under > policy.closeBelowK) return topUp(operator, observation, 0);
    operator.hasComeUp = true;
    return [setIntake(operator, atMin, policy.hold.intake)];
  }
  const done = topUp(operator, observation, under);
  if (done.length > 0) return done;
  if (atMin - operator.lastMoveMin < policy.waitMin || Math.abs(under) < policy.deadbandK)
    return [];
  // The dip of an open lid mends itself.
  if (observation.sinceLidMin < AFTER_LID_MIN) return [];
  // On its way already: leave it.
  const expected = under - 0.8 * probeTrendK(operator);
  if (expected * under < 0 || Math.abs(expected) < policy.deadbandK) return [];
  const fold = clamp((policy.gain * expected) / (0.9 * policy.kelvinPerEFold), -0.5, 0.5);
  const damp = exhaustMove(operator, atMin, fold);
  if (damp) return damp;
  const intake = clamp(operator.intake * Math.exp(fold), 0.015, 1);
  return nearestSettableOpening(policy, intake) === operator.intake
    ? []
    : [setIntake(operator, atMin, intake)];
}

/** With the intake nearly shut it is the exhaust that holds a leaky pit back; it is opened again first. */
function exhaustMove(operator: OperatorState, atMin: number, fold: number): Action[] | null {
  const { policy } = operator;
  if (policy.exhaustPerIntake !== null) return null;
  const damped = operator.exhaust < policy.hold.exhaust;
  const shut = operator.intake <= 2 * policy.finest.small;
  if (!(damped && fold > 0) && !(shut && fold < 0)) return null;
  const exhaust = clamp(
    nearestSettableOpening(policy, operator.exhaust * Math.exp(2 * fold)),
    policy.finest.wide,
    policy.hold.exhaust,
  );
  return exhaust === operator.exhaust ? [] : [setVents(operator, atMin, operator.intake, exhaust)];
}

/** The nearest opening that a hand can set. */
export function nearestSettableOpening({ finest }: ControlPolicy, fraction: number): number {
  const step = fraction < 0.1 ? finest.small : finest.wide;
  return clamp(roundTo(fraction, step), finest.small, 1);
}

/** The exhaust beside a wide intake: from its holding place to fully open, no faster than the intake. */
const exhaustAlongside = (hold: number, intake: number): number =>
  hold + ((1 - hold) * (intake - WIDE_INTAKE)) / (1 - WIDE_INTAKE);

/** Sets the intake, and the exhaust with it where it goes along. */
function setIntake(
  operator: OperatorState,
  atMin: number,
  fraction: number,
): Action & { do: 'set-vents' } {
  const { policy } = operator;
  const intake = nearestSettableOpening(policy, fraction);
  const exhaust =
    policy.exhaustPerIntake !== null
      ? clamp(nearestSettableOpening(policy, policy.exhaustPerIntake * intake), 0.05, 1)
      : intake > WIDE_INTAKE
        ? nearestSettableOpening(policy, exhaustAlongside(policy.hold.exhaust, intake))
        : Math.min(
            policy.hold.exhaust,
            operator.hasComeUp && operator.exhaust < policy.hold.exhaust ? operator.exhaust : 1,
          );
  return setVents(operator, atMin, intake, exhaust);
}

/** A handful of charcoal when what is left would not last; never under a deflector. */
function topUp(operator: OperatorState, observation: Observation, under: number): Action[] {
  const { policy, fire, preset } = operator;
  if (!policy.topUp) return [];
  const pace = burnRateOf(operator, observation, under);
  const needMin = policy.untilMin - observation.atMin;
  const left = observation.unlitKg + STILL_IN_COALS * observation.litKg;
  const short = left < pace * Math.min(policy.topUp.belowMin, needMin);
  const starving = under > 10 && probeTrendK(operator) <= 0 && operator.intake > 0.9;
  const since = observation.atMin - operator.lastFeedMin;
  const relight = starving && since >= RELIT_EVERY_MIN;
  if (!(short || relight) || pace <= 0 || since < TOP_UP_EVERY_MIN) return [];
  operator.lastFeedMin = observation.atMin;
  const piece = CHARCOALS[fire.fuel].pieceKg;
  const lastsMin = Math.min(policy.topUp.forMin, Math.max(needMin, 15));
  const pieces = Math.max(Math.round(HANDFUL_KG / piece), Math.round((pace * lastsMin) / piece));
  operator.addedKg += pieces * piece;
  const { atMin } = observation;
  // Ash is shaken out before fresh charcoal goes on; a snake's lies behind it.
  const ash: Action[] = fire.arrangement === 'snake' ? [] : [{ atMin, do: 'rake' }];
  const open: Action[] =
    preset.family === 'hopper' ? [] : [{ atMin, do: 'lid-open', seconds: LID_S }];
  const { chunks } = policy;
  const wood: Action[] = Array.from({ length: chunks?.count ?? 0 }, () => ({
    atMin,
    do: 'add-wood',
    species: chunks!.species,
    massG: chunks!.massG,
  }));
  // A fire that has burnt too far down to catch what is laid on it is given glowing charcoal.
  const charcoal: Action = { atMin, do: 'add-fuel', fuel: fire.fuel, pieces, lit: relight };
  const closed = relight && operator.intake !== nearestSettableOpening(policy, policy.hold.intake);
  const back = closed ? [setIntake(operator, atMin, policy.hold.intake)] : [];
  return [...open, ...ash, charcoal, ...wood, ...back];
}

/** Charcoal burnt a minute while the pit stands where it should, kg as bought; a starved fire teaches nothing. */
function burnRateOf(operator: OperatorState, observation: Observation, under: number): number {
  const before = operator.history[0]!;
  const burnt = operator.history.at(-1)!.spentKg - before.spentKg;
  const perMin = burnt / Math.max(observation.atMin - before.atMin, 1);
  if (Math.abs(under) < 15 || operator.burnKgPerMin === 0)
    operator.burnKgPerMin = Math.max(perMin, 0.97 * operator.burnKgPerMin);
  return operator.burnKgPerMin;
}
