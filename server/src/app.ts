import { join } from 'node:path';
import type { Profile, SessionInput } from '@sorn/core';
import express, { type Express } from 'express';
import helmet from 'helmet';
import type { Logger } from 'pino';
import { guard } from './guard.ts';
import { problemHandler } from './problem.ts';
import { profileRoutes } from './profiles.ts';
import type { Store } from './storage/store.ts';

export interface AppOptions {
  store: Store;
  demo: () => { profile: Profile; session: SessionInput };
  log: Logger;
  /** Host names under which the server may be reached. */
  hosts: readonly string[];
  /** Folder of the built page. */
  page: string;
}

const DAY_MS = 24 * 60 * 60 * 1000;

/** The whole server but for listening: the API, and the page for every other path. */
export function createApp({ store, demo, log, hosts, page }: AppOptions): Express {
  const app = express();
  app.disable('x-powered-by');
  app.disable('etag');
  app.use(guard(hosts));
  app.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'none'"],
          scriptSrc: ["'self'"],
          // The page's component styles are written at run time.
          styleSrc: ["'self'", "'unsafe-inline'"],
          fontSrc: ["'self'"],
          imgSrc: ["'self'", 'data:'],
          connectSrc: ["'self'"],
          workerSrc: ["'self'"],
          formAction: ["'self'"],
          baseUri: ["'none'"],
          frameAncestors: ["'none'"],
        },
      },
      // Served over plain HTTP on the person's own machine.
      strictTransportSecurity: false,
    }),
  );
  app.use('/api', (_request, response, next) => {
    response.set('Cache-Control', 'no-store');
    next();
  });
  app.use('/api', profileRoutes(store, demo));
  app.use(
    '/assets',
    express.static(join(page, 'assets'), { immutable: true, maxAge: 365 * DAY_MS }),
  );
  app.use(express.static(page, { index: false, cacheControl: false }));
  app.get('/{*path}', (_request, response) => {
    response.set('Cache-Control', 'no-cache').sendFile(join(page, 'index.html'));
  });
  app.use(problemHandler(log));
  return app;
}
