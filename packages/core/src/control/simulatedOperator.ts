/**
 * A simulated operator: does what a good cook does by a control policy, going by the probe, the clock and a
 * look at the fuel. It follows rules, as a person does; it does not search for the best move.
 */
import { CHARCOALS } from '../fuel/catalogue';
import { presetOf } from '../pit/catalogue';
import { clamp, roundTo } from '../quantity/units';
import type { Action } from '../scenario/actions';
import type { Scenario } from '../scenario/scenario';
import { withHoldingIntake, type ControlPolicy } from './controlPolicy';
import { habitPolicy } from './habitPolicy';
import type { Observation, Operator } from './operator';
import { probeTrendK, setVents, type OperatorState } from './operatorState';
import { feedSplits } from './splitFeeding';

/** How often the thermometer is looked at, min, and how many observations are remembered (an hour of them). */
const OBSERVE_EVERY_MIN = 5;
const REMEMBERED_OBSERVATIONS = 13;
/** The least charcoal put on at once, kg: a handful (common practice). */
const HANDFUL_KG = 0.31;
/** Least time between two top-ups, min (common practice). */
const TOP_UP_EVERY_MIN = 20;
/** Least time between two chimneys of glowing charcoal for one fire, min (common practice). */
const RELIT_EVERY_MIN = 60;
/** How long the lid is off for putting on charcoal, s. */
const LID_S = 40;
/** Share of its heat that glowing charcoal still holds on average: coals are half burnt. */
const HEAT_LEFT_IN_COALS = 0.5;
/** The pit is not judged for so long after its lid was off, min. */
const AFTER_LID_MIN = 15;
/** Walls have taken up their heat when the pit stands so far over its target, K. */
const SOAKED_OVER_K = 3;
/** So many moves of a vent at most while a charcoal fire settles, unless the pit is far off (common practice). */
const EARLY = { untilMin: 120, moves: 2, unlessOffK: 20 };
/** Where an opening is small, a move is this share of it at least. */
const SMALL_SHARE = 0.25;
/** From this intake on, share of the travel, the exhaust holds the fire back and is opened along with it. */
const WIDE_INTAKE = 0.6;

/** An operator for that scenario's pit; it goes by habit where no policy is given. */
export function createSimulatedOperator(
  scenario: Scenario,
  targetC: number,
  policy?: ControlPolicy,
): Operator {
  const preset = presetOf(scenario.cooker.preset);
  const fire = scenario.fire!;
  const by = policy ?? habitPolicy(preset, fire, targetC);
  const operator: OperatorState = {
    targetC,
    policy: by,
    preset,
    fire,
    retargeted: false,
    hasComeUp: false,
    cameUpMin: 0,
    soaked: false,
    earlyMoves: 0,
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
    decide: (observation) => decide(operator, observation),
    setTarget: (c) => retarget(operator, c),
  };
}

/** Another target: the vents that should hold it are set at the next look, and moved in small steps from there. */
function retarget(operator: OperatorState, targetC: number): void {
  const { policy } = operator;
  const folds = (targetC - operator.targetC) / policy.kelvinPerEFold;
  operator.targetC = targetC;
  if (folds === 0 || policy.feed) return;
  const intake = clamp(policy.hold.intake * Math.exp(folds), policy.finest.small, 1);
  operator.policy = withHoldingIntake(policy, intake);
  operator.retargeted = operator.hasComeUp;
}

/** What the operator does at this whole minute. */
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

/** A charcoal fire: closed down on the way up, then held by small moves with time between them. */
function holdByVents(operator: OperatorState, observation: Observation): Action[] {
  const { policy } = operator;
  const { soak } = policy;
  const { atMin } = observation;
  const under = operator.targetC - observation.pitC;
  if (!operator.hasComeUp) {
    if (under > policy.closeBelowK) return topUp(operator, observation, 0);
    operator.hasComeUp = true;
    operator.cameUpMin = atMin;
    operator.earlyMoves = 1;
    return [setIntake(operator, atMin, policy.hold.intake * (soak?.times ?? 1))];
  }
  if (operator.retargeted) {
    operator.retargeted = false;
    operator.soaked = true;
    return [setIntake(operator, atMin, policy.hold.intake)];
  }
  const done = topUp(operator, observation, under);
  if (done.length > 0) return done;
  const deadbandK = policy.deadbandK ?? Infinity;
  if (soak && !operator.soaked) {
    const over = Math.min(deadbandK, SOAKED_OVER_K);
    if (atMin - operator.cameUpMin < soak.forMin && under > -over) return [];
    operator.soaked = true;
    operator.earlyMoves++;
    return [setIntake(operator, atMin, policy.hold.intake)];
  }
  const early = atMin < EARLY.untilMin && Math.abs(under) < EARLY.unlessOffK;
  if (early && operator.earlyMoves >= EARLY.moves) return [];
  if (atMin - operator.lastMoveMin < policy.waitMin || Math.abs(under) < deadbandK) return [];
  // After the lid was open the pit recovers without a move.
  if (observation.sinceLidMin < AFTER_LID_MIN) return [];
  // No move where the pit is already on its way back.
  const expected = under - 0.8 * probeTrendK(operator);
  if (expected * under < 0 || Math.abs(expected) < deadbandK) return [];
  const fold = clamp((policy.gain * expected) / (0.9 * policy.kelvinPerEFold), -0.5, 0.5);
  const damp = exhaustMove(operator, atMin, fold);
  if (damp) return damp;
  const intake = worthwhileIntake(operator, clamp(operator.intake * Math.exp(fold), 0.015, 1));
  if (intake === operator.intake) return [];
  operator.earlyMoves++;
  return [setIntake(operator, atMin, intake)];
}

/** The intake that a person would set where `wanted` is due: nothing that is not worth a visit. */
function worthwhileIntake({ policy, intake }: OperatorState, wanted: number): number {
  const least = Math.min(policy.finest.move ?? 0, SMALL_SHARE * intake);
  const by = wanted - intake;
  if (Math.abs(by) < 0.5 * least) return intake;
  return nearestSettableOpening(policy, intake + Math.sign(by) * Math.max(Math.abs(by), least));
}

/** A leaky pit with its intake nearly shut is held back by the exhaust, which is opened again first. Null: not now. */
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

/** The nearest opening that a person can set. */
export function nearestSettableOpening({ finest }: ControlPolicy, fraction: number): number {
  const step = fraction < 0.1 ? finest.small : finest.wide;
  return clamp(roundTo(fraction, step), finest.small, 1);
}

/** The exhaust beside a wide intake: from its holding place to fully open, no faster than the intake. */
export const exhaustBeside = (hold: number, intake: number): number =>
  intake > WIDE_INTAKE ? hold + ((1 - hold) * (intake - WIDE_INTAKE)) / (1 - WIDE_INTAKE) : hold;

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
        ? nearestSettableOpening(policy, exhaustBeside(policy.hold.exhaust, intake))
        : Math.min(
            policy.hold.exhaust,
            operator.hasComeUp && operator.exhaust < policy.hold.exhaust ? operator.exhaust : 1,
          );
  return setVents(operator, atMin, intake, exhaust);
}

/** Charcoal when what is left would not last, or glowing charcoal where the fire has burnt too low; else nothing. */
function topUp(operator: OperatorState, observation: Observation, under: number): Action[] {
  const { policy } = operator;
  if (!policy.topUp) return [];
  const burnKgPerMin = burnRateOf(operator, observation, under);
  const needMin = (policy.untilMin ?? Infinity) - observation.atMin;
  const left = observation.unlitKg + HEAT_LEFT_IN_COALS * observation.litKg;
  const short = left < burnKgPerMin * Math.min(policy.topUp.belowMin, needMin);
  const starving = under > 10 && probeTrendK(operator) <= 0 && operator.intake > 0.9;
  const since = observation.atMin - operator.lastFeedMin;
  const relight = starving && since >= RELIT_EVERY_MIN;
  if (!(short || relight) || burnKgPerMin <= 0 || since < TOP_UP_EVERY_MIN) return [];
  const lastsMin = Math.min(policy.topUp.forMin, Math.max(needMin, 15));
  return putOn(operator, observation.atMin, burnKgPerMin * lastsMin, relight);
}

/** Puts on about so much charcoal, kg: lid off, ash shaken out, charcoal and chunks on. */
function putOn(operator: OperatorState, atMin: number, kg: number, relight: boolean): Action[] {
  const { policy, fire, preset } = operator;
  const pieceKg = CHARCOALS[fire.fuel].pieceKg;
  const pieces = Math.max(Math.round(HANDFUL_KG / pieceKg), Math.round(kg / pieceKg));
  operator.lastFeedMin = atMin;
  operator.addedKg += pieces * pieceKg;
  // The ash of a snake lies behind its fire: it is not in the way.
  const rake: Action[] = fire.arrangement === 'snake' ? [] : [{ atMin, do: 'rake' }];
  const lid: Action[] = preset.traits.gravityFed ? [] : [{ atMin, do: 'lid-open', seconds: LID_S }];
  const { chunks } = policy;
  const wood: Action[] = Array.from({ length: chunks?.count ?? 0 }, () => ({
    atMin,
    do: 'add-wood',
    species: chunks!.species,
    massG: chunks!.massG,
  }));
  // A fire that has burnt too low to light what is laid on it is given glowing charcoal.
  const charcoal: Action = { atMin, do: 'add-fuel', fuel: fire.fuel, pieces, lit: relight };
  const opened = relight && operator.intake !== nearestSettableOpening(policy, policy.hold.intake);
  const closeAgain = opened ? [setIntake(operator, atMin, policy.hold.intake)] : [];
  return [...lid, ...rake, charcoal, ...wood, ...closeAgain];
}

/** Charcoal burnt a minute while the pit is near its target, kg as bought; not learnt from while it is starved. */
function burnRateOf(operator: OperatorState, observation: Observation, under: number): number {
  const before = operator.history[0]!;
  const burnt = operator.history.at(-1)!.spentKg - before.spentKg;
  const perMin = burnt / Math.max(observation.atMin - before.atMin, 1);
  if (Math.abs(under) < 15 || operator.burnKgPerMin === 0)
    operator.burnKgPerMin = Math.max(perMin, 0.97 * operator.burnKgPerMin);
  return operator.burnKgPerMin;
}
