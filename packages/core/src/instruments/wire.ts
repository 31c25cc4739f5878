/** What was read of a cook value by value, and as rows of readings: corrected by what each instrument reads too much. */
import type { ReadingRow } from './readings';

/** What a channel of an instrument measures: a temperature somewhere, C; wind, m/s; rain, mm/h; or how a fan turns, 0 to 1. */
export const WIRE_SPOTS = ['grate', 'dome', 'meat', 'air', 'wind', 'rain', 'fan', 'none'] as const;
export type WireSpot = (typeof WIRE_SPOTS)[number];

/** One value as it was read. */
export interface WireValue {
  /** When, cook's clock, epoch ms. */
  at: number;
  /** What it measured. */
  spot: WireSpot;
  /** The piece it was in; null where it was in none. */
  meat: string | null;
  /** As read. */
  value: number;
  /** What its instrument reads too much, K; null where it belongs to the record itself, which is kept as it came. */
  offsetK: number | null;
}

/** A value of the record itself. */
export type OwnValue = Omit<WireValue, 'offsetK'>;

const TEMPERATURES: readonly WireSpot[] = ['grate', 'dome', 'meat', 'air'];

/** Whether what a spot tells is a temperature, which an instrument may read too high or too low. */
export const isTemperature = (spot: WireSpot): boolean => TEMPERATURES.includes(spot);

/** Values that can be true: C, m/s, mm/h, or 0 to 1. No yard is colder, no freezer either, and no pit hotter. */
const POSSIBLE: Readonly<Record<WireSpot, readonly [number, number]>> = {
  grate: [-45, 700],
  dome: [-45, 700],
  meat: [-30, 250],
  air: [-60, 60],
  wind: [0, 75],
  rain: [0, 500],
  fan: [0, 1],
  none: [-1000, 3000],
};

/** Whether a spot can be at a value. */
export const isPossible = (spot: WireSpot, value: number): boolean =>
  value >= POSSIBLE[spot][0] && value <= POSSIBLE[spot][1];

/** Rows in order of time, one for each moment at which anything was told. */
export function wireReadings(values: readonly WireValue[], firstMeat: string): ReadingRow[] {
  const rows = new Map<number, ReadingRow>();
  for (const v of values) {
    if (v.spot === 'none') continue;
    const value = isTemperature(v.spot) ? v.value - (v.offsetK ?? 0) : v.value;
    // What was possible as it was read may not be once it is corrected.
    if (v.offsetK !== null && !isPossible(v.spot, value)) continue;
    const row = rows.get(v.at) ?? { at: v.at, pitC: null, coreC: null };
    rows.set(v.at, row);
    if (v.spot === 'grate') row.pitC = value;
    else if (v.spot === 'dome') row.domeC = value;
    else if (v.spot === 'fan') row.fanDuty = value;
    else if (v.spot === 'air') row.weather = { ...row.weather, airC: value };
    else if (v.spot === 'wind') row.weather = { ...row.weather, windMps: value };
    else if (v.spot === 'rain') row.weather = { ...row.weather, rainMmPerH: value };
    else if (v.meat === firstMeat) row.coreC = value;
    else if (v.meat !== null) row.meatC = { ...row.meatC, [v.meat]: value };
  }
  return [...rows.values()].sort((a, b) => a.at - b.at);
}

/** The values of rows, so that `wireReadings` makes the same rows of them; a row that tells nothing has none. */
export function ownValues(readings: readonly ReadingRow[], firstMeat: string): OwnValue[] {
  return readings.flatMap(({ at, pitC, coreC, domeC, fanDuty, meatC, weather }) => {
    const told: [WireSpot, string | null, number | null | undefined][] = [
      ['grate', null, pitC],
      ['meat', firstMeat, coreC],
      ['dome', null, domeC],
      ['fan', null, fanDuty],
      ['air', null, weather?.airC],
      ['wind', null, weather?.windMps],
      ['rain', null, weather?.rainMmPerH],
      ...Object.entries(meatC ?? {}).map(([meat, c]): [WireSpot, string, number] => [
        'meat',
        meat,
        c,
      ]),
    ];
    return told.flatMap(([spot, meat, value]): OwnValue[] =>
      value == null ? [] : [{ at, spot, meat, value }],
    );
  });
}

/** Two rows of the same moment as one: what the later one tells stands over the earlier. */
export const mergedRow = (a: ReadingRow, b: ReadingRow): ReadingRow => ({
  ...a,
  ...b,
  pitC: b.pitC ?? a.pitC,
  coreC: b.coreC ?? a.coreC,
  ...(a.meatC || b.meatC ? { meatC: { ...a.meatC, ...b.meatC } } : {}),
  ...(a.weather || b.weather ? { weather: { ...a.weather, ...b.weather } } : {}),
});

/** Rows of several sources in order of time, those of one moment as one. */
export function mergedRows(...sources: readonly (readonly ReadingRow[])[]): ReadingRow[] {
  const rows = new Map<number, ReadingRow>();
  for (const r of sources.flat()) {
    const known = rows.get(r.at);
    rows.set(r.at, known ? mergedRow(known, r) : r);
  }
  return [...rows.values()].sort((a, b) => a.at - b.at);
}
