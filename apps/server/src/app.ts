/** The one server: API and app on one port. */
import { openApi } from '@ostrin/contract/openapi';
import compression from 'compression';
import express, { type Express, type Request, type Response, type Router } from 'express';
import helmet from 'helmet';
import type { Knex } from 'knex';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import { accessStore } from './access/accessStore';
import { ownHost, ownOrigin, deviceOf, roleAllows, signedIn } from './access/guard';
import { isOwnName } from './access/house';
import { accessRoutes, signInRoute, type House } from './access/routes';
import { signInPage } from './access/signInPage';
import { jsonBody, rawBody, textBody } from './http/jsonBody';
import { sameLevel } from './http/level';
import { noRoute, tellProblem } from './http/problems';
import { CookClocks } from './live/cookClocks';
import { CookWatch } from './live/cookWatch';
import { Hub } from './live/hub';
import { oneAfterAnother } from './live/inTurn';
import { WireIntake } from './live/wireIntake';
import { beginRoutes, cookRoutes, type CookServices } from './routes/cooks';
import { importRoutes } from './routes/imports';
import { demoRoutes } from './routes/demo';
import { instrumentRoutes } from './routes/instruments';
import { photographStore } from './photographs/photographStore';
import type { RecordStores } from './record/writeArchive';
import { photographRoutes } from './routes/photographs';
import { pitRoutes } from './routes/pits';
import { recordRoutes } from './routes/record';
import { savedPlanRoutes, shelfRoutes } from './routes/savedPlans';
import { wireRoutes } from './routes/wire';
import { besideDatabase } from './store/beside';
import { cookStore } from './store/cooks';
import { instrumentStore, type InstrumentStore } from './store/instruments';
import { pitStore } from './store/pits';
import { savedPlanStore, shelfStore } from './store/savedPlans';
import type { Pools } from './workers/pools';

export interface AppOptions {
  db: Knex;
  logger: Logger;
  pools: Pools;
  /** The file of the database; left out for a scratch one. */
  file?: string;
  /** Where photographs lie; beside the database when left out. */
  photographFolder?: string;
  /** Folder of the web export; left out in tests of the API alone. */
  webDir?: string;
  now?: () => number;
  /** How the server is open; left out: to this machine alone. */
  house?: House;
  /** Names under which this machine is reached, beside its own; lower case. */
  names?: readonly string[];
  /** The certificate of the authority of this house, PEM; null where there is none. */
  authority?: string | null;
}

/** Where the photographs of a database lie: beside it, under its name; those of a scratch one in a folder of the system. */
export const photographFolder = (file?: string): string =>
  file === undefined
    ? path.join(tmpdir(), `ostrin-photographs-${process.pid}`)
    : besideDatabase(file, 'photographs');

const THIS_MACHINE: House = { home: false, secure: false, addresses: [] };

/** What bodies may be: a cook of the past with all it holds, plans of all pits, and everything else. */
const LIMITS = {
  import: { bytes: 64_000_000 },
  begin: { bytes: 5_000_000, values: 200_000 },
  other: { bytes: 1_000_000, values: 20_000 },
  signIn: { bytes: 2_000, values: 10 },
};

/** Everything a server needs, wired; `clocks.start()` begins the ticking. */
export function createApp(options: AppOptions): {
  app: Express;
  clocks: CookClocks;
  hub: Hub;
  instruments: InstrumentStore;
  intake: WireIntake;
  watch: CookWatch;
} {
  const { db, logger, pools, house = THIS_MACHINE, now = Date.now } = options;
  const store = cookStore(db);
  const hub = new Hub();
  const clocks = new CookClocks(store, hub, pools, now, (err, cook) =>
    logger.error({ err, cook }, 'a pit could not be read'),
  );
  const instruments = instrumentStore(db);
  const services: CookServices = {
    store,
    instruments,
    clocks,
    hub,
    pools,
    inTurn: oneAfterAnother(),
  };
  const watch = new CookWatch(store, clocks, pools, hub, (err) =>
    logger.error({ err }, 'a cook could not be watched'),
  );
  const intake = new WireIntake(instruments, store, clocks, hub, oneAfterAnother());
  const app = express();
  app.set('env', 'production');
  app.disable('x-powered-by');
  app.use(
    pinoHttp({
      logger,
      autoLogging: { ignore: (req) => req.url === '/api/health' },
      // Headers carry the keys of sessions: they are nobody's to read.
      serializers: {
        req: ({ method, url }: Request) => ({ method, url }),
        res: ({ statusCode }: Response) => ({ statusCode }),
      },
    }),
  );
  app.use(headers(house.secure, options.authority == null));
  app.use(ownHost(isOwnName(options.names ?? [])), ownOrigin);
  app.use('/api', sameLevel);
  app.use(
    compression({
      filter: (req, res) =>
        !String(res.getHeader('Content-Type')).startsWith('text/event-stream') &&
        compression.filter(req, res),
    }),
  );

  // Instruments have tokens of their own: they come before the guard of the house.
  app.use('/api/wire', wireRoutes({ instruments, intake, pools, now }));
  const access = accessStore(db, now);
  if (house.home) {
    app.use('/sign-in', signInPage(house.secure, options.authority ?? null));
    app.use('/api/access/sign-in', jsonBody(LIMITS.signIn));
    app.use('/api/access', signInRoute(access, house));
    app.use(signedIn(access), roleAllows);
  }
  app.get('/api/events', (req, res) => hub.watch(null, req, res, deviceOf(req)?.id));
  addApi(app, services, options, accessRoutes(access, house, hub));
  if (options.webDir) serveWeb(app, options.webDir);
  app.use(tellProblem);
  return { app, clocks, hub, instruments, intake, watch };
}

/** The API behind the guard. */
function addApi(
  app: Express,
  services: CookServices,
  { db, file, now = Date.now, photographFolder: given }: AppOptions,
  access: Router,
): void {
  const { hub, store, instruments } = services;
  const folder = given ?? photographFolder(file);
  const stores: RecordStores = {
    cooks: store,
    pits: pitStore(db),
    plans: savedPlanStore(db),
    shelf: shelfStore(db),
    instruments,
    photographs: photographStore(db, folder),
  };
  // Pictures, archives and large documents come before what reads JSON.
  const { photographs } = stores;
  app.use('/api/cooks', photographRoutes({ ...services, photographs, now }));
  app.use(
    '/api/record',
    recordRoutes({ ...services, db, file: file ?? null, folder, stores, now }),
  );
  app.use('/api/imports', rawBody(LIMITS.import.bytes), importRoutes(services));
  app.post('/api/cooks', textBody(LIMITS.begin));
  app.put('/api/cooks/:id', textBody(LIMITS.begin));
  app.use('/api/cooks', beginRoutes(services));
  app.use('/api', jsonBody(LIMITS.other));
  app.get('/api', (_req, res) => {
    res.json(openApi());
  });
  app.get('/api/health', (_req, res) => {
    res.json({ ok: true });
  });
  app.use('/api/access', access);
  app.use('/api/pits', pitRoutes(stores.pits, store, hub));
  app.use('/api/plans', savedPlanRoutes(stores.plans, hub, now));
  app.use('/api/shelf', shelfRoutes(stores.shelf, hub));
  app.use('/api/demo', demoRoutes(db, photographs, hub));
  app.use('/api/instruments', instrumentRoutes(instruments, store, hub));
  app.use('/api/cooks', cookRoutes(services));
  app.get('/api/next-time', async (_req, res) => {
    res.json(await store.nextTime());
  });
  app.use('/api', noRoute);
}

const headers = (secure: boolean, forGood: boolean) =>
  helmet({
    contentSecurityPolicy: {
      directives: {
        'default-src': ["'self'"],
        'script-src': ["'self'"],
        'worker-src': ["'self'", 'blob:'],
        'style-src': ["'self'", "'unsafe-inline'"],
        'img-src': ["'self'", 'data:'],
        'font-src': ["'self'"],
        'connect-src': ["'self'"],
        'upgrade-insecure-requests': null,
      },
    },
    // Only with a given certificate: one that was made here may be gone tomorrow.
    strictTransportSecurity: secure && forGood,
    // A page that came over plain HTTP from another device is refused these by the browser.
    crossOriginOpenerPolicy: secure,
    originAgentCluster: secure,
  });

/** The web export: hashed files for ever, the page for every other path. */
function serveWeb(app: Express, webDir: string): void {
  const forever = { fallthrough: false, immutable: true, maxAge: '365d' };
  app.use('/_expo', express.static(path.join(webDir, '_expo'), forever));
  app.use('/assets', express.static(path.join(webDir, 'assets'), forever));
  app.use(express.static(webDir, { index: false, maxAge: 0 }));
  app.get('/sw.js', (_req, res) => res.sendStatus(404));
  app.get('/{*path}', (_req, res) => {
    res.sendFile('index.html', { root: webDir, cacheControl: false });
  });
}
