/** How a fire is described before it is built: the open format's names (docs/formats.md). */
import type { CharcoalId, WoodId } from '../fuel/catalogue';

export type ArrangementId =
  'snake' | 'side-basket' | 'crescent' | 'bowl' | 'ring' | 'coal-bed' | 'hopper';

export interface WoodChunkSpec {
  species: WoodId;
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
  arrangement: 'snake';
  fuel: CharcoalId;
  side: number;
  layers: number;
  arcDegrees: number;
  litPieces: number;
  litAtMin: number;
  woodChunks: WoodChunkSpec[];
}

/** Any other fire, described by what was weighed in. */
export interface HeapFire {
  arrangement: Exclude<ArrangementId, 'snake'>;
  fuel: CharcoalId;
  /** All charcoal, the lit part included. */
  massKg: number;
  litMassKg: number;
  litPlace: 'top' | 'middle';
  litAtMin: number;
  woodChunks: WoodChunkSpec[];
}

export type FireSpec = SnakeFire | HeapFire;
