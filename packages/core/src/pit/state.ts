/** Everything that changes while a kettle burns: one flat record, made once, stepped in place. */
import { gasDensity, pressureAt } from '../air/moist';
import { network, type Network, type Opening } from '../air/draught';
import type { Chunk } from '../fire/chunk';
import type { Arrangement } from '../fire/types';
import type { Charcoal } from '../fuel/catalogue';
import { kelvin } from '../quantity/units';
import { CLOSED_VENT_SHARE, type Pit } from './types';

/** Thermal nodes: gas by the fire, in the dome, at the grate; coals; loose metal; bowl; lid. */
export const FIRE = 0;
export const DOME = 1;
export const GRATE = 2;
export const COALS = 3;
export const METAL = 4;
export const BOWL = 5;
export const LID = 6;
export const NODES = 7;

/** Running totals for the energy and mass ledgers. J and kg since lighting. */
export interface Ledger {
  releasedJ: number;
  wallsJ: number;
  exhaustJ: number;
  latentJ: number;
  foodJ: number;
  storedStartJ: number;
  dafBurnedKg: number;
  unburntJ: number;
  moistureKg: number;
  charFromWoodKg: number;
  volatilesKg: number;
  volatilesBurntKg: number;
  woodSteamKg: number;
  oxygenUsedKg: number;
}

export interface PitState {
  pit: Pit;
  charcoal: Charcoal;
  snake: Arrangement;
  chunks: Chunk[];
  tempK: Float64Array;
  referenceK: number;
  pressurePa: number;
  litKg: number;
  layerExcessK: number;
  oxygen: Float64Array;
  /** Humidity ratio at the grate. */
  humidity: number;
  intakeFraction: number;
  exhaustFraction: number;
  lidOpen: boolean;
  net: Network;
  probeK: number;
  dialK: number;
  draughtKgPerS: number;
  smokeGPerM3: number;
  flaming: number;
  ledger: Ledger;
}

/** Index of each opening in the network. */
export const INTAKE = 0;
export const EXHAUST = 5;
export const LID_GAP = 6;

/** Holes of a kettle: vents, and a leak split over legs, the seam's two sides and the top. */
function openings(pit: Pit): Opening[] {
  const leak = pit.leakCm2 * 1e-4;
  return [
    { areaM2: 0, heightM: 0, windShare: 0.15 },
    { areaM2: 0.35 * leak, heightM: 0.06, windShare: 0.1 },
    { areaM2: 0.2 * leak, heightM: pit.seamHeightM, windShare: 0.5 },
    { areaM2: 0.25 * leak, heightM: pit.seamHeightM, windShare: -0.35 },
    { areaM2: 0.2 * leak, heightM: pit.exhaustHeightM - 0.02, windShare: -0.4 },
    { areaM2: 0, heightM: pit.exhaustHeightM, windShare: -0.4 },
    { areaM2: 0, heightM: pit.seamHeightM, windShare: 0 },
  ];
}

/** Area of a kettle laid open, m2: three quarters of its mouth, the lid held at a tilt. */
const lidGapM2 = (pit: Pit): number => 0.75 * (Math.PI / 4) * pit.diameterM ** 2;

/** Puts the handles' positions into the network's areas. */
export function applyVents(s: PitState): void {
  const { openings: o } = s.net;
  const travel = (f: number): number => Math.max(f, CLOSED_VENT_SHARE);
  o[INTAKE]!.areaM2 = s.pit.intakeCm2 * 1e-4 * travel(s.intakeFraction);
  o[EXHAUST]!.areaM2 = s.lidOpen ? 0 : s.pit.exhaustCm2 * 1e-4 * travel(s.exhaustFraction);
  o[LID_GAP]!.areaM2 = s.lidOpen ? lidGapM2(s.pit) : 0;
}

/** A cold kettle with its fire just lit: the lit pieces glow, everything else is at air temperature. */
export function createPitState(
  pit: Pit,
  charcoal: Charcoal,
  snake: Arrangement,
  litKg: number,
  chunks: Chunk[],
  airC: number,
  altitudeM: number,
): PitState {
  const airK = kelvin(airC);
  const tempK = new Float64Array(NODES).fill(airK);
  tempK[COALS] = 900;
  const s: PitState = {
    pit,
    charcoal,
    snake,
    chunks,
    tempK,
    referenceK: airK,
    pressurePa: pressureAt(altitudeM),
    litKg,
    layerExcessK: 80,
    oxygen: new Float64Array(3).fill(0.23),
    humidity: 0.006,
    intakeFraction: 1,
    exhaustFraction: 1,
    lidOpen: false,
    net: network(openings(pit)),
    probeK: airK,
    dialK: airK,
    draughtKgPerS: 0.001,
    smokeGPerM3: 0,
    flaming: 0,
    ledger: {
      releasedJ: 0,
      wallsJ: 0,
      exhaustJ: 0,
      latentJ: 0,
      foodJ: 0,
      storedStartJ: 0,
      dafBurnedKg: 0,
      unburntJ: 0,
      moistureKg: 0,
      charFromWoodKg: 0,
      volatilesKg: 0,
      volatilesBurntKg: 0,
      woodSteamKg: 0,
      oxygenUsedKg: 0,
    },
  };
  applyVents(s);
  s.ledger.storedStartJ = storedJ(s);
  return s;
}

/** Heat capacity of a node, J/K. Gas zones count their air at 400 K; steel 460 J/kgK, 7850 kg/m3. */
export function capacity(s: PitState, node: number): number {
  const gas = gasDensity(400, s.pressurePa) * s.pit.volumeM3 * 1050;
  const steel = (s.pit.wallMm / 1000) * 7850 * 470;
  switch (node) {
    case FIRE:
      return 0.4 * gas;
    case DOME:
      return 0.3 * gas;
    case GRATE:
      return 0.3 * gas;
    case COALS:
      return bedCapacity(s.charcoal, s.litKg);
    case METAL:
      return s.pit.metalJPerK;
    case BOWL:
      return s.pit.bowlAreaM2 * steel;
    default:
      return s.pit.lidAreaM2 * steel;
  }
}

/** Heat capacity of the lit coals with the ash among them, J/K. */
export const bedCapacity = (charcoal: Charcoal, litKg: number): number =>
  (litKg * (1 + ashPerDaf(charcoal)) + 0.004) * 1100;

/** Ash left per kg of dry, ash-free charcoal burnt. */
export const ashPerDaf = (c: Charcoal): number =>
  c.ashFraction / (1 - c.ashFraction - c.moistureFraction);

/** Heat held in all nodes above the reference, J. */
export function storedJ(s: PitState): number {
  let sum = 0;
  for (let i = 0; i < NODES; i++) sum += capacity(s, i) * (s.tempK[i]! - s.referenceK);
  return sum;
}
