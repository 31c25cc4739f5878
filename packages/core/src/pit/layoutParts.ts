/** What the layouts of all families are put together from. */
import type { Film, GratePosition, OpeningSpec, Place, Surface, Wall } from './layout';
import type { CookerParameters } from './parameters';
import type { WallNodes } from './walls';

const M2_PER_CM2 = 1e-4;

/**
 * Pressure of the wind at a hole as a share of its dynamic pressure, the same on every cooker: low down and turned
 * out of the wind as people do, at a seam to windward and to leeward, and on top, where wind sucks. A cylinder in
 * the open has 1 in front and -0.3 to -0.5 behind and above; a hole faces any way (from memory).
 */
export const WIND_AT = { low: 0.1, windward: 0.4, lee: -0.3, top: -0.25 } as const;

/** Where an opening is: gas zone, height above the intake, m, wind pressure coefficient, gas column by zone, m. */
type OpeningPlace = readonly [
  zone: number,
  heightM: number,
  windPressureCoefficient: number,
  gasColumnM: readonly number[],
];

/** The openings of a cooker by their purpose. */
interface OpeningPlaces {
  /** Where the intake is. */
  intake: OpeningPlace;
  /** Gaps with their share of all leaks; the shares sum to one. */
  leaks: readonly (readonly [share: number, place: OpeningPlace])[];
  /** Where the exhaust is. */
  exhaust: OpeningPlace;
  /** Whether the exhaust comes off with the lid. */
  exhaustInLid: boolean;
  /** Where the lid leaks. */
  lid: OpeningPlace;
  /** Area laid open when the lid is off, m2. */
  lidM2: number;
  /** Fire door; left out where there is none. */
  door?: OpeningPlace;
  /** Where the fan blows. */
  fan: OpeningPlace;
}

const opening = (
  kind: OpeningSpec['kind'],
  areaM2: number,
  [zone, heightM, windPressureCoefficient, gasColumnM]: OpeningPlace,
): OpeningSpec => ({ kind, zone, areaM2, heightM, windPressureCoefficient, gasColumnM });

/** All openings of a cooker, their areas taken from its figures. */
export function openingsOf(parameters: CookerParameters, at: OpeningPlaces): OpeningSpec[] {
  const { intakeCm2, exhaustCm2, doorCm2, fanCm2 } = parameters;
  const leakM2 = parameters.leakCm2 * M2_PER_CM2;
  const exhaust = opening('exhaust', exhaustCm2 * M2_PER_CM2, at.exhaust);
  return [
    opening('intake', intakeCm2 * M2_PER_CM2, at.intake),
    ...at.leaks.map(([share, place]) => opening('leak', share * leakM2, place)),
    at.exhaustInLid ? { ...exhaust, liftedWithLid: true } : exhaust,
    opening('lid', at.lidM2, at.lid),
    ...(at.door ? [opening('door', doorCm2 * M2_PER_CM2, at.door)] : []),
    opening('fan', fanCm2 * M2_PER_CM2, at.fan),
  ];
}

/** A wall of `m2` outside area; `lengthM` sets natural convection outside, rain falls on `rainM2`. */
export const wallOf = (
  name: string,
  m2: number,
  nodes: WallNodes,
  films: readonly Film[],
  lengthM: number,
  rainM2 = 0,
): Wall => ({ name, ...nodes, films, outsideM2: m2, lengthM, rainM2 });

/** The same as part of the lid. */
export const lidWallOf = (...of: Parameters<typeof wallOf>): Wall => ({
  ...wallOf(...of),
  lid: true,
});

/** A place on the grate. */
export const position = (
  at: Place,
  gasShares: GratePosition['gasShares'],
  viewShares: readonly (readonly [Surface, number])[],
): GratePosition => ({ at, gasShares, viewShares });

/** Section of a round cooker, m2. */
export const sectionM2 = (diameterM: number): number => (Math.PI / 4) * diameterM ** 2;
