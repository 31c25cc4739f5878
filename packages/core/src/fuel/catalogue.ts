/** Fuels: charcoals as bought and woods. A new fuel or wood is one entry here. */
import { OXYGEN_IN_AIR } from '../air/moistAir';

/** Charcoal as bought. Masses of `daf` are dry and ash-free. */
export interface Charcoal {
  /** What it is called. */
  name: string;
  /** Usual mass of one piece, kg. */
  pieceKg: number;
  /** kg/kg as bought. Plausible: good grade 0.12-0.18, poor 0.20-0.28; EN 1860-2 allows 0.18 (lump 0.08). */
  ashFraction: number;
  /** kg/kg as bought. EN 1860-2 allows 0.08. */
  moistureFraction: number;
  /** Net heating value of the dry, ash-free part, J/kg (from memory, 28-32 MJ/kg). */
  heatJPerKg: number;
  /** Pace of fire into touching pieces against briquettes (lump: gaps and thin edges, 1.5-2.5). */
  paceFactor: number;
  /** How freely air gets among its pieces: 1 for pieces as bought, less for small ones in their own ash (0.1-1). */
  openness: number;
}

export const CHARCOALS = {
  briquette: {
    name: 'briquettes',
    pieceKg: 0.026,
    ashFraction: 0.16,
    moistureFraction: 0.05,
    heatJPerKg: 29.3e6,
    paceFactor: 1,
    openness: 1,
  },
  'briquette-ashy': {
    name: 'ashy briquettes',
    pieceKg: 0.026,
    ashFraction: 0.25,
    moistureFraction: 0.06,
    heatJPerKg: 29.3e6,
    paceFactor: 0.85,
    openness: 1,
  },
  lump: {
    name: 'lump charcoal',
    pieceKg: 0.06,
    ashFraction: 0.03,
    moistureFraction: 0.05,
    heatJPerKg: 31.0e6,
    paceFactor: 2,
    openness: 0.65,
  },
} as const satisfies Record<string, Charcoal>;

export type CharcoalId = keyof typeof CHARCOALS;
/** Fuel a fire is kept on: a charcoal, or splits on a base of lump. */
export type FuelId = CharcoalId | 'splits';

/** Share of a charcoal's bought mass that burns. */
export const dafFraction = (charcoal: Charcoal): number =>
  1 - charcoal.ashFraction - charcoal.moistureFraction;

/** Wood for smoke and for heat. */
export interface Wood {
  /** What it is called. */
  name: string;
  /** Oven-dry mass over volume at 12 % moisture: Wood Handbook (FPL), from memory. */
  specificGravity: number;
  /** How strongly a gram smokes, 1 is oak (common practice: fruit woods milder, hickory stronger). */
  smokeStrength: number;
}

export const WOODS = {
  oak: { name: 'oak', specificGravity: 0.63, smokeStrength: 1 },
  'white-oak': { name: 'white oak', specificGravity: 0.68, smokeStrength: 1 },
  hickory: { name: 'hickory', specificGravity: 0.72, smokeStrength: 1.3 },
  pecan: { name: 'pecan', specificGravity: 0.66, smokeStrength: 1.1 },
  maple: { name: 'maple', specificGravity: 0.63, smokeStrength: 0.8 },
  cherry: { name: 'cherry', specificGravity: 0.5, smokeStrength: 0.75 },
  apple: { name: 'apple', specificGravity: 0.67, smokeStrength: 0.7 },
  pear: { name: 'pear', specificGravity: 0.66, smokeStrength: 0.65 },
  plum: { name: 'plum', specificGravity: 0.68, smokeStrength: 0.75 },
  alder: { name: 'alder', specificGravity: 0.41, smokeStrength: 0.6 },
  beech: { name: 'beech', specificGravity: 0.64, smokeStrength: 0.9 },
  ash: { name: 'ash', specificGravity: 0.6, smokeStrength: 0.8 },
  birch: { name: 'birch', specificGravity: 0.62, smokeStrength: 0.9 },
  walnut: { name: 'walnut', specificGravity: 0.55, smokeStrength: 1.3 },
  mesquite: { name: 'mesquite', specificGravity: 0.8, smokeStrength: 1.5 },
  olive: { name: 'olive', specificGravity: 0.82, smokeStrength: 1.1 },
} as const satisfies Record<string, Wood>;

export type WoodId = keyof typeof WOODS;

/** Moisture by seasoning, wet basis (common practice; dry basis is w / (1 - w)). */
export const WOOD_MOISTURE_FRACTION = {
  'kiln-dried': 0.09,
  seasoned: 0.16,
  damp: 0.27,
  green: 0.42,
} as const;

/** Usual mass of a split where none is given, kg. */
export const USUAL_SPLIT_KG = 1.3;

/** Moisture of seasoned chunks, wet basis (common practice, 0.10-0.20). */
export const CHUNK_MOISTURE_FRACTION = 0.14;

/** Heat released per kg of oxygen used, J/kg: carbon 32.8/2.667 by arithmetic; wood: Huggett 1980. */
export const OXYGEN_HEAT = { charcoal: 12.3e6, wood: 13.3e6 } as const;

/** Net heat of dry wood, J/kg (about 18.5 MJ/kg; EN 14918 form). */
export const DRY_WOOD_HEAT = 18.5e6;
/** Net heat of wet wood, J/kg, `w` on wet basis: q_dry (1 - w) - 2.443 w MJ/kg (ISO 18125 / EN 14918 form). */
export const wetWoodHeat = (w: number): number => DRY_WOOD_HEAT * (1 - w) - 2.443e6 * w;
/** Char left by slow pyrolysis, kg per kg dry wood (from memory, 0.2-0.3), and its heat, J/kg daf. */
export const WOOD_CHAR_YIELD = 0.24;
export const WOOD_CHAR_HEAT = 31.0e6;
/** Ash of wood char, kg per kg daf (from memory, 0.01-0.05). */
export const WOOD_CHAR_ASH = 0.02;
/** Heating value of what wood breathes out, J/kg, so that the chemical energy closes. */
export const VOLATILES_HEAT =
  (DRY_WOOD_HEAT - WOOD_CHAR_YIELD * WOOD_CHAR_HEAT) / (1 - WOOD_CHAR_YIELD);

/** Air that 1 kg of carbon needs, kg: O2 2.667 kg/kg over its share in air (combustion textbooks). */
export const STOICHIOMETRIC_AIR = 2.667 / OXYGEN_IN_AIR;

/** Wood of smoke chunks and of splits where nobody chose one (common practice). */
export const USUAL_CHUNK_WOOD: WoodId = 'cherry';
export const USUAL_SPLIT_WOOD: WoodId = 'oak';
