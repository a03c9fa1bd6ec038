import { chain, menu } from './argument.ts';
import {
  define,
  BY_ONE_TARGET,
  STEERED_CHOICE,
  UNDOABLE,
  BY_TWO_TARGETS,
  NAVIGATION,
} from './definition.ts';

const engine = { task: 'desk', ...NAVIGATION, ...BY_TWO_TARGETS, guessedUses: 2 } as const;
const bare = { ...engine, ...BY_ONE_TARGET, continues: ['bare-desktop'] } as const;
const travel = {
  ...engine,
  ...STEERED_CHOICE,
  ...BY_ONE_TARGET,
  whileUnplugged: true,
  travels: true,
} as const;

/** Commands of the engine as a whole. */
export const engineCommands = {
  'show-desktop': define({ said: {}, ...bare }),
  'clear-while-pressed': define({ said: {}, ...bare, lasts: true, ignoresRepeat: true }),
  'apply-rules': define({ said: {}, ...engine, ...UNDOABLE }),
  chain: define({
    said: { chain: chain() },
    ...engine,
    undoable: true,
    ignoresRepeat: true,
    guessedUses: 4,
    short: ({ chain: id }) => id,
  }),
  menu: define({
    said: { menu: menu() },
    ...engine,
    ...STEERED_CHOICE,
    whilePaused: true,
    ignoresRepeat: true,
    needsTyping: true,
    opensList: true,
    guessedUses: 4,
    short: ({ menu: id }) => `menu: ${id}`,
  }),
  pause: define({ said: {}, ...engine, inverse: 'resume' }),
  resume: define({ said: {}, ...engine }),
  undo: define({ said: {}, ...travel, guessedUses: 10 }),
  redo: define({ said: {}, ...travel }),
};
