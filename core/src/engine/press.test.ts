import { expect, it } from 'vitest';
import type { KeyOutput } from '../keys/state.ts';
import { eventOfKey } from './press.ts';

const did = (on: 'press' | 'hold' | 'tap' | 'release'): KeyOutput =>
  ({
    type: 'command',
    command: { command: 'place-left' },
    binding: null,
    on,
    repeat: false,
  }) as KeyOutput;

it.each([
  ['press', 'key-pressed'],
  ['hold', 'key-pressed'],
  ['tap', 'command'],
  ['release', 'command'],
] as const)(
  'a command on %s happens as %s: only what is down can outline a placing',
  (on, type) => {
    expect(eventOfKey(did(on))).toEqual({ type, command: { command: 'place-left' } });
  },
);

it('a bound key is told with what happens', () => {
  const bound = { ...did('press'), binding: { keys: 'Main+KeyA' } } as KeyOutput;
  expect(eventOfKey(bound)).toEqual({
    type: 'key-pressed',
    command: { command: 'place-left' },
    by: { keys: 'Main+KeyA', command: 'place-left' },
  });
});
