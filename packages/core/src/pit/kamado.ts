/** Kamados: egg-shaped cookers with thick ceramic or insulated double walls, all air through the coals. */
import { openingIn, openingInLid } from './openings';
import type { Layout, CookerParameters, Preset } from './types';
import { ceramicWall, doubleSteelWall } from './walls';

const FIRE = 0;
const GRATE = 1;
const DOME = 2;
const BASE = 0;
const LID = 1;

/** Closures of the inside; films 5-16 W/m2K. */
export const KAMADO = { film: 9, metalFilm: 10, viewWall: 0.6, viewMetal: 0.4, loop: 0.4 };

/** A kamado laid out with its deflector in: fire bowl, grate, dome. */
export function kamadoLayout(parameters: CookerParameters): Layout {
  const leak = parameters.leakCm2 * 1e-4;
  const g = parameters.grateHeightM;
  const rise = (h: number): number[] => [
    Math.min(h, 0.8 * g),
    Math.min(Math.max(h - 0.8 * g, 0), 0.4 * g),
    Math.max(h - 1.2 * g, 0),
  ];
  const wall = (m2: number) =>
    parameters.insulationWPerM2K > 0
      ? doubleSteelWall(m2, parameters.wallMm, parameters.insulationWPerM2K)
      : ceramicWall(m2, parameters.wallMm);
  const top = parameters.exhaustHeightM;
  const seam = parameters.seamHeightM;
  const section = (Math.PI / 4) * parameters.diameterM ** 2;
  const film = KAMADO.film;
  return {
    zones: [
      { name: 'fire', volumeM3: 0.25 * parameters.volumeM3 },
      { name: 'grate', volumeM3: 0.4 * parameters.volumeM3 },
      { name: 'dome', volumeM3: 0.35 * parameters.volumeM3 },
    ],
    openings: [
      openingIn('intake', FIRE, parameters.intakeCm2 * 1e-4, 0, 0.1, rise(0)),
      openingIn('leak', FIRE, 0.4 * leak, 0.05, 0.1, rise(0.05)),
      openingIn('leak', GRATE, 0.3 * leak, seam, 0.1, rise(seam)),
      openingIn('leak', DOME, 0.3 * leak, top - 0.02, -0.2, rise(top - 0.02)),
      openingInLid('exhaust', DOME, parameters.exhaustCm2 * 1e-4, top, -0.2, rise(top)),
      openingIn('lid', DOME, 0.5 * section, seam, 0, rise(seam)),
      openingIn('fan', FIRE, parameters.fanCm2 * 1e-4, 0, 0.1, rise(0)),
    ],
    walls: [
      {
        name: 'base',
        ...wall(parameters.fireWallM2),
        films: [
          { zone: FIRE, m2: 0.6 * parameters.fireWallM2, wPerM2K: film },
          { zone: GRATE, m2: 0.4 * parameters.fireWallM2, wPerM2K: film },
        ],
        outsideM2: parameters.fireWallM2,
        lengthM: parameters.diameterM,
        rainM2: 0,
      },
      {
        name: 'dome',
        ...wall(parameters.chamberWallM2),
        films: [
          { zone: GRATE, m2: 0.3 * parameters.chamberWallM2, wPerM2K: film },
          { zone: DOME, m2: 0.7 * parameters.chamberWallM2, wPerM2K: film },
        ],
        outsideM2: parameters.chamberWallM2,
        lengthM: parameters.diameterM,
        lid: true,
        rainM2: section,
      },
    ],
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
    coalFlowFactor: 4,
    grateFreeAreaM2: parameters.bedCm2 * 1e-4,
    ashHalvingKg: 0.25,
    closedVentFraction: 0.004,
    exhaustExponent: 1.5,
    positions: [
      {
        at: 'middle',
        gasShares: [[GRATE, 1]],
        viewShares: [
          [BASE, 0.25],
          [LID, 0.45],
          ['metal', 0.3],
        ],
      },
      {
        at: 'over-fire',
        gasShares: [
          [FIRE, 0.35],
          [GRATE, 0.65],
        ],
        viewShares: [
          [BASE, 0.55],
          [LID, 0.25],
          ['metal', 0.2],
        ],
      },
      {
        at: 'away',
        gasShares: [
          [DOME, 0.5],
          [GRATE, 0.5],
        ],
        viewShares: [
          [BASE, 0.1],
          [LID, 0.8],
          ['metal', 0.1],
        ],
      },
    ],
    domeZone: DOME,
    probePosition: 0,
    lidOpeningM2: 0.5 * section,
    lidZones: [DOME, GRATE],
  };
}

const CERAMIC_PIT: CookerParameters = {
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
  fuelHolder: 'fire bowl',
  fire: { arrangement: 'bowl', fuel: 'lump' },
  arrangements: ['bowl', 'ring', 'coal-bed'],
  fanExhaustFraction: 0.15,
  hasFan: false,
} as const;

/** Ceramic, the grate 46 cm across. Its intake slot is 150 mm wide when fully open. */
export const kamado46: Preset = {
  ...COMMON,
  id: 'kamado-46',
  name: '46 cm ceramic kamado',
  parameters: CERAMIC_PIT,
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
  ventNotation: 'mm',
  fullLoadKg: 3.2,
  grateDiameterM: 0.46,
};

/** Double-wall steel with insulation, the grate 50 cm across. */
export const kamadoSteel50: Preset = {
  ...COMMON,
  id: 'kamado-steel-50',
  name: '50 cm double-wall steel kamado',
  parameters: {
    ...CERAMIC_PIT,
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
  ventNotation: 'mm',
  fullLoadKg: 4,
  grateDiameterM: 0.5,
};
