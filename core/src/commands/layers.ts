import { layer } from './argument.ts';
import { define, BY_TWO_TARGETS, NAVIGATION } from './definition.ts';

const layering = { task: 'layers', ...NAVIGATION, ...BY_TWO_TARGETS, guessedUses: 2 } as const;

/** What a key can do beside a command of the desk: enter a layer of keys, and leave it. */
export const layerCommands = {
  'enter-layer': define({
    said: { layer: layer() },
    ...layering,
    short: ({ layer: id }) => (id === 'base' ? 'base layer' : `layer: ${id}`),
  }),
  'leave-layer': define({ said: {}, ...layering }),
};
