import { asked } from './argument.ts';
import { define, inDirections, ONE_TARGET, TWO_TARGETS, VISIT } from './definition.ts';

const going = { task: 'focus', ...VISIT, ...ONE_TARGET } as const;

/** Commands that give another window the focus. */
export const focusCommands = {
  ...inDirections('focus', () => ({ ...going, guessedUses: 60 })),
  'focus-next': define({ said: {}, ...going, guessedUses: 2 }),
  'focus-previous': define({ said: {}, ...going, guessedUses: 2 }),
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
    said: { text: asked('Name') },
    ...going,
    ...TWO_TARGETS,
    guessedUses: 10,
  }),
};
