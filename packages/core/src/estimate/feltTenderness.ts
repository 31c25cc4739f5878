/**
 * How tender a piece is, from how it felt: how long such pieces take to be tender is drawn again, and what goes with the
 * feel counts more.
 */
import { VARIATION_SD } from '../meat/variation';
import { seeded } from '../quantity/random';

/** How tender a piece felt at a minute after lighting: from and to; 1 is tender. */
export interface FeltTender {
  atMin: number;
  low: number;
  high: number;
}

/** A likely piece as the feel of it has it. */
interface FeltPiece {
  /** How many times as long as drawn it takes to be tender. */
  times: number;
  /** How well it goes with what was felt, over 0 and up to 1. */
  weight: number;
}

/** Draws for each likely piece, always the same. */
const DRAWS = { count: 24, seed: 17 };
/** Hands err by so much tenderness, one standard deviation; and what goes with nothing that was felt still counts. */
const HAND = { sd: 0.08, least: 1e-4 };

/**
 * One likely piece after what was felt, in several ways. `tenderness` is its own, minute by minute; `drawn` how many
 * times as long as the catalogue says it takes.
 */
export function feltPieces(
  tenderness: readonly (number | null)[],
  drawn: number,
  felt: readonly FeltTender[],
): FeltPiece[] {
  const random = seeded(DRAWS.seed);
  return Array.from({ length: DRAWS.count }, () => {
    const times = random.logNormal(VARIATION_SD.tender) / drawn;
    let weight = 1;
    for (const { atMin, low, high } of felt) {
      const now = tenderness[Math.round(atMin)];
      if (now == null) continue;
      const off = Math.max(low - now / times, now / times - high, 0);
      weight *= Math.exp(-((off / HAND.sd) ** 2) / 2);
    }
    return { times, weight: Math.max(weight, HAND.least) };
  });
}
