import { describe, expect, it } from 'vitest';
import { commandSchema, commandText, shortText } from './command.ts';
import {
  COMMANDS,
  definitionOf,
  KEY_COMMANDS,
  COMMANDS_WITHOUT_ARGUMENTS,
  type Command,
} from './registry.ts';

describe('definitions of commands', () => {
  it('name commands as their ways back', () => {
    for (const id of KEY_COMMANDS) {
      const { inverse } = definitionOf(id);
      if (inverse !== undefined) expect(KEY_COMMANDS).toContain(inverse);
    }
  });

  it('have all four directions of a family, and say them by their ids', () => {
    const families = new Map<string, string[]>();
    for (const id of COMMANDS) {
      const { directed } = definitionOf(id);
      if (!directed) continue;
      expect(id).toBe(`${directed.family}-${directed.direction}`);
      families.set(directed.family, [...(families.get(directed.family) ?? []), directed.direction]);
    }
    expect(families.size).toBeGreaterThan(5);
    for (const directions of families.values())
      expect(directions.sort()).toEqual(['down', 'left', 'right', 'up']);
  });

  it('step, and wait while the engine is paused, unless they change what is connected', () => {
    const goOn = COMMANDS.filter((id) => definitionOf(id).undoable && definitionOf(id).whilePaused);
    expect(goOn).toEqual([
      'put-workspace-on-monitor',
      'use-desk',
      'desk-mode',
      // Each of its commands waits by itself.
      'chain',
    ]);
  });
});

describe('commands in words', () => {
  const read = (command: object) => commandSchema.parse(command);
  it('say what is said with them, and flags only where they are other than left out', () => {
    const texts = (
      [
        { command: 'put-on-workspace', which: 'B', follow: true },
        { command: 'put-on-workspace', which: 'B', follow: false },
        { command: 'put-on-monitor', which: 'tall', follow: false },
        { command: 'use-layout', layout: { kind: 'lead', side: 'right' } },
        { command: 'open-app', app: 'notes', window: 'Draft' },
        { command: 'find-window', text: '' },
        { command: 'move-edge', direction: 'left', by: -30 },
        { command: 'shape-step', direction: 'up', inward: true },
        { command: 'place-at', x: { start: '1/3' }, ladder: ['1/2'] },
        { command: 'desk-mode' },
      ] as const
    ).map((each) => commandText(read(each)));
    expect(texts).toEqual([
      'put-on-workspace B, follow',
      'put-on-workspace B',
      'put-on-monitor tall, stay',
      'use-layout lead, side right',
      'open-app notes: Draft',
      'find-window',
      'move-edge left -30',
      'shape-step up, inward',
      'place-at left 1/3, then 1/2',
      'desk-mode',
    ]);
  });

  it('fit a key cap', () => {
    const short = (command: object) => shortText(read(command));
    expect(short({ command: 'lead-share-more' })).toBe('share more');
    expect(short({ command: 'new-workspace' })).toBe('new ws');
    expect(short({ command: 'put-on-workspace', which: 'B', follow: true })).toBe('follow to ws B');
    expect(short({ command: 'use-layout', layout: { kind: 'single', strip: 'tabs' } })).toBe(
      'tabs',
    );
    expect(short({ command: 'place-at', x: { end: '1/2' }, y: { start: '1/2' } })).toBe(
      'upper right',
    );
    for (const id of COMMANDS_WITHOUT_ARGUMENTS) expect(short({ command: id })).not.toMatch(/-/);
  });

  it('refuse what does not go together, and tell the nearest of a mistyped one', () => {
    const fault = (command: unknown) => commandSchema.safeParse(command).error?.issues[0];
    expect(fault({ command: 'place-at', long: 'full', x: 'full' })).toMatchObject({
      path: ['long'],
      message: 'long alone, or x and y',
    });
    expect(fault({ command: 'flaot' })?.message).toBe('a command; the nearest is float');
    expect(fault({ command: 'go-workspace' })?.path).toEqual(['which']);
    const plain: Command = { command: 'float' };
    expect(read(plain)).toEqual(plain);
  });
});
