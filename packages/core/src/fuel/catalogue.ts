/** Fuels of this slice. A new fuel or wood is one entry here. */

/** Charcoal as bought. Masses of `daf` are dry and ash-free. */
export interface Charcoal {
  name: string;
  pieceKg: number;
  /** kg/kg as bought. Plausible: good grade 0.12-0.18, poor 0.20-0.28; EN 1860-2 allows 0.18. */
  ashFraction: number;
  /** kg/kg as bought. EN 1860-2 allows 0.08. */
  moistureFraction: number;
  /** Net heating value of the dry, ash-free part, J/kg (from memory, 28-31 MJ/kg). */
  heatJPerKg: number;
}

export const CHARCOALS = {
  briquette: {
    name: 'briquettes',
    pieceKg: 0.026,
    ashFraction: 0.16,
    moistureFraction: 0.05,
    heatJPerKg: 29.3e6,
  },
} as const satisfies Record<string, Charcoal>;

export type CharcoalId = keyof typeof CHARCOALS;

/** Share of a charcoal's bought mass that burns. */
export const dafShare = (c: Charcoal): number => 1 - c.ashFraction - c.moistureFraction;

/** Smoke wood. Specific gravity at 12 % moisture from the Wood Handbook (FPL), from memory. */
export interface Wood {
  name: string;
  specificGravity: number;
}

export const WOODS = {
  cherry: { name: 'cherry', specificGravity: 0.5 },
  oak: { name: 'oak', specificGravity: 0.63 },
  beech: { name: 'beech', specificGravity: 0.64 },
} as const satisfies Record<string, Wood>;

export type WoodId = keyof typeof WOODS;

/** Moisture of seasoned chunks, wet basis (common practice, 0.10-0.20). */
export const CHUNK_MOISTURE = 0.14;

/** Heat released per kg of oxygen used, J/kg: carbon 32.8/2.667 by arithmetic; wood: Huggett 1980. */
export const OXYGEN_HEAT = { charcoal: 12.3e6, wood: 13.3e6 } as const;

/** Net heat of dry wood, J/kg (about 18.5 MJ/kg; EN 14918 form). */
export const DRY_WOOD_HEAT = 18.5e6;
/** Char left by slow pyrolysis, kg per kg dry wood (from memory, 0.2-0.3). */
export const WOOD_CHAR_YIELD = 0.24;
/** Heating value of what the wood breathes out, J/kg, so that the chemical energy closes. */
export const volatilesHeat = (charHeatJPerKg: number): number =>
  (DRY_WOOD_HEAT - WOOD_CHAR_YIELD * charHeatJPerKg) / (1 - WOOD_CHAR_YIELD);
