import { askedText } from './argument.ts';
import { define, inDirections, UNDOABLE, BY_TWO_TARGETS } from './definition.ts';

const moving = { task: 'move', ...UNDOABLE, ...BY_TWO_TARGETS } as const;

/** Commands that change the order of the windows of a workspace. */
export const moveCommands = {
  ...inDirections('move', () => ({ ...moving, guessedUses: 15 })),
  'move-earlier': define({ said: {}, ...moving, inverse: 'move-later', guessedUses: 2 }),
  'move-later': define({ said: {}, ...moving, inverse: 'move-earlier', guessedUses: 2 }),
  'swap-with-lead': define({ said: {}, ...moving, guessedUses: 15 }),
  /** With a window by its name or id: it may be anywhere. */
  'exchange-with': define({
    said: { text: askedText('Window') },
    ...moving,
    guessedUses: 2,
    short: 'exchange with',
  }),
  promote: define({ said: {}, ...moving, guessedUses: 2 }),
};
