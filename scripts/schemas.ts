/** Writes JSON Schemas (draft 2020-12) of the documents we read, from the classes that validate them, and their fields. */
import { mkdirSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { schemaOf, SCHEMAS } from '@ostrin/contract/schema';
import { fieldTables } from './fieldTables';

const out = path.resolve(import.meta.dirname, '../docs/schema');
mkdirSync(out, { recursive: true });
for (const name of Object.keys(SCHEMAS)) {
  writeFileSync(path.join(out, `${name}.json`), `${JSON.stringify(schemaOf(name), null, 2)}\n`);
}
writeFileSync(path.join(out, '../fields.md'), fieldTables());
