/**
 * The meat's face: heat arriving by air and radiation, water leaving through still air, crust and
 * wrap. One physics of the surrounding air for every cooker, every rest.
 */
import {
  filmResistance,
  saturationPressure,
  stefanFlow,
  vapourPressure,
  vaporisationHeat,
  wetBulb,
} from '../air/moist';
import { kelvin } from '../quantity/units';

/** What the piece sits in during one step. */
export interface Surroundings {
  airC: number;
  /** Mean temperature of what it sees, C. */
  wallC: number;
  /** Humidity ratio of the air, kg/kg. */
  humidity: number;
  airSpeedMps: number;
  /** Air drawn through the cooker, kg/s; a tight cooker slows its own drying. Infinity outdoors. */
  draughtKgPerS: number;
  pressurePa: number;
}

const SIGMA = 5.670374e-8;
/** Closures of the face; each within its plausible range. */
export const FACE = {
  /** Emissivity of meat times its view of the walls (0.7-0.9). */
  radiation: 0.84,
  /** Turbulence of the air in a cooker, factor on the forced Nusselt number (1-1.6). */
  turbulence: 1.3,
  /** Permeability of dry crust to vapour, kg/msPa (1e-12 to 1e-11). */
  crustPermeability: 2.9e-12,
  /** Conductivity of dry crust, W/mK. */
  crustConductivity: 0.25,
};

/** Convection from air to a piece of face area A, W/m2K: forced and natural joined by cubes. */
export function convection(airC: number, faceC: number, speed: number, areaM2: number): number {
  const film = kelvin((airC + faceC) / 2);
  const conductivity = 0.0241 * Math.pow(film / 273.15, 0.81);
  const viscosity = 1.33e-5 * Math.pow(film / 273.15, 1.77);
  const length = Math.sqrt(areaM2);
  const re = (speed * length) / viscosity;
  const ra = (9.81 * Math.abs(airC - faceC) * length ** 3 * 0.71) / (film * viscosity * viscosity);
  const forced = 0.888 * FACE.turbulence * (0.2 * Math.sqrt(re) + 0.35 * Math.pow(re, 0.566));
  const natural = 0.513 * Math.pow(ra, 0.25);
  return ((3.5 + Math.cbrt(forced ** 3 + natural ** 3)) * conductivity) / length;
}

/** Radiation coefficient between face and walls, W/m2K. */
export function radiation(wallC: number, faceC: number): number {
  const a = kelvin(wallC);
  const b = kelvin(faceC);
  return FACE.radiation * SIGMA * (a * a + b * b) * (a + b);
}

/** Heat and vapour paths between the surroundings and the evaporating front. */
export interface Paths {
  /** Share of the heat that comes by convection. */
  airShare: number;
  /** Overall coefficient from surroundings to front, W/m2K, and the temperature that drives it. */
  u: number;
  drivingC: number;
  /** Resistance to vapour, m2sPa/kg. */
  vapourResistance: number;
  vapourPa: number;
}

/** Fills `out` with the paths for a front under `crustM` of dry crust and a wrap. */
export function facePaths(
  s: Surroundings,
  faceC: number,
  areaM2: number,
  crustM: number,
  wrapHeat: number,
  wrapPermeance: number,
  heatFactor: number,
  crustFactor: number,
  out: Paths,
): void {
  const hc = convection(s.airC, faceC, s.airSpeedMps, areaM2) * heatFactor;
  const hr = radiation(s.wallC, faceC);
  out.airShare = hc / (hc + hr);
  out.drivingC = (hc * s.airC + hr * s.wallC) / (hc + hr);
  out.u = 1 / (1 / (hc + hr) + crustM / FACE.crustConductivity + wrapHeat);
  const draught = Number.isFinite(s.draughtKgPerS)
    ? (s.pressurePa * areaM2) / (Math.max(s.draughtKgPerS, 2e-4) * (0.622 + s.humidity))
    : 0;
  out.vapourResistance =
    filmResistance(hc, s.pressurePa) +
    crustM / (FACE.crustPermeability * crustFactor) +
    draught +
    1 / wrapPermeance;
  out.vapourPa = vapourPressure(s.humidity, s.pressurePa);
}

/**
 * Evaporation per m2 of wet face, kg/m2s, at front temperature `c`: Stefan flow through the
 * resistances, so that boiling limits itself and altitude comes for free. Never condenses here.
 */
export function evaporation(c: number, p: Paths, pressurePa: number, activity: number): number {
  return stefanFlow(activity * saturationPressure(c), p.vapourPa, p.vapourResistance, pressurePa);
}

/** Heat taken by that evaporation, W/m2. */
export const evaporationHeat = (c: number, e: number): number => vaporisationHeat(c) * e;

/** Plateau that a wet, bare face tends to, C: the wet bulb plus what radiation adds. */
export const wetPlateau = (s: Surroundings): number => wetBulb(s.airC, s.humidity, s.pressurePa);
