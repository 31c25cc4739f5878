/** Hopper cookers: charcoal falls from a hopper to a small fire under a fan or a damper. */
import type { Film, Layout } from './layout';
import { openingsOf, position, wallOf, WIND_AT } from './layoutParts';
import type { CookerParameters } from './parameters';
import type { Preset } from './preset';
import { doubleSteelWall } from './walls';

const FIRE = 0;
const NEAR = 1;
const FAR = 2;
const FIRE_WALL = 0;
const NEAR_WALL = 1;
const FAR_WALL = 2;
/** Height of the fire box, m. */
const FIRE_BOX_M = 0.25;

/** Closures of the inside: films, W/m2K (5-16), and the share of the coals' radiation that the fire box takes. */
export const HOPPER = { film: 10, metalFilm: 10, viewBox: 0.85 };

function openings(parameters: CookerParameters) {
  const { grateHeightM: g, exhaustHeightM: top, diameterM, lengthM } = parameters;
  const half = (g - FIRE_BOX_M) / 2;
  const fire = (h: number): number[] => [h, 0, 0];
  const near = [FIRE_BOX_M, g - FIRE_BOX_M, 0];
  return openingsOf(parameters, {
    intake: [FIRE, 0, WIND_AT.low, fire(0)],
    leaks: [
      [0.35, [FIRE, 0.2, WIND_AT.low, fire(0.2)]],
      [0.3, [NEAR, g, WIND_AT.windward, near]],
      [0.35, [FAR, g + 0.2, WIND_AT.lee, [FIRE_BOX_M, half, half + 0.2]]],
    ],
    exhaust: [FAR, top, WIND_AT.top, [FIRE_BOX_M, half, top - FIRE_BOX_M - half]],
    exhaustInLid: false,
    lid: [NEAR, g, 0, near],
    lidM2: 0.4 * diameterM * lengthM,
    door: [FIRE, 0.1, WIND_AT.low, fire(0.1)],
    fan: [FIRE, 0, WIND_AT.low, fire(0)],
  });
}

function walls(parameters: CookerParameters) {
  const { fireWallM2, chamberWallM2, wallMm, insulationWPerM2K, diameterM } = parameters;
  const half = chamberWallM2 / 2;
  const nodes = (m2: number) => doubleSteelWall(m2, wallMm, insulationWPerM2K);
  const film = (zone: number, m2: number): Film[] => [{ zone, m2, wPerM2K: HOPPER.film }];
  return [
    wallOf(
      'fire box and hopper',
      fireWallM2,
      nodes(fireWallM2),
      film(FIRE, 0.6 * fireWallM2),
      diameterM,
    ),
    wallOf('near', half, nodes(half), film(NEAR, half), diameterM, 0.3),
    wallOf('far', half, nodes(half), film(FAR, half), diameterM, 0.3),
  ];
}

/** A hopper cooker laid out: fire, duct end and far end of the chamber; every wall has two skins. */
function hopperLayout(parameters: CookerParameters): Layout {
  const { volumeM3, diameterM, lengthM } = parameters;
  return {
    zones: [
      { name: 'fire', volumeM3: 0.15 * volumeM3 },
      { name: 'near', volumeM3: 0.42 * volumeM3 },
      { name: 'far', volumeM3: 0.43 * volumeM3 },
    ],
    openings: openings(parameters),
    walls: walls(parameters),
    metal: {
      jPerK: parameters.metalJPerK,
      films: [
        { zone: NEAR, m2: 0.2, wPerM2K: HOPPER.metalFilm },
        { zone: FAR, m2: 0.2, wPerM2K: HOPPER.metalFilm },
      ],
    },
    pan: { jPerK: 500, m2: 0.06, films: [{ zone: NEAR, m2: 0.08, wPerM2K: 12 }] },
    radiationLinks: [
      { a: 'metal', b: NEAR_WALL, m2: 0.15 },
      { a: 'metal', b: FAR_WALL, m2: 0.15 },
      { a: NEAR_WALL, b: FAR_WALL, m2: 0.1 },
      { a: 'pan', b: NEAR_WALL, m2: 0.04 },
    ],
    coalViewFractions: [
      [FIRE_WALL, HOPPER.viewBox],
      ['metal', 1 - HOPPER.viewBox],
    ],
    recirculation: null,
    mixing: [{ a: NEAR, b: FAR, share: 2, kgPerS: 5e-3 }],
    flameFractionInFireZone: 0.6,
    ashWallIndex: FIRE_WALL,
    coalFlowAreaM2: 0.02,
    bedAirFraction: 1,
    coalFlowFactor: 4,
    grateFreeAreaM2: parameters.bedCm2 * 1e-4,
    ashHalvingKg: 0.8,
    closedVentFraction: 0.02,
    exhaustExponent: 1,
    positions: POSITIONS,
    domeZone: NEAR,
    probePosition: 0,
    lidOpeningM2: 0.4 * diameterM * lengthM,
    lidZones: [NEAR, FAR],
  };
}

const POSITIONS = [
  position(
    'middle',
    [
      [NEAR, 0.5],
      [FAR, 0.5],
    ],
    [
      [NEAR_WALL, 0.35],
      [FAR_WALL, 0.35],
      ['metal', 0.3],
    ],
  ),
  position(
    'near',
    [[NEAR, 1]],
    [
      [NEAR_WALL, 0.7],
      ['metal', 0.3],
    ],
  ),
  position(
    'far',
    [[FAR, 1]],
    [
      [FAR_WALL, 0.7],
      ['metal', 0.3],
    ],
  ),
];

const UNDER_FAN: CookerParameters = {
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
  traits: {
    longGrate: true,
    sideFirebox: false,
    reverseFlow: false,
    gravityFed: true,
    canTopUp: true,
    slowToCool: false,
    commonFirstCooker: false,
    meatPlacement: 'middle',
  },
  ventNames: { intake: 'damper', exhaust: 'slots' },
  ventNotation: 'quarters',
  fuelHolder: 'hopper',
  fire: { arrangement: 'hopper', fuel: 'briquette' },
  arrangements: ['hopper'],
  fireChoices: [
    { id: 'hopper', fuel: 'briquette' },
    { id: 'hopper-lump', fuel: 'lump' },
  ],
  bringUp: { intake: 1, exhaust: 1, minutes: 30 },
  holding: {
    intake: 0.17,
    atC: 121,
    kelvinPerEFold: 55,
    exhaust: 1,
    closeBelowK: 15,
    waitMin: 15,
  },
  cardSettings: [
    [0.05, 1],
    [0.1, 1],
    [0.15, 1],
    [0.2, 1],
    [0.3, 1],
    [0.5, 1],
    [1, 1],
  ],
  fanExhaustFraction: 1,
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
  parameters: UNDER_FAN,
  plausibleRanges: { ...PLAUSIBLE, fanCm2: [4, 20], fanPa: [30, 200] },
  ventTravel: { intake: 'a slit beside the fan', exhaust: 'the slots at the far end' },
  travelMm: { intake: 60, exhaust: 120 },
  fullLoadKg: 6,
  hasFan: true,
};

/** Gravity-fed under a hand damper, insulated. */
export const hopperDamper: Preset = {
  ...COMMON,
  id: 'hopper-damper',
  name: 'insulated hopper cooker with a damper',
  parameters: {
    ...UNDER_FAN,
    intakeCm2: 15,
    chamberWallM2: 2.6,
    insulationWPerM2K: 2.5,
    metalJPerK: 8000,
    volumeM3: 0.35,
  },
  plausibleRanges: { ...PLAUSIBLE, intakeCm2: [8, 25] },
  ventTravel: { intake: 'the damper ball, shut to fully open', exhaust: 'the slots, shut to open' },
  travelMm: { intake: 60, exhaust: 120 },
  fullLoadKg: 9,
  hasFan: false,
};
