import { COMMANDS } from '../commands/registry.ts';
import { describe, expect, it } from 'vitest';
import { unknownNames } from '../checkup/unknown-names.ts';
import { commandSchema } from '../commands/command.ts';
import { KEY_STARTERS } from '../model/keys.ts';
import { profileSchema, type Profile } from '../model/profile.ts';
import { OFFICE } from '../testing/desk.ts';
import type { Modifier } from '../values/modifiers.ts';
import { keysCaps } from '../values/trigger.ts';
import { FIXED_BINDINGS, keyMap } from './map.ts';
import { resolveKey } from './resolve.ts';
import { IDLE } from './state.ts';
import { keyTable } from './table.ts';

const profile = profileSchema.parse({
  ...OFFICE,
  apps: [
    { id: 'pitreader', letter: 'I' },
    { id: 'zebra', letter: 'Z' },
  ],
});

/** What one press does. */
function doesIn(of: Profile, code: string, ...modifiers: Modifier[]) {
  const context = { table: keyTable(of), interaction: null, app: null };
  const { out } = resolveKey(IDLE, { type: 'down', at: 0, code, modifiers }, context);
  return out.flatMap((each) => (each.type === 'command' ? [each.command] : []))[0] ?? null;
}
const does = (code: string, ...modifiers: Modifier[]) => doesIn(profile, code, ...modifiers);

describe('the starters', () => {
  it.each(KEY_STARTERS)('%s binds no keys twice, and only commands that exist', (from) => {
    const map = keyMap({ ...profile, keys: { ...profile.keys, from } });
    const signs = map.map(({ canonicalTrigger }) => canonicalTrigger);
    expect(new Set(signs).size).toBe(signs.length);
    for (const { command } of map) expect(commandSchema.parse(command)).toEqual(command);
  });

  it('of every command do what they say by place of the key', () => {
    expect(does('ArrowLeft', 'Meta')).toEqual({ command: 'focus-left' });
    expect(does('ArrowDown', 'Ctrl', 'Shift', 'Meta')).toEqual({ command: 'shrink-down' });
    expect(does('KeyB', 'Meta')).toEqual({ command: 'go-workspace', which: 'B' });
    expect(does('Digit1', 'Meta')).toEqual({ command: 'go-workspace', which: '1' });
    expect(does('KeyI', 'Alt', 'Meta')).toEqual({ command: 'call-app', app: 'pitreader' });
    expect(does('KeyI', 'Ctrl', 'Alt', 'Meta')).toEqual({ command: 'open-app', app: 'pitreader' });
    expect(does('PageUp', 'Meta')).toEqual({ command: 'go-workspace', which: 'previous' });
    expect(does('KeyI', 'Shift')).toBeNull();
  });

  it('give a workspace its letter before a command the starter puts there', () => {
    const named = profileSchema.parse({ ...OFFICE, workspaces: [{ id: 'L' }, { id: 'Z' }] });
    expect(doesIn(named, 'KeyL', 'Meta')).toEqual({ command: 'go-workspace', which: 'L' });
    expect(doesIn(named, 'KeyZ', 'Meta')).toEqual({ command: 'go-workspace', which: 'Z' });
  });

  it('reach every command, but for what only a figure gives, and what scripts alone say', () => {
    const desk = { id: 'office', monitors: [{ monitor: 'wide', x: 0, y: 0 }] };
    const all = keyMap(profileSchema.parse({ ...profile, desks: [desk] }));
    const ids = new Set<string>([...all, ...FIXED_BINDINGS].map(({ command }) => command!.command));
    // Chains and menus are a person's own. The keys of a shaping say how with each step: only scripts choose it for the steps that follow.
    expect(COMMANDS.filter((id) => !ids.has(id))).toEqual([
      'move-edge',
      'shape-as',
      'chain',
      'menu',
    ]);
  });

  it('beside another main modifier have Meta in its place, so that no two keys become one', () => {
    const byCtrl = profileSchema.parse({ ...profile, keys: { main: 'Ctrl', standIn: 'Ctrl' } });
    expect(keyMap(byCtrl)).toHaveLength(keyMap(profile).length);
    expect(doesIn(byCtrl, 'ArrowLeft', 'Ctrl')).toEqual({ command: 'focus-left' });
    expect(doesIn(byCtrl, 'ArrowLeft', 'Ctrl', 'Meta')).toEqual({ command: 'grow-left' });
    expect(new Set(keyMap(byCtrl).map(({ canonicalTrigger }) => canonicalTrigger)).size).toBe(
      keyMap(byCtrl).length,
    );
  });

  it('are drawn as key caps in a fixed order, and take the stand-in for the main modifier', () => {
    expect(keysCaps('Shift+Ctrl+Main+ArrowUp', { main: 'Meta' })).toEqual([
      'Meta',
      'Ctrl',
      'Shift',
      '↑',
    ]);
    expect(keysCaps('Main+KeyK KeyS', { main: 'Alt' })).toEqual(['Alt', 'K', 'then', 'S']);
    expect(does('Comma', 'Alt', 'Shift')).toEqual({ command: 'move-earlier' });
    expect(does('Comma', 'Ctrl')).toBeNull();
  });
});

describe('keys in a file', () => {
  const faultOf = (keys: object) => {
    const read = profileSchema.safeParse({ ...OFFICE, keys });
    return read.success
      ? null
      : `${read.error.issues[0]!.path.join('.')}: ${read.error.issues[0]!.message}`;
  };

  it('are told with what was expected where they are mistyped', () => {
    const binding = (keys: string) =>
      faultOf({ bindings: [{ keys, command: { command: 'float' } }] });
    expect(binding('Main+KeyLL')).toBe(
      'keys.bindings.0.keys: the code of a key; the nearest is KeyL',
    );
    expect(binding('Main+')).toContain('keys such as Main+Shift+KeyL');
    expect(binding('tap Main+KeyL')).toContain('tap and one key by its place, such as tap Space');
    expect(binding('Main+MetaLeft')).toContain('tap MetaLeft');
    expect(binding('Escape KeyA')).toContain('Escape alone leads home');
    for (const keys of [
      'Main+KeyK Ctrl+KeyS',
      'hold Space',
      'Main+types:+',
      'Button17',
      'Caps+Tab',
    ])
      expect(binding(keys)).toBeNull();
    expect(faultOf({ bindings: [{ keys: 'KeyA', command: { command: 'flaot' } }] })).toBe(
      'keys.bindings.0.command.command: a command; the nearest is float',
    );
    expect(faultOf({ bindings: [{ keys: 'KeyA' }] })).toContain('a command, a release or both');
  });

  it('that name what is not there are told with the nearest that is', () => {
    const read = profileSchema.parse({
      ...OFFICE,
      keys: {
        layers: [{ id: 'far' }],
        bindings: [
          { keys: 'Mian+KeyQ', command: { command: 'close' }, in: 'fra', app: 'shel' },
          { keys: 'Main+F5', command: { command: 'enter-layer', layer: 'farr' } },
          { keys: 'Main+F6', command: { command: 'go-workspace', which: 'BB' } },
          { keys: 'Main+F9', command: { command: 'go-workspace', which: 'X' } },
          { keys: 'Main+F7', command: { command: 'go-monitor', which: 'lapp' } },
          { keys: 'Main+F8', command: { command: 'go-monitor', which: 'left' } },
        ],
      },
    });
    expect(unknownNames(read).map(({ path, nearest }) => `${path} ${nearest}`)).toEqual([
      'keys.bindings[0].keys Main',
      'keys.bindings[0].in far',
      'keys.bindings[0].app shell',
      'keys.bindings[1].command.layer far',
      'keys.bindings[2].command.which B',
      'keys.bindings[4].command.which lap',
    ]);
    // X would be made; where that is refused, nothing can be gone to.
    const refused = { ...read, tiling: { ...read.tiling, missingWorkspaces: 'refused' as const } };
    expect(unknownNames(refused).map(({ value }) => value)).toContain('X');
  });

  it('of version 2 have places as bindings', () => {
    const read = profileSchema.parse({
      ...OFFICE,
      version: 2,
      keys: {
        main: 'Alt',
        places: [{ modifiers: ['Alt', 'Shift'], code: 'KeyX', x: { start: '1/3' } }],
      },
    });
    expect(read.keys.bindings).toEqual([
      { keys: 'Main+Shift+KeyX', command: { command: 'place-at', x: { start: '1/3' } } },
    ]);
    expect(doesIn(read, 'KeyX', 'Alt', 'Shift')?.command).toBe('place-at');
  });
});
