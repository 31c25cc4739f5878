/** Offsets: a firebox beside a long chamber, of thick or thin steel, with straight or reverse flow. */
import { KETTLE_HOLDING } from './kettle';
import type { CookerParameters } from './parameters';
import type { Preset } from './preset';
import { offsetLayout } from './offsetLayout';

const HEAVY: CookerParameters = {
  diameterM: 0.5,
  lengthM: 0.96,
  intakeCm2: 110,
  exhaustCm2: 81,
  doorCm2: 400,
  bedCm2: 0,
  leakCm2: 14,
  wallLossFactor: 1,
  spreadFactor: 1,
  waterKg: 0,
  fireWallM2: 1.05,
  chamberWallM2: 1.9,
  wallMm: 6,
  insulationWPerM2K: 0,
  exhaustHeightM: 1.25,
  seamHeightM: 0.5,
  grateHeightM: 0.45,
  metalJPerK: 9000,
  volumeM3: 0.32,
  fanPa: 80,
  fanCm2: 10,
};

const LIGHT: CookerParameters = {
  ...HEAVY,
  diameterM: 0.4,
  lengthM: 0.72,
  intakeCm2: 70,
  exhaustCm2: 45,
  doorCm2: 220,
  leakCm2: 30,
  fireWallM2: 0.62,
  chamberWallM2: 1.15,
  wallMm: 2,
  exhaustHeightM: 0.9,
  seamHeightM: 0.4,
  grateHeightM: 0.38,
  metalJPerK: 3000,
  volumeM3: 0.15,
};

/** An offset preset; reverse flow adds the plate's heat capacity. */
function offset(
  id: string,
  name: string,
  figures: CookerParameters,
  reverse: boolean,
  fullLoadKg: number,
): Preset {
  return {
    id,
    name,
    family: 'offset',
    parameters: reverse ? { ...figures, metalJPerK: figures.metalJPerK * 1.8 } : figures,
    layout: (parameters) => offsetLayout(parameters, reverse),
    traits: {
      longGrate: true,
      sideFirebox: true,
      reverseFlow: reverse,
      gravityFed: false,
      canTopUp: true,
      slowToCool: false,
      commonFirstCooker: false,
      meatPlacement: reverse ? 'either-way-round' : 'thick-end-to-firebox',
    },
    plausibleRanges: {
      leakCm2: [5, 60],
      wallLossFactor: [0.7, 1.5],
      spreadFactor: [0.6, 1.6],
      intakeCm2: [0.6 * figures.intakeCm2, 1.6 * figures.intakeCm2],
      exhaustCm2: [0.6 * figures.exhaustCm2, 1.6 * figures.exhaustCm2],
      wallMm: [1, 10],
      waterKg: [0, 5],
    },
    ventNames: { intake: 'firebox-damper', exhaust: 'stack-damper' },
    ventTravel: {
      intake: 'the firebox damper, shut to fully open',
      exhaust: 'the damper on the stack, shut to fully open',
    },
    travelMm: { intake: 100, exhaust: 90 },
    ventNotation: 'quarters',
    fullLoadKg,
    fuelHolder: 'firebox',
    fire: { arrangement: 'coal-bed', fuel: 'lump' },
    arrangements: ['coal-bed', 'side-basket'],
    fireChoices: [
      { id: 'splits', fuel: 'splits' },
      { id: 'charcoal', fuel: 'briquette' },
      { id: 'charcoal-lump', fuel: 'lump' },
    ],
    bringUp: { intake: 1, exhaust: 1, minutes: 45 },
    // A firebox on charcoal behaves like a kettle; on splits it has a policy of its own.
    holding: KETTLE_HOLDING,
    cardSettings: [
      [0.25, 1],
      [0.5, 0.5],
      [0.5, 1],
      [1, 0.25],
      [1, 0.5],
      [1, 0.75],
      [1, 1],
    ],
    fanExhaustFraction: 0.3,
    hasFan: false,
    grateDiameterM: Number(
      Math.sqrt((figures.diameterM * figures.lengthM * 4) / Math.PI).toFixed(3),
    ),
  };
}

export const offsetHeavy = offset('offset-heavy', 'offset, 6 mm steel', HEAVY, false, 6);
export const offsetLight = offset('offset-light', 'offset, 2 mm steel', LIGHT, false, 3);
export const offsetHeavyReverse = offset(
  'offset-heavy-reverse',
  'reverse-flow offset, 6 mm steel',
  HEAVY,
  true,
  6,
);
export const offsetLightReverse = offset(
  'offset-light-reverse',
  'reverse-flow offset, 2 mm steel',
  LIGHT,
  true,
  3,
);
