/** What CONTRIBUTING.md and ARCHITECTURE.md answer is true of the tree. */
import { existsSync, readFileSync } from 'node:fs';
import path from 'node:path';

const root = path.resolve(__dirname, '../../..');
const read = (file: string): string => readFileSync(path.join(root, file), 'utf8');

/** A file or folder that a document names in full or by its place under one of its rooms. */
function found(name: string, rooms: readonly string[]): string | null {
  for (const room of ['', ...rooms]) {
    for (const ending of ['', '.ts', '.tsx', '.mjs']) {
      const file = path.join(root, room, name + ending);
      if (existsSync(file)) return file;
    }
  }
  return null;
}

it('answers where things are with files that are there and define what is named', () => {
  const rooms = ['packages/core/src'];
  const rows = read('CONTRIBUTING.md')
    .split('\n')
    .filter((line) => /^\| .*\?\s+\|/.test(line));
  expect(rows.length).toBeGreaterThan(12);
  let room = '';
  const wrong: string[] = [];
  for (const row of rows) {
    for (const [, name, , defined] of row.matchAll(/`([\w./-]+\/[\w./-]+)`( \(`(\w+)`\))?/g)) {
      const file = found(name!, [...rooms, room, path.dirname(room)]);
      if (!file) wrong.push(name!);
      else if (defined && !new RegExp(`\\b${defined}\\b`).test(readFileSync(file, 'utf8'))) {
        wrong.push(`${name} does not define ${defined}`);
      }
      if (file) room = path.dirname(path.relative(root, file));
    }
  }
  expect(wrong).toEqual([]);
});

it('names rooms and files of the architecture that are there', () => {
  const rooms = [
    'packages/core/src',
    'packages',
    'packages/wording/src',
    'packages/contract/src',
    'apps/server/src',
    'apps/app/src',
    'apps',
  ];
  const text = read('docs/ARCHITECTURE.md');
  const journeys = text.slice(text.indexOf('## Three journeys'), text.indexOf('## Decisions'));
  const names = [...journeys.matchAll(/`([a-z][\w]*(?:\/[\w.]+)+)`/g)].map(([, name]) => name!);
  expect(names.length).toBeGreaterThan(30);
  const sought = (name: string): string[] => [
    name,
    name.replace(/^(app|core|wording|contract)\//, '$1/src/').replace('src/src', 'src'),
  ];
  // A function that a room is entered by, and a document.
  const known = (name: string): boolean => ['core/plan/planSteps', 'request/1'].includes(name);
  expect(names.filter((n) => !known(n) && !sought(n).some((s) => found(s, rooms)))).toEqual([]);
});

it('has the layers of the core in the order that lint keeps', () => {
  const layers = [...read('oxlint.config.mjs').matchAll(/^ {2}'([a-z/]+)',$/gm)].map(([, l]) => l!);
  const rows = [...read('docs/ARCHITECTURE.md').matchAll(/^\| `([a-z/]+)` +\|/gm)].map(
    ([, l]) => l!,
  );
  const folders = rows.filter((r) => layers.includes(r));
  expect(folders).toEqual(layers);
});
