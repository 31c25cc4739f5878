/** A piece of meat as the engine holds it. */
import type { Cut } from './cut';
import type { PieceVariation } from './variation';
import { emptyFacePaths, type FacePaths } from './facePaths';
import type { WrapId } from './wraps';

/** Make with `createPiece`. */
export interface Piece {
  /** The cut it is of. */
  cut: Cut;
  /** How it differs from the catalogue. */
  variation: PieceVariation;
  /** Mass when raw, kg. */
  rawKg: number;
  /** Half its thickness, m. */
  radiusM: number;
  /** Whole face, m2. */
  faceM2: number;
  /** Face that no fat or bone covers, m2. */
  bareM2: number;
  /** Temperature of each cell, C. */
  tempC: Float64Array;
  /** Water in each cell, kg for each kg raw. */
  water: Float64Array;
  /** Highest temperature so far of each cell, C. */
  hottestC: Float64Array;
  /** Minutes at 93 C that each cell has had the worth of. */
  collagenDose: Float64Array;
  /** Share of each cell's collagen that has turned to gelatine, 0 to 1. */
  collagenTurned: Float64Array;
  /** Share of the raw mass in each cell. */
  cellMassFraction: Float64Array;
  /** Area over distance between each cell and the next, the last to the face, m. */
  shapeFactorsM: Float64Array;
  /** How much of the outermost millimetres lies in each cell (sums to 1). */
  skinFraction: Float64Array;
  /** Mass of the outermost millimetres, kg. */
  skinKg: number;
  /** Mean square of each cell's distance from the centre, as a share of the half thickness squared. */
  meanSquare: Float64Array;
  /** How far the centre lies beyond the innermost cell, as a share of the step to the next. */
  centreExtrapolation: number;
  /** Of the bare face, C. */
  faceC: number;
  /** What it is wrapped in. */
  wrap: WrapId;
  /** Water that the dried crust has lost, kg/m2: how far the drying front has gone in. */
  crustWaterDeficit: number;
  /** Thickness of the dried crust, m. */
  crustM: number;
  /** The deepest that it can get, as meat under each m2 of face, m. */
  deepestCrustM: number;
  /** Water evaporated so far, kg. */
  evaporatedKg: number;
  /** Juice dripped so far, kg. */
  drippedKg: number;
  /** Fat rendered so far, kg. */
  fatLostKg: number;
  /** Fat rendered before it was wrapped, kg: what came after soaks the wrap. */
  fatLostAtWrapKg: number;
  /** Water that lies on the face, kg. */
  filmKg: number;
  /** Water sprayed or brushed on, kg. */
  sprayedKg: number;
  /** Liquid standing in the wrap: poured in or dripped; it is not part of the piece's mass. */
  liquidKg: number;
  /** Minutes at 93 C that the face has had the worth of. */
  browningMin: number;
  /** Best bark so far (1 = set). */
  bestBark: number;
  /** Minutes in a wrap that have softened the bark. */
  softenedMin: number;
  /** Salmonella reduction at the slowest point, log10. */
  logReduction: number;
  /** Heat taken from the air and walls during the last step, W. */
  heatW: number;
  /** Share of that heat that came from the air and not from the walls. */
  convectiveFraction: number;
  /** Water that boiled inside in the last step, kg. */
  steamKg: number;
  /** Vapour given off in the last step, kg/s. */
  vapourKgPerS: number;
  /** Heat taken since it was made, J. */
  heatInJ: number;
  /** Heat spent on evaporation since it was made, J. */
  latentJ: number;
  /** What a step works with; it says nothing about the piece between steps. */
  workspace: PieceWorkspace;
}

/** Arrays over the cells that are filled anew in every step. */
interface PieceWorkspace {
  /** Below the diagonal, W/K. */
  lower: Float64Array;
  /** The diagonal, W/K. */
  diagonal: Float64Array;
  /** Above the diagonal, W/K. */
  upper: Float64Array;
  /** The right-hand side, W. */
  rhs: Float64Array;
  /** Heat that warms each cell by a degree, J/K. */
  capacityJPerK: Float64Array;
  /** Mass of each cell, kg. */
  massKg: Float64Array;
  /** Water beyond what each cell can hold, kg for each kg raw. */
  excessWater: Float64Array;
  /** Flow outward from each cell for a unit of excess, kg/s. */
  outflowKgPerS: Float64Array;
  /** How heat and vapour reach the face. */
  paths: FacePaths;
  /** Heat paths of a step, W/K: to the bare face, to the outermost cell under the cap, and between the two. */
  split: { face: number; cover: number; between: number };
}

/** A workspace for a piece of so many cells. */
export const createPieceWorkspace = (cells: number): PieceWorkspace => ({
  lower: new Float64Array(cells),
  diagonal: new Float64Array(cells),
  upper: new Float64Array(cells),
  rhs: new Float64Array(cells),
  capacityJPerK: new Float64Array(cells),
  massKg: new Float64Array(cells),
  excessWater: new Float64Array(cells),
  outflowKgPerS: new Float64Array(cells),
  paths: emptyFacePaths(),
  split: { face: 0, cover: 0, between: 0 },
});
