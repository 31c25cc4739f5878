/** Readings by wire: JSON or CSV lines over HTTP, each instrument with a token of its own. */
import express, { Router, type Request } from 'express';
import { Problem } from '../http/problems';
import { valueOf } from '../http/read';
import { shapeFault } from '../http/shape';
import { readWire, type WireBody } from '../live/readWire';
import type { WireIntake } from '../live/wireIntake';
import type { InstrumentStore } from '../store/instruments';
import type { Pools } from '../workers/pools';

/** A body has this many bytes and values at most. */
const LIMIT = { bytes: 1_000_000, values: 40_000 };
/** A larger body than this is read by a worker, bytes: a few hundred packets take a few thousandths of a second. */
const LARGE_BYTES = 20_000;
const TYPES = ['application/json', 'text/csv'];

/** The token of `Authorization: Bearer ...`; empty where there is none. */
const tokenOf = (req: Request): string =>
  /^Bearer ([\w-]{20,100})$/.exec(req.get('Authorization') ?? '')?.[1] ?? '';

/** Routes under /api/wire. Whoever shows a token of an instrument may tell its readings, and nothing else. */
export function wireRoutes({
  instruments: store,
  intake,
  pools,
  now,
}: {
  instruments: InstrumentStore;
  intake: WireIntake;
  pools: Pools;
  now: () => number;
}): Router {
  const router = Router();
  router.use(express.raw({ type: TYPES, limit: LIMIT.bytes }));
  router.post('/', async (req, res) => {
    const instrument = await store.withToken(tokenOf(req));
    if (!instrument) {
      throw new Problem(
        401,
        'No instrument has that token: send Authorization: Bearer and its token',
      );
    }
    const type = req.is(TYPES);
    if (!type || !Buffer.isBuffer(req.body)) {
      throw new Problem(415, 'Send the body as application/json or text/csv');
    }
    const fault = type === 'text/csv' ? null : shapeFault(req.body, LIMIT.values);
    if (fault) throw new Problem(fault.status, fault.title);
    const body: WireBody = {
      text: req.body.toString('utf8'),
      csv: type === 'text/csv',
      nowMs: now(),
      channels: instrument.channels,
    };
    const packets =
      req.body.length > LARGE_BYTES ? await pools.readWire(body) : valueOf(readWire(body));
    res.status(202).json(await intake.take(instrument.id, packets));
  });
  return router;
}
