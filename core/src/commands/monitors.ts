import { MODES } from '../values/window.ts';
import { choiceOrNone, desk, flag, monitor } from './argument.ts';
import { define, UNDOABLE, BY_TWO_TARGETS, NAVIGATION } from './definition.ts';

const step = { task: 'monitors', ...UNDOABLE, ...BY_TWO_TARGETS, guessedUses: 2 } as const;

/** Commands that go to monitors, put things there, and change what is connected. */
export const monitorCommands = {
  'go-monitor': define({
    said: { which: monitor() },
    task: 'monitors',
    ...NAVIGATION,
    ...BY_TWO_TARGETS,
    guessedUses: 10,
    goesRound: true,
    short: ({ which }) => `to ${which}`,
  }),
  'put-on-monitor': define({
    said: { which: monitor(), follow: flag('Go with it', true, 'stay') },
    ...step,
    guessedUses: 6,
    goesRound: true,
    short: ({ which }) => `put ${which}`,
  }),
  'put-workspace-on-monitor': define({
    said: { which: monitor() },
    ...step,
    whilePaused: true,
    short: ({ which }) => `ws put ${which}`,
  }),
  'use-desk': define({
    said: { desk: desk() },
    ...step,
    whilePaused: true,
    whileUnplugged: true,
    short: ({ desk: id }) => `desk ${id}`,
  }),
  /** Without a mode: the next one is chosen with every press, and taken on release. */
  'desk-mode': define({
    said: { mode: choiceOrNone('Mode', MODES, 'the next one') },
    ...step,
    undoable: ({ mode }) => mode !== undefined,
    whilePaused: true,
    continues: ['choosing-mode'],
  }),
  'bring-inside': define({ said: {}, ...step }),
};
