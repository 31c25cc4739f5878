/** Cooks: begin, look at, log into, watch, take out. */
import { validate, ClockDto, ProbeDto, readEntries, type NewCook } from '@ostrin/contract';
import { alreadyLogged, foldLog, type Entry } from '@ostrin/core/log';
import { DAY_MS, epochOf, MINUTE_MS } from '@ostrin/core/quantity';
import { isUUID } from 'class-validator';
import { Router } from 'express';
import isEqual from 'lodash/isEqual.js';
import { deviceOf } from '../access/guard';
import { invalid, Problem } from '../http/problems';
import type { CookClocks } from '../live/cookClocks';
import type { Hub } from '../live/hub';
import { moveProbe } from '../live/probePlaces';
import type { InTurn } from '../live/inTurn';
import { addAfterwards } from './afterwards';
import { addExports } from './cookFiles';
import { headOf } from './cookHead';
import type { CookStore } from '../store/cooks';
import type { CookHead } from '../store/heads';
import type { InstrumentStore } from '../store/instruments';
import { onSamePit, type PitRef } from '../store/pitOf';
import type { Pools } from '../workers/pools';

/** The cook's clock begins this long before its first job, so that one sees it coming. */
const LEAD_MIN = 2;

/** What the routes of cooks work with. */
export interface CookServices {
  store: CookStore;
  instruments: InstrumentStore;
  clocks: CookClocks;
  hub: Hub;
  pools: Pools;
  /** Checks of cooks and the writes that belong to them wait for each other here. */
  inTurn: InTurn;
}

/** Routes that begin cooks. Plans are large: the body is a text that a worker reads. */
export function beginRoutes(services: CookServices): Router {
  const router = Router();
  const { pools, inTurn, hub } = services;
  const beginAll = async (cooks: NewCook[]): Promise<boolean> => {
    const begun = await inTurn(() => begin(services, cooks));
    if (begun) hub.tell({ type: 'changed', what: 'cooks' });
    return begun;
  };
  router.post('/', async (req, res) => {
    const cooks = await pools.readBeginnings(req.body as string);
    const begun = await beginAll(cooks);
    res.status(begun ? 201 : 200).json({ ids: cooks.map((c) => c.id) });
  });
  router.put('/:id', async (req, res) => {
    const { id } = req.params;
    if (!isUUID(id)) throw invalid([{ field: 'id', message: 'must be a UUID' }]);
    const cook = await pools.readBeginning(req.body as string);
    const begun = await beginAll([{ id, ...cook }]);
    res.status(begun ? 201 : 200).json({ id });
  });
  return router;
}

/** The other routes under /api/cooks. */
export function cookRoutes(services: CookServices): Router {
  const router = Router();
  const { clocks, hub, inTurn } = services;
  addReads(router, services);
  addExports(router, services);
  addAfterwards(router, services);
  router.post('/:id/entries', async (req, res) => {
    const { added, entries } = await inTurn(async () =>
      append(services, await headOf(services, req), req.body, deviceOf(req)?.name),
    );
    res.status(added ? 201 : 200).json({ stored: entries.map((e) => e.id) });
  });
  router.post('/:id/probes', async (req, res) => {
    const checked = validate(ProbeDto, req.body);
    if (!checked.ok) throw invalid(checked.problems);
    await moveProbe(services, await headOf(services, req), checked.value);
    res.json({ ok: true });
  });
  router.put('/:id/clock', async (req, res) => {
    const head = await headOf(services, req);
    const checked = validate(ClockDto, req.body);
    if (!checked.ok) throw invalid(checked.problems);
    const { speed, skipTo } = checked.value;
    if (head.fire === 'real' && speed !== 1) {
      throw invalid([{ field: 'speed', message: 'must be 1: a real fire goes by the real clock' }]);
    }
    if (skipTo !== undefined) refuseSkip(head, clocks.clock(head).cookMs, skipTo);
    if (!(await clocks.setSpeed(head.id, speed, skipTo))) {
      throw new Problem(409, 'This cook is finished');
    }
    const clock = clocks.clock(head);
    hub.tell({ type: 'clock', cookId: head.id, clock });
    res.json(clock);
  });
  return router;
}

/** A practice clock skips this far at most, ms: its pit is simulated all the way. */
const MOST_SKIPPED_MS = DAY_MS;

/** Throws 422 where a clock cannot skip there. */
function refuseSkip(head: CookHead, nowMs: number, skipTo: number): void {
  const message =
    head.fire === 'real'
      ? 'has no place with a real fire: it goes by the real clock'
      : skipTo < nowMs
        ? 'must not lie before the clock of the cook'
        : skipTo > nowMs + MOST_SKIPPED_MS
          ? 'must lie within a day of the clock of the cook'
          : null;
  if (message) throw invalid([{ field: 'skipTo', message }]);
}

/** The list, one whole cook, and its events. */
function addReads(router: Router, services: CookServices): void {
  const { store, clocks, hub } = services;
  router.get('/', async (_req, res) => {
    res.json(await store.list());
  });
  router.get('/:id', async (req, res) => {
    const head = await headOf(services, req);
    const doc = await store.unread(head);
    const { readings, inSteps } = await store.readingsGiven(head);
    const { finishedAt, fire } = head;
    const instruments = await store.instruments(head.id);
    const clock = clocks.clock(head);
    const long = inSteps ? { inSteps } : {};
    res.json({ ...doc, readings, ...long, fire, finishedAt, instruments, clock });
  });
  router.get('/:id/events', async (req, res) => {
    const head = await headOf(services, req);
    hub.watch(head.id, req, res, deviceOf(req)?.id);
  });
}

/**
 * Begins cooks under ids of the caller's, all or none. False where these very cooks are there already; some of
 * them may be, when a request is made again.
 */
async function begin({ store, clocks }: CookServices, cooks: NewCook[]): Promise<boolean> {
  const running = await store.running();
  const heads: CookHead[] = [];
  for (const cook of cooks) {
    const known = await store.head(cook.id);
    if (known) {
      const { name, pitName, plan, fire } = known;
      if (isEqual({ id: cook.id, name, pitName, plan, fire }, { fire: 'practice', ...cook }))
        continue;
      throw new Problem(409, 'Another cook has that id');
    }
    const pit = await store.pitNamed(cook.pitName);
    // A practice cook is in nobody's way but another's.
    const busy = running.find((c) => onSamePit(c, pit) && c.fire === (cook.fire ?? 'practice'));
    if (busy) {
      throw new Problem(409, `${cook.pitName} is still cooking: finish ${busy.name} first`, [
        { field: 'pitName', message: `is in use by ${busy.name}` },
      ]);
    }
    heads.push(newHead(cook, pit, clocks.realMs()));
  }
  if (heads.length === 0) return false;
  await store.createAll(heads);
  for (const head of heads) await clocks.take(head);
  return true;
}

/** A cook as it begins: on a real fire by the real clock, else some minutes before its first job. */
function newHead(cook: NewCook, pit: PitRef, realMs: number): CookHead {
  const { plan } = cook;
  const startMs = epochOf(plan.lightAt, plan.request.timeZone);
  const first = Math.min(...plan.jobs.map((j) => j.atMin), 0);
  return {
    fire: 'practice',
    ...cook,
    ...pit,
    startMs,
    finishedAt: null,
    clockMs: cook.fire === 'real' ? realMs : startMs + (first - LEAD_MIN) * MINUTE_MS,
    speed: 1,
  };
}

/** Adds entries to a cook's log, written by whoever is signed in; those that are there already are passed over. */
async function append(services: CookServices, head: CookHead, body: unknown, by?: string) {
  const { store, clocks, hub } = services;
  const existing = await store.entries(head.id);
  const checked = readEntries(body, { ...head, entries: existing });
  if (!checked.ok) throw invalid(checked.problems);
  // Who is signed in is who wrote it, whatever the entry says.
  const entries = by ? checked.value.entries.map((e) => ({ ...e, by })) : checked.value.entries;
  const { confirmed } = checked.value;
  const ids = new Set(existing.map((e) => e.id));
  const fresh = entries.filter((e, i) => !ids.has(e.id) && firstOf(entries, e) === i);
  await refuseUsedIds(store, head.id, entries, existing, fresh);
  if (!confirmed) {
    refuseOthers(checked.value.entries, fresh, by);
    refuseUnasked(head, existing, fresh);
  }
  if (fresh.length === 0) return { added: false, entries };
  const all = [...existing, ...fresh];
  const { finishedAt } = foldLog(all);
  if (head.finishedAt !== null && finishedAt === null) await refuseTakenPit(store, head);
  const finishes = head.finishedAt === null && finishedAt !== null;
  const clockMs = finishes ? clocks.release(head.id) : null;
  try {
    await store.append(head.id, fresh, { finishedMs: finishedAt, clockMs });
  } catch (error) {
    // A cook whose finish could not be stored goes on.
    if (clockMs !== null) await clocks.take({ ...head, clockMs });
    throw error;
  }
  if (finishedAt !== null) await store.refreshGlance(head, all);
  hub.tell({ type: 'entries', cookId: head.id, entries: fresh });
  if (finishedAt === null && head.finishedAt !== null) {
    // Its finish was taken back: it goes on from where its clock stood.
    await clocks.take({ ...head, finishedAt: null });
  } else clocks.changed(head.id, all);
  if (finishedAt !== head.finishedAt) {
    const clock = clocks.clock({ ...head, finishedAt });
    hub.tell({ type: 'clock', cookId: head.id, clock });
  }
  if (finishedAt !== null || head.finishedAt !== null) {
    hub.tell({ type: 'changed', what: 'cooks' });
  }
  return { added: true, entries };
}

/** Where an entry's id stands first in a list. */
const firstOf = (entries: readonly Entry[], { id }: Entry): number =>
  entries.findIndex((e) => e.id === id);

/** Throws 409 for an id that was used for something else. */
async function refuseUsedIds(
  store: CookStore,
  cookId: string,
  entries: Entry[],
  existing: Entry[],
  fresh: Entry[],
): Promise<void> {
  const errors = entries.flatMap((e, i) => {
    const before = existing.find((x) => x.id === e.id) ?? entries[firstOf(entries, e)];
    return before && before !== e && !isEqual({ ...before, by: '' }, { ...e, by: '' })
      ? [{ field: `entries[${i}].id`, message: 'was used for something else' }]
      : [];
  });
  const foreign = await store.foreignEntries(
    cookId,
    fresh.map((e) => e.id),
  );
  for (const id of foreign) {
    errors.push({ field: 'entries', message: `${id} belongs to another cook` });
  }
  if (errors.length > 0) throw new Problem(409, 'An id was used twice', errors);
}

/** Throws 409 where what somebody else logged on this device is about to be stored under the name of who is signed in. */
function refuseOthers(sent: readonly Entry[], fresh: readonly Entry[], by?: string): void {
  const other = sent.find(
    (e) =>
      by !== undefined && e.by !== undefined && e.by !== by && fresh.some((f) => f.id === e.id),
  );
  if (!other) return;
  throw new Problem(
    409,
    `${other.by} logged this on this device, and ${by} is signed in now`,
    [{ field: 'entries', message: `were written by ${other.by}` }],
    { confirmable: true },
  );
}

/** Throws 409 for what somebody has to be asked about: deeds after the finish, and what another device just logged. */
function refuseUnasked(head: CookHead, existing: Entry[], fresh: Entry[]): void {
  const { finishedAt } = head;
  if (finishedAt !== null) {
    const late = fresh.some(
      (e) => e.kind === 'finish' || ((e.kind === 'act' || e.kind === 'job') && e.at >= finishedAt),
    );
    if (late) throw new Problem(409, 'This cook is finished', [], { confirmable: true });
  }
  for (const e of fresh) {
    const already = alreadyLogged(existing, e);
    if (already) {
      throw new Problem(409, 'The same was logged before', [], { already, confirmable: true });
    }
  }
}

/** Throws 409 where a finish cannot be taken back since its pit is in use. */
async function refuseTakenPit(store: CookStore, head: CookHead): Promise<void> {
  const busy = (await store.running()).find((c) => onSamePit(c, head) && c.fire === head.fire);
  if (busy) {
    throw new Problem(409, `${head.pitName} is cooking ${busy.name}: this cook cannot go on`, [
      { field: 'entries', message: `the finish cannot be taken back while ${busy.name} is on` },
    ]);
  }
}
