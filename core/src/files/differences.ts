import { entriesOf, isOrdered, type Entries, type Path } from './lists.ts';

/** One thing that is otherwise in one profile than in another. */
export type Difference =
  | { kind: 'set'; path: Path; before: unknown; after: unknown }
  | { kind: 'added'; path: Path; after: unknown; at: number }
  | { kind: 'taken-out'; path: Path; before: unknown; at: number }
  /** An entry that stands elsewhere in its list; places count from 0, and `above` is what it stands above now. */
  | { kind: 'moved'; path: Path; from: number; to: number; above: number | null };

/**
 * What makes `after` of `before`, part by part. A field that is left out is `undefined`. Entries that only
 * made room for one that moved did not move.
 */
export function differences(before: unknown, after: unknown, path: Path = []): Difference[] {
  if (before === after) return [];
  if (Array.isArray(before) && Array.isArray(after)) {
    const [old, young] = [entriesOf(path, before), entriesOf(path, after)];
    if (old && young) return listDifferences(old, young, path);
  }
  if (isFields(before) && isFields(after)) {
    const names = new Set([...Object.keys(before), ...Object.keys(after)]);
    return [...names].flatMap((name) => differences(before[name], after[name], [...path, name]));
  }
  return isSame(before, after) ? [] : [{ kind: 'set', path, before, after }];
}

function listDifferences(before: Entries, after: Entries, path: Path): Difference[] {
  const found: Difference[] = [];
  for (const [name, { value, index }] of before) {
    const at = [...path, name];
    const young = after.get(name);
    if (young) found.push(...differences(value, young.value, at));
    else found.push({ kind: 'taken-out', path: at, before: value, at: index });
  }
  for (const [name, { value, index }] of after) {
    if (!before.has(name))
      found.push({ kind: 'added', path: [...path, name], after: value, at: index });
  }
  return isOrdered(path) ? [...found, ...moves(before, after, path)] : found;
}

function moves(before: Entries, after: Entries, path: Path): Difference[] {
  const kept = [...after.keys()].filter((name) => before.has(name));
  const places = kept.map((name) => before.get(name)!.index);
  const still = new Set(longestRising(places));
  return kept.flatMap((name, i): Difference[] => {
    const from = places[i]!;
    if (still.has(from)) return [];
    const next = places.slice(i + 1).find((place) => still.has(place));
    const to = after.get(name)!.index;
    return [{ kind: 'moved', path: [...path, name], from, to, above: next ?? null }];
  });
}

/** The longest rising run of numbers, others left out between them (patience sorting, n log n). */
function longestRising(numbers: readonly number[]): number[] {
  const ends: number[] = [];
  const previous = new Map<number, number | undefined>();
  for (const number of numbers) {
    let [low, high] = [0, ends.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (ends[middle]! < number) low = middle + 1;
      else high = middle;
    }
    previous.set(number, ends[low - 1]);
    ends[low] = number;
  }
  const run: number[] = [];
  for (let at = ends.at(-1); at !== undefined; at = previous.get(at)) run.unshift(at);
  return run;
}

/** The same data, whatever the order of fields. */
export function isSame(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  if (Array.isArray(a)) {
    return Array.isArray(b) && a.length === b.length && a.every((each, i) => isSame(each, b[i]));
  }
  if (!isFields(a) || !isFields(b)) return false;
  const names = Object.keys(a);
  return (
    names.length === Object.keys(b).length &&
    names.every((name) => name in b && isSame(a[name], b[name]))
  );
}

export function isFields(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}
