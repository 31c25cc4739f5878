/**
 * The log of a cook: an append-only list of entries. Undo and corrections are entries too, so that
 * nothing is ever lost and a retry can never double anything.
 */
import { USUAL_LID_S, type Action } from '../scenario/actions';
import type { MeatSpec } from '../scenario/scenario';
import { MINUTE_MS } from '../quantity/time';
import type { NoteSubject, PieceVerdict, WeighedThing } from './verdictKinds';
import type { PlanJob, PlanLog } from '../plan/document/plan';
import type { Look, Muscle } from './lookKinds';

/** What an entry says. Only `act` changes physics. */
export type EntryBody =
  | { kind: 'act'; action: PlanLog }
  | { kind: 'note'; text: string }
  | { kind: 'job' }
  /** A job of the plan was left out. */
  | { kind: 'skip' }
  /** Read by hand, C: the dial in the lid, a thermometer on the grate, or the middle of `meat` or of one muscle of it. */
  | { kind: 'read'; spot: 'dome' | 'grate' | 'meat'; c: number; meat?: string; muscle?: Muscle }
  /** Seen or felt. */
  | ({ kind: 'look' } & Look)
  | { kind: 'undo'; target: string }
  | { kind: 'retime'; target: string; to: number }
  | { kind: 'finish' }
  /** Food that is not in the plan goes on; `offAt` is when it was expected to be done then, epoch ms. */
  | { kind: 'add-food'; food: MeatSpec; offAt: number }
  /** People sit down at another time, epoch ms. */
  | { kind: 'serve-at'; to: number }
  /** A practice cook has surprises: things go wrong that nobody logs. */
  | { kind: 'surprises' }
  /** Whoever tends is to be called when the middle of `meat` reads this, C; null: no longer. */
  | { kind: 'call-at'; meat: string; c: number | null }
  /** The watch is offered to somebody, with a sheet that tells how the fire stands. */
  | { kind: 'hand-over'; to: string; sheet: string }
  /** Whoever writes it holds the watch from now on. `offer` is the id of the offer it accepts. */
  | { kind: 'take-watch'; offer?: string }
  /** How a piece was, once it was eaten. */
  | { kind: 'verdict'; meat: string; verdict: PieceVerdict }
  /** For the next plan of this pit, or of the cut that is named. */
  | { kind: 'next-time'; about: NoteSubject; cut?: string; text: string }
  /** Weighed, kg: the charcoal left in the cold pit, or the piece `meat` trimmed or off the fire. */
  | { kind: 'weighed'; what: WeighedThing; kg: number; meat?: string };

/** Who wrote an entry: the name of a member of the crew, and the device it was written on. */
export interface Writer {
  by?: string;
  device?: string;
}

/** One entry. `id` is chosen by whoever wrote it; `at` is the cook's clock, epoch ms. */
export type Entry = { id: string; at: number; jobId?: string } & Writer & EntryBody;

/** A line of the log as it stands after undo and corrections. */
export interface LogLine {
  /** Id of its entry. */
  id: string;
  /** Cook's clock, epoch ms. */
  at: number;
  /** The job that it did; left out when it did none. */
  jobId?: string;
  /** What it says. */
  body: Extract<
    EntryBody,
    { kind: 'act' | 'note' | 'job' | 'skip' | 'read' | 'look' | 'add-food' }
  >;
  /** Whether its time was corrected. */
  corrected: boolean;
  /** Who wrote it; left out where that is not known. */
  by?: string;
}

export interface Log {
  /** The lines that hold, in order of time. */
  lines: LogLine[];
  /** When it was finished, cook's clock, epoch ms; null while it goes on. */
  finishedAt: number | null;
  /** When people sit down, epoch ms, where that was moved; null where it is as planned. */
  serveMs: number | null;
  /** At what a piece is to be called, C, by its id; pieces that are not are left out. */
  callAtC: ReadonlyMap<string, number>;
  /** Whether it is a practice cook with surprises. */
  hasSurprises: boolean;
  /** Ids of the jobs that were done. */
  jobsDone: ReadonlySet<string>;
}

/** An entry that makes a line of the log. */
type LineEntry = Entry & LogLine['body'];

const LINE_KINDS: readonly Entry['kind'][] = [
  'act',
  'note',
  'job',
  'skip',
  'read',
  'look',
  'add-food',
];
const isLine = (e: Entry): e is LineEntry => LINE_KINDS.includes(e.kind);

/** Ids of the entries that were taken back. */
export const undoneIds = (entries: readonly Entry[]): ReadonlySet<string> =>
  new Set(entries.flatMap((e) => (e.kind === 'undo' ? [e.target] : [])));

/** The entry that ended the cook; null while it goes on, and where that was taken back. */
export function finishOf(entries: readonly Entry[], undone = undoneIds(entries)): Entry | null {
  return entries.findLast((e) => e.kind === 'finish' && !undone.has(e.id)) ?? null;
}

/** What the entries amount to, in order of time. Entries may arrive in any order; targets must exist. */
export function foldLog(entries: readonly Entry[]): Log {
  const undone = undoneIds(entries);
  const finish = finishOf(entries, undone);
  const lines = new Map<string, LogLine>();
  let finishedAt = finish?.at ?? null;
  let serve: { at: number; to: number } | null = null;
  const calls: CallAt[] = [];
  for (const e of entries) {
    if (undone.has(e.id)) continue;
    if (isLine(e)) {
      lines.set(e.id, {
        id: e.id,
        at: e.at,
        jobId: e.jobId,
        body: e,
        corrected: false,
        ...(e.by ? { by: e.by } : {}),
      });
    } else if (e.kind === 'serve-at' && (!serve || e.at >= serve.at)) serve = e;
    else if (e.kind === 'call-at') calls.push(e);
  }
  for (const e of entries) {
    if (e.kind !== 'retime' || undone.has(e.id)) continue;
    const logLine = lines.get(e.target);
    if (logLine) {
      logLine.at = e.to;
      logLine.corrected = true;
    } else if (e.target === finish?.id) finishedAt = e.to;
  }
  const sorted = [...lines.values()].sort((a, b) => a.at - b.at);
  const jobsDone = new Set(sorted.flatMap((l) => (l.jobId ? [l.jobId] : [])));
  return {
    lines: sorted,
    finishedAt,
    serveMs: serve?.to ?? null,
    callAtC: callsAtC(calls),
    hasSurprises: entries.some((e) => e.kind === 'surprises' && !undone.has(e.id)),
    jobsDone,
  };
}

type CallAt = Extract<Entry, { kind: 'call-at' }>;

/** At what each piece is to be called, C: what was said last. */
function callsAtC(calls: readonly CallAt[]): ReadonlyMap<string, number> {
  const last = new Map([...calls].sort((a, b) => a.at - b.at).map(({ meat, c }) => [meat, c]));
  return new Map([...last].filter((e): e is [string, number] => e[1] !== null));
}

/** Both vents as they were last set; null when they never were. */
export function lastVents(lines: readonly LogLine[]): Extract<PlanLog, { do: 'set-vents' }> | null {
  for (const { body } of [...lines].reverse()) {
    if (body.kind === 'act' && body.action.do === 'set-vents') return body.action;
  }
  return null;
}

/** When something was first done, to `meat` where that is named, epoch ms; null where it was not. */
export const deedAtMs = (
  log: Pick<Log, 'lines'>,
  what: PlanLog['do'],
  meat?: string,
): number | null =>
  log.lines.find(({ body }) =>
    deedsOfLine(body).some(
      (a) => a.do === what && (meat === undefined || ('meat' in a && a.meat === meat)),
    ),
  )?.at ?? null;

/** The last line that did something; undefined where none did. */
export const lastDeed = (log: Pick<Log, 'lines'>, what: PlanLog['do']): LogLine | undefined =>
  log.lines.findLast(({ body }) => deedsOfLine(body).some((a) => a.do === what));

/** Jobs that were not done, in the order of the plan; the first is the next one. */
export const jobsAhead = (plan: { jobs: readonly PlanJob[] }, log: Log): PlanJob[] =>
  plan.jobs.filter((j) => !log.jobsDone.has(j.id));

/** When the fire was lit on the cook's clock: the line that did the job "light". Null before that. */
export const litAtMs = (log: Log): number | null =>
  log.lines.find((l) => l.jobId === 'light')?.at ?? null;

/** What a line did to the pit. */
export function deedsOfLine(body: LogLine['body']): PlanLog[] {
  if (body.kind === 'act') return [body.action];
  return body.kind === 'add-food' ? puttingOn(body.food) : [];
}

/** The pieces that a line is about: done to, read or felt; empty where it is about the pit. Added food names itself. */
export function piecesOfLine({ body }: Pick<LogLine, 'body'>): string[] {
  if (body.kind === 'act') return 'meat' in body.action ? [body.action.meat] : [];
  return 'meat' in body && body.meat !== undefined ? [body.meat] : [];
}

/** Putting one more piece on: under an open lid. */
export const puttingOn = ({ id }: MeatSpec): PlanLog[] => [
  { do: 'lid-open', seconds: USUAL_LID_S },
  { do: 'meat-on', meat: id },
];

/** The physics of a log: its actions in minutes after `startMs`. */
export function actionsOf(log: Log, startMs: number): Action[] {
  return log.lines.flatMap(({ at, body }) => {
    const atMin = Math.max(0, (at - startMs) / MINUTE_MS);
    return deedsOfLine(body).map((action) => ({ ...action, atMin }));
  });
}

/** Problem with adding `entry` to `entries`, or null. Says which field is wrong. */
export function entryProblem(
  entries: readonly Entry[],
  entry: Entry,
): { field: string; message: string } | null {
  if (entry.kind !== 'undo' && entry.kind !== 'retime') return null;
  const target = entries.find((e) => e.id === entry.target);
  if (!target) return { field: 'target', message: 'no entry of this cook has that id' };
  if (target.kind === 'undo') return { field: 'target', message: 'an undo cannot be undone' };
  if (entry.kind === 'retime' && !isLine(target) && target.kind !== 'finish') {
    return { field: 'target', message: `the time of a ${target.kind} cannot be changed` };
  }
  return null;
}

/** Two phones that log the like within this time may mean the same, ms. */
const SAME_THING_MS = MINUTE_MS;

/**
 * The entry that was written of the same thing before: of the same job at any time, on another device or by another touch
 * on this one, or the same deed within a minute on another device. Null where there is none, where it was taken back, or
 * where a device is not known.
 */
export function alreadyLogged(entries: readonly Entry[], entry: Entry): Entry | null {
  if (!entry.device || (entry.kind !== 'act' && entry.kind !== 'job')) return null;
  const undone = undoneIds(entries);
  return (
    entries.find(
      (e) =>
        e.id !== entry.id &&
        !undone.has(e.id) &&
        e.device !== undefined &&
        ((entry.jobId !== undefined && e.jobId === entry.jobId && !isOneTouch(e, entry)) ||
          (e.device !== entry.device &&
            Math.abs(e.at - entry.at) <= SAME_THING_MS &&
            isSameDeed(e, entry))),
    ) ?? null
  );
}

/** Whether two entries are parts of one touch: a job may log several deeds, no two of them the same. */
const isOneTouch = (a: Entry, b: Entry): boolean =>
  a.device === b.device && a.at === b.at && !isSameDeed(a, b);

/** Whether two entries tell of the like: the same deed to the same piece, with vents to the same openings. */
function isSameDeed(a: Entry, b: Entry): boolean {
  if (a.kind !== 'act' || b.kind !== 'act' || a.action.do !== b.action.do) return false;
  const [x, y] = [a.action, b.action];
  if ('meat' in x && 'meat' in y && x.meat !== y.meat) return false;
  if (x.do === 'set-vents' && y.do === 'set-vents') {
    return x.intakeFraction === y.intakeFraction && x.exhaustFraction === y.exhaustFraction;
  }
  return !(x.do === 'add-fuel' && y.do === 'add-fuel') || x.fuel === y.fuel;
}
