/** Kettles. Lengths scale with the diameter, areas with its square. */
import { hole, holeInLid } from './holes';
import type { Layout, Pit, Preset } from './types';
import { steelSkin } from './walls';

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
export function kettleLayout(p: Pit): Layout {
  const d2 = (p.diameterM / 0.57) ** 2;
  const leak = p.leakCm2 * 1e-4;
  const rise = (h: number): number[] => [
    Math.min(h, p.grateHeightM),
    0.5 * Math.max(h - p.grateHeightM, 0),
    0.5 * Math.max(h - p.grateHeightM, 0),
  ];
  const top = p.exhaustHeightM;
  const seam = p.seamHeightM;
  const topLeak = 1 - KETTLE.leakLow - KETTLE.leakWindward - KETTLE.leakLee;
  const lidGapM2 = 0.75 * (Math.PI / 4) * p.diameterM ** 2;
  const film = KETTLE.wallFilm;
  return {
    zones: [
      { name: 'fire', volumeM3: 0.4 * p.volumeM3 },
      { name: 'dome', volumeM3: 0.3 * p.volumeM3 },
      { name: 'grate', volumeM3: 0.3 * p.volumeM3 },
    ],
    holes: [
      hole('intake', FIRE, p.intakeCm2 * 1e-4, 0, 0.15, rise(0)),
      hole('leak', FIRE, KETTLE.leakLow * leak, 0.06, 0.1, rise(0.06)),
      hole('leak', GRATE, KETTLE.leakWindward * leak, seam, 0.5, rise(seam)),
      hole('leak', GRATE, KETTLE.leakLee * leak, seam, -0.35, rise(seam)),
      hole('leak', DOME, topLeak * leak, top - 0.02, -0.4, rise(top - 0.02)),
      holeInLid('exhaust', DOME, p.exhaustCm2 * 1e-4, top, -0.4, rise(top)),
      hole('lid', DOME, lidGapM2, seam, 0, rise(seam)),
      hole('fan', FIRE, p.fanCm2 * 1e-4, 0, 0.1, rise(0)),
    ],
    walls: [
      {
        name: 'bowl',
        ...steelSkin(p.fireWallM2, p.wallMm),
        films: [
          { zone: FIRE, m2: 0.7 * p.fireWallM2, wPerM2K: film },
          { zone: GRATE, m2: 0.3 * p.fireWallM2, wPerM2K: film },
        ],
        outsideM2: p.fireWallM2,
        lengthM: p.diameterM,
        rainM2: 0,
      },
      {
        name: 'lid',
        ...steelSkin(p.chamberWallM2, p.wallMm),
        films: [
          { zone: DOME, m2: 0.6 * p.chamberWallM2, wPerM2K: film },
          { zone: GRATE, m2: 0.4 * p.chamberWallM2, wPerM2K: film },
        ],
        outsideM2: p.chamberWallM2,
        lengthM: p.diameterM,
        lid: true,
        rainM2: 0.785 * p.diameterM ** 2,
      },
    ],
    metal: {
      jPerK: p.metalJPerK,
      films: [{ zone: GRATE, m2: KETTLE.metalAreaM2 * d2, wPerM2K: KETTLE.metalFilm }],
    },
    pan: {
      jPerK: 250,
      m2: 0.035 * d2,
      films: [{ zone: GRATE, m2: 0.035 * d2, wPerM2K: 12 }],
    },
    shines: [
      { a: 'metal', b: BOWL, m2: 0.85 * KETTLE.grateViewM2 * d2 },
      { a: 'metal', b: LID, m2: 0.85 * KETTLE.grateViewM2 * d2 },
      { a: BOWL, b: LID, m2: 0.085 * d2 },
      { a: 'pan', b: BOWL, m2: 0.05 * d2 },
    ],
    coalViews: [
      [BOWL, KETTLE.viewBowl],
      ['metal', KETTLE.viewMetal],
      [LID, KETTLE.viewLid],
    ],
    loop: { from: GRATE, heightM: KETTLE.plumeHeightM, throughCoals: KETTLE.throughCoals },
    mixing: [],
    flameInFire: 0.5,
    ashWall: BOWL,
    bedFlowM2: 0.02,
    bedGain: 1,
    bedFreeM2: p.bedCm2 * 1e-4,
    ashClogKg: 1.6,
    shutShare: 0.04,
    exhaustPower: 1,
    positions: [
      {
        at: 'middle',
        gas: [[GRATE, 1]],
        seen: [
          [BOWL, 0.4],
          [LID, 0.4],
          ['metal', 0.2],
        ],
      },
      {
        at: 'over-fire',
        gas: [
          [GRATE, 0.4],
          [DOME, 0.6],
        ],
        seen: [
          [BOWL, 0.45],
          [LID, 0.33],
          ['metal', 0.1],
          ['coals', 0.12],
        ],
      },
      {
        at: 'away',
        gas: [[GRATE, 1]],
        seen: [
          [BOWL, 0.46],
          [LID, 0.46],
          ['metal', 0.08],
        ],
      },
    ],
    domeZone: DOME,
    probe: 0,
    lidGapM2,
    lidZones: [DOME, GRATE],
  };
}

const BASE: Pit = {
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
  const pit: Pit = {
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
    pit,
    layout: kettleLayout,
    plausible: {
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
    ventWay: 'quarters',
    fullLoadKg,
    loadIn: 'side basket',
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
