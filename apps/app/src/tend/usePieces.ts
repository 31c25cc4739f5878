/** Every piece of a cook with its own reading and its own window; the first one's come from the page's forecast. */
import {
  deedAtMs,
  lastPieceReading,
  MINUTE_MS,
  MUSCLES,
  type PieceReading,
  withHandReadings,
  type Forecast,
  type Log,
  type Plan,
  type ReadingRow,
} from '@ostrin/core';
import { forecastInput, ofPiece } from '@ostrin/core/tending';
import { useState } from 'react';
import { askForecast } from '../api/core';
import { pieceName } from '../store/names';
import { useAskedWhenDue } from './useAskedWhenDue';

/** A piece as its chip tells it. */
export interface PieceNow {
  id: string;
  name: string;
  /** Its last reading; null where it was never read. */
  read: { at: number; c: number } | null;
  /** What was last read by hand in each of its two muscles; empty where it has one, or nobody did. */
  muscles: PieceReading[];
  /** When it is ready, minutes after lighting: p10, p50, p90; null where that is not known. */
  readyMin: [number, number, number] | null;
  /** When it came off, epoch ms; null while it has not. */
  offMs: number | null;
  /** Whether it is the one to read next. */
  next: boolean;
}

/** Cook minutes between two answers for the other pieces. */
const EVERY_MIN = 10;
/** A reading by hand still says how a piece stands for so long, min. */
const FRESH_MIN = 30;

/** Windows of all pieces but the first, asked one after another. */
function useOtherWindows(
  id: string,
  plan: Plan,
  log: Log,
  readings: readonly ReadingRow[],
  now: number,
): ReadonlyMap<string, PieceNow['readyMin']> {
  const [windows, setWindows] = useState(new Map<string, PieceNow['readyMin']>());
  const others = plan.request.meats.slice(1);
  useAskedWhenDue(
    { log, nowMs: now, everyMin: EVERY_MIN, wanted: others.length > 0 },
    async (lit, at) => {
      const first = plan.request.meats[0]!.id;
      for (const { id: piece } of others) {
        const read = withHandReadings(ofPiece(readings, piece, first), log, piece);
        const { readyMin } = await askForecast(forecastInput(id, plan, log, read, lit, at, piece));
        setWindows((w) => new Map(w).set(piece, readyMin));
      }
    },
  );
  return windows;
}

/** All pieces as they stand. */
export function usePieces(
  id: string,
  plan: Plan,
  log: Log,
  wire: readonly ReadingRow[],
  forecast: Forecast | null,
  now: number,
): PieceNow[] {
  const windows = useOtherWindows(id, plan, log, wire, now);
  const pieces = plan.request.meats.map((m, i): PieceNow => {
    const ofThis = (r: ReadingRow): number | null =>
      i === 0 ? r.coreC : (r.meatC?.[m.id] ?? null);
    const probed = wire.findLast((r) => ofThis(r) !== null);
    const byWire = probed ? { at: probed.at, c: ofThis(probed)! } : null;
    const byHand = lastPieceReading(log, m.id);
    const read = byWire && (!byHand || byWire.at >= byHand.at) ? byWire : byHand;
    return {
      id: m.id,
      name: pieceName(plan, i),
      read,
      muscles: MUSCLES.flatMap((muscle) => lastPieceReading(log, m.id, muscle) ?? []),
      readyMin: i === 0 ? (forecast?.readyMin ?? null) : (windows.get(m.id) ?? null),
      offMs: deedAtMs(log, 'meat-off', m.id),
      next: false,
    };
  });
  const next = toReadNext(
    pieces.filter((p) => deedAtMs(log, 'meat-on', p.id) !== null),
    now,
  );
  return pieces.map((p) => ({ ...p, next: p.id === next }));
}

/** The piece on the pit to read next: of those not read of late the one that is ready first. */
function toReadNext(on: readonly PieceNow[], now: number): string | null {
  const stale = on.filter(
    (p) => p.offMs === null && (!p.read || now - p.read.at > FRESH_MIN * MINUTE_MS),
  );
  const soonest = [...stale].sort(
    (a, b) => (a.readyMin?.[0] ?? Infinity) - (b.readyMin?.[0] ?? Infinity),
  );
  return soonest[0]?.id ?? null;
}
