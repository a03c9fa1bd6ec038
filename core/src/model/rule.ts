import { z } from 'zod';
import {
  between,
  byShape,
  fields,
  flagField,
  idField,
  listOf,
  neededText,
  oneOf,
  sizeField,
  textField,
} from '../values/fields.ts';
import { patternFault } from '../values/pattern.ts';
import { alongField } from '../values/snap.ts';
import { HELD, KINDS, MODES, NEW_WINDOWS, whichMonitorField } from '../values/window.ts';

/** What of a window that opens is a text, and can be asked about as one. */
export const TEXT_FACTS = ['app', 'title', 'parent', 'desk', 'workspace'] as const;
export type TextFact = (typeof TEXT_FACTS)[number];
/** How a text is asked about: it is this very one; it has this in it; it fits a glob; a pattern is found in it. */
export const TEXT_TESTS = ['is', 'has', 'fits', 'matches'] as const;
const SIZE_FACTS = ['width', 'height'] as const;
/** All that conditions are about. */
export const FACTS = [
  ...TEXT_FACTS,
  'mode',
  'monitor',
  'kind',
  'resizable',
  ...SIZE_FACTS,
] as const;
export type Fact = (typeof FACTS)[number];

const NEEDED = 'text of 1 to 400 characters';
const neededField = neededText(NEEDED);
const patternField = neededField.superRefine((pattern, context) => {
  const fault = patternFault(pattern);
  if (fault !== null) {
    const message = `a pattern that can be matched in linear time; ${fault}`;
    context.addIssue({ code: 'custom', message });
  }
});

const TESTS = {
  is: fields({ of: oneOf(TEXT_FACTS), is: neededField }),
  has: fields({ of: oneOf(TEXT_FACTS), has: neededField }),
  fits: fields({ of: oneOf(TEXT_FACTS), fits: neededField }),
  matches: fields({ of: oneOf(TEXT_FACTS), matches: patternField }),
};
const textCondition = byShape(Object.values(TESTS), (condition): z.ZodType<TextCondition> => {
  const named = TEXT_TESTS.find((test) => test in (condition as object));
  return (named ? TESTS[named] : TESTS.is) as unknown as z.ZodType<TextCondition>;
});
export type TextCondition = { of: TextFact } & (
  { is: string } | { has: string } | { fits: string } | { matches: string }
);

const pixels = between(0, 100_000, 'logical pixels');
const sizeCondition = fields({
  of: oneOf(SIZE_FACTS),
  from: pixels.exactOptional(),
  to: pixels.exactOptional(),
}).refine(({ from, to }) => from !== undefined || to !== undefined, {
  error: '`from`, `to` or both',
});

const OTHERS = {
  mode: fields({ of: z.literal('mode'), is: oneOf(MODES) }),
  monitor: fields({ of: z.literal('monitor'), is: whichMonitorField }),
  kind: fields({ of: z.literal('kind'), is: oneOf(KINDS) }),
  resizable: fields({ of: z.literal('resizable'), is: flagField }),
  width: sizeCondition,
  height: sizeCondition,
};
type OtherCondition = z.output<(typeof OTHERS)[keyof typeof OTHERS]>;

const CONDITIONS = [textCondition, ...Object.values(OTHERS)];
/** One thing that holds of a window, or does not. */
export const conditionSchema = byShape(CONDITIONS, (condition): z.ZodType<Condition> => {
  const of = (condition as { of?: unknown } | null)?.of;
  const known = FACTS.find((fact) => fact === of);
  if (known === undefined) return fields({ of: oneOf(FACTS) }) as unknown as z.ZodType<Condition>;
  return known in OTHERS ? OTHERS[known as keyof typeof OTHERS] : textCondition;
});
export type Condition = TextCondition | OtherCondition;

const conditions = listOf(conditionSchema, 'conditions', 100).default([]);
/** All of `all` hold, one of `any` at least (where there is one), and none of `none`. */
export const whenSchema = fields({ all: conditions, any: conditions, none: conditions });
export type When = z.output<typeof whenSchema>;
export const GROUPS = ['all', 'any', 'none'] as const satisfies (keyof When)[];
export type Group = (typeof GROUPS)[number];

/** Where a floating window stands: over its parent, or at a side or in a corner of the work area. */
export const CORNERS = [
  'over-parent',
  'middle',
  'upper-left',
  'upper',
  'upper-right',
  'left',
  'right',
  'lower-left',
  'lower',
  'lower-right',
] as const;
export type Corner = (typeof CORNERS)[number];

/** What a rule can say of a window. */
export const settingFields = {
  held: oneOf(HELD).exactOptional(),
  workspace: idField.exactOptional(),
  monitor: whichMonitorField.exactOptional(),
  /** A zone by name, of the board that arranges the workspace or else of one that fits the monitor. */
  zone: neededField.exactOptional(),
  /** A place of its own, out of the layout. */
  placing: fields({ x: alongField.default('full'), y: alongField.default('full') }).exactOptional(),
  /** The size it prefers while it floats, in logical pixels. */
  size: sizeField.exactOptional(),
  corner: oneOf(CORNERS).exactOptional(),
  stayAbove: flagField.exactOptional(),
  everywhere: flagField.exactOptional(),
  /** Whether it takes the focus when it opens. */
  focus: flagField.exactOptional(),
  /** Where it joins the order. */
  join: oneOf(NEW_WINDOWS).exactOptional(),
  /** Whether it floats where the person moved the last one of its app. */
  remember: flagField.exactOptional(),
  /** Whether no picture of it is ever made. */
  private: flagField.exactOptional(),
};
const settingsSchema = fields(settingFields).refine(
  ({ zone, placing }) => zone === undefined || placing === undefined,
  { error: 'a zone or a placing, not both', path: ['placing'] },
);
export type RuleSettings = z.output<typeof settingsSchema>;
export type Setting = keyof RuleSettings;
export const SETTINGS = Object.keys(settingFields) as readonly Setting[];

/** When a rule is applied beside the window's opening. */
export type Again = 'title' | 'desk';

export const ruleSchema = fields({
  id: idField,
  name: textField.exactOptional(),
  on: flagField.default(true),
  when: whenSchema.prefault({}),
  then: settingsSchema.prefault({}),
  /** It is applied again when the title of a window changes, or the desk or its mode does. */
  again: fields({ title: flagField.default(false), desk: flagField.default(false) }).prefault({}),
});
export type Rule = z.output<typeof ruleSchema>;
