/** Closures shared by all cookers; every number may be moved within its plausible range. */
export const PIT_CLOSURES = {
  /** Zukoski's constant in kg/s, kW, m, and the share of the fire's heat that rises (0.3-0.7). */
  plumeConstant: 0.071,
  convectiveShare: 0.45,
  /** Coals to passing gas, W/m2K (8-25). */
  coalFilm: 14,
  /** Exchange through an open lid, share of the free fall of warm gas (0.15-0.7). */
  lidExchange: 0.55,
  /** Water made per kg of charcoal burnt, kg (from memory, 0.3-0.4), and per kg of wood volatiles. */
  waterPerChar: 0.35,
  waterPerVolatiles: 0.55,
  /** Share of what burns that wood lying on the coals may hide from view (0.3-0.8). */
  woodHides: 0.6,
};

/**
 * Wind at a pit's height in a yard, share of what a forecast says for 10 m: ln(1 m / z) over ln(10 m / z) with a
 * roughness z of 0.1 to 0.5 m for gardens and houses gives 0.5 to 0.23 (log law of the wind, from memory).
 */
export const YARD_WIND_FRACTION = 0.4;

/** Probe and dial lags, s (common practice: a grate probe 45, a dome dial 90). */
export const SENSOR_LAG = { probeS: 45, dialS: 90, smokeS: 20 } as const;

/** Share of what a grate probe reads that is gas; the rest is what it sees. */
export const PROBE_GAS_FRACTION = 0.65;

/** Emissivity of a cooker's outside: paint, porcelain, glaze (0.8-0.95). */
export const SKIN_EMISSIVITY = 0.85;
