/** A window goes right above another one; under all where that is null. */
export interface Move {
  window: number;
  above: number | null;
}

/**
 * The fewest moves, one after the other from the lowest up, that bring windows into an order: those of a longest run
 * that already stand as they should are left where they are.
 *
 * @param now how they stand, the lowest first; others among them are left out
 * @param wanted the lowest first
 */
export function restacking(now: readonly number[], wanted: readonly number[]): Move[] {
  const places = new Map(now.map((window, i) => [window, i]));
  const staying = new Set(longestRising(wanted, (window) => places.get(window) ?? -1));
  const moves: Move[] = [];
  wanted.forEach((window, i) => {
    if (!staying.has(window)) moves.push({ window, above: wanted[i - 1] ?? null });
  });
  return moves;
}

/** A longest part of a list, in its order, whose values rise; what has a value below 0 is in none. */
function longestRising(list: readonly number[], valueOf: (item: number) => number): number[] {
  /** The item that ends the best run of each length so far, and before each item the one before it in its run. */
  const ends: number[] = [];
  const before = new Map<number, number | undefined>();
  for (const item of list) {
    const value = valueOf(item);
    if (value < 0) continue;
    let [low, high] = [0, ends.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (valueOf(ends[middle]!) < value) low = middle + 1;
      else high = middle;
    }
    before.set(item, ends[low - 1]);
    ends[low] = item;
  }
  const run: number[] = [];
  for (let item = ends.at(-1); item !== undefined; item = before.get(item)) run.push(item);
  return run;
}
