import type { Server } from 'node:http';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import type { LibSQLDatabase } from 'drizzle-orm/libsql';
import { pino, type Logger } from 'pino';
import { createApp } from './app.ts';
import { backupAtStart } from './backup/backups.ts';
import { backupFolder } from './backup/folder.ts';
import { demoData } from './demo.ts';
import { makeNews } from './news.ts';
import { readOptions, type Options } from './options.ts';
import { historyIn } from './storage/history.ts';
import { openDatabase } from './storage/open.ts';
import { settingsIn } from './storage/server-settings.ts';
import { storeIn, type Store } from './storage/store.ts';

const REPOSITORY = fileURLToPath(new URL('../../', import.meta.url));

/** Ends with a message for the person, not a stack. */
function giveUp(message: string): never {
  process.stderr.write(`${message}\n`);
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

const GOODBYE_MS = 50;
const SIX_HOURS_MS = 6 * 60 * 60 * 1000;

/** What is done when the server answers already: a backup once a start, and now and then old saves grow fewer. */
async function tidyUp(db: LibSQLDatabase, backups: string, log: Logger): Promise<void> {
  const history = historyIn(db);
  async function thin() {
    for (const { id } of await storeIn(db).list()) await history.thin(id);
  }
  const tell = (error: unknown) => log.error({ err: error }, 'tidying up failed');
  try {
    const { backupsAtStart } = await settingsIn(db).read();
    await backupAtStart(db, backupFolder(backups), backupsAtStart);
  } catch (error) {
    log.error({ err: error }, 'the backup at the start could not be made');
  }
  await thin().catch(tell);
  setInterval(() => void thin().catch(tell), SIX_HOURS_MS).unref();
}

async function start({ demo, fresh, port, host, file }: Options): Promise<void> {
  const log = pino({ level: process.env['SORN_LOG'] ?? 'warn' }, pino.destination(2));
  const { db, client } = await openDatabase(file).catch((error: unknown) =>
    giveUp(`The database ${file} cannot be opened: ${String(error)}`),
  );
  if (demo) await loadDemo(storeIn(db), fresh);
  const backups = join(dirname(file), 'backups');
  const news = makeNews();

  const app = createApp({
    db,
    news,
    backups,
    demo: demoData,
    log,
    hosts: ['127.0.0.1', 'localhost', '[::1]', host.toLowerCase()],
    page: `${REPOSITORY}web/dist`,
  });
  const server: Server = app.listen(port, host, (error?: NodeJS.ErrnoException) => {
    if (error?.code === 'EADDRINUSE') {
      giveUp(`Port ${port} is in use. Stop what uses it, or choose another: -- --port ${port + 1}`);
    }
    if (error) giveUp(error.message);
    const address = server.address();
    const real = typeof address === 'object' && address ? address.port : port;
    process.stdout.write(`Sorn is at http://${host}:${real}\nIts data is in ${file}\n`);
    void tidyUp(db, backups, log);
  });

  for (const signal of ['SIGINT', 'SIGTERM'] as const) {
    process.on(signal, () => {
      server.close(() => {
        client.close();
        process.exit(0);
      });
      // Those who listen are told first, and do not take it for a fault.
      news.end();
      setTimeout(() => server.closeAllConnections(), GOODBYE_MS);
    });
  }
}

let options: Options;
try {
  options = readOptions(process.argv.slice(2), process.env, REPOSITORY);
} catch (error) {
  giveUp(error instanceof Error ? error.message : String(error));
}
await start(options);
