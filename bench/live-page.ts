import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { Desktop, seeded, serveDesktop } from '@sorn/desk-stand-in';
import { chromium, type Browser, type Page } from 'playwright-core';

const path = (file: string) => fileURLToPath(new URL(file, import.meta.url));
const SERVER = path('../../server/dist/main.js');
const AGENT = path('../../agents/desk-stand-in/dist/main.js');
const EVENTS = 200;
const WARM_UP = 40;
const PROFILE = {
  name: 'Bench',
  monitors: [
    { id: 'one', name: 'one', width: 3440, height: 1440 },
    { id: 'two', name: 'two', x: 3440, width: 2560, height: 1440 },
  ],
  apps: [{ id: 'shell', name: 'Shell' }],
  tiling: { layout: { kind: 'grid' } },
};

/** When a window had the focus in the page and that was painted, in milliseconds since 1970, by window. */
const PAINTS = `
  window.paints = [];
  window.painted = (id) => requestAnimationFrame(() => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => paints.push([id, performance.timeOrigin + performance.now()]);
    port2.postMessage(null);
  });
`;
const IN_THE_PAGE = `
  new MutationObserver((changes) => {
    for (const { target } of changes)
      if (target.getAttribute('data-focused') === 'true') painted(target.getAttribute('data-window'));
  }).observe(document, { subtree: true, attributes: true, attributeFilter: ['data-focused'] });
`;
/** A page with a line of text for each window, that makes the one with the focus bold. */
const bare = (id: string) => `<!doctype html><title>Bare</title><body><script>${PAINTS}
  const lines = new Map();
  let focus;
  new EventSource('/api/profiles/${id}/changes').addEventListener('live', ({ data }) => {
    const { session } = JSON.parse(data);
    if (!session) return;
    for (const { id, title } of session.windows ?? []) {
      const line = lines.get(id) ?? document.body.appendChild(document.createElement('p'));
      line.textContent = title;
      lines.set(id, line);
    }
    const next = session.fields?.focus;
    if (!next) return;
    if (focus) lines.get(focus).style.fontWeight = '';
    lines.get(next).style.fontWeight = 'bold';
    focus = next;
    painted(next);
  });
</script>`;

/** From what happens on a real desktop to the painted frame of the page that shows it, beside a bare page. */
export async function benchLivePage(browserPath: string): Promise<void> {
  process.stdout.write('\nLive desk in the page: an agent’s event until the frame is painted\n');
  const browser = await chromium.launch({
    executablePath: browserPath,
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  });
  for (const windows of [30, 200]) await measure(browser, windows);
  await browser.close();
}

async function measure(browser: Browser, windows: number): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'sorn-bench-live-'));
  const socket = join(folder, 'desk.sock');
  const at = (name: string, x: number, width: number) =>
    ({ name, x, y: 0, width, height: 1440, scale: 1, turn: 0, primary: x === 0 }) as const;
  const desktop = new Desktop([at('one', 0, 3440), at('two', 3440, 2560)]);
  const served = await serveDesktop(desktop, socket, seeded(1));
  for (let i = 0; i < windows; i++) desktop.open({ app: 'shell', title: `Sheet ${i}` });
  const data = join(folder, 'b.db');
  const first = await started(['--data', data]);
  const made = await fetch(`${first.url}/api/profiles`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ profile: PROFILE }),
  });
  const { id } = (await made.json()) as { id: string };
  await first.stop();
  const agent = `"${process.execPath}" "${AGENT}" agent --socket "${socket}"`;
  const server = await started(['--data', data, '--agent', agent], {
    SORN_CONTROL: join(folder, 'control', 'live'),
  });

  const context = await browser.newContext({
    viewport: { width: 1280, height: 800 },
    bypassCSP: true,
  });
  await context.addInitScript(`localStorage.setItem('sorn.live.${id}', 'yes')`);
  const page = await context.newPage();
  await page.addInitScript(PAINTS + IN_THE_PAGE);
  await page.goto(`${server.url}/${id}/rehearse`);
  await page.locator('[data-live-state=running]').waitFor();
  await page.locator(`[data-window="win:w${windows}"]`).waitFor();
  const own = await times(page, desktop);
  await page.close();

  const plain = await context.newPage();
  await plain.route('**/bare', (route) =>
    route.fulfill({ contentType: 'text/html', body: bare(id) }),
  );
  await plain.goto(`${server.url}/bare`);
  await plain.waitForFunction('lines.size > 0');
  const bareTimes = await times(plain, desktop);
  await context.close();

  const line = (name: string, all: readonly number[]) =>
    `  ${name.padEnd(12)} median ${rank(all, 0.5).toFixed(1)} ms, 99th percentile ${rank(all, 0.99).toFixed(1)} ms\n`;
  process.stdout.write(
    `${windows} windows\n${line('the page', own)}${line('a bare page', bareTimes)}` +
      `  ${(rank(own, 0.5) / rank(bareTimes, 0.5)).toFixed(1)} × as long\n`,
  );
  await server.stop();
  desktop.end();
  served.close();
  rmSync(folder, { recursive: true, force: true });
}

/** Milliseconds from when a window is chosen on the desktop until that is painted, of each of many. */
async function times(page: Page, desktop: Desktop): Promise<number[]> {
  const { windows } = desktop.look();
  const began: [string, number][] = [];
  for (let i = 0; i < EVENTS; i++) {
    const { window } = windows[i % Math.min(windows.length, 25)]!;
    began.push([`win:${window}`, performance.timeOrigin + performance.now()]);
    desktop.point(window);
    // Not in step with the frames.
    await new Promise((resolve) => setTimeout(resolve, 45 + (i % 7) * 3));
  }
  const paints = (await page.evaluate('paints')) as [string, number][];
  const found: number[] = [];
  for (const [window, from] of began.slice(WARM_UP)) {
    const paint = paints.find(([id, when]) => id === window && when > from);
    if (paint) found.push(paint[1] - from);
  }
  return found;
}

/** Nearest rank. */
function rank(all: readonly number[], share: number): number {
  const sorted = [...all].sort((a, b) => a - b);
  return sorted[Math.max(0, Math.ceil(share * sorted.length) - 1)]!;
}

function started(
  args: readonly string[],
  env: NodeJS.ProcessEnv = {},
): Promise<{ url: string; stop: () => Promise<void> }> {
  const server: ChildProcess = spawn(process.execPath, [SERVER, '--port', '0', ...args], {
    stdio: ['ignore', 'pipe', 'inherit'],
    env: { ...process.env, ...env },
  });
  const ended = new Promise<void>((resolve) => server.once('close', () => resolve()));
  const stop = () => {
    server.kill('SIGTERM');
    return ended;
  };
  return new Promise((resolve, reject) => {
    server.stdout!.on('data', (data) => {
      const found = /http:\/\/\S+/.exec(String(data));
      if (found) resolve({ url: found[0], stop });
    });
    server.once('close', () => reject(new Error('the server did not start')));
  });
}
