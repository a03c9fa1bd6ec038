import { chmodSync, mkdirSync } from 'node:fs';
import type { Server } from 'node:http';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { pino, type Logger } from 'pino';
import { tokenIn } from './access/token.ts';
import { createApp } from './app.ts';
import { backupsOf, type Backups } from './backup/backups.ts';
import { demoData } from './demo.ts';
import { makeChangeEvents, type ChangeEvents } from './change-events.ts';
import { inUrl, readOptions, type Options } from './options.ts';
import type { LiveServer } from './live/live-server.ts';
import { openProfileFiles } from './profile-files/profile-files.ts';
import { linesOfState } from './profile-files/state-lines.ts';
import { historyIn } from './storage/history.ts';
import { openDatabase, openSharedDatabase, type OpenDatabase } from './storage/open.ts';
import { watchShared } from './storage/shared-news.ts';
import { settingsIn } from './storage/server-settings.ts';
import { storeIn, type Store } from './storage/store.ts';

const REPOSITORY = fileURLToPath(new URL('../../', import.meta.url));

/** Ends the program with a message for the person instead of a stack trace. */
function giveUp(error: unknown): never {
  process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
  process.exit(1);
}

async function loadDemo(store: Store, fresh: boolean): Promise<void> {
  const present = await store.list();
  if (fresh) {
    for (const { id, revision } of present) await store.remove(id, revision);
  }
  if (fresh || present.length === 0) {
    const { profile, session } = demoData();
    await store.create(profile, session);
  }
}

/** True for an address beyond this machine without encryption. */
function isPlain(url: string): boolean {
  const { protocol, hostname } = new URL(url);
  return protocol === 'http:' && !/^(localhost|127\.|\[::1\])/.test(hostname);
}

/** Where everything is kept, for the person. */
function dataLines({ file, shared }: Options, folder: string): string[] {
  if (!shared) return [`Its data is in ${file}`];
  return [
    `Its data is in the shared store ${shared.url}`,
    `Backups are kept on this machine, not in the store: ${folder}`,
    ...(isPlain(shared.url)
      ? ['It is reached without encryption: others on the way can read all of it, and the token']
      : []),
  ];
}

const GOODBYE_MS = 50;
const SIX_HOURS_MS = 6 * 60 * 60 * 1000;

/**
 * Work that waits until the server answers: one backup after the start, and from time to time the removal of old
 * saves by the rule of retention.
 */
async function tidyUp({ db }: OpenDatabase, backups: Backups, log: Logger): Promise<void> {
  const history = historyIn(db);
  async function thin() {
    for (const { id } of await storeIn(db).list()) await history.thin(id);
  }
  const tell = (error: unknown) => log.error({ err: error }, 'tidying up failed');
  try {
    await backups.atStart((await settingsIn(db).read()).backupsAtStart);
  } catch (error) {
    log.error({ err: error }, 'the backup at the start could not be made');
  }
  await thin().catch(tell);
  setInterval(() => void thin().catch(tell), SIX_HOURS_MS).unref();
}

/** The live desk that was asked for, where one was. */
async function liveDesk(
  { agent, profile, machine, allowLaunch, file, demo, fresh }: Options,
  store: Store,
  changes: ChangeEvents,
  log: Logger,
): Promise<LiveServer | null> {
  if (agent === undefined) return null;
  // Without an agent there is no need of what it takes.
  const { ControlTaken, startLive } = await import('./live/live-server.ts');
  const starting = startLive({
    agent,
    ...(profile !== undefined && { profile }),
    machine,
    allowLaunch,
    isFresh: fresh,
    folder: dirname(file),
    store,
    changes,
    log,
    onOver: (because) => log.error(`the desktop is not arranged any more: ${because}`),
  });
  // The demo is there to be looked at, with a desk that is live or without.
  return starting.catch((error: unknown) => {
    if (!demo || !(error instanceof ControlTaken)) throw error;
    process.stderr.write(`The stand-in desktop is not arranged: ${error.message}\n`);
    return null;
  });
}

async function start(options: Options): Promise<void> {
  const { demo, fresh, port, host, names, tokenFile, file, isOwnFolder } = options;
  const log = pino({ level: process.env['SORN_LOG'] ?? 'warn' }, pino.destination(2));
  const token = tokenFile === undefined ? undefined : tokenIn(tokenFile);
  const place = options.shared ?? { file };
  const database = options.shared
    ? await openSharedDatabase(options.shared)
    : await openDatabase(file);
  if (options.shared) mkdirSync(dirname(file), { recursive: true, mode: 0o700 });
  // What is in another's folder may be read by those whom it is meant for.
  if (isOwnFolder) chmodSync(dirname(file), 0o700);
  if (demo) await loadDemo(storeIn(database.db), fresh);
  const folder = join(dirname(file), 'backups');
  const backups = backupsOf(place, folder);
  const changes = makeChangeEvents();
  const shared = options.shared ? watchShared(options.shared, database.db, changes, log) : null;

  const files = await openProfileFiles({
    db: database.db,
    ...(options.shared && { machine: options.machine }),
    changes,
    log,
    paths: options.files,
    folders: options.folders,
    mustLook: options.mustLook,
    onState(state, former) {
      for (const line of linesOfState(state, former)) process.stderr.write(`${line}\n`);
    },
  });

  // A desktop that cannot be arranged is told before anything is served.
  const live = await liveDesk(options, storeIn(database.db), changes, log);
  const app = createApp({
    db: database.db,
    changes,
    backups,
    folder,
    demo: demoData,
    machine: options.machine,
    log,
    live,
    shared,
    files,
    hosts: { names, byAddress: token !== undefined },
    ...(token !== undefined && { token }),
    page: `${REPOSITORY}web/dist`,
  });
  const server: Server = app.listen(port, host, (error?: NodeJS.ErrnoException) => {
    if (error?.code === 'EADDRINUSE') {
      giveUp(`Port ${port} is in use. Stop what uses it, or choose another: -- --port ${port + 1}`);
    }
    if (error) giveUp(error);
    const address = server.address();
    const real = typeof address === 'object' && address ? address.port : port;
    const lines = [`Sorn is at http://${inUrl(host)}:${real}`, ...dataLines(options, folder)];
    if (tokenFile !== undefined) lines.push(`The token for logging in is in ${tokenFile}`);
    for (const { path, profile } of files.states())
      if (profile !== null) lines.push(`${profile} lives in ${path}`);
    if (live) lines.push(`It arranges a desktop by ${live.id}, through ${options.agent}`);
    process.stdout.write(`${lines.join('\n')}\n`);
    void tidyUp(database, backups, log);
  });

  for (const signal of ['SIGINT', 'SIGTERM'] as const) {
    process.on(signal, () => {
      shared?.end();
      server.close(() => {
        // What is under way is still written, and needs the database.
        const ends = [files.end().then(() => database.close()), backups.end(), live?.end()];
        void Promise.allSettled(ends).then(() => process.exit(0));
      });
      // Those who listen are told first, and do not take it for a fault.
      changes.end();
      setTimeout(() => server.closeAllConnections(), GOODBYE_MS);
    });
  }
}

try {
  await start(readOptions(process.argv.slice(2), process.env, REPOSITORY));
} catch (error) {
  giveUp(error);
}
