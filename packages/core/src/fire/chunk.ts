/**
 * A chunk of smoke wood lying on the coals: dries, chars, breathes out volatiles that burn with a
 * flame when there is air and a pilot, and leave as smoke when there is not.
 */
import { CHUNK_MOISTURE, WOODS, WOOD_CHAR_YIELD, type WoodId } from '../fuel/catalogue';
import { clamp } from '../quantity/units';

const CHUNK = {
  /** Pyrolysis: 1/300 s at 623 K with an activation temperature of 12000 K (about 350 C). */
  ratePerS: 1 / 300,
  rateK: 623,
  activationK: 12000,
  /** Heat given by coals in contact over a third of the face, W/m2K (20-90). */
  contactWPerM2K: 34,
  gasWPerM2K: 9,
  specificHeat: 1800,
  /** Flame: the bed must be this hot to pilot it, K; its state follows within `lagS`. */
  pilotK: 773,
  lagS: 30,
  /** Share of volatiles burnt with a flame, and while only smouldering over coals in full air. */
  flameBurns: 0.965,
  smoulderBurns: 0.55,
} as const;

/** One chunk. It lies cold until the fire reaches it. */
export interface Chunk {
  species: WoodId;
  /** Where it lies, degrees from the lit end. */
  atDegrees: number;
  dry0Kg: number;
  dryKg: number;
  waterKg: number;
  tempK: number;
  caught: boolean;
  /** 0 smouldering to 1 in flame. */
  flame: number;
}

/** A chunk of `massKg` as weighed. Throws nothing: `massKg` is validated at the door. */
export function createChunk(
  species: WoodId,
  massKg: number,
  atDegrees: number,
  airK: number,
  moisture: number = CHUNK_MOISTURE,
): Chunk {
  const dry = massKg * (1 - moisture);
  return {
    species,
    atDegrees,
    dry0Kg: dry,
    dryKg: dry,
    waterKg: massKg * moisture,
    tempK: airK,
    caught: false,
    flame: 0,
  };
}

/** What one step of a chunk gave and took; all totals over the step, kg and J. */
export interface ChunkYield {
  volatilesKg: number;
  burntVolatilesKg: number;
  charKg: number;
  steamKg: number;
  /** Heat drawn from the coals and from the gas, J. */
  fromCoalsJ: number;
  fromGasJ: number;
}

/** Advances one caught chunk by `dt` seconds and adds what it did to `out`. */
export function stepChunk(
  c: Chunk,
  coalK: number,
  gasK: number,
  oxygen: number,
  open: boolean,
  dt: number,
  out: ChunkYield,
): void {
  const left = c.dryKg / c.dry0Kg;
  if (left < 0.004) {
    // The last crumbs are char by now.
    out.charKg += c.dryKg;
    c.dryKg = 0;
    return;
  }
  const density = WOODS[c.species].specificGravity * 1000;
  const area = 5.5 * Math.pow(c.dry0Kg / density, 2 / 3) * Math.pow(left, 0.5);
  const gCoal = (CHUNK.contactWPerM2K * area) / 3;
  const gGas = CHUNK.gasWPerM2K * area;
  const capacity = Math.max(c.dryKg * CHUNK.specificHeat + c.waterKg * 4186, 1);
  const old = c.tempK;
  let t = (capacity * old + dt * (gCoal * coalK + gGas * gasK)) / (capacity + dt * (gCoal + gGas));
  out.fromCoalsJ += dt * gCoal * (coalK - t);
  out.fromGasJ += dt * gGas * (gasK - t);
  // Water leaves at 100 C with whatever heat would have gone above it.
  const latent = 2.26e6;
  if (c.waterKg > 0 && t > 373) {
    const steam = Math.min(c.waterKg, (capacity * (t - 373)) / latent);
    t -= (steam * latent) / capacity;
    c.waterKg -= steam;
    out.steamKg += steam;
  }
  const k =
    CHUNK.ratePerS * Math.exp(clamp(-CHUNK.activationK * (1 / t - 1 / CHUNK.rateK), -60, 8));
  const gone = c.dryKg * (1 - Math.exp(-k * dt));
  c.dryKg -= gone;
  c.tempK = Math.min(t, 1000);
  const volatiles = gone * (1 - WOOD_CHAR_YIELD);
  out.volatilesKg += volatiles;
  out.charKg += gone * WOOD_CHAR_YIELD;
  const limit = open ? 0.1 : clamp(0.155 - 0.055 * ((gasK - 350) / 400), 0.1, 0.155);
  const wants = coalK > CHUNK.pilotK && oxygen > limit ? 1 : 0;
  c.flame += (wants - c.flame) * (1 - Math.exp(-dt / CHUNK.lagS));
  const smoulder = CHUNK.smoulderBurns * clamp(oxygen / 0.232, 0, 1);
  out.burntVolatilesKg += volatiles * (smoulder + (CHUNK.flameBurns - smoulder) * c.flame);
}
