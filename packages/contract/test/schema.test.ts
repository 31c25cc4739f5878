import Ajv from 'ajv/dist/2020';
import { getMetadataStorage } from 'class-validator';
import { planDocument } from '@ostrin/wording/documents';

import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { fieldTables } from '../../../scripts/fieldTables';
import { schemaOf, SCHEMAS } from '../src/schema';
import { kettle, request } from '@ostrin/testing';

const valid = (name: string, document: unknown): boolean =>
  new Ajv({ strict: false, validateFormats: false }).compile(schemaOf(name))(
    JSON.parse(JSON.stringify(document)),
  );

/** What class-validator keeps, by class. */
interface Stored {
  validationMetadatas: Map<unknown, { target: { name: string } }[]>;
}

it('is what docs/schema holds', () => {
  for (const name of Object.keys(SCHEMAS)) {
    const file = path.resolve(__dirname, `../../../docs/schema/${name}.json`);
    expect(JSON.parse(readFileSync(file, 'utf8'))).toEqual(schemaOf(name));
  }
  expect(() => schemaOf('shoe')).toThrow(RangeError);
});

it('takes what we write and refuses what is wrong', () => {
  const made = planDocument(request(), { nowMs: 0, members: 1 });
  const cook = {
    ostrin: 'cook/1',
    id: randomUUID(),
    name: 'Lunch',
    pitName: 'the Bosun',
    startMs: Date.UTC(2027, 4, 15),
    plan: made,
    entries: [{ id: randomUUID(), at: Date.UTC(2027, 4, 15), kind: 'note', text: 'hi' }],
    readings: [{ at: Date.UTC(2027, 4, 15), pitC: 20.5, coreC: null }],
  };
  expect(valid('scenario', kettle())).toBe(true);
  expect(valid('scenario', { ...kettle(), weather: [kettle().weather] })).toBe(true);
  expect(valid('scenario', { ...kettle(), untilMin: 0 })).toBe(false);
  expect(valid('scenario', { ...kettle(), cooker: { preset: 'shoe' } })).toBe(false);
  expect(valid('request', request())).toBe(true);
  expect(valid('request', request({ people: 0 }))).toBe(false);
  expect(valid('plan', made)).toBe(true);
  expect(valid('cook', cook)).toBe(true);
  expect(valid('cook', { ...cook, readings: [{ at: 'now' }] })).toBe(false);
});

it('is what docs/fields.md explains, field by field', () => {
  const text = readFileSync(path.resolve(__dirname, '../../../docs/fields.md'), 'utf8');
  expect(fieldTables()).toBe(text);
  // Most of what a plan holds is explained where it is defined.
  expect(text).toMatch(/\| `lightAt` \| local time.* \| yes \| When the first fire is lit/);
});

it('knows every class by a name of its own', () => {
  const classes = new Map<string, Set<unknown>>();
  for (const metas of (getMetadataStorage() as unknown as Stored).validationMetadatas.values())
    for (const { target } of metas)
      classes.set(target.name, (classes.get(target.name) ?? new Set()).add(target));
  const shared = [...classes].filter(([name, of]) => of.size > 1 && name !== 'Timed');
  expect(shared.map(([name]) => name)).toEqual([]);
});
