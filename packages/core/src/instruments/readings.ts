/** Readings taken by hand, beside those that came by wire. */
import type { WeatherReading } from '../estimate/measuredWeather';
import { MINUTE_MS } from '../quantity/time';
import { pitOf, leadMeat, type PitPlan } from '../plan/document/pitPlan';
import type { Log } from '../log/log';
import type { Muscle } from '../log/lookKinds';
import { ofLeanMuscle } from '../log/looks';

/** What thermometers said at an instant of the cook's clock, epoch ms; null where one was silent. C. */
export interface ReadingRow {
  /** Cook's clock, epoch ms. */
  at: number;
  /** At the grate. */
  pitC: number | null;
  /** In the middle of the first piece. */
  coreC: number | null;
  /** The dial in the lid; left out where nobody looked. */
  domeC?: number | null;
  /** In the middle of other pieces, by their ids. */
  meatC?: Record<string, number>;
  /** How fast a fan turns, 0 to 1; left out where none tells. */
  fanDuty?: number;
  /** What a weather station at the pit reported: air, C, wind, m/s, and rain, mm/h. */
  weather?: { airC?: number; windMps?: number; rainMmPerH?: number };
}

/** A reading of the pit says where it stands now for so long, min. */
const FRESH_MIN = 15;

/** What the pit reads at `nowMs`, C; null where it was not read of late. */
export function freshPitC(readings: readonly ReadingRow[], nowMs: number): number | null {
  const last = readings.findLast((r) => r.pitC !== null && r.at <= nowMs);
  return last && nowMs - last.at < FRESH_MIN * MINUTE_MS ? last.pitC : null;
}

/** What was read of one piece by wire: the first piece of the cook has its own place in a row, others their ids. */
export const ofPiece = (
  readings: readonly ReadingRow[],
  meat: string,
  firstMeat: string,
): ReadingRow[] =>
  meat === firstMeat
    ? [...readings]
    : readings.map((r) => ({ ...r, coreC: r.meatC?.[meat] ?? null }));

/** What a weather station told, in minutes after `zeroMs`. */
export const weatherReadings = (
  readings: readonly ReadingRow[],
  zeroMs: number,
): WeatherReading[] =>
  readings.flatMap(({ at, weather }) =>
    weather
      ? [
          {
            atMin: (at - zeroMs) / MINUTE_MS,
            airC: weather.airC ?? null,
            windMps: weather.windMps ?? null,
            rainMmPerH: weather.rainMmPerH ?? null,
          },
        ]
      : [],
  );

/** Readings by wire and by hand together, in order of time; `coreC` is of the piece `meat`. */
export function withHandReadings(
  readings: readonly ReadingRow[],
  log: Log,
  meat: string,
): ReadingRow[] {
  const ofPit = log.lines.flatMap(({ at, body }): ReadingRow[] => {
    if (body.kind !== 'read' || body.spot === 'meat') return [];
    const none = { at, pitC: null, coreC: null };
    return [body.spot === 'grate' ? { ...none, pitC: body.c } : { ...none, domeC: body.c }];
  });
  const inPiece = ofLeanMuscle(pieceReadings(log, meat)).map(({ at, c }) => ({
    at,
    pitC: null,
    coreC: c,
  }));
  const byHand = [...ofPit, ...inPiece];
  if (byHand.length === 0) return [...readings];
  return [...readings, ...byHand].sort((a, b) => a.at - b.at);
}

/** The dial in the lid reads so much more than the grate where nothing better is known, K (common practice: 8 to 25). */
const USUAL_DOME_OVER_GRATE_K = 14;

/** The same readings with the dial's told as what they mean at the grate, where nothing is read there. */
export const atTheGrate = (
  readings: readonly ReadingRow[],
  domeOverGrateK: number | null,
): ReadingRow[] =>
  readings.map((r) =>
    r.pitC === null && r.domeC != null
      ? { ...r, pitC: r.domeC - (domeOverGrateK ?? USUAL_DOME_OVER_GRATE_K) }
      : r,
  );

/** A reading of a piece by hand, C, and of which muscle of a brisket where that was said. */
export interface PieceReading {
  at: number;
  c: number;
  muscle?: Muscle;
}

/** What was read of a piece by hand, in order of time. */
const pieceReadings = (log: Log, meat: string): PieceReading[] =>
  log.lines.flatMap(({ at, body }) =>
    body.kind === 'read' && body.spot === 'meat' && body.meat === meat
      ? [{ at, c: body.c, ...(body.muscle ? { muscle: body.muscle } : {}) }]
      : [],
  );

/** The last reading of a piece by hand, of one of its muscles where that is asked; null where there is none. */
export const lastPieceReading = (log: Log, meat: string, muscle?: Muscle): PieceReading | null =>
  pieceReadings(log, meat).findLast((r) => muscle === undefined || r.muscle === muscle) ?? null;

/**
 * What was read of pit and first piece of a cook that is over, by wire and by hand, in order of time; where only the dial in
 * the lid was read, what that means at the grate.
 */
export const readingsOfPast = (
  { request }: Pick<PitPlan, 'request'>,
  log: Log,
  readings: readonly ReadingRow[],
): ReadingRow[] =>
  atTheGrate(
    withHandReadings(readings, log, leadMeat({ request }).id),
    pitOf({ request }).domeOverGrateK ?? null,
  );
