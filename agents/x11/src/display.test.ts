import { spawn, type ChildProcess } from 'node:child_process';
import { profileSchema } from '@sorn/core/model';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { AGENT, PROFILE, XLive } from './testing/live.ts';
import { OddWindow, TWO, XServer } from './testing/server.ts';

const ends: (() => Promise<void>)[] = [];
afterEach(async () => {
  for (const end of ends.splice(0)) await end();
});
async function started(profile = PROFILE): Promise<XLive> {
  const live = await XLive.start(profile);
  ends.push(() => live.end());
  return live;
}
async function serverAlone(): Promise<XServer> {
  const server = await XServer.start();
  ends.push(() => server.end());
  return server;
}
const poll = (read: () => unknown) => expect.poll(read, { timeout: 15_000, interval: 10 });

/** An agent without a host: what it says, and how it ends. */
function alone(server: XServer, args: readonly string[] = []) {
  const child = spawn(process.execPath, [AGENT, 'agent', '--display', server.display, ...args]);
  ends.push(() => over(child));
  const said = { out: '', log: '', code: null as number | null };
  child.stdout.on('data', (bytes: Buffer) => (said.out += bytes.toString()));
  child.stderr.on('data', (bytes: Buffer) => (said.log += bytes.toString()));
  child.on('exit', (code) => (said.code = code ?? -1));
  const say = (message: object) => child.stdin.write(`${JSON.stringify(message)}\n`);
  return { child, said, say };
}
function over(child: ChildProcess): Promise<void> {
  if (child.exitCode !== null || child.signalCode !== null) return Promise.resolve();
  child.kill('SIGKILL');
  return new Promise((resolve) => child.once('exit', () => resolve()));
}

describe('the display', () => {
  it('is one agent’s at a time: the second one says so, and ends with code 3', async () => {
    const { server } = await started();
    const { said } = alone(server);
    await poll(() => said.code).toBe(3);
    expect(said.log).toContain('another program arranges this display');
    expect(said.out).toBe('');
  });

  it('is given to one that replaces, which shows the windows that are there', async () => {
    const live = await started();
    const odd = await OddWindow.open(live.server, { title: 'stays' });
    await live.ready(1);
    const { said, say } = alone(live.server, ['--replace']);
    await poll(() => said.out).toContain('"hello"');
    await poll(() => live.over).toBe('another agent has the desktop');
    say({ type: 'welcome', protocol: 1, session: 'other' });
    await poll(() => said.out).toContain('"ready"');
    expect(said.out).toContain(`"window":"w${odd.window.toString(16)}-`);
    // The window keeps the name that it had.
    expect(said.out).toContain((await live.server.text(odd.window, '_SORN_WINDOW')).trim());
  });

  it('that cannot be reached is told of', async () => {
    const child = spawn(process.execPath, [AGENT, 'agent', '--display', ':9876']);
    let log = '';
    child.stderr.on('data', (bytes: Buffer) => (log += bytes.toString()));
    const code = await new Promise((resolve) => child.on('exit', resolve));
    expect(code).toBe(1);
    expect(log).toContain('the display :9876 cannot be reached');
  });

  it('has its windows adopted, and each shown where the engine computes', async () => {
    const server = await serverAlone();
    const there = [];
    for (let i = 0; i < 4; i++)
      there.push(await OddWindow.open(server, { title: `there ${i}`, app: 'Sheet' }));
    // One that never was shown is not.
    const unseen = await OddWindow.make(server, { title: 'unseen' });
    const { said, say } = alone(server);
    await poll(() => said.out).toContain('"hello"');
    say({ type: 'welcome', protocol: 1, session: 'x' });
    await poll(() => said.out).toContain('"ready"');
    const opened = said.out.split('\n').filter((line) => line.includes('"opened"'));
    expect(opened.map((line) => (JSON.parse(line) as { title: string }).title)).toEqual([
      'there 0',
      'there 1',
      'there 2',
      'there 3',
    ]);
    expect(said.out).not.toContain(`w${unseen.window.toString(16)}-`);
    expect(there).toHaveLength(4);
  });
});

describe('when the agent is killed', () => {
  it('windows of hidden workspaces are shown by the server itself', async () => {
    const live = await started();
    const { server } = live;
    const odds = [];
    for (let i = 0; i < 4; i++) odds.push(await OddWindow.open(server, { title: `${i}` }));
    await live.ready(4);
    live.desk.command({ command: 'put-on-workspace', which: 'B' });
    live.desk.command({ command: 'put-on-workspace', which: 'B' });
    await live.ready(4);
    const shown = async () => (await server.look()).filter(({ isShown }) => isShown).length;
    const before = await shown();
    // It hears nothing any more, and the host does not start another one.
    const { pid } = live.agent;
    process.kill(pid!, 'SIGSTOP');
    const stopped = live.agent.stop();
    process.kill(pid!, 'SIGKILL');
    await stopped;
    await poll(shown).toBeGreaterThan(before);
    const all = await server.look();
    for (const { window } of odds)
      expect(all.find((each) => each.window === window)!.isShown).toBe(true);
  });

  it('and started again everything is as it was', async () => {
    const live = await started();
    for (let i = 0; i < 5; i++) await OddWindow.open(live.server, { title: `${i}` });
    await live.ready(5);
    live.desk.command({ command: 'put-on-workspace', which: 'B' });
    live.desk.command({ command: 'float' });
    await live.ready(5);
    const before = [await live.server.look(), live.session.windows.map(({ id }) => id)];
    process.kill(live.agent.pid!, 'SIGKILL');
    await poll(() => live.agent.pid).toBe(undefined);
    await live.ready(5);
    const [places, ids] = before;
    expect(live.session.windows.map(({ id }) => id)).toEqual(ids);
    const ours = (all: unknown) =>
      (all as { window: number }[]).filter(({ window }) =>
        live.session.windows.some(({ id }) => XLive.number(id) === window),
      );
    await vi.waitFor(async () => expect(ours(await live.server.look())).toEqual(ours(places)));
  });

  it('in order, every window is shown, and nobody is said to arrange them', async () => {
    const live = await started();
    const odds = [await OddWindow.open(live.server, {}), await OddWindow.open(live.server, {})];
    await live.ready(2);
    live.desk.command({ command: 'put-on-workspace', which: 'B' });
    await live.ready(2);
    await live.agent.end();
    const all = await live.server.look();
    for (const { window } of odds) {
      expect(all.find((each) => each.window === window)!.isShown).toBe(true);
      expect((await live.server.numbers(window, 'WM_STATE'))[0]).toBe(1);
    }
    expect(await live.server.numbers(live.server.root, '_NET_SUPPORTING_WM_CHECK')).toEqual([]);
  });
});

describe('monitors', () => {
  it('come and go while it runs: windows return to the pixel', async () => {
    const live = await started();
    const { server } = live;
    live.desk.command({ command: 'go-workspace', which: 'C' });
    for (let i = 0; i < 3; i++) await OddWindow.open(server, { title: `right ${i}` });
    await live.ready(3);
    live.desk.command({ command: 'go-workspace', which: 'A' });
    for (let i = 0; i < 2; i++) await OddWindow.open(server, { title: `left ${i}` });
    await live.ready(5);
    const ours = async () => {
      const numbers = live.session.windows.map(({ id }) => XLive.number(id));
      const all = await server.look();
      return numbers.map((number) => all.find(({ window }) => window === number));
    };
    const before = await ours();
    server.run('xrandr', ['--delmonitor', 'right']);
    await poll(() => live.desk.about().monitors.map(({ name }) => name)).toEqual(['left']);
    await live.ready(5);
    for (const box of await ours())
      if (box!.isShown) expect(box!.x + box!.width).toBeLessThanOrEqual(2560);
    server.run('xrandr', ['--setmonitor', ...TWO[1]]);
    await poll(() => live.desk.about().monitors.length).toBe(2);
    await live.ready(5);
    expect(await ours()).toEqual(before);
  });

  it('are told with their size, and their EDID', async () => {
    const live = await started();
    const { server } = live;
    const edid = Buffer.alloc(128, 7);
    const randr = await server.ask<{
      GetScreenResources: (root: number, done: unknown) => void;
      ChangeOutputProperty: (...args: unknown[]) => void;
    }>((done) => server.x.require('randr', done as never));
    const { outputs } = await server.ask<{ outputs: number[] }>((done) =>
      randr.GetScreenResources(server.root, done),
    );
    const [atom, integer] = await Promise.all([server.atom('EDID'), server.atom('INTEGER')]);
    randr.ChangeOutputProperty(outputs[0], atom, integer, 8, 0, edid);
    await poll(() => live.desk.about().monitors.map(({ name, width }) => [name, width])).toEqual([
      ['left', 2560],
      ['right', 1280],
    ]);
    server.run('xrandr', ['--delmonitor', 'right']);
    const { said, say } = alone(server, ['--replace']);
    await poll(() => said.out).toContain('"hello"');
    say({ type: 'welcome', protocol: 1, session: 'x' });
    await poll(() => said.out).toContain('"ready"');
    const line = said.out.split('\n').find((each) => each.includes('"monitors"'))!;
    const [monitor] = (JSON.parse(line) as { monitors: Record<string, unknown>[] }).monitors;
    expect(monitor).toMatchObject({
      name: 'left',
      ...{ x: 0, y: 0, width: 2560, height: 1440 },
      ...{ widthMm: 600, heightMm: 335 },
      edid: edid.toString('base64'),
    });
  });
});

describe('the pointer', () => {
  const withPointer = (pointer: object) => profileSchema.parse({ ...PROFILE, pointer });

  it('gives the focus to what is under it where that is set, not where windows move under it', async () => {
    const live = await started(withPointer({ focusFollows: true }));
    const { server } = live;
    await server.point(2_000, 200);
    const first = await OddWindow.open(server, { title: 'first' });
    await live.ready(1);
    const second = await OddWindow.open(server, { title: 'second' });
    await live.ready(2);
    const idOf = ({ window }: OddWindow) =>
      live.session.windows.find(({ id }) => XLive.number(id) === window)!.id;
    await server.point(200, 200);
    await poll(() => live.session.focus).toBe(idOf(first));
    await server.point(2_000, 200);
    await poll(() => live.session.focus).toBe(idOf(second));
    // The first one moves under the pointer and away from it again: neither gets the focus by that.
    live.desk.command({ command: 'focus-left' });
    live.desk.command({ command: 'use-layout', layout: { kind: 'rows' } });
    await live.ready(2);
    live.desk.command({ command: 'use-layout', layout: { kind: 'columns' } });
    await live.ready(2);
    await new Promise((resolve) => setTimeout(resolve, 200));
    expect(live.session.focus).toBe(idOf(first));
    await live.ready(2);
  });

  it('leaves the focus alone else', async () => {
    const live = await started();
    await OddWindow.open(live.server, {});
    const second = await OddWindow.open(live.server, {});
    await live.ready(2);
    await live.server.point(200, 200);
    await new Promise((resolve) => setTimeout(resolve, 200));
    expect(await live.server.focus()).toBe(second.window);
  });

  it('goes along to a monitor that gets the focus where that is set', async () => {
    const live = await started(withPointer({ goesAlong: true }));
    const { server } = live;
    await OddWindow.open(server, {});
    await live.ready(1);
    await server.point(700, 700);
    live.desk.command({ command: 'go-monitor', which: 'right' });
    // No window is there: to the middle of the monitor.
    await poll(() => server.pointer()).toEqual([2_560 + 640, 720]);
    live.desk.command({ command: 'go-monitor', which: 'left' });
    await poll(async () => (await server.pointer())[0]).toBeLessThan(2_560);
    // Within a monitor it stays where it is.
    await server.point(30, 40);
    await OddWindow.open(server, {});
    await live.ready(2);
    expect(await server.pointer()).toEqual([30, 40]);
  });
});
