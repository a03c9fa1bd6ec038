import { define, ONE_TARGET, PICK, STEP, TWO_TARGETS, VISIT } from './definition.ts';

const engine = { task: 'desk', ...VISIT, ...TWO_TARGETS, guessedUses: 2 } as const;
const bare = { ...engine, ...ONE_TARGET, continues: ['bare-desktop'] } as const;
const travel = { ...engine, ...PICK, ...ONE_TARGET, whileUnplugged: true, travels: true } as const;

/** Commands of the engine as a whole. */
export const engineCommands = {
  'show-desktop': define({ said: {}, ...bare }),
  'clear-while-pressed': define({ said: {}, ...bare, lasts: true, ignoresRepeat: true }),
  'apply-rules': define({ said: {}, ...engine, ...STEP }),
  pause: define({ said: {}, ...engine, inverse: 'resume' }),
  resume: define({ said: {}, ...engine }),
  undo: define({ said: {}, ...travel, guessedUses: 10 }),
  redo: define({ said: {}, ...travel }),
};
