/** Vertical water smoker: a charcoal ring at the bottom, the water pan over it, the grates, the dome. */
import type { Layout } from './layout';
import { lidWallOf, openingsOf, position, sectionM2, wallOf, WIND_AT } from './layoutParts';
import type { CookerParameters } from './parameters';
import type { Preset } from './preset';
import { singleSteelWall } from './walls';

const FIRE = 0;
const GRATE = 1;
const DOME = 2;
const BOTTOM = 0;
const BARREL = 1;
const LID = 2;

/** Closures of the inside: films, W/m2K (5-16), and shares of what the coals radiate to. */
const INSIDE = { film: 7.3, panFilm: 6.4, viewPan: 0.19, viewWall: 0.66 };

function openings(parameters: CookerParameters) {
  const { grateHeightM: g, exhaustHeightM: top, seamHeightM: seam, diameterM } = parameters;
  const column = (h: number): number[] => [
    Math.min(h, 0.6 * g),
    Math.min(Math.max(h - 0.6 * g, 0), 0.6 * g),
    Math.max(h - 1.2 * g, 0),
  ];
  return openingsOf(parameters, {
    intake: [FIRE, 0, WIND_AT.low, column(0)],
    leaks: [
      [0.45, [FIRE, 0.15, WIND_AT.low, column(0.15)]],
      [0.15, [GRATE, seam, WIND_AT.windward, column(seam)]],
      [0.15, [GRATE, seam, WIND_AT.lee, column(seam)]],
      [0.25, [DOME, top - 0.03, WIND_AT.top, column(top - 0.03)]],
    ],
    exhaust: [DOME, top, WIND_AT.top, column(top)],
    exhaustInLid: true,
    lid: [DOME, seam, 0, column(seam)],
    lidM2: 0.75 * sectionM2(diameterM),
    door: [FIRE, 0.3, WIND_AT.low, column(0.3)],
    fan: [FIRE, 0, WIND_AT.low, column(0)],
  });
}

function walls({ fireWallM2, chamberWallM2, wallMm, diameterM }: CookerParameters) {
  const barrel = 0.62 * chamberWallM2;
  const lid = 0.38 * chamberWallM2;
  const film = (zone: number, m2: number) => [{ zone, m2, wPerM2K: INSIDE.film }];
  const steel = (m2: number) => singleSteelWall(m2, wallMm);
  return [
    wallOf('bottom', fireWallM2, steel(fireWallM2), film(FIRE, fireWallM2), diameterM),
    wallOf('barrel', barrel, steel(barrel), film(GRATE, barrel), diameterM),
    lidWallOf('lid', lid, steel(lid), film(DOME, lid), diameterM, sectionM2(diameterM)),
  ];
}

/** A water smoker laid out: the fire below the pan, the grates above it, the dome. */
function waterSmokerLayout(parameters: CookerParameters): Layout {
  const { volumeM3 } = parameters;
  return {
    zones: [
      { name: 'fire', volumeM3: 0.35 * volumeM3 },
      { name: 'grate', volumeM3: 0.4 * volumeM3 },
      { name: 'dome', volumeM3: 0.25 * volumeM3 },
    ],
    openings: openings(parameters),
    walls: walls(parameters),
    metal: { jPerK: parameters.metalJPerK, films: [{ zone: GRATE, m2: 0.25, wPerM2K: 10 }] },
    pan: {
      jPerK: 900,
      m2: 0.1,
      films: [
        { zone: FIRE, m2: 0.12, wPerM2K: INSIDE.panFilm },
        { zone: GRATE, m2: 0.1, wPerM2K: INSIDE.panFilm },
      ],
    },
    radiationLinks: [
      { a: 'pan', b: BOTTOM, m2: 0.09 },
      { a: 'pan', b: BARREL, m2: 0.08 },
      { a: 'pan', b: 'metal', m2: 0.08 },
      { a: 'metal', b: BARREL, m2: 0.12 },
      { a: 'metal', b: LID, m2: 0.12 },
      { a: BARREL, b: LID, m2: 0.08 },
      { a: BOTTOM, b: BARREL, m2: 0.05 },
    ],
    coalViewFractions: [
      [BOTTOM, INSIDE.viewWall],
      ['pan', INSIDE.viewPan],
      [BARREL, 1 - INSIDE.viewPan - INSIDE.viewWall],
    ],
    recirculation: null,
    mixing: [
      { a: FIRE, b: GRATE, share: 0.5, kgPerS: 5e-4 },
      { a: GRATE, b: DOME, share: 1, kgPerS: 1e-3 },
    ],
    flameFractionInFireZone: 0.8,
    ashWallIndex: BOTTOM,
    coalFlowAreaM2: 0.05,
    bedAirFraction: 1,
    coalFlowFactor: 2,
    grateFreeAreaM2: parameters.bedCm2 * 1e-4,
    ashHalvingKg: 1.6,
    closedVentFraction: 0.04,
    exhaustExponent: 1,
    positions: POSITIONS,
    domeZone: DOME,
    probePosition: 0,
    lidOpeningM2: 0.75 * sectionM2(parameters.diameterM),
    lidZones: [DOME, GRATE],
  };
}

const POSITIONS = [
  position(
    'middle',
    [[GRATE, 1]],
    [
      [BARREL, 0.55],
      [LID, 0.25],
      ['metal', 0.2],
    ],
  ),
  position(
    'over-fire',
    [
      [GRATE, 0.7],
      [FIRE, 0.3],
    ],
    [
      [BARREL, 0.5],
      [BOTTOM, 0.2],
      ['pan', 0.3],
    ],
  ),
  position(
    'away',
    [[DOME, 1]],
    [
      [BARREL, 0.4],
      [LID, 0.5],
      ['metal', 0.1],
    ],
  ),
];

const PARAMETERS: CookerParameters = {
  diameterM: 0.47,
  lengthM: 0,
  intakeCm2: 50,
  exhaustCm2: 22,
  doorCm2: 350,
  bedCm2: 400,
  leakCm2: 4,
  wallLossFactor: 1,
  spreadFactor: 1,
  waterKg: 4,
  fireWallM2: 0.62,
  chamberWallM2: 0.95,
  wallMm: 0.9,
  insulationWPerM2K: 0,
  exhaustHeightM: 0.95,
  seamHeightM: 0.78,
  grateHeightM: 0.6,
  metalJPerK: 1200,
  volumeM3: 0.17,
  fanPa: 60,
  fanCm2: 5,
};

export const waterSmoker47: Preset = {
  id: 'bullet-47',
  name: '47 cm water smoker',
  family: 'bullet',
  parameters: PARAMETERS,
  layout: waterSmokerLayout,
  traits: {
    longGrate: false,
    sideFirebox: false,
    reverseFlow: false,
    gravityFed: false,
    canTopUp: true,
    slowToCool: false,
    commonFirstCooker: false,
    meatPlacement: 'over-pan',
  },
  plausibleRanges: {
    leakCm2: [2, 15],
    wallLossFactor: [0.7, 1.5],
    spreadFactor: [0.6, 1.6],
    intakeCm2: [40, 80],
    exhaustCm2: [15, 35],
    waterKg: [0, 7],
  },
  ventNames: { intake: 'bottom-vents', exhaust: 'top-vent' },
  ventTravel: {
    intake: 'all bottom vents moved together, shut to fully open',
    exhaust: 'the lid vent’s disc, shut to fully open',
  },
  travelMm: { intake: 50, exhaust: 40 },
  ventNotation: 'quarters',
  fullLoadKg: 4.5,
  fuelHolder: 'charcoal ring',
  fire: { arrangement: 'ring', fuel: 'briquette' },
  arrangements: ['ring', 'bowl', 'coal-bed'],
  fireChoices: [
    { id: 'ring', fuel: 'briquette' },
    { id: 'ring-lump', fuel: 'lump' },
  ],
  bringUp: { intake: 1, exhaust: 1, minutes: 30 },
  holding: {
    intake: 0.22,
    atC: 115,
    kelvinPerEFold: 40,
    exhaust: 1,
    closeBelowK: 12,
    waitMin: 15,
  },
  cardSettings: [
    [0.1, 1],
    [0.15, 1],
    [0.25, 1],
    [0.35, 1],
    [0.5, 1],
    [0.75, 1],
    [1, 1],
  ],
  fanExhaustFraction: 0.5,
  hasFan: false,
  grateDiameterM: 0.445,
};
