import { isUtf8 } from 'node:buffer';
import { join } from 'node:path';
import { publishedSchema, SCHEMA_PATH } from '@sorn/core/files';
import { MACHINE } from '@sorn/api';
import { LINK_SCHEMA_PATH, publishedLinkSchema } from '@sorn/link';
import type { Profile, SessionInput } from '@sorn/core/model';
import type { LibSQLDatabase } from 'drizzle-orm/libsql';
import compression from 'compression';
import express, { type Express, type Response } from 'express';
import compressedFiles from 'express-static-gzip';
import helmet from 'helmet';
import type { Logger } from 'pino';
import { guard, type Hosts } from './access/guard.ts';
import { login } from './access/login.ts';
import { problemHandler, sendProblem } from './problem.ts';
import type { Backups } from './backup/backups.ts';
import { backupFolder } from './backup/folder.ts';
import { backupRoutes } from './backup/routes.ts';
import { changeEventRoutes } from './change-event-routes.ts';
import type { ChangeEvents } from './change-events.ts';
import type { LiveServer } from './live/live-server.ts';
import { liveRoutes } from './live/routes.ts';
import type { ProfileFiles } from './profile-files/profile-files.ts';
import { profileFileRoutes } from './profile-files/routes.ts';
import { profileRoutes } from './profiles.ts';
import { serve } from './serve.ts';
import { revisionRoutes } from './revisions.ts';
import { historyIn } from './storage/history.ts';
import { settingsIn } from './storage/server-settings.ts';
import type { SharedWatch } from './storage/shared-news.ts';
import { storeIn } from './storage/store.ts';

export interface AppOptions {
  db: LibSQLDatabase;
  changes: ChangeEvents;
  backups: Backups;
  /** Folder in which backups lie. */
  folder: string;
  demo: () => { profile: Profile; session: SessionInput };
  /** The host name of this machine. */
  machine: string;
  log: Logger;
  /** The live desk; null where none is arranged. */
  live: LiveServer | null;
  /** The store that several servers share; null where everything is in a file. */
  shared: SharedWatch | null;
  /** The profiles that live in files. */
  files: ProfileFiles;
  hosts: Hosts;
  /** What people log in with; where left out, nobody has to. */
  token?: string;
  /** Folder of the built page. */
  page: string;
}

const DAY_MS = 24 * 60 * 60 * 1000;

/** The whole server but for listening: the API, and the page for every other path. */
export function createApp(options: AppOptions): Express {
  const { db, changes, backups, demo, log, live, files, hosts, token, page } = options;
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
      // Without it, a form that is sent names no origin, and is taken for one from elsewhere.
      referrerPolicy: { policy: 'same-origin' },
      // Served over plain HTTP on the person's own machine.
      strictTransportSecurity: false,
    }),
  );
  if (token !== undefined) app.use(login(token));
  app.use('/api', (_request, response, next) => {
    response.set('Cache-Control', 'no-store');
    next();
  });
  // What happens is told as it happens: it is not gathered to be compressed.
  app.use(
    compression({
      filter: (request, response) => !isNews(response) && compression.filter(request, response),
    }),
  );
  const store = storeIn(db);
  const history = historyIn(db);
  const folder = backupFolder(options.folder);
  const keepAll = () => backups.keep('before-delete');
  const body = express.json({ limit: '8mb', verify: refuseOtherText });
  app.use('/api', body, profileRoutes(store, demo, changes, keepAll));
  app.use('/api', revisionRoutes(history, changes));
  app.use('/api', changeEventRoutes(store, changes, live, files, options.shared));
  app.use('/api', body, profileFileRoutes(files));
  app.use('/api', body, liveRoutes(live));
  app.use('/api', backupRoutes(backups, folder, settingsIn(db), changes));
  const here = express.Router();
  serve(here, MACHINE.read, (_request, response) => {
    response.json({ host: options.machine });
  });
  app.use('/api', here);
  app.use('/api', (request, response) => {
    sendProblem(response, 'not-found', `${request.method} ${request.originalUrl} does nothing.`);
  });
  const schemas = [
    [SCHEMA_PATH, publishedSchema],
    [LINK_SCHEMA_PATH, publishedLinkSchema],
  ] as const;
  for (const [path, schema] of schemas)
    app.get(path, (_request, response) => {
      response.type('application/schema+json').send(JSON.stringify(schema(), null, 2));
    });
  app.use(
    '/assets',
    compressedFiles(join(page, 'assets'), {
      enableBrotli: true,
      orderPreference: ['br', 'gz'],
      serveStatic: { immutable: true, maxAge: 365 * DAY_MS },
    }),
  );
  app.use(express.static(page, { index: false, cacheControl: false }));
  app.get('/{*path}', (_request, response) => {
    response.set('Cache-Control', 'no-cache').sendFile(join(page, 'index.html'));
  });
  app.use((request, response) => {
    response.set('Allow', 'GET, HEAD');
    sendProblem(response, 'wrong-method', `${request.method} ${request.path} does nothing.`);
  });
  app.use(problemHandler(log));
  return app;
}

const isNews = (response: Response) =>
  String(response.getHeader('Content-Type')).startsWith('text/event-stream');

/** Refuses a body that is not UTF-8: decoded all the same, what is not would be replaced without a word. */
function refuseOtherText(_request: unknown, _response: unknown, body: Buffer): void {
  if (!isUtf8(body)) throw Object.assign(new Error('the body is not UTF-8'), { status: 400 });
}
