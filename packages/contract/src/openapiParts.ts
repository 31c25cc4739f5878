/** What operations of the HTTP API are described with. */
import type { Json } from './schema';

/** `{id}` in a path. */
export const ID = '{id}';

export const JSON_TYPE = 'application/json';

export const body = (schema: Json): Json => ({
  required: true,
  content: { [JSON_TYPE]: { schema } },
});
export const ref = (name: string): Json => ({ $ref: `#/components/schemas/${name}` });
export const answer = (description: string, schema?: Json, type = JSON_TYPE): Json => ({
  description,
  ...(schema ? { content: { [type]: { schema } } } : {}),
});
export const problem = (description: string): Json =>
  answer(description, ref('ProblemDetails'), 'application/problem+json');

export const OBJECT: Json = { type: 'object' };
export const listOf = (schema: Json): Json => ({ type: 'array', items: schema });

/** Answers that any operation may give. */
export const COMMON = {
  '401': problem('Sign in first: the server is open to the home network'),
  '403': problem('The request comes from another page, or the role of the device is too small'),
  '421': problem('The request names another host'),
  '500': problem('Something failed on our side; nothing was stored'),
};
export const MISSING = { '404': problem('There is none of that id') };
const INVALID = {
  '400': problem('The body is not JSON'),
  '413': problem('The body is too large'),
  '415': problem('The body is not sent as application/json'),
  '422': problem('Some fields are not right; each is named'),
};

interface Operation {
  summary: string;
  body?: Json;
  answers: Json;
}

export const operation = ({ summary, body: requestBody, answers }: Operation): Json => ({
  summary,
  ...(requestBody ? { requestBody } : {}),
  responses: { ...answers, ...(requestBody ? INVALID : {}), ...COMMON },
});

export const read = (summary: string, schema: Json, found: Json = {}): Json =>
  operation({ summary, answers: { '200': answer('As stored', schema), ...found } });

/** The parameters that a path names in braces. */
export const parametersOf = (path: string): Json[] =>
  [...path.matchAll(/\{(\w+)\}/g)].map(([, name]) => ({
    name,
    in: 'path',
    required: true,
    schema: { type: 'string' },
  }));

export const STORED = { '200': answer('Stored', OBJECT), '201': answer('Made', OBJECT) };

/** A record has a version, told as its ETag; a write that names an old one in If-Match is refused. */
export const CHANGED = {
  '412': problem('It was changed since it was read; `current` is how it stands'),
};

export const file = (type: string): Json => ({
  '200': answer('The file', { type: 'string' }, type),
  ...MISSING,
});
