/** What stands before every request: the right host, no foreign origin, a signed-in device, and its role. */
import type { Device, Role } from '@ostrin/contract';
import { parseCookie } from 'cookie';
import type { Request, RequestHandler } from 'express';
import { Problem } from '../http/problems';
import type { AccessStore } from './accessStore';

export const SESSION_COOKIE = 'ostrin_session';

/** The device behind each request that passed the guard. */
const devices = new WeakMap<Request, Device>();

/** The device that made a request; null on a server for this machine alone. */
export const deviceOf = (req: Request): Device | null => devices.get(req) ?? null;

/** The name in a Host header, without its port. */
const hostName = (host: string): string => host.replace(/:\d+$/, '').toLowerCase();

/** Lets through only what names one of our own hosts: a foreign name that leads here is a trap. */
export const ownHost =
  (isOwn: (name: string) => boolean): RequestHandler =>
  (req, _res, next) => {
    const host = req.headers.host ?? '';
    next(isOwn(hostName(host)) ? undefined : new Problem(421, 'This server has another name'));
  };

/** Lets through no request that a page of another origin makes: neither to read nor to write. */
export const ownOrigin: RequestHandler = (req, _res, next) => {
  const { origin, host } = req.headers;
  const site = req.headers['sec-fetch-site'];
  const foreignPage = origin !== undefined && !isOwnOrigin(origin, host ?? '', req.secure);
  // Somebody may follow a link to here, but no page may load anything from here.
  const followed = req.method === 'GET' && req.headers['sec-fetch-mode'] === 'navigate';
  const foreignSite =
    (site === 'cross-site' || site === 'same-site') && !(followed && origin === undefined);
  next(foreignPage || foreignSite ? new Problem(403, 'Not from another page') : undefined);
};

const isOwnOrigin = (origin: string, host: string, secure: boolean): boolean =>
  origin.toLowerCase() === `${secure ? 'https' : 'http'}://${host}`.toLowerCase();

/** Lets through who is signed in; others are sent to sign in. */
export function signedIn(store: AccessStore): RequestHandler {
  return async (req, res, next) => {
    const token = parseCookie(req.headers.cookie ?? '')[SESSION_COOKIE];
    const device = token ? await store.deviceFor(token) : null;
    if (device) {
      devices.set(req, device);
      next();
    } else if (!req.path.startsWith('/api') && req.method === 'GET' && req.accepts('html')) {
      res.set('Cache-Control', 'no-store').redirect(302, '/sign-in');
    } else next(new Problem(401, 'Sign in first'));
  };
}

/** What a looker may do beside reading: sign out. A helper may log too. */
const LOOKER_MAY = [/^POST \/api\/access\/sign-out$/];
const HELPER_MAY = [...LOOKER_MAY, /^POST \/api\/cooks\/[^/]+\/(entries|photographs|probes)$/];

/** Whether a role may make a request. */
export function roleMay(role: Role, method: string, asked: string): boolean {
  if (role === 'cook') return true;
  // Routes match whatever the case of their letters, and so do roles.
  const path = asked.toLowerCase().replace(/\/+$/, '');
  if (path.startsWith('/api/access/devices') || path.startsWith('/api/record')) return false;
  if (method === 'GET' || method === 'HEAD') return true;
  const may = role === 'helper' ? HELPER_MAY : LOOKER_MAY;
  return may.some((m) => m.test(`${method} ${path}`));
}

/** Lets through what the device's role may do. */
export const roleAllows: RequestHandler = (req, _res, next) => {
  const device = deviceOf(req);
  next(
    !device || roleMay(device.role, req.method, req.path)
      ? undefined
      : new Problem(403, `A ${device.role} may not do that`),
  );
};
