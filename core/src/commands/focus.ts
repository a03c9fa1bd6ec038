import { askedText } from './argument.ts';
import { define, inDirections, BY_ONE_TARGET, BY_TWO_TARGETS, NAVIGATION } from './definition.ts';

const going = { task: 'focus', ...NAVIGATION, ...BY_ONE_TARGET } as const;

/** Commands that give another window the focus. */
export const focusCommands = {
  ...inDirections('focus', () => ({ ...going, guessedUses: 60 })),
  'focus-next': define({ said: {}, ...going, guessedUses: 2, continues: ['shaping'] }),
  'focus-previous': define({ said: {}, ...going, guessedUses: 2, continues: ['shaping'] }),
  'focus-last': define({ said: {}, ...going, guessedUses: 35 }),
  'next-of-app': define({ said: {}, ...going, guessedUses: 2 }),
  'switch-window': define({
    said: {},
    ...going,
    guessedUses: 35,
    continues: ['switching'],
    lasts: true,
  }),
  'find-window': define({
    said: { text: askedText('Name') },
    ...going,
    ...BY_TWO_TARGETS,
    guessedUses: 10,
  }),
};
