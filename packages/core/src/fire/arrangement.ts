/**
 * A fire arrangement: where the unlit fuel lies and how the lit part reaches it. The coals, the air
 * and the heat are the same for all; a new arrangement is one new file and a line in the catalogue.
 */
export interface Arrangement {
  /** Fuel that the front passes per metre walked, kg dry ash-free per m, reachability included. */
  frontKgPerM: number;
  /** Lit mass below which the front is too weak to go at full speed, kg dry ash-free. */
  fullSpeedFrontKg: number;
  /** Unlit fuel so small that most of it is out of reach, kg dry ash-free. */
  unreachableKg: number;
  /** Most that can glow at once, kg dry ash-free; Infinity where the fire may take all of it. */
  maxLitKg: number;
  /** Share of the glowing heap's face that looks out; the rest looks at unlit fuel, which hands it back. */
  exposedFraction: number;
  /** Where a snake's head is, degrees from the lit end, when `passedKg` of its fuel has caught; null elsewhere. */
  frontDegrees(passedKg: number): number | null;
  /** Share of the fuel that must have caught before wood lying at that place is reached, 0 to 1. */
  caughtFractionToReach(place: WoodPlace): number;
}

/** Where a piece of wood lies in the charcoal. */
export interface WoodPlace {
  /** Along a snake, degrees from its lit end. */
  atArcDegrees?: number;
  /** 0 on top to 1 at the bottom. */
  depthFraction?: number;
}

/** Fuel of one make-up, or a mixture: kg dry ash-free, heat per kg, ash and moisture per kg. */
export interface FuelPool {
  /** Mass, kg dry and ash-free. */
  kg: number;
  /** Heat of combustion, J/kg. */
  heatJPerKg: number;
  /** Ash, kg for each kg. */
  ashPerKg: number;
  /** Moisture, kg for each kg. */
  moisturePerKg: number;
  /** How fast fire walks through it; 1 is the usual. */
  paceFactor: number;
  /** How freely air gets among its pieces; 1 is charcoal as bought. */
  openness: number;
}
