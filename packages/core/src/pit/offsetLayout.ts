/** Offsets: a firebox beside a long chamber; ordinary, or with reverse flow under a plate. */
import type { Film, GratePosition, Layout, RadiationLink, Surface, Wall } from './layout';
import { openingsOf, position, wallOf, WIND_AT } from './layoutParts';
import type { CookerParameters } from './parameters';
import { singleSteelWall } from './walls';

/** Closures of the inside; films in W/m2K (5-16). */
export const OFFSET = {
  fireFilm: 13,
  film: 13,
  plateFilm: 16,
  metalFilm: 9,
  /** Exchange along the chamber as a share of the draught: hot gas above, cool gas back below. */
  along: 1,
  /** The same on reverse flow: a plate that warms from below stirs the whole chamber. */
  alongReverse: 2,
  /** How a reverse-flow plate's heat is shared out over near, middle and far. */
  plateShares: [0.65, 0.25, 0.1],
  /** Share of the intake's air that goes through the coals; the rest passes over and beside them (0.05-0.3). */
  bedAirFraction: 0.07,
  /** Shares of what the coals radiate to; the rest goes to the metal. */
  viewFirebox: 0.87,
  viewChamber: 0.08,
  /** Share of a flame's radiation that goes through the throat: flames reach for the chamber (0.1-0.5). */
  flameInChamber: 0.35,
};

/** Height of the firebox, m. */
const FIREBOX_M = 0.3;
const FIREBOX = 0;
const UNDER_PLATE = 1;
/** Walls: the firebox, then three parts of the chamber, then the bottom under the plate. */
const NEAR_WALL = 1;
const MIDDLE_WALL = 2;
const FAR_WALL = 3;
const BOTTOM_WALL = 4;

/** Gas zones in the order in which the smoke passes them. */
interface Zones {
  names: string[];
  near: number;
  middle: number;
  far: number;
  /** The zone under the stack. */
  last: number;
}

const zonesOf = (reverse: boolean): Zones =>
  reverse
    ? {
        names: ['firebox', 'under the plate', 'far', 'middle', 'near'],
        far: 2,
        middle: 3,
        near: 4,
        last: 4,
      }
    : { names: ['firebox', 'near', 'middle', 'far'], near: 1, middle: 2, far: 3, last: 3 };

function openings(parameters: CookerParameters, { names, middle, last }: Zones) {
  const { grateHeightM: g, exhaustHeightM: top, diameterM, lengthM } = parameters;
  // The firebox stands low, the chamber above and beside it, the stack on the chamber.
  const column = (firebox: number, chamber: number, stack: number): number[] =>
    names.map((_, i) =>
      i === 0 ? firebox : i === last ? stack + chamber / 2 : i === last - 1 ? chamber / 2 : 0,
    );
  const chamberTop = g + 0.15;
  const atGrate = column(FIREBOX_M, g - FIREBOX_M, 0);
  return openingsOf(parameters, {
    intake: [FIREBOX, 0, WIND_AT.low, column(0, 0, 0)],
    leaks: [
      [0.4, [FIREBOX, FIREBOX_M, WIND_AT.low, column(FIREBOX_M, 0, 0)]],
      [0.3, [middle, g, WIND_AT.windward, atGrate]],
      [0.3, [middle, chamberTop, WIND_AT.lee, column(FIREBOX_M, chamberTop - FIREBOX_M, 0)]],
    ],
    exhaust: [last, top, WIND_AT.top, column(FIREBOX_M, g - FIREBOX_M, top - g)],
    exhaustInLid: false,
    lid: [middle, g, 0, atGrate],
    lidM2: 0.35 * diameterM * lengthM,
    door: [FIREBOX, 0.1, WIND_AT.low, column(0.1, 0, 0)],
    fan: [FIREBOX, 0, WIND_AT.low, column(0, 0, 0)],
  });
}

function walls(parameters: CookerParameters, zones: Zones, reverse: boolean): Wall[] {
  const { chamberWallM2, fireWallM2, wallMm, diameterM, lengthM } = parameters;
  const bottom = reverse ? 0.28 * chamberWallM2 : 0;
  const third = reverse ? (chamberWallM2 - bottom) / 3 : chamberWallM2 / 3;
  const wall = (name: string, m2: number, zone: number, film: number, rainM2: number): Wall =>
    wallOf(name, m2, singleSteelWall(m2, wallMm), [{ zone, m2, wPerM2K: film }], diameterM, rainM2);
  const part = (name: string, zone: number): Wall =>
    wall(name, third, zone, OFFSET.film, (diameterM * lengthM) / 3);
  return [
    wall('firebox', fireWallM2, FIREBOX, OFFSET.fireFilm, 0.2),
    part('near', zones.near),
    part('middle', zones.middle),
    part('far', zones.far),
    ...(reverse ? [wall('bottom', bottom, UNDER_PLATE, OFFSET.film, 0)] : []),
  ];
}

/** The plate, or the grates and baffle of an ordinary offset: its films and what it radiates to. */
function plateOf(
  { diameterM, lengthM }: CookerParameters,
  { near, middle, far }: Zones,
  reverse: boolean,
): { films: Film[]; links: RadiationLink[] } {
  const plate = 0.8 * diameterM * lengthM;
  // The plate is hottest where the fire licks it first, under the near end.
  const shares = reverse ? OFFSET.plateShares : [1 / 3, 1 / 3, 1 / 3];
  const films: Film[] = [near, middle, far].map((zone, i) => ({
    zone,
    m2: (reverse ? plate : 0.5 * plate) * shares[i]!,
    wPerM2K: OFFSET.metalFilm,
  }));
  const links: RadiationLink[] = [NEAR_WALL, MIDDLE_WALL, FAR_WALL].map((b, i) => ({
    a: 'metal',
    b,
    m2: 0.75 * plate * shares[i]!,
  }));
  links.push(
    { a: NEAR_WALL, b: MIDDLE_WALL, m2: 0.05 },
    { a: MIDDLE_WALL, b: FAR_WALL, m2: 0.05 },
    { a: 'pan', b: NEAR_WALL, m2: 0.03 },
  );
  if (reverse) {
    films.push({ zone: UNDER_PLATE, m2: plate, wPerM2K: OFFSET.plateFilm });
    links.push({ a: 'metal', b: BOTTOM_WALL, m2: 0.6 * plate });
  }
  return { films, links };
}

const positionBy = (at: GratePosition['at'], zone: number, wall: Surface): GratePosition =>
  position(
    at,
    [[zone, 1]],
    [
      [wall, 0.75],
      ['metal', 0.25],
    ],
  );

/** An offset laid out: the firebox, under the plate on reverse flow, then along the chamber to the stack. */
export function offsetLayout(parameters: CookerParameters, reverse: boolean): Layout {
  const zones = zonesOf(reverse);
  const { names, near, middle, far } = zones;
  const { films, links } = plateOf(parameters, zones, reverse);
  const share = reverse ? OFFSET.alongReverse : OFFSET.along;
  const volume = (i: number): number =>
    (i === 0 ? 0.3 : 0.7 / (names.length - 1)) * parameters.volumeM3;
  return {
    zones: names.map((name, i) => ({ name, volumeM3: volume(i) })),
    openings: openings(parameters, zones),
    walls: walls(parameters, zones, reverse),
    metal: { jPerK: parameters.metalJPerK, films },
    pan: { jPerK: 600, m2: 0.08, films: [{ zone: near, m2: 0.1, wPerM2K: 12 }] },
    radiationLinks: links,
    coalViewFractions: [
      [0, OFFSET.viewFirebox],
      [reverse ? 'metal' : NEAR_WALL, OFFSET.viewChamber],
      ['metal', 1 - OFFSET.viewFirebox - OFFSET.viewChamber],
    ],
    flameViewFractions: [
      [0, 1 - OFFSET.flameInChamber],
      [reverse ? 'metal' : NEAR_WALL, 0.6 * OFFSET.flameInChamber],
      ['metal', 0.4 * OFFSET.flameInChamber],
    ],
    recirculation: null,
    mixing: reverse
      ? [
          { a: far, b: middle, share, kgPerS: 3e-3 },
          { a: middle, b: near, share, kgPerS: 3e-3 },
        ]
      : [
          { a: near, b: middle, share, kgPerS: 3e-3 },
          { a: middle, b: far, share, kgPerS: 3e-3 },
        ],
    flameFractionInFireZone: 0.85,
    ashWallIndex: 0,
    coalFlowAreaM2: 0.08,
    bedAirFraction: OFFSET.bedAirFraction,
    coalFlowFactor: 1,
    grateFreeAreaM2: 0,
    ashHalvingKg: 2,
    closedVentFraction: 0.04,
    exhaustExponent: 1,
    positions: [
      positionBy('near', near, NEAR_WALL),
      positionBy('middle', middle, MIDDLE_WALL),
      positionBy('far', far, FAR_WALL),
    ],
    domeZone: middle,
    probePosition: 1,
    lidOpeningM2: 0.35 * parameters.diameterM * parameters.lengthM,
    lidZones: [near, middle, far],
  };
}
