/** Bringing a cook back from its JSON document or its two CSV files. */
import { validate, cookFromCsv, CsvPairDto, readCookDoc, type CookDoc } from '@ostrin/contract';
import { foldLog } from '@ostrin/core';
import { Router } from 'express';
import { isDeepStrictEqual } from 'node:util';
import { invalid, Problem } from '../problems';
import type { CookStore } from '../store/cooks';

/** The document in a body: as it is, or made from a pair of CSV files. */
function docOf(body: unknown): CookDoc {
  const isPair = typeof body === 'object' && body !== null && 'actionsCsv' in body;
  if (!isPair) {
    const doc = readCookDoc(body);
    if (!doc.ok) throw invalid(doc.problems);
    return doc.value;
  }
  const pair = validate(CsvPairDto, body);
  if (!pair.ok) throw invalid(pair.problems);
  const doc = cookFromCsv(pair.value.actionsCsv, pair.value.readingsCsv);
  if (!doc.ok) throw invalid(doc.problems);
  return doc.value;
}

/** POST /api/imports. An identical cook is left as it is; a different one of that id is refused. */
export function importRoutes(store: CookStore): Router {
  const router = Router();
  router.post('/', async (req, res) => {
    const doc = docOf(req.body);
    const known = await store.doc(doc.id);
    if (known) {
      if (isDeepStrictEqual(JSON.parse(JSON.stringify(known)), doc)) {
        res.status(200).json({ id: doc.id, already: true });
        return;
      }
      throw new Problem(409, 'A different cook of that id is already in the log');
    }
    const foreign = await store.foreignEntries(
      doc.id,
      doc.entries.map((e) => e.id),
    );
    if (foreign.length > 0) throw new Problem(409, 'Its entries belong to another cook in the log');
    const last = doc.readings.at(-1)?.at ?? doc.startMs;
    const entryTimes = doc.entries.map((e) => e.at);
    await store.create(
      {
        id: doc.id,
        name: doc.name,
        pitName: doc.pitName,
        startMs: doc.startMs,
        // What comes in is a cook of the past, finished or not.
        finishedAt: foldLog(doc.entries).finishedAt ?? Math.max(last, ...entryTimes),
        plan: doc.plan,
        clockMs: last,
        speed: 1,
      },
      doc.entries,
      doc.readings,
    );
    res.status(201).json({ id: doc.id, already: false });
  });
  return router;
}
