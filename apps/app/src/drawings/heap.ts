/** A heap of charcoal in what holds it, piece by piece as it is seen from the side. In metres, y downward. */
import { POURED_KG_PER_M3 } from '@ostrin/core/catalogue';
import type { PlannedFire } from '@ostrin/core';
import { clamp, seeded } from '@ostrin/core/quantity';
import { CHUNK_M, type FirePiece } from './blocks';

/** Width of a piece as it lies, m (common practice). */
export const PIECE_M = 0.042;

/** What holds a heap: its half width at a height over its floor, m, and how deep the picture's plane is cut, m. */
interface Holder {
  halfM: (heightM: number) => number;
  /** Volume up to a height, m3. */
  volumeM3: (heightM: number) => number;
  deepestM: number;
}

/** A round holder whose wall draws in towards its floor: 0 straight, 1 to a point. */
export const roundHolder = (radiusM: number, deepestM: number, bulge: number): Holder => {
  const halfM = (h: number): number =>
    radiusM * Math.sqrt(Math.max(0, 1 - bulge * (1 - clamp(h / deepestM, 0, 1)) ** 2));
  return { halfM, deepestM, volumeM3: (h) => sum(h, (z) => Math.PI * halfM(z) ** 2) };
};
/** A straight one. */
export const boxHolder = (widthM: number, depthM: number, deepestM: number): Holder => ({
  halfM: () => widthM / 2,
  deepestM,
  volumeM3: (h) => h * widthM * depthM,
});

const SLICES = 40;
/** Integral of an area over a height. */
const sum = (h: number, area: (z: number) => number): number =>
  Array.from({ length: SLICES }, (_, i) => area(((i + 0.5) * h) / SLICES)).reduce(
    (v, a) => v + (a * h) / SLICES,
    0,
  );

/** How high so much charcoal stands, m. */
export function heightOf(holder: Holder, kg: number): number {
  let [low, high] = [0, holder.deepestM * 1.4];
  for (let i = 0; i < 30; i++) {
    const middle = (low + high) / 2;
    if (holder.volumeM3(middle) * POURED_KG_PER_M3 < kg) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** Where a heap is lit. */
type Where = 'top' | 'bottom' | 'side';

/** A heap's pieces, row by row from its floor; those nearest to where it is lit are the lit ones. */
export function heapOf(
  holder: Holder,
  kg: number,
  litKg: number,
  lit: Where,
  at: { x: number; floorY: number },
): FirePiece[] {
  const height = heightOf(holder, kg);
  const random = seeded(7);
  const rows = Math.max(1, Math.round(height / PIECE_M));
  const pieces: FirePiece[] = [];
  for (let row = 0; row < rows; row++) {
    const h = ((row + 0.5) * height) / rows;
    const half = holder.halfM(h) - PIECE_M * 0.55;
    const count = Math.max(1, Math.floor((2 * half) / PIECE_M) + 1);
    for (let i = 0; i < count; i++) {
      const share = count === 1 ? 0 : i / (count - 1) - 0.5;
      const size = PIECE_M * (0.86 + 0.1 * random.next());
      pieces.push({
        x: at.x + 2 * half * share,
        y: at.floorY - h,
        w: size,
        h: size,
        kind: 'unlit',
        turnDeg: 24 * random.next() - 12,
      });
    }
  }
  const from = {
    top: { x: at.x, y: at.floorY - height },
    bottom: { x: at.x, y: at.floorY },
    side: { x: at.x - holder.halfM(0), y: at.floorY },
  }[lit];
  const near = [...pieces].sort(
    (a, b) => Math.hypot(a.x - from.x, a.y - from.y) - Math.hypot(b.x - from.x, b.y - from.y),
  );
  const count = Math.round((pieces.length * litKg) / Math.max(kg, 1e-6));
  for (const p of near.slice(0, litKg > 0 ? Math.max(1, count) : 0)) p.kind = 'lit';
  return pieces;
}

/** Chunks at their depths, to the left and to the right in turn. */
export const chunksIn = (
  fire: PlannedFire,
  x: number,
  floorY: number,
  height: number,
  half: (h: number) => number,
): FirePiece[] =>
  fire.woodChunks.map((c, i) => {
    const h = height * (1 - clamp(c.depthFraction ?? 0.5, 0.08, 0.9));
    const side = (i % 2 === 0 ? 1 : -1) * (0.35 + 0.2 * (i % 3));
    const at = { x: x + side * half(h), y: floorY - h };
    return { ...at, w: CHUNK_M, h: CHUNK_M, kind: 'wood', turnDeg: 20 };
  });
