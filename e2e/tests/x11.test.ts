import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import { join } from 'node:path';
import { createInterface } from 'node:readline';
import { fileURLToPath } from 'node:url';
import type { Browser } from 'playwright-core';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { launch, visit } from '../desk/browser.ts';
import { temporaryFolder } from '../desk/server.ts';
import { drawnWindows } from '../desk/sheet.ts';

const ROOT = fileURLToPath(new URL('../..', import.meta.url));
const folder = temporaryFolder();
let browser: Browser;
let demo: ChildProcess;
let url: string;
let display: string;

beforeAll(async () => {
  browser = await launch();
  const { DISPLAY: _own, ...env } = process.env;
  demo = spawn(
    process.execPath,
    [join(ROOT, 'scripts/demo-x11.mjs'), '--port', '0', '--data', join(folder.path, 'x11.db')],
    {
      stdio: ['ignore', 'pipe', 'pipe'],
      env: { ...env, SORN_CONTROL: join(folder.path, 'control', 'live.sock') },
    },
  );
  [url, display] = await Promise.all([
    said(demo.stdout!, /http:\/\/\S+/),
    said(demo.stderr!, /(?<=is display ):\d+/),
  ]);
});
afterAll(async () => {
  const isOver = new Promise((resolve) => demo.once('exit', resolve));
  demo.kill('SIGTERM');
  await isOver;
  await browser.close();
  folder.remove();
});

/** What a program says first that looks so. */
function said(stream: NodeJS.ReadableStream, pattern: RegExp): Promise<string> {
  return new Promise((resolve) => {
    createInterface({ input: stream }).on('line', (line) => {
      const found = pattern.exec(line)?.[0];
      if (found) resolve(found);
    });
  });
}

/** The outer box of the window of an app by the X server's own account, as the sheet writes figures. */
function boxOf(app: string): { at: string; size: string } {
  const list = execFileSync('xwininfo', ['-root', '-children'], {
    env: { ...process.env, DISPLAY: display },
    encoding: 'utf8',
  });
  const [, id] = new RegExp(`(0x[0-9a-f]+) .*\\("${app}" "${app}"\\)`).exec(list)!;
  const told = execFileSync('xwininfo', ['-id', id!], {
    env: { ...process.env, DISPLAY: display },
    encoding: 'utf8',
  });
  const figure = (name: string) => Number(new RegExp(`${name}: +(-?\\d+)`).exec(told)![1]);
  const border = figure('Border width');
  const [x, y] = [figure('Absolute upper-left X'), figure('Absolute upper-left Y')];
  return {
    at: `${x},${y}`,
    size: `${figure('Width') + 2 * border} × ${figure('Height') + 2 * border}`,
  };
}

/** How many windows of apps the display has. */
function shownThere(): number {
  const list = execFileSync('xwininfo', ['-root', '-children'], {
    env: { ...process.env, DISPLAY: display },
    encoding: 'utf8',
  });
  return [...list.matchAll(/\("([a-z]+)" "\1"\)/g)].length;
}

/** A person presses a chord at the keyboard of the display. */
async function press(...codes: string[]): Promise<void> {
  const stimulus = spawn(
    process.execPath,
    [join(ROOT, 'agents/x11/dist/main.js'), 'stimulus', '--display', display],
    { stdio: ['pipe', 'pipe', 'inherit'] },
  );
  const lines = createInterface({ input: stimulus.stdout });
  const steps = [
    ...codes.map((code) => ({ do: 'key', code, down: true })),
    ...[...codes].reverse().map((code) => ({ do: 'key', code, down: false })),
  ];
  for (const step of steps) {
    stimulus.stdin.write(`${JSON.stringify(step)}\n`);
    await new Promise((resolve) => lines.once('line', resolve));
  }
  stimulus.stdin.end();
}

it('the page shows real windows where they stand, and a real key moves both', async () => {
  const open = await visit(browser, `${url}/bulletin-desk/rehearse`);
  const { page } = open;
  await page.keyboard.press('Shift+L');
  await page.locator('[data-live-state=running]').waitFor();
  // Without hints of their own that leave room.
  const plain = ['pitreader', 'bulletin'];
  const drawn = async () => {
    const windows = await drawnWindows(page);
    return Object.fromEntries(
      windows
        .filter(({ app }) => plain.includes(app))
        .map(({ app, at, size }) => [app, { at, size }]),
    );
  };
  const real = () => Object.fromEntries(plain.map((app) => [app, boxOf(app)]));
  // Those that open at the start: launched by their command lines, one after the other.
  await expect.poll(() => shownThere(), { timeout: 40_000 }).toBe(6);
  // To their workspace, where the last one that came is not; then their lead is made larger, by keys of the demo's map.
  await press('MetaLeft', 'KeyB');
  await expect.poll(async () => Object.keys(await drawn()).length, { timeout: 20_000 }).toBe(2);
  await expect
    .poll(async () => JSON.stringify(await drawn()) === JSON.stringify(real()), { timeout: 20_000 })
    .toBe(true);
  const before = real();
  await press('MetaLeft', 'BracketRight');
  await expect.poll(() => real()['bulletin'], { timeout: 20_000 }).not.toEqual(before['bulletin']);
  await expect
    .poll(async () => [await drawn(), real()], { timeout: 20_000 })
    .toSatisfy(([page_, server]) => JSON.stringify(page_) === JSON.stringify(server));
  expect(open.said).toEqual([]);
  await open.context.close();
}, 120_000);
