import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { XLive } from './testing/live.ts';
import { OddWindow, type Box } from './testing/server.ts';

let live: XLive;
beforeEach(async () => {
  live = await XLive.start();
});
afterEach(() => live.end());

const poll = (read: () => unknown) => expect.poll(read, { timeout: 15_000, interval: 10 });
const boxOf = async ({ window }: OddWindow) => {
  const is = (await live.server.look()).find((each) => each.window === window);
  return is && { x: is.x, y: is.y, width: is.width, height: is.height };
};
const windowOf = ({ window }: OddWindow) =>
  live.session.windows.find(({ id }) => XLive.number(id) === window);
/** The frame around a window. */
const FRAME = 4;

describe('a window that comes', () => {
  it('is told where it stands before it is shown, and never stands elsewhere', async () => {
    for (let i = 0; i < 3; i++) await OddWindow.open(live.server, { title: `first ${i}` });
    await live.ready(3);
    const odd = await OddWindow.open(live.server, {
      box: { x: 900, y: 700, width: 50, height: 60 },
    });
    await live.ready(4);
    await odd.sync();
    const names = odd.events.map(({ name }) => name);
    const shown = names.indexOf('MapNotify');
    const { x, y, width, height } = odd.events
      .slice(0, shown)
      .findLast(({ name }) => name === 'ConfigureNotify')! as unknown as Box;
    const box = (await boxOf(odd))!;
    expect({ x, y, width: width + 2 * FRAME, height: height + 2 * FRAME }).toEqual(box);
    // After it is shown nothing moves it any more.
    expect(names.slice(shown)).not.toContain('ConfigureNotify');
  });

  it('of forty in a burst each has its place', async () => {
    await Promise.all(
      Array.from({ length: 40 }, (_, i) => OddWindow.open(live.server, { title: `sheet ${i}` })),
    );
    await live.ready(40);
  });

  it('and goes at once leaves nothing behind', async () => {
    await OddWindow.open(live.server, { title: 'stays' });
    await live.ready(1);
    await Promise.all(
      Array.from({ length: 20 }, async () => (await OddWindow.open(live.server)).vanish()),
    );
    await live.ready(1);
    expect(live.titles()).toEqual(['stays']);
  });

  it('takes itself back and comes again as the same window', async () => {
    const odd = await OddWindow.open(live.server, { title: 'again' });
    await live.ready(1);
    const { id } = windowOf(odd)!;
    odd.hide();
    await live.ready(0);
    odd.show();
    await live.ready(1);
    expect(windowOf(odd)!.id).toBe(id);
  });

  it('that goes by itself, and asks nobody, is not touched', async () => {
    const box = { x: 700, y: 300, width: 120, height: 40 };
    const menu = await OddWindow.open(live.server, { overrideRedirect: true, box });
    await OddWindow.open(live.server, { title: 'beside' });
    await live.ready(1);
    expect(await boxOf(menu)).toEqual(box);
    expect(menu.events.map(({ name }) => name)).toEqual(['MapNotify']);
  });
});

describe('a window of a size of its own', () => {
  it('has it, within its frame', async () => {
    const box = { x: 20, y: 30, width: 321, height: 203 };
    const odd = await OddWindow.open(live.server, { box, min: [321, 203], max: [321, 203] });
    await live.ready(1);
    const { width, height } = (await boxOf(odd))!;
    expect([width, height]).toEqual([321 + 2 * FRAME, 203 + 2 * FRAME]);
  });

  it('says it late, and is arranged by it from then on', async () => {
    const odd = await OddWindow.open(live.server, {});
    await OddWindow.open(live.server, {});
    await live.ready(2);
    await odd.say({ increment: [50, 40], base: [10, 20] });
    await poll(async () => {
      const { width, height } = (await boxOf(odd))!;
      return [(width - 2 * FRAME - 10) % 50, (height - 2 * FRAME - 20) % 40];
    }).toEqual([0, 0]);
    await live.ready(2);
  });

  it('is put back where it asks for another, and hears where it stands', async () => {
    const odd = await OddWindow.open(live.server, {});
    await OddWindow.open(live.server, {});
    await live.ready(2);
    const before = (await boxOf(odd))!;
    odd.events.length = 0;
    odd.ask({ width: 77, height: 88 });
    await poll(() => odd.events.map(({ name }) => name)).toContain('ConfigureNotify');
    const { x, y, width, height } = odd.events.at(-1) as unknown as Box;
    expect({ x, y, width: width + 2 * FRAME, height: height + 2 * FRAME }).toEqual(before);
    await live.ready(2);
  });

  it('has what it asks for while it floats', async () => {
    const odd = await OddWindow.open(live.server, { title: 'floats' });
    await live.ready(1);
    live.desk.command({ command: 'float' });
    await live.ready(1);
    odd.ask({ x: 500, y: 400, width: 360, height: 240 });
    await poll(() => boxOf(odd)).toEqual({
      x: 500,
      y: 400,
      width: 360 + 2 * FRAME,
      height: 240 + 2 * FRAME,
    });
    await live.ready(1);
  });

  it('asks again and again, and is left as it is: that is told', async () => {
    const odd = await OddWindow.open(live.server, { title: 'restless' });
    await OddWindow.open(live.server, {});
    await live.ready(2);
    let answers = 0;
    odd.onEvent = ({ name }) => {
      if (name !== 'ConfigureNotify') return;
      answers++;
      odd.ask({ width: 100 + (answers % 50), height: 90 });
    };
    odd.ask({ width: 60, height: 70 });
    await poll(() => live.desk.status().findings.map(({ kind }) => kind)).toContain(
      'window-fights',
    );
    odd.onEvent = () => undefined;
    await live.ready(2);
    // Nothing turns round and round: an answer is worth a wait.
    expect(answers).toBeLessThan(200);
  });
});

describe('a window that stands over another', () => {
  it('is a dialog, over the middle of it', async () => {
    const parent = await OddWindow.open(live.server, { title: 'parent' });
    await live.ready(1);
    const dialog = await OddWindow.open(live.server, {
      title: 'dialog',
      over: parent.window,
      box: { x: 0, y: 0, width: 300, height: 120 },
    });
    await live.ready(2);
    expect(windowOf(dialog)!.parent).toBe(windowOf(parent)!.id);
    const [outer, inner] = [(await boxOf(parent))!, (await boxOf(dialog))!];
    const middle = ({ x, width }: Box) => x + width / 2;
    expect(Math.abs(middle(outer) - middle(inner))).toBeLessThanOrEqual(1);
    const order = (await live.server.look()).map(({ window }) => window);
    expect(order.indexOf(dialog.window)).toBeGreaterThan(order.indexOf(parent.window));
  });
});

describe('a dock', () => {
  it('keeps its edge free, stands where it likes, and gives the edge back', async () => {
    const odd = await OddWindow.open(live.server, {});
    await live.ready(1);
    const before = (await boxOf(odd))!;
    const box = { x: 0, y: 0, width: 2560, height: 30 };
    const dock = await OddWindow.open(live.server, {
      type: 'DOCK',
      box,
      struts: [0, 0, 30, 0, 0, 0, 0, 0, 0, 2559, 0, 0],
    });
    await poll(() => boxOf(odd)).toEqual({
      ...before,
      y: before.y + 30,
      height: before.height - 30,
    });
    await live.ready(1);
    expect(await boxOf(dock)).toEqual(box);
    // It lies over the windows, and on all workspaces.
    const order = (await live.server.look()).map(({ window }) => window);
    expect(order.indexOf(dock.window)).toBeGreaterThan(order.indexOf(odd.window));
    expect(await live.server.numbers(dock.window, '_NET_WM_DESKTOP')).toEqual([0xffffffff]);
    expect((await live.server.numbers(live.server.root, '_NET_WORKAREA')).slice(0, 4)).toEqual([
      0, 0, 3840, 1440,
    ]);
    dock.destroy();
    await poll(() => boxOf(odd)).toEqual(before);
    await live.ready(1);
  });
});

describe('a window that wants the whole screen', () => {
  it('has it without a frame, over docks, and gives it back', async () => {
    const odd = await OddWindow.open(live.server, {});
    const other = await OddWindow.open(live.server, {});
    await live.ready(2);
    const before = await boxOf(odd);
    await live.server.request(odd.window, '_NET_WM_STATE', [
      1,
      '_NET_WM_STATE_FULLSCREEN',
      0,
      1,
      0,
    ]);
    await poll(() => boxOf(odd)).toEqual({ x: 0, y: 0, width: 2560, height: 1440 });
    await live.ready(2);
    const fullScreen = await live.server.atom('_NET_WM_STATE_FULLSCREEN');
    expect(await live.server.numbers(odd.window, '_NET_WM_STATE')).toContain(fullScreen);
    expect(await live.server.numbers(other.window, '_NET_WM_STATE')).not.toContain(fullScreen);
    await live.server.request(odd.window, '_NET_WM_STATE', [
      2,
      '_NET_WM_STATE_FULLSCREEN',
      0,
      1,
      0,
    ]);
    await poll(() => boxOf(odd)).toEqual(before);
    await live.ready(2);
    expect(await live.server.numbers(odd.window, '_NET_WM_STATE')).not.toContain(fullScreen);
  });

  it('from the beginning is shown so', async () => {
    const odd = await OddWindow.open(live.server, { states: ['_NET_WM_STATE_FULLSCREEN'] });
    await poll(() => boxOf(odd)).toEqual({ x: 0, y: 0, width: 2560, height: 1440 });
    await live.ready(1);
  });
});

describe('closing', () => {
  it('asks a window that can be asked', async () => {
    const odd = await OddWindow.open(live.server, { protocols: ['WM_DELETE_WINDOW'] });
    await live.ready(1);
    odd.onEvent = ({ name }) => {
      if (name === 'ClientMessage') odd.destroy();
    };
    live.desk.command({ command: 'close' });
    await live.ready(0);
    const [protocol] = odd.events.find(({ name }) => name === 'ClientMessage')!['data'] as number[];
    expect(protocol).toBe(await live.server.atom('WM_DELETE_WINDOW'));
  });

  it('ends one that never answers at the second time, a second later', async () => {
    await OddWindow.open(live.server, { protocols: ['WM_DELETE_WINDOW'] });
    await live.ready(1);
    live.desk.command({ command: 'close' });
    await new Promise((resolve) => setTimeout(resolve, 1_200));
    expect(live.session.windows).toHaveLength(1);
    live.desk.command({ command: 'close' });
    await live.ready(0);
  });
});

describe('the keyboard', () => {
  it('goes to a window by the protocol that it takes part in (ICCCM 4.1.7)', async () => {
    const told = await OddWindow.open(live.server, { protocols: ['WM_TAKE_FOCUS'] });
    await live.ready(1);
    await told.sync();
    const message = told.events.find(({ name }) => name === 'ClientMessage')!;
    const [protocol, time] = message['data'] as number[];
    expect(protocol).toBe(await live.server.atom('WM_TAKE_FOCUS'));
    expect(time).toBeGreaterThan(0);
    expect(await live.server.focus()).toBe(told.window);
  });

  it('goes to the window that is clicked, and the click to the window', async () => {
    const odds = [await OddWindow.open(live.server, {}), await OddWindow.open(live.server, {})];
    await live.ready(2);
    const [first, second] = odds as [OddWindow, OddWindow];
    expect(await live.server.focus()).toBe(second.window);
    const { x, y } = (await boxOf(first))!;
    await live.server.click(x + 50, y + 50);
    await poll(() => live.session.focus).toBe(windowOf(first)!.id);
    await live.ready(2);
    await poll(() => first.events.map(({ name }) => name)).toContain('ButtonPress');
    expect(await live.server.numbers(live.server.root, '_NET_ACTIVE_WINDOW')).toEqual([
      first.window,
    ]);
  });

  it('goes where a program asks for it (EWMH)', async () => {
    const first = await OddWindow.open(live.server, {});
    await OddWindow.open(live.server, {});
    await live.ready(2);
    await live.server.request(first.window, '_NET_ACTIVE_WINDOW', [2, 0, 0, 0, 0]);
    await poll(() => live.session.focus).toBe(windowOf(first)!.id);
    await live.ready(2);
  });

  it('is with nobody on a workspace without windows', async () => {
    const odd = await OddWindow.open(live.server, {});
    await live.ready(1);
    live.desk.command({ command: 'go-workspace', which: 'B' });
    await live.ready(1);
    const stands = (await live.server.look()).find(({ window }) => window === odd.window)!;
    expect(stands.isShown).toBe(false);
    expect(await live.server.focus()).not.toBe(odd.window);
    await poll(() => live.server.numbers(live.server.root, '_NET_ACTIVE_WINDOW')).toEqual([0]);
  });
});

describe('panels are told', () => {
  it('of windows, workspaces and states (EWMH)', async () => {
    const { server } = live;
    const odd = await OddWindow.open(server, { title: 'one' });
    const away = await OddWindow.open(server, { title: 'two' });
    await live.ready(2);
    live.desk.command({ command: 'put-on-workspace', which: 'B' });
    await live.ready(2);
    const numbers = (name: string) => server.numbers(server.root, name);
    await vi.waitFor(async () => {
      expect(await numbers('_NET_CLIENT_LIST')).toEqual([odd.window, away.window]);
      expect(await numbers('_NET_NUMBER_OF_DESKTOPS')).toEqual([3]);
      expect(await server.text(server.root, '_NET_DESKTOP_NAMES')).toBe('A\0B\0C\0');
      expect(await numbers('_NET_CURRENT_DESKTOP')).toEqual([0]);
      expect(await server.numbers(odd.window, '_NET_WM_DESKTOP')).toEqual([0]);
      expect(await server.numbers(away.window, '_NET_WM_DESKTOP')).toEqual([1]);
      // Shown, and put away by its workspace (ICCCM 4.1.3.1).
      expect((await server.numbers(odd.window, 'WM_STATE'))[0]).toBe(1);
      expect((await server.numbers(away.window, 'WM_STATE'))[0]).toBe(3);
    });
    await server.request(server.root, '_NET_CURRENT_DESKTOP', [1, 0, 0, 0, 0]);
    await poll(() => live.session.shown['left']).toBe('B');
    await live.ready(2);
    await poll(() => numbers('_NET_CURRENT_DESKTOP')).toEqual([1]);
  });

  it('who arranges the display, by a window that says so itself', async () => {
    const { server } = live;
    const [own] = await server.numbers(server.root, '_NET_SUPPORTING_WM_CHECK');
    expect(await server.numbers(own!, '_NET_SUPPORTING_WM_CHECK')).toEqual([own]);
    expect(await server.text(own!, '_NET_WM_NAME')).toBe('Sorn');
  });
});
