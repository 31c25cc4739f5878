/**
 * A cook that can be advanced, acted on and looked at: the one engine behind plans, forecasts, the
 * stand-in thermometer and the command line.
 */
import { pressureAt } from '../air/moist';
import { createChunk } from '../fire/chunk';
import { createSnake } from '../fire/snake';
import { CHARCOALS, dafShare } from '../fuel/catalogue';
import type { MeatSpread } from '../meat/piece';
import { coreC, waterResidualKg } from '../meat/piece';
import type { Surroundings } from '../meat/surface';
import { pitWith, presetOf } from '../pit/catalogue';
import { applyVents, ashPerDaf, createPitState, GRATE, storedJ, type PitState } from '../pit/state';
import { radiantC, stepPit, type FoodLoad } from '../pit/step';
import { celsius, kelvin } from '../quantity/units';
import {
  createGuest,
  minuteOfGuest,
  recordGuest,
  stepGuest,
  takeOff,
  wrapGuest,
  type Guest,
} from './guest';
import { heldSurroundings } from './held';
import { weatherAt, type Action, type Result, type Scenario, type Smoke } from './scenario';

/** Fuel in the units of the shelf, kg as bought. */
interface Fuel {
  startedKg: number;
  addedKg: number;
  outAtMin: number | null;
}

export interface Cook {
  scenario: Scenario;
  pit: PitState | null;
  guests: Guest[];
  atS: number;
  nextMin: number;
  stepS: number;
  lidUntilS: number;
  pending: Action[];
  happened: Action[];
  fuel: Fuel;
  result: Pick<
    Result,
    'minutes' | 'pitC' | 'domeC' | 'fireC' | 'smoke' | 'smokeUnburntGPerM3' | 'frontDegrees'
  >;
}

const STEP = { afterEventS: 2, mostS: 60, growth: 1.4, calmK: 3, wildK: 7 };
/** Below this much lit fuel (kg dry ash-free) the fire is out. */
const OUT_KG = 0.012;
/** Air speed at the grate per kg/s of draught, m/s, and at rest (about 0.1-0.6 m/s in all). */
const SPEED = { still: 0.18, perKgPerS: 70, most: 0.6 };

/**
 * A cook from its scenario, at minute 0. `spreads` changes each piece of meat (by order) from its
 * catalogue; leave it out for the middle of the road. Throws RangeError for names not in a catalogue.
 */
export function createCook(scenario: Scenario, spreads: MeatSpread[] = []): Cook {
  const weather = weatherAt(scenario.weather, 0);
  const fire = scenario.fire;
  let pit: PitState | null = null;
  let startedKg = 0;
  if (scenario.control.mode !== 'held' && fire) {
    const preset = presetOf(scenario.cooker.preset);
    const charcoal = CHARCOALS[fire.fuel];
    const physics = pitWith(preset, scenario.cooker.overrides);
    const snake = createSnake(fire, charcoal, physics.diameterM, fire.litPieces);
    startedKg = (snake.unlitKg() + snake.litKg) / dafShare(charcoal);
    pit = createPitState(
      physics,
      charcoal,
      snake,
      snake.litKg,
      fire.woodChunks.map((c) =>
        createChunk(c.species, c.massG / 1000, c.atArcDegrees, kelvin(weather.airC)),
      ),
      weather.airC,
      weather.altitudeM,
    );
  }
  return {
    scenario,
    pit,
    guests: scenario.meats.map((m, i) => createGuest(m, spreads[i])),
    atS: 0,
    nextMin: 0,
    stepS: STEP.afterEventS,
    lidUntilS: -1,
    pending: [...scenario.actions].sort((a, b) => a.atMin - b.atMin),
    happened: [],
    fuel: { startedKg, addedKg: 0, outAtMin: null },
    result: {
      minutes: [],
      pitC: [],
      domeC: [],
      fireC: [],
      smoke: [],
      smokeUnburntGPerM3: [],
      frontDegrees: [],
    },
  };
}

/** Carries out an action now. */
export function act(cook: Cook, action: Action): void {
  const { pit } = cook;
  const guest = 'meat' in action ? cook.guests.find((g) => g.spec.id === action.meat) : undefined;
  switch (action.do) {
    case 'set-vents':
      if (!pit) break;
      pit.intakeFraction = action.intakeFraction;
      pit.exhaustFraction = action.exhaustFraction;
      applyVents(pit);
      break;
    case 'lid-open':
      if (!pit) break;
      pit.lidOpen = true;
      cook.lidUntilS = Math.max(cook.lidUntilS, cook.atS + action.seconds);
      applyVents(pit);
      break;
    case 'add-fuel':
      if (pit) addFuel(cook, pit, action.pieces, action.lit);
      break;
    case 'add-wood':
      if (!pit) break;
      pit.chunks.push(
        createChunk(action.species, action.massG / 1000, pit.snake.frontDegrees(), pit.referenceK),
      );
      break;
    case 'meat-on':
      if (guest && guest.place === 'waiting') guest.place = 'on';
      break;
    case 'meat-off':
      if (guest) takeOff(guest, cook.atS / 60);
      break;
    case 'wrap':
      if (guest && action.with !== 'none') wrapGuest(guest, action.with, cook.atS / 60);
      else if (guest) guest.piece.wrap = 'none';
      break;
    case 'unwrap':
      if (guest) guest.piece.wrap = 'none';
      break;
  }
  cook.happened.push(action);
  cook.stepS = STEP.afterEventS;
}

function addFuel(cook: Cook, pit: PitState, pieces: number, lit: boolean): void {
  const bought = pieces * pit.charcoal.pieceKg;
  const daf = bought * dafShare(pit.charcoal);
  cook.fuel.addedKg += bought;
  if (!lit) {
    pit.snake.extend(daf);
    return;
  }
  // Glowing fuel brings its heat with it; the ledger starts from there.
  const before = storedJ(pit);
  pit.litKg += daf;
  pit.ledger.storedStartJ += storedJ(pit) - before;
}

/** Advances a cook to `untilMin`, recording a row every `everyMin` on the way. */
export function advance(cook: Cook, untilMin: number): Cook {
  const until = untilMin * 60;
  const every = cook.scenario.everyMin;
  for (;;) {
    while (cook.pending.length > 0 && cook.pending[0]!.atMin * 60 <= cook.atS + 1e-6) {
      act(cook, cook.pending.shift()!);
    }
    if (cook.pit?.lidOpen && cook.atS >= cook.lidUntilS - 1e-6) {
      cook.pit.lidOpen = false;
      applyVents(cook.pit);
      cook.stepS = STEP.afterEventS;
    }
    if (cook.atS >= cook.nextMin * 60 - 1e-6) {
      for (const g of cook.guests) cook.happened.push(...minuteOfGuest(g, cook.nextMin));
      noteOut(cook);
      if (cook.nextMin % every === 0) record(cook);
      cook.nextMin += 1;
    }
    if (cook.atS >= until - 1e-6) return cook;
    let dt = Math.min(cook.stepS, until - cook.atS, cook.nextMin * 60 - cook.atS);
    if (cook.pending.length > 0) dt = Math.min(dt, cook.pending[0]!.atMin * 60 - cook.atS);
    if (cook.pit?.lidOpen) dt = Math.min(dt, cook.lidUntilS - cook.atS);
    step(cook, Math.max(dt, 0.05));
  }
}

const food: FoodLoad = { fromGasW: 0, fromWallsW: 0, vapourKgPerS: 0 };

function step(cook: Cook, dt: number): void {
  const atMin = cook.atS / 60;
  const weather = weatherAt(cook.scenario.weather, atMin);
  const air = surroundings(cook, atMin);
  food.fromGasW = food.fromWallsW = food.vapourKgPerS = 0;
  for (const g of cook.guests) {
    stepGuest(g, air, weather.altitudeM, dt);
    if (g.place !== 'on') continue;
    const count = g.spec.count ?? 1;
    food.fromGasW += count * g.piece.heatW * g.piece.airShare;
    food.fromWallsW += count * g.piece.heatW * (1 - g.piece.airShare);
    food.vapourKgPerS += count * g.piece.vapourKgPerS;
  }
  if (cook.pit) {
    const change = stepPit(cook.pit, weather, food, dt);
    if (change > STEP.wildK) cook.stepS = Math.max(cook.stepS / 2, 1);
    else if (change < STEP.calmK) cook.stepS = Math.min(cook.stepS * STEP.growth, STEP.mostS);
  } else cook.stepS = Math.min(cook.stepS * STEP.growth, STEP.mostS);
  cook.atS += dt;
}

/** What the meat on the grate feels now. */
function surroundings(cook: Cook, atMin: number): Surroundings {
  const { control, weather } = cook.scenario;
  const w = weatherAt(weather, atMin);
  if (!cook.pit) {
    if (control.mode !== 'held') throw new RangeError('fire: a cook with vents needs a fire');
    return heldSurroundings(control, w, atMin);
  }
  const p = cook.pit;
  return {
    airC: celsius(p.tempK[GRATE]!),
    wallC: radiantC(p, w.airC),
    humidity: p.humidity,
    airSpeedMps: Math.min(SPEED.still + SPEED.perKgPerS * p.draughtKgPerS, SPEED.most),
    draughtKgPerS: p.draughtKgPerS,
    pressurePa: pressureAt(w.altitudeM),
  };
}

function noteOut(cook: Cook): void {
  const { pit, fuel } = cook;
  if (!pit) return;
  if (pit.litKg < OUT_KG) fuel.outAtMin ??= cook.nextMin;
  else fuel.outAtMin = null;
}

/** Smoke as a pitmaster names it, from unburnt volatiles per m3 of exhaust. */
export function smokeName(gPerM3: number, flaming: boolean, oxygen: number): Smoke {
  if (gPerM3 < 0.08) return 'clear';
  if (flaming && oxygen < 0.05) return 'dark';
  return gPerM3 < 2 ? 'thin-blue' : 'white';
}

const shown = (v: number, digits: number): number => Number(v.toFixed(digits));

function record(cook: Cook): void {
  const r = cook.result;
  r.minutes.push(cook.nextMin);
  for (const g of cook.guests) recordGuest(g);
  const { pit } = cook;
  if (!pit) {
    const c = shown(surroundings(cook, cook.nextMin).airC, 2);
    r.pitC.push(c);
    r.domeC.push(null);
    r.fireC.push(null);
    r.smoke.push('clear');
    r.smokeUnburntGPerM3.push(null);
    r.frontDegrees.push(null);
    return;
  }
  r.pitC.push(shown(celsius(pit.probeK), 2));
  r.domeC.push(shown(celsius(pit.dialK), 2));
  r.fireC.push(shown(celsius(pit.tempK[3]!), 1));
  r.smoke.push(smokeName(pit.smokeGPerM3, pit.flaming > 0.5, pit.oxygen[0]!));
  r.smokeUnburntGPerM3.push(shown(pit.smokeGPerM3, 4));
  r.frontDegrees.push(shown(pit.snake.frontDegrees(), 1));
}

/** The result document of a cook as far as it has come. */
export function resultOf(cook: Cook): Result {
  const { pit, fuel } = cook;
  const share = pit ? dafShare(pit.charcoal) : 1;
  const left = pit ? (pit.snake.unlitKg() + pit.litKg) / share : 0;
  const burned = pit ? pit.ledger.dafBurnedKg / share : 0;
  return {
    ostrin: 'result/1',
    ...cook.result,
    grate: [{ at: 'middle', C: cook.result.pitC }],
    meats: cook.guests.map((g) => g.result),
    fuel: {
      startedKg: shown(fuel.startedKg, 4),
      addedKg: shown(fuel.addedKg, 4),
      burnedKg: shown(burned, 4),
      leftKg: shown(left, 4),
      ashKg: pit ? shown(pit.ledger.dafBurnedKg * ashPerDaf(pit.charcoal), 4) : 0,
      outAtMin: fuel.outAtMin,
    },
    balance: balanceOf(cook),
    happened: cook.happened,
  };
}

/** Residuals of the energy and mass ledgers, as shares of what went in. */
export function balanceOf(cook: Cook): Result['balance'] {
  const { pit } = cook;
  let massResidual = 0;
  for (const g of cook.guests) {
    massResidual = Math.max(massResidual, Math.abs(waterResidualKg(g.piece)) / g.piece.rawKg);
  }
  if (!pit) return { energyResidualFraction: 0, massResidualFraction: massResidual };
  const l = pit.ledger;
  const share = dafShare(pit.charcoal);
  const given = (cook.fuel.startedKg + cook.fuel.addedKg) * share + l.charFromWoodKg;
  const found = l.dafBurnedKg + pit.snake.unlitKg() + pit.litKg;
  massResidual = Math.max(massResidual, Math.abs(given - found) / Math.max(given, 1e-9));
  const into = l.dafBurnedKg * pit.charcoal.heatJPerKg - l.unburntJ + woodHeatJ(pit);
  const out = l.wallsJ + l.exhaustJ + l.latentJ + l.foodJ + storedJ(pit) - l.storedStartJ;
  return {
    energyResidualFraction: Math.abs(into - out) / Math.max(into, 1),
    massResidualFraction: massResidual,
  };
}

const woodHeatJ = (pit: PitState): number =>
  pit.ledger.releasedJ - (pit.ledger.dafBurnedKg * pit.charcoal.heatJPerKg - pit.ledger.unburntJ);

/** Runs a whole scenario. */
export function simulate(scenario: Scenario, spreads?: MeatSpread[]): Result {
  return resultOf(advance(createCook(scenario, spreads), scenario.untilMin));
}

/** What a good probe at the grate reads now, C. */
export const pitReadingC = (cook: Cook): number =>
  cook.pit ? celsius(cook.pit.probeK) : surroundings(cook, cook.atS / 60).airC;

/** What a good probe in the first piece reads now, C; null while it is not out of the fridge. */
export function coreReadingC(cook: Cook): number | null {
  const guest = cook.guests[0];
  return guest && (guest.place === 'on' || guest.place === 'resting') ? coreC(guest.piece) : null;
}
