import type { Page } from 'playwright-core';
import { withPage } from './served-page.ts';

const ROUNDS = 8;
const TRIALS = 20;

/** Thirty steps on the demo's desk: windows open, are focused, exchanged and moved. */
const STEPS = Array.from({ length: 30 }, (_, i) =>
  [
    { command: 'open-app', app: 'notes' },
    { command: 'focus-left' },
    { command: 'swap-with-lead' },
    { command: 'go-workspace', which: 'B' },
    { command: 'lead-share-more' },
    { command: 'float' },
  ].at(i % 6)!,
);

/** In the page: the time from the key to the last result of the trials that are watched, and the longest frame until then. */
const WATCH = `
  window.watched = new Promise((done) => {
    let begun = 0, longest = 0, last = 0, seenEmpty = false;
    addEventListener('keydown', ({ timeStamp }) => {
      begun = last = timeStamp;
      const frame = (now) => {
        longest = Math.max(longest, now - last);
        last = now;
        const rows = [...document.querySelectorAll('[data-trial^="watch-"]')];
        const tries = rows.map((row) => Number(row.getAttribute('data-tries')));
        seenEmpty ||= tries.every((count) => count === 0);
        if (seenEmpty && tries.every((count) => count > 0)) done({ ms: now - begun, longest });
        else requestAnimationFrame(frame);
      };
      requestAnimationFrame(frame);
    }, { capture: true, once: true });
  });
  undefined;
`;

/** Prints how long after an edit 20 trials of 30 steps are tried anew, and the longest frame meanwhile. */
export async function benchTrialWatch(browserPath: string): Promise<void> {
  await withPage(browserPath, async (page, url) => {
    await page.goto(`${url}/${await watchedProfile(url)}/trials`);
    await page.locator(`[data-trial="watch-${TRIALS - 1}"][data-tries="1"]`).waitFor();
    await page.waitForTimeout(2_000);
    // The last of one's own is switched on and off: each is an edit, after which all others are tried.
    for (let i = 0; i < TRIALS; i++) await page.keyboard.press('ArrowDown');
    await timed(page);
    const times: { ms: number; longest: number }[] = [];
    for (let round = 0; round < ROUNDS; round++) times.push(await timed(page));
    const sorted = (of: 'ms' | 'longest') => times.map((time) => time[of]).sort((a, b) => a - b);
    const [ms, longest] = [sorted('ms'), sorted('longest')];
    process.stdout.write(
      `\nStanding watch, ${TRIALS} trials of ${STEPS.length} steps after an edit: ` +
        `${Math.round(ms[0]!)} to ${Math.round(ms.at(-1)!)} ms, median ${Math.round(ms[ROUNDS / 2]!)}; ` +
        `longest frame meanwhile ${Math.round(longest[0]!)} to ${Math.round(longest.at(-1)!)} ms, median ${Math.round(longest[ROUNDS / 2]!)}\n`,
    );
  });
}

async function timed(page: Page): Promise<{ ms: number; longest: number }> {
  await page.evaluate(WATCH);
  await page.keyboard.press('e');
  const time = await page.evaluate<{ ms: number; longest: number }>('watched');
  await page.waitForTimeout(1_500);
  return time;
}

/** A demo profile with trials that are watched, and one that is switched. */
async function watchedProfile(url: string): Promise<string> {
  const made = await fetch(`${url}/api/demo`, { method: 'POST' });
  const { id } = (await made.json()) as { id: string };
  const at = `${url}/api/profiles/${id}`;
  const response = await fetch(at);
  const { profile } = (await response.json()) as { profile: object };
  const expect = { expect: { every: 'in-reach' } };
  const trials = [
    ...Array.from({ length: TRIALS }, (_, i) => ({
      id: `watch-${i}`,
      session: { desk: 'office' },
      steps: [...STEPS, expect],
    })),
    { id: 'switched', steps: [expect] },
  ];
  const put = await fetch(at, {
    method: 'PUT',
    headers: { 'Content-Type': 'application/json', 'If-Match': response.headers.get('etag')! },
    body: JSON.stringify({ profile: { ...profile, trials } }),
  });
  if (!put.ok) throw new Error(await put.text());
  return id;
}
