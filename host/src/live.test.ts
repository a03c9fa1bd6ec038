import { profileSchema, type Profile } from '@sorn/core/model';
import { describe, expect, it } from 'vitest';
import { Live, PROFILE, THREE } from './testing/live.ts';

const poll = (read: () => unknown) => expect.poll(read, { timeout: 10_000, interval: 10 });
const rectOf = (live: Live, window: string) =>
  live.account.windows.find((each) => each.window === window)?.rect;

describe('a live desk', () => {
  it('arranges what was there, what opens and what closes, by keys that the windows do not get', async () => {
    const live = new Live();
    live.desktop.open({ app: 'shell', title: 'One' });
    live.desktop.open({ app: 'notes' });
    await live.start();
    await live.ready();
    const third = live.desktop.open({ app: 'post' });
    await poll(() => live.agent!.desk.sessionNow!.windows.length).toBe(3);
    await live.ready();
    expect(live.account.order).toHaveLength(3);
    const before = live.account.focus;
    live.press('Meta+ArrowLeft');
    await poll(() => live.account.focus).not.toBe(before);
    live.press('KeyH KeyI');
    await live.ready();
    await poll(() => live.account.windows.flatMap(({ typed }) => typed)).toEqual(['KeyH', 'KeyI']);
    live.desktop.close(third);
    await poll(() => live.agent!.desk.sessionNow!.windows.length).toBe(2);
    await live.ready();
  });

  it('hides what is on another workspace, and leaves nothing hidden when it ends', async () => {
    const live = new Live();
    live.desktop.open({ app: 'shell' });
    await live.start();
    await live.ready();
    live.press('Meta+Shift+KeyB');
    live.agent!.desk.command({ command: 'put-on-workspace', which: 'B' });
    await live.ready();
    expect(live.account.windows[0]!.shown).toBe(false);
    await live.agent!.end();
    await poll(() => live.account.hasAgent).toBe(false);
    expect(live.account.windows[0]!.shown).toBe(true);
    expect(live.account.listening).toEqual({ triggers: 0, whole: false });
  });

  it('closes when asked, forces at the second time, and launches without a shell', async () => {
    const live = new Live();
    live.desktop.open({ app: 'notes', keepsOpen: true });
    const profile = profileSchema.parse({
      ...PROFILE,
      apps: [{ id: 'notes', exec: 'notes --new "$(rm -rf x)" %U' }],
    });
    await live.start({ profile });
    await live.ready();
    live.agent!.desk.command({ command: 'close' });
    await new Promise((resolve) => setTimeout(resolve, 300));
    expect(live.account.windows).toHaveLength(1);
    await new Promise((resolve) => setTimeout(resolve, 900));
    live.agent!.desk.command({ command: 'close' });
    await poll(() => live.account.windows).toEqual([]);
    live.agent!.desk.command({ command: 'open-app', app: 'notes' });
    await poll(() => live.account.windows.map(({ app }) => app)).toEqual(['notes']);
    await live.ready();
  });

  it('knows the window of an app that it launched by the start-up id, once, and where nothing else says what it is', async () => {
    const live = new Live();
    const profile = profileSchema.parse({
      ...PROFILE,
      apps: [
        { id: 'diary', exec: 'pages --today' },
        { id: 'shell', exec: 'terminal', match: [{ class: 'terminal' }] },
        { id: 'log', exec: 'terminal --log' },
      ],
    });
    await live.start({ profile });
    await live.ready();
    const apps = () => live.agent!.desk.sessionNow!.windows.map(({ app }) => app);
    const { desk } = live.agent!;
    desk.command({ command: 'open-app', app: 'diary' });
    await poll(apps).toEqual(['diary']);
    const [first] = live.account.windows;
    expect(first!.startupId).toMatch(/^sorn-/);
    // A program that the first one started has the same id in its environment.
    live.desktop.open({ app: 'pages', startupId: first!.startupId });
    await poll(apps).toEqual(['diary', 'pages']);
    desk.command({ command: 'open-app', app: 'log' });
    await poll(apps).toEqual(['diary', 'pages', 'shell']);
    // A host that comes later knows it by that still.
    await live.agent!.end();
    await live.start({ profile });
    await live.ready();
    expect(apps()).toEqual(['diary', 'pages', 'shell']);
    desk.command({ command: 'focus-next' });
    live.desktop.close(first!.window);
    await poll(apps).toEqual(['pages', 'shell']);
  });

  it('the way out puts every window where it was and takes no key; again, and it goes on', async () => {
    const live = new Live();
    const first = live.desktop.open({ app: 'shell' });
    live.desktop.open({ app: 'notes' });
    const was = live.account.windows.map(({ rect }) => rect);
    await live.start();
    await live.ready();
    const tiled = rectOf(live, first);
    expect(tiled).not.toEqual(was[0]);
    live.agent!.desk.command({ command: 'go-workspace', which: 'B' });
    await live.ready();
    live.press('Ctrl+Alt+Shift+Escape');
    await poll(() => live.account.windows.map(({ rect }) => rect)).toEqual(was);
    expect(live.account.order).toHaveLength(2);
    await poll(() => live.account.listening).toEqual({ triggers: 1, whole: false });
    live.press('Meta+ArrowLeft');
    await poll(() => live.account.windows.flatMap(({ typed }) => typed)).toContain(
      'Meta+ArrowLeft',
    );
    live.press('Ctrl+Alt+Shift+Escape');
    await poll(() => live.account.listening.triggers).toBeGreaterThan(1);
    await live.ready();
    live.agent!.desk.command({ command: 'go-workspace', which: 'A' });
    await live.ready();
    expect(rectOf(live, first)).toEqual(tiled);
  });

  it('keeps everything in sight when a cable goes, and as it was when it comes again', async () => {
    const live = new Live();
    for (const app of ['shell', 'notes', 'post']) live.desktop.open({ app });
    await live.start();
    await live.ready();
    live.agent!.desk.command({ command: 'put-on-workspace', which: 'C', follow: true });
    await live.ready();
    const before = live.account;
    live.desktop.plug(THREE.slice(0, 1));
    await poll(() => live.agent!.desk.status().monitors.length).toBe(1);
    await live.ready();
    for (const { shown, rect } of live.account.windows.filter((each) => each.shown)) {
      expect(shown).toBe(true);
      expect(rect.x + rect.width).toBeLessThanOrEqual(3440);
    }
    live.desktop.plug(THREE);
    await poll(() => live.agent!.desk.status().monitors.length).toBe(3);
    await live.ready();
    expect(live.account).toEqual(before);
  });

  it('learns what windows make of their sizes, once for each app', async () => {
    const live = new Live();
    live.desktop.open({ app: 'shell', isSilent: true, min: { width: 1200, height: 300 } });
    live.desktop.open({ app: 'notes', isSilent: true, steps: { width: 9, height: 17 } });
    live.desktop.open({ app: 'map', isSilent: true, aspect: { width: 16, height: 9 } });
    live.desktop.open({ app: 'post' });
    await live.start();
    await poll(() => live.agent!.desk.isSettled).toBe(true);
    // The minimum, steps and aspect are known after some rounds: the engine and the desktop agree then.
    for (const command of [
      'lead-share-more',
      'lead-share-less',
      'next-layout',
      'previous-layout',
    ] as const) {
      live.agent!.desk.command({ command });
      await poll(() => live.agent!.desk.isSettled).toBe(true);
    }
    await live.ready();
    expect(live.findings()).toEqual([]);
  });

  it('does what other programs ask for, once, whatever was so before', async () => {
    const live = new Live();
    const first = live.desktop.open({ app: 'shell' });
    const second = live.desktop.open({ app: 'notes' });
    await live.start();
    await live.ready();
    const { desk } = live.agent!;
    const stateOf = (window: string) =>
      desk.sessionNow!.windows.find(({ id }) => id === `win:${window}`);
    live.desktop.request({ what: 'full-screen', window: first, on: true });
    live.desktop.request({ what: 'full-screen', window: first, on: true });
    await poll(() => stateOf(first)?.mode?.as).toBe('full-screen');
    await live.ready();
    expect(live.account.windows[0]!.state).toBe('full-screen');
    live.desktop.request({ what: 'full-screen', window: first, on: false });
    await poll(() => stateOf(first)?.mode).toBeUndefined();
    live.desktop.request({ what: 'above', window: second, on: true });
    await poll(() => stateOf(second)?.stayAbove).toBe(true);
    live.desktop.request({ what: 'minimise', window: second });
    await poll(() => stateOf(second)?.mode?.as).toBe('minimised');
    await live.ready();
    live.desktop.request({ what: 'go-workspace', workspace: 'B' });
    await poll(() => desk.status().monitors[0]?.workspace).toBe('B');
    await live.ready();
    expect(live.account.order).toEqual([]);
    live.desktop.request({ what: 'activate', window: first });
    await poll(() => live.account.focus).toBe(first);
    await live.ready();
    live.desktop.request({ what: 'close', window: first });
    await poll(() => live.account.windows.length).toBe(1);
    // What cannot be is not done, and nothing breaks.
    live.desktop.request({ what: 'activate', window: 'nobody' });
    live.desktop.request({ what: 'go-workspace', workspace: 'Z' });
    await live.ready();
  });

  it('moves the boundary that a pointer pulls, and tells a tiled window its place again', async () => {
    const live = new Live();
    const first = live.desktop.open({ app: 'shell' });
    const second = live.desktop.open({ app: 'notes' });
    await live.start();
    await live.ready();
    const [a, b] = [rectOf(live, first)!, rectOf(live, second)!];
    live.desktop.ask(first, { ...a, width: a.width + 120 }, 'pointer');
    await poll(() => rectOf(live, first)!.width).toBe(a.width + 120);
    await live.ready();
    expect(rectOf(live, second)).toEqual({ ...b, x: b.x + 120, width: b.width - 120 });
    live.desktop.ask(second, { x: 5, y: 5, width: 300, height: 300 });
    await new Promise((resolve) => setTimeout(resolve, 200));
    await live.ready();
  });
});

describe('apps that open at the start', () => {
  const withStart: Profile = {
    ...PROFILE,
    apps: PROFILE.apps.map((app) => ({ ...app, exec: app.id })),
    start: [{ app: 'notes', workspace: 'C' }, { app: 'post' }],
  };

  it('are launched once, but for those that are there', async () => {
    const live = new Live();
    live.desktop.open({ app: 'post', title: 'Inbox' });
    await live.start({ profile: withStart });
    await poll(() => live.account.windows.map(({ app }) => app).sort()).toEqual(['notes', 'post']);
    // Where it is said for the start.
    await poll(
      () => live.agent!.desk.sessionNow!.windows.find(({ app }) => app === 'notes')?.workspace,
    ).toBe('C');
    // Not again where only the agent is another one.
    live.desktop.close(live.account.windows.find(({ app }) => app === 'notes')!.window);
    await live.ready();
    process.kill(live.agent!.pid!, 'SIGKILL');
    await poll(() => live.agent!.pid).toBe(undefined);
    await live.ready();
    expect(live.account.windows.map(({ app }) => app)).toEqual(['post']);
    // Nor where the host is, while windows of before are there.
    await live.agent!.end();
    await live.start({ profile: withStart });
    await live.ready();
    await new Promise((resolve) => setTimeout(resolve, 300));
    expect(live.account.windows.map(({ app }) => app)).toEqual(['post']);
  });

  it('wait for a person, one after the other, where their lines were not confirmed', async () => {
    const live = new Live();
    await live.start({ profile: withStart, allowLaunch: false });
    await poll(() => live.agent!.desk.about().waitingLaunch).not.toBe(null);
    const first = live.agent!.desk.about().waitingLaunch!;
    live.agent!.desk.allowLine(first);
    const second = live.agent!.desk.about().waitingLaunch!;
    expect([first, second].sort()).toEqual(['notes', 'post']);
    live.agent!.desk.allowLine(second);
    await poll(() => live.account.windows.map(({ app }) => app).sort()).toEqual(['notes', 'post']);
    expect(live.agent!.desk.about().waitingLaunch).toBe(null);
    // A line that became another one is asked about anew, before it runs.
    const { desk } = live.agent!;
    const apps = withStart.apps.map((app) =>
      app.id === 'notes' ? { ...app, exec: 'notes --all' } : app,
    );
    desk.setProfile({ ...withStart, apps });
    desk.command({ command: 'open-app', app: 'notes' });
    await live.ready();
    expect(desk.about().waitingLaunch).toBe('notes --all');
    expect(live.account.windows).toHaveLength(2);
    desk.allowLine('notes --all');
    await poll(() => live.account.windows).toHaveLength(3);
    expect(desk.about().waitingLaunch).toBe(null);
  });
});
