/** Kamados: thick ceramic or insulated double walls; all air passes through the coals. */
import type { Layout } from './layout';
import { lidWallOf, openingsOf, position, sectionM2, wallOf, WIND_AT } from './layoutParts';
import type { CookerParameters } from './parameters';
import type { Preset } from './preset';
import { ceramicWall, doubleSteelWall } from './walls';

const FIRE = 0;
const GRATE = 1;
const DOME = 2;
const BASE = 0;
const LID = 1;

/** Closures of the inside: films, W/m2K (5-16), and shares of what the coals radiate to. */
export const KAMADO = { film: 9, metalFilm: 10, viewWall: 0.6, viewMetal: 0.4 };

function openings(parameters: CookerParameters) {
  const { grateHeightM: g, exhaustHeightM: top, seamHeightM: seam, diameterM } = parameters;
  const column = (h: number): number[] => [
    Math.min(h, 0.8 * g),
    Math.min(Math.max(h - 0.8 * g, 0), 0.4 * g),
    Math.max(h - 1.2 * g, 0),
  ];
  return openingsOf(parameters, {
    intake: [FIRE, 0, WIND_AT.low, column(0)],
    leaks: [
      [0.4, [FIRE, 0.05, WIND_AT.low, column(0.05)]],
      [0.3, [GRATE, seam, WIND_AT.low, column(seam)]],
      [0.3, [DOME, top - 0.02, WIND_AT.top, column(top - 0.02)]],
    ],
    exhaust: [DOME, top, WIND_AT.top, column(top)],
    exhaustInLid: true,
    lid: [DOME, seam, 0, column(seam)],
    lidM2: 0.5 * sectionM2(diameterM),
    fan: [FIRE, 0, WIND_AT.low, column(0)],
  });
}

function walls(parameters: CookerParameters) {
  const { fireWallM2, chamberWallM2, wallMm, insulationWPerM2K, diameterM } = parameters;
  const nodes = (m2: number) =>
    insulationWPerM2K > 0
      ? doubleSteelWall(m2, wallMm, insulationWPerM2K)
      : ceramicWall(m2, wallMm);
  const film = (zone: number, m2: number) => ({ zone, m2, wPerM2K: KAMADO.film });
  return [
    wallOf(
      'base',
      fireWallM2,
      nodes(fireWallM2),
      [film(FIRE, 0.6 * fireWallM2), film(GRATE, 0.4 * fireWallM2)],
      diameterM,
    ),
    lidWallOf(
      'dome',
      chamberWallM2,
      nodes(chamberWallM2),
      [film(GRATE, 0.3 * chamberWallM2), film(DOME, 0.7 * chamberWallM2)],
      diameterM,
      sectionM2(diameterM),
    ),
  ];
}

/** A kamado laid out with its deflector in: fire bowl, grate, dome. */
function kamadoLayout(parameters: CookerParameters): Layout {
  const { volumeM3 } = parameters;
  return {
    zones: [
      { name: 'fire', volumeM3: 0.25 * volumeM3 },
      { name: 'grate', volumeM3: 0.4 * volumeM3 },
      { name: 'dome', volumeM3: 0.35 * volumeM3 },
    ],
    openings: openings(parameters),
    walls: walls(parameters),
    metal: {
      jPerK: parameters.metalJPerK,
      films: [
        { zone: FIRE, m2: 0.1, wPerM2K: KAMADO.metalFilm },
        { zone: GRATE, m2: 0.16, wPerM2K: KAMADO.metalFilm },
      ],
    },
    pan: { jPerK: 400, m2: 0.05, films: [{ zone: GRATE, m2: 0.05, wPerM2K: 12 }] },
    radiationLinks: [
      { a: 'metal', b: LID, m2: 0.09 },
      { a: 'metal', b: BASE, m2: 0.05 },
      { a: BASE, b: LID, m2: 0.1 },
      { a: 'pan', b: LID, m2: 0.03 },
    ],
    coalViewFractions: [
      [BASE, KAMADO.viewWall],
      ['metal', KAMADO.viewMetal],
    ],
    recirculation: null,
    mixing: [{ a: GRATE, b: DOME, share: 2, kgPerS: 1e-3 }],
    flameFractionInFireZone: 0.7,
    ashWallIndex: BASE,
    coalFlowAreaM2: 0.06,
    bedAirFraction: 1,
    coalFlowFactor: 4,
    grateFreeAreaM2: parameters.bedCm2 * 1e-4,
    ashHalvingKg: 0.25,
    closedVentFraction: 0.004,
    exhaustExponent: 1.5,
    positions: POSITIONS,
    domeZone: DOME,
    probePosition: 0,
    lidOpeningM2: 0.5 * sectionM2(parameters.diameterM),
    lidZones: [DOME, GRATE],
  };
}

const POSITIONS = [
  position(
    'middle',
    [[GRATE, 1]],
    [
      [BASE, 0.25],
      [LID, 0.45],
      ['metal', 0.3],
    ],
  ),
  position(
    'over-fire',
    [
      [FIRE, 0.35],
      [GRATE, 0.65],
    ],
    [
      [BASE, 0.55],
      [LID, 0.25],
      ['metal', 0.2],
    ],
  ),
  position(
    'away',
    [
      [DOME, 0.5],
      [GRATE, 0.5],
    ],
    [
      [BASE, 0.1],
      [LID, 0.8],
      ['metal', 0.1],
    ],
  ),
];

const CERAMIC: CookerParameters = {
  diameterM: 0.46,
  lengthM: 0,
  intakeCm2: 110,
  exhaustCm2: 34,
  doorCm2: 0,
  bedCm2: 18,
  leakCm2: 0.8,
  wallLossFactor: 1,
  spreadFactor: 1,
  waterKg: 0,
  fireWallM2: 0.72,
  chamberWallM2: 0.48,
  wallMm: 24,
  insulationWPerM2K: 0,
  exhaustHeightM: 0.62,
  seamHeightM: 0.4,
  grateHeightM: 0.4,
  metalJPerK: 12000,
  volumeM3: 0.08,
  fanPa: 60,
  fanCm2: 4,
};

const COMMON = {
  family: 'kamado',
  layout: kamadoLayout,
  traits: {
    longGrate: false,
    sideFirebox: false,
    reverseFlow: false,
    gravityFed: false,
    canTopUp: false,
    slowToCool: true,
    commonFirstCooker: false,
    meatPlacement: 'over-deflector',
  },
  ventNames: { intake: 'bottom-slot', exhaust: 'top-vent' },
  ventNotation: 'mm',
  fuelHolder: 'fire bowl',
  fire: { arrangement: 'bowl', fuel: 'lump' },
  arrangements: ['bowl', 'ring', 'coal-bed'],
  fireChoices: [
    { id: 'bowl', fuel: 'lump' },
    { id: 'bowl-briquettes', fuel: 'briquette' },
  ],
  bringUp: { intake: 0.4, exhaust: 0.6, minutes: 45 },
  holding: {
    intake: 0.075,
    atC: 115,
    kelvinPerEFold: 75,
    exhaust: 0.18,
    exhaustPerIntake: 2.4,
    closeBelowK: 8,
    waitMin: 25,
  },
  cardSettings: [
    [0.04, 0.15],
    [0.067, 0.2],
    [0.1, 0.25],
    [0.133, 0.3],
    [0.2, 0.4],
    [0.267, 0.5],
    [0.4, 0.6],
  ],
  fanExhaustFraction: 0.15,
  hasFan: false,
} as const;

/** Ceramic, the grate 46 cm across. Its intake slot is 150 mm wide when fully open. */
export const kamado46: Preset = {
  ...COMMON,
  id: 'kamado-46',
  name: '46 cm ceramic kamado',
  parameters: CERAMIC,
  plausibleRanges: {
    leakCm2: [0.2, 6],
    wallLossFactor: [0.7, 1.5],
    spreadFactor: [0.6, 1.6],
    intakeCm2: [70, 150],
    exhaustCm2: [20, 60],
    metalJPerK: [6000, 20000],
  },
  ventTravel: {
    intake: 'the slot at the bottom, shut to 150 mm open',
    exhaust: 'the top vent, shut to fully open',
  },
  travelMm: { intake: 150, exhaust: 60 },
  fullLoadKg: 3.2,
  grateDiameterM: 0.46,
};

/** Double-wall steel with insulation, the grate 50 cm across. */
export const kamadoSteel50: Preset = {
  ...COMMON,
  id: 'kamado-steel-50',
  name: '50 cm double-wall steel kamado',
  parameters: {
    ...CERAMIC,
    diameterM: 0.5,
    intakeCm2: 60,
    exhaustCm2: 30,
    leakCm2: 1.6,
    bedCm2: 20,
    fireWallM2: 0.8,
    chamberWallM2: 0.55,
    wallMm: 1,
    insulationWPerM2K: 10,
    metalJPerK: 9000,
    volumeM3: 0.1,
  },
  plausibleRanges: {
    leakCm2: [0.5, 10],
    wallLossFactor: [0.7, 1.5],
    spreadFactor: [0.6, 1.6],
    intakeCm2: [40, 100],
    exhaustCm2: [20, 50],
    metalJPerK: [4000, 15000],
    insulationWPerM2K: [4, 15],
  },
  ventTravel: {
    intake: 'the slide at the bottom, shut to 120 mm open',
    exhaust: 'the top vent, shut to fully open',
  },
  travelMm: { intake: 120, exhaust: 60 },
  fullLoadKg: 4,
  grateDiameterM: 0.5,
};
