import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { profileSchema, type Profile } from '@sorn/core/model';
import { describe, expect, it } from 'vitest';
import { Live, PROFILE, THREE } from './testing/live.ts';

const poll = (read: () => unknown) => expect.poll(read, { timeout: 15_000, interval: 10 });
const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/** A desk with three windows that stands as the engine says. */
async function standing(options: Parameters<Live['start']>[0] = {}): Promise<Live> {
  const live = new Live();
  for (const app of ['shell', 'notes', 'post']) live.desktop.open({ app });
  await live.start(options);
  await live.ready();
  return live;
}

/** An agent in a few lines that does what it is told here, beside the stand-in. */
function agentOf(live: Live, text: string): string[] {
  const file = join(live.folder, 'agent.mjs');
  writeFileSync(
    file,
    `const say = (m) => process.stdout.write(JSON.stringify(m) + '\\n');\n${text}`,
  );
  return [process.execPath, file];
}
const HELLO = `say({ type: 'hello', protocol: 1, agent: 'test', version: '1', can: [] });
say({ type: 'monitors', monitors: [{ name: 'DP-1', x: 0, y: 0, width: 3440, height: 1440 }] });
const rect = { x: 0, y: 0, width: 300, height: 200 };
const lines = [];
process.stdin.on('data', (d) => { for (const l of String(d).split('\\n')) if (l) lines.push(JSON.parse(l)); });
process.stdin.on('end', () => process.exit(0));
`;

describe('an agent that dies', () => {
  it('is started again, and everything is as it was; meanwhile nothing is hidden', async () => {
    const live = await standing();
    live.agent!.desk.command({ command: 'go-workspace', which: 'B' });
    await live.ready();
    const before = live.account;
    expect(before.order).toEqual([]);
    process.kill(live.agent!.pid!, 'SIGKILL');
    await poll(() => live.account.hasAgent).toBe(false);
    expect(live.account.windows.every(({ shown }) => shown)).toBe(true);
    // Told for as long as it is so, and so to whoever reads what happened.
    await poll(() => live.entries.map(({ what }) => what)).toContain(
      'the agent was ended by SIGKILL; it is started again',
    );
    await poll(() => live.account.hasAgent).toBe(true);
    await live.ready();
    expect(live.account).toEqual(before);
    expect(live.findings()).toEqual([]);
  });

  it('again and again is waited for longer and longer', async () => {
    const live = new Live();
    const at: number[] = [];
    await live.start({
      command: agentOf(live, `process.stderr.write('begun\\n');`),
      onLog: () => at.push(performance.now()),
    });
    await poll(() => at.length).toBe(4);
    const waits = at.slice(1).map((time, i) => time - at[i]!);
    // At least 0.1, 0.2 and 0.4 seconds: each wait doubles.
    for (const [i, least] of [100, 200, 400].entries()) expect(waits[i]).toBeGreaterThan(least);
  });

  it('that cannot be started at all is a finding', async () => {
    const live = new Live();
    await live.start({ command: ['/nowhere/agent'] });
    await poll(() => live.findings()).toEqual(['agent']);
  });
});

describe('an agent that hangs', () => {
  it('is asked, then started again', async () => {
    const live = await standing();
    const { pid } = live.agent!;
    process.kill(pid!, 'SIGSTOP');
    await poll(() => live.agent!.pid !== pid && live.account.hasAgent).toBe(true);
    await live.ready();
  });
});

describe('an agent that lies', () => {
  it('is told what could not be taken, and the rest of what it says counts', async () => {
    const live = new Live();
    await live.start({
      command: agentOf(
        live,
        `${HELLO}
say({ type: 'opened', window: 'a', rect });
say({ type: 'ready' });
say({ type: 'opened', window: 'a', rect });
say({ type: 'closed', window: 'never' });
say({ type: 'placed', window: 'a', rect: { ...rect, width: null }, round: 1 });
process.stdout.write('{"type":"asked","window":"a","rect":{"x":1e999,"y":0,"width":5,"height":5}}\\n');
process.stdout.write('{"type":"focused","window":7}\\n{"type":"sing"}\\nnonsense\\n');
say({ type: 'problem', about: 'x', message: 'y' });
say({ type: 'problem', about: 7 });
say({ type: 'opened', window: 'b', rect });
setTimeout(() => process.stderr.write(lines.filter((m) => m.type === 'problem').map((m) => m.about).sort().join(' ') + '\\n'), 400);
`,
      ),
    });
    await poll(() => live.log.at(-1)).toBe('asked closed focused line opened placed sing');
    expect(live.agent!.desk.sessionNow!.windows.map(({ id }) => id)).toEqual(['win:a', 'win:b']);
  });

  it('is never asked for what it said that it cannot', async () => {
    const live = new Live();
    await live.start({
      command: agentOf(
        live,
        `${HELLO}
say({ type: 'opened', window: 'a', app: 'shell', rect });
say({ type: 'ready' });
setTimeout(() => process.stderr.write([...new Set(lines.map((m) => m.type + (m.windows?.[0]?.border ?? '') + (m.windows?.[0]?.state ?? '')))].join(' ') + '\\n'), 600);
`,
      ),
    });
    await poll(() => live.agent!.desk.sessionNow?.windows.length).toBe(1);
    live.agent!.desk.command({ command: 'full-screen' });
    live.agent!.desk.command({ command: 'close' });
    live.agent!.desk.command({ command: 'switch-window' });
    await poll(() => live.log.at(-1)).toBe('welcome settings arrangenormal');
  });

  it('in another version is refused with the reason, and not started again', async () => {
    const live = new Live();
    live.desktop.open({ app: 'shell' });
    await live.start({ fault: 'speaks protocol 1' });
    await poll(() => live.over).toBe('the agent speaks protocol 2');
    expect(live.agent!.desk.status().findings).toEqual([
      { kind: 'agent', text: 'stand-in desktop speaks protocol 2; expected 1' },
    ]);
  });
});

describe('an agent that floods', () => {
  it('is read to its end, the newest counts, and a key does not wait', async () => {
    const live = new Live();
    await live.start({
      command: agentOf(
        live,
        `${HELLO}
say({ type: 'opened', window: 'a', app: 'shell', rect });
say({ type: 'ready' });
let n = 0;
const flood = () => {
  for (let i = 0; i < 2000; i++) {
    const title = 'Title ' + n++;
    process.stdout.write('{"type":"changed","window":"a","title":"' + title + '"}\\n');
    if (n === 50000) say({ type: 'key', n: 1, code: 'ArrowLeft', down: true, at: 1, modifiers: ['Meta'] });
  }
  if (n < 100000) setImmediate(flood); else say({ type: 'changed', window: 'a', title: 'last' });
};
setTimeout(flood, 100);
`,
      ),
    });
    const titleNow = () => live.agent!.desk.sessionNow?.windows[0]?.title;
    await poll(titleNow).toBe('last');
    // The key was taken while the flood was on: fewer titles than there were came before it.
    const at = live.entries.findIndex(({ what }) => what === 'focus-left');
    expect(at).toBeGreaterThan(0);
    expect(at).toBeLessThan(live.entries.length - 1);
    // Of a hundred thousand titles only some were taken one by one.
    expect(live.entries.length).toBeLessThan(50_000);
  });
});

describe('two hosts that want one desktop', () => {
  it('the second says so and lets go; the first goes on', async () => {
    const live = await standing();
    const first = live.agent!;
    await live.start();
    await poll(() => live.over).toBe('another agent has the desktop');
    expect(live.findings()).toEqual(['agent']);
    live.agent = first;
    live.press('Meta+ArrowLeft');
    await live.ready();
  });
});

describe('a host that is killed', () => {
  it('leaves no window hidden, and the next one adopts all as it was', async () => {
    const live = await standing();
    live.agent!.desk.command({ command: 'float' });
    live.agent!.desk.command({ command: 'put-on-workspace', which: 'B' });
    await live.ready();
    const before = live.account;
    expect(before.order).toHaveLength(2);
    // The host is gone without a word: its agent finds that nobody speaks any more.
    const killed = live.agent!;
    process.kill(killed.pid!, 'SIGSTOP');
    process.kill(killed.pid!, 'SIGKILL');
    await killed.end();
    await poll(() => live.account.hasAgent).toBe(false);
    expect(live.account.order).toHaveLength(3);
    await live.start();
    await live.ready();
    expect(live.account).toEqual(before);
  });

  it('adopts windows that go by other ids now by app, title and order; of others it asks the rules', async () => {
    const live = await standing();
    live.agent!.desk.command({ command: 'focus-left' });
    live.agent!.desk.command({ command: 'swap-with-lead' });
    await live.ready();
    const before = new Map(live.account.windows.map(({ app, rect }) => [app, rect]));
    await live.agent!.end();
    for (const { window } of live.account.windows) live.desktop.close(window);
    for (const app of ['post', 'shell', 'notes']) live.desktop.open({ app });
    await live.start();
    await live.ready();
    expect(new Map(live.account.windows.map(({ app, rect }) => [app, rect]))).toEqual(before);
  });
});

describe('a desktop that was started anew', () => {
  it('has other windows by the same ids: each is adopted by what it is', async () => {
    const before = await standing();
    before.press('Meta+ArrowLeft');
    before.agent!.desk.command({ command: 'float' });
    await before.ready();
    const floating = before.agent!.desk.sessionNow!.windows.find(
      ({ held }) => held === 'floating',
    )!;
    await before.agent!.end();
    const live = new Live();
    live.store = before.store;
    for (const app of ['map', floating.app!]) live.desktop.open({ app });
    await live.start();
    await live.ready();
    expect(
      live
        .agent!.desk.sessionNow!.windows.map(({ id, app, held }) => `${id} ${app} ${held}`)
        .sort(),
    ).toEqual(['win:w1 map tiled', `win:w2 ${floating.app} floating`]);
  });
});

describe('a profile that is edited while it runs', () => {
  it('applies at once', async () => {
    const live = await standing();
    const { tiling } = PROFILE;
    const next = profileSchema.parse({ ...PROFILE, tiling: { ...tiling, gaps: { outer: 100 } } });
    expect(live.agent!.desk.setProfile(next)).toBeNull();
    await live.ready();
    const least = Math.min(...live.account.windows.map(({ rect }) => rect.x));
    expect(least).toBe(100);
  });

  it('goes by what is otherwise on its machine, and a command leaves that as it is written', async () => {
    const edits: Profile[] = [];
    const written = (host: string) =>
      profileSchema.parse({
        ...PROFILE,
        machines: [{ host, main: 'Alt', monitors: [{ monitor: 'wide', scale: 2 }] }],
      });
    const live = await standing({ profile: written('here'), onEdit: (next) => edits.push(next) });
    const scaleOf = () =>
      live.agent!.desk.realProfile.monitors.find(({ id }) => id === 'wide')!.scale;
    expect([scaleOf(), live.agent!.desk.realProfile.keys.main]).toEqual([2, 'Alt']);
    live.agent!.desk.command({ command: 'rename-workspace', name: 'Post' });
    await live.ready();
    const [edit] = edits;
    expect(edit!.workspaces.filter(({ name }) => name === 'Post')).toHaveLength(1);
    expect({ ...edit, workspaces: PROFILE.workspaces }).toEqual(written('here'));
    expect(live.agent!.desk.setProfile(written('elsewhere'))).toBeNull();
    expect([scaleOf(), live.agent!.desk.realProfile.keys.main]).toEqual([
      PROFILE.monitors.find(({ id }) => id === 'wide')!.scale,
      PROFILE.keys.main,
    ]);
  });

  it('to one that no key pauses is not taken over, with the reason', async () => {
    const live = await standing();
    const next = profileSchema.parse({ ...PROFILE, keys: { from: 'none' } });
    expect(live.agent!.desk.setProfile(next)).toContain('no key pauses');
    expect(live.findings()).toEqual(['profile']);
    live.press('Meta+ArrowLeft');
    await live.ready();
    expect(live.account.windows.flatMap(({ typed }) => typed)).toEqual([]);
    expect(live.agent!.desk.setProfile(PROFILE)).toBeNull();
    expect(live.findings()).toEqual([]);
  });

  it('is asked about again after the host ended in the middle of the question', async () => {
    const live = await standing();
    const next = profileSchema.parse({ ...PROFILE, keys: { ...PROFILE.keys, main: 'Alt' } });
    live.agent!.desk.setProfile(next, true);
    expect(live.agent!.desk.about().question?.parts).toEqual(['keys']);
    await live.agent!.end();
    await live.start({ profile: next });
    await live.ready();
    expect(live.agent!.desk.about().question?.parts).toEqual(['keys']);
    live.agent!.desk.answerEdit(false);
    expect(live.agent!.desk.realProfile.keys.main).toBe(PROFILE.keys.main);
    await live.agent!.end();
    await live.start();
    expect(live.agent!.desk.about().question).toBeNull();
  });
});

describe('what is kept', () => {
  it('a disk that is full is a finding, and the desk goes on; once there is room it is kept', async () => {
    const live = new Live();
    live.desktop.open({ app: 'shell' });
    let isFull = true;
    const { store } = live;
    live.store = {
      read: () => store.read(),
      write: (record) => (isFull ? 'no space left on device' : store.write(record)),
    };
    await live.start();
    await live.ready();
    expect(live.findings()).toEqual(['cannot-keep']);
    live.desktop.open({ app: 'notes' });
    await poll(() => live.account.order.length).toBe(2);
    isFull = false;
    live.agent!.desk.command({ command: 'float' });
    await live.ready();
    expect(live.findings()).toEqual([]);
    expect(store.read()).toMatchObject({ session: { windows: [{}, { held: 'floating' }] } });
  });

  it('a record that cannot be read is kept aside, and the desk begins anew', () => {
    const live = new Live();
    const path = join(live.folder, 'record.json');
    writeFileSync(path, '{"session":7}');
    expect(live.store.read()).toContain('could not be read; it is kept as');
    expect(live.store.read()).toBeNull();
  });
});

describe('a window', () => {
  it('that refuses its place for ever is left alone, told of, and arranged again once it is elsewhere', async () => {
    const live = new Live();
    const stuck = live.desktop.open({ app: 'shell', isStuck: true });
    live.desktop.open({ app: 'notes' });
    await live.start();
    await poll(() => live.findings()).toEqual(['window-refuses']);
    expect(live.differences([stuck])).toEqual([]);
    live.desktop.close(stuck);
    await live.ready();
    expect(live.findings()).toEqual([]);
  });

  it('that never answers is asked once more, then left alone', async () => {
    const live = new Live();
    const deaf = live.desktop.open({ app: 'shell', isDeaf: true });
    live.desktop.open({ app: 'notes' });
    await live.start();
    await pause(1_200);
    expect(live.findings()).toEqual([]);
    await poll(() => live.findings()).toEqual(['window-refuses']);
    expect(live.differences([deaf])).toEqual([]);
  });

  it('that is larger than its tile, and said so, is no trouble but of the layout', async () => {
    const live = new Live();
    const wide = live.desktop.open({ app: 'shell', min: { width: 2_400, height: 300 } });
    live.desktop.open({ app: 'notes', min: { width: 2_400, height: 300 } });
    live.desktop.open({ app: 'post', min: { width: 2_400, height: 300 } });
    await live.start();
    await poll(() => live.agent!.desk.isSettled).toBe(true);
    expect(new Set(live.findings())).toEqual(new Set(['layout']));
    expect(live.account.windows.find(({ window }) => window === wide)?.rect.width).toBe(2_400);
  });

  it('that takes its time is waited for', async () => {
    const live = new Live();
    live.desktop.open({ app: 'shell', slowMs: 300 });
    live.desktop.open({ app: 'notes' });
    await live.start();
    await live.ready();
    expect(live.findings()).toEqual([]);
  });

  it('that fights is stopped, and its neighbours stand', async () => {
    const live = new Live();
    const stubborn = live.desktop.open({ app: 'shell', isStubborn: true });
    live.desktop.open({ app: 'notes' });
    await live.start();
    await poll(() => live.findings()).toContain('window-fights');
    await pause(200);
    const before = live.agent!.desk.roundNow;
    await pause(300);
    expect(live.agent!.desk.roundNow).toBe(before);
    expect(live.differences([stubborn])).toEqual([]);
  });

  it('that resizes itself once is put back into its tile', async () => {
    const live = new Live();
    live.desktop.open({ app: 'shell', resizesOnce: { width: 333, height: 222 } });
    live.desktop.open({ app: 'notes' });
    await live.start();
    await live.ready();
    await pause(100);
    await live.ready();
  });

  it('that dies, or opens a dialog, changes only what it must', async () => {
    const live = await standing();
    const parent = live.account.windows[0]!.window;
    live.desktop.open({ app: 'shell', kind: 'dialog', parent, title: 'Save?' });
    live.desktop.open({ app: 'map', diesMs: 150 });
    await poll(() => live.account.windows.length).toBe(5);
    await poll(() => live.account.windows.length).toBe(4);
    await live.ready();
  });
});

describe('keys', () => {
  it('that are down while the keyboard is lost are not down after it', async () => {
    const live = await standing();
    live.desktop.key('MetaLeft', true);
    live.desktop.key('Tab', true);
    await poll(() => live.agent!.desk.sessionNow!.interaction?.kind).toBe('switching');
    // The answer is there before the keyboard goes.
    await pause(50);
    live.desktop.loseKeyboard();
    await poll(() => live.account.listening.whole).toBe(false);
    live.press('KeyX');
    await poll(() => live.account.windows.flatMap(({ typed }) => typed)).toEqual(['KeyX']);
    await live.ready();
  });

  it('of a layer are taken, what it does not bind is given back in order', async () => {
    const keys = {
      ...PROFILE.keys,
      layers: [{ id: 'go', lasts: 'kept' }],
      bindings: [
        { keys: 'Main+F5', command: { command: 'enter-layer', layer: 'go' } },
        { keys: 'KeyH', command: { command: 'even-out' }, in: 'go' },
        { keys: 'tap CapsLock', command: { command: 'float' } },
        { keys: 'hold F9', command: { command: 'everywhere' } },
        { keys: 'hold Space', command: { command: 'enter-layer', layer: 'go' } },
      ],
    };
    const live = await standing({ profile: profileSchema.parse({ ...PROFILE, keys }) });
    const typed = () => live.account.windows.flatMap((window) => window.typed);
    live.press('Meta+F5');
    await poll(() => live.account.listening.whole).toBe(true);
    live.press('KeyA KeyH KeyB Escape');
    await poll(() => live.account.listening.whole).toBe(false);
    await live.ready();
    expect(typed()).toEqual(['KeyA', 'KeyB']);
    // Space is tapped, with keys right after it: nothing is lost, nothing comes in another order.
    live.press('Space KeyC');
    await poll(typed).toEqual(['KeyA', 'KeyB', 'Space', 'KeyC']);
    // Time alone decides that it is held.
    live.desktop.key('F9', true);
    await poll(() =>
      live.agent!.desk.sessionNow!.windows.some(({ everywhere }) => everywhere === true),
    ).toBe(true);
    await live.ready();
    live.desktop.key('F9', false);
    live.press('CapsLock');
    await poll(() =>
      live.agent!.desk.sessionNow!.windows.some(({ held }) => held === 'floating'),
    ).toBe(true);
    await live.ready();
  });
});

describe('a monitor that goes during a round', () => {
  it('leaves every window in sight on what is left', async () => {
    const live = new Live();
    for (const app of ['shell', 'notes', 'post', 'map']) live.desktop.open({ app, slowMs: 150 });
    await live.start();
    await poll(() => (live.agent!.desk.sessionNow?.windows.length ?? 0) === 4).toBe(true);
    live.agent!.desk.command({ command: 'put-on-workspace', which: 'E', follow: true });
    live.desktop.plug(THREE.slice(0, 2));
    await poll(() => live.agent!.desk.status().monitors.length).toBe(2);
    await live.ready();
    live.desktop.plug([]);
    await pause(100);
    live.desktop.plug(THREE);
    await poll(() => live.agent!.desk.status().monitors.length).toBe(3);
    await live.ready();
  });
});
