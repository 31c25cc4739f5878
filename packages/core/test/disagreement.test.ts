/** Two thermometers at one place that do not agree. */
import { boilsAtC, disagreement } from '@ostrin/core/internals';

const T0 = Date.UTC(2027, 4, 15, 8);

describe('two thermometers', () => {
  const told = (name: string, c: number, checkedAt: number | null = null) => ({
    name,
    c,
    checkedAt,
  });

  it('that differ by more than good ones do are named, with the one that was checked trusted', () => {
    expect(disagreement([told('a', 121), told('b', 118)], 0)).toBeNull();
    expect(disagreement([told('a', 121), told('b', 112)], 0)).toMatchObject({
      byK: 9,
      between: ['a', 'b'],
      trusted: null,
    });
    expect(disagreement([told('a', 121), told('b', 112, T0)], 0)!.trusted).toEqual({
      name: 'b',
      because: 'only-one-checked',
    });
    expect(disagreement([told('a', 121, T0 + 1), told('b', 112, T0)], 0)!.trusted).toEqual({
      name: 'a',
      because: 'checked-later',
    });
  });

  it('are held into boiling water, which is colder on a mountain', () => {
    expect(boilsAtC(0)).toBeCloseTo(100, 0);
    expect(boilsAtC(1500)).toBeCloseTo(95, 0);
  });
});
