import {
  splitFeedsFor,
  splitFeedOutcome,
  charcoalFor,
  MILD_DAY,
  settlingMinutes,
  settledAtC,
  ventCard,
  ventsFor,
  type SteadyCase,
} from '@ostrin/core/internals';
import { pit, vents } from './scenarios';

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

describe('fuel for so many hours', () => {
  it('gives more for longer, lasts as long as asked, and says when it does not fit', () => {
    const six = charcoalFor(6, of('kettle-57'), 0.25, 0.5);
    const eight = charcoalFor(8, of('kettle-57'), 0.25, 0.5);
    expect(eight.massKg).toBeGreaterThan(six.massKg);
    expect(six.lastsHours).toBeGreaterThanOrEqual(6);
    expect(six.lastsHours).toBeLessThan(6.6);
    expect(six.arcDegrees).toBeGreaterThan(90);
    const endless = charcoalFor(20, of('kettle-57'), 0.25, 0.5);
    expect(endless.enough).toBe(false);
    expect(endless.lastsHours).toBeLessThan(20);
    const bowl = charcoalFor(9, of('kamado-46'), 0.085, 0.2);
    expect(bowl.arcDegrees).toBeNull();
    expect(bowl.lastsHours).toBeGreaterThanOrEqual(9);
  });
});

describe('splits for a target', () => {
  it('holds the mean with each way it offers, heavier where rarer', () => {
    const { value } = finish(splitFeedsFor(135, of('offset-light')));
    expect(value.length).toBeGreaterThan(2);
    for (const f of value) {
      const again = splitFeedOutcome(of('offset-light'), f, 1, 1);
      expect(Math.abs(again.meanC - 135)).toBeLessThan(3);
    }
    const byInterval = [...value].sort((a, b) => a.intervalMin - b.intervalMin);
    expect(byInterval.at(-1)!.massKg).toBeGreaterThan(byInterval[0]!.massKg);
  });

  it('offers nothing for a target no split reaches', () => {
    expect(finish(splitFeedsFor(420, of('offset-heavy'))).value).toEqual([]);
  });
});

describe('settling', () => {
  it('takes a ceramic pit far longer to come down than a steel one', () => {
    const down = (preset: string): number | null =>
      settlingMinutes(
        pit(preset, [vents(0, 0.4, 0.6), vents(120, 0.1, 0.25)], { untilMin: 480 }),
        120,
      );
    const ceramic = down('kamado-46');
    const steel = down('kettle-57');
    expect(steel).not.toBeNull();
    expect(ceramic ?? Infinity).toBeGreaterThan(steel!);
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
