/** Offsets: a firebox beside a long chamber; ordinary, or reverse flow under a plate. */
import { openingIn } from './openings';
import type {
  Film,
  OpeningSpec,
  Layout,
  CookerParameters,
  GratePosition,
  Preset,
  RadiationLink,
  Surface,
  Wall,
} from './types';
import { singleSteelWall } from './walls';

/** Closures of the inside; films 5-16 W/m2K. */
export const OFFSET = {
  fireFilm: 13,
  film: 13,
  plateFilm: 16,
  metalFilm: 9,
  /** Exchange along the chamber as a share of the draught: hot gas above, cool gas back below. */
  along: 1,
  /** A plate that warms from below stirs the whole chamber. */
  alongReverse: 2,
  /** How a reverse-flow plate's heat is shared out over near, middle and far. */
  plateShares: [0.65, 0.25, 0.1],
  viewFirebox: 0.87,
  viewChamber: 0.08,
};

/** Where the gas goes: the firebox, under the plate on reverse flow, then along the chamber to the stack. */
function offset(parameters: CookerParameters, reverse: boolean): Layout {
  const names = reverse
    ? ['firebox', 'under the plate', 'far', 'middle', 'near']
    : ['firebox', 'near', 'middle', 'far'];
  const near = reverse ? 4 : 1;
  const middle = reverse ? 3 : 2;
  const far = reverse ? 2 : 3;
  const last = names.length - 1;
  const leak = parameters.leakCm2 * 1e-4;
  const box = 0.3;
  // The firebox stands low, the chamber above and beside it, the stack on the chamber.
  const column = (rise: number, chamber: number, stack: number): number[] =>
    names.map((_, i) =>
      i === 0 ? rise : i === last ? stack + chamber / 2 : i === last - 1 ? chamber / 2 : 0,
    );
  const chamberTop = parameters.grateHeightM + 0.15;
  const fourth = parameters.exhaustHeightM;
  const holes: OpeningSpec[] = [
    openingIn('intake', 0, parameters.intakeCm2 * 1e-4, 0, 0.25, column(0, 0, 0)),
    openingIn('leak', 0, 0.4 * leak, box, 0.2, column(box, 0, 0)),
    openingIn(
      'leak',
      middle,
      0.3 * leak,
      parameters.grateHeightM,
      0.3,
      column(box, parameters.grateHeightM - box, 0),
    ),
    openingIn('leak', middle, 0.3 * leak, chamberTop, -0.3, column(box, chamberTop - box, 0)),
    openingIn(
      'exhaust',
      last,
      parameters.exhaustCm2 * 1e-4,
      fourth,
      -0.4,
      column(box, parameters.grateHeightM - box, fourth - parameters.grateHeightM),
    ),
    openingIn(
      'lid',
      middle,
      0.35 * parameters.diameterM * parameters.lengthM,
      parameters.grateHeightM,
      0,
      column(box, parameters.grateHeightM - box, 0),
    ),
    openingIn('door', 0, parameters.doorCm2 * 1e-4, 0.1, 0.25, column(0.1, 0, 0)),
    openingIn('fan', 0, parameters.fanCm2 * 1e-4, 0, 0.1, column(0, 0, 0)),
  ];
  const chamber = parameters.chamberWallM2 / 3;
  const bottom = reverse ? 0.28 * parameters.chamberWallM2 : 0;
  const third = reverse ? (parameters.chamberWallM2 - bottom) / 3 : chamber;
  const wall = (name: string, m2: number, films: Film[], rainM2: number): Wall => ({
    name,
    ...singleSteelWall(m2, parameters.wallMm),
    films,
    outsideM2: m2,
    lengthM: parameters.diameterM,
    rainM2,
  });
  const part = (name: string, zone: number): Wall =>
    wall(
      name,
      third,
      [{ zone, m2: third, wPerM2K: OFFSET.film }],
      (parameters.diameterM * parameters.lengthM) / 3,
    );
  const walls: Wall[] = [
    wall(
      'firebox',
      parameters.fireWallM2,
      [{ zone: 0, m2: parameters.fireWallM2, wPerM2K: OFFSET.fireFilm }],
      0.2,
    ),
    part('near', near),
    part('middle', middle),
    part('far', far),
  ];
  if (reverse)
    walls.push(wall('bottom', bottom, [{ zone: 1, m2: bottom, wPerM2K: OFFSET.film }], 0));
  const plate = 0.8 * parameters.diameterM * parameters.lengthM;
  // The plate is hottest where the fire licks it first, under the near end.
  const shares = reverse ? OFFSET.plateShares : [1 / 3, 1 / 3, 1 / 3];
  const metalFilms: Film[] = [near, middle, far].map((zone, i) => ({
    zone,
    m2: (reverse ? plate : 0.5 * plate) * shares[i]!,
    wPerM2K: OFFSET.metalFilm,
  }));
  if (reverse) metalFilms.push({ zone: 1, m2: plate, wPerM2K: OFFSET.plateFilm });
  const shines: RadiationLink[] = [1, 2, 3].map((b, i) => ({
    a: 'metal',
    b,
    m2: 0.75 * plate * shares[i]!,
  }));
  shines.push({ a: 1, b: 2, m2: 0.05 }, { a: 2, b: 3, m2: 0.05 }, { a: 'pan', b: 1, m2: 0.03 });
  if (reverse) shines.push({ a: 'metal', b: 4, m2: 0.6 * plate });
  const position = (at: GratePosition['at'], zone: number, b: Surface): GratePosition => ({
    at,
    gasShares: [[zone, 1]],
    viewShares: [
      [b, 0.75],
      ['metal', 0.25],
    ],
  });
  const mixing = reverse
    ? [
        { a: far, b: middle, share: OFFSET.alongReverse, kgPerS: 3e-3 },
        { a: middle, b: near, share: OFFSET.alongReverse, kgPerS: 3e-3 },
      ]
    : [
        { a: near, b: middle, share: OFFSET.along, kgPerS: 3e-3 },
        { a: middle, b: far, share: OFFSET.along, kgPerS: 3e-3 },
      ];
  const volume = (i: number): number =>
    (i === 0 ? 0.3 : 0.7 / (names.length - 1)) * parameters.volumeM3;
  return {
    zones: names.map((name, i) => ({ name, volumeM3: volume(i) })),
    openings: holes,
    walls,
    metal: { jPerK: parameters.metalJPerK, films: metalFilms },
    pan: { jPerK: 600, m2: 0.08, films: [{ zone: near, m2: 0.1, wPerM2K: 12 }] },
    radiationLinks: shines,
    coalViewFractions: [
      [0, OFFSET.viewFirebox],
      [reverse ? 'metal' : 1, OFFSET.viewChamber],
      ['metal', 1 - OFFSET.viewFirebox - OFFSET.viewChamber],
    ],
    recirculation: null,
    mixing,
    flameFractionInFireZone: 0.85,
    ashWallIndex: 0,
    coalFlowAreaM2: 0.08,
    coalFlowFactor: 1,
    grateFreeAreaM2: 0,
    ashHalvingKg: 2,
    closedVentFraction: 0.04,
    exhaustExponent: 1,
    positions: [position('near', near, 1), position('middle', middle, 2), position('far', far, 3)],
    domeZone: middle,
    probePosition: 1,
    lidOpeningM2: 0.35 * parameters.diameterM * parameters.lengthM,
    lidZones: [near, middle, far],
  };
}

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

/** An offset preset; reverse flow adds the plate's heat store. */
function preset(
  id: string,
  name: string,
  pit: CookerParameters,
  reverse: boolean,
  fullLoadKg: number,
): Preset {
  return {
    id,
    name,
    family: 'offset',
    parameters: reverse ? { ...pit, metalJPerK: pit.metalJPerK * 1.8 } : pit,
    layout: (p) => offset(p, reverse),
    plausibleRanges: {
      leakCm2: [5, 60],
      wallLossFactor: [0.7, 1.5],
      spreadFactor: [0.6, 1.6],
      intakeCm2: [0.6 * pit.intakeCm2, 1.6 * pit.intakeCm2],
      exhaustCm2: [0.6 * pit.exhaustCm2, 1.6 * pit.exhaustCm2],
      wallMm: [1, 10],
      waterKg: [0, 5],
    },
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
    fanExhaustFraction: 0.3,
    hasFan: false,
    grateDiameterM: Number(Math.sqrt((pit.diameterM * pit.lengthM * 4) / Math.PI).toFixed(3)),
  };
}

export const offsetHeavy = preset('offset-heavy', 'offset, 6 mm steel', HEAVY, false, 6);
export const offsetLight = preset('offset-light', 'offset, 2 mm steel', LIGHT, false, 3);
export const offsetHeavyReverse = preset(
  'offset-heavy-reverse',
  'reverse-flow offset, 6 mm steel',
  HEAVY,
  true,
  6,
);
export const offsetLightReverse = preset(
  'offset-light-reverse',
  'reverse-flow offset, 2 mm steel',
  LIGHT,
  true,
  3,
);
