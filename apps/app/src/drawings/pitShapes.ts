/** Cookers from the side, in metres from the ground: one outline a family, from the pit's own measures. */
import type { Family, CookerParameters } from '@ostrin/core/catalogue';

interface PitShape {
  /** Paths in m, y downward from the top of the picture. */
  skin: string[];
  inside: string[];
  legs: string[];
  grates: [x1: number, y: number, x2: number][];
  /** Where fuel lies and where air goes. */
  coals: { x: number; y: number; w: number; h: number };
  intake: { x: number; y: number };
  exhaust: { x: number; y: number };
  widthM: number;
  heightM: number;
}

/** Height of a cooker's underside over the ground, m. */
const LEGS_M = 0.35;

function round(parameters: CookerParameters, squat: number): PitShape {
  const r = parameters.diameterM / 2;
  const body = parameters.exhaustHeightM * squat;
  const top = 0.05;
  const seam = top + (body - parameters.seamHeightM * squat);
  const bottom = top + body;
  const x = (v: number): number => r + 0.08 + v;
  return {
    skin: [
      `M ${x(-r)} ${seam} Q ${x(-r)} ${bottom} ${x(0)} ${bottom} Q ${x(r)} ${bottom} ${x(r)} ${seam} Z`,
      `M ${x(-r)} ${seam} Q ${x(-r)} ${top} ${x(0)} ${top} Q ${x(r)} ${top} ${x(r)} ${seam} Z`,
    ],
    inside: [],
    legs: [
      `M ${x(-0.55 * r)} ${bottom - 0.05} L ${x(-0.8 * r)} ${bottom + LEGS_M}`,
      `M ${x(0.55 * r)} ${bottom - 0.05} L ${x(0.8 * r)} ${bottom + LEGS_M}`,
    ],
    grates: [[x(-0.93 * r), bottom - parameters.grateHeightM * squat, x(0.93 * r)]],
    // A kettle's fire lies to one side, a kamado's in the middle of its bowl.
    coals:
      squat === 1
        ? { x: x(-0.7 * r), y: bottom - 0.15, w: 0.5 * r, h: 0.07 }
        : { x: x(-0.4 * r), y: bottom - 0.16, w: 0.8 * r, h: 0.09 },
    intake: { x: x(0), y: bottom },
    exhaust: { x: x(0.45 * r), y: top + 0.035 },
    widthM: 2 * r + 0.16,
    heightM: bottom + LEGS_M + 0.02,
  };
}

function bullet(parameters: CookerParameters): PitShape {
  const r = parameters.diameterM / 2;
  const top = 0.05;
  const bottom = top + parameters.exhaustHeightM;
  const seam = top + 0.16;
  const x = (v: number): number => r + 0.08 + v;
  return {
    skin: [
      `M ${x(-r)} ${seam} L ${x(-r)} ${bottom - 0.1} Q ${x(-r)} ${bottom} ${x(0)} ${bottom} Q ${x(r)} ${bottom} ${x(r)} ${bottom - 0.1} L ${x(r)} ${seam} Z`,
      `M ${x(-r)} ${seam} Q ${x(-r)} ${top} ${x(0)} ${top} Q ${x(r)} ${top} ${x(r)} ${seam} Z`,
    ],
    inside: [
      `M ${x(-0.7 * r)} ${bottom - 0.42} Q ${x(-0.6 * r)} ${bottom - 0.33} ${x(0)} ${bottom - 0.33} Q ${x(0.6 * r)} ${bottom - 0.33} ${x(0.7 * r)} ${bottom - 0.42}`,
    ],
    legs: [
      `M ${x(-0.8 * r)} ${bottom - 0.03} L ${x(-0.8 * r)} ${bottom + 0.1}`,
      `M ${x(0.8 * r)} ${bottom - 0.03} L ${x(0.8 * r)} ${bottom + 0.1}`,
    ],
    grates: [
      [x(-0.95 * r), bottom - parameters.grateHeightM, x(0.95 * r)],
      [x(-0.95 * r), bottom - parameters.grateHeightM + 0.2, x(0.95 * r)],
    ],
    coals: { x: x(-0.6 * r), y: bottom - 0.2, w: 1.2 * r, h: 0.12 },
    intake: { x: x(-0.6 * r), y: bottom - 0.02 },
    exhaust: { x: x(0.35 * r), y: top + 0.02 },
    widthM: 2 * r + 0.16,
    heightM: bottom + 0.12,
  };
}

function offset(parameters: CookerParameters): PitShape {
  const d = parameters.diameterM;
  const stack = Math.max(parameters.exhaustHeightM - parameters.grateHeightM, 0.3);
  const top = 0.05 + stack;
  const box = 0.9 * d;
  const left = 0.05;
  const join = left + box;
  const end = join + parameters.lengthM;
  const low = top + 0.45 * d;
  const ground = top + d + 0.55;
  return {
    skin: [
      `M ${join} ${top} L ${end} ${top} L ${end} ${top + d} L ${join} ${top + d} Z`,
      `M ${left} ${low} L ${join} ${low} L ${join} ${low + box} L ${left} ${low + box} Z`,
      `M ${end - 0.16} ${top} L ${end - 0.16} ${top - stack} L ${end - 0.05} ${top - stack} L ${end - 0.05} ${top}`,
    ],
    inside: [],
    legs: [
      `M ${join + 0.08} ${top + d} L ${join + 0.08} ${ground}`,
      `M ${end - 0.08} ${top + d} L ${end - 0.08} ${ground}`,
    ],
    grates: [[join + 0.02, top + 0.55 * d, end - 0.02]],
    coals: { x: left + 0.12 * box, y: low + box - 0.16, w: 0.76 * box, h: 0.1 },
    intake: { x: left, y: low + 0.8 * box },
    exhaust: { x: end - 0.105, y: top - stack },
    widthM: end + 0.05,
    heightM: ground + 0.02,
  };
}

function hopper(parameters: CookerParameters): PitShape {
  const top = 0.1;
  const wide = 0.36;
  const join = 0.05 + wide;
  const end = join + parameters.lengthM;
  const d = parameters.diameterM;
  const bottom = top + d + 0.35;
  return {
    skin: [
      `M 0.05 ${top} L ${join} ${top} L ${join} ${bottom} L 0.05 ${bottom} Z`,
      `M ${join} ${top + 0.02} L ${end} ${top + 0.02} L ${end} ${top + 0.02 + d} L ${join} ${top + 0.02 + d} Z`,
    ],
    inside: [
      `M 0.09 ${top + 0.05} L 0.14 ${bottom - 0.22} M ${join - 0.04} ${top + 0.05} L ${join - 0.09} ${bottom - 0.22}`,
    ],
    legs: [
      `M 0.1 ${bottom} L 0.1 ${bottom + 0.3}`,
      `M ${end - 0.06} ${top + d} L ${end - 0.06} ${bottom + 0.3}`,
    ],
    grates: [[join + 0.02, top + 0.6 * d, end - 0.02]],
    coals: { x: 0.14, y: bottom - 0.2, w: wide - 0.18, h: 0.1 },
    intake: { x: 0.05, y: bottom - 0.08 },
    exhaust: { x: end, y: top + 0.12 },
    widthM: end + 0.08,
    heightM: bottom + 0.32,
  };
}

/** The outline of each family. */
export const PIT_SHAPES: Readonly<Record<Family, (pit: CookerParameters) => PitShape>> = {
  kettle: (p) => round(p, 1),
  kamado: (p) => round(p, 1.15),
  bullet,
  offset,
  hopper,
};
