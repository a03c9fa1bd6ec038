import { SHAPING } from '../values/window.ts';
import { choice, choiceOrNone, direction, figure, flag } from './argument.ts';
import {
  define,
  inDirections,
  STEERED_CHOICE,
  BY_NOTHING,
  UNDOABLE,
  BY_TWO_TARGETS,
  NAVIGATION,
} from './definition.ts';

const sizing = { task: 'sizes', ...UNDOABLE, ...BY_TWO_TARGETS, guessedUses: 6 } as const;
/** A window that is shaped by arrow keys; what becomes of it is one step in the end. */
const shaping = {
  task: 'sizes',
  ...NAVIGATION,
  ...BY_NOTHING,
  guessedUses: 2,
  continues: ['shaping'],
} as const;

/** Commands that change how much room each window has. */
export const sizeCommands = {
  'lead-share-more': define({
    said: {},
    ...sizing,
    inverse: 'lead-share-less',
    short: 'share more',
  }),
  'lead-share-less': define({
    said: {},
    ...sizing,
    inverse: 'lead-share-more',
    short: 'share less',
  }),
  'lead-count-more': define({
    said: {},
    ...sizing,
    inverse: 'lead-count-less',
    short: 'count more',
  }),
  'lead-count-less': define({
    said: {},
    ...sizing,
    inverse: 'lead-count-more',
    short: 'count less',
  }),
  ...inDirections('grow', () => sizing),
  ...inDirections('shrink', () => sizing),
  'even-out': define({ said: {}, ...sizing, guessedUses: 2 }),
  /** Moves the focused window's edge outwards; `by` is in logical pixels, below 0 inwards. */
  'move-edge': define({
    said: { direction: direction('Edge'), by: figure('How much', -10_000, 10_000) },
    ...sizing,
    guessedUses: 2,
  }),
  shape: define({ said: {}, ...shaping, ...STEERED_CHOICE }),
  'shape-back': define({ said: {}, ...shaping, hasFixedKeys: true }),
  'shape-drop': define({ said: {}, ...shaping, hasFixedKeys: true }),
  'shape-as': define({ said: { by: choice('How', SHAPING) }, ...shaping, hasFixedKeys: true }),
  'shape-step': define({
    said: {
      direction: direction('Direction'),
      by: choiceOrNone('How', SHAPING, 'as it was chosen'),
      inward: flag('Inward', false, 'inward'),
    },
    ...shaping,
    ...BY_TWO_TARGETS,
    hasFixedKeys: true,
  }),
};
