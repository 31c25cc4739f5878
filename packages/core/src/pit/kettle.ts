/** Kettles. Lengths scale with the diameter, areas with its square. */
import type { Layout } from './layout';
import { lidWallOf, openingsOf, position, wallOf, WIND_AT } from './layoutParts';
import type { CookerParameters } from './parameters';
import type { Preset } from './preset';
import { singleSteelWall } from './walls';

const FIRE = 0;
const DOME = 1;
const GRATE = 2;
const BOWL = 0;
const LID = 1;

/** Closures of a kettle's inside; every number may be moved within its plausible range. */
export const KETTLE = {
  /** Share of the plume that comes back through the coals (0.15-0.5). */
  throughCoals: 0.3,
  /** Height that the plume rises, m. */
  plumeHeightM: 0.26,
  /** What the coals radiate to: shares that sum to one. */
  viewBowl: 0.56,
  viewMetal: 0.26,
  viewLid: 0.18,
  /** Film on the walls, W/m2K (5-16). */
  wallFilm: 15,
  /** Film on thin grate rods, W/m2K (20-40). */
  metalFilm: 32,
  /** Area of grates and loose metal, and what it shows to bowl and lid, m2. */
  metalAreaM2: 0.45,
  grateViewM2: 0.35,
  /** Shares of the leak: at legs and vent below, at the seam to windward and to leeward; the rest is at the lid vent. */
  leakLow: 0.42,
  leakWindward: 0.08,
  leakLee: 0.12,
};

const lidOpeningM2 = (diameterM: number): number => 0.75 * (Math.PI / 4) * diameterM ** 2;

function openings(parameters: CookerParameters) {
  const { grateHeightM, exhaustHeightM: top, seamHeightM: seam, diameterM } = parameters;
  const column = (h: number): number[] => [
    Math.min(h, grateHeightM),
    0.5 * Math.max(h - grateHeightM, 0),
    0.5 * Math.max(h - grateHeightM, 0),
  ];
  const topLeak = 1 - KETTLE.leakLow - KETTLE.leakWindward - KETTLE.leakLee;
  return openingsOf(parameters, {
    intake: [FIRE, 0, WIND_AT.low, column(0)],
    leaks: [
      [KETTLE.leakLow, [FIRE, 0.06, WIND_AT.low, column(0.06)]],
      [KETTLE.leakWindward, [GRATE, seam, WIND_AT.windward, column(seam)]],
      [KETTLE.leakLee, [GRATE, seam, WIND_AT.lee, column(seam)]],
      [topLeak, [DOME, top - 0.02, WIND_AT.top, column(top - 0.02)]],
    ],
    exhaust: [DOME, top, WIND_AT.top, column(top)],
    exhaustInLid: true,
    lid: [DOME, seam, 0, column(seam)],
    lidM2: lidOpeningM2(diameterM),
    fan: [FIRE, 0, WIND_AT.low, column(0)],
  });
}

function walls({ fireWallM2, chamberWallM2, wallMm, diameterM }: CookerParameters) {
  const film = (zone: number, m2: number) => ({ zone, m2, wPerM2K: KETTLE.wallFilm });
  return [
    wallOf(
      'bowl',
      fireWallM2,
      singleSteelWall(fireWallM2, wallMm),
      [film(FIRE, 0.7 * fireWallM2), film(GRATE, 0.3 * fireWallM2)],
      diameterM,
    ),
    lidWallOf(
      'lid',
      chamberWallM2,
      singleSteelWall(chamberWallM2, wallMm),
      [film(DOME, 0.6 * chamberWallM2), film(GRATE, 0.4 * chamberWallM2)],
      diameterM,
      0.785 * diameterM ** 2,
    ),
  ];
}

/** A kettle laid out: gas by the fire, in the dome and at the grate; bowl and lid. */
function kettleLayout(parameters: CookerParameters): Layout {
  const d2 = (parameters.diameterM / 0.57) ** 2;
  const { volumeM3 } = parameters;
  const { metalFilm, metalAreaM2, grateViewM2 } = KETTLE;
  return {
    zones: [
      { name: 'fire', volumeM3: 0.4 * volumeM3 },
      { name: 'dome', volumeM3: 0.3 * volumeM3 },
      { name: 'grate', volumeM3: 0.3 * volumeM3 },
    ],
    openings: openings(parameters),
    walls: walls(parameters),
    metal: {
      jPerK: parameters.metalJPerK,
      films: [{ zone: GRATE, m2: metalAreaM2 * d2, wPerM2K: metalFilm }],
    },
    pan: {
      jPerK: 250,
      m2: 0.035 * d2,
      films: [{ zone: GRATE, m2: 0.035 * d2, wPerM2K: 12 }],
    },
    radiationLinks: [
      { a: 'metal', b: BOWL, m2: 0.85 * grateViewM2 * d2 },
      { a: 'metal', b: LID, m2: 0.85 * grateViewM2 * d2 },
      { a: BOWL, b: LID, m2: 0.085 * d2 },
      { a: 'pan', b: BOWL, m2: 0.05 * d2 },
    ],
    coalViewFractions: [
      [BOWL, KETTLE.viewBowl],
      ['metal', KETTLE.viewMetal],
      [LID, KETTLE.viewLid],
    ],
    recirculation: {
      from: GRATE,
      heightM: KETTLE.plumeHeightM,
      throughCoals: KETTLE.throughCoals,
    },
    mixing: [],
    flameFractionInFireZone: 0.5,
    ashWallIndex: BOWL,
    coalFlowAreaM2: 0.02,
    bedAirFraction: 1,
    coalFlowFactor: 1,
    grateFreeAreaM2: parameters.bedCm2 * 1e-4,
    ashHalvingKg: 1.6,
    closedVentFraction: 0.04,
    exhaustExponent: 1,
    positions: POSITIONS,
    domeZone: DOME,
    probePosition: 0,
    lidOpeningM2: lidOpeningM2(parameters.diameterM),
    lidZones: [DOME, GRATE],
  };
}

const POSITIONS = [
  position(
    'middle',
    [[GRATE, 1]],
    [
      [BOWL, 0.4],
      [LID, 0.4],
      ['metal', 0.2],
    ],
  ),
  position(
    'over-fire',
    [
      [GRATE, 0.4],
      [DOME, 0.6],
    ],
    [
      [BOWL, 0.45],
      [LID, 0.33],
      ['metal', 0.1],
      ['coals', 0.12],
    ],
  ),
  position(
    'away',
    [[GRATE, 1]],
    [
      [BOWL, 0.46],
      [LID, 0.46],
      ['metal', 0.08],
    ],
  ),
];

const KETTLE_57: CookerParameters = {
  diameterM: 0.57,
  lengthM: 0,
  intakeCm2: 60,
  exhaustCm2: 18,
  doorCm2: 0,
  bedCm2: 400,
  leakCm2: 10,
  wallLossFactor: 1,
  spreadFactor: 1,
  waterKg: 0,
  fireWallM2: 0.52,
  chamberWallM2: 0.5,
  wallMm: 0.9,
  insulationWPerM2K: 0,
  exhaustHeightM: 0.46,
  seamHeightM: 0.28,
  grateHeightM: 0.25,
  metalJPerK: 5000,
  volumeM3: 0.105,
  fanPa: 60,
  fanCm2: 5,
};

/** The figures of the 57 cm kettle scaled: lengths by `scale`, areas by its square, volume by its cube. */
function scaledParameters(cm: number, scale: number): CookerParameters {
  const s = scale;
  return {
    ...KETTLE_57,
    diameterM: cm / 100,
    intakeCm2: Math.round(KETTLE_57.intakeCm2 * s * s),
    exhaustCm2: Math.round(KETTLE_57.exhaustCm2 * s * s),
    leakCm2: Number((KETTLE_57.leakCm2 * s).toFixed(1)),
    bedCm2: Math.round(KETTLE_57.bedCm2 * s * s),
    fireWallM2: Number((KETTLE_57.fireWallM2 * s * s).toFixed(3)),
    chamberWallM2: Number((KETTLE_57.chamberWallM2 * s * s).toFixed(3)),
    exhaustHeightM: Number((KETTLE_57.exhaustHeightM * s).toFixed(3)),
    seamHeightM: Number((KETTLE_57.seamHeightM * s).toFixed(3)),
    grateHeightM: Number((KETTLE_57.grateHeightM * s).toFixed(3)),
    metalJPerK: Math.round(KETTLE_57.metalJPerK * s * s),
    volumeM3: Number((KETTLE_57.volumeM3 * s ** 3).toFixed(3)),
  };
}

/** A kettle's grate is a little narrower than its bowl: 54.5 cm in one of 57 cm (common practice). */
const GRATE_OF_BOWL = 0.956;

/** A kettle of that diameter. */
function kettle(cm: number, fullLoadKg: number): Preset {
  const s = cm / 57;
  return {
    id: `kettle-${cm}`,
    name: `${cm} cm kettle`,
    family: 'kettle',
    parameters: scaledParameters(cm, s),
    layout: kettleLayout,
    traits: {
      longGrate: false,
      sideFirebox: false,
      reverseFlow: false,
      gravityFed: false,
      canTopUp: true,
      slowToCool: false,
      commonFirstCooker: true,
      meatPlacement: 'away-from-fire',
    },
    plausibleRanges: {
      leakCm2: [3, 30],
      wallLossFactor: [0.7, 1.5],
      spreadFactor: [0.6, 1.6],
      intakeCm2: [40 * s * s, 80 * s * s],
      exhaustCm2: [15 * s * s, 35 * s * s],
      metalJPerK: [3000 * s * s, 8000 * s * s],
      waterKg: [0, 3],
    },
    ventNames: { intake: 'bowl-vent', exhaust: 'lid-vent' },
    ventTravel: {
      intake: 'the bowl vent’s handle, shut to fully open',
      exhaust: 'the lid vent’s disc, shut to fully open',
    },
    travelMm: { intake: Math.round(60 * s), exhaust: Math.round(40 * s) },
    ventNotation: 'quarters',
    fullLoadKg,
    fuelHolder: 'charcoal grate',
    fire: { arrangement: 'snake', fuel: 'briquette' },
    arrangements: ['snake', 'side-basket', 'crescent', 'horseshoe', 'bowl', 'coal-bed'],
    fireChoices: [
      { id: 'snake', fuel: 'briquette', arrangement: 'snake' },
      { id: 'basket', fuel: 'briquette', arrangement: 'side-basket' },
      { id: 'basket-lump', fuel: 'lump', arrangement: 'side-basket' },
      { id: 'crescent-lump', fuel: 'lump', arrangement: 'crescent' },
      { id: 'horseshoe', fuel: 'briquette', arrangement: 'horseshoe' },
    ],
    bringUp: { intake: 1, exhaust: 1, minutes: 20 },
    holding: KETTLE_HOLDING,
    cardSettings: [
      [0.125, 0.25],
      [0.25, 0.25],
      [0.25, 0.5],
      [0.5, 0.5],
      [0.5, 1],
      [0.75, 1],
      [1, 1],
    ],
    fanExhaustFraction: 0.25,
    hasFan: false,
    grateDiameterM: Number((GRATE_OF_BOWL * (cm / 100)).toFixed(3)),
  };
}

/** How a kettle's vents are first set; a firebox that burns charcoal is held the same way. */
export const KETTLE_HOLDING = {
  intake: 0.22,
  atC: 125,
  kelvinPerEFold: 40,
  exhaust: 0.5,
  closeBelowK: 12,
  waitMin: 15,
} as const;

export const kettle47 = kettle(47, 1.4);
export const kettle57 = kettle(57, 2.1);
export const kettle66 = kettle(66, 3);
