import { readFileSync, statSync } from 'node:fs';
import { homedir, hostname } from 'node:os';
import { isIP } from 'node:net';
import { dirname, join, resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { formatOf } from '@sorn/core/files';
import type { SharedStore } from './storage/shared.ts';

/** How the server was asked to run. */
export interface Options {
  /** Serve the demo's database, and load the demo into it when it is empty. */
  demo: boolean;
  /** Begin the demo anew. */
  fresh: boolean;
  /** 0 takes any free port. */
  port: number;
  host: string;
  /** Names under which browsers may reach it, beside this machine's own. */
  names: readonly string[];
  /** The file of the token that people log in with; where left out, nobody has to. */
  tokenFile?: string;
  /** Arranges a real desktop through this agent: a name of one that ships with Sorn, or a command line. */
  agent?: string;
  /** The profile by which it is arranged; the one that was saved last where left out. */
  profile?: string;
  /** The host name of this machine: what profiles have otherwise there holds. */
  machine: string;
  /** Files in which profiles live, absolute. */
  files: readonly string[];
  /** Folders in which the page may keep profiles, and that files may be included from, absolute. */
  folders: readonly string[];
  /** Files are looked at again and again: their drive tells of no change. */
  mustLook: boolean;
  /** Apps may be started by the command lines of the profile. */
  allowLaunch: boolean;
  /** The database file, absolute; with a shared store the place of what is kept on this machine beside it. */
  file: string;
  /** The database that several servers share; a file where left out. */
  shared?: SharedStore;
  /** The folder of the database is Sorn's alone. */
  isOwnFolder: boolean;
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
      name: { type: 'string', multiple: true, default: [] },
      'token-file': { type: 'string' },
      data: { type: 'string' },
      'data-token-file': { type: 'string' },
      agent: { type: 'string' },
      profile: { type: 'string' },
      'allow-launch': { type: 'boolean', default: false },
      machine: { type: 'string', default: hostname() },
      file: { type: 'string', multiple: true, default: [] },
      folder: { type: 'string', multiple: true, default: [] },
      poll: { type: 'boolean', default: false },
    },
  });
  const { host, data, name: names, 'token-file': tokenFile } = values;
  const port = Number(values.port);
  if (!Number.isInteger(port) || port < 0 || port > 65_535 || values.port.trim() === '') {
    throw new Error(`--port is ${values.port}; expected a whole number from 0 to 65535`);
  }
  if (values.fresh && !values.demo) {
    throw new Error('--fresh is for the demo alone: it would delete your own profiles');
  }
  for (const name of names) {
    if (!/^[a-z0-9]([a-z0-9.-]{0,251}[a-z0-9])?$/i.test(name))
      throw new Error(`--name is ${name}; expected a host name without a port, like desk.example`);
  }
  const shared = sharedStore(data, values['data-token-file']);
  const { agent, profile, machine, 'allow-launch': allowLaunch } = values;
  if (machine.trim() === '') throw new Error('--machine is empty; expected a host name');
  if (agent?.trim() === '')
    throw new Error('--agent is empty; expected stand-in or x11, or a command line');
  if (agent === undefined && (profile !== undefined || allowLaunch))
    throw new Error('--profile and --allow-launch are for --agent: they say what it arranges');
  // npm runs scripts in the repository; paths are meant from where the person stands.
  const from = env['INIT_CWD'] ?? '.';
  const files = values.file.map((file) => profileFilePath(from, file));
  if (values.folder.length > 0 && !isLoopback(host))
    throw new Error(
      '--folder is for this machine alone: others could write files; leave out --host',
    );
  const folders = values.folder.map((folder) => namedFolder(from, folder));
  if (tokenFile === '') throw new Error('--token-file is empty; expected a file');
  if (!isLoopback(host) && tokenFile === undefined) {
    throw new Error(
      `--host ${host} opens Sorn to others than this machine, and nobody would have to log in. Say where the token for logging in is to be kept: --token-file FILE`,
    );
  }
  return {
    demo: values.demo,
    fresh: values.fresh,
    port,
    host,
    names: names.map((name) => name.toLowerCase()),
    ...(tokenFile !== undefined && { tokenFile: resolve(tokenFile) }),
    ...(agent !== undefined && { agent }),
    ...(profile !== undefined && { profile }),
    allowLaunch,
    machine,
    files,
    folders,
    mustLook: values.poll,
    ...(shared && { shared }),
    file: fileOf(),
    isOwnFolder: data === undefined || shared !== null,
  };

  function fileOf(): string {
    if (shared) return join(dirname(ownDatabase(env)), 'shared', nameOf(shared.url), 'here');
    if (data !== undefined) return databaseFile(data);
    return values.demo ? join(repository, 'data/demo.db') : ownDatabase(env);
  }
}

/** @throws Error where the name tells no format */
function profileFilePath(from: string, file: string): string {
  if (formatOf(file) === null)
    throw new Error(`--file is ${file}; expected the name of a .yaml, .toml or .json file`);
  return resolve(from, file);
}

/** @throws Error where there is no such folder */
function namedFolder(from: string, folder: string): string {
  const path = resolve(from, folder);
  if (!statSync(path, { throwIfNoEntry: false })?.isDirectory())
    throw new Error(`--folder is ${folder}; expected a folder that is there`);
  return path;
}

const SHARED = /^(libsql|https?):\/\//i;

/**
 * The shared store that `--data` names; null where it names a file, or nothing.
 * @throws Error where its address or the file of its token is not right
 */
function sharedStore(data: string | undefined, tokenFile: string | undefined): SharedStore | null {
  if (data === undefined || !SHARED.test(data)) {
    if (tokenFile !== undefined)
      throw new Error('--data-token-file is for a shared store: --data libsql://… or http(s)://…');
    return null;
  }
  if (!URL.canParse(data) || new URL(data).host === '')
    throw new Error(`--data is ${data}; expected an address such as https://store.example`);
  if (tokenFile === undefined) return { url: data };
  const token = readToken(tokenFile);
  if (token === '') throw new Error(`--data-token-file ${tokenFile} is empty; expected a token`);
  return { url: data, token };
}

function readToken(file: string): string {
  try {
    return readFileSync(file, 'utf8').trim();
  } catch {
    throw new Error(`--data-token-file is ${file}; expected a file that can be read`);
  }
}

/** The name of a folder for what belongs to a store. */
const nameOf = (url: string) => new URL(url).host.replace(/[^a-z0-9.-]+/gi, '-');

/**
 * The database file that `--data` names.
 * @throws Error where it is no file
 */
export function databaseFile(data: string): string {
  const right = 'expected a file; nothing is kept in memory';
  if (data.trim() === '') throw new Error(`--data is empty; ${right}`);
  if (data.startsWith(':') || /^([a-z][a-z0-9+.-]*:\/\/|file:)/i.test(data))
    throw new Error(`--data is ${data}; ${right}`);
  return resolve(data);
}

function isLoopback(host: string): boolean {
  const address = host.replace(/^\[(.*)\]$/, '$1').toLowerCase();
  if (isIP(address) === 4) return address.startsWith('127.');
  return address === 'localhost' || address === '::1';
}

/** Where the person's own profiles are kept when nothing else is said. */
export function ownDatabase(env: NodeJS.ProcessEnv): string {
  return join(env['XDG_DATA_HOME'] ?? join(homedir(), '.local/share'), 'sorn/sorn.db');
}

/** An address as it stands in a URL. */
export function inUrl(host: string): string {
  return isIP(host) === 6 ? `[${host}]` : host;
}
