/** Closures: what the kettle's inside is like, apart from its measures. */
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

/** Wind at a pit's height in a yard, share of what a forecast says for 10 m (0.4-0.7). */
export const SHELTER = 0.55;
