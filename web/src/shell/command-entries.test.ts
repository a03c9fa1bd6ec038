import { COMMANDS, definitionOf } from '@sorn/core/commands';
import { profileSchema, sessionSchema } from '@sorn/core/model';
import { describe, expect, it } from 'vitest';
import { commandEntries } from './command-entries.ts';

const PROFILE = profileSchema.parse({
  monitors: [{ id: 'main', width: 1920, height: 1080 }],
  desks: [{ id: 'office', monitors: [{ monitor: 'main', x: 0, y: 0 }] }],
  workspaces: [{ id: 'M', name: 'Maps' }],
  apps: [{ id: 'post', name: 'Post' }],
  chains: [{ id: 'a', commands: [{ command: 'float' }] }],
  menus: [{ id: 'm' }],
  boards: [
    {
      id: 'b',
      name: 'Board',
      columns: [1],
      rows: [1],
      zones: [{ name: 'All', columns: [1, 1], rows: [1, 1] }],
      for: {},
    },
  ],
});
const { windows } = sessionSchema.parse({
  windows: [{ id: 'post-1', app: 'post', title: 'Inbox' }],
});
const ENTRIES = commandEntries(
  PROFILE,
  {
    windows: windows.map((window) => ({
      ...window,
      held: 'tiled',
      monitor: 'main',
      workspace: 'M',
    })) as never,
  },
  PROFILE.boards[0],
);

describe('commands in find-anything', () => {
  it('are all there, with what is said with them; steps of a choice and what lasts while a key is down are keys alone', () => {
    const byKeyAlone = COMMANDS.filter((id) => {
      const { hasFixedKeys, lasts } = definitionOf(id);
      return hasFixedKeys === true || lasts === true;
    });
    const there = new Set(ENTRIES.map(({ command }) => command.command));
    expect(COMMANDS.filter((id) => !there.has(id) && !byKeyAlone.includes(id))).toEqual([]);
    expect(byKeyAlone.length).toBeLessThan(20);
  });
});
