/** Checks of a thermometer: its error, its drift, when it is due, and what boiling water reads. */
import fc from 'fast-check';
import {
  boilsAtC,
  boilsAtHPa,
  DAY_MS,
  driftOf,
  dueAt,
  offsetOf,
  spreadOf,
  USUAL_DUE_DAYS,
  type InstrumentCheck,
} from '@ostrin/core/internals';

const NOW = Date.UTC(2027, 4, 1);
const check = (days: number, offK: number, trueC = 0): InstrumentCheck => ({
  at: NOW + days * DAY_MS,
  against: trueC === 0 ? 'ice' : 'boiling',
  readsC: trueC + offK,
  trueC,
});

it('is off by the mean of its last day of checks, whatever it was before', () => {
  expect(offsetOf([])).toBeNull();
  expect(offsetOf([check(0, 9), check(200, 1), check(200.1, 2, 99)])).toBeCloseTo(1.5, 9);
  expect(spreadOf([check(0, 1), check(0.02, 4, 99)])).toBeCloseTo(3, 9);
  expect(spreadOf([check(0, 1)])).toBe(0);
});

it('drifts by the line through its checks, and says nothing of too few', () => {
  expect(driftOf([check(0, 1), check(365, 3)])).toBeNull();
  expect(driftOf([check(0, 1), check(2, 1.5), check(4, 2)])).toBeNull();
  fc.assert(
    fc.property(
      fc.double({ min: -4, max: 4, noNaN: true }),
      fc.double({ min: -6, max: 6, noNaN: true }),
      fc.uniqueArray(fc.integer({ min: 0, max: 30 }), { minLength: 3, maxLength: 8 }),
      (perYear, first, months) => {
        fc.pre(Math.max(...months) - Math.min(...months) >= 2);
        const checks = months.map((m) => check(30 * m, first + (perYear * 30 * m) / 365.25));
        expect(driftOf(checks)).toBeCloseTo(perYear, 6);
      },
    ),
  );
});

it('is due half a year after its last check, and now where it never was checked', () => {
  expect(dueAt(null)).toBeNull();
  expect(dueAt(NOW)).toBe(NOW + USUAL_DUE_DAYS * DAY_MS);
  expect(dueAt(NOW, 90)).toBe(NOW + 90 * DAY_MS);
});

it('boils by the pressure of the air as by the height that goes with it', () => {
  expect(boilsAtHPa(1013.25)).toBeCloseTo(100, 6);
  // ICAO standard atmosphere: 898.7 hPa at 1000 m.
  expect(boilsAtHPa(898.7)).toBeCloseTo(boilsAtC(1000), 1);
});
