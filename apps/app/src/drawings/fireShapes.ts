/**
 * Fires from the side, to scale: how high a heap stands in what holds it, where it is lit, where its wood
 * lies. In metres, y downward; one outline a kind of heap.
 */
import {
  CHARCOALS,
  POURED_KG_PER_M3,
  type Preset,
  splitLengthCm,
  splitThicknessCm,
} from '@ostrin/core/catalogue';
import type { PlannedFire } from '@ostrin/core';
import type { Units } from '@ostrin/core/quantity';
import { countWords, massWords, smallMassWords } from '@ostrin/wording';
import { CHUNK_M, type FirePiece } from './blocks';
import { boxHolder, chunksIn, heapOf, heightOf, PIECE_M, roundHolder } from './heap';

/** A name with the spot that it is about. */
export interface FireLabel {
  x: number;
  y: number;
  text: string;
}

export interface FireShape {
  widthM: number;
  heightM: number;
  /** What holds the fire, and what lies over or under it: SVG paths in m. */
  walls: string[];
  metal: string[];
  /** Splits, as rectangles. */
  splits: { x: number; y: number; w: number; h: number }[];
  pieces: FirePiece[];
  labels: FireLabel[];
}

/** Room round the drawing, m. */
const ROOM_M = 0.03;

/** Names of what every heap has. */
function names(fire: PlannedFire, units: Units) {
  const lump = fire.fuel === 'lump';
  const litKg = fire.litKg ?? fire.litPieces * CHARCOALS[fire.fuel].pieceKg;
  const chunk = fire.woodChunks[0];
  return {
    litKg,
    lit: lump ? `${massWords(litKg, units)} lit` : `${fire.litPieces} lit`,
    load: lump
      ? `${massWords(fire.massKg, units)} of lump`
      : `${fire.pieces} ${CHARCOALS[fire.fuel].name}, ${massWords(fire.massKg, units)}`,
    chunks: chunk
      ? `${countWords(fire.woodChunks.length, 'chunk', 'chunks')} of ${smallMassWords(chunk.massG, units)}`
      : '',
  };
}

/** The fire from the side; null for those that are drawn from above (a snake, a basket, a crescent). */
export function fireShape(fire: PlannedFire, preset: Preset, units: Units): FireShape | null {
  switch (fire.arrangement) {
    case 'bowl':
    case 'ring':
      return roundFire(fire, preset, units);
    case 'hopper':
      return hopperFire(fire, preset, units);
    case 'coal-bed':
      return bedFire(fire, preset, units);
    default:
      return null;
  }
}

/** A bowl under its deflector, or a ring under its pan. */
function roundFire(fire: PlannedFire, preset: Preset, units: Units): FireShape {
  const ring = fire.arrangement === 'ring';
  const radius = (ring ? 0.4 : 0.36) * preset.parameters.diameterM;
  const bulge = ring ? 0 : 0.75;
  const full = preset.fullLoadKg / POURED_KG_PER_M3;
  const deepest = full / (Math.PI * radius ** 2 * (1 - bulge / 3));
  const holder = roundHolder(radius, deepest, bulge);
  const height = heightOf(holder, fire.massKg);
  const over = 0.11;
  const x = ROOM_M + radius;
  const floorY = over + Math.max(deepest, height) + 0.02;
  const { lit, litKg, load, chunks } = names(fire, units);
  const pieces = heapOf(holder, fire.massKg, litKg, 'top', { x, floorY });
  const wood = chunksIn(fire, x, floorY, height, (h) => holder.halfM(h) - CHUNK_M);
  const side = (sign: number): string =>
    Array.from({ length: 13 }, (_, i) => (i * deepest * 1.05) / 12)
      .map((h, i) => `${i === 0 ? 'M' : 'L'} ${x + sign * holder.halfM(h)} ${floorY - h}`)
      .join(' ');
  const bar = floorY - Math.max(deepest, height) - 0.06;
  const edge = x + 0.95 * radius;
  const labels: FireLabel[] = [
    {
      x: edge,
      y: bar,
      text:
        preset.family === 'kamado'
          ? 'deflector, then the grate'
          : ring
            ? 'pan, then the grates'
            : 'grate',
    },
    { x, y: floorY - height + 0.02, text: `${lit}, on top` },
  ];
  if (wood[0]) labels.push({ x: wood[0].x, y: wood[0].y, text: chunks });
  labels.push({ x: x + 0.6 * holder.halfM(0.3 * height), y: floorY - 0.3 * height, text: load });
  return {
    widthM: 2 * (radius + ROOM_M),
    heightM: floorY + ROOM_M,
    walls: [
      side(-1),
      side(1),
      `M ${x - holder.halfM(0)} ${floorY} L ${x + holder.halfM(0)} ${floorY}`,
    ],
    metal: [
      ring
        ? `M ${x - 0.8 * radius} ${bar - 0.05} Q ${x} ${bar + 0.07} ${x + 0.8 * radius} ${bar - 0.05}`
        : `M ${x - 0.95 * radius} ${bar} L ${edge} ${bar}`,
    ],
    splits: [],
    pieces: [...pieces, ...wood],
    labels,
  };
}

/** A column that slides down to a small fire; its chunks lie in the ash pan below. */
function hopperFire(fire: PlannedFire, preset: Preset, units: Units): FireShape {
  const [width, depth] = [0.2, 0.22];
  const deepest = preset.fullLoadKg / POURED_KG_PER_M3 / (width * depth);
  const holder = boxHolder(width, depth, deepest);
  const height = heightOf(holder, fire.massKg);
  const x = ROOM_M + width / 2;
  const grateY = ROOM_M + deepest;
  const panY = grateY + 0.11;
  const { lit, litKg, load, chunks } = names(fire, units);
  const pieces = heapOf(holder, fire.massKg, litKg, 'bottom', { x, floorY: grateY });
  const wood: FirePiece[] = fire.woodChunks.map((_, i) => ({
    x: x + ((i + 0.5) / fire.woodChunks.length - 0.5) * width * 0.9,
    y: panY - CHUNK_M / 2,
    w: CHUNK_M * 0.9,
    h: CHUNK_M * 0.9,
    kind: 'wood',
    turnDeg: 8,
  }));
  const [left, right] = [x - width / 2, x + width / 2];
  return {
    widthM: width + 2 * ROOM_M,
    heightM: panY + ROOM_M,
    walls: [`M ${left} ${ROOM_M} L ${left} ${panY} L ${right} ${panY} L ${right} ${ROOM_M} Z`],
    metal: [`M ${left} ${grateY} L ${right} ${grateY}`],
    splits: [],
    pieces: [...pieces, ...wood],
    labels: [
      { x, y: grateY - height, text: `${load}, up to here` },
      { x: right - 0.03, y: grateY - 0.03, text: `${lit}, at the grate` },
      ...(wood[0]
        ? [{ x: wood.at(-1)!.x, y: panY - 0.02, text: `${chunks}, in the ash pan` }]
        : []),
    ],
  };
}

/** A firebox: coals on its grate, a split on them and the next one warming on its roof. */
function bedFire(fire: PlannedFire, preset: Preset, units: Units): FireShape {
  const boxM = Math.max(0.9 * preset.parameters.diameterM, 0.3);
  const splits = fire.feeding.find((f) => f.what === 'splits');
  const lengthCm = splitLengthCm(preset.parameters);
  const length = lengthCm / 100;
  const thick = splits ? splitThicknessCm(splits.massKg, lengthCm) / 100 : 0;
  const left = ROOM_M;
  const top = ROOM_M + (splits ? thick + 0.02 : 0);
  const floorY = top + boxM - 0.08;
  const x = left + boxM / 2;
  const width = 0.8 * boxM;
  const holder = boxHolder(width, width, boxM);
  const { lit, litKg, load, chunks } = names(fire, units);
  const height = Math.max(heightOf(holder, fire.massKg), PIECE_M);
  const pieces = heapOf(holder, fire.massKg, litKg, splits ? 'bottom' : 'side', { x, floorY });
  const wood = chunksIn(fire, x, floorY, height, () => 0.8 * width * 0.5);
  const bar = (y: number) => ({ x: x - length / 2, y, w: length, h: thick });
  return {
    widthM: boxM + 2 * ROOM_M,
    heightM: top + boxM + ROOM_M,
    walls: [
      `M ${left} ${top} L ${left + boxM} ${top} L ${left + boxM} ${top + boxM} L ${left} ${top + boxM} Z`,
    ],
    metal: [`M ${left + 0.02} ${floorY + 0.01} L ${left + boxM - 0.02} ${floorY + 0.01}`],
    splits: splits ? [bar(floorY - height - thick), bar(top - thick - 0.004)] : [],
    pieces: [...pieces, ...wood],
    labels: [
      ...(splits
        ? [
            { x: x + length / 2, y: top - thick / 2, text: 'the next one, warming' },
            {
              x: x + length / 2,
              y: floorY - height - thick / 2,
              text: `a split of ${massWords(splits.massKg, units)}`,
            },
            { x: x + 0.3 * width, y: floorY - height / 2, text: `${load}, all of it lit` },
          ]
        : [
            ...(wood[0] ? [{ x: wood[0].x, y: wood[0].y, text: chunks }] : []),
            { x: x + 0.4 * width, y: floorY - 0.6 * height, text: load },
            { x: x - 0.3 * width, y: floorY - 0.2 * height, text: `${lit}, to one side` },
          ]),
    ],
  };
}
