import { askedText, flag, workspace } from './argument.ts';
import { define, BY_ONE_TARGET, UNDOABLE, BY_TWO_TARGETS, NAVIGATION } from './definition.ts';

const step = { task: 'workspaces', ...UNDOABLE, ...BY_TWO_TARGETS } as const;

/** Commands that go to workspaces, put windows there, and make and close them. */
export const workspaceCommands = {
  'go-workspace': define({
    said: { which: workspace() },
    task: 'workspaces',
    ...NAVIGATION,
    ...BY_ONE_TARGET,
    guessedUses: 40,
    goesRound: true,
    short: ({ which }) => `ws ${which}`,
  }),
  'put-on-workspace': define({
    said: { which: workspace(), follow: flag('Go with it', false, 'follow') },
    ...step,
    guessedUses: 15,
    goesRound: true,
    short: ({ which, follow }) => `${follow ? 'follow to' : 'put on'} ws ${which}`,
  }),
  'new-workspace': define({
    said: { called: askedText('Letter or name') },
    ...step,
    guessedUses: 2,
    short: 'new ws',
  }),
  'rename-workspace': define({
    said: { name: askedText('Name') },
    task: 'workspaces',
    ...BY_TWO_TARGETS,
    undoable: false,
    whilePaused: true,
    guessedUses: 1,
    short: 'name ws',
  }),
  'close-workspace': define({ said: {}, ...step, guessedUses: 2, short: 'close ws' }),
};
