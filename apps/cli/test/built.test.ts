/** The command line as it is started: from its build. */
import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { simulate } from '@ostrin/core/engine';
import type { Result } from '@ostrin/core';
import { COOKS } from '../../../checks/bench/cases';

const root = path.resolve(__dirname, '../../..');
const folder = mkdtempSync(path.join(tmpdir(), 'ostrin-built-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const ostrin = (document: unknown) => {
  const file = path.join(folder, 'scenario.json');
  writeFileSync(file, JSON.stringify(document));
  return spawnSync(process.execPath, ['scripts/ostrin.mjs', 'simulate', file], {
    cwd: root,
    encoding: 'utf8',
    maxBuffer: 1e7,
  });
};

it('simulates as the sources do, and says by field what is wrong', () => {
  const cook = Object.values(COOKS)[0]!;
  const { status, stdout } = ostrin(cook);
  expect(status).toBe(0);
  const told = JSON.parse(stdout) as Result;
  expect(told.pitC).toEqual(simulate(cook).pitC);
  expect(told.meats[0]!.coreC).toEqual(simulate(cook).meats[0]!.coreC);
  const bad = ostrin({ ...cook, untilMin: -3 });
  expect(bad.status).toBe(2);
  expect(bad.stderr).toContain('untilMin');
});
