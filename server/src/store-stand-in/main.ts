import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { startStoreStandIn } from './stand-in.ts';

// Stands in for the server of a shared store until it is stopped: FILE [--port N] [--token-file FILE]
const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: { port: { type: 'string', default: '0' }, 'token-file': { type: 'string' } },
});
const [file] = positionals;
const port = Number(values.port);
if (file === undefined || !Number.isInteger(port) || port < 0 || port > 65_535) {
  process.stderr.write('expected FILE, and perhaps --port with a whole number from 0 to 65535\n');
  process.exit(1);
}
const tokenFile = values['token-file'];
const from = process.env['INIT_CWD'] ?? '.';
const store = await startStoreStandIn({
  file: resolve(from, file),
  port,
  ...(tokenFile !== undefined && { token: readFileSync(resolve(from, tokenFile), 'utf8').trim() }),
});
process.stdout.write(`A shared store is at ${store.url}\n`);
for (const signal of ['SIGINT', 'SIGTERM'])
  process.on(signal, () => void store.end().then(() => process.exit(0)));
