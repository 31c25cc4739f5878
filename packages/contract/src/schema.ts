/**
 * JSON Schemas (draft 2020-12) made from the classes that validate. What spans several fields, and
 * names known but not computed yet, only the `read*` functions can tell.
 */
import 'reflect-metadata';
import { defaultMetadataStorage } from 'class-transformer/cjs/storage.js';
import { validationMetadatasToSchemas } from 'class-validator-jsonschema';
import { CookDocDto } from './cook';
import { PlanDto } from './plan';
import { fieldsOrNull } from './rules';
import { RequestDto } from './request';
import { ScenarioDto } from './scenario';
// Bodies of the API, so that their classes are known.
import './access';
import './pit';
import './savedPlans';

/** Documents by the name of their file. */
export const SCHEMAS: Readonly<Record<string, new () => object>> = {
  scenario: ScenarioDto,
  request: RequestDto,
  plan: PlanDto,
  cook: CookDocDto,
};

export type Json = Record<string, unknown>;

/** The schema of every class that validates, by its name. `prefix` is where they refer to each other. */
export function schemaDefinitions(prefix = '#/$defs/'): Record<string, Json> {
  const generated = validationMetadatasToSchemas({
    classTransformerMetadataStorage: defaultMetadataStorage,
    refPointerPrefix: prefix,
    additionalConverters: {
      known: (meta) => ({ type: 'string', enum: (meta.constraints as [string[]])[0] }),
      nestedObject: () => ({}),
      objects: () => ({}),
      notTooMany: () => ({}),
      objectOrList: () => ({}),
      exactlyOne: () => ({ minProperties: 1, maxProperties: 1 }),
      series: () => ({ type: 'array', items: { type: ['number', 'null'] } }),
      localTime: () => ({ type: 'string', pattern: '^\\d{4}-\\d\\d-\\d\\dT\\d\\d:\\d\\d$' }),
      letters: () => ({ type: 'string', minLength: 1 }),
      zone: () => ({ type: 'string' }),
      dialFits: () => ({}),
      oneBeside: () => ({}),
    },
  });
  const all: Record<string, Json> = Object.fromEntries(
    Object.entries(generated).map(([name, schema]) => [name, { ...schema }]),
  );
  // One object or a list of them: the generator knows only the list.
  for (const [document, name] of [
    ['ScenarioDto', 'WeatherDto'],
    ['RequestDto', 'DayWeatherDto'],
  ] as const) {
    const one = { $ref: `${prefix}${name}` };
    const properties = all[document]!.properties as Json;
    properties.weather = { anyOf: [one, { type: 'array', items: one, minItems: 1 }] };
  }
  for (const { cls, fields } of fieldsOrNull()) {
    const properties = all[cls]!.properties as Record<string, Json>;
    for (const field of fields) properties[field] = orNull(properties[field]!);
  }
  return all;
}

/** The schema of a value that may also be null. */
function orNull(schema: Json): Json {
  if ('$ref' in schema || 'enum' in schema) return { anyOf: [schema, { type: 'null' }] };
  return { ...schema, type: [schema.type, 'null'] };
}

/** The schema of one document, with the definitions it needs. */
export function schemaOf(name: string): Json {
  const cls = SCHEMAS[name];
  if (!cls) throw new RangeError(`${name}: no such document`);
  const all = schemaDefinitions();
  const used = new Map<string, Json>();
  const visit = (node: unknown): void => {
    if (typeof node !== 'object' || node === null) return;
    for (const [key, value] of Object.entries(node)) {
      if (key === '$ref' && typeof value === 'string') {
        const id = value.replace('#/$defs/', '');
        const found = all[id];
        if (found && !used.has(id)) {
          used.set(id, found);
          visit(found);
        }
      } else visit(value);
    }
  };
  const own = all[cls.name]!;
  visit(own);
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    title: name,
    ...own,
    ...(used.size > 0
      ? { $defs: Object.fromEntries([...used].sort(([a], [b]) => (a < b ? -1 : 1))) }
      : {}),
  };
}
