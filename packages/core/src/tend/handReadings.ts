/** Readings taken by hand, beside those that came by wire. */
import type { Log } from './log';

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
}

/** Readings by wire and by hand together, in order of time. */
export function withHandReadings(
  readings: readonly ReadingRow[],
  log: Log,
  firstMeat: string,
): ReadingRow[] {
  const byHand = log.lines.flatMap(({ at, body }): ReadingRow[] => {
    if (body.kind !== 'read') return [];
    const none = { at, pitC: null, coreC: null };
    if (body.spot === 'grate') return [{ ...none, pitC: body.c }];
    if (body.spot === 'dome') return [{ ...none, domeC: body.c }];
    return body.meat === firstMeat ? [{ ...none, coreC: body.c }] : [];
  });
  if (byHand.length === 0) return [...readings];
  return [...readings, ...byHand].sort((a, b) => a.at - b.at);
}

/** The dial in the lid reads so much more than the grate where nothing better is known, K (common practice: 8 to 25). */
export const USUAL_DOME_OVER_GRATE_K = 14;

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

/** The last reading of a piece, by hand; null where there is none. */
export function lastPieceReading(log: Log, meat: string): { at: number; c: number } | null {
  for (const { at, body } of [...log.lines].reverse()) {
    if (body.kind === 'read' && body.spot === 'meat' && body.meat === meat)
      return { at, c: body.c };
  }
  return null;
}
