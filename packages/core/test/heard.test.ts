/** What is heard and read of a cook from one moment to the next: alarms that flicker, windows that would jump. */
import {
  callOut,
  MINUTE_MS,
  steadied,
  type Alarm,
  type Forecast,
  type Known,
} from '@ostrin/core/internals';
import fc from 'fast-check';

const alarm = (id: string): Alarm => ({ id, code: id.split('/')[0] as Alarm['code'], inMin: 0 });

/** How often each alarm calls when these are up, minute by minute. */
function callsIn(minutes: readonly (readonly string[])[]): Record<string, number> {
  const calls: Record<string, number> = {};
  let known: Known = new Map();
  minutes.forEach((ids, min) => {
    const heard = callOut(known, ids.map(alarm), min * MINUTE_MS);
    known = heard.known;
    for (const { id } of heard.calling) calls[id] = (calls[id] ?? 0) + 1;
  });
  return calls;
}
const during = (length: number, ids: (min: number) => readonly string[]) =>
  Array.from({ length }, (_, min) => ids(min));

describe('an alarm', () => {
  it('calls once while it is up, and while it flickers', () => {
    expect(callsIn(during(60, () => ['fire-out']))).toEqual({ 'fire-out': 1 });
    const flickering = during(60, (min) => (min % 9 < 3 ? ['job-due/wrap'] : []));
    expect(callsIn(flickering)).toEqual({ 'job-due/wrap': 1 });
  });

  it('calls again once it was gone for a while, a danger sooner', () => {
    const upAt = (...at: number[]) =>
      during(40, (min) => (at.includes(min) ? ['fire-out', 'near-wrap/a'] : []));
    expect(callsIn(upAt(0, 12))).toEqual({ 'fire-out': 2, 'near-wrap/a': 1 });
    expect(callsIn(upAt(0, 25))).toEqual({ 'fire-out': 2, 'near-wrap/a': 2 });
  });
});

/** Only what windows are followed by: the rest of a forecast takes no part. */
const forecastOf = (readyMin: Forecast['readyMin'], deeds = 3, fromMin = 200): Forecast =>
  ({ readyMin, deeds, fromMin }) as Forecast;
const next = (was: Forecast, is: Forecast): Forecast['readyMin'] =>
  steadied({ a: was }, { a: is })['a']!.readyMin;

describe('a window', () => {
  it('follows slowly where nothing was done, and at once where something was', () => {
    const was = forecastOf([400, 450, 520]);
    const is: [number, number, number] = [500, 600, 700];
    expect(next(was, forecastOf(is))).toEqual([445, 495, 565]);
    expect(next(was, forecastOf(is, 4))).toEqual(is);
    expect(next(was, forecastOf(null))).toBeNull();
    expect(next(forecastOf(null), forecastOf(is))).toEqual(is);
  });

  it('does not tremble, and is as fine as it is near', () => {
    const was = forecastOf([400, 450, 520]);
    expect(next(was, forecastOf([404, 446, 528]))).toEqual([400, 450, 520]);
    const near = forecastOf([210, 220, 240]);
    expect(next(near, forecastOf([206, 215, 236]))).toEqual([206, 215, 236]);
  });

  it('stays in order, comes to what is expected, and never lies in the past', () => {
    const window = fc
      .tuple(...[0, 1, 2].map(() => fc.integer({ min: 150, max: 900 })))
      .map((w) => w.sort((a, b) => a - b) as [number, number, number]);
    fc.assert(
      fc.property(window, window, (from, to) => {
        let at = forecastOf(from);
        for (let i = 0; i < 20; i++) {
          const got = next(at, forecastOf(to))!;
          expect([...got].sort((a, b) => a - b)).toEqual(got);
          got.forEach((m) => expect(m).toBeGreaterThanOrEqual(Math.min(200, to[0])));
          at = forecastOf(got);
        }
        at.readyMin!.forEach((m, i) => expect(Math.abs(m - to[i]!)).toBeLessThanOrEqual(20));
      }),
    );
  });
});
