/** The fire that a wish is built with: its arrangement, its full load, its lit part, its smoke wood. */
import type { FireSpec, WoodChunkSpec } from '../../fire/fireSpec';
import { arcForPieces, MAX_ARC_DEGREES, snakePieces } from '../../fire/snake';
import {
  CHARCOALS,
  type CharcoalId,
  USUAL_CHUNK_WOOD,
  type WoodId,
  WOODS,
} from '../../fuel/catalogue';
import { pitWith, presetOf } from '../../pit/catalogue';
import type { CookerParameters } from '../../pit/parameters';
import type { Preset } from '../../pit/preset';
import { hasSmallFirebox, usualFire } from '../../pit/usualFire';
import { clamp, roundTo, roundDigits } from '../../quantity/units';
import type { RequestPit } from '../request/types';

/** A pit with the fire that is to be built in it, loaded full. */
export interface PitSetup {
  /** The pit as the request says it. */
  pit: RequestPit;
  /** Its preset. */
  preset: Preset;
  /** Its parameters. */
  parameters: CookerParameters;
  /** The fire as it is built. */
  fire: FireSpec;
  /** Whether it is kept on splits, on a thermostat fan, or on charcoal put on little by little. */
  onSplits: boolean;
  /** Whether a thermostat fan holds it. */
  underFan: boolean;
  /** Whether charcoal is put on little by little. */
  handFed: boolean;
}

/** Hottest pit that a snake is built for, C: beyond that a basket (common practice). */
const SNAKE_UP_TO_C = 128;
/** Share of a firebox that a bed of lump under splits takes at 106 K over the air (common practice). */
const SPLIT_BED = { heavy: 0.165, light: 0.19 };
/** Charcoal in a firebox without a basket: what it is started with, and the glowing part (common practice). */
const BED = { load: 0.75, lit: 0.4 };
/** Lit charcoal in a ring, kg: a full chimney carries it past the cold water over it (common practice). */
const RING_LIT_KG = { wet: 1.2, dry: 0.8 };
/** Smoke chunks: how many, how heavy, and how far apart along a snake, degrees (common practice). */
const CHUNKS = { massG: 60, apartDegrees: 22 };
/**
 * Mild woods want more chunks, strong ones fewer: so many of a wood that smokes as oak does, and by the root of its
 * strength, since chunks are heat as well: with a quarter fewer of them, water smokers were out of their band a quarter more
 * of the time (`ostrin bench --plans --seed 777`).
 */
const CHUNK_COUNT = { ofOak: 3.6, least: 2, most: 6 };
/** Share of the load burnt when the first chunk catches, and from one to the next (common practice). */
const BURIED = { first: 0.05, apart: 0.15 };
const IN_PAN = { first: 0.03, apart: 0.05 };

/** Whether a thermostat fan holds a pit: a built-in one, or one that is fitted; none holds a fire on splits. */
export const holdsByFan = ({
  cooker,
  fire,
  fan,
}: Pick<RequestPit, 'cooker' | 'fire' | 'fan'>): boolean =>
  presetOf(cooker.preset).hasFan || (fan === true && fire.fuel !== 'splits');

/** The fire of a request's pit. Throws RangeError for names outside the catalogues. */
export function designFire(pit: RequestPit): PitSetup {
  const preset = presetOf(pit.cooker.preset);
  const parameters = pitWith(preset, pit.cooker.overrides);
  const splits = pit.fire.fuel === 'splits';
  const fuel: CharcoalId = pit.fire.fuel === 'splits' ? 'lump' : pit.fire.fuel;
  const arrangement = pit.fire.arrangement ?? usualArrangement(pit, preset, fuel);
  const usual = usualFire(preset, arrangement);
  const fed = preset.traits.sideFirebox && arrangement === 'coal-bed' && !splits;
  const fire = { ...usual, fuel };
  if (fire.arrangement === 'coal-bed' && splits) {
    const share = SPLIT_BED[hasSmallFirebox(preset) ? 'light' : 'heavy'];
    const bed = (share * preset.fullLoadKg * (pit.pace.pitC - 15)) / 106;
    fire.massKg = fire.litMassKg = clamp(roundTo(bed, 0.05), 0.3, preset.fullLoadKg);
  } else if (fire.arrangement === 'coal-bed') {
    fire.massKg = BED.load * preset.fullLoadKg;
    fire.litMassKg = BED.lit * preset.fullLoadKg;
  }
  if (fire.arrangement === 'ring')
    fire.litMassKg = RING_LIT_KG[parameters.waterKg > 0 ? 'wet' : 'dry'];
  fire.woodChunks = splits
    ? []
    : placeChunks(fire, parameters, pit.fire.species ?? USUAL_CHUNK_WOOD);
  return {
    pit,
    preset,
    parameters,
    fire,
    onSplits: splits,
    underFan: holdsByFan(pit),
    handFed: fed,
  };
}

/**
 * Other ways of setting up the same pit that are worth trying: a water pan left empty, where nobody said
 * how much is in it.
 */
export function otherSetups({ pit, parameters }: PitSetup): PitSetup[] {
  const { cooker } = pit;
  if (parameters.waterKg === 0 || cooker.overrides.waterKg !== undefined) return [];
  return [
    designFire({ ...pit, cooker: { ...cooker, overrides: { ...cooker.overrides, waterKg: 0 } } }),
  ];
}

function usualArrangement(pit: RequestPit, preset: Preset, fuel: CharcoalId) {
  const { arrangement } = preset.fire;
  return arrangement === 'snake' && (fuel === 'lump' || pit.pace.pitC > SNAKE_UP_TO_C)
    ? 'side-basket'
    : arrangement;
}

/** How many chunks of a wood a cook wants. */
export function chunkCount(species: WoodId): number {
  const { ofOak, least, most } = CHUNK_COUNT;
  return clamp(Math.round(ofOak / Math.sqrt(WOODS[species].smokeStrength)), least, most);
}

/** Degrees of the rim that the lit pieces take. */
function litDegrees(fire: FireSpec, pit: CookerParameters): number {
  if (fire.arrangement !== 'snake') return 0;
  return (
    fire.litPieces /
    (snakePieces({ ...fire, arcDegrees: MAX_ARC_DEGREES }, pit.diameterM) / MAX_ARC_DEGREES)
  );
}

/**
 * Chunks where the fire comes to them one after another: along a snake, the first at its lit end so that
 * smoke has thinned before the meat goes on; or buried at different depths of a heap.
 */
function placeChunks(fire: FireSpec, pit: CookerParameters, species: WoodId): WoodChunkSpec[] {
  const wanted = chunkCount(species);
  const list = Array.from({ length: wanted }, (_, i) => i);
  if (fire.arrangement === 'snake') {
    const from = Math.floor(litDegrees(fire, pit)) - 2;
    return list
      .map((i) => ({ species, massG: CHUNKS.massG, atArcDegrees: from + i * CHUNKS.apartDegrees }))
      .filter((c) => c.atArcDegrees < fire.arcDegrees - 5);
  }
  // A firebox fed by hand gets its wood with the charcoal; in an ash pan coals fall on all of it soon.
  const count = fire.arrangement === 'coal-bed' ? 1 : wanted;
  const { first, apart } = fire.arrangement === 'hopper' ? IN_PAN : BURIED;
  return list.slice(0, count).map((i) => {
    const depth = roundDigits(first + apart * i, 3);
    return {
      species,
      massG: CHUNKS.massG,
      depthFraction: depth,
      atArcDegrees: Math.round(180 * depth),
    };
  });
}

/** The same fire with another load, in whole rows or pieces, and its wood where it still fits. */
export function withFuelLoad(fire: FireSpec, kg: number, pit: CookerParameters): FireSpec {
  const piece = CHARCOALS[fire.fuel].pieceKg;
  if (fire.arrangement !== 'snake') {
    const pieces = Math.ceil(Math.max(kg, 1.3 * fire.litMassKg) / piece - 1e-6);
    return { ...fire, massKg: roundTo(pieces * piece, 0.001) };
  }
  const row = fire.side * fire.layers;
  const most = snakePieces({ ...fire, arcDegrees: MAX_ARC_DEGREES }, pit.diameterM);
  const pieces = clamp(Math.ceil(kg / piece / row) * row, 2 * fire.litPieces, most);
  const arcDegrees = arcForPieces(pieces, fire.side, fire.layers, pit.diameterM);
  return {
    ...fire,
    arcDegrees,
    woodChunks: fire.woodChunks.filter((c) => (c.atArcDegrees ?? 0) < arcDegrees - 5),
  };
}
