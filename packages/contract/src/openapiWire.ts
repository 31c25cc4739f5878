/** The operations about instruments and what they tell by wire. */
import {
  ID,
  JSON_TYPE,
  body,
  ref,
  answer,
  OBJECT,
  listOf,
  MISSING,
  operation,
  read,
  STORED,
  CHANGED,
} from './openapiParts';
import type { Json } from './schema';
import { ROUTES } from './types';

/** Instruments that tell by wire. */
export const wirePaths = (): Json => ({
  [ROUTES.instruments]: { get: read('The instruments that tell by wire', listOf(OBJECT)) },
  [ROUTES.instrument(ID)]: {
    put: operation({
      summary: 'Make or change an instrument',
      body: body(ref('InstrumentDto')),
      answers: { ...STORED, ...CHANGED },
    }),
    delete: operation({
      summary: 'Take an instrument out; what it told stays with the cooks',
      answers: { '200': answer('Taken out', OBJECT), ...MISSING, ...CHANGED },
    }),
  },
  [ROUTES.instrumentToken(ID)]: {
    post: operation({
      summary: 'A new token for an instrument, told this once; the one before is void',
      body: body(OBJECT),
      answers: { '201': answer('Made', OBJECT), ...MISSING },
    }),
  },
  [ROUTES.probes(ID)]: {
    post: operation({
      summary: 'Say in which piece of a cook under way a probe is, and since when',
      body: body(ref('ProbeDto')),
      answers: { '200': answer('Changed', OBJECT), ...MISSING },
    }),
  },
  [ROUTES.wire]: {
    post: operation({
      summary:
        'Tell readings, with `Authorization: Bearer` and the token of an instrument: one packet, a list under `packets`, or CSV lines with the columns at, channel, value, unit, battery',
      body: {
        required: true,
        content: {
          [JSON_TYPE]: { schema: { anyOf: [ref('PacketDto'), ref('PacketsDto')] } },
          'text/csv': { schema: { type: 'string' } },
        },
      },
      answers: { '202': answer('Taken; what cannot be true was left out', OBJECT) },
    }),
  },
});
