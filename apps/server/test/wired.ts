/** An instrument at a pit on which a real fire burns, for tests. */
import { randomUUID } from 'node:crypto';
import type { Reading } from '@ostrin/contract';
import { call, planFor } from './help';

/** A channel of an instrument. */
export const channel = (key: string, spot: string, more: object = {}) => ({
  key,
  spot,
  offsetK: 0,
  checkedAt: null,
  ...more,
});

/** An instrument with a token, at a pit of its own on which a real fire burns. */
export async function wiredAt(server: string, channels: object[]) {
  const id = `t${randomUUID().slice(0, 8)}`;
  const pitName = `pit ${id}`;
  const url = `${server}/api/instruments/${id}`;
  expect((await call(url, 'PUT', { name: id, pitName, channels })).status).toBe(201);
  const { token } = (await call(`${url}/token`, 'POST', {})).json as { token: string };
  const cookId = randomUUID();
  const cook = { name: 'Lunch', pitName, plan: planFor(), fire: 'real' };
  await call(`${server}/api/cooks/${cookId}`, 'PUT', cook);
  const tell = (body: unknown, type = 'application/json', bearer = token) =>
    call(`${server}/api/wire`, 'POST', body, {
      'Content-Type': type,
      Authorization: `Bearer ${bearer}`,
    });
  const readings = async (): Promise<Reading[]> =>
    (await call(`${server}/api/cooks/${cookId}`)).json.readings;
  return { id, url, token, cookId, tell, readings };
}
