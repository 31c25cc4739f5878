/** Five of the sixty cases of `ostrin bench --plans`, so that a plan that gets worse is noticed at once. */
import { ruleOfThumbOperator } from './plans/ruleOfThumb';
import { runAllMethods } from './plans/methods';
import { cases } from './plans/requests';
import { pool } from './plans/table';

it('asks the same sixty, twelve a family', () => {
  const all = cases();
  expect(all).toHaveLength(60);
  expect(new Set(all.map((c) => c.id)).size).toBe(60);
  expect(JSON.stringify(cases())).toBe(JSON.stringify(all));
});

it('holds pits twice as near to their target as the rules of thumb, and does not run out', () => {
  const some = cases().filter((_, i) => i % 12 === 1);
  const went = some.map(runAllMethods);
  const plan = pool(went.map((w) => w.plan));
  const rules = pool(went.map((w) => w.rules));
  expect(plan.rmsK).toBeLessThan(0.5 * rules.rmsK);
  expect(plan.outOfBandMinPerCook).toBeLessThan(0.5 * rules.outOfBandMinPerCook);
  expect(plan.ranOut).toBe(0);
  expect(plan.inWindowFraction).toBeGreaterThan(rules.inWindowFraction);
});

it('closes down once by rule, then feeds by the clock and by the cold', () => {
  const fire = {
    arrangement: 'coal-bed',
    fuel: 'lump',
    massKg: 2,
    litMassKg: 2,
    litPlace: 'top',
    litAtMin: 0,
    woodChunks: [],
  } as const;
  const hand = ruleOfThumbOperator('offset-heavy', { ...fire, woodChunks: [] }, 120);
  const seen = { unlitKg: 0, litKg: 1, woodKg: 0, sinceLidMin: Infinity };
  const does = (atMin: number, pitC: number): string[] =>
    hand.decide({ ...seen, atMin, pitC }).map((a) => a.do);
  expect(does(0, 15)).toEqual(['set-vents']);
  expect(does(30, 90)).toEqual([]);
  expect(does(35, 112)).toEqual(['set-vents']);
  expect(does(70, 118)).toEqual(['add-fuel', 'door']);
  expect(does(80, 100)).toEqual([]);
  expect(does(85, 100)).toEqual(['add-fuel', 'door']);
  expect(does(87, 100)).toEqual([]);
});
