/** Whether a piece that came off was ever hot enough to be eaten. */
import fc from 'fast-check';
import { MINUTE_MS, notSafe, type ReadingRow } from '@ostrin/core/internals';

const readings = (...coreC: (number | null)[]): ReadingRow[] =>
  coreC.map((c, i) => ({ at: i * 10 * MINUTE_MS, pitC: 120, coreC: c }));
const SHOULDER = { cut: 'pork-shoulder', done: { tender: true } } as const;
const CHICKEN = { cut: 'whole-chicken', done: { coreC: 74 } } as const;

it('says what was never hot, with what it has to reach', () => {
  expect(notSafe(SHOULDER, readings(4, 13))).toEqual({ why: 'cool', coreC: 13, safeC: 62.8 });
  expect(notSafe(CHICKEN, readings(40, 70))).toEqual({ why: 'cool', coreC: 70, safeC: 73.9 });
  expect(notSafe({ ...SHOULDER, injected: true }, readings(65))).toMatchObject({ safeC: 71.1 });
  expect(notSafe(CHICKEN, readings(70, 74))).toBeNull();
});

it('says where nobody looked, unless it felt tender; a bird is never tender enough to be safe', () => {
  expect(notSafe(SHOULDER, readings(null, null))).toEqual({ why: 'not-read', safeC: 62.8 });
  expect(notSafe(SHOULDER, [], true)).toBeNull();
  expect(notSafe(CHICKEN, [], true)).toMatchObject({ why: 'not-read' });
});

it('takes nothing for raw that was read long before it came off, unless it was raw then', () => {
  const offAt = (min: number): number => 10 * MINUTE_MS + min * MINUTE_MS;
  const why = (coreC: number, min: number) =>
    notSafe(SHOULDER, readings(20, coreC), false, offAt(min))?.why;
  expect([why(61, 0), why(61, 3), why(61, 5), why(45, 30), why(45, 40)]).toEqual([
    'cool',
    'cool',
    'not-read',
    'cool',
    'not-read',
  ]);
  expect(why(35, 300)).toBe('cool');
});

it('credits an intact piece with its minutes, and a roast with the middle that was wished for', () => {
  expect(notSafe(SHOULDER, readings(58, 60, 60, 60))).toBeNull();
  expect(notSafe(SHOULDER, readings(58, 60))).toMatchObject({ why: 'cool' });
  const roast = { cut: 'brisket', done: { coreC: 54 } };
  expect(notSafe(roast, readings(30, 53))).toBeNull();
  expect(notSafe(roast, readings(30, 45))).toMatchObject({ coreC: 45 });
});

it('reads a record of any length', () => {
  const [row] = readings(59);
  const days = Array.from({ length: 200_000 }, (_, i) => ({ ...row!, at: i * 1000 }));
  expect(notSafe(CHICKEN, days)).toMatchObject({ why: 'cool', coreC: 59 });
});

it('never calls a piece safe that read less than fifty degrees throughout (property)', () => {
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: -2, max: 50, noNaN: true }), { minLength: 1, maxLength: 60 }),
      fc.constantFrom(SHOULDER, CHICKEN),
      (coreC, meat) => notSafe(meat, readings(...coreC)) !== null,
    ),
  );
});
