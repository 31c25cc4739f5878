/** How a fire is described before it is built: the open format's names (docs/formats.md). */
import type { CharcoalId, WoodId } from '../fuel/catalogue';

export type ArrangementId =
  | 'snake'
  | 'side-basket'
  | 'crescent'
  | 'horseshoe'
  | 'bowl'
  | 'ring'
  | 'coal-bed'
  | 'hopper';

export interface WoodChunkSpec {
  /** A wood of the catalogue. */
  species: WoodId;
  /** Mass of one chunk, g. */
  massG: number;
  /** Where it lies on a snake, degrees from the lit end. */
  atArcDegrees?: number;
  /** How deep it is buried in a heap: 0 on top to 1 at the bottom. */
  depthFraction?: number;
  /** Wet basis; seasoned when left out. */
  moistureFraction?: number;
}

/** A snake of briquettes, described by how it lies. */
export interface SnakeFire {
  /** How the fire lies. */
  arrangement: 'snake';
  /** What burns. */
  fuel: CharcoalId;
  /** Rows side by side. */
  side: number;
  /** Rows on top of each other. */
  layers: number;
  /** How far it goes round the rim, degrees. */
  arcDegrees: number;
  /** Pieces that are lit before they are put in. */
  litPieces: number;
  /** When the lit part is put in, min after lighting. */
  litAtMin: number;
  /** Smoke wood. */
  woodChunks: WoodChunkSpec[];
}

/** Any other fire, described by what was weighed in. */
export interface HeapFire {
  /** How the fire lies. */
  arrangement: Exclude<ArrangementId, 'snake'>;
  /** What burns. */
  fuel: CharcoalId;
  /** All charcoal, the lit part included. */
  massKg: number;
  /** Part that is lit, kg as bought. */
  litMassKg: number;
  /** Where the lit part lies. */
  litPlace: 'top' | 'middle';
  /** When the lit part is put in, min after lighting. */
  litAtMin: number;
  /** Smoke wood. */
  woodChunks: WoodChunkSpec[];
}

export type FireSpec = SnakeFire | HeapFire;
