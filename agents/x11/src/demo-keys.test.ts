import { readFileSync } from 'node:fs';
import { profileSchema, type Profile } from '@sorn/core/model';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { Keyboard } from './testing/keyboard.ts';
import { XLive } from './testing/live.ts';
import { OddWindow, XServer } from './testing/server.ts';

const DEMO = profileSchema.parse(
  JSON.parse(
    readFileSync(new URL('../../../demo/bulletin-desk.profile.json', import.meta.url), 'utf8'),
  ),
);
/** The demo's profile with a key of two roles, a key that stands for modifiers, and a mouse button with one. */
const PROFILE: Profile = {
  ...DEMO,
  start: [],
  keys: {
    ...DEMO.keys,
    holdMs: 150,
    bundles: [{ id: 'Hand', hold: 'CapsLock', modifiers: ['Ctrl', 'Alt', 'Shift'] }],
    bindings: [
      ...DEMO.keys.bindings,
      { keys: 'hold Semicolon', command: { command: 'stay-above' } },
      { keys: 'Hand+KeyM', command: { command: 'maximise' } },
      { keys: 'Main+Button3', command: { command: 'promote' } },
    ],
  },
};
/** The demo's office without its laptop, as demo:x11 has it. */
const MONITORS = [
  ['Korvane-Wide-34', '3440/800x1440/335+0+560', 'screen'],
  ['Korvane-Tall-27', '1440/336x2560/597+3440+0', 'none'],
];

let live: XLive;
let keyboard: Keyboard;
/** The windows of workspace B, in their order: Pit Reader leads. */
let odds: Record<string, OddWindow>;

const poll = (read: () => unknown) => expect.poll(read, { timeout: 15_000, interval: 10 });
const done = () => live.entries.map(({ command }) => command?.command).filter((each) => each);
/** Presses, waits for what comes of it, and sees that the server's own rectangles are what core computes. */
async function does(keys: string, command: string): Promise<void> {
  const before = done().length;
  keyboard.press(keys);
  await poll(() => done().slice(before)).toContain(command);
  await live.ready();
}
async function all(keys: Readonly<Record<string, string>>): Promise<void> {
  for (const [press, command] of Object.entries(keys)) await does(press, command);
}
const boxOf = async (app: string) =>
  (await live.server.look()).find(({ window }) => window === odds[app]!.window)!;
const shown = async () => {
  const all = await live.server.look();
  return Object.values(odds).filter(
    ({ window }) => all.find((each) => each.window === window)!.isShown,
  ).length;
};
/** The zones that windows were placed in. */
const zones = () =>
  live.session.windows.flatMap(({ placing }) => (placing?.zone ? [placing.zone] : []));
/** The text of the pick that is under way; null where none is. */
const pickOf = () => live.session.interaction?.kind ?? null;

beforeEach(async () => {
  live = await XLive.start(PROFILE, await XServer.start(MONITORS, '4880x2560'));
  keyboard = await Keyboard.of(live.server);
  odds = {};
  for (const app of ['pitreader', 'bulletin', 'stations']) {
    odds[app] = await OddWindow.open(live.server, { app, title: app });
    await live.ready(Object.keys(odds).length);
  }
  await poll(() => {
    keyboard.press('Meta+KeyJ Meta+KeyJ');
    return done();
  }).toContain('swap-with-lead');
  await live.ready();
}, 60_000);
afterEach(() => live.end());

describe('the demo’s map on a real display', () => {
  it('gives the focus, moves, shares, and holds windows otherwise', async () => {
    await all({
      'Meta+ArrowLeft': 'focus-left',
      'Meta+Shift+ArrowRight': 'move-right',
      'Meta+Period': 'focus-next',
      'Meta+KeyK': 'promote',
      'Meta+BracketRight': 'lead-share-more',
      'Meta+BracketLeft': 'lead-share-less',
      'Meta+Quote': 'lead-count-more',
      'Meta+KeyH': 'even-out',
      'Meta+KeyW': 'float',
      'Meta+KeyE': 'stay-above',
      'Meta+KeyT': 'maximise',
      'Meta+KeyU': 'pocket',
      'Meta+KeyI': 'call-back',
      'Meta+KeyO': 'minimise',
      'Meta+KeyP': 'restore-last',
      'Meta+Insert KeyO': 'open-start',
      'Meta+Minus': 'undo',
      'Meta+Equal': 'redo',
    });
  }, 90_000);

  it('goes to workspaces, takes windows there, and to the other monitor', async () => {
    await all({
      'Meta+PageDown': 'go-workspace',
      'Meta+Home': 'go-workspace',
      'Meta+Shift+Digit1': 'put-on-workspace',
      'Meta+Digit1': 'go-workspace',
      'Meta+Alt+Shift+ArrowRight': 'put-on-monitor',
      'Meta+Alt+Period': 'go-monitor',
      'Meta+Ctrl+Alt+Comma': 'put-workspace-on-monitor',
    });
    expect(live.session.windows.map(({ workspace }) => workspace)).toContain('S');
  }, 90_000);

  it('places by key, by corners and on a board, offers what is left, and takes back what was shaped', async () => {
    await does('Meta+Ctrl+KeyF', 'place-at');
    const profile = live.desk.written;
    const wide = profile.monitors.find(({ id }) => id === 'wide')!;
    const focused = () =>
      Object.keys(odds).find((app) => XLive.number(live.session.focus!) === odds[app]!.window)!;
    // Right half of the work area, half a gap within: the window's right edge is at the area's.
    await poll(pickOf).toBe('offer');
    keyboard.press('Escape');
    await poll(pickOf).toBe(null);
    await live.ready();
    const half = await boxOf(focused());
    expect(half.x + half.width).toBeGreaterThan(wide.width - 12);
    expect(Math.abs(half.width - wide.width / 2)).toBeLessThan(12);
    await does('Meta+Ctrl+KeyH', 'corner-pick');
    expect(pickOf()).toBe('corner-pick');
    keyboard.press('KeyA Digit1 KeyC Digit2');
    await poll(pickOf).toBe('offer');
    keyboard.press('Escape');
    await poll(pickOf).toBe(null);
    await live.ready();
    const before = await boxOf(focused());
    await does('Meta+Ctrl+KeyY', 'pick-board');
    keyboard.press('KeyB Digit2');
    // The other zones are offered to the windows that are left; the first takes one.
    await poll(pickOf).toBe('offer');
    await live.ready();
    expect(zones()).toEqual([{ board: 'two-three-two', zones: ['Centre'] }]);
    expect(await boxOf(focused())).not.toEqual(before);
    keyboard.press('Digit1');
    await poll(() => zones().length).toBe(2);
    keyboard.press('Escape');
    await poll(pickOf).toBe(null);
    await live.ready();
    const stood = await live.server.look();
    await does('Meta+Enter', 'shape');
    keyboard.press('ArrowLeft ArrowDown');
    await poll(() => live.server.look()).not.toEqual(stood);
    await live.ready();
    keyboard.press('Escape');
    await poll(() => live.server.look()).toEqual(stood);
    await live.ready();
  }, 90_000);

  it('holds with a key that lasts while it is down, a key of two roles, one that stands for modifiers, and a button', async () => {
    expect(await shown()).toBe(3);
    for (const code of ['Meta', 'KeyX']) keyboard.key(code, true);
    await poll(shown).toBe(0);
    await live.ready();
    for (const code of ['KeyX', 'Meta']) keyboard.key(code, false);
    await poll(shown).toBe(3);
    await live.ready();
    // Held, and then it is over: the same key tapped is the window's.
    const typed = () =>
      Object.values(odds).flatMap(({ events }) =>
        events.filter(({ name }) => name === 'KeyPress').map((event) => event['keycode']),
      );
    keyboard.key('Semicolon', true);
    await poll(done).toContain('stay-above');
    keyboard.key('Semicolon', false);
    await live.ready();
    expect(typed()).not.toContain(47);
    keyboard.press('Semicolon');
    await poll(typed).toContain(47);
    for (const code of ['CapsLock', 'KeyM']) keyboard.key(code, true);
    for (const code of ['KeyM', 'CapsLock']) keyboard.key(code, false);
    await poll(done).toContain('maximise');
    await live.ready();
    await does('Meta+KeyT', 'maximise');
    const { x, y, width, height } = await boxOf('stations');
    keyboard.key('Meta', true);
    await live.server.click(x + width / 2, y + height / 2, 3);
    keyboard.key('Meta', false);
    await poll(done).toContain('promote');
    await live.ready();
    await does('Meta+Insert KeyO', 'open-start');
    await does('Meta+KeyW', 'float');
  }, 90_000);
});
