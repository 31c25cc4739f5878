/**
 * The outbox of this browser: every tap is kept before it is shown as logged, sent once from whatever page is open,
 * and never let go without its writer.
 */
import { ROUTES } from '@ostrin/contract/types';
import type { Entry } from '@ostrin/core/log';
import { create } from 'zustand';
import { HttpError, requestJson, ServerUnreachable } from '../api/http';
import { inOneTab } from '../connection/lock';
import { hearTabs, tellTabs } from '../connection/tabs';
import type { Refusal, Tap } from './tap';
import { allTaps, changeTap, forgetTap, keepTaps, type Keeping } from './tapStore';

interface Outbox {
  /** Taps that have not been sent, in the order in which they were made. */
  taps: Tap[];
  /** Where they are kept. */
  keeping: Keeping;
}

export const useOutbox = create<Outbox>(() => ({ taps: [], keeping: 'disk' }));

/** What is told when taps have reached the server, or it is away. */
interface Listener {
  sent(cookId: string, entries: Entry[]): void | Promise<void>;
  away(): void;
}
let listener: Listener = { sent: () => undefined, away: () => undefined };

/** Taps that wait to be sent for a cook, and those set aside. */
export const waitingOf = (taps: readonly Tap[], cookId: string | null): Tap[] =>
  taps.filter((t) => t.cookId === cookId && t.refused === null);

/** Reads what is kept, hears the other tabs and sends from now on. Returns how to stop. */
export function openOutbox(to: Listener): () => void {
  listener = to;
  const stop = hearTabs((message) => {
    if (message.type === 'taps') void readTaps();
    else if (message.type === 'sent') void to.sent(message.cookId, message.entries);
  });
  const wake = (): void => void sendTaps();
  globalThis.addEventListener('online', wake);
  globalThis.addEventListener('visibilitychange', wake);
  void takeOverOldTaps().then(readTaps).then(wake);
  return () => {
    stop();
    globalThis.removeEventListener('online', wake);
    globalThis.removeEventListener('visibilitychange', wake);
    if (again) clearTimeout(again);
    again = null;
  };
}

/** Where an earlier version of this app kept its taps: one text for all of them. */
const OLD_TAPS = 'ostrin-waiting';

/** Takes over what an earlier version of this app had not sent. */
async function takeOverOldTaps(): Promise<void> {
  const text = localStorage.getItem(OLD_TAPS);
  if (text === null) return;
  type Old = { state?: { waiting?: { cookId: string; entry: Entry }[] } };
  const waiting = (JSON.parse(text) as Old).state?.waiting ?? [];
  for (const { cookId, entry } of waiting) {
    const tap = { cookId, cookName: '', entry, refused: null, failures: 0 };
    if ((await keepTaps([tap])).keeping === 'memory') return;
  }
  localStorage.removeItem(OLD_TAPS);
}

async function readTaps(): Promise<void> {
  const taps = await allTaps();
  useOutbox.setState({ taps });
}

/** After a change: this page and all tabs see it. */
async function changed(): Promise<void> {
  await readTaps();
  tellTabs({ type: 'taps' });
}

/** Keeps entries of a cook, all or none, and sends them. Returns those that are new: none where the job was done. */
export async function keepEntries(
  cook: { id: string; name: string },
  entries: readonly Entry[],
): Promise<Entry[]> {
  const taps = entries.map((entry): Tap => ({
    cookId: cook.id,
    cookName: cook.name,
    entry,
    refused: null,
    failures: 0,
  }));
  const { kept, keeping } = await keepTaps(taps);
  useOutbox.setState((s) => ({ keeping: keeping === 'memory' ? 'memory' : s.keeping }));
  await changed();
  void sendTaps();
  return kept.map((t) => t.entry);
}

/** What its writer can decide about a tap that was refused. */
type Decision = 'send' | 'discard' | { note: Entry };

/** Carries out what was decided about a refused tap. */
export async function decide(tap: Tap, decision: Decision): Promise<void> {
  if (decision === 'discard') await forgetTap(tap);
  else if (decision === 'send') {
    await changeTap({ ...tap, refused: null, confirmed: true, failures: 0 });
  } else await changeTap({ ...tap, entry: decision.note, refused: null, failures: 0 });
  await changed();
  void sendTaps();
}

/** A send that failed is tried again after this long, and each time after twice as long, ms. */
const AGAIN_MS = { first: 1_500, most: 30_000 };
/** A tap on which the server failed so often lets the others of its cook pass; it goes on being tried. */
const MOST_FAILURES = 5;

let again: ReturnType<typeof setTimeout> | null = null;
let waitMs = AGAIN_MS.first;
let sending: Promise<void> | null = null;
let askedMeanwhile = false;

/** Sends what waits, each cook in order, one tab at a time. Resolves when nothing more can be sent now. */
export function sendTaps(): Promise<void> {
  if (sending) {
    askedMeanwhile = true;
    return sending;
  }
  sending = (async () => {
    do {
      askedMeanwhile = false;
      if (useOutbox.getState().taps.every((t) => t.refused !== null)) await readTaps();
      if (useOutbox.getState().taps.some((t) => t.refused === null)) {
        await inOneTab('send', sendAll);
      }
    } while (askedMeanwhile);
  })().finally(() => {
    sending = null;
  });
  return sending;
}

/** How the sending of one tap ended. */
type Ended = 'sent' | 'set aside' | 'it waits' | 'this cook waits' | 'all wait';

/** Taps that go in one request at most: the server's own limit is 200. */
const MOST_TOGETHER = 100;

/** Taps as they are sent: those of one cook together, in order, as long as none of them was confirmed on its own. */
function together(taps: readonly Tap[]): Tap[][] {
  const groups: Tap[][] = [];
  for (const tap of taps) {
    const last = groups.at(-1);
    const joins =
      last &&
      last.length < MOST_TOGETHER &&
      last[0]!.cookId === tap.cookId &&
      !tap.confirmed &&
      !last[0]!.confirmed;
    if (joins) last.push(tap);
    else groups.push([tap]);
  }
  return groups;
}

async function sendAll(): Promise<void> {
  const taps = (await allTaps()).filter((t) => t.refused === null);
  const stopped = new Set<string>();
  let left = false;
  for (const group of together(taps)) {
    const { cookId } = group[0]!;
    if (stopped.has(cookId)) {
      left = true;
      continue;
    }
    const ended = await sendGroup(group);
    if (ended === 'this cook waits') stopped.add(cookId);
    left ||= ended !== 'sent' && ended !== 'set aside';
    if (ended === 'all wait') break;
  }
  await changed();
  if (!left) {
    waitMs = AGAIN_MS.first;
    return;
  }
  again ??= setTimeout(() => {
    again = null;
    void sendTaps();
  }, waitMs);
  waitMs = Math.min(2 * waitMs, AGAIN_MS.most);
}

/** Sends taps of one cook in one request, and one by one where the server fails on them: one of them is the cause. */
async function sendGroup(group: readonly Tap[]): Promise<Ended> {
  if (group.length > 1) {
    const ended = await send(group, (error) =>
      isOfOneTap(error) ? null : notSent(group[0]!, error),
    );
    if (ended !== null) return ended;
  }
  let worst: Ended = 'sent';
  for (const tap of group) {
    const ended = await send([tap], (error) => notSent(tap, error));
    if (ended === 'this cook waits' || ended === 'all wait') return ended;
    if (ended === 'it waits') worst = ended;
  }
  return worst;
}

/** Whether a request failed by what is in it, and not because the server is away or busy. */
const isOfOneTap = (error: unknown): boolean =>
  error instanceof HttpError && !NOT_NOW.has(error.status);

async function send<T>(
  taps: readonly Tap[],
  otherwise: (error: unknown) => T,
): Promise<Ended | Awaited<T>> {
  const { cookId, confirmed } = taps[0]!;
  const entries = taps.map((t) => t.entry);
  try {
    const body = { entries, ...(confirmed ? { confirmed } : {}) };
    await requestJson(ROUTES.entries(cookId), 'POST', body);
  } catch (error) {
    return await otherwise(error);
  }
  // First they are known as sent, then they are let go: between the two they are in both places, never in none.
  await listener.sent(cookId, entries);
  for (const tap of taps) await forgetTap(tap);
  tellTabs({ type: 'sent', cookId, entries });
  return 'sent';
}

/** The server asks to be left alone for a while, does not know who asks, or is of another version. */
const NOT_NOW = new Set([401, 408, 425, 426, 429, 503]);

async function notSent(tap: Tap, error: unknown): Promise<Ended> {
  if (error instanceof ServerUnreachable) {
    listener.away();
    return 'all wait';
  }
  if (!(error instanceof HttpError)) throw error;
  if (NOT_NOW.has(error.status)) return 'all wait';
  if (error.status < 500) return setAside(tap, refusalOf(error));
  const failures = tap.failures + 1;
  await changeTap({ ...tap, failures });
  return failures < MOST_FAILURES ? 'this cook waits' : 'it waits';
}

async function setAside(tap: Tap, refused: Refusal): Promise<Ended> {
  await changeTap({ ...tap, refused });
  return 'set aside';
}

const refusalOf = ({ status, message, problem }: HttpError): Refusal => {
  const { already, confirmable } = problem;
  return {
    status,
    reason: message,
    ...(confirmable ? { confirmable } : {}),
    ...(already ? { already } : {}),
  };
};
