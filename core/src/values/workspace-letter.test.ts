import { describe, expect, it } from 'vitest';
import { workspaceIdFault, workspaceNameOf } from './workspace-letter.ts';

describe('what a person types for a new workspace', () => {
  const taken = ['B', 'm', '1'];
  it.each([
    ['', { id: '2' }],
    ['k', { id: 'K' }],
    ['7', { id: '7' }],
    // Mail: M is taken, A is free.
    ['Mail', { id: 'A', name: 'Mail' }],
    ['  Old maps ', { id: 'O', name: 'Old maps' }],
    // No letter of it is free: the next free number.
    ['Mb 1', { id: '2', name: 'Mb 1' }],
    ['…', { id: '2', name: '…' }],
  ])('%j is %j', (typed, called) => {
    expect(workspaceNameOf(typed, taken)).toEqual(called);
  });

  it('is nothing where exactly that letter is taken, in either case', () => {
    for (const letter of ['b', 'B', 'M', '1']) expect(workspaceNameOf(letter, taken)).toBeNull();
  });
});

it('another letter is refused where it is taken, in either case, and where it is no id', () => {
  const fault = (typed: string) => workspaceIdFault(typed, ['B', 'mail']);
  expect([fault('b'), fault('B'), fault('mail')]).toEqual([
    'another is called B',
    'another is called B',
    'another is called mail',
  ]);
  expect(['', 'two words', 'a/b', '__proto__'].every((typed) => fault(typed) !== null)).toBe(true);
  expect([fault('k'), fault('7'), fault('post')]).toEqual([null, null, null]);
});
