import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { chromium, type Page } from 'playwright-core';
import { timingOf, timingText } from './measure.ts';

const SERVER = fileURLToPath(new URL('../../server/dist/main.js', import.meta.url));
const FRAME_US = 1e6 / 60;
const ROUNDS = 10;
const KEYS = ['Meta+ArrowRight', 'Meta+BracketRight', 'Meta+Shift+ArrowRight', 'Meta+BracketLeft'];

const RECORD_PAINTS = `
  window.paintTimes = [];
  addEventListener('keydown', ({ key, timeStamp }) => {
    if (key === 'Meta' || key === 'Shift') return;
    requestAnimationFrame(() => {
      const { port1, port2 } = new MessageChannel();
      port1.onmessage = () => paintTimes.push((performance.now() - timeStamp) * 1000);
      port2.postMessage(null);
    });
  }, { capture: true });
`;

/** Prints the time from a key press in Rehearse with 200 windows to the painted frame, beside a bare page's. */
export async function benchFrames(browserPath: string): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'sorn-bench-'));
  const server = spawn(process.execPath, [SERVER, '--data', join(folder, 'b.db'), '--port', '0'], {
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const url = await new Promise<string>((resolve, reject) => {
    server.stdout.on('data', (data) => {
      const found = /http:\/\/\S+/.exec(String(data));
      if (found) resolve(found[0]);
    });
    server.once('close', () => reject(new Error('the server did not start')));
  });
  const browser = await chromium.launch({
    executablePath: browserPath,
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  });
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    // Before the page's own listeners, which keep key presses to themselves.
    await page.addInitScript(RECORD_PAINTS);
    await page.goto('data:text/html,<p id=p>0</p>');
    await page.evaluate(`addEventListener('keydown', () => { p.textContent = Math.random() })`);
    const bare = await painted(page);
    await page.goto(`${url}/${await crowdedProfile(url)}/rehearse`);
    await page.locator('[data-window]').nth(199).waitFor({ state: 'attached' });
    await page.keyboard.press('Enter');
    const rehearse = await painted(page);
    const [own, peer] = [timingOf(rehearse), timingOf(bare)];
    process.stdout.write(
      '\nKey press → painted frame in Chromium, without a graphics processor\n' +
        `   Rehearse, 200 windows on 4 monitors     ${timingText(own)}: ${(own.median / FRAME_US).toFixed(1)} frames, at most ${(Math.max(...rehearse) / FRAME_US).toFixed(1)}\n` +
        `        a page with one line of text        ${timingText(peer)}   Rehearse takes ${(own.median / peer.median).toFixed(1)} × as long\n`,
    );
  } finally {
    await browser.close();
    server.kill();
    rmSync(folder, { recursive: true, force: true });
  }
}

/** A demo profile whose session has 50 windows on each of its four monitors. */
async function crowdedProfile(url: string): Promise<string> {
  const made = await fetch(`${url}/api/demo`, { method: 'POST' });
  const { id } = (await made.json()) as { id: string };
  const session = `${url}/api/profiles/${id}/session`;
  const etag = (await fetch(session)).headers.get('etag')!;
  const connected = ['wide', 'tall', 'lap', 'wall'];
  const windows = Array.from({ length: 200 }, (_, i) => ({
    id: `w${i}`,
    app: 'notes',
    monitor: connected[i % connected.length],
  }));
  const put = await fetch(session, {
    method: 'PUT',
    headers: { 'Content-Type': 'application/json', 'If-Match': etag },
    body: JSON.stringify({ windows, connected }),
  });
  if (!put.ok) throw new Error(await put.text());
  return id;
}

/** Times from key presses to the end of the frame that was painted after each, in microseconds. */
async function painted(page: Page): Promise<number[]> {
  for (let round = 0; round <= ROUNDS; round++) {
    for (const key of KEYS) {
      await page.keyboard.press(key);
      await page.waitForTimeout(150);
    }
    // The first round only warms up.
    if (round === 0) await page.evaluate('paintTimes.length = 0');
  }
  return page.evaluate<number[]>('paintTimes');
}
