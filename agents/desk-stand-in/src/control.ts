import { z } from 'zod';
import { characterFields } from './character.ts';
import type { Desktop } from './desktop.ts';

const rect = z.strictObject({
  x: z.int(),
  y: z.int(),
  width: z.int().min(1),
  height: z.int().min(1),
});
const monitor = z.strictObject({
  name: z.string().min(1),
  x: z.int(),
  y: z.int(),
  width: z.int().min(1),
  height: z.int().min(1),
  scale: z.number().default(1),
  turn: z.literal([0, 90, 180, 270]).default(0),
  primary: z.boolean().default(false),
  edid: z.string().exactOptional(),
});
const window = z.string();
const kind = z.enum(['normal', 'dialog', 'utility', 'splash', 'dock', 'fixed']);

/** What can be done to the desktop from outside, one object a line or a step; `do` says what. */
export const controlSchema = z.discriminatedUnion('do', [
  z.strictObject({
    do: z.literal('open'),
    app: z.string().optional(),
    title: z.string().optional(),
    kind: kind.optional(),
    parent: window.optional(),
    process: z.string().optional(),
    rect: rect.optional(),
    ...characterFields,
  }),
  z.strictObject({ do: z.literal('close'), window }),
  z.strictObject({ do: z.literal('retitle'), window, title: z.string() }),
  z.strictObject({
    do: z.literal('ask'),
    window,
    rect,
    by: z.enum(['window', 'pointer']).default('window'),
  }),
  z.strictObject({ do: z.literal('point'), window }),
  z.strictObject({
    do: z.literal('key'),
    code: z.string(),
    down: z.boolean(),
    key: z.string().optional(),
  }),
  /** Keys one after the other, each chord let go in the opposite order: "Meta+KeyJ KeyL". */
  z.strictObject({ do: z.literal('press'), keys: z.string() }),
  z.strictObject({ do: z.literal('button'), button: z.int().min(1).max(64), down: z.boolean() }),
  z.strictObject({ do: z.literal('lose-keyboard') }),
  z.strictObject({ do: z.literal('monitors'), monitors: z.array(monitor).max(32) }),
  z.strictObject({
    do: z.literal('request'),
    what: z.enum(['activate', 'minimise', 'close', 'go-workspace', 'full-screen', 'above']),
    window: window.exactOptional(),
    workspace: z.string().exactOptional(),
    on: z.boolean().exactOptional(),
  }),
  z.strictObject({ do: z.literal('look') }),
  z.strictObject({ do: z.literal('wait'), ms: z.int().min(0).max(600_000) }),
  /** So many things happen by chance: windows open, close, are named anew, ask for places. */
  z.strictObject({ do: z.literal('chance'), events: z.int().min(1).max(1_000_000) }),
]);
export type Control = z.output<typeof controlSchema>;

const LEFT: Record<string, string> = {
  Ctrl: 'ControlLeft',
  Alt: 'AltLeft',
  Shift: 'ShiftLeft',
  Meta: 'MetaLeft',
};
const APPS = ['shell', 'notes', 'post', 'pitreader', 'areamap'];

/**
 * Does one thing to the desktop, and says what came of it: `window` of one that opened, the account of a look.
 *
 * @param random numbers from 0 to 1, from a seed
 */
export async function control(
  desktop: Desktop,
  step: Control,
  random: () => number,
): Promise<Record<string, unknown>> {
  switch (step.do) {
    case 'open': {
      const { do: _do, ...opening } = step;
      return { window: desktop.open(opening) };
    }
    case 'close':
      desktop.close(step.window);
      return {};
    case 'retitle':
      desktop.retitle(step.window, step.title);
      return {};
    case 'ask':
      desktop.ask(step.window, step.rect, step.by);
      return {};
    case 'point':
      desktop.point(step.window);
      return {};
    case 'key':
      desktop.key(step.code, step.down, step.key);
      return {};
    case 'press':
      for (const chord of step.keys.split(' ')) {
        const codes = chord.split('+').map((name) => LEFT[name] ?? name);
        for (const code of codes) desktop.key(code, true);
        for (const code of [...codes].reverse()) desktop.key(code, false);
      }
      return {};
    case 'button':
      desktop.button(step.button, step.down);
      return {};
    case 'lose-keyboard':
      desktop.loseKeyboard();
      return {};
    case 'monitors':
      desktop.plug(step.monitors);
      return {};
    case 'request': {
      const { do: _do, ...request } = step;
      desktop.request(request);
      return {};
    }
    case 'look':
      return { account: desktop.look() };
    case 'wait':
      await new Promise((resolve) => setTimeout(resolve, step.ms));
      return {};
    case 'chance':
      for (let i = 0; i < step.events; i++) byChance(desktop, random);
      return {};
  }
}

/** About as many windows as this stay open. */
const ABOUT = 30;

function byChance(desktop: Desktop, random: () => number): void {
  const { windows } = desktop.look();
  const one = <T>(list: readonly T[]): T | undefined => list[Math.floor(random() * list.length)];
  const window = one(windows)?.window;
  const dice = random();
  if (window === undefined || dice < (windows.length < ABOUT ? 0.3 : 0.1))
    desktop.open({ app: one(APPS), title: `Sheet ${Math.floor(random() * 1_000)}` });
  else if (dice < 0.45) desktop.close(window);
  else if (dice < 0.7) desktop.retitle(window, `Sheet ${Math.floor(random() * 1_000)}`);
  else if (dice < 0.85) desktop.point(window);
  else {
    const along = (most: number) => Math.floor(random() * most);
    desktop.ask(window, {
      x: along(3_000),
      y: along(1_000),
      width: 100 + along(900),
      height: 100 + along(600),
    });
  }
}

/** Numbers from 0 to 1 that are the same for the same seed (mulberry32). */
export function seeded(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
}
