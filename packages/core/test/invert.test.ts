import { MILD_DAY, settledAtC, ventCard, ventsFor, type SteadyCase } from '@ostrin/core/internals';

const finish = <T>(work: Generator<number, T>): { value: T; shares: number[] } => {
  const shares: number[] = [];
  for (;;) {
    const step = work.next();
    if (step.done) return { value: step.value, shares };
    shares.push(step.value);
  }
};
const of = (preset: string): SteadyCase => ({ preset, overrides: {}, weather: MILD_DAY });

describe('vents for a target', () => {
  it.each([
    ['kettle-57', 121],
    ['kamado-46', 110],
    ['hopper-damper', 130],
  ])('%s at %d C', (preset, target) => {
    const { value, shares } = finish(ventsFor(target, of(preset)));
    expect(value.pairs.length).toBeGreaterThan(1);
    for (const p of value.pairs) {
      const c = settledAtC(of(preset), p.intakeFraction, p.exhaustFraction);
      expect(Math.abs(c - target)).toBeLessThan(4);
      expect(p.bandC[0]).toBeLessThan(p.bandC[1]);
      expect(p.bandC[0]).toBeLessThanOrEqual(c + 1);
    }
    expect(value.unreachable).toBeNull();
    for (let i = 1; i < shares.length; i++)
      expect(shares[i]).toBeGreaterThanOrEqual(shares[i - 1]!);
  });

  it('says when a target is out of reach, and how far it gets', () => {
    const { value } = finish(ventsFor(320, of('kettle-57')));
    expect(value.pairs).toEqual([]);
    expect(value.unreachable).toEqual({ high: true, settlesC: value.reachC[1] });
  });
});

describe('the vent card', () => {
  it('has a row a setting and a temperature a day, warmer on warm days for a kettle', () => {
    const { value, shares } = finish(ventCard(of('kettle-57')));
    expect(value.days).toHaveLength(4);
    expect(value.rows.length).toBeGreaterThan(4);
    for (const row of value.rows) {
      expect(row.settlesC).toHaveLength(4);
      expect(row.settlesC[0]).toBeGreaterThan(row.settlesC[2]!);
    }
    expect(shares.at(-1)).toBeCloseTo(1);
  });

  it('shows set points for a fan, each held', () => {
    const { value } = finish(ventCard(of('hopper-fan')));
    const row = value.rows.find((r) => r.targetC === 121)!;
    for (const c of row.settlesC) expect(Math.abs(c - 121)).toBeLessThan(4);
  });
});
