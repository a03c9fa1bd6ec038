import { keyCommandSchema, commandText } from '@sorn/core/commands';
import { keyMap } from '@sorn/core/keys';
import { profileSchema } from '@sorn/core/model';
import { describe, expect, it } from 'vitest';
import {
  BINDABLE,
  commandsToBind,
  fieldsOf,
  firstOf,
  valueOfField,
  withArgument,
} from './command-fields.ts';
import { keyRows, shownRows } from './rows.ts';

const profile = profileSchema.parse({
  monitors: [{ id: 'wide', width: 3440, height: 1440 }],
  desks: [{ id: 'office', monitors: [{ monitor: 'wide', x: 0, y: 0 }] }],
  workspaces: [{ id: 'B', name: 'Bulletin' }, { id: 'M' }],
  chains: [{ id: 'tidy', commands: [{ command: 'even-out' }] }],
  menus: [{ id: 'all' }],
  apps: [{ id: 'shell', name: 'Shell', letter: 'T' }],
  boards: [
    {
      id: 'b',
      columns: [1, 1],
      rows: [1],
      zones: [{ name: 'Left', columns: [1, 1], rows: [1, 1] }],
    },
  ],
  keys: {
    layers: [{ id: 'far' }],
    bindings: [{ keys: 'Main+KeyL', command: { command: 'close' } }],
  },
});

describe('commands by form', () => {
  it('are sound whatever is chosen in them', () => {
    for (const id of BINDABLE) {
      const first = firstOf(id, profile);
      expect(keyCommandSchema.parse(first)).toEqual(first);
      for (const field of fieldsOf(id, profile)) {
        const said =
          field.of === 'choice'
            ? field.options.map(({ value }) => value)
            : {
                flag: ['true', 'false'],
                figure: ['-40', '10'],
                text: [field.kind === 'ladder' ? '1/3 2/3' : 'name'],
              }[field.of];
        for (const value of said) {
          const command = withArgument(first!, field, value);
          expect(keyCommandSchema.parse(command)).toEqual(command);
          expect(valueOfField(command, field)).toBe(value);
        }
      }
    }
  });

  it('keep what a form has no choice for', () => {
    const command = keyCommandSchema.parse({ command: 'place-at', x: { from: 2, to: 3, of: 7 } });
    const [across, down] = fieldsOf('place-at', profile);
    expect(withArgument(command, across!, valueOfField(command, across!))).toEqual(command);
    expect(valueOfField(command, down!)).toBe('');
  });

  it('can be bound, each thing by its name, and none that only something under way asks for', () => {
    const all = commandsToBind(profile).map(commandText);
    expect(new Set(all).size).toBe(all.length);
    for (const text of [
      'go-workspace M',
      'call-app shell',
      'place-in-zone Left',
      'enter-layer far',
    ])
      expect(all).toContain(text);
    expect(all.some((text) => text.startsWith('pick ') || text === 'pick-take')).toBe(false);
    // Where there is nothing to name there is nothing to bind.
    const bare = commandsToBind({ ...profile, apps: [] }).map(commandText);
    expect(bare.some((text) => text.startsWith('call-app'))).toBe(false);
  });
});

describe('rows of the table', () => {
  const uses = [{ keys: 'Main+KeyW', command: 'float', times: 7 }];
  const rows = keyRows(profile, uses);

  it('are every binding once, with its use, what changed and what was found', () => {
    expect(rows).toHaveLength(keyMap(profile).length);
    expect(rows.find(({ command }) => command === 'float')?.uses).toBe(7);
    const conflict = shownRows(rows, 'conflict', '');
    expect(conflict.map(({ command }) => command).sort()).toEqual(['close', 'reset-layout']);
    expect(shownRows(rows, 'changed', '').map(({ command }) => command)).toEqual([
      'close',
      'close',
    ]);
    expect(shownRows(rows, 'unused', '')).toHaveLength(rows.length - 1);
  });

  it('are narrowed by words of keys and commands', () => {
    const found = shownRows(rows, 'all', 'bulletin');
    expect(found).toEqual([]);
    expect(shownRows(rows, 'all', 'go-workspace B').map(({ pressed }) => pressed)).toContain(
      'Meta B',
    );
  });
});
