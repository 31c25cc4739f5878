/** The part of the HTTP API that is about cooks that are over: their files, photographs, notes, and the whole record. */
import {
  answer,
  body,
  file,
  ID,
  listOf,
  MISSING,
  OBJECT,
  operation,
  problem,
  read,
  ref,
  STORED,
} from './openapiParts';
import type { Json } from './schema';
import { ROUTES } from './types';

/** A cook as files. */
const exportPaths = (): Json => ({
  [ROUTES.json(ID)]: { get: read('The cook as one document', ref('CookDocDto'), MISSING) },
  [ROUTES.readings(ID)]: {
    get: read(
      'What a strip shows of a span, `from` and `to` as epoch ms: everything, or one reading of each channel in each step',
      listOf(OBJECT),
      MISSING,
    ),
  },
  [ROUTES.readingsCsv(ID)]: {
    get: operation({ summary: 'Its readings as CSV', answers: file('text/csv') }),
  },
  [ROUTES.actionsCsv(ID)]: {
    get: operation({ summary: 'Its actions as CSV', answers: file('text/csv') }),
  },
});

const PICTURES: Json = Object.fromEntries(
  ['image/jpeg', 'image/png', 'image/webp'].map((type) => [type, { schema: { type: 'string' } }]),
);

/** Photographs of a cook. */
const photographPaths = (): Json => ({
  [ROUTES.photographs(ID)]: {
    get: read('The photographs of a cook', listOf(OBJECT), MISSING),
    post: operation({
      summary: 'Add a photograph: it is resized, and kept without what its camera wrote into it',
      body: { required: true, content: PICTURES },
      answers: {
        '201': answer('Kept', OBJECT),
        '409': problem('The cook keeps as many as it may'),
        '415': problem('Not a picture of these kinds'),
        '507': problem('The disk is full; nothing was stored'),
        ...MISSING,
      },
    }),
  },
  [ROUTES.photograph(ID, '{photo}')]: {
    get: operation({ summary: 'One photograph', answers: file('image/jpeg') }),
    delete: operation({
      summary: 'Let a photograph go',
      answers: { '200': answer('It is gone', OBJECT), ...MISSING },
    }),
  },
});

/** What is done with a cook once it is over. */
const afterwardsPaths = (): Json => ({
  [ROUTES.nextTime]: {
    get: read('The notes for next time, of all cooks', listOf(OBJECT)),
  },
  [ROUTES.cookName(ID)]: {
    put: operation({
      summary: 'Give a cook another name',
      body: body(ref('CookNameDto')),
      answers: { ...STORED, ...MISSING },
    }),
  },
  [ROUTES.restore(ID)]: {
    post: operation({
      summary: 'Bring a deleted cook back, within thirty days',
      body: body(OBJECT),
      answers: { '200': answer('It is back', OBJECT), ...MISSING },
    }),
  },
});

/** The record as a whole. */
const recordPaths = (): Json => ({
  [ROUTES.archive]: {
    get: operation({
      summary: 'Everything as one ZIP: JSON and CSV for each cook, and the photographs',
      answers: file('application/zip'),
    }),
    post: operation({
      summary: 'Bring such an archive into a server without cooks: all of it, or nothing',
      body: { required: true, content: { 'application/zip': { schema: { type: 'string' } } } },
      answers: {
        '201': answer('Imported', OBJECT),
        '409': problem('This server has cooks already'),
        '413': problem('It is too large'),
      },
    }),
  },
  [ROUTES.demo]: {
    get: read('How much of the demo data is left', OBJECT),
    delete: operation({
      summary: 'Remove the demo data; what was changed or is used by own cooks stays',
      answers: { '200': answer('Removed', OBJECT) },
    }),
  },
  [ROUTES.record]: {
    get: operation({
      summary: 'The whole record as one SQLite file, without what lets devices in',
      answers: { '200': answer('The file', { type: 'string' }, 'application/vnd.sqlite3') },
    }),
  },
});

/** All of them. */
export const logPaths = (): Json => ({
  ...exportPaths(),
  ...photographPaths(),
  ...afterwardsPaths(),
  ...recordPaths(),
});
