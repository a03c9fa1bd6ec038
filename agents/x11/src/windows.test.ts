import { LAYOUT_KINDS } from '@sorn/core/values';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { XLive } from './testing/live.ts';
import { OddWindow } from './testing/server.ts';

let live: XLive;
beforeAll(async () => {
  live = await XLive.start();
});
afterAll(() => live.end());

/** Windows of the tests' own with hints of all sorts. */
const SIZES = [
  {},
  { min: [200, 120] as [number, number] },
  { increment: [7, 13] as [number, number], base: [4, 6] as [number, number] },
  { max: [900, 900] as [number, number] },
];

async function closeAll(): Promise<void> {
  for (const { id } of live.session.windows) live.server.x.KillClient(XLive.number(id));
  await live.ready(0);
}

describe('windows of real programs', () => {
  it('stand where the engine computes, on both monitors', async () => {
    const { server } = live;
    server.start('xterm', ['-T', 'one', '-e', 'sleep', '1000']);
    await live.ready(1);
    server.start('xclock');
    await live.ready(2);
    live.desk.command({ command: 'go-workspace', which: 'C' });
    server.start('xeyes');
    await live.ready(3);
    server.start('xmessage', ['-buttons', 'yes:0', 'A message that is shown']);
    await live.ready(4);
    const monitors = live.session.windows.map(({ monitor }) => monitor);
    expect(new Set(monitors)).toEqual(new Set(['left', 'right']));
    // xterm says the steps in which it grows, and keeps to them within its border.
    const xterm = live.session.windows.find(({ app }) => app === 'xterm')!;
    expect(xterm.increment!.width).toBeGreaterThan(1);
    const box = (await server.look()).find(({ window }) => window === XLive.number(xterm.id))!;
    expect((box.width - xterm.base!.width) % xterm.increment!.width).toBe(0);
    expect((box.height - xterm.base!.height) % xterm.increment!.height).toBe(0);
    await closeAll();
  });
});

describe('every layout', () => {
  it.each(LAYOUT_KINDS)(
    '%s stands to the pixel with 1 to 9 windows on two monitors',
    async (kind) => {
      for (const workspace of ['A', 'C']) {
        live.desk.command({ command: 'go-workspace', which: workspace });
        live.desk.command({ command: 'use-layout', layout: { kind } } as never);
        const before = live.session.windows.length;
        for (let count = 1; count <= 9; count++) {
          await OddWindow.open(live.server, { title: `${workspace}${count}`, ...SIZES[count % 4] });
          await live.ready(before + count);
        }
      }
      await closeAll();
    },
  );
});
