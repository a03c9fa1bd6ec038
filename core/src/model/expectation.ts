import { z } from 'zod';
import {
  byShape,
  fields,
  idField,
  listOf,
  neededText,
  oneOf,
  rectField,
  whole,
} from '../values/fields.ts';
import { LAYOUT_KINDS } from '../values/layout.ts';

/** How a window can be expected to be. */
export const WINDOW_STATES = [
  'lead',
  'tiled',
  'floating',
  'pocketed',
  'left-alone',
  'above',
  'shown',
  'hidden',
  'focused',
] as const;
export type WindowState = (typeof WINDOW_STATES)[number];

/** What can be expected of every window at once. */
export const OF_EVERY_WINDOW = ['in-reach', 'at-least-its-minimum', 'at-home'] as const;
export type OfEveryWindow = (typeof OF_EVERY_WINDOW)[number];

/** Findings of how a desk stands, by kind. */
export const DESK_FINDINGS = [
  'squeeze',
  'no-tile',
  'no-zone',
  'no-board',
  'no-room',
  'outside',
  'elsewhere',
] as const;

const WHICH = 'an app by its id, {app, nth} or {title}';
const appField = z.string({ error: WHICH }).pipe(idField);
const nthField = fields({ app: idField, nth: whole(1, 1_000) });
const titledField = fields({ title: neededText('a pattern with * and ?') });
/** A window of a trial: the first of an app, the nth of one as they opened, or the first whose title fits a pattern. */
const whichField = byShape([idField, nthField, titledField], (given): z.ZodType<WhichWindow> => {
  if (typeof given !== 'object' || given === null) return appField;
  return 'title' in given ? titledField : nthField;
});
export type WhichWindow = string | { app: string; nth: number } | { title: string };

const LEAST = 'logical pixels, or a part of the work area such as "1/2"';
const leastField = z.union(
  [whole(1, 100_000), z.string().regex(/^[1-9]\d{0,3}\/[1-9]\d{0,3}$/, { error: LEAST })],
  { error: LEAST },
);
export type Least = z.output<typeof leastField>;

/** By the field that tells one from the others. */
const EXPECTATIONS = {
  is: fields({ window: whichField, is: oneOf(WINDOW_STATES) }),
  zone: fields({ window: whichField, zone: neededText('the name of a zone') }),
  number: fields({ window: whichField, number: whole(1, 1_000) }),
  atLeast: fields({
    window: whichField,
    atLeast: fields({ width: leastField, height: leastField }),
  }),
  beside: fields({ window: whichField, beside: whichField }),
  rect: fields({ window: whichField, rect: rectField }),
  shows: fields({ monitor: idField, shows: idField }),
  layout: fields({ workspace: idField, layout: oneOf(LAYOUT_KINDS) }),
  every: fields({ every: oneOf(OF_EVERY_WINDOW) }),
  findings: fields({
    /** The kinds of finding that there are none of; all where it is empty. */
    findings: listOf(oneOf(DESK_FINDINGS), 'kinds of finding', DESK_FINDINGS.length),
  }),
  same: fields({ same: idField }),
  presses: fields({ presses: whole(0, 10_000) }),
  moved: fields({
    /** The only windows that the step before moved. */
    moved: listOf(whichField, 'windows'),
  }),
  workspace: fields({ window: whichField, workspace: idField }),
  monitor: fields({ window: whichField, monitor: idField }),
};
const NONE = z.never({
  error: `an object that says what is expected: one of ${Object.keys(EXPECTATIONS).join(', ')}`,
});
type ExpectationName = keyof typeof EXPECTATIONS;
export type Expectation = z.output<(typeof EXPECTATIONS)[ExpectationName]>;

/** Something that must hold at a point of a trial. */
export const expectationSchema = byShape(
  Object.values(EXPECTATIONS),
  (given): z.ZodType<Expectation> => {
    const names = Object.keys(EXPECTATIONS) as ExpectationName[];
    const name = names.find((each) => each in Object(given));
    return name ? EXPECTATIONS[name] : NONE;
  },
);
