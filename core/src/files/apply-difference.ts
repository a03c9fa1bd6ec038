import type { Difference } from './differences.ts';
import { entriesOf, type Path } from './lists.ts';

/** A value with one difference done to it, as `differences` tells them; it is as it was where that leads nowhere. */
export function withDifference<T>(value: T, difference: Difference): T {
  return changed(value, difference.path, [], difference) as T;
}

function changed(value: unknown, path: Path, before: Path, difference: Difference): unknown {
  const [name, ...rest] = path;
  if (name === undefined) return difference.kind === 'set' ? difference.after : value;
  const at = [...before, name];
  if (Array.isArray(value)) {
    const index = entriesOf(before, value)?.get(name)?.index;
    if (rest.length === 0 && difference.kind !== 'set') return listed(value, index, difference);
    if (index === undefined) return value;
    return value.with(index, changed(value[index], rest, at, difference));
  }
  if (typeof value !== 'object' || value === null) return value;
  const { [name]: former, ...others } = value as Record<string, unknown>;
  const next = changed(former, rest, at, difference);
  return next === undefined ? others : { ...value, [name]: next };
}

function listed(
  list: readonly unknown[],
  index: number | undefined,
  difference: Exclude<Difference, { kind: 'set' }>,
): readonly unknown[] {
  if (difference.kind === 'added')
    return list.toSpliced(Math.min(difference.at, list.length), 0, difference.after);
  if (index === undefined) return list;
  const without = list.toSpliced(index, 1);
  return difference.kind === 'taken-out'
    ? without
    : without.toSpliced(Math.min(difference.to, without.length), 0, list[index]);
}
