/** Hopper cookers: charcoal falls from a hopper to a small fire under a fan or a damper. */
import { openingIn } from './openings';
import type { Film, Layout, CookerParameters, Preset, Wall } from './types';
import { doubleSteelWall } from './walls';

const FIRE = 0;
const NEAR = 1;
const FAR = 2;

/** Closures of the inside; films 5-16 W/m2K. */
export const HOPPER = { film: 10, metalFilm: 10, viewBox: 0.85 };

/** A hopper cooker laid out: fire, duct end and far end of the chamber; every wall two skins. */
export function hopperLayout(parameters: CookerParameters): Layout {
  const leak = parameters.leakCm2 * 1e-4;
  const box = 0.25;
  const g = parameters.grateHeightM;
  const column = (fire: number, near: number, far: number): number[] => [fire, near, far];
  const top = parameters.exhaustHeightM;
  const half = parameters.chamberWallM2 / 2;
  const wall = (name: string, m2: number, films: Film[], lid: boolean): Wall => ({
    name,
    ...doubleSteelWall(m2, parameters.wallMm, parameters.insulationWPerM2K),
    films,
    outsideM2: m2,
    lengthM: parameters.diameterM,
    rainM2: lid ? 0.3 : 0,
  });
  return {
    zones: [
      { name: 'fire', volumeM3: 0.15 * parameters.volumeM3 },
      { name: 'near', volumeM3: 0.42 * parameters.volumeM3 },
      { name: 'far', volumeM3: 0.43 * parameters.volumeM3 },
    ],
    openings: [
      openingIn('intake', FIRE, parameters.intakeCm2 * 1e-4, 0, 0.15, column(0, 0, 0)),
      openingIn('leak', FIRE, 0.35 * leak, 0.2, 0.1, column(0.2, 0, 0)),
      openingIn('leak', NEAR, 0.3 * leak, g, 0.3, column(box, g - box, 0)),
      {
        kind: 'leak',
        zone: FAR,
        areaM2: 0.35 * leak,
        heightM: g + 0.2,
        windPressureCoefficient: -0.3,
        gasColumnM: column(box, (g - box) / 2, (g - box) / 2 + 0.2),
      },
      {
        kind: 'exhaust',
        zone: FAR,
        areaM2: parameters.exhaustCm2 * 1e-4,
        heightM: top,
        windPressureCoefficient: -0.4,
        gasColumnM: column(box, (g - box) / 2, top - box - (g - box) / 2),
      },
      openingIn(
        'lid',
        NEAR,
        0.4 * parameters.diameterM * parameters.lengthM,
        g,
        0,
        column(box, g - box, 0),
      ),
      openingIn('door', FIRE, parameters.doorCm2 * 1e-4, 0.1, 0.15, column(0.1, 0, 0)),
      openingIn('fan', FIRE, parameters.fanCm2 * 1e-4, 0, 0.1, column(0, 0, 0)),
    ],
    walls: [
      wall(
        'fire box and hopper',
        parameters.fireWallM2,
        [{ zone: FIRE, m2: 0.6 * parameters.fireWallM2, wPerM2K: HOPPER.film }],
        false,
      ),
      wall('near', half, [{ zone: NEAR, m2: half, wPerM2K: HOPPER.film }], true),
      wall('far', half, [{ zone: FAR, m2: half, wPerM2K: HOPPER.film }], true),
    ],
    metal: {
      jPerK: parameters.metalJPerK,
      films: [
        { zone: NEAR, m2: 0.2, wPerM2K: HOPPER.metalFilm },
        { zone: FAR, m2: 0.2, wPerM2K: HOPPER.metalFilm },
      ],
    },
    pan: { jPerK: 500, m2: 0.06, films: [{ zone: NEAR, m2: 0.08, wPerM2K: 12 }] },
    radiationLinks: [
      { a: 'metal', b: 1, m2: 0.15 },
      { a: 'metal', b: 2, m2: 0.15 },
      { a: 1, b: 2, m2: 0.1 },
      { a: 'pan', b: 1, m2: 0.04 },
    ],
    coalViewFractions: [
      [0, HOPPER.viewBox],
      ['metal', 1 - HOPPER.viewBox],
    ],
    recirculation: null,
    mixing: [{ a: NEAR, b: FAR, share: 2, kgPerS: 5e-3 }],
    flameFractionInFireZone: 0.6,
    ashWallIndex: 0,
    coalFlowAreaM2: 0.02,
    coalFlowFactor: 4,
    grateFreeAreaM2: parameters.bedCm2 * 1e-4,
    ashHalvingKg: 0.8,
    closedVentFraction: 0.02,
    exhaustExponent: 1,
    positions: [
      {
        at: 'middle',
        gasShares: [
          [NEAR, 0.5],
          [FAR, 0.5],
        ],
        viewShares: [
          [1, 0.35],
          [2, 0.35],
          ['metal', 0.3],
        ],
      },
      {
        at: 'near',
        gasShares: [[NEAR, 1]],
        viewShares: [
          [1, 0.7],
          ['metal', 0.3],
        ],
      },
      {
        at: 'far',
        gasShares: [[FAR, 1]],
        viewShares: [
          [2, 0.7],
          ['metal', 0.3],
        ],
      },
    ],
    domeZone: NEAR,
    probePosition: 0,
    lidOpeningM2: 0.4 * parameters.diameterM * parameters.lengthM,
    lidZones: [NEAR, FAR],
  };
}

const FAN: CookerParameters = {
  diameterM: 0.45,
  lengthM: 0.7,
  intakeCm2: 1,
  exhaustCm2: 30,
  doorCm2: 150,
  bedCm2: 60,
  leakCm2: 2.4,
  wallLossFactor: 1,
  spreadFactor: 1,
  waterKg: 0,
  fireWallM2: 0.55,
  chamberWallM2: 1.7,
  wallMm: 1,
  insulationWPerM2K: 7,
  exhaustHeightM: 0.9,
  seamHeightM: 0.5,
  grateHeightM: 0.5,
  metalJPerK: 5000,
  volumeM3: 0.2,
  fanPa: 90,
  fanCm2: 10,
};

const COMMON = {
  family: 'hopper',
  layout: hopperLayout,
  fuelHolder: 'hopper',
  fire: { arrangement: 'hopper', fuel: 'briquette' },
  arrangements: ['hopper'],
  grateDiameterM: 0.6,
} as const;

const PLAUSIBLE = {
  leakCm2: [1, 12],
  wallLossFactor: [0.7, 1.5],
  spreadFactor: [0.6, 1.6],
  insulationWPerM2K: [1.5, 12],
  metalJPerK: [3000, 10000],
} as const;

/** Gravity-fed under a thermostat fan. */
export const hopperFan: Preset = {
  ...COMMON,
  id: 'hopper-fan',
  name: 'hopper cooker with a fan',
  parameters: FAN,
  plausibleRanges: { ...PLAUSIBLE, fanCm2: [4, 20], fanPa: [30, 200] },
  ventTravel: { intake: 'a slit beside the fan', exhaust: 'the slots at the far end' },
  travelMm: { intake: 60, exhaust: 120 },
  ventNotation: 'quarters',
  fullLoadKg: 6,
  fanExhaustFraction: 1,
  hasFan: true,
};

/** Gravity-fed under a hand damper, insulated. */
export const hopperDamper: Preset = {
  ...COMMON,
  id: 'hopper-damper',
  name: 'insulated hopper cooker with a damper',
  parameters: {
    ...FAN,
    intakeCm2: 15,
    chamberWallM2: 2.6,
    insulationWPerM2K: 2.5,
    metalJPerK: 8000,
    volumeM3: 0.35,
  },
  plausibleRanges: { ...PLAUSIBLE, intakeCm2: [8, 25] },
  ventTravel: { intake: 'the damper ball, shut to fully open', exhaust: 'the slots, shut to open' },
  travelMm: { intake: 60, exhaust: 120 },
  ventNotation: 'quarters',
  fullLoadKg: 9,
  fanExhaustFraction: 1,
  hasFan: false,
};
