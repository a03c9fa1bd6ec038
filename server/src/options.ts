import { homedir } from 'node:os';
import { join } from 'node:path';
import { parseArgs } from 'node:util';

/** How the server was asked to run. */
export interface Options {
  /** Serve the demo's database, and load the demo into it when it is empty. */
  demo: boolean;
  /** Begin the demo anew. */
  fresh: boolean;
  /** 0 takes any free port. */
  port: number;
  host: string;
  /** The database file. */
  file: string;
}

/**
 * Reads the server's arguments.
 * @param repository folder under which the demo's database is kept
 * @throws Error with a message for the person when an argument is not right
 */
export function readOptions(
  args: readonly string[],
  env: NodeJS.ProcessEnv,
  repository: string,
): Options {
  const { values } = parseArgs({
    args: [...args],
    options: {
      demo: { type: 'boolean', default: false },
      fresh: { type: 'boolean', default: false },
      port: { type: 'string', default: '4680' },
      host: { type: 'string', default: '127.0.0.1' },
      data: { type: 'string' },
    },
  });
  const port = Number(values.port);
  if (!Number.isInteger(port) || port < 0 || port > 65_535) {
    throw new Error(`--port is ${values.port}; right would be a whole number from 0 to 65535`);
  }
  if (values.fresh && !values.demo) {
    throw new Error('--fresh is for the demo alone: it would delete your own profiles');
  }
  return {
    demo: values.demo,
    fresh: values.fresh,
    port,
    host: values.host,
    file: values.data ?? (values.demo ? join(repository, 'data/demo.db') : ownDatabase(env)),
  };
}

/** Where the person's own profiles are kept when nothing else is said. */
export function ownDatabase(env: NodeJS.ProcessEnv): string {
  return join(env['XDG_DATA_HOME'] ?? join(homedir(), '.local/share'), 'sorn/sorn.db');
}
