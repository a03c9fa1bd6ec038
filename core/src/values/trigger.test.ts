import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CODES } from './codes.ts';
import { MAIN, MODIFIERS } from './modifiers.ts';
import {
  keysCaps,
  pressesIn,
  readTrigger,
  THEN,
  triggerOf,
  triggerText,
  type Trigger,
} from './trigger.ts';

const names = [MAIN, ...MODIFIERS, 'Caps', 'far-one'];
const alone = CODES.filter((code) => !/^(Control|Alt|Shift|Meta)(Left|Right)$/.test(code));
const anyStep = fc.record({
  modifiers: fc.subarray(names),
  key: fc.oneof(
    fc.constantFrom(...alone).map((code) => ({ code })),
    fc.constantFrom('?', '+', ' ', 'é', 'Enter', ':', '=', 'types:').map((types) => ({ types })),
    fc.integer({ min: 1, max: 64 }).map((button) => ({ code: `Button${button}` })),
  ),
});
const anyTrigger: fc.Arbitrary<Trigger> = fc.oneof(
  fc.array(anyStep, { minLength: 1, maxLength: 4 }).map((steps) => ({
    how: 'press' as const,
    steps: steps.map(({ modifiers, key }) => ({ modifiers, ...key })),
  })),
  fc.record({
    how: fc.constantFrom('tap' as const, 'hold' as const),
    steps: fc.constantFrom(...CODES).map((code) => [{ modifiers: [], code }]),
  }),
);

describe('a trigger as text', () => {
  it('is read back as what was written, with modifiers in their order', () => {
    fc.assert(
      fc.property(anyTrigger, (trigger) => {
        const text = triggerText(trigger);
        const read = readTrigger(text);
        if (typeof read === 'string') throw new Error(`${text}: ${read}`);
        expect(triggerText(read)).toBe(text);
        expect(read.how).toBe(trigger.how);
        read.steps.forEach((step, i) => {
          const { modifiers, ...key } = trigger.steps[i]!;
          expect(step).toMatchObject(key);
          expect([...step.modifiers].sort()).toEqual([...modifiers].sort());
        });
      }),
    );
  });

  it('that is none is told with what was expected, and never read as another', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 30 }), (text) => {
        const read = readTrigger(text);
        if (typeof read === 'string') {
          expect(read).not.toBe('');
          expect(() => triggerOf(text)).toThrow(read);
        } else expect(readTrigger(triggerText(read))).toEqual(read);
      }),
      { numRuns: 500 },
    );
  });

  it.each([
    ['', 'keys such as'],
    ['Main', 'keys such as'],
    ['Main++KeyA', 'keys such as'],
    ['KeyA KeyB KeyC KeyD KeyE', 'keys such as'],
    ['Button0', 'a button, Button1 to Button64'],
    ['Button65', 'a button, Button1 to Button64'],
    ['types:', 'keys such as'],
    ['tap KeyA KeyB', 'tap and one key by its place'],
    ['hold types:a', 'hold and one key by its place'],
    ['ArowLeft', 'the nearest is ArrowLeft'],
    ['ShiftLeft', 'tap or hold of a modifier, such as tap ShiftLeft'],
  ])('%j is refused: %s', (text, right) => {
    expect(readTrigger(text)).toContain(right);
  });

  it('is drawn by caps, press by press', () => {
    expect(keysCaps('tap CapsLock', { main: 'Meta' })).toEqual(['tap', 'Caps']);
    expect(keysCaps('Caps+types:Space Main+Button4', { main: 'Alt' })).toEqual([
      'Caps',
      '“Space”',
      'then',
      'Alt',
      'Button 4',
    ]);
  });
});

describe('the caps of a sequence', () => {
  it('have a word between its presses, which is no press', () => {
    const caps = keysCaps('Main+Space Shift+KeyS', { main: 'Meta' });
    expect(caps).toEqual(['Meta', 'Space', THEN, 'Shift', 'S']);
    expect(pressesIn(caps)).toBe(4);
  });
});

it.each(['', '  ', 'tap', 'hold  '])('“%s” has no key: it says what keys look like', (text) => {
  expect(readTrigger(text)).toContain('keys such as Main+Shift+KeyL');
});
