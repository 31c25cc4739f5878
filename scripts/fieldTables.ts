/** The fields of every document as tables: what a value is from the classes that check it, what it means from the types. */
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { schemaOf, SCHEMAS } from '@ostrin/contract/schema';
import ts from 'typescript';

interface Schema {
  $ref?: string;
  type?: string;
  enum?: unknown[];
  minimum?: number;
  maximum?: number;
  maxLength?: number;
  pattern?: string;
  items?: Schema;
  anyOf?: Schema[];
  oneOf?: Schema[];
  properties?: Record<string, Schema>;
  required?: string[];
  $defs?: Record<string, Schema>;
}

const root = path.resolve(import.meta.dirname, '..');

function* sources(folder: string): Generator<string> {
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    const full = path.join(folder, entry.name);
    if (entry.isDirectory()) yield* sources(full);
    else if (entry.name.endsWith('.ts')) yield full;
  }
}

/** What the core says of the fields of its interfaces, by `Interface.field`. */
function meanings(): Map<string, string> {
  const found = new Map<string, string>();
  for (const file of sources(path.join(root, 'packages/core/src'))) {
    const source = ts.createSourceFile(
      file,
      readFileSync(file, 'utf8'),
      ts.ScriptTarget.Latest,
      true,
    );
    for (const node of source.statements) {
      if (!ts.isInterfaceDeclaration(node)) continue;
      for (const member of node.members) {
        const text = ts
          .getJSDocCommentsAndTags(member)
          .map((doc) => ts.getTextOfJSDocComment(doc.comment) ?? '')
          .join(' ');
        if (member.name && text) found.set(`${node.name.text}.${member.name.getText()}`, text);
      }
    }
  }
  return found;
}

/** The name of a definition without what only the code calls it. */
const plain = (ref: string): string => ref.replace('#/$defs/', '').replace(/Dto$/, '');

/** What a value may be, in a few words. */
function valueWords(s: Schema): string {
  if (s.$ref) return `[${plain(s.$ref)}](#${plain(s.$ref).toLowerCase()})`;
  const either = s.anyOf ?? s.oneOf;
  if (either) return [...new Set(either.map(valueWords))].join(' or ');
  if (s.items) return `list of ${valueWords(s.items)}`;
  if (s.enum) return s.enum.map((v) => `\`${String(v)}\``).join(', ');
  if (s.pattern?.includes('T\\d')) return 'local time, `2027-05-15T18:30`';
  const { minimum: low, maximum: high } = s;
  if (low !== undefined && high !== undefined) return `${s.type}, ${low} to ${high}`;
  if (low !== undefined) return `${s.type}, ${low} or more`;
  return s.maxLength === undefined ? (s.type ?? 'any') : `text, ${s.maxLength} characters at most`;
}

const cell = (text: string): string => text.replaceAll('|', '\\|').replace(/\s+/g, ' ').trim();

function table(name: string, schema: Schema, meaning: ReadonlyMap<string, string>): string {
  const rows = Object.entries(schema.properties ?? {}).map(([field, value]) => {
    const needed = schema.required?.includes(field) ? 'yes' : '';
    const means = meaning.get(`${name}.${field}`) ?? '';
    return `| \`${field}\` | ${cell(valueWords(value))} | ${needed} | ${cell(means)} |`;
  });
  return ['| Field | Value | Required | Meaning |', '| --- | --- | --- | --- |', ...rows].join(
    '\n',
  );
}

/** The whole of docs/fields.md. */
export function fieldTables(): string {
  const meaning = meanings();
  const documents = Object.keys(SCHEMAS).map((name) => ({
    name,
    schema: schemaOf(name),
  }));
  const shared = new Map<string, Schema>();
  for (const { schema } of documents) {
    for (const [ref, def] of Object.entries(schema.$defs ?? {})) shared.set(plain(ref), def);
  }
  const title = (name: string): string => name[0]!.toUpperCase() + name.slice(1);
  return [
    '# Fields of the documents',
    'Made by `npm run schemas` from the classes that check documents and the types that explain them. Units are in the names: see [formats](formats.md).',
    ...documents.flatMap(({ name, schema }) => [
      `## \`${name}/1\``,
      table(title(name), schema, meaning),
    ]),
    '## Parts',
    ...[...shared]
      .sort(([a], [b]) => a.localeCompare(b))
      .flatMap(([name, schema]) => [`### ${name}`, table(name, schema, meaning)]),
    '',
  ].join('\n\n');
}
