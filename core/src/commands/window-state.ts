import { define, BY_ONE_TARGET, UNDOABLE, BY_TWO_TARGETS } from './definition.ts';

const holding = { task: 'holding', ...UNDOABLE, ...BY_TWO_TARGETS, guessedUses: 2 } as const;

/** Commands that tile or float a window, or put it away for now. */
export const holdingCommands = {
  float: define({ said: {}, ...holding, guessedUses: 10 }),
  'float-all': define({ said: {}, ...holding }),
  'stay-above': define({ said: {}, ...holding }),
  everywhere: define({ said: {}, ...holding }),
  maximise: define({ said: {}, ...holding, ...BY_ONE_TARGET, guessedUses: 15, isOutlined: true }),
  'full-screen': define({ said: {}, ...holding }),
  minimise: define({
    said: {},
    ...holding,
    ...BY_ONE_TARGET,
    guessedUses: 6,
    inverse: 'restore-last',
  }),
  'restore-last': define({ said: {}, ...holding }),
  pocket: define({ said: {}, ...holding, guessedUses: 6, inverse: 'call-back' }),
  'call-back': define({ said: {}, ...holding, guessedUses: 6, continues: ['calling-back'] }),
};
