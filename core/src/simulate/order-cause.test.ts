import fc from 'fast-check';
import { expect, it } from 'vitest';
import { orderCause } from './order-cause.ts';

function ordersOf(length: number): number[][] {
  if (length === 0) return [[]];
  return ordersOf(length - 1).flatMap((order) =>
    Array.from({ length }, (_, at) => [...order.slice(0, at), length - 1, ...order.slice(at)]),
  );
}
type Pair = readonly [number, number];
const holds = (order: readonly number[], pairs: readonly Pair[]) =>
  pairs.every(([one, other]) => order.indexOf(one) < order.indexOf(other));

/** Every set of pairs, the smallest first: the size of the first that tells the failing orders from the others. */
function bruteForce(failing: number[][], others: number[][], length: number): number | null {
  const pairs = Array.from({ length }, (_, i) => i).flatMap((one) =>
    Array.from({ length }, (_, i) => i).flatMap((other): Pair[] =>
      one === other ? [] : [[one, other]],
    ),
  );
  const sets = (size: number, from = 0): Pair[][] =>
    size === 0
      ? [[]]
      : pairs
          .slice(from)
          .flatMap((pair, i) => sets(size - 1, from + i + 1).map((set) => [pair, ...set]));
  for (let size = 0; size <= 4; size++)
    for (const set of sets(size))
      if (failing.every((order) => holds(order, set)) && !others.some((order) => holds(order, set)))
        return size;
  return null;
}

it('finds the fewest “this before that” that tell failing orders from others, as brute force does', () => {
  const length = 4;
  const all = ordersOf(length);
  const step = fc.nat({ max: length - 1 });
  const pairs = fc.array(
    fc.tuple(step, step).filter(([one, other]) => one !== other),
    { minLength: 1, maxLength: 3 },
  );
  fc.assert(
    fc.property(pairs, fc.subarray(all, { minLength: 8 }), (cause, tried) => {
      const failing = tried.filter((order) => holds(order, cause));
      const others = tried.filter((order) => !holds(order, cause));
      fc.pre(failing.length > 0);
      const found = orderCause(failing, others)!;
      for (const order of tried) expect(holds(order, found)).toBe(failing.includes(order));
      expect(found.length).toBe(bruteForce(failing, others, length));
    }),
    { numRuns: 60 },
  );
});

it('finds none where no such set is', () => {
  const [one, two] = [
    [0, 1],
    [1, 0],
  ];
  expect(orderCause([one!, two!], [])).toEqual([]);
  expect(
    orderCause(
      [
        [0, 1, 2],
        [2, 1, 0],
      ],
      [[1, 0, 2]],
    ),
  ).toBeNull();
});
