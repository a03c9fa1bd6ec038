import { z } from 'zod';
import {
  between,
  coordinateField,
  edgesField,
  fields,
  flagField,
  idField,
  lengthField,
  listOf,
  neededText,
  oneOf,
  pixelsField,
  scaleField,
  sizeField,
  textField,
  turnField,
  whole,
} from '../values/fields.ts';
import { LAYOUT_KINDS, layoutSchema } from '../values/layout.ts';
import { snapSettingsSchema } from '../values/snap.ts';
import { MODES, NEW_WINDOWS, whichMonitorField } from '../values/window.ts';
import { appSchema, startSchema } from './app.ts';
import { zoneBoardSchema } from './zone-board.ts';
import { chainSchema, loopOf } from './chain.ts';
import { identityFields } from './identity.ts';
import { keysSchema } from './keys.ts';
import { machinesField } from './machine.ts';
import { menuSchema } from './menu.ts';
import { migrated, PROFILE_VERSION } from './migrate.ts';
import { ruleSchema } from './rule.ts';
import { trialSchema } from './trial.ts';

/** What becomes of windows when their minimums cannot all be met. */
export const TOO_SMALL = ['squeeze', 'float', 'stack'] as const;
export type TooSmall = (typeof TOO_SMALL)[number];
/** Per monitor: each monitor has its own. Joined: all monitors are switched together. */
export const WORKSPACES_ARE = ['per-monitor', 'joined'] as const;
/** What becomes of a workspace without windows once it is not shown. */
export const EMPTY_WORKSPACES = ['kept', 'dropped'] as const;
/** What going to a workspace by a letter or digit does where there is none with it. */
export const MISSING_WORKSPACES = ['made', 'refused'] as const;
export const HUES = ['vermilion', 'petrol', 'ochre', 'slate'] as const;
const HUE = `one of ${HUES.join(', ')}, or a colour as #rrggbb`;
const hueField = z.union([oneOf(HUES), z.string().regex(/^#[\da-fA-F]{6}$/, { error: HUE })], {
  error: HUE,
});

/** What a direction does past the last monitor: nothing, or it comes in again on the other side. */
export const PAST_LAST_MONITOR = ['stop', 'wrap'] as const;

const monitorSchema = fields({
  id: idField,
  name: textField.exactOptional(),
  ...identityFields,
  /** A device whose name fits this pattern (* and ?) is this monitor, where maker and model do not tell. */
  namePattern: textField.exactOptional(),
  /** Where its workspaces go while it is not connected; its neighbour where left out. */
  fallback: whichMonitorField.exactOptional(),
  x: coordinateField.exactOptional(),
  y: coordinateField.exactOptional(),
  width: pixelsField,
  height: pixelsField,
  turn: turnField.exactOptional(),
  scale: scaleField.default(1),
  reserved: edgesField.prefault({}),
  millimetres: sizeField.exactOptional(),
});

const deskMonitorSchema = fields({
  monitor: idField,
  x: coordinateField,
  y: coordinateField,
  width: pixelsField.exactOptional(),
  height: pixelsField.exactOptional(),
  turn: turnField.exactOptional(),
  scale: scaleField.exactOptional(),
  reserved: edgesField.exactOptional(),
});

const deskSchema = fields({
  id: idField,
  name: textField.exactOptional(),
  monitors: listOf(deskMonitorSchema, 'monitors', 32).min(1, {
    error: 'at least one monitor',
  }),
  /** The first of its monitors where left out. */
  primary: idField.exactOptional(),
  mode: oneOf(MODES).default('extend'),
  /** The monitor that is lit in the mode `one`; the primary where left out. */
  only: idField.exactOptional(),
});

const workspaceSchema = fields({
  id: idField,
  name: textField.exactOptional(),
  /** Its home; the primary monitor where left out. */
  monitor: whichMonitorField.exactOptional(),
});

const perAxis = fields({ x: lengthField, y: lengthField });

const gapFields = {
  inner: z
    .union([lengthField, perAxis], { error: 'logical pixels from 0 to 10000, or {x, y}' })
    .exactOptional(),
  outer: z
    .union([lengthField, edgesField], {
      error: 'logical pixels from 0 to 10000, or {top, right, bottom, left}',
    })
    .exactOptional(),
  dropWhenAlone: flagField.exactOptional(),
};

const settingFields = {
  layout: layoutSchema.exactOptional(),
  /** What was set under kinds of layout that are not in use now, kept for their return. */
  setAside: listOf(layoutSchema, 'layouts', 20).exactOptional(),
  gaps: fields(gapFields).exactOptional(),
  whenTooSmall: oneOf(TOO_SMALL).exactOptional(),
  newWindows: oneOf(NEW_WINDOWS).exactOptional(),
  /** The layouts that next-layout and previous-layout go round. */
  cycle: listOf(oneOf(LAYOUT_KINDS), 'kinds of layout', LAYOUT_KINDS.length)
    .min(1, { error: 'at least one kind of layout' })
    .refine((kinds) => new Set(kinds).size === kinds.length, { error: 'each kind at most once' })
    .exactOptional(),
};

const placeSchema = fields({
  workspace: idField.exactOptional(),
  monitor: idField.exactOptional(),
  ...settingFields,
}).refine((place) => place.workspace !== undefined || place.monitor !== undefined, {
  error: 'a place that names a workspace, a monitor or both',
});

const tilingSchema = fields({
  ...settingFields,
  growStep: between(1, 10_000, 'logical pixels').default(40),
  workspacesAre: oneOf(WORKSPACES_ARE).default('per-monitor'),
  emptyWorkspaces: oneOf(EMPTY_WORKSPACES).default('kept'),
  missingWorkspaces: oneOf(MISSING_WORKSPACES).default('made'),
  pastLastMonitor: oneOf(PAST_LAST_MONITOR).default('stop'),
  places: listOf(placeSchema, 'places').default([]),
});

/** How floating windows stand and move. */
const floatingSchema = fields({
  /**
   * Corners of floating windows are on multiples of it, in logical pixels from the work area's corner, and so are the
   * sizes at which windows begin to float; 0: anywhere.
   */
  grid: lengthField.default(0),
  /** A window that floats opens where the person moved the last one of its app. */
  remember: flagField.default(true),
});

/** What the pointer does, which nobody drags anything with. */
const pointerSchema = fields({
  /** The window under it gets the focus. */
  focusFollows: flagField.default(false),
  /** It goes along to a monitor that gets the focus. */
  goesAlong: flagField.default(false),
  /** A click into a window brings it on top of those that it lies with, beside giving it the focus. */
  clickRaises: flagField.default(true),
});

const lookSchema = fields({
  focusFrame: fields({
    on: flagField.default(true),
    hue: hueField.default('vermilion'),
    weight: whole(1, 12).default(4),
  }).prefault({}),
  motionMs: whole(0, 1000).default(120),
});

function rightVersion({ input }: { input?: unknown }): string {
  return typeof input === 'number' && input > PROFILE_VERSION
    ? `at most ${PROFILE_VERSION}: the file is from a newer Sorn, which has to read it`
    : `${PROFILE_VERSION}, the version of this file format`;
}

const wholeSchema = fields({
  version: z.literal(PROFILE_VERSION, { error: rightVersion }).default(PROFILE_VERSION),
  name: neededText('a name of 1 to 400 characters').default('Untitled'),
  monitors: listOf(monitorSchema, 'monitors', 32).min(1, { error: 'at least one monitor' }),
  desks: listOf(deskSchema, 'desks').default([]),
  workspaces: listOf(workspaceSchema, 'workspaces').default([]),
  /** What is otherwise on machines of these names. */
  machines: machinesField.default([]),
  apps: listOf(appSchema, 'apps').default([]),
  /** Apps to open when a session begins. */
  start: listOf(startSchema, 'apps').default([]),
  /** In their order: for each setting the first one that matches and gives it decides. */
  rules: listOf(ruleSchema, 'rules', 2_000).default([]),
  floating: floatingSchema.prefault({}),
  tiling: tilingSchema.prefault({}),
  placing: snapSettingsSchema.prefault({}),
  boards: listOf(zoneBoardSchema, 'boards', 100).default([]),
  keys: keysSchema.prefault({}),
  chains: listOf(chainSchema, 'chains', 200).default([]),
  menus: listOf(menuSchema, 'menus', 50).default([]),
  trials: listOf(trialSchema, 'trials', 100).default([]),
  pointer: pointerSchema.prefault({}),
  look: lookSchema.prefault({}),
}).superRefine((profile, context) => {
  const lists = [
    'monitors',
    'desks',
    'workspaces',
    'apps',
    'boards',
    'rules',
    'chains',
    'menus',
    'trials',
  ] as const;
  for (const list of lists) {
    const seen = new Set<string>();
    profile[list].forEach((item, i) => {
      if (seen.has(item.id)) {
        context.addIssue({
          code: 'custom',
          path: [list, i, 'id'],
          message: `an id that no other of the ${list} has`,
        });
      }
      seen.add(item.id);
    });
  }
  profile.chains.forEach(({ id, commands }, i) => {
    const loop = loopOf(profile, id);
    if (!loop) return;
    const at = commands.findIndex((each) => each.command === 'chain' && each.chain === loop[1]);
    context.addIssue({
      code: 'custom',
      path: ['chains', i, 'commands', at, 'chain'],
      message: `a chain that does not lead back to this one: ${loop.join(', ')}`,
    });
  });
});

/** The parts of a profile, in the order of the file. */
export const PROFILE_FIELDS = Object.keys(wholeSchema.shape) as readonly (keyof Profile)[];

/** A profile of any version of the format so far, as one of the present version. */
export const profileSchema = z.preprocess(migrated, wholeSchema);

export type Profile = z.output<typeof profileSchema>;
export type Monitor = Profile['monitors'][number];
export type DeskEntry = Profile['desks'][number]['monitors'][number];
export type Desk = Profile['desks'][number];
export type Tiling = Profile['tiling'];
export type Place = Tiling['places'][number];
