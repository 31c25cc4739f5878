import fc from 'fast-check';
import {
  ascending,
  epochOf,
  fromC,
  fromKg,
  knownZone,
  lettersIn,
  localOf,
  normalShareBelow,
  quantile,
  roundTo,
  seeded,
  shortened,
  seedFrom,
  toC,
  toKg,
} from '@ostrin/core/internals';

describe('units', () => {
  it('turns a unit there and back', () => {
    fc.assert(
      fc.property(fc.double({ min: -100, max: 2000, noNaN: true }), (v) => {
        expect(toC(fromC(v, 'F'), 'F')).toBeCloseTo(v, 6);
        expect(toKg(fromKg(v, 'lb'), 'lb')).toBeCloseTo(v, 6);
      }),
    );
  });

  it('knows the usual points', () => {
    expect(fromC(121, 'F')).toBeCloseTo(249.8);
    expect(fromKg(1, 'lb')).toBeCloseTo(2.2046, 4);
    expect(roundTo(0.1 + 0.2, 0.1)).toBe(0.3);
  });
});

describe('chance', () => {
  it('knows what share of a normal lies below', () => {
    // Tables of the standard normal distribution.
    for (const [z, share] of [
      [-1.2816, 0.1],
      [0, 0.5],
      [0.6745, 0.75],
      [1.96, 0.975],
      [3, 0.99865],
    ] as const) {
      expect(Math.abs(normalShareBelow(z) - share)).toBeLessThan(0.001);
    }
  });

  it('repeats with its seed and differs with another', () => {
    const draw = (seed: number): number[] => Array.from({ length: 5 }, seeded(seed).next);
    expect(draw(7)).toEqual(draw(7));
    expect(draw(7)).not.toEqual(draw(8));
    expect(seedFrom('bosun')).not.toBe(seedFrom('bosum'));
  });

  it('has the moments it promises', () => {
    const random = seeded(1);
    const normals = Array.from({ length: 20000 }, random.normal);
    const mean = normals.reduce((a, b) => a + b) / normals.length;
    const variance = normals.reduce((a, b) => a + (b - mean) ** 2, 0) / normals.length;
    expect(mean).toBeCloseTo(0, 1);
    expect(variance).toBeCloseTo(1, 1);
    const spreads = ascending(Array.from({ length: 4001 }, () => random.logNormal(0.2)));
    expect(quantile(spreads, 0.5)).toBeCloseTo(1, 1);
  });

  it('takes quantiles within the data and in order', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -1e6, max: 1e6, noNaN: true }), { minLength: 1 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (list, p) => {
          const sorted = ascending(list);
          const q = quantile(sorted, p);
          expect(q).toBeGreaterThanOrEqual(sorted[0]!);
          expect(q).toBeLessThanOrEqual(sorted.at(-1)!);
        },
      ),
    );
    expect(quantile([1, 2, Infinity], 0.5)).toBe(2);
    expect(quantile([1, Infinity, Infinity], 1)).toBe(Infinity);
    expect(quantile([], 0.5)).toBeNaN();
  });
});

describe('clocks', () => {
  const zone = 'Europe/Ljubljana';

  it('turns a wall clock there and back, whatever the season', () => {
    for (const local of [
      '2027-01-15T08:00',
      '2027-07-15T23:45',
      '2028-02-29T12:00',
      '2027-03-28T05:00',
    ]) {
      expect(localOf(epochOf(local, zone), zone)).toBe(local);
    }
    expect(epochOf('2027-07-15T12:00', zone)).toBe(Date.UTC(2027, 6, 15, 10));
    expect(epochOf('2027-01-15T12:00', zone)).toBe(Date.UTC(2027, 0, 15, 11));
  });

  it('has an answer for the hour that is skipped and the hour that comes twice', () => {
    expect(epochOf('2027-03-28T02:30', zone)).toBe(Date.UTC(2027, 2, 28, 1, 30));
    expect(epochOf('2027-10-31T02:30', zone)).toBe(Date.UTC(2027, 9, 31, 0, 30));
  });

  it('knows zones and refuses nonsense', () => {
    expect(knownZone(zone)).toBe(true);
    expect(knownZone('Nowhere/Much')).toBe(false);
    expect(epochOf('soon', zone)).toBeNaN();
  });
});

it('letters are counted as people count them, and what is cut shows it', () => {
  expect(lettersIn('Žar pri čolnu')).toBe(13);
  expect(lettersIn('e\u0301')).toBe(1);
  expect(shortened('Mutton shoulder', 60)).toBe('Mutton shoulder');
  fc.assert(
    fc.property(fc.string({ unit: 'grapheme' }), fc.integer({ min: 1, max: 20 }), (text, most) => {
      const short = shortened(text, most);
      expect(lettersIn(short)).toBeLessThanOrEqual(most);
      if (lettersIn(text) > most) expect(short.endsWith('…')).toBe(true);
      else expect(short).toBe(text);
    }),
  );
});
