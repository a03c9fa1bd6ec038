import type { LayoutSetting } from '../values/layout.ts';
import { layout } from './argument.ts';
import { define, UNDOABLE, BY_TWO_TARGETS } from './definition.ts';

const dividing = { task: 'layout', ...UNDOABLE, ...BY_TWO_TARGETS, guessedUses: 2 } as const;

/** Another layout is seen before it is taken. */
const another = { ...dividing, isOutlined: true } as const;

/** Commands that change how a workspace is divided. */
export const layoutCommands = {
  'split-across': define({ said: {}, ...dividing }),
  'split-down': define({ said: {}, ...dividing }),
  'next-layout': define({ said: {}, ...another }),
  'previous-layout': define({ said: {}, ...another }),
  'turn-layout': define({ said: {}, ...another }),
  'reset-layout': define({ said: {}, ...dividing }),
  'inner-gap-more': define({ said: {}, ...dividing, inverse: 'inner-gap-less' }),
  'inner-gap-less': define({ said: {}, ...dividing, inverse: 'inner-gap-more' }),
  'outer-gap-more': define({ said: {}, ...dividing, inverse: 'outer-gap-less' }),
  'outer-gap-less': define({ said: {}, ...dividing, inverse: 'outer-gap-more' }),
  'gaps-off': define({ said: {}, ...dividing }),
  'use-layout': define({
    said: { layout: layout() },
    ...another,
    short: ({ layout: setting }: { layout: LayoutSetting }) =>
      'strip' in setting && setting.strip !== 'none'
        ? (setting.strip ?? setting.kind)
        : setting.kind,
  }),
};
