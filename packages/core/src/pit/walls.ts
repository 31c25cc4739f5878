/** Walls as heat stores and conductances, from the inside out. */

/** Heat capacity of steel per m2 and mm, J/K (7850 kg/m3, 470 J/kgK). */
const STEEL_J_PER_K_M2_MM = 7.85 * 470;

/** Refractory ceramic of a kamado: conductivity W/mK (0.7-1.2), heat J/kgK, density kg/m3 (from memory). */
export const CERAMIC = { conductivity: 0.9, heat: 900, density: 2200 } as const;

/** Stores and joins of one wall. */
export interface WallNodes {
  /** Heat store of each node, J/K. */
  heatStoresJPerK: number[];
  /** Conductance from each node to the next, W/K. */
  conductancesWPerK: number[];
}

/** One skin of steel, so thin that it has one temperature. */
export const singleSteelWall = (m2: number, mm: number): WallNodes => ({
  heatStoresJPerK: [m2 * mm * STEEL_J_PER_K_M2_MM],
  conductancesWPerK: [],
});

/** Thick ceramic in `cells` slices: half slices at both faces, so that the faces are nodes. */
export function ceramicWall(m2: number, mm: number, cells = 4): WallNodes {
  const whole = (m2 * mm * CERAMIC.heat * CERAMIC.density) / 1000;
  const joins = cells - 1;
  const g = (CERAMIC.conductivity * m2 * joins * 1000) / mm;
  return {
    heatStoresJPerK: Array.from(
      { length: cells },
      (_, i) => (whole / joins) * (i === 0 || i === joins ? 0.5 : 1),
    ),
    conductancesWPerK: Array<number>(joins).fill(g),
  };
}

/** Two steel skins with insulation between them; the insulation's own heat is in the inner one. */
export const doubleSteelWall = (m2: number, mm: number, wPerM2K: number): WallNodes => ({
  heatStoresJPerK: [m2 * (mm * STEEL_J_PER_K_M2_MM + 1500), m2 * mm * STEEL_J_PER_K_M2_MM],
  conductancesWPerK: [m2 * wPerM2K],
});
