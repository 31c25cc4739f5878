/** A page of another version is told to load itself again before it reads or writes anything. */
import { API_LEVEL, LEVEL_HEADER } from '@ostrin/contract';
import type { RequestHandler } from 'express';
import { Problem } from './problems';

/** Refuses requests of another level; one that tells none is not a page of ours, and is let through. */
export const sameLevel: RequestHandler = (req, _res, next) => {
  const told =
    req.get(LEVEL_HEADER) ?? (typeof req.query.level === 'string' ? req.query.level : '');
  next(
    told === '' || told === String(API_LEVEL)
      ? undefined
      : new Problem(426, 'This page is of another version: load it again'),
  );
};
