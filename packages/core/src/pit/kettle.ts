/** Kettles. Lengths scale with the diameter, areas with its square. */
import type { Pit, Preset } from './types';

const BASE: Pit = {
  diameterM: 0.57,
  intakeCm2: 60,
  exhaustCm2: 22,
  leakCm2: 10,
  wallLossFactor: 1,
  spreadFactor: 1,
  waterKg: 0,
  bowlAreaM2: 0.52,
  lidAreaM2: 0.5,
  wallMm: 0.9,
  exhaustHeightM: 0.46,
  seamHeightM: 0.28,
  grateHeightM: 0.25,
  metalJPerK: 4000,
  volumeM3: 0.105,
};

/** The 57 cm kettle of the slice. */
export const kettle57: Preset = {
  id: 'kettle-57',
  name: '57 cm kettle',
  family: 'kettle',
  pit: BASE,
  plausible: {
    leakCm2: [3, 30],
    wallLossFactor: [0.7, 1.5],
    spreadFactor: [0.6, 1.6],
    intakeCm2: [40, 80],
    exhaustCm2: [15, 35],
    metalJPerK: [2500, 7000],
  },
  ventTravel: {
    intake: 'the bowl vent’s handle, shut to fully open',
    exhaust: 'the lid vent’s disc, shut to fully open',
  },
  fullLoadKg: 4.2,
  grateDiameterM: 0.545,
};
