import { describe, expect, it } from 'vitest';
import { profileSchema } from '../model/profile.ts';
import type { Modifier } from '../values/modifiers.ts';
import { NOTHING_RECORDED, recordInput } from './record.ts';

const profile = profileSchema.parse({
  monitors: [{ id: 'm', width: 100, height: 100 }],
  keys: {
    main: 'Meta',
    standIn: 'Alt',
    holdMs: 200,
    bundles: [{ id: 'Broad', hold: 'CapsLock', modifiers: ['Ctrl', 'Alt', 'Shift'] }],
    bindings: [{ keys: 'hold Space', command: { command: 'float' } }],
  },
});

/** Plays "down CODE with A+B at MS" as [sign+code, at, modifiers]; what is recorded in the end. */
function played(...inputs: [input: string, at: number, modifiers?: Modifier[]][]) {
  let state = NOTHING_RECORDED;
  for (const [input, at, modifiers = []] of inputs) {
    const type = input.startsWith('+') ? 'down' : 'up';
    const read = recordInput(state, { type, code: input.slice(1), modifiers, at }, profile);
    state = read.state;
    if (read.whole !== null) return `whole: ${read.whole}`;
  }
  return state.steps.join(' ');
}

describe('what is recorded', () => {
  it('is a press with what is held, the main modifier and its stand-in by name', () => {
    expect(played(['+ShiftLeft', 0, ['Shift']], ['+KeyX', 9, ['Shift', 'Ctrl']])).toBe(
      'Ctrl+Shift+KeyX',
    );
    expect(played(['+KeyX', 9, ['Meta']])).toBe('Main+KeyX');
    expect(played(['+KeyX', 9, ['Alt']])).toBe('Main+KeyX');
    expect(played(['+Button4', 9, ['Ctrl']])).toBe('Ctrl+Button4');
  });

  it('has the bundle whose key is held, by its name, with modifiers beside', () => {
    expect(played(['+CapsLock', 0], ['+KeyK', 20])).toBe('Broad+KeyK');
    expect(played(['+CapsLock', 0], ['+KeyK', 900, ['Ctrl']])).toBe('Ctrl+Broad+KeyK');
    // Let go, it is held no more.
    expect(played(['+CapsLock', 0], ['+KeyK', 20], ['-CapsLock', 30], ['+KeyL', 40])).toBe(
      'Broad+KeyK KeyL',
    );
  });

  it('is a tap or a hold of a key that has two roles, by the time it is down', () => {
    expect(played(['+Space', 0], ['-Space', 199])).toBe('whole: tap Space');
    expect(played(['+Space', 0], ['-Space', 200])).toBe('whole: hold Space');
    expect(played(['+CapsLock', 0], ['-CapsLock', 100])).toBe('whole: tap CapsLock');
    // A bundle's key held alone was meant for something else.
    expect(played(['+CapsLock', 0], ['-CapsLock', 700])).toBe('');
    // With a modifier it is a press as any other; so is a key without roles.
    expect(played(['+Space', 0, ['Meta']])).toBe('Main+Space');
    expect(played(['+KeyG', 0])).toBe('KeyG');
  });

  it('is a press where another key goes down with a key that has two roles', () => {
    expect(played(['+Space', 0], ['+KeyJ', 50], ['-KeyJ', 60], ['-Space', 70])).toBe('KeyJ');
  });

  it('is whole with as many presses as a sequence may have', () => {
    const letters = ['A', 'B', 'C', 'D'].map((key, i): [string, number] => [`+Key${key}`, i]);
    expect(played(...letters)).toBe('whole: KeyA KeyB KeyC KeyD');
  });
});
