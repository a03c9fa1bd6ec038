import { type Split, type Tree, split } from '@sorn/core/tiling';

/** A repeatable stand-in for chance (linear congruential generator, constants of Numerical Recipes). */
export function chance(seed: number): () => number {
  let state = seed;
  return () => (state = (Math.imul(state, 1664525) + 1013904223) >>> 0) / 2 ** 32;
}

/**
 * A nested split of n windows: axes alternate from x at the root, each split has two to four parts of
 * uneven weight.
 */
export function nestedSplit(windows: number, seed = 7): Split {
  const next = chance(seed);
  let leaf = 0;
  let name = 0;
  const build = (count: number, axis: 'x' | 'y'): Tree => {
    if (count === 1) return leaf++;
    const parts = Math.min(count, 2 + Math.floor(next() * 3));
    const counts = Array.from(
      { length: parts },
      (_, i) => Math.floor(((i + 1) * count) / parts) - Math.floor((i * count) / parts),
    );
    const weights = counts.map((share) => share * (0.6 + next()));
    const own = `s${name++}`;
    return split(
      own,
      axis,
      counts.map((share) => build(share, axis === 'x' ? 'y' : 'x')),
      weights,
    );
  };
  return build(windows, 'x') as Split;
}
