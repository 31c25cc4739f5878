/** Thermal properties of meat from its composition (Choi and Okos 1986, in ASHRAE Refrigeration ch. 19). */

/** Mass fractions of raw meat; they sum to 1. */
export interface Composition {
  /** Water, share of the mass. */
  water: number;
  /** Protein, share of the mass. */
  protein: number;
  /** Fat, share of the mass. */
  fat: number;
  /** Ash, share of the mass. */
  ash: number;
}

/** Densities of the constituents at `t` C, kg/m3. */
const density = {
  water: (t: number) => 997.18 + 3.1439e-3 * t - 3.7574e-3 * t * t,
  protein: (t: number) => 1329.9 - 0.5184 * t,
  fat: (t: number) => 925.59 - 0.41757 * t,
  ash: (t: number) => 2423.8 - 0.28063 * t,
};
/** Conductivities, W/mK. */
const conductivity = {
  water: (t: number) => 0.57109 + 1.7625e-3 * t - 6.7036e-6 * t * t,
  protein: (t: number) => 0.17881 + 1.1958e-3 * t - 2.7178e-6 * t * t,
  fat: (t: number) => 0.18071 - 2.7604e-4 * t - 1.7749e-7 * t * t,
  ash: (t: number) => 0.32962 + 1.4011e-3 * t - 2.9069e-6 * t * t,
};
/** Specific heats, J/kgK. */
const heat = {
  water: (t: number) => 4176.2 - 9.0864e-2 * t + 5.4731e-3 * t * t,
  protein: (t: number) => 2008.2 + 1.2089 * t - 1.3129e-3 * t * t,
  fat: (t: number) => 1984.2 + 1.4733 * t - 4.8008e-3 * t * t,
  ash: (t: number) => 1092.6 + 1.8896 * t - 3.6817e-3 * t * t,
};

/** Heat of melting of meat fat, J per kg fat, spread round 35 C (from memory). */
const FAT_MELT_J = 70e3;
const FAT_MELT_C = 35;
const FAT_MELT_WIDTH = 6;

/** Density of raw meat at `t` C, kg/m3: volumes add. */
export function meatDensity(composition: Composition, t: number): number {
  return (
    1 /
    (composition.water / density.water(t) +
      composition.protein / density.protein(t) +
      composition.fat / density.fat(t) +
      composition.ash / density.ash(t))
  );
}

/** Conductivity, W/mK, with `water` kg per kg raw still in it: constituents in parallel by volume. */
export function meatConductivity(composition: Composition, water: number, t: number): number {
  const vw = water / density.water(t);
  const vp = composition.protein / density.protein(t);
  const vf = composition.fat / density.fat(t);
  const va = composition.ash / density.ash(t);
  return (
    (vw * conductivity.water(t) +
      vp * conductivity.protein(t) +
      vf * conductivity.fat(t) +
      va * conductivity.ash(t)) /
    (vw + vp + vf + va)
  );
}

/** Heat capacity per kg of raw meat, J/K, with `water` kg per kg raw left, fat melting included. */
export function meatHeat(composition: Composition, water: number, t: number): number {
  const z = (t - FAT_MELT_C) / FAT_MELT_WIDTH;
  const melting = (FAT_MELT_J / (FAT_MELT_WIDTH * 2.5066)) * Math.exp(-0.5 * z * z);
  return (
    water * heat.water(t) +
    composition.protein * heat.protein(t) +
    composition.fat * (heat.fat(t) + melting) +
    composition.ash * heat.ash(t)
  );
}
