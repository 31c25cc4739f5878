/** Parts of the page of an earlier build stay beside those of a new one, for pages that are still open. */
import { spawnSync } from 'node:child_process';
import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  rmSync,
  utimesSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';

const root = path.resolve(__dirname, '../../..');
const dist = mkdtempSync(path.join(tmpdir(), 'ostrin-dist-'));
afterAll(() => rmSync(dist, { recursive: true, force: true }));

const part = (name: string): string => path.join(dist, '_expo/static/js/web', name);
const write = (name: string, text: string): void => {
  mkdirSync(path.dirname(part(name)), { recursive: true });
  writeFileSync(part(name), text);
};

/** A build over what is there: its export begins with an empty folder. */
function build(parts: Record<string, string>): void {
  const script = `
    import { rmSync, mkdirSync, writeFileSync } from 'node:fs';
    import { bringBack, setAside } from './scripts/formerParts.mjs';
    const dist = ${JSON.stringify(dist)};
    const former = setAside(dist);
    rmSync(dist, { recursive: true, force: true });
    mkdirSync(dist + '/_expo/static/js/web', { recursive: true });
    for (const [name, text] of Object.entries(${JSON.stringify(parts)}))
      writeFileSync(dist + '/_expo/static/js/web/' + name, text);
    bringBack(former, dist);`;
  const made = spawnSync(process.execPath, ['--input-type=module', '-e', script], {
    cwd: root,
    encoding: 'utf8',
  });
  expect(made.stderr).toBe('');
}

it('keeps them for two weeks, and never in the place of a new one', () => {
  rmSync(dist, { recursive: true });
  build({ 'entry-1.js': 'one', 'sheet-1.js': 'old sheet' });
  write('ancient-0.js', 'long ago');
  const longAgo = new Date(Date.now() - 15 * 86_400_000);
  utimesSync(part('ancient-0.js'), longAgo, longAgo);
  build({ 'entry-2.js': 'two', 'sheet-1.js': 'new sheet' });
  expect(readFileSync(part('entry-1.js'), 'utf8')).toBe('one');
  expect(readFileSync(part('sheet-1.js'), 'utf8')).toBe('new sheet');
  expect(existsSync(part('ancient-0.js'))).toBe(false);
  build({ 'entry-3.js': 'three' });
  expect(['entry-1.js', 'entry-2.js', 'entry-3.js'].every((n) => existsSync(part(n)))).toBe(true);
});
