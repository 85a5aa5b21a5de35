/** The server as a function of its store: guards, security headers, routes, the built page, and one form of error. */
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import express, { type Express, type RequestHandler } from 'express';
import expressStaticGzip from 'express-static-gzip';
import helmet from 'helmet';
import { FOLDER_HEADER } from '@tide-pebble/core';
import type { House } from './lan/house';
import { errorHandler, NotFound, OtherFolder } from './problem';
import { backupRoutes } from './routes/backups';
import { documentRoutes } from './routes/documents';
import { lanRoutes } from './routes/lan';
import { photoRoutes } from './routes/photos';
import { rigFileRoutes } from './routes/rigFiles';
import type { Backups } from './store/backups';
import type { Store } from './store/openStore';

export interface AppOptions {
  readonly store: Store;
  readonly backups: Backups;
  readonly purpose: 'demo' | 'own';
  readonly page: string | null;
  readonly now: () => string;
  /** The server on the house's network, where it was asked for. */
  readonly house: () => House | null;
}

/** `door`: who is let in, before anything else is looked at. */
export function makeApp(options: AppOptions, door: RequestHandler): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(
    helmet({
      // Plain http on loopback, a certificate of its own in the house: no upgrade to https, no HSTS.
      strictTransportSecurity: false,
      // A form of its own page says where it comes from.
      referrerPolicy: { policy: 'same-origin' },
      contentSecurityPolicy: {
        directives: {
          // The library that cuts solids comes as WebAssembly.
          scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'data:', 'blob:'],
          fontSrc: ["'self'"],
          connectSrc: ["'self'"],
          workerSrc: ["'self'"],
          upgradeInsecureRequests: null,
        },
      },
    }),
  );
  app.use(door);
  const api = express.Router();
  api.use((request, response, next) => {
    response.set('Cache-Control', 'no-store');
    const meant = request.get(FOLDER_HEADER);
    if (meant !== undefined && meant !== options.store.identity) throw new OtherFolder(options.store.identity);
    next();
  });
  api.get('/health', (_request, response) => {
    response.json({ ok: true, purpose: options.purpose, folder: options.store.identity, pid: process.pid });
  });
  api.use(
    documentRoutes(options.store),
    rigFileRoutes(options.store),
    backupRoutes(options.store, options.backups, options.now),
    photoRoutes(options.store),
    lanRoutes(options.store.devices, options.house),
  );
  api.use(() => {
    throw new NotFound('There is nothing at this address.');
  });
  app.use('/api', api);
  if (options.page && existsSync(options.page)) servePage(app, options.page);
  app.use(errorHandler);
  return app;
}

/** Hashed files for a year; the page itself always fresh, and for every address that is not a file. Packed as it was built, the way the browser takes it. */
function servePage(app: Express, page: string): void {
  app.use(
    expressStaticGzip(page, {
      index: false,
      enableBrotli: true,
      orderPreference: ['br', 'gz'],
      serveStatic: {
        setHeaders: (response, path) => {
          const isNamed = /-[A-Z0-9]{8}\.(js|css|woff2)(\.br|\.gz)?$/.test(path);
          response.setHeader('Cache-Control', isNamed ? 'public, max-age=31536000, immutable' : 'no-cache');
        },
      },
    }) as RequestHandler,
  );
  app.get('/{*path}', (request, response) => {
    if (/\.[a-z0-9]{2,5}$/i.test(request.path)) throw new NotFound('There is no such file.');
    response.set('Cache-Control', 'no-cache').sendFile(join(page, 'index.html'));
  });
}
