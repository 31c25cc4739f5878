/** Vertical water smoker: charcoal ring at the bottom, water pan over it, grates, dome. */
import { openingIn, openingInLid } from './openings';
import type { Layout, CookerParameters, Preset } from './types';
import { singleSteelWall } from './walls';

const FIRE = 0;
const GRATE = 1;
const DOME = 2;
const BOTTOM = 0;
const BARREL = 1;
const LID = 2;

/** Closures of the inside; plausible films 5-16 W/m2K. */
const INSIDE = { film: 11, panFilm: 9, viewPan: 0.3, viewWall: 0.6 };

/** A water smoker laid out: fire below the pan, grates above it, dome. */
export function bulletLayout(parameters: CookerParameters): Layout {
  const leak = parameters.leakCm2 * 1e-4;
  const g = parameters.grateHeightM;
  const rise = (h: number): number[] => [
    Math.min(h, 0.6 * g),
    Math.min(Math.max(h - 0.6 * g, 0), 0.6 * g),
    Math.max(h - 1.2 * g, 0),
  ];
  const barrel = 0.62 * parameters.chamberWallM2;
  const lid = 0.38 * parameters.chamberWallM2;
  const top = parameters.exhaustHeightM;
  const seam = parameters.seamHeightM;
  const section = (Math.PI / 4) * parameters.diameterM ** 2;
  return {
    zones: [
      { name: 'fire', volumeM3: 0.35 * parameters.volumeM3 },
      { name: 'grate', volumeM3: 0.4 * parameters.volumeM3 },
      { name: 'dome', volumeM3: 0.25 * parameters.volumeM3 },
    ],
    openings: [
      openingIn('intake', FIRE, parameters.intakeCm2 * 1e-4, 0, 0.15, rise(0)),
      openingIn('leak', FIRE, 0.45 * leak, 0.15, 0.2, rise(0.15)),
      openingIn('leak', GRATE, 0.15 * leak, seam, 0.5, rise(seam)),
      openingIn('leak', GRATE, 0.15 * leak, seam, -0.35, rise(seam)),
      openingIn('leak', DOME, 0.25 * leak, top - 0.03, -0.4, rise(top - 0.03)),
      openingInLid('exhaust', DOME, parameters.exhaustCm2 * 1e-4, top, -0.4, rise(top)),
      openingIn('lid', DOME, 0.75 * section, seam, 0, rise(seam)),
      openingIn('door', FIRE, parameters.doorCm2 * 1e-4, 0.3, 0.1, rise(0.3)),
      openingIn('fan', FIRE, parameters.fanCm2 * 1e-4, 0, 0.1, rise(0)),
    ],
    walls: [
      {
        name: 'bottom',
        ...singleSteelWall(parameters.fireWallM2, parameters.wallMm),
        films: [{ zone: FIRE, m2: parameters.fireWallM2, wPerM2K: INSIDE.film }],
        outsideM2: parameters.fireWallM2,
        lengthM: parameters.diameterM,
        rainM2: 0,
      },
      {
        name: 'barrel',
        ...singleSteelWall(barrel, parameters.wallMm),
        films: [{ zone: GRATE, m2: barrel, wPerM2K: INSIDE.film }],
        outsideM2: barrel,
        lengthM: parameters.diameterM,
        rainM2: 0,
      },
      {
        name: 'lid',
        ...singleSteelWall(lid, parameters.wallMm),
        films: [{ zone: DOME, m2: lid, wPerM2K: INSIDE.film }],
        outsideM2: lid,
        lengthM: parameters.diameterM,
        lid: true,
        rainM2: section,
      },
    ],
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
    coalFlowFactor: 2,
    grateFreeAreaM2: parameters.bedCm2 * 1e-4,
    ashHalvingKg: 1.6,
    closedVentFraction: 0.04,
    exhaustExponent: 1,
    positions: [
      {
        at: 'middle',
        gasShares: [[GRATE, 1]],
        viewShares: [
          [BARREL, 0.55],
          [LID, 0.25],
          ['metal', 0.2],
        ],
      },
      {
        at: 'over-fire',
        gasShares: [
          [GRATE, 0.7],
          [FIRE, 0.3],
        ],
        viewShares: [
          [BARREL, 0.5],
          [BOTTOM, 0.2],
          ['pan', 0.3],
        ],
      },
      {
        at: 'away',
        gasShares: [[DOME, 1]],
        viewShares: [
          [BARREL, 0.4],
          [LID, 0.5],
          ['metal', 0.1],
        ],
      },
    ],
    domeZone: DOME,
    probePosition: 0,
    lidOpeningM2: 0.75 * section,
    lidZones: [DOME, GRATE],
  };
}

const PIT: CookerParameters = {
  diameterM: 0.47,
  lengthM: 0,
  intakeCm2: 60,
  exhaustCm2: 22,
  doorCm2: 350,
  bedCm2: 400,
  leakCm2: 5,
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

export const bullet47: Preset = {
  id: 'bullet-47',
  name: '47 cm water smoker',
  family: 'bullet',
  parameters: PIT,
  layout: bulletLayout,
  plausibleRanges: {
    leakCm2: [2, 15],
    wallLossFactor: [0.7, 1.5],
    spreadFactor: [0.6, 1.6],
    intakeCm2: [40, 80],
    exhaustCm2: [15, 35],
    waterKg: [0, 7],
  },
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
  fanExhaustFraction: 0.5,
  hasFan: false,
  grateDiameterM: 0.445,
};
