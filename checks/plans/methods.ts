/** Cooks a request in its true pit: by its plan, by rules of thumb, and by an operator without either. */
import { onlyPiece, onlyPit } from '@ostrin/core';
import { plan } from '@ostrin/core/engine';
import {
  charcoalKg,
  createSimulatedOperator,
  drawPieceVariation,
  drawLikelyPit,
  epochOf,
  policyOf,
  maxHoldMin,
  MINUTE_MS,
  pitWith,
  presetOf,
  runUntilDone,
  seeded,
  seedFrom,
  usualFire,
  weatherFromLighting,
  type FireSpec,
  type Operator,
  type Plan,
  type Request,
  type Scenario,
} from '@ostrin/core/internals';
import { ruleOfThumbOperator } from './ruleOfThumb';
import { askedMs, type Case } from './requests';

/** Judged from so long after lighting, and after the cold food went on, until the food is ready, min. */
const SETTLED = { lit: 90, loaded: 60 };
const LONGEST_MIN = 1500;

/** How one way went in one true pit. */
export interface MethodOutcome {
  /** Squares and minutes from the minute the meat went on, the bring-up's faults included, to be pooled. */
  onSquares: number;
  onMinutes: number;
  onOutMin: number;
  /** Squares and minutes over the settled time, to be pooled. */
  squares: number;
  minutes: number;
  outMin: number;
  rmsK: number;
  /** Fuel laid and stacked over fuel burnt by the time it was ready, and whether it ran out. */
  loadedKg: number;
  neededKg: number;
  ranOut: boolean;
  /** Ready before (-) or after the latest good moment, min; inside the wanted window or not. */
  lateMin: number;
  inWindow: boolean;
  visits: number;
}

interface Method {
  cooker: Scenario['cooker'];
  fire: FireSpec;
  operator: (scenario: Scenario) => Operator;
  /** Meat on, and the serving time, min after lighting. */
  onMin: number;
  serveMin: number;
  /** Fuel besides the fire's own that stands by, kg: put on it counts as loaded, beyond it there is none. */
  standbyKg: number;
  stackedKg: number;
}

/** Middle of the rule's range, hours for each kg of trimmed mass (ribs: hours), slow and steady. */
const RULE_HOURS = {
  'pork-shoulder': { slow: 2.5, steady: 2.2 },
  brisket: { slow: 1.85, steady: 1.475 },
  'spare-ribs': { slow: 5.5, steady: 5.5 },
} as const;
const STEADY_FROM_C = 128;
/** The rule starts so that it is done so long before serving, min. */
const RULE_EARLY_MIN = 90;

/** Meat on by rule of thumb, min after lighting: so long after the pit has come up. */
const ruleOnMin = (request: Request): number =>
  presetOf(onlyPit(request).cooker.preset).bringUp.minutes + 15;

function ruleServeMin(request: Request): number {
  const meat = onlyPiece(request);
  const hours = RULE_HOURS[meat.cut as keyof typeof RULE_HOURS];
  const each = onlyPit(request).pace.pitC > STEADY_FROM_C ? hours.steady : hours.slow;
  const cook = 60 * each * (meat.cut === 'spare-ribs' ? 1 : meat.massKg!);
  return ruleOnMin(request) + cook + RULE_EARLY_MIN;
}

/** The fire as rules of thumb build it. */
function ruleFire(request: Request): FireSpec {
  const { cooker, fire } = onlyPit(request);
  const preset = presetOf(cooker.preset);
  const usual = usualFire(preset, fire.arrangement);
  if (fire.fuel === 'splits') return usual;
  if (usual.arrangement === 'coal-bed') {
    return { ...usual, fuel: fire.fuel, massKg: 1.5, litMassKg: 1.5 };
  }
  // A snake for eight hours, whatever the weather: T1 of the checks.
  const arc = usual.arrangement === 'snake' ? { arcDegrees: 290 } : {};
  return { ...usual, fuel: fire.fuel, ...arc };
}

function methodOfPlan(made: Plan): Method {
  const zone = made.request.timeZone;
  const lit = epochOf(made.lightAt, zone);
  const min = (local: string): number => (epochOf(local, zone) - lit) / MINUTE_MS;
  const [planned, policy] = [made.fires[0]!, made.guides[0]!];
  const { pitC } = onlyPit(made.request).pace;
  const splits = planned.feeding.filter((f) => f.what === 'splits');
  const charcoal = planned.feeding.filter((f) => f.what !== 'splits');
  const fed = (list: typeof splits): number => list.reduce((kg, f) => kg + f.massKg * f.count, 0);
  return {
    cooker: made.scenarios[0]!.cooker,
    fire: made.scenarios[0]!.fire!,
    operator: (s) => createSimulatedOperator(s, pitC, policyOf(policy)),
    onMin: min(made.meatOnAt[0]!),
    serveMin: min(made.serveAt),
    standbyKg: fed(charcoal) + (splits.length > 0 ? Infinity : planned.reserveKg),
    stackedKg: splits.length > 0 ? fed(splits) + planned.reserveKg : Infinity,
  };
}

/** One way in the true pit. */
function runMethod(request: Request, way: Method, seed: number): MethodOutcome {
  const { pace } = onlyPit(request);
  const { cooker } = way;
  const preset = presetOf(cooker.preset);
  const meat = onlyPiece(request);
  const scenario: Scenario = {
    ostrin: 'scenario/1',
    cooker,
    fire: way.fire,
    weather: weatherFromLighting(
      request.weather,
      request.timeZone,
      epochOf(request.serveAt, request.timeZone) - way.serveMin * MINUTE_MS,
    ),
    control: { mode: preset.hasFan ? 'fan' : 'vents', targetC: pace.pitC },
    actions: [
      { atMin: way.onMin, do: 'lid-open', seconds: 60 },
      { atMin: way.onMin, do: 'meat-on', meat: meat.id },
    ],
    meats: [
      {
        id: meat.id,
        cut: meat.cut,
        massKg: meat.massKg!,
        startC: 4,
        wrap: meat.wrap.with === 'none' ? undefined : meat.wrap,
        done: 'plateC' in meat.done ? { coreC: meat.done.plateC } : meat.done,
        rest: meat.rest,
      },
    ],
    untilMin: LONGEST_MIN,
    everyMin: 1,
  };
  const random = seeded(seed);
  const drawn = drawLikelyPit(scenario, pitWith(preset, cooker.overrides), random);
  const variations = [drawPieceVariation(random)];
  const operator = drawn.withItsProbe(way.operator(drawn.scenario));
  const { result, endMin } = runUntilDone(drawn.scenario, { operator, variations });
  const ready = onlyPiece(result).doneAtMin ?? LONGEST_MIN;
  const from = Math.max(SETTLED.lit, way.onMin + SETTLED.loaded);
  const judged = result.pitC.slice(from, ready + 1).map((c) => (c ?? 0) - pace.pitC);
  const sumSquares = (of: number[]): number => of.reduce((sum, k) => sum + k * k, 0);
  const outOf = (of: number[]): number => of.filter((k) => Math.abs(k) > pace.bandC).length;
  const squares = sumSquares(judged);
  const sinceOn = result.pitC.slice(way.onMin, ready + 1).map((c) => (c ?? 0) - pace.pitC);
  const latest = way.serveMin - meat.rest.minutes;
  const earliest = way.serveMin - maxHoldMin(meat);
  const { fuel } = result;
  const share = Math.min(ready / endMin, 1);
  const wood = (fuel.woodGivenKg - fuel.woodLeftKg) * share;
  const onSplits = Number.isFinite(way.stackedKg);
  const charcoal = fuel.burnedKg * share;
  // What goes on once the meat is off is no longer for it.
  const addedKg = result.happened.reduce(
    (kg, a) =>
      a.do === 'add-fuel' && a.fuel !== 'splits' && a.atMin <= ready ? kg + charcoalKg(a) : kg,
    0,
  );
  return {
    onSquares: sumSquares(sinceOn),
    onMinutes: sinceOn.length,
    onOutMin: outOf(sinceOn),
    squares,
    minutes: judged.length,
    outMin: outOf(judged),
    rmsK: Math.sqrt(squares / Math.max(judged.length, 1)),
    loadedKg: fuel.startedKg + (onSplits ? fuel.addedKg * share + way.stackedKg : addedKg),
    neededKg: onSplits ? fuel.startedKg + fuel.addedKg * share + wood : charcoal,
    ranOut:
      (fuel.outAtMin !== null && fuel.outAtMin < ready) ||
      wood > way.stackedKg ||
      (!onSplits && addedKg > way.standbyKg + 1e-6),
    lateMin: ready - latest,
    inWindow: ready <= latest && ready >= earliest,
    visits: new Set(
      result.happened
        .filter((a) => ['set-vents', 'add-fuel', 'add-wood', 'lid-open', 'wrap'].includes(a.do))
        .map((a) => a.atMin),
    ).size,
  };
}

export const METHODS = ['plan', 'rules', 'tended'] as const;
export type MethodName = (typeof METHODS)[number];

/** All three ways of one case, in the same pit, with the same piece and thermometer. */
export function runAllMethods(c: Case): Record<MethodName, MethodOutcome> {
  const { request } = c;
  const { pitC } = onlyPit(request).pace;
  const { preset } = onlyPit(request).cooker;
  const nowMs = askedMs(request);
  const seed = seedFrom(c.truth);
  const fire = ruleFire(request);
  const thumb = {
    cooker: onlyPit(request).cooker,
    fire,
    onMin: ruleOnMin(request),
    serveMin: ruleServeMin(request),
    standbyKg: Infinity,
    stackedKg: Infinity,
  };
  return {
    plan: runMethod(request, methodOfPlan(plan(request, { nowMs, members: 60 })), seed),
    rules: runMethod(
      request,
      { ...thumb, operator: () => ruleOfThumbOperator(preset, fire, pitC) },
      seed,
    ),
    tended: runMethod(
      request,
      { ...thumb, operator: (s) => createSimulatedOperator(s, pitC) },
      seed,
    ),
  };
}
