import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { profileSchema } from '../model/profile.ts';
import { CODES } from '../values/codes.ts';
import { keysCaps, readTrigger } from '../values/trigger.ts';
import { OFFICE } from '../testing/desk.ts';
import { readTypedKeys } from './typed-keys.ts';

const profile = profileSchema.parse({
  monitors: [{ id: 'm', width: 100, height: 100 }],
  keys: {
    main: 'Meta',
    bundles: [{ id: 'Broad', hold: 'CapsLock', modifiers: ['Ctrl', 'Alt', 'Shift'] }],
  },
});

describe('keys typed as they are printed', () => {
  it('are those of the person’s own keyboard', () => {
    const { keys } = profileSchema.parse({
      ...OFFICE,
      keys: { legends: { KeyY: 'Z', KeyZ: 'Y', Semicolon: 'Ö' } },
    });
    const read = (text: string) => readTypedKeys({ keys }, text);
    expect(read('meta z')).toEqual({ keys: 'Main+KeyY' });
    expect(read('meta shift ö')).toEqual({ keys: 'Main+Shift+Semicolon' });
    expect(read('meta a')).toEqual({ keys: 'Main+KeyA' });
    expect(keysCaps('Main+KeyY', keys)).toEqual(['Meta', 'Z']);
    // In the spelling of profiles a place is a place.
    expect(read('Main+KeyZ')).toEqual({ keys: 'Main+KeyZ' });
  });
});

describe('keys as people type them', () => {
  it.each([
    ['meta shift left', 'Main+Shift+ArrowLeft'],
    ['Meta+l', 'Main+KeyL'],
    ['windows L', 'Main+KeyL'],
    ['ctrl k then s', 'Ctrl+KeyK KeyS'],
    ['Ctrl K S', 'Ctrl+KeyK KeyS'],
    ['ctrl f 1', 'Ctrl+KeyF Digit1'],
    ['alt page up', 'Alt+PageUp'],
    ['pad 7', 'Numpad7'],
    ['button 4', 'Button4'],
    ['tap caps', 'tap CapsLock'],
    ['hold space', 'hold Space'],
    ['broad k', 'Broad+KeyK'],
    ['meta /', 'Main+Slash'],
    ['f12', 'F12'],
    ['Main+KeyK KeyS', 'Main+KeyK KeyS'],
    ['Main+types:?', 'Main+types:?'],
  ])('%s', (typed, keys) => {
    expect(readTypedKeys(profile, typed)).toEqual({ keys });
  });

  it.each([
    ['Brad+KeyK', 'a modifier or a bundle; the nearest is Broad'],
    ['Xyzzyx+KeyK', 'a modifier: one of Main, Ctrl, Alt, Shift, Meta, Broad'],
    ['Main+KeyKK', 'the code of a key; the nearest is KeyK'],
    ['meta lefft', 'a key or a modifier; the nearest to lefft is left'],
    ['meta', 'keys such as Meta Shift Left'],
    ['', 'keys such as Meta Shift Left'],
    ['button 99', 'a key or a modifier; the nearest to button is '],
    ['a b c d e', 'keys such as Meta Shift Left'],
    ['tap meta k', 'a key or a modifier'],
  ])('%s is refused', (typed, expected) => {
    expect(readTypedKeys(profile, typed)).toMatchObject({
      expected: expect.stringContaining(expected) as string,
    });
  });

  it('are read as they are written on caps, for every key', () => {
    fc.assert(
      fc.property(
        fc.subarray(['Main', 'Ctrl', 'Alt', 'Shift']),
        fc.constantFrom(...CODES.filter((code) => typeof readTrigger(code) !== 'string')),
        (modifiers, code) => {
          const keys = [...modifiers, code].join('+');
          const caps = keysCaps(keys, { main: 'Meta' }).join(' ').replace('Pad ×', 'Pad multiply');
          const read = readTypedKeys(profile, caps.replace('Pad ÷', 'Pad divide'));
          // A sign on the pad and the like has no word of its own; it is refused, never taken for another key.
          if ('keys' in read)
            expect(keysCaps(read.keys, { main: 'Meta' })).toEqual(keysCaps(keys, { main: 'Meta' }));
        },
      ),
    );
  });
});
