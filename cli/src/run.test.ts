import { renameSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { afterEach, describe, expect, it } from 'vitest';
import { accountText, LIVE_PROFILE, LiveRun, standing } from './testing/live-run.ts';

const poll = (read: () => unknown) => expect.poll(read, { timeout: 20_000, interval: 20 });
let live: LiveRun;
afterEach(() => live.end());

/** A run on a desk with three windows. */
async function begun(...more: string[]): Promise<void> {
  live = new LiveRun();
  for (const app of ['shell', 'notes', 'post']) live.desktop.open({ app });
  await live.start(...more);
}
/** Whether the desktop stands as the session says that is kept. */
const asKept = () =>
  poll(() => live.kept !== null && accountText(live.account) === standing(live.kept));
const leftmost = () => Math.min(...live.account.windows.map(({ rect }) => rect.x));

describe('sorn run', () => {
  it('arranges by a file, prints rounds and reasons, and takes commands and watchers in', async () => {
    await begun('--text');
    await asKept().toBe(true);
    const watcher = live.sorn('watch');
    let seen = '';
    watcher.stdout!.on('data', (text: Buffer) => (seen += text.toString()));
    await poll(() => seen).toContain('"state":"running"');
    const { code, out } = await live.ran('do', 'focus-left');
    expect(code).toBe(0);
    expect(JSON.parse(out)).toMatchObject([{ because: expect.stringContaining('left') as string }]);
    const gone = await live.ran('do', '{command: go-workspace, which: B}');
    expect(gone.code).toBe(0);
    await poll(() => live.account.order).toEqual([]);
    const lines = () =>
      seen
        .trim()
        .split('\n')
        .map((line) => JSON.parse(line) as { monitors: { workspace: string }[] });
    await poll(() => lines().at(-1)?.monitors[0]?.workspace).toBe('B');
    expect(live.said).toMatch(/round \d+: go-workspace B\n {2}B: workspace B shown/);
    // Nobody else can reach it.
    expect(statSync(live.control).mode & 0o777).toBe(0o600);
    for (const [wrong, says] of [
      ['focus-lft', 'the nearest is focus-left'],
      ['{command: go-workspace}', 'which'],
      ['[', 'expected a command'],
    ] as const) {
      const refused = await live.ran('do', wrong);
      expect(refused.code).toBe(2);
      expect(refused.out).toContain(says);
    }
    watcher.kill();
  });

  it('applies edits of the file at once; nonsense, and a file that is gone, change nothing', async () => {
    await begun('--text');
    await poll(leftmost).toBe(6);
    const withOuter = (outer: number) =>
      JSON.stringify({ ...LIVE_PROFILE, tiling: { ...LIVE_PROFILE.tiling, gaps: { outer } } });
    writeFileSync(live.file, withOuter(50));
    await poll(leftmost).toBe(50);
    writeFileSync(live.file, withOuter(70).replace('"tiling"', '"tilng"'));
    await poll(() => live.said).toContain('the profile is not taken over');
    expect(live.said).toContain('the nearest is tiling');
    expect(leftmost()).toBe(50);
    // Replaced as a whole, as editors do.
    writeFileSync(`${live.file}.new`, withOuter(90));
    renameSync(`${live.file}.new`, live.file);
    await poll(leftmost).toBe(90);
    rmSync(live.file);
    await poll(() => live.said).toContain('no such file');
    expect(leftmost()).toBe(90);
    expect((await live.ran('do', 'focus-left')).code).toBe(0);
    writeFileSync(live.file, withOuter(30));
    await poll(leftmost).toBe(30);
  });

  it('is one on a machine: a second says so; without any, commands say how one is begun', async () => {
    live = new LiveRun();
    const none = await live.ran('do', 'focus-left');
    expect(none).toMatchObject({
      code: 2,
      out: expect.stringContaining('no desk is live') as string,
    });
    live.desktop.open({ app: 'shell' });
    await live.start();
    await asKept().toBe(true);
    const second = await live.ran('run', live.file, '--agent', 'stand-in');
    expect(second.code).toBe(2);
    expect(second.out).toContain('another desk is live');
    expect(live.account.hasAgent).toBe(true);
    const wrong = await live.ran('run', live.file, '--agent', '"half');
    expect(wrong.out).toContain('expected stand-in or x11, or a command line');
  });

  it('ends in order: nothing is hidden, and it is as it was when it is begun again', async () => {
    await begun();
    await asKept().toBe(true);
    await live.ran('do', '{command: put-on-workspace, which: B}');
    await asKept().toBe(true);
    const before = accountText(live.account);
    const over = new Promise((resolve) => live.host!.once('close', resolve));
    live.host!.kill('SIGTERM');
    expect(await over).toBe(0);
    expect(live.account.order).toHaveLength(3);
    await live.start();
    await poll(() => accountText(live.account)).toBe(before);
  });
});
