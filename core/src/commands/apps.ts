import { app, asked, windowOfApp } from './argument.ts';
import { define, ONE_TARGET, TWO_TARGETS, VISIT } from './definition.ts';

const opening = { task: 'apps', ...VISIT, ...ONE_TARGET } as const;

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
  launch: define({ said: { text: asked('Name') }, ...opening, ...TWO_TARGETS, guessedUses: 2 }),
  close: define({ said: {}, ...opening, guessedUses: 10 }),
  'open-start': define({ said: {}, ...opening, ...TWO_TARGETS, guessedUses: 2 }),
};
