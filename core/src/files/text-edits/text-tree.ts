import { isFields, isSame } from '../differences.ts';
import type { Path } from '../lists.ts';
import { matchedEntries } from './matched-entries.ts';
import type { Splice } from './splices.ts';

/**
 * A value as it stands in a text, and how the text is changed there. `null` where the text has no form for a change
 * that leaves the rest as it is.
 */
export type TextNode = TextValue | TextMap | TextList;

interface AnyNode {
  /** Another value stands in its place. */
  replace: (value: unknown) => Splice[] | null;
}

interface TextValue extends AnyNode {
  kind: 'value';
  /** It stands for what is written elsewhere: that is changed first. */
  isAlias: boolean;
}

interface TextMap extends AnyNode {
  kind: 'map';
  fields: ReadonlyMap<string, TextNode>;
  change: (
    removed: readonly string[],
    added: readonly (readonly [string, unknown])[],
  ) => Splice[] | null;
}

/** An entry of a list in its new order: one that is there, by its place, or a new one. */
export type Arranged = { index: number } | { value: unknown };

interface TextList extends AnyNode {
  kind: 'list';
  items: readonly TextNode[];
  arrange: (order: readonly Arranged[]) => Splice[] | null;
}

/** What is changed in a text: what is written where it says it, and what stands for it elsewhere. */
export interface Changes {
  own: Splice[];
  aliases: Splice[];
}

/**
 * The next changes that bring a text nearer to what is wanted. Where fields or entries come, go or move, what is
 * in them is left for the changes after these.
 *
 * @param now what the text says at the node
 * @returns false where a change has no form
 */
export function changesFor(
  node: TextNode,
  now: unknown,
  wanted: unknown,
  changes: Changes,
  path: Path = [],
): boolean {
  if (isSame(now, wanted)) return true;
  if (node.kind === 'map' && isFields(now) && isFields(wanted))
    return changesInMap(node, now, wanted, changes, path);
  if (node.kind === 'list' && Array.isArray(now) && Array.isArray(wanted))
    return changesInList(node, now, wanted, changes, path);
  const isAlias = node.kind === 'value' && node.isAlias;
  return took(isAlias ? changes.aliases : changes.own, node.replace(wanted));
}

function took(into: Splice[], splices: Splice[] | null): boolean {
  into.push(...(splices ?? []));
  return splices !== null;
}

type Fields = Record<string, unknown>;

function changesInMap(
  node: TextMap,
  now: Fields,
  wanted: Fields,
  changes: Changes,
  path: Path,
): boolean {
  const removed = Object.keys(now).filter((name) => !(name in wanted));
  const added = Object.entries(wanted).filter(([name]) => !(name in now));
  if (removed.length > 0 || added.length > 0) return took(changes.own, node.change(removed, added));
  return Object.entries(now).every(([name, value]) => {
    const field = node.fields.get(name);
    if (!field) return false;
    const inside: Changes = { own: [], aliases: [] };
    const hasForm = changesFor(field, value, wanted[name], inside, [...path, name]);
    // What has no other form goes, and comes back as what is wanted in the round after this one.
    if (!hasForm) return took(changes.own, node.change([name], []));
    changes.own.push(...inside.own);
    changes.aliases.push(...inside.aliases);
    return true;
  });
}

function changesInList(
  node: TextList,
  now: readonly unknown[],
  wanted: readonly unknown[],
  changes: Changes,
  path: Path,
): boolean {
  const matched = matchedEntries(path, now, wanted);
  const isAsItWas =
    now.length === wanted.length && matched.every(({ index }, place) => index === place);
  if (!isAsItWas) {
    const order = matched.map(({ index }, place) =>
      index === null ? { value: wanted[place] } : { index },
    );
    return took(changes.own, node.arrange(order));
  }
  return matched.every(({ name }, place) =>
    changesFor(node.items[place]!, now[place], wanted[place], changes, [...path, name]),
  );
}
