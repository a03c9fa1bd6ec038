import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { profileSchema } from '@sorn/core/model';
import type { XEvent } from 'x11';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { codeOfKeycode, Keyboard } from './testing/keyboard.ts';
import { AGENT, PROFILE, XLive } from './testing/live.ts';
import { OddWindow } from './testing/server.ts';

/** Moments at which the agent is killed: all 30 of them by `npm run kills`. */
const MOMENTS = process.env['X11_KILLS'] === undefined ? 6 : 30;

/** A program whose class says nothing of the app that it is launched as. */
const DIARY = `"${process.execPath}" "${AGENT}" demo-app "{\\"app\\":\\"pages\\",\\"title\\":\\"Today\\",\\"mark\\":\\"D\\",\\"hue\\":20}"`;

let live: XLive;
let keyboard: Keyboard;
async function begin(keys: object = {}, apps: readonly object[] = []): Promise<void> {
  const profile = profileSchema.parse({
    ...PROFILE,
    apps: [
      ...PROFILE.apps,
      { id: 'sheet', letter: 'S', exec: 'xclock', match: [{ class: 'XClock' }] },
      { id: 'diary', letter: 'D', exec: DIARY },
      ...apps,
    ],
    keys: { from: 'whole', main: 'Meta', ...keys },
  });
  live = await XLive.start(profile);
  keyboard = await Keyboard.of(live.server);
  await keysAreListenedTo();
  live.entries.length = 0;
}
afterEach(() => live.end());

const poll = (read: () => unknown) => expect.poll(read, { timeout: 15_000, interval: 10 });
const done = () => live.entries.map(({ command }) => command?.command).filter((each) => each);
const typedBy = (odd: OddWindow) =>
  odd.events
    .filter(({ name }) => name === 'KeyPress')
    .map((event: XEvent) => codeOfKeycode(event['keycode'] as number));
/** Presses, waits for what comes of it, and sees that everything stands as core computes. */
async function does(keys: string, command: string): Promise<void> {
  const before = done().length;
  keyboard.press(keys);
  await poll(() => done().slice(before)).toContain(command);
  await live.ready();
}
/** The agent has taken its keys: a press of one that does nothing here is answered. */
async function keysAreListenedTo(): Promise<void> {
  await vi.waitFor(
    () => {
      keyboard.press('Meta+KeyJ');
      expect(done()).toContain('swap-with-lead');
    },
    { timeout: 15_000, interval: 100 },
  );
}
async function noKeyIsDown(): Promise<void> {
  await vi.waitFor(async () => {
    const map = await live.server.ask<Buffer>((reply) => live.server.x.QueryKeymap(reply as never));
    expect(map.every((byte) => byte === 0)).toBe(true);
  });
}

describe('real keys', () => {
  beforeEach(() => begin());

  it('run the map: after each the server’s own rectangles are what core computes', async () => {
    for (let i = 0; i < 4; i++) await OddWindow.open(live.server, { title: `${i}` });
    await live.ready(4);
    await does('Meta+ArrowLeft', 'focus-left');
    await does('Meta+KeyJ', 'swap-with-lead');
    await does('Meta+BracketRight', 'lead-share-more');
    await does('Meta+KeyW', 'float');
    await does('Meta+KeyW', 'float');
    await does('Meta+KeyY', 'full-screen');
    await does('Meta+KeyY', 'full-screen');
    await does('Meta+KeyB', 'go-workspace');
    await does('Meta+KeyA', 'go-workspace');
    // A sequence: the second key is nobody's else.
    await does('Meta+Backslash KeyG', 'use-layout');
    await does('Meta+Minus', 'undo');
    await noKeyIsDown();
  });

  it('place a window: by key, by its corners, by a board that is picked', async () => {
    const odd = await OddWindow.open(live.server, {});
    await OddWindow.open(live.server, {});
    await live.ready(2);
    const boxOf = async () => {
      const { x, y, width, height } = (await live.server.look()).find(
        ({ window }) => window === XLive.number(live.session.focus!),
      )!;
      return [x, y, width, height].join();
    };
    expect(odd.window).toBeGreaterThan(0);
    const before = await boxOf();
    await does('Meta+Ctrl+KeyH', 'corner-pick');
    keyboard.press('KeyA Digit1 KeyC Digit2');
    // The rest of the monitor is offered to others then; that is dropped.
    await poll(() => live.session.interaction?.kind).toBe('offer');
    keyboard.press('Escape');
    await poll(() => live.session.interaction).toBe(undefined);
    await live.ready();
    const picked = await boxOf();
    expect(picked).not.toBe(before);
    await does('Meta+Ctrl+KeyH', 'corner-pick');
    keyboard.press('Escape');
    await poll(() => live.session.interaction).toBe(undefined);
    await live.ready();
    expect(await boxOf()).toBe(picked);
    await noKeyIsDown();
  });

  it('shape it until Escape takes that back', async () => {
    await OddWindow.open(live.server, {});
    await OddWindow.open(live.server, {});
    await live.ready(2);
    const before = await live.server.look();
    await does('Meta+Enter', 'shape');
    keyboard.press('ArrowLeft ArrowLeft');
    await vi.waitFor(async () => expect(await live.server.look()).not.toEqual(before));
    await live.ready();
    keyboard.press('Escape');
    await vi.waitFor(async () => expect(await live.server.look()).toEqual(before));
    await live.ready();
  });

  it('count whatever the locks are', async () => {
    await OddWindow.open(live.server, {});
    await OddWindow.open(live.server, {});
    await live.ready(2);
    for (const lock of ['CapsLock', 'NumLock']) {
      keyboard.press(lock);
      await does('Meta+KeyJ', 'swap-with-lead');
    }
    keyboard.press('CapsLock NumLock');
    await does('Meta+KeyJ', 'swap-with-lead');
  });

  it('are the window’s where they are nobody’s, in order with what was taken', async () => {
    const odd = await OddWindow.open(live.server, {});
    await live.ready(1);
    keyboard.press('KeyA KeyB Meta+KeyW KeyC Shift+KeyD Meta+KeyW KeyE');
    await poll(() => done().filter((each) => each === 'float')).toHaveLength(2);
    await poll(() => typedBy(odd).filter((code) => code.startsWith('Key'))).toEqual([
      ...['KeyA', 'KeyB', 'KeyC', 'KeyD', 'KeyE'],
    ]);
    await noKeyIsDown();
  });

  it('overlap: one is let go before the one that was pressed first', async () => {
    const odd = await OddWindow.open(live.server, {});
    await live.ready(1);
    live.entries.length = 0;
    for (const code of ['Meta', 'KeyJ', 'KeyW']) keyboard.key(code, true);
    for (const code of ['KeyW', 'KeyJ', 'Meta']) keyboard.key(code, false);
    await poll(() => done()).toEqual(['swap-with-lead', 'float']);
    keyboard.press('KeyA');
    await poll(() => typedBy(odd)).toContain('KeyA');
    await noKeyIsDown();
  });

  it('are let go where another key takes the grab away, and are no repeat when they come again', async () => {
    const odd = await OddWindow.open(live.server, {});
    await live.ready(1);
    keyboard.key('Meta', true);
    keyboard.key('KeyW', true);
    await poll(() => done()).toContain('float');
    // Nobody's with Meta: the window's, and the grab of the first one ends by that.
    keyboard.key('Insert', true);
    keyboard.key('Insert', false);
    keyboard.key('KeyW', false);
    keyboard.key('Meta', false);
    await poll(() => typedBy(odd)).toContain('Insert');
    await new Promise((resolve) => setTimeout(resolve, 150));
    live.entries.length = 0;
    keyboard.press('Meta+KeyW');
    await poll(() => done()).toContain('float');
    expect(live.entries.some(({ isRepeat }) => isRepeat)).toBe(false);
    await noKeyIsDown();
  });

  it('open apps by their command lines, whose windows are known by class, else by start-up id', async () => {
    keyboard.press('Meta+Alt+KeyS');
    await poll(() => live.session.windows.map(({ app }) => app)).toEqual(['sheet']);
    keyboard.press('Meta+Alt+KeyD');
    await poll(() => live.session.windows.map(({ app }) => app)).toEqual(['sheet', 'diary']);
    await live.ready(2);
    // One of the same program that nobody launched is none.
    live.server.start(process.execPath, [
      AGENT,
      'demo-app',
      '{"app":"pages","mark":"D","hue":20,"title":""}',
    ]);
    await poll(() => live.session.windows.map(({ app }) => app)).toEqual([
      'sheet',
      'diary',
      'pages',
    ]);
  });

  it('are no other program’s while they are Sorn’s', async () => {
    const other = await live.server.client();
    // Meta and J, as they are on this board.
    const grabbed = () =>
      new Promise((resolve) =>
        other.GrabKey(live.server.root, 0, 64, 44, 1, 1, (error) => {
          if (!error) other.UngrabKey(live.server.root, 44, 64);
          resolve(error?.error ?? 0);
          return true;
        }),
      );
    // BadAccess.
    await poll(grabbed).toBe(10);
    process.kill(live.agent.pid!, 'SIGSTOP');
    const stopped = live.agent.stop();
    process.kill(live.agent.pid!, 'SIGKILL');
    await stopped;
    await poll(grabbed).toBe(0);
    // And where it is another one's, that is told.
    await new Promise((resolve) =>
      other.GrabKey(live.server.root, 0, 64, 44, 1, 1, () => {
        resolve(null);
        return true;
      }),
    );
    live.agent.startAgain();
    await poll(() =>
      live.desk
        .status()
        .findings.map(({ text }) => text)
        .join(),
    ).toContain('Meta+KeyJ is another program’s');
  });

  it('and the way out gives every key back', async () => {
    const odd = await OddWindow.open(live.server, {});
    await live.ready(1);
    keyboard.press('Ctrl+Alt+Shift+Escape');
    await poll(() => live.desk.status().state).toBe('out');
    await poll(() => live.desk.isSettled).toBe(true);
    odd.events.length = 0;
    keyboard.press('Meta+KeyW');
    await poll(() => typedBy(odd)).toContain('KeyW');
    keyboard.press('Ctrl+Alt+Shift+Escape');
    await poll(() => live.desk.status().state).toBe('running');
    await does('Meta+KeyW', 'float');
  });
});

describe('typing', () => {
  it('arrives whole and in order while layers are entered and left between', async () => {
    await begin({
      layers: [{ id: 'go' }],
      bindings: [
        { keys: 'Main+KeyG', command: { command: 'enter-layer', layer: 'go' } },
        { keys: 'KeyJ', in: 'go', command: { command: 'focus-next' } },
        { keys: 'Escape', in: 'go', command: { command: 'leave-layer' } },
      ],
    });
    const file = join(live.folder, 'typed');
    live.server.start('xterm', ['-e', 'sh', '-c', `stty -echo; exec cat > ${file}`]);
    await live.ready(1);
    await new Promise((resolve) => setTimeout(resolve, 500));
    const letters = 'abcdefghijklmnopqrstuvwxyz';
    let text = '';
    for (let line = 0; line < 40; line++) {
      const row = Array.from({ length: 49 }, (_, i) => letters[(line * 7 + i * 3) % 26]!).join('');
      keyboard.press([...row].map((letter) => `Key${letter.toUpperCase()}`).join(' '));
      if (line % 2 === 0) keyboard.press('Meta+KeyG KeyJ KeyJ Escape');
      keyboard.press('Enter');
      text += `${row}\n`;
    }
    expect(text).toHaveLength(2_000);
    await poll(() => readFileSync(file, 'utf8').length).toBe(2_000);
    expect(readFileSync(file, 'utf8')).toBe(text);
    expect(done().filter((each) => each === 'focus-next')).toHaveLength(40);
    await noKeyIsDown();
  });
});

describe('the board', () => {
  it('counts as it is now: what a key types, and which modifier it is', async () => {
    await begin({ bindings: [{ keys: 'Main+types:ö', command: { command: 'float' } }] });
    await OddWindow.open(live.server, {});
    await live.ready(1);
    live.server.run('xmodmap', ['-e', 'keycode 118 = odiaeresis Odiaeresis']);
    await vi.waitFor(
      () => {
        keyboard.press('Meta+Insert');
        expect(done()).toContain('float');
      },
      { timeout: 15_000, interval: 200 },
    );
    live.server.run('xmodmap', ['-e', 'remove mod4 = Super_L', '-e', 'add mod3 = Super_L']);
    await vi.waitFor(
      () => {
        keyboard.press('Meta+KeyT');
        expect(done()).toContain('maximise');
      },
      { timeout: 15_000, interval: 200 },
    );
    await live.ready(1);
  });
});

describe('an app that keeps keys for itself', () => {
  it('gets all but those that are left to Sorn, while it has the focus', async () => {
    await begin({}, [{ id: 'screen', keepsAllBut: ['Main+KeyJ'] }]);
    const other = await OddWindow.open(live.server, { app: 'other' });
    const screen = await OddWindow.open(live.server, { app: 'screen' });
    await live.ready(2);
    keyboard.press('Meta+KeyW Meta+KeyT KeyA');
    await poll(() => typedBy(screen).filter((code) => code.startsWith('Key'))).toEqual([
      ...['KeyW', 'KeyT', 'KeyA'],
    ]);
    await does('Meta+KeyJ', 'swap-with-lead');
    expect(done()).not.toContain('float');
    await live.server.request(other.window, '_NET_ACTIVE_WINDOW', [2, 0, 0, 0, 0]);
    await poll(() => live.session.focus).toContain(other.window.toString(16));
    await live.ready(2);
    await does('Meta+KeyW', 'float');
    expect(typedBy(other)).not.toContain('KeyW');
  });
});

describe('a key with two roles', () => {
  it('is one thing tapped and another held, and a tap of nobody is the window’s', async () => {
    await begin({
      holdMs: 150,
      bindings: [{ keys: 'hold KeyF', command: { command: 'float' } }],
    });
    const odd = await OddWindow.open(live.server, {});
    await live.ready(1);
    keyboard.press('KeyF KeyG');
    await poll(() => typedBy(odd)).toEqual(['KeyF', 'KeyG']);
    expect(done()).not.toContain('float');
    keyboard.key('KeyF', true);
    await poll(() => done()).toContain('float');
    keyboard.key('KeyF', false);
    await live.ready(1);
    expect(typedBy(odd)).toEqual(['KeyF', 'KeyG']);
    await noKeyIsDown();
  });
});

describe('when the agent is killed at any moment of typing', () => {
  it('no key is stuck, no grab is left, and keys are the window’s', async () => {
    await begin();
    const odd = await OddWindow.open(live.server, {});
    await live.ready(1);
    const other = await live.server.client();
    const free = (run: (reply: (error: unknown, status: number) => boolean) => void) =>
      new Promise<number>((resolve) =>
        run((error, status) => {
          resolve(error ? -1 : (status ?? 0));
          return true;
        }),
      );
    for (let moment = 0; moment < MOMENTS; moment++) {
      await keysAreListenedTo();
      const before = done().length;
      // A sequence, a pick that is dropped, letters of nobody; killed somewhere within.
      const keys = 'Meta+Backslash KeyG KeyA Meta+Ctrl+KeyH KeyA Escape KeyB Meta+KeyJ KeyC';
      keyboard.press(keys);
      await new Promise((resolve) => setTimeout(resolve, (moment * 7) % 23));
      const { pid } = live.agent;
      process.kill(pid!, 'SIGSTOP');
      const stopped = live.agent.stop();
      process.kill(pid!, 'SIGKILL');
      await stopped;
      await noKeyIsDown();
      const grabbed = await free((reply) =>
        other.GrabKeyboard(live.server.root, 0, 0, 1, 1, reply as never),
      );
      expect(grabbed).toBe(0);
      other.UngrabKeyboard(0);
      expect(
        await free((reply) => other.GrabKey(live.server.root, 0, 64, 44, 1, 1, reply as never)),
      ).toBe(0);
      other.UngrabKey(live.server.root, 44, 64);
      other.SetInputFocus(odd.window, 1);
      odd.events.length = 0;
      await odd.sync();
      keyboard.press('KeyZ');
      await poll(() => typedBy(odd)).toEqual(['KeyZ']);
      live.agent.startAgain();
      await live.ready();
      expect(done().length).toBeGreaterThanOrEqual(before);
    }
  }, 240_000);
});

it('says that a keyboard which another program takes away has nothing down any more', async () => {
  await begin();
  const other = await live.server.client();
  const odd = await OddWindow.open(live.server, {});
  await live.ready(1);
  await new Promise((resolve) =>
    other.GrabKeyboard(live.server.root, 0, 0, 1, 1, () => {
      resolve(null);
      return true;
    }),
  );
  keyboard.press('Meta+KeyW');
  await new Promise((resolve) => setTimeout(resolve, 150));
  expect(done()).not.toContain('float');
  expect(typedBy(odd)).toEqual([]);
  other.UngrabKeyboard(0);
  await does('Meta+KeyW', 'float');
});
