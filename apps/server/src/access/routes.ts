/** Signing in and out, the devices of the house, and invitations. */
import { validate, RoleDto, SignInDto, type Access } from '@ostrin/contract';
import { DAY_MS } from '@ostrin/core/quantity';
import { stringifySetCookie } from 'cookie';
import { Router, type Request, type Response } from 'express';
import { invalid, missing, Problem } from '../http/problems';
import type { Hub } from '../live/hub';
import type { AccessStore } from './accessStore';
import { Attempts } from './attempts';
import { deviceOf, SESSION_COOKIE } from './guard';

/** How the server is open. */
export interface House {
  /** Whether the home network reaches it. */
  home: boolean;
  /** Whether what passes is encrypted. */
  secure: boolean;
  /** Addresses at which other devices find it. */
  addresses: string[];
}

/** The cookie outlives every session: the server decides when one ends. */
const COOKIE_S = (400 * DAY_MS) / 1000;

function setSession(res: Response, token: string, secure: boolean, maxAge: number): void {
  const cookie = { httpOnly: true, sameSite: 'strict', secure, path: '/', maxAge } as const;
  res.append('Set-Cookie', stringifySetCookie({ name: SESSION_COOKIE, value: token, ...cookie }));
}

/** The route by which a device signs in: open to all, and slow to guess at. */
export function signInRoute(store: AccessStore, house: House): Router {
  const router = Router();
  const attempts = new Attempts();
  router.post('/sign-in', async (req, res) => {
    const checked = validate(SignInDto, req.body);
    if (!checked.ok) throw invalid(checked.problems);
    const { code, name, device } = checked.value;
    const address = req.socket.remoteAddress ?? '';
    const role = await attempts.check(address, () => store.roleFor(code));
    if (role === null) {
      throw new Problem(401, 'That is not the passcode', [
        { field: 'code', message: 'is not the passcode, nor an invitation that still holds' },
      ]);
    }
    setSession(res, await store.signIn(device.trim(), name.trim(), role), house.secure, COOKIE_S);
    res.json({ role });
  });
  return router;
}

/** Routes under /api/access for who is signed in; on a server for this machine alone there is nothing to manage. */
export function accessRoutes(store: AccessStore, house: House, hub: Hub): Router {
  const router = Router();
  router.get('/', (req, res) => {
    const access: Access = { ...house, me: deviceOf(req) };
    res.json(access);
  });
  router.post('/sign-out', async (req, res) => {
    const me = deviceOf(req);
    if (me) await store.signOut(me.id);
    if (me) hub.endOf(me.id);
    setSession(res, '', house.secure, 0);
    res.json({});
  });
  if (house.home) addDevices(router, store, hub);
  return router;
}

function addDevices(router: Router, store: AccessStore, hub: Hub): void {
  router.get('/devices', async (_req, res) => {
    res.json(await store.devices());
  });
  router.put('/devices/:id', async (req, res) => {
    const checked = validate(RoleDto, req.body);
    if (!checked.ok) throw invalid(checked.problems);
    const { role } = checked.value;
    await keepOneCook(store, req, role !== 'cook');
    if (!(await store.setRole(req.params.id, role))) throw missing('device');
    res.json({ id: req.params.id, role });
  });
  router.delete('/devices/:id', async (req, res) => {
    await keepOneCook(store, req, true);
    if (!(await store.signOut(req.params.id))) throw missing('device');
    hub.endOf(req.params.id);
    res.json({ id: req.params.id });
  });
  router.post('/invites', async (req, res) => {
    const checked = validate(RoleDto, req.body);
    if (!checked.ok) throw invalid(checked.problems);
    res.status(201).json(await store.invite(checked.value.role));
  });
}

/** Throws 409 where the last device that may do everything would lose that. */
async function keepOneCook(store: AccessStore, req: Request, loses: boolean): Promise<void> {
  if (!loses) return;
  const cooks = (await store.devices()).filter((d) => d.role === 'cook');
  if (cooks.length === 1 && cooks[0]!.id === req.params.id) {
    throw new Problem(409, 'This is the last device of a cook: somebody must stay one');
  }
}
