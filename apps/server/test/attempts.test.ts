/** How long guessing makes an address wait, on a clock that the test moves. */
import { Attempts } from '../src/access/attempts';

const ADDRESS = '192.0.2.7';
const wrong = () => Promise.resolve(null);
const right = () => Promise.resolve('cook');

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

/** Wrong codes, one after the other, each after the wait that the one before it brought. */
async function guesses(attempts: Attempts, waitsS: readonly number[]): Promise<void> {
  for (const waitS of waitsS) {
    expect(await attempts.check(ADDRESS, wrong)).toBeNull();
    if (waitS === 0) continue;
    jest.advanceTimersByTime(waitS * 1000 - 1);
    // While it waits, no code is looked at, not even the right one.
    const look = jest.fn(right);
    await expect(attempts.check(ADDRESS, look)).rejects.toMatchObject({
      status: 429,
      more: { retryAfterS: 1 },
    });
    expect(look).not.toHaveBeenCalled();
    jest.advanceTimersByTime(1);
  }
}

it('makes an address wait after five wrong codes, twice as long with each', async () => {
  const attempts = new Attempts();
  await guesses(attempts, [0, 0, 0, 0, 2, 4, 8, 16]);
  expect(await attempts.check(ADDRESS, right)).toBe('cook');
  // What was wrong before a right code is forgotten.
  await guesses(attempts, [0, 0, 0, 0, 2]);
});

it('lets another address in meanwhile, up to what a crew needs in a minute', async () => {
  const attempts = new Attempts();
  await guesses(attempts, [0, 0, 0, 0]);
  await attempts.check(ADDRESS, wrong);
  for (let i = 0; i < 55; i++) {
    expect(await attempts.check(`198.51.100.${i}`, right)).toBe('cook');
  }
  await expect(attempts.check('198.51.100.99', right)).rejects.toMatchObject({ status: 429 });
  jest.advanceTimersByTime(60_000);
  expect(await attempts.check('198.51.100.99', right)).toBe('cook');
});
