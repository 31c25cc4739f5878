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

/** Routes under /api/cooks. */
export function cookRoutes(store: CookStore, keeper: CookClocks, hub: Hub): Router {
  const router = Router();
  // Writes to one database queue up behind each other, so that a check and its write belong together.
  let turn: Promise<unknown> = Promise.resolve();
  const inTurn = <T>(work: () => Promise<T>): Promise<T> => {
    const mine = turn.then(work, work);
    turn = mine.catch(() => undefined);
    return mine;
  };

  const headOf = async (req: Request): Promise<CookHead> => {
    const head = await store.head(String(req.params.id));
    if (!head) throw missing('cook');
    return head;
  };

  router.get('/', async (_req, res) => {
    res.json(await store.list());
  });

  router.get('/:id', async (req, res) => {
    const head = await headOf(req);
    const doc = await store.doc(head.id);
    res.json({ ...doc, finishedAt: head.finishedAt, clock: keeper.clock(head) });
  });

  router.put('/:id', async (req, res) => {
    const id = String(req.params.id);
    if (!isUUID(id)) throw invalid([{ field: 'id', message: 'must be a UUID' }]);
    const checked = readNewCook(req.body);
    if (!checked.ok) throw invalid(checked.problems);
    const { name, pitName, plan } = checked.value;
    const created = await inTurn(async () => {
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
      await keeper.take(head);
      return true;
    });
    res.status(created ? 201 : 200).json({ id });
  });

  router.post('/:id/entries', async (req, res) => {
    const head = await headOf(req);
    const { added, entries } = await inTurn(() => append(head, req.body));
    res.status(added.length > 0 ? 201 : 200).json({ stored: entries.map((e) => e.id) });
  });

  async function append(head: CookHead, body: unknown) {
    const existing = await store.entries(head.id);
    const checked = readEntries(body, existing);
    if (!checked.ok) throw invalid(checked.problems);
    const entries = checked.value;
    const ids = new Set(existing.map((e) => e.id));
    const fresh = entries.filter((e) => !ids.has(e.id));
    await refuse(head, entries, existing, fresh);
    const all = [...existing, ...fresh];
    const finishedAt = foldLog(all).finishedAt;
    const added = await store.append(head.id, fresh, finishedAt);
    if (added.length > 0) {
      keeper.changed(head.id, all);
      hub.tell(head.id, { type: 'entries', entries: added });
    }
    if (finishedAt !== null) {
      keeper.release(head.id);
      const done = { ...head, finishedAt };
      hub.tell(head.id, { type: 'clock', clock: keeper.clock(done) });
    }
    return { added, entries };
  }

  async function refuse(head: CookHead, entries: Entry[], existing: Entry[], fresh: Entry[]) {
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

  router.put('/:id/clock', async (req, res) => {
    const head = await headOf(req);
    const checked = validate(ClockDto, req.body);
    if (!checked.ok) throw invalid(checked.problems);
    if (!(await keeper.setSpeed(head.id, checked.value.speed))) {
      throw new Problem(409, 'This cook is finished');
    }
    const event: LiveEvent = { type: 'clock', clock: keeper.clock(head) };
    hub.tell(head.id, event);
    res.json(event.clock);
  });

  router.get('/:id/events', async (req, res) => {
    const head = await headOf(req);
    hub.watch(head.id, res, { type: 'hello', clock: keeper.clock(head) });
  });

  const fileName = (head: CookHead): string =>
    head.name
      .replace(/[^A-Za-z0-9]+/g, '-')
      .replace(/^-|-$/g, '')
      .toLowerCase() || 'cook';

  router.get('/:id/cook.json', async (req, res) => {
    const head = await headOf(req);
    res.attachment(`${fileName(head)}.json`).json(await store.doc(head.id));
  });

  router.get('/:id/readings.csv', async (req, res) => {
    const head = await headOf(req);
    res.attachment(`${fileName(head)}-readings.csv`).type('text/csv');
    res.send(readingsCsv(await store.readings(head.id)));
  });

  router.get('/:id/actions.csv', async (req, res) => {
    const head = await headOf(req);
    const doc = await store.doc(head.id);
    res.attachment(`${fileName(head)}-actions.csv`).type('text/csv');
    res.send(actionsCsv(doc!));
  });

  return router;
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
