/**
 * A cook that can be advanced, acted on and looked at: the one engine behind plans, forecasts, the
 * stand-in thermometer and the command line.
 */
import { pressureAt } from '../air/moist';
import { buildFire } from '../fire/catalogue';
import { createParcel } from '../fire/parcel';
import { CHUNK_MOISTURE } from '../fuel/catalogue';
import type { MeatSpread } from '../meat/piece';
import { coreC } from '../meat/piece';
import type { Surroundings } from '../meat/surface';
import { pitWith, presetOf } from '../pit/catalogue';
import type { FoodLoad } from '../pit/heat';
import { createPitState, type PitState } from '../pit/state';
import { gasAtK, seenFromK, stepPit } from '../pit/step';
import { celsius, kelvin } from '../quantity/units';
import { act } from './act';
import { createFan, turnFan } from './fan';
import { createGuest, minuteOfGuest, recordGuest, stepGuest } from './guest';
import { heldSurroundings } from './held';
import { emptySeries, recordPit, resultOf } from './result';
import { weatherAt } from '../air/weather';
import type { Result, Scenario } from './scenario';
import type { Cook } from './state';
import { createTender, tendPit } from './tender';

/** How steps are chosen: from the largest change of any temperature in a step, K. */
export const STEP = {
  afterEventS: 2,
  mostS: 60,
  mostLivelyS: 12,
  mostFannedS: 8,
  mostWetS: 25,
  leastS: 1,
  growth: 1.4,
  calmK: 1.5,
  wildK: 4,
};
/** Below this much lit fuel (kg dry ash-free) the fire is out. */
const OUT_KG = 0.012;
/** Air speed at the grate per kg/s of draught, m/s, and at rest (about 0.1-0.6 m/s in all). */
const SPEED = { still: 0.18, perKgPerS: 70, most: 0.6 };

/**
 * A cook from its scenario, at minute 0. `spreads` changes each piece of meat (by order) from its
 * catalogue; leave it out for the middle of the road. Throws RangeError for names not in a catalogue.
 */
export function createCook(scenario: Scenario, spreads: MeatSpread[] = []): Cook {
  const { control } = scenario;
  const made = control.mode === 'held' ? null : makePit(scenario);
  const cook: Cook = {
    scenario,
    pit: made?.pit ?? null,
    fan: null,
    tender: null,
    guests: scenario.meats.map((m, i) => createGuest(m, spreads[i])),
    atS: 0,
    nextMin: 0,
    stepS: STEP.afterEventS,
    meatS: 0,
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
    cook.fan = createFan((control as { targetC: number }).targetC);
    made.pit.intakeFraction = 0;
    made.pit.exhaustFraction = preset.fanExhaustFraction;
  }
  if (made && control.mode === 'tended' && !fanned)
    cook.tender = createTender(scenario, control.targetC);
  return cook;
}

/** The pit of a scenario with its fire just lit; null without a fire. */
function makePit(scenario: Scenario): { pit: PitState; startedKg: number } | null {
  const { fire } = scenario;
  if (!fire) return null;
  const preset = presetOf(scenario.cooker.preset);
  const physics = pitWith(preset, scenario.cooker.overrides);
  const weather = weatherAt(scenario.weather, 0);
  const built = buildFire(fire, physics);
  const pit = createPitState({
    pit: physics,
    layout: preset.layout(physics),
    arrangement: built.arrangement,
    lit: built.lit,
    unlit: built.unlit,
    parcels: fire.woodChunks.map((c) =>
      createParcel({
        species: c.species,
        massKg: c.massG / 1000,
        moistureFraction: c.moistureFraction ?? CHUNK_MOISTURE,
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
    while (cook.pending.length > 0 && cook.pending[0]!.atMin * 60 <= cook.atS + 1e-6) {
      act(cook, cook.pending.shift()!);
    }
    closeInTime(cook);
    if (cook.atS >= cook.nextMin * 60 - 1e-6) {
      for (const g of cook.guests) cook.happened.push(...minuteOfGuest(g, cook.nextMin));
      minuteOfPit(cook);
      if (cook.nextMin % every === 0) {
        for (const g of cook.guests) recordGuest(g);
        recordPit(cook, surroundings(cook, cook.nextMin).airC);
      }
      cook.nextMin += 1;
    }
    if (cook.atS >= until - 1e-6) return cook;
    let dt = Math.min(cook.stepS, until - cook.atS, cook.nextMin * 60 - cook.atS);
    if (cook.pending.length > 0) dt = Math.min(dt, cook.pending[0]!.atMin * 60 - cook.atS);
    if (cook.pit?.lidOpen) dt = Math.min(dt, cook.lidUntilS - cook.atS);
    if (cook.pit && cook.pit.doorFraction > 0) dt = Math.min(dt, cook.doorUntilS - cook.atS);
    step(cook, Math.max(dt, 0.05));
  }
}

/** Puts lid and door back when their time is over. */
function closeInTime(cook: Cook): void {
  const { pit } = cook;
  if (pit?.lidOpen && cook.atS >= cook.lidUntilS - 1e-6) {
    pit.lidOpen = false;
    cook.stepS = STEP.afterEventS;
  }
  if (pit && pit.doorFraction > 0 && cook.atS >= cook.doorUntilS - 1e-6) {
    pit.doorFraction = 0;
    cook.stepS = STEP.afterEventS;
  }
}

/** Whole-minute bookkeeping of the fire: out or not, pan dry, and what a tender does about it. */
function minuteOfPit(cook: Cook): void {
  const { pit, fuel } = cook;
  if (!pit) return;
  const out = pit.lit.kg < OUT_KG && pit.flaming < 0.3;
  if (out && fuel.outAtMin === null) {
    fuel.outAtMin = cook.nextMin;
    cook.happened.push({ atMin: cook.nextMin, do: 'fire-out' });
  } else if (!out) fuel.outAtMin = null;
  if (pit.panIn && pit.waterKg < 0.02 && pit.ledger.waterGivenKg > 0.1 && !cook.panDry) {
    cook.panDry = true;
    cook.happened.push({ atMin: cook.nextMin, do: 'pan-dry' });
  } else if (pit.waterKg > 0.1) cook.panDry = false;
  if (cook.tender) for (const a of tendPit(cook.tender, pit, cook.nextMin)) act(cook, a);
}

const food: FoodLoad = { fromGasW: 0, fromWallsW: 0, vapourKgPerS: 0 };
/** Meat is slow: it takes steps of this length, s, or up to the whole minute, however short the fire's are. */
const MEAT_STEP_S = 20;

function step(cook: Cook, dt: number): void {
  const atMin = cook.atS / 60;
  const weather = weatherAt(cook.scenario.weather, atMin);
  cook.meatS += dt;
  const minuteEnds = cook.atS + dt >= cook.nextMin * 60 - 1e-6;
  if (cook.guests.length > 0 && (cook.meatS >= MEAT_STEP_S || minuteEnds)) {
    const air = surroundings(cook, atMin);
    for (const g of cook.guests) stepGuest(g, air, weather.altitudeM, cook.meatS);
  }
  if (cook.meatS >= MEAT_STEP_S || minuteEnds) cook.meatS = 0;
  food.fromGasW = food.fromWallsW = food.vapourKgPerS = 0;
  for (const { place, spec, piece } of cook.guests) {
    if (place !== 'on') continue;
    const count = spec.count ?? 1;
    food.fromGasW += count * piece.heatW * piece.airShare;
    food.fromWallsW += count * piece.heatW * (1 - piece.airShare);
    food.vapourKgPerS += count * piece.vapourKgPerS;
  }
  if (cook.pit) {
    if (cook.fan) turnFan(cook.fan, cook.pit, dt);
    const change = stepPit(cook.pit, weather, food, dt);
    if (change > STEP.wildK) cook.stepS = Math.max(cook.stepS / 2, STEP.leastS);
    else if (change < STEP.calmK) cook.stepS *= STEP.growth;
    cook.stepS = Math.min(cook.stepS, longestStep(cook, cook.pit));
  } else cook.stepS = Math.min(cook.stepS * STEP.growth, STEP.mostS);
  cook.atS += dt;
}

/** The longest step that still follows what goes on: a fan's turns, burning wood, a pan boiling dry. */
const longestStep = (cook: Cook, pit: PitState): number =>
  cook.fan
    ? STEP.mostFannedS
    : pit.woodBurns
      ? STEP.mostLivelyS
      : pit.waterKg > 0
        ? STEP.mostWetS
        : STEP.mostS;

/** What the meat on the grate feels now. */
export function surroundings(cook: Cook, atMin: number): Surroundings {
  const { control, weather } = cook.scenario;
  const w = weatherAt(weather, atMin);
  const p = cook.pit;
  if (!p) {
    if (control.mode !== 'held') throw new RangeError('fire: a cook with vents needs a fire');
    return heldSurroundings(control, w, atMin);
  }
  const place = p.layout.positions[p.layout.probe]!;
  return {
    airC: celsius(gasAtK(p, place)),
    wallC: celsius(seenFromK(p, place, kelvin(w.airC))),
    humidity: p.humidity,
    airSpeedMps: Math.min(SPEED.still + SPEED.perKgPerS * p.draughtKgPerS, SPEED.most),
    draughtKgPerS: p.draughtKgPerS,
    pressurePa: pressureAt(w.altitudeM),
  };
}

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
