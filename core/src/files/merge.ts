import { isFields, isSame } from './differences.ts';
import { entriesOf, isOrdered, orderPath, type Entries, type Path } from './lists.ts';

/** A part that two edits changed in different ways. `undefined`: the part was left out. */
export interface Conflict {
  path: Path;
  base: unknown;
  mine: unknown;
  theirs: unknown;
}

export interface Merged<T> {
  /** Both edits together; mine where they conflict. */
  value: T;
  conflicts: Conflict[];
}

/** Which of the two edits is taken for each conflict, by `conflictId`. */
export type Decisions = ReadonlyMap<string, 'mine' | 'theirs'>;

/**
 * Both edits of a base in one, field by field (three-way merge): what only one of them changed is as that
 * one has it. Where both changed the same field to something else, mine is taken and the conflict told; what
 * is decided is taken as decided. The order of a list is a field of its own.
 */
export function merge<T>(base: T, mine: T, theirs: T, decided: Decisions = NOTHING): Merged<T> {
  const conflicts: Conflict[] = [];
  const value = merged(base, mine, theirs, [], conflicts, decided) as T;
  return { value, conflicts };
}

/** What a conflict is known by. */
export const conflictId = ({ path }: { path: Path }): string => JSON.stringify(path);

const NOTHING: Decisions = new Map();

function merged(
  base: unknown,
  mine: unknown,
  theirs: unknown,
  path: Path,
  conflicts: Conflict[],
  decided: Decisions,
): unknown {
  if (isSame(mine, theirs) || isSame(base, theirs)) return mine;
  if (isSame(base, mine)) return theirs;
  const decision = decided.get(conflictId({ path }));
  if (decision) return decision === 'mine' ? mine : theirs;
  if (Array.isArray(mine) && Array.isArray(theirs)) {
    const old = Array.isArray(base) ? base : [];
    const lists = [old, mine, theirs].map((list) => entriesOf(path, list));
    const [known, own, other] = lists;
    if (known && own && other) return mergedList(known, own, other, path, conflicts, decided);
  }
  if (isFields(mine) && isFields(theirs) && !isOtherKind(mine, theirs)) {
    const old = isFields(base) ? base : {};
    const names = new Set([...Object.keys(mine), ...Object.keys(theirs)]);
    const parts = [...names].map((name) => {
      const at = [...path, name];
      return [name, merged(old[name], mine[name], theirs[name], at, conflicts, decided)] as const;
    });
    return Object.fromEntries(parts.filter(([, value]) => value !== undefined));
  }
  conflicts.push({ path, base, mine, theirs });
  return mine;
}

/** Layouts and commands of two kinds have nothing to do with each other: one of them is meant as a whole. */
function isOtherKind(a: Record<string, unknown>, b: Record<string, unknown>): boolean {
  return a.kind !== b.kind || a.command !== b.command;
}

function mergedList(
  base: Entries,
  mine: Entries,
  theirs: Entries,
  path: Path,
  conflicts: Conflict[],
  decided: Decisions,
): unknown[] {
  const values = new Map<string, unknown>();
  for (const name of new Set([...mine.keys(), ...theirs.keys()])) {
    const [old, own, other] = [base, mine, theirs].map((entries) => entries.get(name)?.value);
    const value = merged(old, own, other, [...path, name], conflicts, decided);
    if (value !== undefined) values.set(name, value);
  }
  const isTheirsFirst = orderedAs(base, mine, theirs, path, conflicts, decided) === 'theirs';
  const [first, second] = isTheirsFirst ? [theirs, mine] : [mine, theirs];
  return inOrder([...first.keys()], [...second.keys()])
    .filter((name) => values.has(name))
    .map((name) => values.get(name));
}

/** Whose order a list is in: the one's who changed it. Where both did, to another one, that is a conflict. */
function orderedAs(
  base: Entries,
  mine: Entries,
  theirs: Entries,
  path: Path,
  conflicts: Conflict[],
  decided: Decisions,
): 'mine' | 'theirs' {
  const isMoved = (entries: Entries) => !isSame(order(base, entries), order(entries, base));
  if (!isMoved(theirs)) return 'mine';
  if (!isMoved(mine)) return 'theirs';
  const inAll = (entries: Entries) =>
    order(entries, base).filter((name) => mine.has(name) && theirs.has(name));
  if (isSame(inAll(mine), inAll(theirs))) return 'mine';
  const decision = decided.get(conflictId({ path: orderPath(path) }));
  if (decision) return decision;
  if (isOrdered(path))
    conflicts.push({
      path: orderPath(path),
      base: order(base, base),
      mine: order(mine, mine),
      theirs: order(theirs, theirs),
    });
  return 'mine';
}

const order = (one: Entries, other: Entries) => [...one.keys()].filter((name) => other.has(name));

/** The first order, with the entries that only the second has inserted after the entry they follow there. */
export function inOrder(first: readonly string[], second: readonly string[]): string[] {
  const names = [...first];
  second.forEach((name, i) => {
    if (names.includes(name)) return;
    const before = second
      .slice(0, i)
      .reverse()
      .find((each) => names.includes(each));
    names.splice(before === undefined ? 0 : names.indexOf(before) + 1, 0, name);
  });
  return names;
}
