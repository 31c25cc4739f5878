/** A piece of meat as the engine holds it. */
import type { Cut } from './cut';
import type { PieceVariation } from './variation';
import { emptyFacePaths, type FacePaths } from './facePaths';
import type { WrapId } from './wraps';

/** Make with `createPiece`. */
export interface Piece {
  cut: Cut;
  variation: PieceVariation;
  rawKg: number;
  radiusM: number;
  /** Whole face, and the part of it that no fat or bone covers, m2. */
  faceM2: number;
  bareM2: number;
  tempC: Float64Array;
  water: Float64Array;
  hottestC: Float64Array;
  collagenDose: Float64Array;
  /** Share of the raw mass in each cell. */
  cellMassFraction: Float64Array;
  /** Area over distance between each cell and the next, the last to the face, m. */
  shapeFactorsM: Float64Array;
  /** How much of the outermost millimetres lies in each cell (sums to 1), and what they weigh, kg. */
  skinFraction: Float64Array;
  skinKg: number;
  /** How far the centre lies beyond the innermost cell, as a share of the step to the next. */
  centreExtrapolation: number;
  /** Of the bare face, C. */
  faceC: number;
  wrap: WrapId;
  /** Water that the dried crust has lost, kg/m2: how far the drying front has gone in. */
  crustWaterDeficit: number;
  crustM: number;
  evaporatedKg: number;
  drippedKg: number;
  fatLostKg: number;
  filmKg: number;
  /** Water sprayed or brushed on, kg. */
  sprayedKg: number;
  /** Liquid standing in the wrap: poured in or dripped; it is not part of the piece's mass. */
  liquidKg: number;
  browningMin: number;
  /** Best bark so far (1 = set), and minutes of foil that have softened it since. */
  bestBark: number;
  softenedMin: number;
  /** Salmonella reduction at the slowest point, log10. */
  logReduction: number;
  /** Heat taken from the air and walls during the last step, W, and vapour given off, kg/s. */
  heatW: number;
  /** Share of that heat that came from the air and not from the walls. */
  convectiveFraction: number;
  vapourKgPerS: number;
  /** Heat taken since it was made and heat spent on evaporation, J. */
  heatInJ: number;
  latentJ: number;
  /** What a step works with; it says nothing about the piece between steps. */
  workspace: PieceWorkspace;
}

/** Arrays over the cells (and the face) that are filled anew in every step. */
export interface PieceWorkspace {
  lower: Float64Array;
  diagonal: Float64Array;
  upper: Float64Array;
  rhs: Float64Array;
  /** Mass of each cell, kg; water beyond what it can hold, kg per kg raw; what flows outward per unit of that, kg/s. */
  massKg: Float64Array;
  excessWater: Float64Array;
  outflowKgPerS: Float64Array;
  paths: FacePaths;
}

/** A workspace for a piece of so many cells. */
export const createPieceWorkspace = (cells: number): PieceWorkspace => ({
  lower: new Float64Array(cells + 1),
  diagonal: new Float64Array(cells + 1),
  upper: new Float64Array(cells + 1),
  rhs: new Float64Array(cells + 1),
  massKg: new Float64Array(cells),
  excessWater: new Float64Array(cells),
  outflowKgPerS: new Float64Array(cells),
  paths: emptyFacePaths(),
});
