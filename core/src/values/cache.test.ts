import { describe, expect, it, vi } from 'vitest';
import { keptByFields, keptNewest } from './cache.ts';

interface Whole {
  name: string;
  list: readonly number[];
  part: { a: number; b?: number; deep: { c: number } };
}
const WHOLE: Whole = { name: 'one', list: [1, 2], part: { a: 1, deep: { c: 3 } } };

/** The function, and how often it was worked out. */
function counted<V>(find: (whole: Whole) => V) {
  const spy = vi.fn(find);
  return { kept: keptByFields(2, spy), times: () => spy.mock.calls.length };
}

describe('what is kept by the fields that were read', () => {
  it('is given again for another object where all those are the same', () => {
    const { kept, times } = counted(({ list, part }) => list.length + part.deep.c);
    expect(kept(WHOLE)).toBe(5);
    expect(kept({ ...WHOLE, name: 'two' })).toBe(5);
    expect(kept({ ...WHOLE, part: { ...WHOLE.part, a: 7 } })).toBe(5);
    expect(times()).toBe(1);
  });

  it.each<[string, (whole: Whole) => Whole]>([
    ['a list', (whole) => ({ ...whole, list: [1] })],
    ['a value deep in it', (whole) => ({ ...whole, part: { ...whole.part, deep: { c: 4 } } })],
    ['a part that holds it', (whole) => ({ ...whole, part: { a: 1, deep: { c: 9 } } })],
  ])('is found anew where %s is another', (_what, change) => {
    const find = ({ list, part }: Whole) => list.length + part.deep.c;
    const { kept } = counted(find);
    kept(WHOLE);
    const next = change(WHOLE);
    expect(kept(next)).toBe(find(next));
  });

  it('depends on what was not there, too', () => {
    const { kept } = counted(({ part }) => part.b ?? 'none');
    expect(kept(WHOLE)).toBe('none');
    expect(kept({ ...WHOLE, part: { ...WHOLE.part, b: 2 } })).toBe(2);
    const asked = counted(({ part }) => 'b' in part);
    expect(asked.kept(WHOLE)).toBe(false);
    expect(asked.kept({ ...WHOLE, part: { ...WHOLE.part, b: 2 } })).toBe(true);
  });

  it.each<[string, (whole: Whole) => unknown]>([
    ['goes through a part', ({ part }) => Object.keys(part)],
    ['copies a part', ({ part }) => ({ ...part })],
    ['makes a text of a part', ({ part }) => JSON.stringify(part)],
  ])('depends on all of what it %s', (_what, find) => {
    const { kept } = counted(find);
    expect(kept(WHOLE)).toEqual(find(WHOLE));
    const next = { ...WHOLE, part: { ...WHOLE.part, b: 5 } };
    expect(kept(next)).toEqual(find(next));
  });

  it('depends on the whole where all of that is gone through', () => {
    const { kept } = counted((whole) => Object.keys(whole).length);
    expect(kept(WHOLE)).toBe(3);
    expect(kept({ ...WHOLE, more: 1 } as Whole)).toBe(4);
  });

  it('takes what is frozen', () => {
    const frozen = Object.freeze({ ...WHOLE, part: Object.freeze({ ...WHOLE.part }) });
    expect(counted(({ part }) => ({ ...part }).deep.c).kept(frozen)).toBe(3);
  });

  it('is found anew after so many others', () => {
    const { kept, times } = counted(({ name }) => name);
    for (const name of ['one', 'two', 'one', 'three', 'one']) kept({ ...WHOLE, name });
    expect(times()).toBe(3);
    kept({ ...WHOLE, name: 'two' });
    expect(times()).toBe(4);
  });
});

it('what is kept for the newest keys is found once while they are among those', () => {
  const find = vi.fn((key: { n: number }) => key.n);
  const kept = keptNewest(2, find);
  const [a, b, c] = [{ n: 1 }, { n: 2 }, { n: 3 }];
  expect([a, b, a, b, c, b].map(kept)).toEqual([1, 2, 1, 2, 3, 2]);
  expect(find).toHaveBeenCalledTimes(3);
  kept(a);
  expect(find).toHaveBeenCalledTimes(4);
});
