import type { Page } from 'playwright-core';
import { LARGE, largeProfile } from './large-profile.ts';
import { timingOf, timingText } from './measure.ts';
import { withPage } from './served-page.ts';

const FRAME_US = 1e6 / 60;
const ROUNDS = 10;
const DESK_KEYS = [
  'Meta+ArrowRight',
  'Meta+BracketRight',
  'Meta+Shift+ArrowRight',
  'Meta+BracketLeft',
];

/** The views, each with keys that change something in it. */
const VIEWS = [
  { digit: '1', name: 'Desk', keys: ['ArrowRight', 'ArrowLeft'] },
  { digit: '2', name: 'Tiling', keys: [']', 'ArrowRight', '[', 'ArrowLeft'] },
  { digit: '3', name: 'Zones', keys: ['ArrowRight', 'ArrowLeft'] },
  { digit: '4', name: 'Rules', keys: ['ArrowDown', 'Space', 'ArrowUp', 'Space'] },
  { digit: '5', name: 'Keys', keys: ['ArrowDown', 'ArrowDown', 'ArrowUp'] },
  { digit: '6', name: 'Rehearse', keys: DESK_KEYS },
  { digit: '7', name: 'Trials', keys: ['ArrowDown', 'ArrowUp'] },
  { digit: '8', name: 'Files', keys: ['ArrowDown', 'ArrowUp'] },
];

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

/** Prints the time from a key press to the painted frame, beside a bare page's: Rehearse full of windows, then each view with a large profile. */
export async function benchFrames(browserPath: string): Promise<void> {
  await withPage(browserPath, async (page, url) => {
    // Before the page's own listeners, which keep key presses to themselves.
    await page.addInitScript(RECORD_PAINTS);
    await page.goto('data:text/html,<p id=p>0</p>');
    await page.evaluate(`addEventListener('keydown', () => { p.textContent = Math.random() })`);
    const peer = timingOf(await painted(page, DESK_KEYS));
    process.stdout.write(
      '\nKey press → painted frame in Chromium, without a graphics processor\n' +
        `        a page with one line of text        ${timingText(peer)}\n`,
    );
    const print = (what: string, times: readonly number[], more = '') => {
      const { median } = timingOf(times);
      process.stdout.write(
        `   ${what.padEnd(40)} ${timingText(timingOf(times))}: ${(median / FRAME_US).toFixed(1)} frames, ${(median / peer.median).toFixed(1)} × as long${more}\n`,
      );
    };
    await page.goto(`${url}/${await crowdedProfile(url)}/rehearse`);
    await page.locator('[data-window]').nth(199).waitFor({ state: 'attached' });
    await page.keyboard.press('Enter');
    print('Rehearse, 200 windows on 4 monitors', await painted(page, DESK_KEYS));

    process.stdout.write(
      `Views with ${LARGE.rules} rules, ${LARGE.bindings} bindings, ${LARGE.boards} boards, ${LARGE.windows} windows; ready: from the digit to its first frame\n`,
    );
    const id = await largeProfile(url);
    for (const { digit, name, keys } of VIEWS) {
      await page.goto(`${url}/${id}/${digit === '1' ? 'zones' : 'desk'}`);
      await page.locator('[data-save-state=saved]').waitFor();
      // The views are fetched ahead meanwhile.
      await page.waitForTimeout(2_500);
      const before = Date.now();
      await page.keyboard.press(digit);
      await page.getByRole('main', { name }).waitFor();
      await page.evaluate('new Promise((done) => requestAnimationFrame(() => setTimeout(done)))');
      const readyMs = Date.now() - before;
      if (name === 'Rehearse') await page.keyboard.press('Enter');
      const elements = await page.evaluate<number>('document.querySelectorAll("*").length');
      print(
        `${name}, ${keys.join(' ')}`,
        await painted(page, keys),
        `; ready in ${readyMs} ms, ${elements} elements`,
      );
    }
  });
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
async function painted(page: Page, keys: readonly string[]): Promise<number[]> {
  for (let round = 0; round <= ROUNDS; round++) {
    for (const key of keys) {
      await page.keyboard.press(key);
      await page.waitForTimeout(150);
    }
    // The first round only warms up.
    if (round === 0) await page.evaluate('paintTimes.length = 0');
  }
  return page.evaluate<number[]>('paintTimes');
}
