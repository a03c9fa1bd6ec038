import { z } from 'zod';

/** The version of the protocol that these messages are of. */
export const PROTOCOL = 1;
/** The most windows that are told of. */
export const MOST_WINDOWS = 2_000;
/** The most monitors, keys to listen for, and workspaces. */
const MOST_MONITORS = 32;
const MOST_TRIGGERS = 5_000;
const MOST_WORKSPACES = 1_000;

/** What an agent can be able to do. One that says a word that is not here says it to nobody. */
export const ABILITIES = [
  'keys',
  'keys-whole',
  'buttons',
  'above',
  'full-screen',
  'launch',
  'close',
  'border',
  'identify',
  'pictures',
  'workspaces',
] as const;
export type Ability = (typeof ABILITIES)[number];
const WINDOW_KINDS = ['normal', 'dialog', 'utility', 'splash', 'dock', 'fixed'] as const;
export const LINK_MODIFIERS = ['Ctrl', 'Alt', 'Shift', 'Meta'] as const;
const REQUESTS = ['activate', 'minimise', 'close', 'go-workspace', 'full-screen', 'above'] as const;

// Messages say what was expected; whoever tells of them adds the path.

function whole(least: number, most: number) {
  const error = `a whole number from ${least} to ${most}`;
  return z.int({ error }).min(least, { error }).max(most, { error });
}
function text(most: number) {
  const error = `text of at most ${most} characters`;
  return z.string({ error }).max(most, { error });
}
function neededText(most: number) {
  const error = `text of 1 to ${most} characters`;
  return z.string({ error }).min(1, { error }).max(most, { error });
}
function list<T extends z.ZodType>(item: T, most: number) {
  const error = `a list of at most ${most}`;
  return z.array(item, { error }).max(most, { error });
}
function word<const T extends readonly string[]>(words: T) {
  return z.enum(words, { error: `one of ${words.join(', ')}` });
}
/** What is said by name; fields besides are no fault. */
function object<T extends z.ZodRawShape>(shape: T) {
  return z.object(shape, { error: `an object of ${Object.keys(shape).join(', ')}` });
}
const flag = z.boolean({ error: 'true or false' });
const coordinate = whole(-1_000_000, 1_000_000);
const length = whole(1, 1_000_000);
const milliseconds = z
  .number({ error: 'milliseconds from 0' })
  .min(0, { error: 'milliseconds from 0' });
const count = whole(0, Number.MAX_SAFE_INTEGER);

const NAME = 'a name of 1 to 60 characters without spaces or slashes';
const name = z.string({ error: NAME }).regex(/^[^\s/]{1,60}$/, { error: NAME });

/** A rectangle of the whole desktop, in physical pixels: the outer box of a window, its border within. */
const rect = z.object(
  { x: coordinate, y: coordinate, width: length, height: length },
  { error: 'a rectangle: x, y, width, height' },
);
export type LinkRect = z.output<typeof rect>;
const size = object({ width: length, height: length });

/** What a window says of its own size, in physical pixels of its outer box. */
const hints = object({
  min: size.exactOptional(),
  max: size.exactOptional(),
  /** It grows by whole steps of this, counted from base. */
  increment: size.exactOptional(),
  base: object({ width: whole(0, 1_000_000), height: whole(0, 1_000_000) }).exactOptional(),
  /** Width to height. */
  aspect: size.exactOptional(),
});
export type LinkHints = z.output<typeof hints>;

const wants = object({ fullScreen: flag.exactOptional(), above: flag.exactOptional() });
const modifiers = list(word(LINK_MODIFIERS), LINK_MODIFIERS.length);

const monitor = object({
  /** By which the window system knows it, such as the name of its connector. */
  name: neededText(200),
  x: coordinate,
  y: coordinate,
  width: length,
  height: length,
  /** Physical pixels to a logical one. */
  scale: z
    .number({ error: 'a scale from 0.25 to 8' })
    .min(0.25, { error: 'a scale from 0.25 to 8' })
    .max(8, { error: 'a scale from 0.25 to 8' })
    .default(1),
  turn: z.literal([0, 90, 180, 270], { error: 'one of 0, 90, 180, 270 degrees' }).default(0),
  primary: flag.default(false),
  widthMm: whole(0, 100_000).exactOptional(),
  heightMm: whole(0, 100_000).exactOptional(),
  /** Its EDID, as base64. */
  edid: text(8_192).exactOptional(),
  /** What docks keep at its edges, in physical pixels. */
  reserved: object({
    top: whole(0, 100_000).default(0),
    right: whole(0, 100_000).default(0),
    bottom: whole(0, 100_000).default(0),
    left: whole(0, 100_000).default(0),
  }).exactOptional(),
});
export type LinkMonitor = z.output<typeof monitor>;

/** Sent by either side: what it was told and could not take. It is never answered. */
const problem = object({
  type: z.literal('problem'),
  /** The type of the message that it is about, or "line" for one that is no message. */
  about: text(200),
  message: text(4_000),
});
const ping = object({ type: z.literal('ping') });
const pong = object({ type: z.literal('pong') });

/** What an agent tells the host. */
export const AGENT_MESSAGES = {
  hello: object({
    type: z.literal('hello'),
    protocol: whole(0, 1_000_000),
    agent: text(200),
    version: text(200),
    can: list(text(80), 100).default([]),
  }),
  /** All monitors there are, whenever that changes. */
  monitors: object({ type: z.literal('monitors'), monitors: list(monitor, MOST_MONITORS) }),
  opened: object({
    type: z.literal('opened'),
    window: name,
    /** The name of its app, as the window system has it. */
    app: text(400).exactOptional(),
    title: text(20_000).exactOptional(),
    kind: word(WINDOW_KINDS).default('normal'),
    /** The window that it stands over. */
    parent: name.exactOptional(),
    rect,
    hints: hints.exactOptional(),
    resizable: flag.default(true),
    wants: wants.exactOptional(),
    /** The name of its process. */
    process: text(400).exactOptional(),
    /** The start-up id that its app was launched with, where it tells. */
    startupId: text(400).exactOptional(),
  }),
  /** All windows that are there at the beginning were told of. */
  ready: object({ type: z.literal('ready') }),
  changed: object({
    type: z.literal('changed'),
    window: name,
    title: text(20_000).exactOptional(),
    app: text(400).exactOptional(),
    hints: hints.exactOptional(),
    kind: word(WINDOW_KINDS).exactOptional(),
    parent: name.nullable().exactOptional(),
    wants: wants.exactOptional(),
    urgent: flag.exactOptional(),
  }),
  closed: object({ type: z.literal('closed'), window: name }),
  /** Which window has the focus now. */
  focused: object({
    type: z.literal('focused'),
    window: name.nullable(),
    /** The last round with a focus that was followed when this happened: what came before it is over. */
    round: count.exactOptional(),
  }),
  /** A window wants it so, or a pointer that pulls one: then its edges go where they are pulled. */
  asked: object({
    type: z.literal('asked'),
    window: name,
    rect,
    by: word(['window', 'pointer']).default('window'),
  }),
  /** What a window really took of a round. */
  placed: object({ type: z.literal('placed'), window: name, rect, round: count }),
  key: object({
    type: z.literal('key'),
    /** Counts the presses and releases that are told of; an answer names them. */
    n: count,
    /** UI Events `code`: which key of the board it is. */
    code: text(80).min(1),
    /** UI Events `key`: what it types. */
    key: text(80).exactOptional(),
    down: flag,
    at: milliseconds,
    modifiers,
    repeat: flag.exactOptional(),
  }),
  button: object({
    type: z.literal('button'),
    n: count,
    button: whole(1, 64),
    down: flag,
    at: milliseconds,
    modifiers,
  }),
  /** The keyboard was taken away: nothing is down now. */
  'keys-lost': object({ type: z.literal('keys-lost') }),
  /** Another program asks for something: a panel, or the app itself. */
  requested: object({
    type: z.literal('requested'),
    what: word(REQUESTS),
    window: name.exactOptional(),
    workspace: text(80).exactOptional(),
    on: flag.exactOptional(),
  }),
  /** A window as it looks, as a PNG in base64. */
  picture: object({ type: z.literal('picture'), window: name, png: text(1_000_000) }),
  problem,
  ping,
  pong,
} as const;

const COLOUR = 'a colour as #rrggbb';
const arrangedWindow = object({
  window: name,
  rect,
  shown: flag,
  state: word(['normal', 'full-screen']).default('normal'),
  /** It stays over others; the order says so, too. */
  above: flag.exactOptional(),
  /** It lies within the rectangle. */
  border: object({
    width: whole(0, 100),
    colour: z.string({ error: COLOUR }).regex(/^#[\da-fA-F]{6}$/, { error: COLOUR }),
  }).exactOptional(),
});
export type ArrangedWindow = z.output<typeof arrangedWindow>;

const trigger = object({
  code: text(80).exactOptional(),
  /** A key by what it types, where the map says so. */
  key: text(80).exactOptional(),
  button: whole(1, 64).exactOptional(),
  modifiers,
}).refine(
  ({ code, key, button }) => [code, key, button].filter((each) => each !== undefined).length === 1,
  { error: 'one of code, key and button' },
);
export type LinkTrigger = z.output<typeof trigger>;

/** What the host tells an agent. */
export const HOST_MESSAGES = {
  welcome: object({
    type: z.literal('welcome'),
    protocol: whole(1, 1_000_000),
    session: text(80),
  }),
  refused: object({ type: z.literal('refused'), because: text(4_000) }),
  arrange: object({
    type: z.literal('arrange'),
    round: count,
    /** Of a round that comes in parts: which, counted from 1, and of how many. */
    part: object({ at: whole(1, 100_000), of: whole(1, 100_000) }).exactOptional(),
    /** Those that differ from the round before. */
    windows: list(arrangedWindow, MOST_WINDOWS),
    /** All that are shown, the lowest first; left out where it is as before. */
    order: list(name, MOST_WINDOWS).exactOptional(),
    /** Which window has the focus, null for none; left out where it is as before. */
    focus: name.nullable().exactOptional(),
  }),
  workspaces: object({
    type: z.literal('workspaces'),
    list: list(object({ id: text(80), name: text(400).exactOptional() }), MOST_WORKSPACES),
    /** By the name of the monitor. */
    shown: z.record(z.string(), text(80), { error: 'an object of names' }),
    current: text(80),
    /** By window. */
    of: z.record(z.string(), text(80), { error: 'an object of names' }),
  }),
  listen: object({
    type: z.literal('listen'),
    triggers: list(trigger, MOST_TRIGGERS),
    /** Every key is told of, while what the next one means depends on those before. */
    whole: flag,
    /** And before those that came earlier are answered: what one of them means depends on what follows. */
    ahead: flag.exactOptional(),
  }),
  keys: object({
    type: z.literal('keys'),
    answers: list(count, 10_000),
    /** False: the keys are the window's. */
    taken: flag,
  }),
  close: object({ type: z.literal('close'), window: name, force: flag.exactOptional() }),
  launch: object({
    type: z.literal('launch'),
    app: text(80),
    /** The program and its arguments: no shell reads them. */
    command: list(text(4_000), 1_000).min(1, { error: 'a program, and its arguments' }),
    /** Its environment has it as DESKTOP_STARTUP_ID: its window tells it, where the program takes part in that. */
    startupId: text(400).exactOptional(),
  }),
  identify: object({ type: z.literal('identify'), monitor: text(200) }),
  settings: object({
    type: z.literal('settings'),
    focusFollowsPointer: flag.default(false),
    pointerFollowsFocus: flag.default(false),
    clickRaises: flag.default(true),
    /** The width of the border that windows will have: what they say of their sizes is told with it. */
    border: whole(0, 100).default(0),
  }),
  pictures: object({ type: z.literal('pictures'), on: flag, every: whole(100, 3_600_000) }),
  problem,
  ping,
  pong,
  bye: object({ type: z.literal('bye') }),
} as const;

type MessageOf<M extends Record<string, z.ZodType>> = { [T in keyof M]: z.output<M[T]> }[keyof M];
export type AgentMessage = MessageOf<typeof AGENT_MESSAGES>;
export type HostMessage = MessageOf<typeof HOST_MESSAGES>;
/** A message of the agent by its type. */
export type FromAgent<T extends AgentMessage['type']> = Extract<AgentMessage, { type: T }>;
/** A message of the host by its type. */
export type FromHost<T extends HostMessage['type']> = Extract<HostMessage, { type: T }>;
