import { homedir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import { pino } from 'pino';
import { createApp } from './app.ts';
import { demoData } from './demo.ts';
import { openDatabase } from './storage/open.ts';
import { storeIn } from './storage/store.ts';

const { values } = parseArgs({
  options: {
    demo: { type: 'boolean', default: false },
    fresh: { type: 'boolean', default: false },
    port: { type: 'string', default: '4680' },
    host: { type: 'string', default: '127.0.0.1' },
    data: { type: 'string' },
  },
});

const log = pino({ level: process.env['SORN_LOG'] ?? 'warn' }, pino.destination(2));
const repository = fileURLToPath(new URL('../../', import.meta.url));
const ownData = join(
  process.env['XDG_DATA_HOME'] ?? join(homedir(), '.local/share'),
  'sorn/sorn.db',
);
const file = values.data ?? (values.demo ? join(repository, 'data/demo.db') : ownData);

const { db, client } = await openDatabase(file);
const store = storeIn(db);
if (values.demo) {
  const present = await store.list();
  if (values.fresh) {
    for (const { id, revision } of present) await store.remove(id, revision);
  }
  if (values.fresh || present.length === 0) {
    const { profile, session } = demoData();
    await store.create(profile, session);
  }
}

const app = createApp({
  store,
  demo: demoData,
  log,
  hosts: ['127.0.0.1', 'localhost', '[::1]', values.host.toLowerCase()],
  page: join(repository, 'web/dist'),
});
const server = app.listen(Number(values.port), values.host, (error?: Error) => {
  if (error) {
    const taken = (error as NodeJS.ErrnoException).code === 'EADDRINUSE';
    process.stderr.write(
      taken
        ? `Port ${values.port} is in use. Stop what uses it, or choose another: npm run demo -- --port 4681\n`
        : `${error.message}\n`,
    );
    process.exit(1);
  }
  const address = server.address();
  const port = typeof address === 'object' && address ? address.port : values.port;
  process.stdout.write(`Sorn is at http://${values.host}:${port}\nIts data is in ${file}\n`);
});

for (const signal of ['SIGINT', 'SIGTERM'] as const) {
  process.on(signal, () => {
    server.close(() => {
      client.close();
      process.exit(0);
    });
    server.closeAllConnections();
  });
}
