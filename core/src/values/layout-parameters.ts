import type { z } from 'zod';
import {
  between,
  countField,
  idField,
  lengthField,
  listOf,
  oneOf,
  shareField,
  weightField,
} from './fields.ts';

/** What kind of value a parameter of a layout is: a form has a row for each. */
export type ParameterKind =
  'share' | 'count' | 'limit' | 'choice' | 'ratio' | 'length' | 'board' | 'weights';

/** A parameter of a layout: its schema, and what a form calls it. */
export interface Parameter<S extends z.ZodType = z.ZodType> {
  of: ParameterKind;
  schema: S;
  /** Beside the figure, and for who hears the page instead of seeing it. */
  label: string;
  name: string;
  /** Of a choice: the words, in the order in which they are shown. */
  options?: readonly string[];
  /** Keys move it too: a session keeps what they moved it to. */
  byKey?: true;
}

export const SIDES = ['left', 'right', 'top', 'bottom'] as const;
export type Side = (typeof SIDES)[number];
export const AXES = ['x', 'y'] as const;
const FIRST_AXES = ['x', 'y', 'long'] as const;
export const TURNS = ['zigzag', 'inward'] as const;
const STRIPS = ['none', 'tabs', 'list'] as const;
/** What becomes of windows that find every zone taken: they share the last, lie beneath it, or float. */
const WHEN_FULL = ['share', 'stack', 'float'] as const;
export type WhenFull = (typeof WHEN_FULL)[number];

function parameter<S extends z.ZodType>(of: ParameterKind, label: string, name: string, schema: S) {
  return { of, label, name, schema };
}

const share = (name: string) => parameter('share', 'Share', name, shareField.exactOptional());
const choice = <const T extends readonly string[]>(label: string, options: T) => ({
  ...parameter('choice', label, label, oneOf(options).exactOptional()),
  options,
});
const BY_KEY = { byKey: true } as const;

const leads = {
  leadCount: {
    ...parameter('count', 'Count', 'Lead count', countField.exactOptional()),
    ...BY_KEY,
  },
  leadShare: { ...share('Lead share'), ...BY_KEY },
};
const tracks = (what: string) => ({
  weights: parameter(
    'weights',
    'Weights',
    'Weights',
    listOf(weightField, 'weights').exactOptional(),
  ),
  max: parameter('limit', 'At most', `Most ${what}`, countField.exactOptional()),
});

/**
 * Every kind of layout, in the order in which they are shown, and what can be set of it. What it does with that is in
 * `tiling/layouts/`, a file for each.
 */
export const LAYOUT_PARAMETERS = {
  lead: { side: { ...choice('Side', SIDES), ...BY_KEY }, ...leads },
  middle: { axis: { ...choice('Axis', AXES), ...BY_KEY }, ...leads },
  columns: tracks('columns'),
  rows: tracks('rows'),
  grid: {
    cellAspect: parameter(
      'ratio',
      'Aspect of a cell',
      'Aspect of a cell',
      between(0.05, 20, 'width divided by height,').exactOptional(),
    ),
  },
  halving: {
    share: share('Share of what is left'),
    firstAxis: { ...choice('First axis', FIRST_AXES), ...BY_KEY },
    turn: choice('Goes', TURNS),
  },
  split: {},
  single: {
    strip: { ...choice('Strip', STRIPS), ...BY_KEY },
    /** Height of a tab, or of a line of the list, in logical pixels. */
    stripSize: parameter(
      'length',
      'Height',
      'Strip size',
      lengthField.min(1, { error: 'logical pixels from 1 to 10000' }).exactOptional(),
    ),
  },
  cascade: {
    share: share('Share of the area'),
    /** By how much each window is moved from the one before, in logical pixels. */
    step: parameter('length', 'Step', 'Step of the cascade', lengthField.exactOptional()),
  },
  board: {
    /** The first board that fits the monitor where left out. */
    board: parameter('board', 'Board', 'Board', idField.exactOptional()),
    whenFull: choice('When every zone is taken', WHEN_FULL),
  },
  free: {},
};
