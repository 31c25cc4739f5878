/** Bodies of requests: JSON only, measured before it is read. */
import express, { type RequestHandler, Router } from 'express';
import { Problem } from './problems';
import { parsed, valueOf } from './read';
import { shapeFault } from './shape';

/** What a body may be. */
interface BodyLimit {
  /** Bytes. */
  bytes: number;
  /** Values of lists and objects taken together. */
  values: number;
}

const jsonOnly: RequestHandler = (req, _res, next) => {
  const writes = req.method === 'POST' || req.method === 'PUT' || req.method === 'PATCH';
  next(
    writes && !req.is('application/json')
      ? new Problem(415, 'Send the body as application/json')
      : undefined,
  );
};

/** Keeps a body as it came, at most so many bytes; `req.body` is a Buffer. For bodies that a worker looks at. */
export function rawBody(bytes: number): Router {
  const router = Router();
  router.use(jsonOnly, express.raw({ type: 'application/json', limit: bytes }));
  return router;
}

/** Reads a body as text, within its limits; `req.body` is a string. For bodies that a worker reads. */
export function textBody(limit: BodyLimit): Router {
  const router = Router();
  router.use(rawBody(limit.bytes));
  router.use((req, _res, next) => {
    const body = Buffer.isBuffer(req.body) ? req.body : Buffer.alloc(0);
    const fault = shapeFault(body, limit.values);
    if (fault) throw new Problem(fault.status, fault.title);
    req.body = body.toString('utf8');
    next();
  });
  return router;
}

/** Reads a body of JSON within its limits; `req.body` is what it holds. */
export function jsonBody(limit: BodyLimit): Router {
  const router = textBody(limit);
  router.use((req, _res, next) => {
    const writes = req.method !== 'GET' && req.method !== 'HEAD' && req.method !== 'DELETE';
    if (writes) req.body = valueOf(parsed(req.body as string, (value) => ({ ok: true, value })));
    next();
  });
  return router;
}
