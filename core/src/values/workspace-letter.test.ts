import { describe, expect, it } from 'vitest';
import { workspaceNameOf } from './workspace-letter.ts';

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
