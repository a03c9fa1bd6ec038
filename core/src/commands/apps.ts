import { app, askedText, windowOfApp } from './argument.ts';
import { define, BY_ONE_TARGET, BY_TWO_TARGETS, NAVIGATION } from './definition.ts';

const opening = { task: 'apps', ...NAVIGATION, ...BY_ONE_TARGET } as const;

/** Commands that open, call and close windows. */
export const appCommands = {
  'open-app': define({
    said: { app: app(), window: windowOfApp() },
    ...opening,
    guessedUses: 6,
    short: ({ app: id }) => `open ${id}`,
  }),
  'call-app': define({
    said: { app: app() },
    ...opening,
    guessedUses: 35,
    short: ({ app: id }) => `call ${id}`,
  }),
  launch: define({
    said: { text: askedText('Name') },
    ...opening,
    ...BY_TWO_TARGETS,
    guessedUses: 2,
  }),
  'choose-app': define({
    said: {},
    ...opening,
    continues: ['choosing-app'],
    guessedUses: 2,
    short: 'choose app',
  }),
  'open-chosen': define({
    said: {},
    ...opening,
    continues: ['choosing-app'],
    guessedUses: 2,
    short: 'open it',
  }),
  close: define({ said: {}, ...opening, guessedUses: 10 }),
  'open-start': define({ said: {}, ...opening, ...BY_TWO_TARGETS, guessedUses: 2 }),
};
