import { describe, expect, it } from 'vitest';
import { profileSchema } from '../profile/schema.ts';
import { commandSchema } from '../session/commands/index.ts';
import { OFFICE } from '../testing/desk.ts';
import { chordCaps, chordOf, chordText } from './chord.ts';
import { bindingFor, starterKeys } from './starter.ts';

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
    expect(does('KeyI', 'Meta', 'Shift')).toEqual({ command: 'open-app', app: 'pitreader' });
    expect(does('KeyI', 'Shift')).toBeNull();
  });

  it('leave a key with what took it first', () => {
    expect(does('KeyZ', 'Meta', 'Shift')).toEqual({ command: 'redo' });
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
