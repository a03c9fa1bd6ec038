import type { KeyCommand } from '../commands/registry.ts';
import { commandText } from '../commands/command.ts';

/** A path into a profile: names of fields, and what the entries of lists are known by. */
export type Path = readonly string[];

type Item = Record<string, unknown>;
const text = (value: unknown) => (value === undefined ? '' : String(value));
const id = (item: Item) => text(item.id);

/** Lists whose entries are known by what they say, so that one that moved is still the same. */
const KNOWN_BY: Record<string, (item: Item) => string> = {
  monitors: id,
  desks: id,
  'desks.*.monitors': (item) => text(item.monitor),
  workspaces: id,
  machines: (item) => text(item.host),
  'machines.*.monitors': (item) => text(item.monitor),
  apps: id,
  'apps.*.windows': (item) => text(item.title),
  'apps.*.shortcuts': (item) => text(item.keys),
  start: (item) => text(item.app),
  rules: id,
  'tiling.places': (item) => `${text(item.workspace)} ${text(item.monitor)}`,
  'tiling.setAside': (item) => text(item.kind),
  'tiling.places.*.setAside': (item) => text(item.kind),
  boards: id,
  chains: id,
  menus: id,
  'menus.*.entries': (item) => text(item.letter),
  trials: id,
  'trials.*.session.windows': id,
  'boards.*.zones': (item) => text(item.name),
  'keys.bindings': (item) => [item.keys, item.in, item.app].map(text).join(' · '),
  'keys.without': (item) => text(item),
  'keys.layers': id,
  'keys.bundles': id,
  'keys.taken': id,
  'keys.taken.*.shortcuts': (item) => text(item.keys),
  'keys.devices': id,
  'keys.marks': (item) => commandText(item.command as KeyCommand),
};

/** Lists that are the same in whatever order: only there is a change of order no difference that is told. */
const UNORDERED = new Set([
  'keys.without',
  'keys.marks',
  'tiling.places',
  'machines',
  'machines.*.monitors',
]);

/** The last part of a path to the order of a list; no entry can have this name. */
const ORDER = '\u0000order';

/** The path to the order of a list, which is a value of its own: the names of its entries. */
export function orderPath(path: Path): Path {
  return [...path, ORDER];
}

/** The list whose order a path leads to; null where it leads to something else. */
export function listOfOrder(path: Path): Path | null {
  return path.at(-1) === ORDER ? path.slice(0, -1) : null;
}

export type Entries = ReadonlyMap<string, { value: unknown; index: number }>;

/**
 * The entries of a list by what each is known by; what comes again has a number behind it.
 * @returns null where a list of that path has no entries of their own: it is one value
 */
export function entriesOf(path: Path, list: readonly unknown[]): Entries | null {
  const known = KNOWN_BY[pattern(path)];
  if (!known) return null;
  const entries = new Map<string, { value: unknown; index: number }>();
  list.forEach((value, index) => {
    const name = known(value as Item);
    let free = name;
    for (let again = 2; entries.has(free); again++) free = `${name} #${again}`;
    entries.set(free, { value, index });
  });
  return entries;
}

/** True where the order of a list means something. */
export function isOrdered(path: Path): boolean {
  return !UNORDERED.has(pattern(path));
}

/** How many parts of a path lead to the last entry of a list in it, that entry included. */
export function entryEnd(path: Path): number {
  return stars(path).lastIndexOf('*') + 1;
}

/** How many parts of a path lead to the first entry of a list in it, that entry included; 0 where there is none. */
export function listEnd(path: Path): number {
  return stars(path).indexOf('*') + 1;
}

/** What a path leads to in a value; undefined where it leads nowhere. */
export function valueAt(root: unknown, path: Path): unknown {
  let value = root;
  path.forEach((part, i) => {
    if (Array.isArray(value)) value = entriesOf(path.slice(0, i), value)?.get(part)?.value;
    else value = (value as Record<string, unknown> | undefined)?.[part];
  });
  return value;
}

/** A path with a star for each entry of a list: "boards.*.zones". */
const pattern = (path: Path): string => stars(path).join('.');

function stars(path: Path): string[] {
  const parts: string[] = [];
  for (const part of path) parts.push(parts.join('.') in KNOWN_BY ? '*' : part);
  return parts;
}
