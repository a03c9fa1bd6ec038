import { z } from 'zod';
import { DIRECTIONS } from '../values/direction.ts';
import { fields, flagField, idField, oneOf, textField, whole } from '../values/fields.ts';
import { layoutSchema, type LayoutSetting } from '../values/layout.ts';
import { nearestName } from '../values/nearest.ts';
import { placeAtText } from '../values/placing-text.ts';
import { alongField, rungsField } from '../values/placing.ts';
import { MODES, SHAPING, whichMonitorField } from '../values/window.ts';

/** The lineup of the windows that were placed together last. */
export const LAST = 'last';

/** The commands that need nothing said with them. */
export const PLAIN_COMMANDS = [
  'focus-left',
  'focus-right',
  'focus-up',
  'focus-down',
  'focus-next',
  'focus-previous',
  'focus-last',
  'move-left',
  'move-right',
  'move-up',
  'move-down',
  'move-earlier',
  'move-later',
  'swap-with-lead',
  'promote',
  'lead-share-more',
  'lead-share-less',
  'lead-count-more',
  'lead-count-less',
  'grow-left',
  'grow-right',
  'grow-up',
  'grow-down',
  'shrink-left',
  'shrink-right',
  'shrink-up',
  'shrink-down',
  'even-out',
  'split-across',
  'split-down',
  'float',
  'float-all',
  'stay-above',
  'everywhere',
  'place-left',
  'place-right',
  'place-up',
  'place-down',
  'place-middle',
  'put-back',
  'centre',
  'bigger',
  'smaller',
  'nudge-left',
  'nudge-right',
  'nudge-up',
  'nudge-down',
  'fill-rest',
  'widen-left',
  'widen-right',
  'widen-up',
  'widen-down',
  'offer-places',
  'pick-board',
  'corner-pick',
  'corner-go-on',
  'pick-next',
  'pick-previous',
  'pick-take',
  'pick-back',
  'pick-drop',
  'maximise',
  'full-screen',
  'minimise',
  'restore-last',
  'pocket',
  'call-back',
  'next-layout',
  'previous-layout',
  'turn-layout',
  'reset-layout',
  'close',
  'open-start',
  'next-of-app',
  'switch-window',
  'show-desktop',
  'clear-while-pressed',
  'bring-inside',
  'apply-rules',
  'new-workspace',
  'close-workspace',
  'pause',
  'resume',
  'undo',
  'redo',
  'shape',
  'shape-back',
  'shape-drop',
] as const;
export type PlainCommandId = (typeof PLAIN_COMMANDS)[number];

/** What is said with place-at. */
export const placeAtFields = {
  x: alongField.exactOptional(),
  y: alongField.exactOptional(),
  long: alongField.exactOptional(),
  ladder: rungsField.exactOptional(),
};

const PICKED = 'letters and digits';
const directionField = oneOf(DIRECTIONS);

/** A command with what it needs; a mistyped one is told with the nearest that exists. */
export const commandSchema = z.discriminatedUnion(
  'command',
  [
    fields({ command: z.literal('use-layout'), layout: layoutSchema }),
    /** A further window of the app by its title; the app's own where left out. */
    fields({ command: z.literal('open-app'), app: idField, window: textField.exactOptional() }),
    fields({ command: z.literal('call-app'), app: idField }),
    fields({ command: z.literal('find-window'), text: textField.exactOptional() }),
    fields({ command: z.literal('launch'), text: textField.exactOptional() }),
    fields({ command: z.literal('go-workspace'), which: idField }),
    fields({ command: z.literal('go-monitor'), which: whichMonitorField }),
    fields({
      command: z.literal('put-on-monitor'),
      which: whichMonitorField,
      follow: flagField.exactOptional(),
    }),
    fields({ command: z.literal('put-workspace-on-monitor'), which: whichMonitorField }),
    fields({ command: z.literal('use-desk'), desk: idField }),
    /** Without a mode: the next one is chosen with every press, and taken on release. */
    fields({ command: z.literal('desk-mode'), mode: oneOf(MODES).exactOptional() }),
    fields({
      command: z.literal('put-on-workspace'),
      which: idField,
      follow: flagField.exactOptional(),
    }),
    /**
     * Both axes at once; one that is left out is full. `long` says where along the longer side of the work area,
     * in place of x and y. `ladder` has the shares that further presses step through, along the axis that is not
     * full, or the longer one where neither is.
     */
    fields({ command: z.literal('place-at'), ...placeAtFields }).refine(
      ({ x, y, long }) => long === undefined || (x === undefined && y === undefined),
      { error: 'long alone, or x and y', path: ['long'] },
    ),
    /** A zone by its name, or by its number in the board's order. */
    fields({ command: z.literal('place-in-zone'), zone: textField.min(1, { error: 'a zone' }) }),
    /** Letters and digits typed into an open choice. */
    fields({
      command: z.literal('pick'),
      keys: z.string({ error: PICKED }).regex(/^[A-Za-z0-9]{1,40}$/, { error: PICKED }),
    }),
    fields({ command: z.literal('save-lineup'), text: textField.exactOptional() }),
    /** A lineup by its name; the windows placed together last where left out, or where it is `last`. */
    fields({ command: z.literal('recall-lineup'), which: textField.exactOptional() }),
    fields({ command: z.literal('forget-lineup'), text: textField.exactOptional() }),
    /** Moves the focused window's edge outwards; `by` is in logical pixels, below 0 inwards. */
    fields({
      command: z.literal('move-edge'),
      direction: directionField,
      by: whole(-10_000, 10_000),
    }),
    fields({ command: z.literal('shape-as'), by: oneOf(SHAPING) }),
    fields({
      command: z.literal('shape-step'),
      direction: directionField,
      inward: flagField.exactOptional(),
    }),
    fields({ command: oneOf(PLAIN_COMMANDS) }),
  ],
  { error: ({ input }) => rightCommand((input as { command?: unknown } | undefined)?.command) },
);
export type Command = z.output<typeof commandSchema>;
export type CommandId = Command['command'];

/** The commands that need something said with them. */
const SAID_COMMANDS = [
  'use-layout',
  'open-app',
  'call-app',
  'find-window',
  'launch',
  'go-workspace',
  'put-on-workspace',
  'go-monitor',
  'put-on-monitor',
  'put-workspace-on-monitor',
  'use-desk',
  'desk-mode',
  'place-at',
  'place-in-zone',
  'pick',
  'save-lineup',
  'recall-lineup',
  'forget-lineup',
  'move-edge',
  'shape-as',
  'shape-step',
] as const satisfies Exclude<CommandId, PlainCommandId>[];
export const COMMANDS: readonly CommandId[] = [...PLAIN_COMMANDS, ...SAID_COMMANDS];

/** Commands that last while their key is pressed: they mean something by key alone. */
export const HELD_COMMANDS: readonly CommandId[] = ['switch-window', 'clear-while-pressed'];

/** What would be right in the place of something that is no command: the nearest one, where one is near. */
export function rightCommand(typed: unknown): string {
  const nearest = typeof typed === 'string' ? nearestName(typed, COMMANDS) : null;
  if (nearest === typed && nearest !== null)
    return `{"command": "${nearest}", …} with what it needs`;
  return nearest
    ? `a command; the nearest is ${nearest}`
    : 'a command with what it needs, such as {"command": "focus-left"}';
}

/** A layout by its kind and what else is said of it. */
function layoutText({ kind, ...said }: LayoutSetting): string {
  const parts = Object.entries(said).map(([name, value]) => `${name} ${String(value)}`);
  return [kind, ...parts].join(', ');
}

/** A command in words, its arguments with it: "open-app pitreader". */
export function commandText(command: Command): string {
  switch (command.command) {
    case 'use-layout':
      return `use-layout ${layoutText(command.layout)}`;
    case 'open-app':
      return `open-app ${command.app}${command.window === undefined ? '' : `: ${command.window}`}`;
    case 'call-app':
      return `call-app ${command.app}`;
    case 'place-at':
      return `place-at ${placeAtText(command)}`;
    case 'place-in-zone':
      return `place-in-zone ${command.zone}`;
    case 'pick':
      return `pick ${command.keys}`;
    case 'recall-lineup':
      return command.which ? `recall-lineup ${command.which}` : command.command;
    case 'find-window':
    case 'launch':
    case 'save-lineup':
    case 'forget-lineup':
      return command.text ? `${command.command} ${command.text}` : command.command;
    case 'move-edge':
      return `move-edge ${command.direction} ${command.by}`;
    case 'shape-as':
      return `shape-as ${command.by}`;
    case 'shape-step':
      return `shape-step ${command.direction}${command.inward ? ', inward' : ''}`;
    case 'go-workspace':
      return `go-workspace ${command.which}`;
    case 'go-monitor':
    case 'put-workspace-on-monitor':
      return `${command.command} ${command.which}`;
    case 'put-on-monitor':
      return `put-on-monitor ${command.which}${command.follow === false ? ', stay' : ''}`;
    case 'use-desk':
      return `use-desk ${command.desk}`;
    case 'desk-mode':
      return command.mode ? `desk-mode ${command.mode}` : 'desk-mode';
    case 'put-on-workspace':
      return `put-on-workspace ${command.which}${command.follow ? ', follow' : ''}`;
    default:
      return command.command;
  }
}
