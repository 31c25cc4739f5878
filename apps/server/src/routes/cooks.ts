/** Cooks: begin, look at, log into, watch, take out. */
import {
  actionsCsv,
  validate,
  ClockDto,
  readEntries,
  readingsCsv,
  readNewCook,
  type LiveEvent,
} from '@ostrin/contract';
import { epochOf, foldLog, MINUTE_MS, type Entry } from '@ostrin/core';
import { isUUID } from 'class-validator';
import { Router, type Request } from 'express';
import type { Hub } from '../live/hub';
import type { CookClocks } from '../live/cookClocks';
import { invalid, missing, Problem } from '../problems';
import type { CookHead, CookStore } from '../store/cooks';

/** The cook's clock begins this long before its first job, so that one sees it coming. */
const LEAD_MIN = 2;

/** What the routes of cooks work with. */
export interface CookServices {
  store: CookStore;
  clocks: CookClocks;
  hub: Hub;
}

/** Routes under /api/cooks. */
export function cookRoutes(services: CookServices): Router {
  const router = Router();
  const inTurn = oneAfterAnother();
  addReads(router, services);
  addExports(router, services);
  router.put('/:id', async (req, res) => {
    const created = await inTurn(() => begin(services, String(req.params.id), req.body));
    res.status(created ? 201 : 200).json({ id: req.params.id });
  });
  router.post('/:id/entries', async (req, res) => {
    const head = await headOf(services, req);
    const { added, entries } = await inTurn(() => append(services, head, req.body));
    res.status(added.length > 0 ? 201 : 200).json({ stored: entries.map((e) => e.id) });
  });
  router.put('/:id/clock', async (req, res) => {
    const { clocks, hub } = services;
    const head = await headOf(services, req);
    const checked = validate(ClockDto, req.body);
    if (!checked.ok) throw invalid(checked.problems);
    if (!(await clocks.setSpeed(head.id, checked.value.speed))) {
      throw new Problem(409, 'This cook is finished');
    }
    const event: LiveEvent = { type: 'clock', clock: clocks.clock(head) };
    hub.tell(head.id, event);
    res.json(event.clock);
  });
  return router;
}

/** Writes to one database queue up behind each other, so that a check and its write belong together. */
function oneAfterAnother() {
  let turn: Promise<unknown> = Promise.resolve();
  return <T>(work: () => Promise<T>): Promise<T> => {
    const mine = turn.then(work, work);
    turn = mine.catch(() => undefined);
    return mine;
  };
}

/** The cook that a request names. Throws 404 where there is none. */
async function headOf({ store }: CookServices, req: Request): Promise<CookHead> {
  const head = await store.head(String(req.params.id));
  if (!head) throw missing('cook');
  return head;
}

/** The list, one whole cook, and its events. */
function addReads(router: Router, services: CookServices): void {
  const { store, clocks, hub } = services;
  router.get('/', async (_req, res) => {
    res.json(await store.list());
  });
  router.get('/:id', async (req, res) => {
    const head = await headOf(services, req);
    const doc = await store.doc(head.id);
    res.json({ ...doc, finishedAt: head.finishedAt, clock: clocks.clock(head) });
  });
  router.get('/:id/events', async (req, res) => {
    const head = await headOf(services, req);
    hub.watch(head.id, res, { type: 'hello', clock: clocks.clock(head) });
  });
}

/** The cook as files. */
function addExports(router: Router, services: CookServices): void {
  const { store } = services;
  router.get('/:id/cook.json', async (req, res) => {
    const head = await headOf(services, req);
    res.attachment(`${fileName(head)}.json`).json(await store.doc(head.id));
  });
  router.get('/:id/readings.csv', async (req, res) => {
    const head = await headOf(services, req);
    res.attachment(`${fileName(head)}-readings.csv`).type('text/csv');
    res.send(readingsCsv(await store.readings(head.id)));
  });
  router.get('/:id/actions.csv', async (req, res) => {
    const head = await headOf(services, req);
    const doc = await store.doc(head.id);
    res.attachment(`${fileName(head)}-actions.csv`).type('text/csv');
    res.send(actionsCsv(doc!));
  });
}

const fileName = (head: CookHead): string =>
  head.name
    .replace(/[^A-Za-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .toLowerCase() || 'cook';

/** Begins a cook under an id of the caller's. False where that very cook is there already. */
async function begin({ store, clocks }: CookServices, id: string, body: unknown): Promise<boolean> {
  if (!isUUID(id)) throw invalid([{ field: 'id', message: 'must be a UUID' }]);
  const checked = readNewCook(body);
  if (!checked.ok) throw invalid(checked.problems);
  const { name, pitName, plan } = checked.value;
  const known = await store.head(id);
  if (known) {
    if (known.name === name && known.plan.serveAt === plan.serveAt) return false;
    throw new Problem(409, 'Another cook has that id');
  }
  const busy = (await store.running()).find((c) => c.pitName === pitName);
  if (busy) {
    throw new Problem(409, `${pitName} is still cooking: finish ${busy.name} first`, [
      { field: 'pitName', message: `is in use by ${busy.name}` },
    ]);
  }
  const startMs = epochOf(plan.lightAt, plan.request.timeZone);
  const first = Math.min(...plan.jobs.map((j) => j.atMin), 0);
  const head: CookHead = {
    id,
    name,
    pitName,
    startMs,
    finishedAt: null,
    plan,
    clockMs: startMs + (first - LEAD_MIN) * MINUTE_MS,
    speed: 1,
  };
  await store.create(head);
  await clocks.take(head);
  return true;
}

/** Adds entries to a cook's log; those that are there already are passed over. */
async function append({ store, clocks, hub }: CookServices, head: CookHead, body: unknown) {
  const existing = await store.entries(head.id);
  const checked = readEntries(body, existing);
  if (!checked.ok) throw invalid(checked.problems);
  const entries = checked.value;
  const ids = new Set(existing.map((e) => e.id));
  const fresh = entries.filter((e) => !ids.has(e.id));
  await refuse(store, head, entries, existing, fresh);
  const all = [...existing, ...fresh];
  const finishedAt = foldLog(all).finishedAt;
  const added = await store.append(head.id, fresh, finishedAt);
  if (added.length > 0) {
    clocks.changed(head.id, all);
    hub.tell(head.id, { type: 'entries', entries: added });
  }
  if (finishedAt !== null) {
    clocks.release(head.id);
    const done = { ...head, finishedAt };
    hub.tell(head.id, { type: 'clock', clock: clocks.clock(done) });
  }
  return { added, entries };
}

/** Throws 409 for an id that was used for something else, and for actions in a finished cook. */
async function refuse(
  store: CookStore,
  head: CookHead,
  entries: Entry[],
  existing: Entry[],
  fresh: Entry[],
): Promise<void> {
  const errors = entries.flatMap((e, i) => {
    const before = existing.find((x) => x.id === e.id);
    return before && JSON.stringify(sorted(before)) !== JSON.stringify(sorted(e))
      ? [{ field: `entries[${i}].id`, message: 'was used for something else' }]
      : [];
  });
  const foreign = await store.foreignEntries(
    head.id,
    fresh.map((e) => e.id),
  );
  for (const id of foreign) {
    errors.push({ field: 'entries', message: `${id} belongs to another cook` });
  }
  if (errors.length > 0) throw new Problem(409, 'An id was used twice', errors);
  // A finished cook can still be put right and annotated, but nothing more is done in it.
  if (head.finishedAt !== null && fresh.some((e) => e.kind === 'act' || e.kind === 'finish')) {
    throw new Problem(409, 'This cook is finished');
  }
}

/** An entry with its fields in one order, for comparing. */
const sorted = (entry: Entry): unknown =>
  JSON.parse(
    JSON.stringify(entry, (_key, value: unknown) =>
      value && typeof value === 'object' && !Array.isArray(value)
        ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
        : value,
    ),
  );
