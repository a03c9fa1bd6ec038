import { isFields, isSame } from '../differences.ts';
import { entriesOf, type Path } from '../lists.ts';

/** An entry of a list, by what it is known by, and its place before; null where it is new. */
export interface Matched {
  name: string;
  index: number | null;
}

/**
 * Which entry of a list before each entry after is. Where entries have nothing to be known by, those at both ends
 * that are the same are, and of the rest the objects in their order.
 */
export function matchedEntries(
  path: Path,
  before: readonly unknown[],
  after: readonly unknown[],
): Matched[] {
  const [old, young] = [entriesOf(path, before), entriesOf(path, after)];
  if (old && young)
    return [...young.keys()].map((name) => ({ name, index: old.get(name)?.index ?? null }));
  let head = 0;
  while (head < before.length && head < after.length && isSame(before[head], after[head])) head++;
  let tail = 0;
  const most = Math.min(before.length, after.length) - head;
  while (tail < most && isSame(before.at(-1 - tail), after.at(-1 - tail))) tail++;
  return after.map((value, place) => {
    const fromEnd = after.length - place;
    const index = fromEnd <= tail ? before.length - fromEnd : place;
    const isIn = index < before.length - (fromEnd <= tail ? 0 : tail);
    const isKnown = isIn && (isSame(before[index], value) || isAlike(before[index], value));
    return { name: String(place), index: isKnown ? index : null };
  });
}

/** One can be made the other by changing what is in it, or by writing another value in its place. */
const isAlike = (a: unknown, b: unknown) =>
  isFields(a) === isFields(b) && Array.isArray(a) === Array.isArray(b);
