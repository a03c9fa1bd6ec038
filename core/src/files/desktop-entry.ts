import { idFrom } from '../model/app-defaults.ts';
import type { App } from '../model/app.ts';
import { nearestName } from '../values/nearest-name.ts';
import type { LineFault } from './csv-rows.ts';

/** What a file says of an app, and what in it could not be used. */
export interface ReadEntry {
  /** Null where it tells of no app at all. */
  app: App | null;
  faults: LineFault[];
}

const GROUP = 'Desktop Entry';
const KEY = /^([A-Za-z0-9-]+)(\[[^\]]*\])?$/;
const TYPES = ['Application', 'Link', 'Directory'];
/** Keys that are read; others are what other programs need, and are left alone. */
const READ = ['Type', 'Name', 'StartupWMClass', 'Icon', 'Exec'];
const ESCAPES: Record<string, string> = { s: ' ', n: '\n', t: '\t', r: '\r', '\\': '\\' };

/**
 * Reads an app from a desktop entry, by the freedesktop.org Desktop Entry Specification 1.5: groups of
 * `Key=Value` lines, of which those of `[Desktop Entry]` count. Exec is kept as text and never run. A line
 * that is not right is told, and the rest is used.
 *
 * @param file its name: an app that names no window class is called by it
 */
export function readDesktopEntry(text: string, file: string): ReadEntry {
  const faults: LineFault[] = [];
  const values = new Map<string, { value: string; line: number }>();
  let group: string | null = null;
  let hasGroup = false;
  text.split(/\r\n|\n|\r/).forEach((raw, i) => {
    const line = i + 1;
    const content = raw.trim();
    if (content === '' || content.startsWith('#')) return;
    const header = /^\[([^[\]]+)\]$/.exec(content);
    if (header) {
      group = header[1]!;
      if (group === GROUP) hasGroup = true;
      return;
    }
    if (group === null) {
      faults.push({ line, text: `it stands before any group; expected [${GROUP}] first` });
      return;
    }
    if (group !== GROUP) return;
    const at = content.indexOf('=');
    const named = at < 0 ? null : KEY.exec(content.slice(0, at).trimEnd());
    if (!named) {
      faults.push({ line, text: `${shown(content)}; expected Key=Value` });
      return;
    }
    const [, key = '', locale] = named;
    if (locale !== undefined) return;
    const nearest = READ.includes(key) ? null : nearestName(key, READ);
    if (nearest !== null && nearest.toLowerCase() === key.toLowerCase()) {
      faults.push({ line, text: `${key} is not read; expected ${nearest}` });
      return;
    }
    const earlier = values.get(key);
    if (earlier) {
      faults.push({ line, text: `${key} was given in line ${earlier.line} already` });
      return;
    }
    const value = unescaped(content.slice(at + 1).trimStart());
    if (value === null) {
      faults.push({
        line,
        text: `${shown(content)}; expected \\s, \\n, \\t, \\r or \\\\ after a backslash`,
      });
      return;
    }
    values.set(key, { value, line });
  });
  if (!hasGroup) {
    faults.push({ line: 1, text: `no group [${GROUP}]: this is no desktop entry` });
    return { app: null, faults };
  }
  return { app: appFrom(values, file, faults), faults };
}

function appFrom(
  values: ReadonlyMap<string, { value: string; line: number }>,
  file: string,
  faults: LineFault[],
): App | null {
  const type = values.get('Type');
  if (!type) faults.push({ line: 1, text: 'no Type; expected Type=Application' });
  else if (type.value !== 'Application') {
    const right = TYPES.includes(type.value) ? 'it tells of no app' : 'expected Application';
    faults.push({ line: type.line, text: `Type is ${shown(type.value)}; ${right}` });
    return null;
  }
  const base = file.replace(/^.*[/\\]/, '').replace(/\.desktop$/i, '');
  const name = values.get('Name');
  if (!name?.value) faults.push({ line: name?.line ?? 1, text: `no Name; it is called ${base}` });
  const windowClass = values.get('StartupWMClass');
  const wished = windowClass?.value ? windowClass.value : base;
  const id = idFrom(wished);
  if (id === null) {
    faults.push({ line: windowClass?.line ?? 1, text: `${shown(wished)} is no name for an app` });
    return null;
  }
  if (id !== wished) {
    faults.push({
      line: windowClass?.line ?? 1,
      text: `${shown(wished)} has characters that no id has; it is ${id}`,
    });
  }
  const icon = values.get('Icon')?.value;
  const exec = values.get('Exec')?.value;
  return {
    id,
    ...(name?.value && { name: name.value.slice(0, 400) }),
    kind: 'normal',
    ...(icon && { icon: icon.slice(0, 400) }),
    ...(exec && { exec: exec.slice(0, 4_000) }),
  };
}

function unescaped(value: string): string | null {
  let isRight = true;
  const text = value.replace(/\\(.?)/g, (_whole, letter: string) => {
    const meant = ESCAPES[letter];
    // Lists may have \; and Exec quotes with \" of its own: these are not this level's.
    if (meant === undefined && ![';', '"', '$', '`'].includes(letter)) isRight = false;
    return meant ?? `\\${letter}`;
  });
  return isRight ? text : null;
}

function shown(text: string): string {
  return `“${text.length > 60 ? `${text.slice(0, 59)}…` : text}”`;
}
