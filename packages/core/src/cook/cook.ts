/**
 * A cook that can be advanced, acted on and looked at: the one engine behind plans, forecasts, the
 * simulated thermometer and the command line.
 */
import { buildFire, fireStoreJPerK } from '../fire/catalogue';
import { createParcel } from '../fire/woodParcel';
import { CHUNK_MOISTURE_FRACTION } from '../fuel/catalogue';
import type { PieceVariation } from '../meat/variation';
import { bark, coreProbeC } from '../meat/piece';
import { FIRM_BARK } from '../meat/treatments';
import type { Surroundings } from '../meat/surface';
import { pitWith, presetOf } from '../pit/catalogue';
import { createPitState } from '../pit/state';
import type { PitState } from '../pit/pitState';
import { stepPit } from '../pit/step';
import { emptyFoodLoad } from '../pit/assembleHeat';
import { PLACES, type Place } from '../pit/layout';
import { requireFinite } from '../quantity/finite';
import { celsius, kelvin } from '../quantity/units';
import { applyAction, treatByRule } from './applyAction';
import { createThermostatFan, stepThermostatFan } from '../control/thermostatFan';
import {
  createCookingPiece,
  endPieceMinute,
  stepCookingPiece,
  type PieceOverrides,
} from './cookingPiece';
import { foodLoadOf, surroundings } from './grateAir';
import { emptySeries, recordPit, resultOf } from './result';
import { weatherAt } from '../air/weather';
import type { Result } from '../scenario/result';
import type { Scenario } from '../scenario/scenario';
import { recordPiece } from './meatResult';
import type { AirTrace, Cook } from './state';
import { besideThermostatFan, observe, type Operator } from '../control/operator';
import { createSimulatedOperator } from '../control/simulatedOperator';

/** How steps are chosen: from the largest change of any temperature in a step, K. */
export const STEP = {
  afterEventS: 2,
  mostS: 60,
  mostLivelyS: 30,
  mostFannedS: 15,
  mostWetS: 25,
  leastS: 1,
  growth: 1.4,
  calmK: 1.5,
  wildK: 4,
  wildFannedK: 2.5,
};
/** Below this much lit fuel (kg dry ash-free) the fire is out. */
const OUT_KG = 0.012;
/** How a cook may differ from its scenario with catalogue pieces. */
interface CookOptions {
  /** Changes each piece of meat (by order) from its catalogue. */
  variations?: PieceVariation[];
  /** The air at the grate where it is known: no pit is computed then. */
  airTrace?: AirTrace;
  /** Pieces cut into more cells than usual, or of another cut than the catalogue's. */
  pieceOverrides?: PieceOverrides;
  /** Somebody at the pit, beside the scenario's own actions. */
  operator?: Operator;
}

/**
 * A cook from its scenario, at minute 0. Throws RangeError for names not in a catalogue and for numbers that
 * are not finite.
 */
export function createCook(scenario: Scenario, options: CookOptions = {}): Cook {
  requireFinite(scenario, 'scenario');
  requireFinite(options.variations, 'variations');
  const { control } = scenario;
  const { variations = [], airTrace: air = null, pieceOverrides: pieces, operator } = options;
  const made = control.mode === 'held' || air ? null : createPit(scenario);
  const cook: Cook = {
    scenario,
    airTrace: air,
    pit: made?.pit ?? null,
    fan: null,
    operator: operator ?? null,
    pieces: scenario.meats.map((m, i) => createCookingPiece(m, variations[i], pieces)),
    foodLoad: emptyFoodLoad(PLACES.length),
    timeS: 0,
    nextMin: 0,
    stepS: STEP.afterEventS,
    pendingMeatS: 0,
    secondPace: false,
    lidUntilS: -1,
    doorUntilS: -1,
    panDry: false,
    pending: [...scenario.actions].sort((a, b) => a.atMin - b.atMin),
    happened: [],
    fuel: { startedKg: made?.startedKg ?? 0, addedKg: 0, outAtMin: null },
    result: emptySeries(made?.pit.layout.positions.map((p) => p.at) ?? ['middle']),
  };
  const preset = presetOf(scenario.cooker.preset);
  const fanned = control.mode === 'fan' || (control.mode === 'tended' && preset.hasFan);
  if (made && fanned) {
    cook.fan = createThermostatFan((control as { targetC: number }).targetC);
    cook.operator = operator ? besideThermostatFan(operator) : null;
    made.pit.intakeFraction = 0;
    made.pit.exhaustFraction = preset.fanExhaustFraction;
  }
  if (made && control.mode === 'tended' && !fanned)
    cook.operator ??= createSimulatedOperator(scenario, control.targetC);
  return cook;
}

/** The pit of a scenario with its fire just lit; null without a fire. */
function createPit(scenario: Scenario): { pit: PitState; startedKg: number } | null {
  const { fire } = scenario;
  if (!fire) return null;
  const preset = presetOf(scenario.cooker.preset);
  const own = pitWith(preset, scenario.cooker.overrides);
  const parameters = { ...own, metalJPerK: own.metalJPerK + fireStoreJPerK(fire) };
  const weather = weatherAt(scenario.weather, 0);
  const built = buildFire(fire, parameters);
  const pit = createPitState({
    parameters,
    layout: preset.layout(parameters),
    arrangement: built.arrangement,
    lit: built.lit,
    unlit: built.unlit,
    parcels: fire.woodChunks.map((c) =>
      createParcel({
        species: c.species,
        massKg: c.massG / 1000,
        moistureFraction: c.moistureFraction ?? CHUNK_MOISTURE_FRACTION,
        place: c,
        startK: kelvin(weather.airC),
      }),
    ),
    airC: weather.airC,
    altitudeM: weather.altitudeM,
    relativeHumidityFraction: weather.relativeHumidityFraction,
    fanFitted: scenario.control.mode === 'fan' || preset.hasFan,
  });
  return { pit, startedKg: built.boughtKg };
}

/** Advances a cook to `untilMin`, recording a row every `everyMin` on the way. */
export function advance(cook: Cook, untilMin: number): Cook {
  const until = untilMin * 60;
  const every = cook.scenario.everyMin;
  for (;;) {
    while (cook.pending.length > 0 && cook.pending[0]!.atMin * 60 <= cook.timeS + 1e-6) {
      applyAction(cook, cook.pending.shift()!);
    }
    closeLidAndDoorWhenDue(cook);
    if (cook.timeS >= cook.nextMin * 60 - 1e-6) {
      for (const g of cook.pieces) treatByRule(cook, endPieceMinute(g, cook.nextMin));
      beginSecondPace(cook);
      endPitMinute(cook);
      if (cook.nextMin % every === 0) {
        for (const g of cook.pieces) recordPiece(g);
        recordPit(cook, surroundings(cook, cook.nextMin).airC);
      }
      cook.nextMin += 1;
    }
    if (cook.timeS >= until - 1e-6) return cook;
    let dtS = Math.min(cook.stepS, until - cook.timeS, cook.nextMin * 60 - cook.timeS);
    if (cook.pending.length > 0) dtS = Math.min(dtS, cook.pending[0]!.atMin * 60 - cook.timeS);
    if (cook.pit?.lidOpen) dtS = Math.min(dtS, cook.lidUntilS - cook.timeS);
    if (cook.pit && cook.pit.doorFraction > 0) dtS = Math.min(dtS, cook.doorUntilS - cook.timeS);
    step(cook, Math.max(dtS, 0.05));
  }
}

/** Puts lid and door back when their time is over. */
function closeLidAndDoorWhenDue(cook: Cook): void {
  const { pit } = cook;
  if (pit?.lidOpen && cook.timeS >= cook.lidUntilS - 1e-6) {
    pit.lidOpen = false;
    cook.stepS = STEP.afterEventS;
  }
  if (pit && pit.doorFraction > 0 && cook.timeS >= cook.doorUntilS - 1e-6) {
    pit.doorFraction = 0;
    cook.stepS = STEP.afterEventS;
  }
}

/** The second pace of a scenario, once its first piece is so far. */
function beginSecondPace(cook: Cook): void {
  const { control } = cook.scenario;
  const [first] = cook.pieces;
  if (cook.secondPace || control.mode === 'held' || !control.then || first?.stage !== 'on') return;
  const { targetC, when } = control.then;
  const due =
    'coreC' in when ? coreProbeC(first.piece) >= when.coreC : bark(first.piece) >= FIRM_BARK;
  if (!due) return;
  cook.secondPace = true;
  applyAction(cook, { atMin: cook.nextMin, do: 'set-target', targetC });
}

/** Whole-minute bookkeeping of the fire: out or not, pan dry, and what an operator does about it. */
function endPitMinute(cook: Cook): void {
  const { pit } = cook;
  if (!pit) return;
  const out = pit.lit.kg < OUT_KG && pit.flaming < 0.3;
  if (out && cook.fuel.outAtMin === null) {
    cook.fuel.outAtMin = cook.nextMin;
    cook.happened.push({ atMin: cook.nextMin, do: 'fire-out' });
  } else if (!out) cook.fuel.outAtMin = null;
  if (pit.panIn && pit.waterKg < 0.02 && pit.ledger.waterGivenKg > 0.1 && !cook.panDry) {
    cook.panDry = true;
    cook.happened.push({ atMin: cook.nextMin, do: 'pan-dry' });
  } else if (pit.waterKg > 0.1) cook.panDry = false;
  if (!cook.operator) return;
  const fuel = cook.scenario.fire?.fuel ?? 'briquette';
  const seen = observe(pit, cook.nextMin, fuel, cook.lidUntilS);
  for (const a of cook.operator.decide(seen)) applyAction(cook, a);
}

/** Meat is slow: it takes steps of this length, s, or up to the whole minute, however short the fire's are. */
const MEAT_STEP_S = 20;

/** Steps every piece in the air of its own place. */
function stepMeat(cook: Cook, atMin: number, altitudeM: number): void {
  const smoke = cook.pit ? cook.pit.smokeGPerM3 * cook.pit.smokeStrength : 0;
  let air: Surroundings | null = null;
  let last: Place | undefined;
  for (const g of cook.pieces) {
    if (air === null || g.gratePlace !== last) air = surroundings(cook, atMin, g.gratePlace);
    last = g.gratePlace;
    stepCookingPiece(g, air, altitudeM, smoke, cook.pendingMeatS);
  }
}

function step(cook: Cook, dtS: number): void {
  const atMin = cook.timeS / 60;
  const weather = weatherAt(cook.scenario.weather, atMin);
  cook.pendingMeatS += dtS;
  const minuteEnds = cook.timeS + dtS >= cook.nextMin * 60 - 1e-6;
  if (cook.pendingMeatS >= MEAT_STEP_S || minuteEnds) {
    stepMeat(cook, atMin, weather.altitudeM);
    cook.pendingMeatS = 0;
  }
  if (cook.pit) {
    if (cook.fan) stepThermostatFan(cook.fan, cook.pit, dtS);
    const change = stepPit(cook.pit, weather, foodLoadOf(cook), dtS);
    if (change > (cook.fan ? STEP.wildFannedK : STEP.wildK))
      cook.stepS = Math.max(cook.stepS / 2, STEP.leastS);
    else if (change < STEP.calmK) cook.stepS *= STEP.growth;
    cook.stepS = Math.min(cook.stepS, maxStepS(cook, cook.pit));
  } else cook.stepS = Math.min(cook.stepS * STEP.growth, STEP.mostS);
  cook.timeS += dtS;
}

/** The longest step that still follows what goes on: a fan's turns, burning wood, a pan boiling dry. */
const maxStepS = (cook: Cook, pit: PitState): number =>
  cook.fan
    ? STEP.mostFannedS
    : pit.woodBurns
      ? STEP.mostLivelyS
      : pit.waterKg > 0
        ? STEP.mostWetS
        : STEP.mostS;

/** Runs a whole scenario. */
export function simulate(scenario: Scenario, options?: CookOptions): Result {
  return resultOf(advance(createCook(scenario, options), scenario.untilMin));
}

/** What a good probe at the grate reads now, C. */
export const pitReadingC = (cook: Cook): number =>
  cook.pit ? celsius(cook.pit.probeK) : surroundings(cook, cook.timeS / 60).airC;

/** What a good probe in a piece reads now, the first when left out, C; null while it is not out of the fridge. */
export function coreReadingC(cook: Cook, piece = 0): number | null {
  const cooking = cook.pieces[piece];
  return cooking && cooking.stage !== 'waiting' && cooking.stage !== 'off'
    ? coreProbeC(cooking.piece)
    : null;
}
