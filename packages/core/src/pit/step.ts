/**
 * One step of a burning kettle: air, coals, wood, then one implicit heat balance. Coefficients are
 * frozen at the step's start (linearly implicit Euler), so a step costs the same whatever happens.
 */
import { CP_GAS, gasDensity, humidityRatio, OXYGEN_IN_AIR, saturationPressure } from '../air/moist';
import { columnLift, solveDraught } from '../air/draught';
import {
  burnPerS,
  CHAR,
  goingOutPerS,
  ignitionReadiness,
  radiatingArea,
  sherwood,
  unburntShare,
} from '../fire/char';
import { stepChunk, type ChunkYield } from '../fire/chunk';
import { OXYGEN_HEAT, volatilesHeat } from '../fuel/catalogue';
import type { Weather } from '../cook/scenario';
import { GRAVITY, kelvin } from '../quantity/units';
import { solveDense } from './solve';
import {
  ashPerDaf,
  bedCapacity,
  BOWL,
  capacity,
  COALS,
  DOME,
  EXHAUST,
  FIRE,
  GRATE,
  INTAKE,
  LID,
  LID_GAP,
  METAL,
  NODES,
  type PitState,
} from './state';

/** What the food does to the pit during a step: heat taken from grate gas and from walls, W; vapour, kg/s. */
export interface FoodLoad {
  fromGasW: number;
  fromWallsW: number;
  vapourKgPerS: number;
}

/** Closures of the kettle's inside; every number may be moved within its plausible range. */
export const INSIDE = {
  /** Share of the plume that comes back to the coals (0.15-0.5); the rest passes them by. */
  returnShare: 0.3,
  /** Plume height to the lid, m, and Zukoski's constant in kg/s, kW, m. */
  plumeHeightM: 0.26,
  plumeConstant: 0.071,
  /** Share of the fire's heat that rises (0.3-0.7). */
  convectiveShare: 0.45,
  /** Where the coals shine: the near wall of the bowl, the metal above, the lid. */
  viewBowl: 0.62,
  viewMetal: 0.2,
  viewLid: 0.18,
  /** Film coefficients, W/m2K (5-16). */
  wallFilm: 14.5,
  metalFilm: 10,
  coalFilm: 14,
  metalAreaM2: 0.32,
  grateViewM2: 0.35,
  wallEmissivity: 0.85,
  /** Water made per kg of charcoal burnt, kg (from memory, 0.3-0.4). */
  waterPerChar: 0.35,
} as const;

const SIGMA = 5.670374e-8;
/** Heat of drying and warming the moisture in fuel, J/kg. */
const DRYING_J = 2.6e6;
/** Oxygen held by the gas about the fire, kg of gas: gives the oxygen balance its inertia. */
const FIRE_GAS_KG = 0.03;

const matrix = new Float64Array(NODES * NODES);
const rhs = new Float64Array(NODES);
const wood: ChunkYield = {
  volatilesKg: 0,
  burntVolatilesKg: 0,
  charKg: 0,
  steamKg: 0,
  fromCoalsJ: 0,
  fromGasJ: 0,
};

const radiative = (a: number, b: number): number => SIGMA * (a * a + b * b) * (a + b);

function couple(a: number, b: number, g: number): void {
  matrix[a * NODES + a]! += g;
  matrix[b * NODES + b]! += g;
  matrix[a * NODES + b]! -= g;
  matrix[b * NODES + a]! -= g;
}

/** Gas carried from zone `a` to zone `b`, kg/s: leaves at a's temperature. */
function carry(a: number, b: number, kgPerS: number): void {
  const g = kgPerS * CP_GAS;
  matrix[a * NODES + a]! += g;
  matrix[b * NODES + a]! -= g;
}

/** Heat lost to the yard from a wall, W/m2K: natural and forced joined by cubes, plus radiation. */
export function outsideFilm(wallK: number, airK: number, windMps: number, lengthM: number): number {
  const natural = 1.42 * Math.pow(Math.abs(wallK - airK) / lengthM, 0.25);
  const forced = 5.7 * Math.pow(windMps, 0.6);
  return Math.cbrt(natural ** 3 + forced ** 3) + 0.85 * radiative(wallK, airK);
}

/**
 * Advances the pit by `dt` seconds. Returns the largest change of any temperature in K, from which
 * the caller chooses its next step.
 */
export function stepPit(s: PitState, w: Weather, food: FoodLoad, dt: number): number {
  const { tempK: t, pit, ledger, net } = s;
  const airK = kelvin(w.airC);
  const outside = gasDensity(airK, s.pressurePa);
  const windMps = SHELTER * w.windMps;
  const upperK = 0.5 * (t[DOME]! + t[GRATE]!);

  // --- Air: what comes in where.
  const lower = gasDensity(t[FIRE]!, s.pressurePa);
  const upper = gasDensity(upperK, s.pressurePa);
  for (let i = 0; i < net.openings.length; i++) {
    net.liftPa[i] = columnLift(net.openings[i]!.heightM, pit.grateHeightM, lower, upper, outside);
  }
  solveDraught(net, 0.5 * outside * windMps * windMps, outside, upper);
  let inFire = 0;
  let outFire = 0;
  let inGrate = 0;
  let outGrate = 0;
  let inDome = 0;
  let outDome = 0;
  for (let i = INTAKE; i <= LID_GAP; i++) {
    const f = net.flow[i]!;
    if (i <= 1) {
      if (f > 0) inFire += f;
      else outFire -= f;
    } else if (i <= 3) {
      if (f > 0) inGrate += f;
      else outGrate -= f;
    } else if (f > 0) inDome += f;
    else outDome -= f;
  }
  if (s.lidOpen) {
    const gap = net.openings[LID_GAP]!.areaM2;
    const drop = Math.max((upperK - airK) / upperK, 0);
    const exchange = 0.12 * gap * Math.sqrt(GRAVITY * 0.4 * drop) * outside + 0.02 * gap * windMps;
    inDome += exchange;
    outDome += exchange;
    inGrate += exchange;
    outGrate += exchange;
  }
  const inTotal = inFire + inGrate + inDome;
  s.draughtKgPerS = Math.max(inTotal, 1e-5);

  // --- Coals: oxygen first, for it sets everything else.
  const layerK = t[COALS]! + s.layerExcessK;
  const fullArea = radiatingArea(s.litKg, 1000);
  const re = (inFire * 0.05) / (0.02 * 4.2e-5);
  const unitRate = s.litKg * burnPerS(layerK, sherwood(re), OXYGEN_IN_AIR);
  const unburnt = unburntShare(s.oxygen[FIRE]!);
  const netHeat = s.charcoal.heatJPerKg * (1 - unburnt);
  const oxygenPerKg = netHeat / OXYGEN_HEAT.charcoal;
  const firePower =
    ledger.releasedJ > 0 ? unitRate * (s.oxygen[FIRE]! / OXYGEN_IN_AIR) * netHeat : 0;
  const plume =
    INSIDE.plumeConstant *
    Math.cbrt(Math.max((INSIDE.convectiveShare * firePower) / 1000, 0.02)) *
    Math.pow(INSIDE.plumeHeightM, 5 / 3);
  const around = Math.max(plume, outGrate - inGrate, outFire - inFire, 0);
  const rising = inFire - outFire + around;
  const across = rising + inDome - outDome;
  const back = INSIDE.returnShare * around;
  const volatileHeat = volatilesHeat(s.charcoal.heatJPerKg);

  wood.volatilesKg = wood.burntVolatilesKg = wood.charKg = wood.steamKg = 0;
  wood.fromCoalsJ = wood.fromGasJ = 0;
  const front = s.snake.frontDegrees();
  let flame = 0;
  for (const c of s.chunks) {
    if (!c.caught && front >= c.atDegrees) c.caught = true;
    if (c.caught && c.dryKg > 0 && s.litKg > 0.005) {
      stepChunk(c, t[COALS]!, t[FIRE]!, s.oxygen[FIRE]!, s.lidOpen, dt, wood);
      if (c.dryKg > 0) flame = Math.max(flame, c.flame);
    }
  }
  s.flaming = flame;
  const woodHeatJ = wood.burntVolatilesKg * volatileHeat;
  const woodOxygen = woodHeatJ / OXYGEN_HEAT.wood / dt;

  // Wood flames above the coals and takes its air from what passes them by as well.
  const through = inFire + back;
  const yNew =
    ((FIRE_GAS_KG / dt) * s.oxygen[FIRE]! +
      inFire * OXYGEN_IN_AIR +
      back * s.oxygen[GRATE]! -
      0.5 * woodOxygen) /
    (FIRE_GAS_KG / dt + through + (unitRate * oxygenPerKg) / OXYGEN_IN_AIR);
  const yFire = Math.min(Math.max(yNew, 0), OXYGEN_IN_AIR);
  const burnt = Math.min(unitRate * (yFire / OXYGEN_IN_AIR) * dt, 0.5 * s.litKg);
  const relax = (flow: number): number => 1 - Math.exp((-dt * flow) / 0.03);
  const risen = rising + inDome;
  const yDome =
    risen > 0
      ? Math.max(
          (through * yFire +
            Math.max(rising - through, 0) * s.oxygen[GRATE]! +
            inDome * OXYGEN_IN_AIR -
            0.5 * woodOxygen) /
            (Math.max(rising, through) + inDome),
          0,
        )
      : s.oxygen[DOME]!;
  const acrossIn = Math.max(across, 0) + inGrate;
  const yGrate =
    acrossIn > 0
      ? (Math.max(across, 0) * yDome + inGrate * OXYGEN_IN_AIR) / acrossIn
      : s.oxygen[GRATE]!;
  s.oxygen[FIRE] = yFire;
  s.oxygen[DOME]! += (yDome - s.oxygen[DOME]!) * relax(risen);
  s.oxygen[GRATE]! += (yGrate - s.oxygen[GRATE]!) * relax(acrossIn);

  const heatJ = burnt * netHeat;
  const ash = ashPerDaf(s.charcoal);
  const resistance = CHAR.ashResistance * Math.sqrt(s.charcoal.ashFraction / 0.2);
  const wantExcess = Math.min(
    ((CHAR.bedShare * heatJ) / dt / Math.max(fullArea, 1e-4)) * resistance,
    CHAR.maxLayerK,
  );
  s.layerExcessK += (wantExcess - s.layerExcessK) * (1 - Math.exp(-dt / CHAR.layerLagS));

  const strength = Math.min(1, Math.pow(s.litKg / s.snake.strongFrontKg, 2 / 3));
  const walk =
    CHAR.frontMps *
    pit.spreadFactor *
    ignitionReadiness(layerK) *
    Math.sqrt(yFire / OXYGEN_IN_AIR) *
    strength;
  const unlit = s.snake.unlitKg();
  const lit = s.snake.advance(Math.min(walk * dt * s.snake.kgPerM, unlit));
  const wentOut = Math.min(s.litKg * goingOutPerS(layerK) * dt, 0.5 * s.litKg);
  s.snake.extend(wentOut - Math.max(-s.snake.advance(-wentOut), 0));
  const outC = CHAR.specificHeat * (1 + ash);
  const coldOut = Math.max(t[COALS]! - 150 - s.referenceK, 0);

  // --- Heat: one balance over all nodes.
  matrix.fill(0);
  rhs.fill(0);
  const oldBed = bedCapacity(s.charcoal, s.litKg);
  s.litKg = Math.max(s.litKg + lit + wood.charKg - burnt - wentOut, 0);
  const newBed = bedCapacity(s.charcoal, s.litKg);
  for (let i = 0; i < NODES; i++) {
    const cOld = i === COALS ? oldBed : capacity(s, i);
    const cNew = i === COALS ? newBed : cOld;
    matrix[i * NODES + i] = cNew / dt;
    rhs[i] = (cOld / dt) * (t[i]! - s.referenceK);
  }
  const bedExcess = t[COALS]! - s.referenceK;
  const charGone = (burnt * CHAR.specificHeat * bedExcess) / dt;
  const ashGone = (burnt * ash * CHAR.specificHeat * bedExcess) / dt;
  const outGone = (wentOut * outC * coldOut) / dt;
  const moistureKg =
    lit *
    (s.charcoal.moistureFraction / (1 - s.charcoal.ashFraction - s.charcoal.moistureFraction));
  const dryingW = (moistureKg * DRYING_J) / dt;
  rhs[COALS]! +=
    (CHAR.bedShare * heatJ - wood.fromCoalsJ) / dt - charGone - ashGone - outGone - dryingW;
  rhs[FIRE]! += ((1 - CHAR.bedShare) * heatJ + 0.5 * woodHeatJ - wood.fromGasJ) / dt + charGone;
  rhs[DOME]! += (0.5 * woodHeatJ) / dt;
  rhs[BOWL]! += ashGone + outGone;
  rhs[GRATE]! -= food.fromGasW;
  rhs[BOWL]! -= 0.5 * food.fromWallsW;
  rhs[LID]! -= 0.5 * food.fromWallsW;

  // Gas: in from the yard, up, across, back; what leaves is booked below at its new temperature.
  const airRel = airK - s.referenceK;
  rhs[FIRE]! += inFire * CP_GAS * airRel;
  rhs[GRATE]! += inGrate * CP_GAS * airRel;
  rhs[DOME]! += inDome * CP_GAS * airRel;
  matrix[FIRE * NODES + FIRE]! += outFire * CP_GAS;
  matrix[GRATE * NODES + GRATE]! += outGrate * CP_GAS;
  matrix[DOME * NODES + DOME]! += outDome * CP_GAS;
  carry(FIRE, DOME, Math.max(rising, 0));
  if (across >= 0) carry(DOME, GRATE, across);
  else carry(GRATE, DOME, -across);
  carry(GRATE, FIRE, around);

  // Coals.
  const shine = CHAR.emissivity * radiatingArea(s.litKg, t[COALS]!);
  couple(COALS, BOWL, shine * INSIDE.viewBowl * radiative(t[COALS]!, t[BOWL]!));
  couple(COALS, METAL, shine * INSIDE.viewMetal * radiative(t[COALS]!, t[METAL]!));
  const lidView = shine * INSIDE.viewLid;
  if (s.lidOpen) lose(COALS, lidView * radiative(t[COALS]!, airK), airRel);
  else couple(COALS, LID, lidView * radiative(t[COALS]!, t[LID]!));
  couple(COALS, FIRE, Math.min(INSIDE.coalFilm * fullArea, 0.8 * Math.max(rising, 1e-4) * CP_GAS));

  // Walls and metal inside.
  couple(FIRE, BOWL, INSIDE.wallFilm * 0.7 * pit.bowlAreaM2);
  couple(GRATE, BOWL, INSIDE.wallFilm * 0.3 * pit.bowlAreaM2);
  couple(GRATE, METAL, INSIDE.metalFilm * INSIDE.metalAreaM2);
  const seen = INSIDE.wallEmissivity * INSIDE.grateViewM2;
  couple(METAL, BOWL, seen * radiative(t[METAL]!, t[BOWL]!));
  if (s.lidOpen) {
    lose(METAL, seen * radiative(t[METAL]!, airK), airRel);
    lose(BOWL, 0.1 * radiative(t[BOWL]!, airK), airRel);
  } else {
    couple(DOME, LID, INSIDE.wallFilm * 0.6 * pit.lidAreaM2);
    couple(GRATE, LID, INSIDE.wallFilm * 0.4 * pit.lidAreaM2);
    couple(METAL, LID, seen * radiative(t[METAL]!, t[LID]!));
    couple(BOWL, LID, INSIDE.wallEmissivity * 0.1 * radiative(t[BOWL]!, t[LID]!));
  }

  // Yard.
  const rainW = rainPerM2K(w, pit.diameterM);
  const skin = (k: number): number =>
    pit.wallLossFactor * outsideFilm(k, airK, windMps, pit.diameterM);
  lose(BOWL, pit.bowlAreaM2 * skin(t[BOWL]!), airRel);
  lose(LID, pit.lidAreaM2 * skin(t[LID]!) * (s.lidOpen ? 2 : 1) + rainW, airRel);

  const lossBefore = lossGain.fill(0);
  for (let i = 0; i < NODES; i++) lossBefore[i] = lossG[i]!;
  solveDense(matrix, rhs, NODES);
  let change = 0;
  let wallsW = 0;
  for (let i = 0; i < NODES; i++) {
    const now = rhs[i]! + s.referenceK;
    change = Math.max(change, Math.abs(now - t[i]!) * (i === COALS ? 0.5 : 1));
    t[i] = now;
    wallsW += lossBefore[i]! * (rhs[i]! - airRel);
    lossG[i] = 0;
  }

  // --- Ledgers and what is shown.
  ledger.releasedJ += heatJ + woodHeatJ;
  ledger.unburntJ += burnt * s.charcoal.heatJPerKg * unburnt;
  ledger.wallsJ += wallsW * dt;
  ledger.exhaustJ +=
    dt *
    CP_GAS *
    (outFire * rhs[FIRE]! + outGrate * rhs[GRATE]! + outDome * rhs[DOME]! - inTotal * airRel);
  ledger.latentJ += dryingW * dt + wood.fromCoalsJ + wood.fromGasJ;
  ledger.foodJ += (food.fromGasW + food.fromWallsW) * dt;
  ledger.dafBurnedKg += burnt;
  ledger.charFromWoodKg += wood.charKg;
  ledger.volatilesKg += wood.volatilesKg;
  ledger.volatilesBurntKg += wood.burntVolatilesKg;
  ledger.woodSteamKg += wood.steamKg;
  ledger.moistureKg += moistureKg;
  ledger.oxygenUsedKg += burnt * oxygenPerKg + woodOxygen * dt;

  const outdoorRatio = humidityRatio(
    w.relativeHumidityFraction * saturationPressure(w.airC),
    s.pressurePa,
  );
  const waterPerS =
    (burnt * INSIDE.waterPerChar + moistureKg + wood.steamKg + 0.55 * wood.volatilesKg) / dt +
    food.vapourKgPerS;
  const wantHumidity = outdoorRatio + waterPerS / s.draughtKgPerS;
  s.humidity += (wantHumidity - s.humidity) * relax(s.draughtKgPerS);
  const smokeNow =
    (1000 * (wood.volatilesKg - wood.burntVolatilesKg)) /
    dt /
    (Math.max(inTotal, 2e-4) / gasDensity(t[DOME]!, s.pressurePa));
  s.smokeGPerM3 += (smokeNow - s.smokeGPerM3) * (1 - Math.exp(-dt / 40));
  const radiant = 0.4 * t[BOWL]! + 0.4 * (s.lidOpen ? airK : t[LID]!) + 0.2 * t[METAL]!;
  const seenByProbe = 0.65 * t[GRATE]! + 0.35 * radiant;
  s.probeK += (seenByProbe - s.probeK) * (1 - Math.exp(-dt / 45));
  s.dialK += (t[DOME]! - s.dialK) * (1 - Math.exp(-dt / 90));
  return change;
}

/** Wind at a pit's height in a yard, share of what a forecast says for 10 m (0.4-0.7). */
const SHELTER = 0.55;
const lossG = new Float64Array(NODES);
const lossGain = new Float64Array(NODES);

/** Heat lost from a node to the yard through `g` W/K. */
function lose(node: number, g: number, airRel: number): void {
  matrix[node * NODES + node]! += g;
  rhs[node]! += g * airRel;
  lossG[node]! += g;
}

/** Rain on the lid, W/K: warmed and partly boiled off, about 2.5 kJ/kg per K of excess (from memory). */
const rainPerM2K = (w: Weather, diameterM: number): number =>
  (w.rainMmPerH / 3600) * 0.785 * diameterM * diameterM * 9000;

/** Mean temperature of what the food sees, C. */
export const radiantC = (s: PitState, airC: number): number =>
  0.45 * (s.tempK[BOWL]! - 273.15) +
  0.45 * (s.lidOpen ? airC : s.tempK[LID]! - 273.15) +
  0.1 * (s.tempK[METAL]! - 273.15);

export { EXHAUST };
