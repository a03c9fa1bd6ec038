import { readFileSync } from 'node:fs';
import { hostname } from 'node:os';
import type { FromAgent } from '@sorn/link';
import type { AtomName } from '../server/atoms.ts';
import type { Connection } from '../server/connection.ts';
import { numbersOf, textsOf } from '../server/values.ts';
import { readStruts, type Strut } from './reserved.ts';
import { readSizeHints, type SizeHints } from './size-hints.ts';

/** What a window says of itself by its properties. */
export interface Said {
  /** The class of WM_CLASS: by it an app is known. */
  app?: string | undefined;
  /** _NET_WM_NAME, and WM_NAME for those without. */
  title?: string | undefined;
  oldTitle?: string | undefined;
  /** Names of window types, the preferred one first. */
  types: readonly string[];
  /** The window that it stands over; 0 where it stands over all of its group. */
  over?: number | undefined;
  size: SizeHints;
  /** It takes the keyboard where it is given it (ICCCM 4.1.7). */
  takesInput: boolean;
  /** It starts put away. */
  startsMinimised: boolean;
  urgent: boolean;
  /** Names of the protocols that it takes part in. */
  protocols: readonly string[];
  /** Names of its states. */
  states: readonly string[];
  /** What it keeps free of the desktop's edges: of the older property, where it has not the newer one. */
  struts?: readonly Strut[] | undefined;
  oldStruts?: readonly Strut[] | undefined;
  pid?: number | undefined;
  machine?: string | undefined;
  startupId?: string | undefined;
}

const NOTHING: Said = {
  types: [],
  size: readSizeHints([]),
  takesInput: true,
  startsMinimised: false,
  urgent: false,
  protocols: [],
  states: [],
};

const HINT = { input: 1, state: 2, urgency: 256 };
const ICONIC = 3;

type Reader = (connection: Connection, window: number) => Promise<Partial<Said>>;

const readText =
  (name: AtomName, field: 'title' | 'oldTitle' | 'startupId' | 'machine'): Reader =>
  async (connection, window) => {
    const texts = textsOf(await connection.property(window, name), connection.atoms.UTF8_STRING);
    return { [field]: texts.length > 0 ? texts.join(' ') : undefined };
  };
const readNumbers = async (connection: Connection, window: number, name: AtomName) =>
  numbersOf(await connection.property(window, name));
const readNames = async (connection: Connection, window: number, name: AtomName) =>
  Promise.all((await readNumbers(connection, window, name)).map((atom) => connection.nameOf(atom)));

/** How each property is read; those that are not here say nothing to us. */
const READERS = {
  async WM_CLASS(connection, window) {
    const property = await connection.property(window, 'WM_CLASS');
    const [instance, name] = textsOf(property, connection.atoms.UTF8_STRING);
    return { app: name || instance || undefined };
  },
  _NET_WM_NAME: readText('_NET_WM_NAME', 'title'),
  WM_NAME: readText('WM_NAME', 'oldTitle'),
  _NET_STARTUP_ID: readText('_NET_STARTUP_ID', 'startupId'),
  WM_CLIENT_MACHINE: readText('WM_CLIENT_MACHINE', 'machine'),
  async _NET_WM_WINDOW_TYPE(connection, window) {
    return { types: await readNames(connection, window, '_NET_WM_WINDOW_TYPE') };
  },
  async WM_TRANSIENT_FOR(connection, window) {
    const [over] = await readNumbers(connection, window, 'WM_TRANSIENT_FOR');
    return { over: over === connection.root ? 0 : over };
  },
  async WM_NORMAL_HINTS(connection, window) {
    return { size: readSizeHints(await readNumbers(connection, window, 'WM_NORMAL_HINTS')) };
  },
  async WM_HINTS(connection, window) {
    const [flags = 0, input, state] = await readNumbers(connection, window, 'WM_HINTS');
    return {
      takesInput: (flags & HINT.input) === 0 || input !== 0,
      startsMinimised: (flags & HINT.state) !== 0 && state === ICONIC,
      urgent: (flags & HINT.urgency) !== 0,
    };
  },
  async WM_PROTOCOLS(connection, window) {
    return { protocols: await readNames(connection, window, 'WM_PROTOCOLS') };
  },
  async _NET_WM_STATE(connection, window) {
    return { states: await readNames(connection, window, '_NET_WM_STATE') };
  },
  async _NET_WM_STRUT_PARTIAL(connection, window) {
    const told = await readNumbers(connection, window, '_NET_WM_STRUT_PARTIAL');
    return { struts: told.length > 0 ? readStruts(told) : undefined };
  },
  async _NET_WM_STRUT(connection, window) {
    return { oldStruts: readStruts(await readNumbers(connection, window, '_NET_WM_STRUT')) };
  },
  async _NET_WM_PID(connection, window) {
    const [pid] = await readNumbers(connection, window, '_NET_WM_PID');
    return { pid };
  },
} satisfies Partial<Record<AtomName, Reader>>;
type ReadName = keyof typeof READERS;
const NAMES = Object.keys(READERS) as ReadName[];

/** Reads all that a window says; asked at once. */
export async function readSaid(connection: Connection, window: number): Promise<Said> {
  const read = await Promise.all(NAMES.map((name) => READERS[name](connection, window)));
  return Object.assign({}, NOTHING, ...read) as Said;
}

/**
 * Reads one property anew.
 *
 * @returns what is said by it now; null where it says nothing to us
 */
export async function readAnew(
  connection: Connection,
  window: number,
  atom: number,
): Promise<Partial<Said> | null> {
  const name = NAMES.find((each) => connection.atoms[each] === atom);
  return name === undefined ? null : READERS[name](connection, window);
}

/** The name of the process of a window; undefined where it does not tell, or runs on another machine. */
export function processOf({ pid, machine }: Said): string | undefined {
  if (pid === undefined || (machine !== undefined && machine !== hostname())) return undefined;
  try {
    return readFileSync(`/proc/${pid}/comm`, 'utf8').trim() || undefined;
  } catch {
    return undefined;
  }
}

/** What a window keeps free of the desktop's edges. */
export function strutsOf({ struts, oldStruts }: Said): readonly Strut[] {
  return struts ?? oldStruts ?? [];
}

/** What a window wants when it opens. */
export function wantsOf({ states }: Said): NonNullable<FromAgent<'opened'>['wants']> {
  return {
    ...(states.includes('_NET_WM_STATE_FULLSCREEN') && { fullScreen: true }),
    ...(states.includes('_NET_WM_STATE_ABOVE') && { above: true }),
  };
}

/** True where it asks for attention, in the older way or the newer one. */
export function isUrgent({ urgent, states }: Said): boolean {
  return urgent || states.includes('_NET_WM_STATE_DEMANDS_ATTENTION');
}
