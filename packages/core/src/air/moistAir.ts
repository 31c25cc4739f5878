/** Moist air: what the meat's surface, the draught and the boiling point need to know. */
import { clamp, kelvin } from '../quantity/units';

/** Mass ratio water to dry air, 18.015 / 28.966 g/mol. */
const MOLAR_RATIO = 0.621945;
/** Specific gas constant of dry air, J/kgK. */
const R_AIR = 287.05;
/** Specific heat of flue gas and air at 100-200 C, J/kgK (from memory, 1010-1080). */
export const CP_GAS = 1050;
/** Share of oxygen in dry air by mass (combustion textbooks). */
export const OXYGEN_IN_AIR = 0.232;

/** Standard atmosphere pressure at an altitude, Pa (ISO 2533: 101325 (1 - 2.25577e-5 z)^5.2559). */
export function pressureAt(altitudeM: number): number {
  return 101325 * Math.pow(1 - 2.25577e-5 * altitudeM, 5.2559);
}

/**
 * Saturation pressure of water vapour, Pa, over liquid (ice below 0 C).
 * Hyland and Wexler 1983 as in ASHRAE Fundamentals, good from -100 to 200 C.
 */
export function saturationPressure(c: number): number {
  const t = kelvin(clamp(c, -100, 200));
  if (c < 0) {
    return Math.exp(
      -5674.5359 / t +
        6.3925247 -
        9.677843e-3 * t +
        6.2215701e-7 * t * t +
        2.0747825e-9 * t ** 3 -
        9.484024e-13 * t ** 4 +
        4.1635019 * Math.log(t),
    );
  }
  return Math.exp(
    -5800.2206 / t +
      1.3914993 -
      4.8640239e-2 * t +
      4.1764768e-5 * t * t -
      1.4452093e-8 * t * t * t +
      6.5459673 * Math.log(t),
  );
}

/** Heat of vaporisation of water, J/kg, linear fit 0-130 C (steam tables, within 0.5 %). */
export const vaporisationHeat = (c: number): number => 2.501e6 - 2400 * c;

/** Specific heat of water, J/kgK, and what boiling it off at 100 C takes, J/kg (steam tables). */
export const WATER_SPECIFIC_HEAT = 4186;
export const LATENT_HEAT_AT_BOILING = 2.26e6;

/** Humidity ratio (kg water per kg dry air) from a vapour pressure. */
export const humidityRatio = (vapourPa: number, pressurePa: number): number =>
  (MOLAR_RATIO * vapourPa) / Math.max(pressurePa - vapourPa, 1);

/** Vapour pressure, Pa, from a humidity ratio. */
export const vapourPressure = (ratio: number, pressurePa: number): number =>
  (pressurePa * ratio) / (MOLAR_RATIO + ratio);

/** Temperature at which water boils under a pressure, C: saturation pressure turned round. */
export function boilingPoint(pressurePa: number): number {
  let low = 0;
  let high = 150;
  for (let i = 0; i < 60; i++) {
    const mid = (low + high) / 2;
    if (saturationPressure(mid) < pressurePa) low = mid;
    else high = mid;
  }
  return (low + high) / 2;
}

/** `boilingPoint` as a power law, C: within 0.1 K up to 3,000 m, cheap enough for every step. */
export const boilingPointC = (pressurePa: number): number =>
  100 * Math.pow(pressurePa / 101325, 0.285);

/**
 * Thermodynamic wet bulb, C, from dry bulb and humidity ratio: the ASHRAE balance
 * W = ((2501 - 2.326 t*) W* - 1.006 (t - t*)) / (2501 + 1.86 t - 4.186 t*), bisected.
 */
export function wetBulb(dryC: number, ratio: number, pressurePa: number): number {
  let low = -30;
  let high = dryC;
  for (let i = 0; i < 60; i++) {
    const t = (low + high) / 2;
    const saturated = humidityRatio(
      Math.min(saturationPressure(t), 0.999 * pressurePa),
      pressurePa,
    );
    const w =
      ((2501 - 2.326 * t) * saturated - 1.006 * (dryC - t)) / (2501 + 1.86 * dryC - 4.186 * t);
    if (w < ratio) low = t;
    else high = t;
  }
  return (low + high) / 2;
}

/** Density of air or flue gas as an ideal gas, kg/m3. */
export const gasDensity = (k: number, pressurePa: number): number => pressurePa / (R_AIR * k);

/**
 * Vapour leaving a wet surface, kg/m2s, by Stefan flow through a resistance in m2sPa/kg: boiling limits
 * itself and altitude comes for free. Never condenses.
 */
export function stefanFlowKgPerM2S(
  surfacePa: number,
  vapourPa: number,
  resistance: number,
  pressurePa: number,
): number {
  const ps = Math.min(surfacePa, 0.995 * pressurePa);
  const e = (pressurePa * Math.log((pressurePa - vapourPa) / (pressurePa - ps))) / resistance;
  return e > 0 ? e : 0;
}

/** Resistance of the still air over a wet surface with that heat film, m2sPa/kg (Lewis). */
export const vapourFilmResistance = (wPerM2K: number, pressurePa: number): number =>
  (1007 * 0.9 * pressurePa) / (0.622 * wPerM2K);
