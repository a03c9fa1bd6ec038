import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { commandFor } from '../testing/fuzz/events.ts';
import { KEY_COMMANDS, COMMANDS, type KeyCommand } from './registry.ts';
import { sentenceOf } from './sentences.ts';

describe('commands in sentences', () => {
  it('are told by words, and what is said with them is in the sentence', () => {
    fc.assert(
      fc.property(fc.oneof(...COMMANDS.map(commandFor)), (command) => {
        const sentence = sentenceOf(command);
        expect(sentence).toMatch(/^[A-Z]/);
        expect(sentence).not.toMatch(/undefined|\[object|NaN/);
      }),
      { numRuns: 1_000 },
    );
  });

  it('differ from each other', () => {
    const plain = KEY_COMMANDS.map((command) => {
      try {
        return sentenceOf({ command } as KeyCommand);
      } catch {
        // It needs something said with it.
        return command;
      }
    });
    expect(new Set(plain).size).toBe(plain.length);
  });

  it('are what a person would say', () => {
    const said = (command: object) => sentenceOf(command as KeyCommand);
    expect(said({ command: 'put-on-workspace', which: 'previous', follow: true })).toBe(
      'Move window to the previous workspace and go there',
    );
    expect(said({ command: 'put-on-monitor', which: 'up', follow: false })).toBe(
      'Move window to the monitor above and stay here',
    );
    expect(
      ['next', 'previous', 'primary', 'wide', 'left'].map((which) =>
        said({ command: 'go-monitor', which }),
      ),
    ).toEqual([
      'Go to the next monitor',
      'Go to the previous monitor',
      'Go to the primary monitor',
      'Go to monitor wide',
      'Go to the monitor left',
    ]);
    expect(said({ command: 'go-workspace', which: 'B' })).toBe('Go to workspace B');
    expect(said({ command: 'recall-lineup', which: 'last' })).toBe(
      'Bring what was placed last together',
    );
  });
});
