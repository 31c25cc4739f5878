import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { main } from '../src';
import { referenceKernel } from '../../../checks/bench/kernel';
import { kettle, request } from '@ostrin/testing';

const folder = mkdtempSync(path.join(tmpdir(), 'ostrin-cli-'));

async function run(
  command: string,
  document: unknown,
  ...more: string[]
): Promise<{ status: number; out: string; err: string }> {
  const file = path.join(folder, 'in.json');
  writeFileSync(file, typeof document === 'string' ? document : JSON.stringify(document));
  let out = '';
  let err = '';
  const spies = [
    jest.spyOn(process.stdout, 'write').mockImplementation((t) => ((out += String(t)), true)),
    jest.spyOn(process.stderr, 'write').mockImplementation((t) => ((err += String(t)), true)),
  ];
  const status = await main([command, file, ...more]);
  for (const s of spies) s.mockRestore();
  return { status, out, err };
}

it('simulates a scenario and prints one document', async () => {
  const { status, out, err } = await run('simulate', kettle({ untilMin: 60 }));
  expect([status, err]).toEqual([0, '']);
  const result = JSON.parse(out) as Record<string, unknown>;
  expect(result).toMatchObject({ ostrin: 'result/1' });
  expect(result.minutes).toHaveLength(61);
  expect(Object.keys(result)).toEqual(
    expect.arrayContaining([
      'pitC',
      'domeC',
      'grate',
      'smoke',
      'fuel',
      'balance',
      'happened',
      'computeMs',
    ]),
  );
  expect(out.trim().split('\n')).toHaveLength(1);
  expect(out).not.toMatch(/NaN|Infinity/);
});

it('plans a request and its scenario is one that simulate takes', async () => {
  const { status, out } = await run('plan', request());
  expect(status).toBe(0);
  const plan = JSON.parse(out) as { ostrin: string; scenarios: unknown[] };
  expect(plan.ostrin).toBe('plan/1');
  expect((await run('simulate', plan.scenarios[0])).status).toBe(0);
});

it('plans as asked now, or at the time it is told', async () => {
  const problems = async (...more: string[]): Promise<string[]> => {
    const frozen = { ...request().meats[0], frozen: true };
    const { out } = await run('plan', request({ meats: [frozen] }), ...more);
    return (JSON.parse(out) as { problems: { field: string }[] }).problems.map((p) => p.field);
  };
  expect(await problems('--now', '2027-05-12T09:00')).toEqual([]);
  expect(await problems('--now', '2027-05-15T06:00')).toContain('meats[0].frozen');
  expect(await problems('--now', '2027-05-16T06:00')).toContain('serveAt');
  const past = await run('plan', request({ serveAt: '2020-05-15T18:30' }));
  expect(past.out).toMatch(/The serving time has passed/);
  const wrong = await run('plan', request(), '--now', 'noon');
  expect([wrong.status, wrong.err]).toEqual([2, '--now: must be a time like 2027-05-14T09:00\n']);
});

it('ends with 2 and one line a problem for bad input', async () => {
  const bad = await run('simulate', {
    ...kettle(),
    cooker: { preset: 'kamado-46' },
    control: { mode: 'fan' },
    actions: [{ atMin: 5, do: 'add-fuel', fuel: 'oak-splits' }],
  });
  expect(bad.status).toBe(2);
  expect(bad.out).toBe('');
  expect(bad.err).toMatch(/^fire\.arrangement: snake does not fit/m);
  expect(bad.err).toMatch(/^control\.targetC: is needed/m);
  expect(bad.err).toMatch(/^actions\[0\]\.pieces: give pieces/m);
  expect((await run('simulate', '{')).status).toBe(2);
  expect((await run('plan', [])).status).toBe(2);
  expect((await run('dance', {})).err).toMatch(/unknown command 'dance'/);
});

it('refuses an option it does not know, with the ones that exist, and does nothing', async () => {
  for (const [command, ...more] of [
    ['bench', '--nonsense'],
    ['facts', '--jsn'],
    ['plan', '--later'],
    ['simulate', '--json'],
  ] as const) {
    const { status, out, err } = await run(command, request(), ...more);
    expect([command, status, out]).toEqual([command, 2, '']);
    expect(err).toMatch(/unknown option|too many arguments/);
    expect(err).toMatch(/Usage: ostrin/);
  }
});

it.each(['simulate', 'plan', 'facts', 'bench'])('has help for %s', async (command) => {
  const { status, out } = await run(command, {}, '--help');
  expect(status).toBe(0);
  expect(out).toContain(`Usage: ostrin ${command}`);
});

it('keeps a reference kernel that heats its centre', () => {
  expect(referenceKernel()).toBeGreaterThan(90);
  expect(referenceKernel()).toBeLessThan(121);
});
