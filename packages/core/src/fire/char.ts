/**
 * Burning charcoal: how fast a lit bed takes oxygen and how fast fire goes over to its neighbour.
 * One place for every arrangement.
 */
import { OXYGEN_IN_AIR } from '../air/moistAir';
import { clamp } from '../quantity/units';

/** Closures of a lit bed; every number may be moved within its plausible range. */
export const CHAR = {
  /** Rate of a fully supplied bed when diffusion alone limits it, 1/s at Sh 4.5 (1e-4 to 4e-4). */
  diffusionPerS: 2.45e-4,
  /** Rate when kinetics alone limit it at the layer temperature `kineticK`, 1/s (1e-4 to 1e-3). */
  kineticPerS: 1e-3,
  kineticK: 720,
  /** Activation temperature of char oxidation, K (8000-18000, from memory). */
  activationK: 10000,
  /** Resistance of the ash skin between reaction layer and bed, m2K/W (1-3 mm of ash). */
  ashResistance: 0.0135,
  /** How long the reaction layer takes to follow, s (60-240). */
  layerLagS: 120,
  maxLayerK: 500,
  /** Layer temperature at which half the bed is going out, K, and how sharp that is. */
  extinctionK: 680,
  extinctionWidthK: 50,
  extinctionS: 200,
  /** Share of the combustion heat that stays in the bed (0.75-0.95). */
  bedHeatFraction: 0.85,
  emissivity: 0.7,
  /** Air that an open bed of 1 kg of charcoal draws in by its own heat, kg/s; grows with its face (1e-3 to 8e-3). */
  openBedAir: 4.4e-3,
  /** Bulk density of the glowing heap, gaps included, kg/m3 of dry ash-free fuel (200-400). */
  bulkDensity: 215,
  specificHeat: 1100,
  /** Pace of the front into touching briquettes at full oxygen and readiness 1, m/s (0.15-0.3 m/h). */
  frontMps: 0.174 / 3600,
};

/** Sherwood number around pieces: free and forced parts joined by cubes. `re` on piece size. */
export const sherwood = (re: number): number =>
  Math.cbrt(4.5 ** 3 + Math.pow(0.55 * Math.sqrt(Math.max(re, 0)), 3));

/** Burning rate per kg of lit fuel, 1/s: film diffusion in series with kinetics, times supply. */
export function burnPerS(layerK: number, sh: number, oxygen: number): number {
  const diffusion =
    CHAR.diffusionPerS * (sh / 4.5) * Math.pow(clamp(layerK, 500, 1500) / 1000, 0.75);
  const kinetic =
    CHAR.kineticPerS *
    Math.exp(clamp(-CHAR.activationK * (1 / layerK - 1 / CHAR.kineticK), -60, 12));
  return ((diffusion * kinetic) / (diffusion + kinetic)) * (oxygen / OXYGEN_IN_AIR);
}

/** Share of the heat of combustion that leaves unburnt as carbon monoxide: more with little oxygen. */
export const unburntFraction = (oxygen: number): number =>
  clamp(0.03 + 0.19 * (1 - oxygen / OXYGEN_IN_AIR), 0.03, 0.22);

/**
 * Share of the heat that stays in the bed. Above a layer of 1450 K the Boudouard reaction takes heat
 * there and gives it back as burning carbon monoxide over the bed: that is what caps the layer.
 */
export const bedHeatFraction = (layerK: number): number =>
  CHAR.bedHeatFraction * (1 - 0.5 * clamp((layerK - 1450) / 400, 0, 1));

/** How ready unlit fuel is to catch from a layer this hot, 0 to 1.6. */
export const ignitionReadiness = (layerK: number): number => clamp((layerK - 690) / 380, 0, 1.6);

/** Share of the lit fuel that goes out per second. */
export const extinctionPerS = (layerK: number): number =>
  1 / (CHAR.extinctionS * (1 + Math.exp((layerK - CHAR.extinctionK) / CHAR.extinctionWidthK)));

/** Radiating area of a lit bed, m2; cooled outer pieces darken and shield the core. */
export function radiatingArea(litKg: number, bedK: number): number {
  const area = 4.84 * Math.pow(Math.max(litKg, 0) / CHAR.bulkDensity, 2 / 3);
  return area * clamp(0.2 + 0.8 * ((bedK - 650) / 150), 0.2, 1);
}
