/** What the record of a cook amounts to, before anything is simulated and whatever the time. */
import {
  lastPieceReading,
  ofPiece,
  withHandReadings,
  type PieceReading,
  type ReadingRow,
} from '../instruments/readings';
import { probeOutMs } from '../instruments/probeOut';
import { deedAtMs, deedsOfLine, foldLog, litAtMs, type Entry, type Log } from '../log/log';
import { MUSCLES } from '../log/lookKinds';
import { feltDone, wrapByBarkMs } from '../log/looks';
import { planAsChanged } from '../log/planAsChanged';
import { shiftOf, type CurrentShift } from '../log/shift';
import { leadMeat, type PitPlan } from '../plan/document/pitPlan';
import { epochOf } from '../quantity/time';
import type { RequestMeat } from '../plan/request/types';
import { isWrapped } from '../scenario/actions';
import { notSafe, type NotSafe } from '../advice/pieceSafety';

/** A cook as its keeper has it: nothing in it is worked out. */
export interface CookRecord {
  id: string;
  /** The plan that it was begun with. */
  plan: PitPlan;
  /** Minute 0 of that plan on the cook's clock, epoch ms. */
  startMs: number;
  /** Its log, in any order. */
  entries: readonly Entry[];
  /** What connected instruments read, in order of time. */
  readings: readonly ReadingRow[];
}

/** What the record says of one piece. */
export interface KnownPiece {
  id: string;
  /** When it went on and when it came off, epoch ms; null where it did not. */
  onMs: number | null;
  offMs: number | null;
  /** Whether it lies on the pit in a wrap. */
  wrapped: boolean;
  /** Whether it felt done when it was last tried. */
  feltDone: boolean;
  /** What is not safe about it once it came off; null where it was hot enough, and while it is on. */
  notSafe: NotSafe | null;
  /** What it was read at, with the pit, by instruments and by hand, in order of time; `coreC` is its own. */
  readings: readonly ReadingRow[];
  /** Since when its connected probe is out of it, epoch ms; null where it is not. */
  probeOutMs: number | null;
  /** What its middle is to read when whoever tends is called, C; null where nothing was set. */
  callAtC: number | null;
  /** Its last reading; null where it was never read. */
  read: PieceReading | null;
  /** The last reading by hand of each of its two muscles; empty where it has one, or nobody took it. */
  muscles: readonly PieceReading[];
  /** When its bark says that it may be wrapped, epoch ms; null where nobody looked. */
  wrapByBarkMs: number | null;
}

/** A cook as its record tells it. */
export interface KnownCook {
  id: string;
  /** The plan as it stands after changes of mind and with added food. */
  plan: PitPlan;
  startMs: number;
  entries: readonly Entry[];
  log: Log;
  /** When the fire was lit, epoch ms; null before that. */
  litMs: number | null;
  /** When people sit down, epoch ms. */
  serveMs: number;
  /** Who has the shift. */
  shift: CurrentShift;
  /** What connected instruments read, in order of time. */
  wire: readonly ReadingRow[];
  /** The pieces, planned and added, in the order of the plan. */
  pieces: readonly KnownPiece[];
}

/** The piece that jobs and the pit's readings go by: the first of the plan. */
export const leadPiece = <P extends { id: string }>({ pieces }: { pieces: readonly P[] }): P => {
  const [lead] = pieces;
  if (!lead) throw new RangeError('a cook has one piece at least');
  return lead;
};

/** Whether a piece lies in the pit. */
export const isOnPit = ({ onMs, offMs }: Pick<KnownPiece, 'onMs' | 'offMs'>): boolean =>
  onMs !== null && offMs === null;

/** Whether every piece that there is went on and came off again: nothing lies in the pit, and nothing will. */
export const isAllOff = (pieces: readonly Pick<KnownPiece, 'onMs' | 'offMs'>[]): boolean =>
  pieces.every((p) => p.offMs !== null) && pieces.some((p) => p.onMs !== null);

/** When the last of all pieces came off, epoch ms; null while any lies in the pit, or will. */
export const allOffMs = (pieces: readonly Pick<KnownPiece, 'onMs' | 'offMs'>[]): number | null =>
  isAllOff(pieces) ? Math.max(...pieces.map((p) => p.offMs!)) : null;

/** What the record of a cook amounts to. */
export function knownCook({ id, plan: begun, startMs, entries, readings }: CookRecord): KnownCook {
  const log = foldLog(entries);
  const plan = planAsChanged(begun, log);
  const first = leadMeat(plan).id;
  return {
    id,
    plan,
    startMs,
    entries,
    log,
    litMs: litAtMs(log),
    serveMs: log.serveMs ?? epochOf(plan.serveAt, plan.request.timeZone),
    shift: shiftOf(entries),
    wire: readings,
    pieces: plan.request.meats.map((meat) =>
      knownPiece(meat, log, ofPiece(readings, meat.id, first)),
    ),
  };
}

function knownPiece(meat: RequestMeat, log: Log, wire: readonly ReadingRow[]): KnownPiece {
  const { id } = meat;
  const connected = wire.findLast((r) => r.coreC !== null);
  const byWire = connected ? { at: connected.at, c: connected.coreC! } : null;
  const byHand = lastPieceReading(log, id);
  const onMs = deedAtMs(log, 'meat-on', id);
  const offMs = deedAtMs(log, 'meat-off', id);
  const done = log.lines.flatMap((l) => deedsOfLine(l.body));
  const readings = withHandReadings(wire, log, id);
  const felt = feltDone(log, id);
  return {
    id,
    onMs,
    offMs,
    wrapped: isOnPit({ onMs, offMs }) && isWrapped(done, id),
    feltDone: felt,
    notSafe: offMs === null ? null : notSafe(meat, readings, felt, offMs),
    readings,
    probeOutMs: onMs === null || offMs !== null ? null : probeOutMs(wire, onMs),
    callAtC: log.callAtC.get(id) ?? null,
    read: byWire && (!byHand || byWire.at >= byHand.at) ? byWire : byHand,
    muscles: MUSCLES.flatMap((muscle) => lastPieceReading(log, id, muscle) ?? []),
    wrapByBarkMs: wrapByBarkMs(log, id),
  };
}
