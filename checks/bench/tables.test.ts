/** The tables that `ostrin bench --plans` prints for docs/plans.md. */
import type { MethodOutcome } from '../plans/methods';
import { cases, SEED } from '../plans/requests';
import { pool, type Measured } from '../plans/table';
import { main } from '../../apps/cli/src';
import { plansTables } from './benchPlans';

const went = (part: Partial<MethodOutcome> = {}): MethodOutcome => ({
  onSquares: 1000,
  onMinutes: 110,
  onOutMin: 12,
  squares: 900,
  minutes: 100,
  outMin: 10,
  rmsK: 3,
  loadedKg: 2.6,
  neededKg: 2,
  ranOut: false,
  lateMin: -40,
  inWindow: true,
  visits: 9,
  ...part,
});

const ways = {
  plan: went(),
  rules: went({ squares: 8100, rmsK: 9, outMin: 60, lateMin: 25, inWindow: false }),
  tended: went({ ranOut: true }),
};
const pooled = { plan: pool([ways.plan]), rules: pool([ways.rules]), tended: pool([ways.tended]) };
const measured: Measured = {
  ostrin: 'bench-plans/1',
  all: pooled,
  families: { kettle: pooled },
  rows: [{ id: 'kettle-1', family: 'kettle', words: 'kettle-57 snake', went: ways }],
};

it('pools squares over minutes, not means of means', () => {
  const two = pool([went(), went({ squares: 0, minutes: 300, outMin: 0 })]);
  expect(two.rmsK).toBe(1.5);
  expect(two.outOfBandFraction).toBe(0.025);
  expect(two.outOfBandMinPerCook).toBe(5);
  expect(pool([went(), went({ lateMin: 3, inWindow: false })])).toMatchObject({
    lateFraction: 0.5,
    inWindowFraction: 0.5,
    ranOut: 0,
  });
});

it('prints the pooled table and every case, losses marked', () => {
  const lines = plansTables(measured).split('\n');
  expect(lines[0]).toMatch(/^\| Family \| Way \| RMS off target, C \|/);
  expect(lines).toContain(
    '| **all 60** | plan | 3 | 10 | 3.02, 11 % | 10 | 1.3 | 0 | 100 | 0 | 9 |',
  );
  expect(lines).toContain('| kettle | rules | 9 | 60 | 3.02, 11 % | 60 | 1.3 | 0 | 0 | 100 | 9 |');
  expect(lines).toContain('| kettle-57 snake | 3.0, 2.6/2.0, -40 | 9.0, 2.6/2.0, 25 x |');
  // As many cells in every row of a table.
  const cells = lines.slice(0, 8).map((l) => l.split(' | ').length);
  expect(new Set(cells).size).toBe(1);
});

it('draws other wishes and other truths from another seed, the published ones from none', () => {
  const [published, other] = [cases(), cases(7)];
  expect(cases(SEED)).toEqual(published);
  expect(other.map((c) => c.family)).toEqual(published.map((c) => c.family));
  expect(JSON.stringify(other.map((c) => c.request))).not.toBe(
    JSON.stringify(published.map((c) => c.request)),
  );
  const truths = new Set([...published, ...other].map((c) => c.truth));
  expect(truths.size).toBe(120);
});

it('refuses a seed that is none', async () => {
  let err = '';
  const spy = jest
    .spyOn(process.stderr, 'write')
    .mockImplementation((t) => ((err += String(t)), true));
  const status = await main(['bench', '--plans', '--seed', 'lucky']);
  spy.mockRestore();
  expect(status).toBe(2);
  expect(err).toMatch(/--seed <number>.*must be a whole number/);
});
