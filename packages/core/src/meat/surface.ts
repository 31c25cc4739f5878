/**
 * The meat's face: heat arriving by air and radiation, water leaving through still air, crust and
 * wrap. One physics of the surrounding air for every cooker, every rest.
 */
import {
  vapourFilmResistance,
  saturationPressure,
  stefanFlowKgPerM2S,
  vapourPressure,
  wetBulb,
} from '../air/moistAir';
import { STEFAN_BOLTZMANN, kelvin } from '../quantity/units';
import type { Piece } from './pieceState';
import type { Wrap } from './wraps';
import type { FacePaths } from './facePaths';

/** What the piece sits in during one step. */
export interface Surroundings {
  /** Air temperature, C. */
  airC: number;
  /** Mean temperature of what it sees, C. */
  wallC: number;
  /** Humidity ratio of the air, kg/kg. */
  humidity: number;
  /** Speed of the air at the face, m/s. */
  airSpeedMps: number;
  /** Air drawn through the cooker, kg/s; a tight cooker slows its own drying. Infinity outdoors. */
  draughtKgPerS: number;
  /** Air pressure, Pa. */
  pressurePa: number;
}

/** Closures of the face; each within its plausible range. */
export const FACE_CLOSURES = {
  /** Emissivity of meat times its view of the walls (0.7-0.9). */
  radiation: 0.724,
  /** Turbulence of the air in a cooker, factor on the forced Nusselt number (1-1.6). */
  turbulence: 1.39,
  /** Permeability of dry crust to vapour, kg/msPa (1e-12 to 1e-11). */
  crustPermeability: 4.05e-12,
  /** Conductivity of dry crust, W/mK. */
  crustConductivity: 0.355,
};

/** Rendered fat that shuts most of a paper wrap, kg/m2: about its own mass (from memory, 0.03 to 0.1). */
const PAPER_SOAKS_KG_PER_M2 = 0.06;

/** Convection from air to a piece of face area A, W/m2K: forced and natural joined by cubes. */
function convectionWPerM2K(airC: number, faceC: number, speed: number, areaM2: number): number {
  const film = kelvin((airC + faceC) / 2);
  const conductivity = 0.0241 * Math.pow(film / 273.15, 0.81);
  const viscosity = 1.33e-5 * Math.pow(film / 273.15, 1.77);
  const length = Math.sqrt(areaM2);
  const re = (speed * length) / viscosity;
  const ra = (9.81 * Math.abs(airC - faceC) * length ** 3 * 0.71) / (film * viscosity * viscosity);
  const forced =
    0.888 * FACE_CLOSURES.turbulence * (0.2 * Math.sqrt(re) + 0.35 * Math.pow(re, 0.566));
  const natural = 0.513 * Math.pow(ra, 0.25);
  return ((3.5 + Math.cbrt(forced ** 3 + natural ** 3)) * conductivity) / length;
}

/** Radiation coefficient between face and walls, W/m2K. */
function radiationWPerM2K(wallC: number, faceC: number): number {
  const a = kelvin(wallC);
  const b = kelvin(faceC);
  return FACE_CLOSURES.radiation * STEFAN_BOLTZMANN * (a * a + b * b) * (a + b);
}

/** Fills `out` with the paths to a piece as it is now, in its wrap. */
export function updateFacePaths(
  surroundings: Surroundings,
  piece: Piece,
  wrap: Wrap,
  out: FacePaths,
): void {
  const hc =
    convectionWPerM2K(surroundings.airC, piece.faceC, surroundings.airSpeedMps, piece.faceM2) *
    piece.variation.heat;
  const hr = wrap.radiationShare * radiationWPerM2K(surroundings.wallC, piece.faceC);
  out.airShare = hc / (hc + hr);
  out.drivingC = (hc * surroundings.airC + hr * surroundings.wallC) / (hc + hr);
  out.outsideWPerM2K = hc + hr;
  out.wrapM2 = wrap.outsideOverFace * piece.faceM2;
  out.gapResistance = wrap.gapResistance;
  out.crustResistance = piece.crustM / FACE_CLOSURES.crustConductivity;
  const draught = Number.isFinite(surroundings.draughtKgPerS)
    ? (surroundings.pressurePa * piece.bareM2) /
      (Math.max(surroundings.draughtKgPerS, 2e-4) * (0.622 + surroundings.humidity))
    : 0;
  const permeance = wrapPermeance(piece, wrap);
  out.vapourResistance =
    vapourFilmResistance(hc, surroundings.pressurePa) +
    piece.crustM / (FACE_CLOSURES.crustPermeability * piece.variation.crust) +
    draught +
    1 / permeance;
  out.vapourPa = vapourPressure(surroundings.humidity, surroundings.pressurePa);
}

/** A wrap's permeance now, kg/m2sPa: paper breathes when fresh and shuts as rendered fat soaks it. */
function wrapPermeance(piece: Piece, wrap: Wrap): number {
  // Also where nothing is wrapped: both are Infinity then, and their difference would be no number.
  if (wrap.soakedPermeance === wrap.permeance) return wrap.permeance;
  const soaked = (piece.fatLostKg - piece.fatLostAtWrapKg) / (piece.faceM2 * PAPER_SOAKS_KG_PER_M2);
  const open = Math.exp(-soaked);
  const fresh = wrap.permeance * piece.variation.paper;
  return wrap.soakedPermeance + (fresh - wrap.soakedPermeance) * open;
}

/**
 * Evaporation per m2 of wet face, kg/m2s, at front temperature `c`: Stefan flow through the
 * resistances, so that boiling limits itself and altitude comes for free. Never condenses here.
 */
export function evaporationKgPerM2S(
  c: number,
  paths: FacePaths,
  pressurePa: number,
  activity: number,
): number {
  return stefanFlowKgPerM2S(
    activity * saturationPressure(c),
    paths.vapourPa,
    paths.vapourResistance,
    pressurePa,
  );
}

/** Plateau that a wet, bare face tends to, C: the wet bulb plus what radiation adds. */
export const wetPlateau = (surroundings: Surroundings): number =>
  wetBulb(surroundings.airC, surroundings.humidity, surroundings.pressurePa);
