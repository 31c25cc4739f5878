/** Bodies of requests: JSON only, measured before it is read. */
import express, { type RequestHandler, Router } from 'express';
import { Problem } from './problems';

/** What a body may be. */
interface BodyLimit {
  /** Bytes. */
  bytes: number;
  /** Values of lists and objects taken together. */
  values: number;
}

/** A fault of a body, told by its depth and the number of its values; null where there is none. */
export function shapeFault(
  body: Buffer,
  mostValues: number,
): { status: number; title: string } | null {
  let depth = 0;
  let values = 0;
  for (let i = 0; i < body.length; i++) {
    switch (body[i]) {
      case 0x22: // A string: over to its closing quote.
        for (i++; i < body.length && body[i] !== 0x22; i++) if (body[i] === 0x5c) i++;
        break;
      case 0x5b: // [
      case 0x7b: // {
        if (++depth > MOST_DEPTH) return { status: 400, title: 'The body is nested too deeply' };
        break;
      case 0x5d: // ]
      case 0x7d: // }
        depth--;
        break;
      case 0x2c: // ,
        if (++values > mostValues) return { status: 413, title: 'The body has too many values' };
        break;
      default:
    }
  }
  return null;
}

/** JSON is nested this deep at most; a cook with its plan is nine deep. */
const MOST_DEPTH = 40;

const jsonOnly: RequestHandler = (req, _res, next) => {
  const writes = req.method === 'POST' || req.method === 'PUT' || req.method === 'PATCH';
  next(
    writes && !req.is('application/json')
      ? new Problem(415, 'Send the body as application/json')
      : undefined,
  );
};

/** Reads a body as text, within its limits; `req.body` is a string. For bodies that a worker reads. */
export function textBody(limit: BodyLimit): Router {
  const router = Router();
  router.use(jsonOnly, express.raw({ type: 'application/json', limit: limit.bytes }));
  router.use((req, _res, next) => {
    const body = Buffer.isBuffer(req.body) ? req.body : Buffer.alloc(0);
    const fault = shapeFault(body, limit.values);
    if (fault) throw new Problem(fault.status, fault.title);
    req.body = body.toString('utf8');
    next();
  });
  return router;
}

/** Parses JSON. Throws a Problem of 400 with what is wrong with it. */
export function parseJson(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch (error) {
    throw new Problem(400, 'The body is not JSON', [
      { field: '', message: (error as Error).message.slice(0, 200) },
    ]);
  }
}

/** Reads a body of JSON within its limits; `req.body` is what it holds. */
export function jsonBody(limit: BodyLimit): Router {
  const router = textBody(limit);
  router.use((req, _res, next) => {
    const writes = req.method !== 'GET' && req.method !== 'HEAD' && req.method !== 'DELETE';
    if (writes) req.body = parseJson(req.body as string);
    next();
  });
  return router;
}
