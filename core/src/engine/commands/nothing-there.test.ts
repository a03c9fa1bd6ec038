import { expect, it } from 'vitest';
import { COMMANDS_WITHOUT_ARGUMENTS } from '../../commands/registry.ts';
import { OFFICE, testDesk, windows } from '../../testing/desk.ts';

/** Desks on which commands find less than they are made for. */
const DESKS = {
  'without windows': testDesk(OFFICE),
  'without a focus': testDesk(OFFICE, { windows: [{ id: 'a', minimised: true }] }),
  'with nothing plugged in': testDesk(OFFICE, windows('a', 'b')).plug(),
  'that is paused': testDesk(OFFICE, { ...windows('a', 'b'), focus: 'a' }).run('pause'),
  'with one window that floats': testDesk(OFFICE, {
    windows: [{ id: 'a', held: 'floating' }],
    focus: 'a',
  }),
};

it.each(Object.entries(DESKS))(
  'on a desk %s every command says what it did or why not',
  (_, desk) => {
    for (const command of COMMANDS_WITHOUT_ARGUMENTS) {
      const after = desk.run(command);
      expect(after.trace.length, command).toBeGreaterThan(0);
      for (const reason of after.trace) {
        expect(reason.decided, command).toMatch(/\S/);
        expect(reason.because, command).toMatch(/\S/);
        // What is said has a value, and no sentence has the name of one that is none.
        for (const said of Object.values(reason)) expect(said, command).toBeDefined();
        expect(JSON.stringify(reason)).not.toMatch(/undefined|null|NaN|\[object/);
      }
    }
  },
);
