/** The door: nothing for strangers, nothing for other pages, and each role what is its own. */
import { ROUTES, type Role } from '@ostrin/contract';
import fc from 'fast-check';
import { openApi } from '@ostrin/contract/openapi';
import { randomUUID } from 'node:crypto';
import http from 'node:http';
import { accessStore } from '../src';
import { roleMay } from '../src/access/guard';
import { begin, call, planFor, startServer, type TestServer } from './help';

const PASSCODE = 'larch-tongs-9';
let now = Date.UTC(2027, 4, 1);
let server: TestServer;
const at = (path: string): string => server.url + path;

beforeAll(async () => {
  const house = { home: true, secure: false, addresses: ['http://192.0.2.7:8642'] };
  server = await startServer(':memory:', () => now, { house, names: ['yard.example'] });
  await accessStore(server.db, () => now).setPasscode(PASSCODE);
});
afterAll(() => server.stop());

/** Signs a device in and returns its cookie. */
async function signIn(code: string, name = 'Anka', device = 'phone'): Promise<string> {
  const res = await fetch(at(ROUTES.signIn), {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ code, name, device }),
  });
  expect(res.status).toBe(200);
  return res.headers.get('set-cookie')!;
}
const key = (cookie: string): Record<string, string> => ({ Cookie: cookie.split(';')[0]! });

/** A request with any headers, which `fetch` would not let us set. */
function raw(
  path: string,
  headers: Record<string, string>,
  method = 'GET',
  body = '',
): Promise<number> {
  const { port } = new URL(server.url);
  return new Promise((done, failed) => {
    const req = http.request({ port, path, method, headers, host: '127.0.0.1' }, (res) => {
      res.resume();
      done(res.statusCode!);
    });
    req.on('error', failed);
    req.end(body);
  });
}

it('serves strangers the sign-in page and its assets, and nothing else of all there is', async () => {
  const { paths } = openApi() as { paths: Record<string, Record<string, unknown>> };
  const tried: string[] = [];
  for (const [path, methods] of Object.entries(paths)) {
    for (const method of Object.keys(methods).filter((m) => m !== 'parameters')) {
      if (path === ROUTES.signIn) continue;
      const body = method === 'get' || method === 'delete' ? undefined : {};
      const res = await call(at(path.replace('{id}', randomUUID())), method.toUpperCase(), body);
      tried.push(`${method} ${path} ${res.status}`);
      // An instrument signs in with its token and not on a page, and is told that.
      const title = path === ROUTES.wire ? expect.stringContaining('token') : 'Sign in first';
      expect(res.json).toEqual({ type: 'about:blank', title, status: 401 });
    }
  }
  expect(tried.length).toBeGreaterThan(25);
  for (const path of [
    '/',
    '/tend',
    '/index.html',
    '/_expo/static/js/web/entry.js',
    '/assets/x',
    '/sw.js',
  ]) {
    const res = await fetch(at(path), { redirect: 'manual' });
    expect([path, res.status === 302 || res.status === 401]).toEqual([path, true]);
  }
  expect(await raw('/api/pits', {}, 'HEAD')).toBe(401);
  for (const asset of [
    '/sign-in',
    '/sign-in/style.css',
    '/sign-in/script.js',
    '/sign-in/font.ttf',
  ]) {
    const res = await fetch(at(asset));
    expect(res.status).toBe(200);
    expect(await res.text()).not.toMatch(/192\.0\.2\.7|larch/);
  }
  const page = await (await fetch(at('/sign-in'))).text();
  expect(page).toMatch(/not encrypted/);
});

it('signs in with the passcode, however it is typed, by a cookie that no script reads', async () => {
  const cookie = await signIn(' LARCH tongs 9');
  expect(cookie).toMatch(/HttpOnly/);
  expect(cookie).toMatch(/SameSite=Strict/);
  const access = (await call(at(ROUTES.access), 'GET', undefined, key(cookie))).json;
  expect(access).toMatchObject({ home: true, me: { name: 'Anka', device: 'phone', role: 'cook' } });
  expect((await call(at(ROUTES.pits), 'GET', undefined, key(cookie))).status).toBe(200);
  await call(at(ROUTES.signOut), 'POST', {}, key(cookie));
  expect((await call(at(ROUTES.pits), 'GET', undefined, key(cookie))).status).toBe(401);
  const stored = await server.db('sessions').select();
  expect(JSON.stringify(stored)).not.toContain(cookie.split(/[=;]/)[1]);
});

it('signs out a device that is lost, ends its stream, and forgets one that was not seen for a season', async () => {
  const [mine, lost] = [await signIn(PASSCODE), await signIn(PASSCODE, 'Idris', 'old phone')];
  const stream = await fetch(at(ROUTES.events), { headers: key(lost) });
  const list = (await call(at(ROUTES.devices), 'GET', undefined, key(mine))).json as {
    id: string;
    device: string;
  }[];
  const { id } = list.find((d) => d.device === 'old phone')!;
  expect((await call(at(ROUTES.device(id)), 'DELETE', undefined, key(mine))).status).toBe(200);
  await stream.text();
  expect((await call(at(ROUTES.pits), 'GET', undefined, key(lost))).status).toBe(401);
  now += 91 * 86_400_000;
  expect((await call(at(ROUTES.pits), 'GET', undefined, key(mine))).status).toBe(401);
});

it('lets nobody in by guessing, and leaves the signed-in phone alone meanwhile', async () => {
  const mine = key(await signIn(PASSCODE));
  const guess = (n: number) =>
    call(at(ROUTES.signIn), 'POST', { code: `larch-tongs-${n + 10}`, name: 'x', device: 'y' });
  const answers: { status: number; json: { retryAfterS: number } }[] = [];
  for (let i = 0; i < 500; i += 50) {
    answers.push(...(await Promise.all(Array.from({ length: 50 }, (_, j) => guess(i + j)))));
    if (i % 100 === 0) {
      expect((await call(at(ROUTES.pits), 'GET', undefined, mine)).status).toBe(200);
    }
  }
  const wrong = answers.filter(({ status }) => status === 401);
  const refused = answers.filter(({ status }) => status === 429);
  expect(wrong.length + refused.length).toBe(500);
  // No more of one address were looked at, however many came at once, than it may get wrong before it waits.
  expect(wrong.length).toBeLessThanOrEqual(5 + 10);
  expect(refused.filter(({ json }) => !(json.retryAfterS > 0))).toEqual([]);
}, 120_000);

describe('hosts and pages', () => {
  const own = () => new URL(server.url).host;

  it('refuses names that are not its own', async () => {
    for (const host of [
      'evil.example',
      'evil.example:8642',
      '192.0.2.99',
      'localhost.evil.example',
    ]) {
      expect(await raw('/sign-in', { Host: host })).toBe(421);
    }
    for (const host of [own(), 'localhost', '127.0.0.1:1', 'yard.example:8642', 'YARD.example']) {
      expect(await raw('/sign-in', { Host: host })).toBe(200);
    }
  });

  it('lets another page neither write nor read', async () => {
    const local = await startServer();
    const { host, port } = new URL(local.url);
    const from = (headers: Record<string, string>, method = 'GET', path = '/api/pits') =>
      new Promise<number>((done) => {
        const req = http.request(
          {
            port,
            path,
            method,
            host: '127.0.0.1',
            headers: { Host: host, 'Content-Type': 'application/json', ...headers },
          },
          (res) => {
            expect(res.headers['access-control-allow-origin']).toBeUndefined();
            expect(res.headers['cross-origin-resource-policy']).toBe('same-origin');
            res.resume();
            done(res.statusCode!);
          },
        );
        req.end(method === 'GET' ? undefined : '{"fuelOnHand":[],"prices":[]}');
      });
    expect(await from({ Origin: local.url })).toBe(200);
    expect(await from({ Origin: local.url }, 'PUT', '/api/shelf')).toBe(200);
    expect(await from({ 'Sec-Fetch-Site': 'same-origin' })).toBe(200);
    for (const origin of ['http://evil.example', 'null', `https://${host}`, 'http://127.0.0.1:1']) {
      expect(await from({ Origin: origin })).toBe(403);
      expect(await from({ Origin: origin }, 'PUT', '/api/shelf')).toBe(403);
      expect(await from({ Origin: origin }, 'GET', '/api/events')).toBe(403);
    }
    expect(await from({ 'Sec-Fetch-Site': 'cross-site', 'Sec-Fetch-Mode': 'no-cors' })).toBe(403);
    // A link that somebody follows is their own doing.
    expect(await from({ 'Sec-Fetch-Site': 'cross-site', 'Sec-Fetch-Mode': 'navigate' })).toBe(200);
    await local.stop();
  });
});

describe('roles', () => {
  it('may do what is theirs and no more', async () => {
    now += 3_600_000;
    const fresh = await startServer(':memory:', () => now, {
      house: { home: true, secure: false, addresses: [] },
    });
    const door = accessStore(fresh.db, () => now);
    const cook = key(`ostrin_session=${await door.signIn('tablet', 'Pell', 'cook')}`);
    const helper = key(`ostrin_session=${await door.signIn('phone', 'Anka', 'helper')}`);
    const looker = key(`ostrin_session=${await door.signIn('phone', 'Idris', 'looker')}`);
    const id = randomUUID();
    const url = (path: string): string => fresh.url + path;
    const plan = { name: 'Lunch', pitName: 'pit', plan: planFor() };
    for (const who of [helper, looker]) {
      expect((await call(url(ROUTES.cook(id)), 'PUT', plan, who)).status).toBe(403);
      expect((await call(url(ROUTES.devices), 'GET', undefined, who)).status).toBe(403);
      expect((await call(url(ROUTES.invites), 'POST', { role: 'cook' }, who)).status).toBe(403);
      expect((await call(url(ROUTES.plan(id)), 'DELETE', undefined, who)).status).toBe(403);
      expect((await call(url(ROUTES.cooks), 'GET', undefined, who)).status).toBe(200);
    }
    expect((await call(url(ROUTES.cook(id)), 'PUT', plan, cook)).status).toBe(201);
    const note = () => ({
      entries: [
        { id: randomUUID(), at: Date.UTC(2027, 4, 15, 8), kind: 'note', text: 'hot', by: 'Nobody' },
      ],
    });
    expect((await call(url(ROUTES.entries(id)), 'POST', note(), looker)).status).toBe(403);
    // What somebody else logged on this device is asked about; who is signed in is who writes it.
    const asked = await call(url(ROUTES.entries(id)), 'POST', note(), helper);
    expect([asked.status, asked.json.confirmable]).toEqual([409, true]);
    expect(asked.json.title).toBe('Nobody logged this on this device, and Anka is signed in now');
    expect((await call(url(ROUTES.cook(id)), 'GET', undefined, cook)).json.entries).toEqual([]);
    const sure = { ...note(), confirmed: true };
    expect((await call(url(ROUTES.entries(id)), 'POST', sure, helper)).status).toBe(201);
    expect((await call(url(ROUTES.cook(id)), 'GET', undefined, cook)).json.entries[0].by).toBe(
      'Anka',
    );
    // The last cook stays one.
    const [me] = (await call(url(ROUTES.devices), 'GET', undefined, cook)).json.filter(
      (d: { role: string }) => d.role === 'cook',
    );
    const down = await call(url(ROUTES.device(me.id)), 'PUT', { role: 'looker' }, cook);
    expect(down.status).toBe(409);
    // An invitation gives its role, once, and not for ever.
    const invite = async () =>
      (await call(url(ROUTES.invites), 'POST', { role: 'helper' }, cook)).json.code as string;
    const code = await invite();
    expect(await door.roleFor(code.toUpperCase())).toBe('helper');
    expect(await door.roleFor(code)).toBeNull();
    const old = await invite();
    now += 16 * 60_000;
    expect(await door.roleFor(old)).toBeNull();
    await fresh.stop();
  });

  it('are decided by method and path alone', () => {
    for (const path of ['/api/cooks/x/entries', '/api/cooks/x/entries/']) {
      expect(roleMay('helper', 'POST', path)).toBe(true);
      expect(roleMay('helper', 'DELETE', path)).toBe(false);
      expect(roleMay('looker', 'POST', path)).toBe(false);
    }
    expect(roleMay('helper', 'POST', '/api/cooks/x/y/entries')).toBe(false);
    expect(roleMay('helper', 'PUT', '/api/shelf')).toBe(false);
  });
});

it('roles are the same for every route in every spelling that the server takes for it (property)', () => {
  const paths = Object.values(ROUTES).map((r) => (typeof r === 'string' ? r : r('x', 'y')));
  fc.assert(
    fc.property(
      fc.constantFrom(...paths),
      fc.constantFrom('GET', 'HEAD', 'POST', 'PUT', 'DELETE'),
      fc.constantFrom<Role>('cook', 'helper', 'looker'),
      fc.nat(),
      fc.constantFrom('', '/'),
      (path, method, role, upper, end) => {
        const spelt = [...path]
          .map((c, i) => ((upper >> (i % 30)) & 1 ? c.toUpperCase() : c))
          .join('');
        expect(roleMay(role, method, spelt + end)).toBe(roleMay(role, method, path));
      },
    ),
    { numRuns: 500 },
  );
  expect(roleMay('looker', 'GET', '/api/Record')).toBe(false);
});

it('a server for this machine alone has no devices to manage', async () => {
  const local = await startServer();
  await begin(local.url);
  expect((await call(local.url + ROUTES.access)).json).toEqual({
    home: false,
    secure: false,
    addresses: [],
    me: null,
  });
  expect((await call(local.url + ROUTES.devices)).status).toBe(404);
  expect((await call(local.url + ROUTES.signIn, 'POST', {})).status).toBe(404);
  await local.stop();
});
