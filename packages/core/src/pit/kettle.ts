/** Kettles. Lengths scale with the diameter, areas with its square. */
import { openingIn, openingInLid } from './openings';
import type { Layout, CookerParameters, Preset } from './types';
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
  plumeHeightM: 0.26,
  /** Where the coals shine. */
  viewBowl: 0.56,
  viewMetal: 0.26,
  viewLid: 0.18,
  /** Wall film, W/m2K (5-16); thin grate rods, W/m2K (20-40); the metal's area and view, m2. */
  wallFilm: 15,
  metalFilm: 32,
  metalAreaM2: 0.45,
  grateViewM2: 0.35,
  /** How the leak is split: legs and vent below, seam to windward, seam to lee; the rest round the lid's vent. */
  leakLow: 0.42,
  leakWindward: 0.08,
  leakLee: 0.12,
};

/** A kettle laid out: by the fire, the dome, the grate; bowl and lid. */
export function kettleLayout(parameters: CookerParameters): Layout {
  const d2 = (parameters.diameterM / 0.57) ** 2;
  const leak = parameters.leakCm2 * 1e-4;
  const rise = (h: number): number[] => [
    Math.min(h, parameters.grateHeightM),
    0.5 * Math.max(h - parameters.grateHeightM, 0),
    0.5 * Math.max(h - parameters.grateHeightM, 0),
  ];
  const top = parameters.exhaustHeightM;
  const seam = parameters.seamHeightM;
  const topLeak = 1 - KETTLE.leakLow - KETTLE.leakWindward - KETTLE.leakLee;
  const lidGapM2 = 0.75 * (Math.PI / 4) * parameters.diameterM ** 2;
  const film = KETTLE.wallFilm;
  return {
    zones: [
      { name: 'fire', volumeM3: 0.4 * parameters.volumeM3 },
      { name: 'dome', volumeM3: 0.3 * parameters.volumeM3 },
      { name: 'grate', volumeM3: 0.3 * parameters.volumeM3 },
    ],
    openings: [
      openingIn('intake', FIRE, parameters.intakeCm2 * 1e-4, 0, 0.15, rise(0)),
      openingIn('leak', FIRE, KETTLE.leakLow * leak, 0.06, 0.1, rise(0.06)),
      openingIn('leak', GRATE, KETTLE.leakWindward * leak, seam, 0.5, rise(seam)),
      openingIn('leak', GRATE, KETTLE.leakLee * leak, seam, -0.35, rise(seam)),
      openingIn('leak', DOME, topLeak * leak, top - 0.02, -0.4, rise(top - 0.02)),
      openingInLid('exhaust', DOME, parameters.exhaustCm2 * 1e-4, top, -0.4, rise(top)),
      openingIn('lid', DOME, lidGapM2, seam, 0, rise(seam)),
      openingIn('fan', FIRE, parameters.fanCm2 * 1e-4, 0, 0.1, rise(0)),
    ],
    walls: [
      {
        name: 'bowl',
        ...singleSteelWall(parameters.fireWallM2, parameters.wallMm),
        films: [
          { zone: FIRE, m2: 0.7 * parameters.fireWallM2, wPerM2K: film },
          { zone: GRATE, m2: 0.3 * parameters.fireWallM2, wPerM2K: film },
        ],
        outsideM2: parameters.fireWallM2,
        lengthM: parameters.diameterM,
        rainM2: 0,
      },
      {
        name: 'lid',
        ...singleSteelWall(parameters.chamberWallM2, parameters.wallMm),
        films: [
          { zone: DOME, m2: 0.6 * parameters.chamberWallM2, wPerM2K: film },
          { zone: GRATE, m2: 0.4 * parameters.chamberWallM2, wPerM2K: film },
        ],
        outsideM2: parameters.chamberWallM2,
        lengthM: parameters.diameterM,
        lid: true,
        rainM2: 0.785 * parameters.diameterM ** 2,
      },
    ],
    metal: {
      jPerK: parameters.metalJPerK,
      films: [{ zone: GRATE, m2: KETTLE.metalAreaM2 * d2, wPerM2K: KETTLE.metalFilm }],
    },
    pan: {
      jPerK: 250,
      m2: 0.035 * d2,
      films: [{ zone: GRATE, m2: 0.035 * d2, wPerM2K: 12 }],
    },
    radiationLinks: [
      { a: 'metal', b: BOWL, m2: 0.85 * KETTLE.grateViewM2 * d2 },
      { a: 'metal', b: LID, m2: 0.85 * KETTLE.grateViewM2 * d2 },
      { a: BOWL, b: LID, m2: 0.085 * d2 },
      { a: 'pan', b: BOWL, m2: 0.05 * d2 },
    ],
    coalViewFractions: [
      [BOWL, KETTLE.viewBowl],
      ['metal', KETTLE.viewMetal],
      [LID, KETTLE.viewLid],
    ],
    recirculation: { from: GRATE, heightM: KETTLE.plumeHeightM, throughCoals: KETTLE.throughCoals },
    mixing: [],
    flameFractionInFireZone: 0.5,
    ashWallIndex: BOWL,
    coalFlowAreaM2: 0.02,
    coalFlowFactor: 1,
    grateFreeAreaM2: parameters.bedCm2 * 1e-4,
    ashHalvingKg: 1.6,
    closedVentFraction: 0.04,
    exhaustExponent: 1,
    positions: [
      {
        at: 'middle',
        gasShares: [[GRATE, 1]],
        viewShares: [
          [BOWL, 0.4],
          [LID, 0.4],
          ['metal', 0.2],
        ],
      },
      {
        at: 'over-fire',
        gasShares: [
          [GRATE, 0.4],
          [DOME, 0.6],
        ],
        viewShares: [
          [BOWL, 0.45],
          [LID, 0.33],
          ['metal', 0.1],
          ['coals', 0.12],
        ],
      },
      {
        at: 'away',
        gasShares: [[GRATE, 1]],
        viewShares: [
          [BOWL, 0.46],
          [LID, 0.46],
          ['metal', 0.08],
        ],
      },
    ],
    domeZone: DOME,
    probePosition: 0,
    lidOpeningM2: lidGapM2,
    lidZones: [DOME, GRATE],
  };
}

const BASE: CookerParameters = {
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

/** A kettle of that diameter. */
function kettle(cm: number, fullLoadKg: number): Preset {
  const s = cm / 57;
  const pit: CookerParameters = {
    ...BASE,
    diameterM: cm / 100,
    intakeCm2: Math.round(BASE.intakeCm2 * s * s),
    exhaustCm2: Math.round(BASE.exhaustCm2 * s * s),
    leakCm2: Number((BASE.leakCm2 * s).toFixed(1)),
    bedCm2: Math.round(BASE.bedCm2 * s * s),
    fireWallM2: Number((BASE.fireWallM2 * s * s).toFixed(3)),
    chamberWallM2: Number((BASE.chamberWallM2 * s * s).toFixed(3)),
    exhaustHeightM: Number((BASE.exhaustHeightM * s).toFixed(3)),
    seamHeightM: Number((BASE.seamHeightM * s).toFixed(3)),
    grateHeightM: Number((BASE.grateHeightM * s).toFixed(3)),
    metalJPerK: Math.round(BASE.metalJPerK * s * s),
    volumeM3: Number((BASE.volumeM3 * s ** 3).toFixed(3)),
  };
  return {
    id: `kettle-${cm}`,
    name: `${cm} cm kettle`,
    family: 'kettle',
    parameters: pit,
    layout: kettleLayout,
    plausibleRanges: {
      leakCm2: [3, 30],
      wallLossFactor: [0.7, 1.5],
      spreadFactor: [0.6, 1.6],
      intakeCm2: [40 * s * s, 80 * s * s],
      exhaustCm2: [15 * s * s, 35 * s * s],
      metalJPerK: [3000 * s * s, 8000 * s * s],
      waterKg: [0, 3],
    },
    ventTravel: {
      intake: 'the bowl vent’s handle, shut to fully open',
      exhaust: 'the lid vent’s disc, shut to fully open',
    },
    travelMm: { intake: Math.round(60 * s), exhaust: Math.round(40 * s) },
    ventNotation: 'quarters',
    fullLoadKg,
    fuelHolder: 'side basket',
    fire: { arrangement: 'snake', fuel: 'briquette' },
    arrangements: ['snake', 'side-basket', 'crescent', 'bowl', 'coal-bed'],
    fanExhaustFraction: 0.25,
    hasFan: false,
    grateDiameterM: Number((0.956 * (cm / 100)).toFixed(3)),
  };
}

export const kettle47 = kettle(47, 1.4);
export const kettle57 = kettle(57, 2.1);
export const kettle66 = kettle(66, 3);
