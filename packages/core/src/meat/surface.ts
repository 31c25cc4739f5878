/**
 * The meat's face: heat arriving by air and radiation, water leaving through still air, crust and
 * wrap. One physics of the surrounding air for every cooker, every rest.
 */
import {
  filmResistance,
  saturationPressure,
  stefanFlow,
  vapourPressure,
  wetBulb,
} from '../air/moist';
import { kelvin } from '../quantity/units';
import type { Piece } from './types';
import type { Wrap } from './wraps';

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
  radiation: 0.736,
  /** Turbulence of the air in a cooker, factor on the forced Nusselt number (1-1.6). */
  turbulence: 1.31,
  /** Permeability of dry crust to vapour, kg/msPa (1e-12 to 1e-11). */
  crustPermeability: 3.2e-12,
  /** Conductivity of dry crust, W/mK. */
  crustConductivity: 0.35,
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

/** Heat and vapour paths between the surroundings and the faces. */
export interface Paths {
  /** Share of the heat that comes by convection. */
  airShare: number;
  /** Overall coefficient from surroundings to the evaporating front, W/m2K, and the temperature that drives it. */
  u: number;
  drivingC: number;
  /** From surroundings to the face of the cap, m2K/W. */
  capResistance: number;
  /** Resistance to vapour, m2sPa/kg; Infinity switches evaporation off. */
  vapourResistance: number;
  vapourPa: number;
}

/** Paths to be filled. */
export const newPaths = (): Paths => ({
  airShare: 0.5,
  u: 0,
  drivingC: 0,
  capResistance: 0,
  vapourResistance: Infinity,
  vapourPa: 0,
});

/** Fills `out` with the paths to a piece as it is now, in its wrap. */
export function facePaths(s: Surroundings, p: Piece, wrap: Wrap, out: Paths): void {
  const hc = convection(s.airC, p.faceC, s.airSpeedMps, p.faceM2) * p.spread.heat;
  const hr = radiation(s.wallC, p.faceC);
  out.airShare = hc / (hc + hr);
  out.drivingC = (hc * s.airC + hr * s.wallC) / (hc + hr);
  out.capResistance = 1 / (hc + hr) + wrap.heatResistance;
  out.u = 1 / (out.capResistance + p.crustM / FACE.crustConductivity);
  const draught = Number.isFinite(s.draughtKgPerS)
    ? (s.pressurePa * p.bareM2) / (Math.max(s.draughtKgPerS, 2e-4) * (0.622 + s.humidity))
    : 0;
  const permeance = wrap.permeance * (p.wrap === 'paper' ? p.spread.paper : 1);
  out.vapourResistance =
    filmResistance(hc, s.pressurePa) +
    p.crustM / (FACE.crustPermeability * p.spread.crust) +
    draught +
    1 / permeance;
  out.vapourPa = vapourPressure(s.humidity, s.pressurePa);
}

/**
 * Evaporation per m2 of wet face, kg/m2s, at front temperature `c`: Stefan flow through the
 * resistances, so that boiling limits itself and altitude comes for free. Never condenses here.
 */
export function evaporation(c: number, p: Paths, pressurePa: number, activity: number): number {
  return stefanFlow(activity * saturationPressure(c), p.vapourPa, p.vapourResistance, pressurePa);
}

/** Plateau that a wet, bare face tends to, C: the wet bulb plus what radiation adds. */
export const wetPlateau = (s: Surroundings): number => wetBulb(s.airC, s.humidity, s.pressurePa);
