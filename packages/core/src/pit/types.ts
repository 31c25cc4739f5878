/** A cooker as the engine sees it: areas, heights, walls. Every field may be overridden by name. */
export interface Pit {
  diameterM: number;
  /** Free area of the intake and the lid vent with the handle fully open, cm2. */
  intakeCm2: number;
  exhaustCm2: number;
  /** Gaps round lid, legs and handles, cm2. Varies most from pit to pit. */
  leakCm2: number;
  /** Multiplies all heat lost through the skin; 1 is the preset. */
  wallLossFactor: number;
  /** Multiplies how fast fire walks into unlit fuel. */
  spreadFactor: number;
  /** Water in a pan, kg. Not used by this cooker's first form. */
  waterKg: number;
  bowlAreaM2: number;
  lidAreaM2: number;
  wallMm: number;
  exhaustHeightM: number;
  seamHeightM: number;
  grateHeightM: number;
  /** Heat store of grates and loose metal, J/K. */
  metalJPerK: number;
  volumeM3: number;
}

/** The share of a "closed" vent that still leaks (common practice, 2-6 %). */
export const CLOSED_VENT_SHARE = 0.04;

/** What a slot in the catalogue says about a cooker besides its physics. */
export interface Preset {
  id: string;
  name: string;
  family: 'kettle';
  pit: Pit;
  /** Plausible range of each setting a person may change: [low, high]. */
  plausible: Partial<Record<keyof Pit, readonly [number, number]>>;
  /** What a handle's full travel is, in words. */
  ventTravel: { intake: string; exhaust: string };
  /** Full fuel load in kg as bought. */
  fullLoadKg: number;
  /** Usable diameter of the cooking grate, m. */
  grateDiameterM: number;
}
