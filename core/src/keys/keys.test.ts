import { describe, expect, it } from 'vitest';
import { profileSchema } from '../profile/schema.ts';
import { COMMANDS, commandSchema } from '../session/commands/index.ts';
import type { Session } from '../session/session.ts';
import { OFFICE, testDesk, windows } from '../testing/desk.ts';
import { chordCaps, chordOf, chordText } from './chord.ts';
import { PICKING_KEYS } from './placing-keys.ts';
import { bindingFor, bindingsNow, SHAPING_KEYS, starterKeys } from './starter.ts';

const profile = profileSchema.parse({
  ...OFFICE,
  apps: [
    { id: 'pitreader', letter: 'I' },
    { id: 'zebra', letter: 'Z' },
  ],
});
const bindings = starterKeys(profile);
const press = (code: string, ...held: string[]) =>
  chordOf({
    code,
    ctrlKey: held.includes('Ctrl'),
    altKey: held.includes('Alt'),
    shiftKey: held.includes('Shift'),
    metaKey: held.includes('Meta'),
  });
const does = (code: string, ...held: string[]) =>
  bindingFor(bindings, press(code, ...held), profile.keys)?.command ?? null;

describe('the starter keys', () => {
  it('bind no chord twice, and only commands that exist', () => {
    const texts = bindings.map(({ chord }) => chordText(chord));
    expect(new Set(texts).size).toBe(texts.length);
    for (const { command } of bindings) expect(commandSchema.parse(command)).toEqual(command);
  });

  it('do what they say by place of the key', () => {
    expect(does('ArrowLeft', 'Meta')).toEqual({ command: 'focus-left' });
    expect(does('ArrowDown', 'Meta', 'Ctrl', 'Shift')).toEqual({ command: 'shrink-down' });
    expect(does('KeyB', 'Meta')).toEqual({ command: 'go-workspace', which: 'B' });
    expect(does('Digit1', 'Meta')).toEqual({ command: 'go-workspace', which: '1' });
    expect(does('KeyI', 'Meta', 'Shift')).toEqual({ command: 'call-app', app: 'pitreader' });
    expect(does('KeyI', 'Meta', 'Alt')).toEqual({ command: 'open-app', app: 'pitreader' });
    expect(does('PageUp', 'Meta')).toEqual({ command: 'go-workspace', which: 'previous' });
    expect(does('KeyI', 'Shift')).toBeNull();
  });

  it('leave a key with what took it first', () => {
    expect(does('KeyZ', 'Meta', 'Shift')).toEqual({ command: 'redo' });
  });

  it('give a workspace its letter before a command the starter puts there', () => {
    const named = profileSchema.parse({ ...OFFICE, workspaces: [{ id: 'L' }, { id: 'Z' }] });
    const by = (code: string) => bindingFor(starterKeys(named), press(code, 'Meta'), named.keys);
    expect(by('KeyL')?.command).toEqual({ command: 'go-workspace', which: 'L' });
    expect(by('KeyZ')?.command).toEqual({ command: 'undo' });
  });

  it('reach every command, but for what only a figure or another key gives', () => {
    const desk = { id: 'office', monitors: [{ monitor: 'wide', x: 0, y: 0 }] };
    const all = starterKeys(profileSchema.parse({ ...profile, desks: [desk] }));
    const layers = [...SHAPING_KEYS, ...Object.values(PICKING_KEYS).flat()];
    const ids = new Set([...all, ...layers].map(({ command }) => command.command));
    expect(COMMANDS.filter((id) => !ids.has(id))).toEqual(['use-layout', 'move-edge']);
  });

  it('come after the bare keys of shaping while that lasts', () => {
    const desk = testDesk(OFFICE, windows('p', 'b'));
    const at = (session: Session, code: string, ...held: string[]) =>
      bindingFor(bindingsNow(bindings, session), press(code, ...held), profile.keys)?.command;
    const shaping = desk.run('shape').session;
    expect(at(desk.session, 'ArrowLeft')).toBeUndefined();
    expect(at(shaping, 'ArrowLeft')).toEqual({ command: 'shape-step', direction: 'left' });
    expect(at(shaping, 'KeyW')).toEqual({ command: 'shape-as', by: 'exchange' });
    expect(at(shaping, 'KeyG', 'Meta')).toEqual({ command: 'shape' });
    expect(at(shaping, 'Enter')).toEqual({ command: 'shape' });
  });

  it('take the stand-in for the main modifier, and keep the others', () => {
    expect(does('Enter', 'Alt', 'Shift')).toEqual({ command: 'promote' });
    expect(does('Enter', 'Ctrl')).toBeNull();
  });

  it('are drawn as key caps in a fixed order', () => {
    expect(chordCaps(press('ArrowUp', 'Shift', 'Meta', 'Ctrl'))).toEqual([
      'Meta',
      'Ctrl',
      'Shift',
      '↑',
    ]);
    expect(chordCaps(press('KeyQ', 'Meta'))).toEqual(['Meta', 'Q']);
  });
});
