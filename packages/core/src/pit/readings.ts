/** What is breathed, smelt and read in a pit after a step: humidity, smoke, the probe and the dial. */
import { gasDensity, humidityRatio, saturationPressure } from '../air/moistAir';
import { kelvin } from '../quantity/units';
import type { Weather } from '../air/weather';
import { PIT_CLOSURES, PROBE_GAS_FRACTION, SENSOR_LAG } from './closures';
import type { GratePosition, Surface } from './layout';
import { nodeOf } from './state';
import type { PitState } from './pitState';
import type { BoundaryFlows } from './workspace';

/** What is breathed, smelt and read after a step: humidity, smoke, the probe and the dial. */
export function updateReadings(
  pit: PitState,
  weather: Weather,
  boundary: BoundaryFlows,
  burntKgPerS: number,
  steamKgPerS: number,
  dtS: number,
): void {
  const { tempK: t, layout } = pit;
  pit.draughtKgPerS = Math.max(boundary.inflowTotal, 1e-5);
  const want =
    outdoorHumidity(pit, weather) +
    vapourKgPerS(burntKgPerS, pit.workspace.wood.burntKgPerS, steamKgPerS) / pit.draughtKgPerS;
  pit.humidity += (want - pit.humidity) * (1 - Math.exp((-dtS * pit.draughtKgPerS) / HUMID_GAS_KG));
  pit.smokeGPerM3 +=
    (smokeGPerM3Now(pit, boundary) - pit.smokeGPerM3) * (1 - Math.exp(-dtS / SENSOR_LAG.smokeS));
  pit.smokeDose += (pit.smokeGPerM3 * pit.smokeStrength * dtS) / 60;
  const place = layout.positions[layout.probePosition]!;
  pit.probeK +=
    (probeEquilibriumK(pit, place, kelvin(weather.airC)) - pit.probeK) *
    (1 - Math.exp(-dtS / SENSOR_LAG.probeS));
  pit.dialK += (t[layout.domeZone]! - pit.dialK) * (1 - Math.exp(-dtS / SENSOR_LAG.dialS));
}

/** Gas whose moisture the humidity stands for, kg. */
export const HUMID_GAS_KG = 0.03;

/** Vapour given off, kg/s: by burning charcoal and volatiles, and as steam. */
export const vapourKgPerS = (charcoal: number, volatiles: number, steam: number): number =>
  PIT_CLOSURES.waterPerChar * charcoal + PIT_CLOSURES.waterPerVolatiles * volatiles + steam;

/** Humidity ratio of the air outside. */
export const outdoorHumidity = (pit: PitState, weather: Weather): number =>
  humidityRatio(
    weather.relativeHumidityFraction * saturationPressure(weather.airC),
    pit.pressurePa,
  );

/** Unburnt volatiles in the exhaust, g/m3. */
function smokeGPerM3Now(pit: PitState, boundary: BoundaryFlows): number {
  const { wood } = pit.workspace;
  const m3PerS =
    Math.max(boundary.inflowTotal, 2e-4) /
    gasDensity(pit.tempK[pit.layout.domeZone]!, pit.pressurePa);
  return (1000 * (wood.volatilesKgPerS - wood.burntKgPerS)) / m3PerS;
}

/** What a surface shows: its temperature, or the sky's where the lid is off. */
const surfaceTempK = (pit: PitState, surface: Surface, airK: number): number =>
  pit.lidOpen && typeof surface === 'number' && pit.layout.walls[surface]!.lid
    ? airK
    : pit.tempK[nodeOf(pit, surface)]!;

/** Mean temperature of what a place sees, K. */
export function radiantTempK(pit: PitState, place: GratePosition, airK: number): number {
  const { viewShares } = place;
  let sum = 0;
  // Read by index: this runs in every step, and taking pairs apart in a loop asks for memory.
  for (let i = 0; i < viewShares.length; i++) {
    const seen = viewShares[i]!;
    sum += seen[1] * surfaceTempK(pit, seen[0], airK);
  }
  return sum;
}

/** Temperature of the gas at a place, K. */
export function gasTempK(pit: PitState, place: GratePosition): number {
  const { gasShares } = place;
  let sum = 0;
  for (let i = 0; i < gasShares.length; i++) {
    const part = gasShares[i]!;
    sum += part[1] * pit.tempK[part[0]]!;
  }
  return sum;
}

/** What a probe at a place would read once it has settled, K: partly gas, partly what it sees. */
export const probeEquilibriumK = (pit: PitState, place: GratePosition, airK: number): number =>
  PROBE_GAS_FRACTION * gasTempK(pit, place) +
  (1 - PROBE_GAS_FRACTION) * radiantTempK(pit, place, airK);
