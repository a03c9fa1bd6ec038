/** That one step comes before another one: the places of both in their group. */
export type Before = readonly [first: number, second: number];

/**
 * The smallest set of "this before that" such that the orders fail exactly where all of them hold; null where there is
 * none. The set that holds in all failing orders is the largest that could do; each order that does not fail has to
 * break one of what is chosen of it. A step-by-step deepening search finds the fewest.
 *
 * @param failing orders that fail, each a list of places
 * @param others the rest of the orders that were tried
 */
export function orderCause(
  failing: readonly (readonly number[])[],
  others: readonly (readonly number[])[],
): Before[] | null {
  const [first] = failing;
  if (!first) return null;
  const positions = (order: readonly number[]) => {
    const at: number[] = [];
    order.forEach((step, place) => (at[step] = place));
    return at;
  };
  const failingAt = failing.map(positions);
  const held: Before[] = first.flatMap((one, i) =>
    first.slice(i + 1).map((other): Before => [one, other]),
  );
  const common = held.filter(([one, other]) => failingAt.every((at) => at[one]! < at[other]!));
  // Which of them each other order breaks, each set once.
  const broken = new Map<string, number[]>();
  for (const order of others) {
    const at = positions(order);
    const breaks = common.flatMap(([one, other], i) => (at[one]! < at[other]! ? [] : [i]));
    if (breaks.length === 0) return null;
    broken.set(breaks.join(), breaks);
  }
  const sets = [...broken.values()].sort((a, b) => a.length - b.length);
  for (let most = 0; most <= common.length; most++) {
    const chosen = cover(sets, most, []);
    if (chosen) return chosen.sort((a, b) => a - b).map((i) => common[i]!);
  }
  return null;
}

/** At most so many further numbers such that each set has one of all that are chosen; null where that cannot be. */
function cover(
  sets: readonly (readonly number[])[],
  most: number,
  chosen: readonly number[],
): number[] | null {
  const open = sets.find((set) => !set.some((each) => chosen.includes(each)));
  if (!open) return [...chosen];
  if (most === 0) return null;
  for (const each of open) {
    const found = cover(sets, most - 1, [...chosen, each]);
    if (found) return found;
  }
  return null;
}
