/** The one server: API and app on one port. */
import { openApi } from '@ostrin/contract/openapi';
import compression from 'compression';
import express, { type Express } from 'express';
import helmet from 'helmet';
import type { Knex } from 'knex';
import path from 'node:path';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import { Hub } from './live/hub';
import { CookClocks } from './live/cookClocks';
import { jsonOnly, noRoute, tellProblem } from './problems';
import { cookRoutes } from './routes/cooks';
import { importRoutes } from './routes/imports';
import { savedPlanRoutes, shelfRoutes } from './routes/savedPlans';
import { pitRoutes } from './routes/pits';
import { cookStore } from './store/cooks';
import { savedPlanStore, shelfStore } from './store/savedPlans';
import { pitStore } from './store/pits';

export interface AppOptions {
  db: Knex;
  logger: Logger;
  /** Folder of the web export; left out in tests of the API alone. */
  webDir?: string;
  now?: () => number;
}

/** Everything a server needs, wired; `clocks.start()` begins the ticking. */
export function createApp(options: AppOptions): { app: Express; clocks: CookClocks; hub: Hub } {
  const { db, logger } = options;
  const store = cookStore(db);
  const hub = new Hub();
  const now = options.now ?? Date.now;
  const clocks = new CookClocks(store, hub, now, (err) => logger.error({ err }, 'tick failed'));
  const app = express();
  app.disable('x-powered-by');
  app.use(pinoHttp({ logger, autoLogging: { ignore: (req) => req.url === '/api/health' } }));
  app.use(
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
      strictTransportSecurity: false,
    }),
  );
  app.use(
    compression({
      filter: (req, res) =>
        !String(res.getHeader('Content-Type')).startsWith('text/event-stream') &&
        compression.filter(req, res),
    }),
  );

  app.use('/api', jsonOnly);
  app.use('/api/imports', express.json({ limit: '16mb' }), importRoutes(store));
  app.use('/api', express.json({ limit: '1mb' }));
  app.get('/api', (_req, res) => {
    res.json(openApi());
  });
  app.get('/api/health', (_req, res) => {
    res.json({ ok: true });
  });
  app.use('/api/pits', pitRoutes(pitStore(db)));
  app.use('/api/plans', savedPlanRoutes(savedPlanStore(db), now));
  app.use('/api/shelf', shelfRoutes(shelfStore(db)));
  app.use('/api/cooks', cookRoutes({ store, clocks, hub }));
  app.use('/api', noRoute);

  if (options.webDir) serveWeb(app, options.webDir);
  app.use(tellProblem);
  return { app, clocks, hub };
}

/** The web export: hashed files for ever, the page for every other path. */
function serveWeb(app: Express, webDir: string): void {
  const forever = { fallthrough: false, immutable: true, maxAge: '365d' };
  app.use('/_expo', express.static(path.join(webDir, '_expo'), forever));
  app.use('/assets', express.static(path.join(webDir, 'assets'), forever));
  app.use(express.static(webDir, { index: false, maxAge: 0 }));
  app.get('/{*path}', (_req, res) => {
    res.sendFile('index.html', { root: webDir, cacheControl: false });
  });
}
