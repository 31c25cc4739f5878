/** The clock of a practice cook. */
import { begin, call, startServer, until, type TestServer } from './help';

let server: TestServer;
beforeAll(async () => {
  server = await startServer(':memory:', () => Date.UTC(2027, 4, 1));
});
afterAll(() => server.stop());

it('skips ahead by its practice clock, reads all of it, and never goes back', async () => {
  const id = await begin(server.url, { pitName: 'skips' });
  const url = `${server.url}/api/cooks/${id}`;
  const { json } = await call(url);
  const from = json.clock.cookMs as number;
  const skip = (to: number) => call(`${url}/clock`, 'PUT', { speed: 1, skipTo: to });
  const skipped = await skip(from + 3 * 3_600_000);
  expect(skipped.json).toMatchObject({ cookMs: from + 3 * 3_600_000, speed: 1 });
  await until(async () => {
    const last = (await call(url)).json.readings.at(-1)?.at as number | undefined;
    return last !== undefined && from + 3 * 3_600_000 - last < 60_000;
  });
  expect((await call(url)).json.readings.length).toBeGreaterThan(300);
  expect((await skip(from)).json.errors).toEqual([
    { field: 'skipTo', message: 'must not lie before the clock of the cook' },
  ]);
  expect((await skip(from + 40 * 3_600_000)).json.errors[0].field).toBe('skipTo');
});
