/** A cooker as the engine computes on it: gas zones, walls, openings and what radiates to what. */

/** One opening in the cooker's walls. */
export interface OpeningSpec {
  /** What moves it. */
  kind: 'intake' | 'exhaust' | 'leak' | 'lid' | 'door' | 'fan';
  /** Index of the gas zone it opens into. */
  zone: number;
  /** Free area when fully open, m2. */
  areaM2: number;
  /** Height above the intake, m. */
  heightM: number;
  /** Wind pressure coefficient: share of the wind's dynamic pressure felt there (-0.6 to 0.8, from memory). */
  windPressureCoefficient: number;
  /** Length of the gas column in each zone between the intake and this opening, m. */
  gasColumnM: readonly number[];
  /** Whether it is part of the lid, and so not there while the lid is off. */
  liftedWithLid?: boolean;
}

/** A convective film between a surface and a gas zone. */
export interface Film {
  /** Index of the gas zone. */
  zone: number;
  /** Area, m2. */
  m2: number;
  /** Film coefficient, W/m2K (5 to 35). */
  wPerM2K: number;
}

/** A wall as nodes from inside to outside, joined by conductances. */
export interface Wall {
  /** What it is called. */
  name: string;
  /** Heat capacities of the nodes from the inside out, J/K. */
  heatStoresJPerK: readonly number[];
  /** Conductances between neighbouring nodes, W/K; one fewer than nodes. */
  conductancesWPerK: readonly number[];
  /** Films to the gas inside. */
  films: readonly Film[];
  /** Outside area, m2. */
  outsideM2: number;
  /** Length that sets natural convection outside, m. */
  lengthM: number;
  /** Whether it comes off with the lid: no inside films then, and both sides lose heat to the open air. */
  lid?: boolean;
  /** Area that rain falls on, m2. */
  rainM2: number;
}

/** A surface: the index of a wall, or one of the bodies inside. */
export type Surface = number | 'coals' | 'metal' | 'pan';

/** Grey radiation between two surfaces. */
export interface RadiationLink {
  /** One surface. */
  a: Surface;
  /** The other. */
  b: Surface;
  /** Exchange area times effective emissivity, m2. */
  m2: number;
}

/** Places on the grate. Every cooker has some of them, `middle` always. */
export const PLACES = ['near', 'middle', 'far', 'over-fire', 'away'] as const;
export type Place = (typeof PLACES)[number];

/** A place where a probe or a piece of meat may sit. Both lists of shares sum to one. */
export interface GratePosition {
  /** Its name. */
  at: Place;
  /** Which gas zones its air comes from, with their shares. */
  gasShares: readonly (readonly [zone: number, share: number])[];
  /** Which surfaces it sees, with their shares of the view. */
  viewShares: readonly (readonly [Surface, number])[];
}

/** A cooker laid out for computing. */
export interface Layout {
  /** Gas zones along the way of the smoke; zone 0 holds the fire. */
  zones: readonly { name: string; volumeM3: number }[];
  /** All openings. */
  openings: readonly OpeningSpec[];
  /** The walls. */
  walls: readonly Wall[];
  /** Grates, deflector and loose metal as one body: heat capacity, J/K, and films to the gas. */
  metal: { jPerK: number; films: readonly Film[] };
  /** Water pan: heat capacity when empty, J/K, water surface, m2, and films to the gas. */
  pan: { jPerK: number; m2: number; films: readonly Film[] };
  /** Which surfaces radiate to each other. */
  radiationLinks: readonly RadiationLink[];
  /** What the coals radiate to; shares sum to one. */
  coalViewFractions: readonly (readonly [Surface, number])[];
  /** What a wood flame radiates to beside the coals under it, where that is not what they do; shares sum to one. */
  flameViewFractions?: readonly (readonly [Surface, number])[];
  /** Gas that falls back to the fire: from which zone, plume height, m, and its share that passes the coals. */
  recirculation: { from: number; heightM: number; throughCoals: number } | null;
  /** Two-way exchange between zones: as a share of the draught, and at rest, kg/s. */
  mixing: readonly { a: number; b: number; share: number; kgPerS: number }[];
  /** Share of a wood flame that burns in the fire's zone; the rest burns in the next one. */
  flameFractionInFireZone: number;
  /** Index of the wall that takes the heat of spent ash. */
  ashWallIndex: number;
  /** Free section for air about the coals, m2. */
  coalFlowAreaM2: number;
  /** How much more air moves about the coals where all of it passes through them (1 open fire, 4 kamado). */
  coalFlowFactor: number;
  /** Share of the intake's air that goes among the coals: 1 all of it; in an open firebox most goes by. A fan's all does. */
  bedAirFraction: number;
  /** Free area under the coals in series with the intake, m2; 0: not in series. */
  grateFreeAreaM2: number;
  /** Ash among the coals that halves that area, kg. */
  ashHalvingKg: number;
  /** Share of a vent's area that still leaks when it is shut. */
  closedVentFraction: number;
  /** Power from the exhaust handle's travel to its free area. */
  exhaustExponent: number;
  /** Places where probes and meat sit. */
  positions: readonly GratePosition[];
  /** Gas zone of the dial in the lid. */
  domeZone: number;
  /** Index among `positions` of the pit probe, where meat lies too unless it says otherwise. */
  probePosition: number;
  /** Area laid open for two-way exchange while the lid is off, m2. */
  lidOpeningM2: number;
  /** Gas zones that an open lid lays bare. */
  lidZones: readonly number[];
}

/** A layout with all that the stepping code asks for. */
export type CompleteLayout = Layout & Required<Pick<Layout, 'flameViewFractions'>>;

/**
 * The same layout with all fields there and in one order: families write theirs down as they like, but code that steps
 * all of them is quick only where it meets one shape.
 */
export const inOneShape = (from: Layout): CompleteLayout => ({
  zones: from.zones.map(({ name, volumeM3 }) => ({ name, volumeM3 })),
  openings: from.openings.map((o) => ({
    kind: o.kind,
    zone: o.zone,
    areaM2: o.areaM2,
    heightM: o.heightM,
    windPressureCoefficient: o.windPressureCoefficient,
    gasColumnM: o.gasColumnM,
    liftedWithLid: o.liftedWithLid ?? false,
  })),
  walls: from.walls.map((w) => ({
    name: w.name,
    heatStoresJPerK: w.heatStoresJPerK,
    conductancesWPerK: w.conductancesWPerK,
    films: w.films.map(filmInOneShape),
    outsideM2: w.outsideM2,
    lengthM: w.lengthM,
    lid: w.lid ?? false,
    rainM2: w.rainM2,
  })),
  metal: { jPerK: from.metal.jPerK, films: from.metal.films.map(filmInOneShape) },
  pan: { jPerK: from.pan.jPerK, m2: from.pan.m2, films: from.pan.films.map(filmInOneShape) },
  radiationLinks: from.radiationLinks.map(({ a, b, m2 }) => ({ a, b, m2 })),
  coalViewFractions: from.coalViewFractions,
  flameViewFractions: from.flameViewFractions ?? from.coalViewFractions,
  recirculation: from.recirculation,
  mixing: from.mixing.map(({ a, b, share, kgPerS }) => ({ a, b, share, kgPerS })),
  flameFractionInFireZone: from.flameFractionInFireZone,
  ashWallIndex: from.ashWallIndex,
  coalFlowAreaM2: from.coalFlowAreaM2,
  bedAirFraction: from.bedAirFraction,
  coalFlowFactor: from.coalFlowFactor,
  grateFreeAreaM2: from.grateFreeAreaM2,
  ashHalvingKg: from.ashHalvingKg,
  closedVentFraction: from.closedVentFraction,
  exhaustExponent: from.exhaustExponent,
  positions: from.positions.map(({ at, gasShares, viewShares }) => ({ at, gasShares, viewShares })),
  domeZone: from.domeZone,
  probePosition: from.probePosition,
  lidOpeningM2: from.lidOpeningM2,
  lidZones: from.lidZones,
});

const filmInOneShape = ({ zone, m2, wPerM2K }: Film): Film => ({ zone, m2, wPerM2K });
