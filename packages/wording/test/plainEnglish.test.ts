/** Sentences that users meet are plain English: none of the words that only this project used. */
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import ts from 'typescript';

const root = path.resolve(__dirname, '../../..');
const SPOKEN = ['packages/wording/src', 'apps/app/src', 'apps/app/app', 'apps/cli/src'];

/** Each with what is said instead: the table of words in CONTRIBUTING.md. */
const PRIVATE: readonly [RegExp, string][] = [
  [/\b(tells?|told)\b/i, 'shows, reports, is set, is known'],
  [/\bof late\b/i, 'lately'],
  [/\bso (long|many|much) (after|before|as)\b/i, 'for a time that is named'],
  [/\bwhat comes of it\b/i, 'its effect'],
  [/\beach (\d+ min|…\s?min)\b/i, 'every … min'],
  [/\beach …(,| until)/i, 'every …'],
  [/\bby wire\b/i, 'connected'],
  [/\btake (it|this instrument) out\b/i, 'export, remove'],
  [/\bas it takes\b/i, 'as many as needed'],
  [/\bplanned and true\b/i, 'planned and actual'],
  [/\bhow they call\b/i, 'sound and vibration'],
  [/\blooker\b/, 'viewer'],
  [/\byour patience\b/i, 'how often you adjust'],
  [/\bthe watch\b/i, 'the shift'],
  [/\bbring it in\b/i, 'import'],
  [/\d [CF]\b/, '°C, °F'],
];

function* sources(folder: string): Generator<string> {
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    const full = path.join(folder, entry.name);
    if (entry.isDirectory()) yield* sources(full);
    else if (/\.tsx?$/.test(entry.name)) yield full;
  }
}

/** Texts of three words and more in a source: what is said, and not a code, a class name or a path. */
function sentencesOf(file: string): string[] {
  const text = readFileSync(file, 'utf8');
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true);
  const found: string[] = [];
  const visit = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node)) return;
    if (ts.isJsxAttribute(node) && node.name.getText() === 'className') return;
    if (ts.isStringLiteralLike(node) || ts.isJsxText(node)) found.push(node.text);
    if (ts.isTemplateExpression(node)) {
      found.push([node.head.text, ...node.templateSpans.map((s) => s.literal.text)].join('…'));
    }
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found
    .map((s) => s.replace(/\s+/g, ' ').trim())
    .filter((s) => /[a-z…]\S* \S+/i.test(s) || /\d [CF]\b/.test(s));
}

const said = SPOKEN.flatMap((folder) =>
  [...sources(path.join(root, folder))].flatMap((file) =>
    sentencesOf(file).map((sentence) => ({ file: path.relative(root, file), sentence })),
  ),
);

it('finds what is said', () => {
  expect(said.length).toBeGreaterThan(1000);
  expect(said.map((s) => s.sentence)).toContain('On its target.');
});

it.each(PRIVATE)('never says %s', (word) => {
  expect(said.filter(({ sentence }) => word.test(sentence))).toEqual([]);
});
