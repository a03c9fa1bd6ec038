import { execFileSync } from 'node:child_process';
import type { Profile } from '@sorn/core/model';
import type { Page } from 'playwright-core';
import { afterEach, beforeEach, expect, it } from 'vitest';
import { visit, type Visit } from '../desk/browser.ts';
import { liveFixture, OFFICE } from '../desk/live.ts';
import { faultsOf, otherColours } from '../desk/screens.ts';
import { drawnWindows, saved, toView } from '../desk/sheet.ts';

const running = liveFixture();
const poll = (read: () => unknown) => expect.poll(read, { timeout: 30_000, interval: 20 });
let open: Visit;
let page: Page;

const visited = () => visit(running.browser, `${running.server.url}/bulletin-desk/rehearse`);
const isShown = (on: Page, desk: 'live' | 'simulated') =>
  on.locator(`[data-desk-shown=${desk}]`).waitFor();
const isWell = (on: Page) => on.locator('[data-live-state=running]').waitFor();

beforeEach(async () => {
  open = await visited();
  page = open.page;
  await saved(page);
  await page.keyboard.press('Shift+L');
  await isShown(page, 'live');
  await isWell(page);
});
afterEach(async () => {
  expect(open.said).toEqual([]);
  await open.context.close();
});

/** By window: where it is by the desktop's own account, while it is shown. */
const standing = () =>
  Object.fromEntries(
    running.desktop
      .look()
      .windows.filter(({ shown }) => shown)
      .map(({ window, rect }) => [
        `win:${window}`,
        `${rect.x},${rect.y} ${rect.width} × ${rect.height}`,
      ]),
  );
/** By window: where the page draws it. */
const drawn = (on: Page) =>
  on
    .locator('svg [data-window]')
    .evaluateAll((groups) =>
      Object.fromEntries(
        groups.map((group) => [
          group.getAttribute('data-window'),
          `${group.getAttribute('data-at')} ${group.getAttribute('data-size')}`,
        ]),
      ),
    );
/** Both at the same moment: the page is a moment behind. */
const agrees = async (on: Page) => {
  await poll(async () =>
    isSame(await drawn(on), standing()) ? null : [await drawn(on), standing()],
  ).toBe(null);
};
const isSame = (a: object, b: object) =>
  JSON.stringify(Object.entries(a).sort()) === JSON.stringify(Object.entries(b).sort());

const rectOf = (app: string) =>
  running.desktop.look().windows.find((window) => window.app === app)!.rect;
const profileNow = async () => {
  const kept = await fetch(`${running.server.url}/api/profiles/bulletin-desk`);
  return ((await kept.json()) as { profile: Profile }).profile;
};
/** The profile edited by somebody else. */
async function edited(change: (profile: Profile) => object) {
  const at = `${running.server.url}/api/profiles/bulletin-desk`;
  const { profile, revision } = (await (await fetch(at)).json()) as {
    profile: Profile;
    revision: number;
  };
  const saving = await fetch(at, {
    method: 'PUT',
    headers: { 'content-type': 'application/json', 'if-match': `"${revision}"` },
    body: JSON.stringify({ profile: change(profile) }),
  });
  expect(saving.status).toBe(200);
}
/** Gives a command through find-anything. */
async function command(on: Page, text: string) {
  await on.keyboard.press('Control+k');
  await on.getByRole('dialog').waitFor();
  await on.keyboard.type(text);
  await on.keyboard.press('Enter');
}

it('draws the windows of the real desktop where it has them, and moves them by command', async () => {
  expect(Object.keys(await drawn(page))).toHaveLength(6);
  await agrees(page);
  const before = rectOf('pitreader').width;
  await page.locator('[data-window="win:w1"]').click();
  await poll(() => running.desktop.look().focus).toBe('w1');
  await command(page, 'grow right');
  await poll(() => rectOf('pitreader').width).toBeGreaterThan(before);
  await agrees(page);
  // What came of it, and why, is in the log; it is undone there.
  await page.getByRole('list', { name: 'Log' }).getByText('grow-right').first().waitFor();
  await page.keyboard.press('Control+z');
  await poll(() => rectOf('pitreader').width).toBe(before);
  expect(await faultsOf(page)).toEqual([]);
});

it('moves real windows while a figure is typed, and takes it back by Escape', async () => {
  await toView(page, '2', 'Tiling');
  const { width } = rectOf('pitreader');
  // 3440 less outer gaps of 6 and one inner gap are shared at 0.58.
  const leadAt = (gap: number) => Math.round((3440 - 12 - gap) * 0.58);
  expect(width).toBe(leadAt(10));
  await page.keyboard.press('g');
  await page.keyboard.type('48');
  await poll(() => rectOf('pitreader').width).toBe(leadAt(48));
  expect((await profileNow()).tiling.gaps?.inner).not.toBe(48);
  await page.keyboard.press('Escape');
  await poll(() => rectOf('pitreader').width).toBe(width);
  await page.keyboard.press('g');
  await page.keyboard.type('30');
  await page.keyboard.press('Enter');
  await saved(page);
  await poll(() => rectOf('pitreader').width).toBe(leadAt(30));
  // The gap itself, between two windows as the desktop has them.
  const [left, right] = [rectOf('pitreader'), rectOf('bulletin')];
  expect(right.x - left.x - left.width).toBe(30);
  await agrees(page);
  await page.keyboard.press('Control+z');
  await saved(page);
  await poll(() => rectOf('pitreader').width).toBe(width);
});

it('keeps the windows of a monitor that goes, and returns them with it', async () => {
  const before = standing();
  running.desktop.plug(OFFICE.slice(0, 1));
  await poll(() => page.locator('svg [data-monitor]').count()).toBe(1);
  await poll(() => rectOf('post').x + rectOf('post').width).toBeLessThanOrEqual(3440);
  await agrees(page);
  running.desktop.plug(OFFICE);
  await poll(() => isSame(standing(), before)).toBe(true);
  await agrees(page);
});

it('takes an edit of keys back that nobody keeps, and that alone', async () => {
  const before = (await profileNow()).keys;
  await toView(page, '5', 'Keys');
  await page.locator('[data-sentence]').waitFor();
  await page.keyboard.press('Delete');
  await saved(page);
  expect((await profileNow()).keys).not.toEqual(before);
  await page.locator('[data-live-asks=keep]').waitFor();
  await page.locator('[data-seconds-left]').waitFor();
  // What is edited meanwhile stays.
  await toView(page, '2', 'Tiling');
  await page.keyboard.press('g');
  await page.keyboard.type('14');
  await page.keyboard.press('Enter');
  await saved(page);
  await page.locator('[data-live-asks=keep]').waitFor({ state: 'detached', timeout: 30_000 });
  await poll(async () => (await profileNow()).keys).toEqual(before);
  expect(rectOf('pitreader').width).toBe(Math.round((3440 - 12 - 14) * 0.58));

  // Kept, it stays.
  await toView(page, '5', 'Keys');
  await page.locator('[data-sentence]').waitFor();
  await page.keyboard.press('Delete');
  await page.locator('[data-live-asks=keep]').waitFor();
  await page.keyboard.press('Control+Enter');
  await page.locator('[data-live-asks=keep]').waitFor({ state: 'detached' });
  await saved(page);
  const kept = (await profileNow()).keys;
  expect(kept).not.toEqual(before);
  // Undone by hand, nothing is asked.
  await page.keyboard.press('Control+z');
  await page.locator('[data-live-asks=keep]').waitFor();
  await page.keyboard.press('Control+Backspace');
  await poll(async () => (await profileNow()).keys).toEqual(kept);
});

it('says that the agent is gone, and that it is back', async () => {
  const before = standing();
  execFileSync('pkill', ['-9', '-f', `agent --socket ${running.socket}`]);
  await page.locator('[data-live-state=waiting]').waitFor();
  await isWell(page);
  await poll(() => isSame(standing(), before)).toBe(true);
  await agrees(page);
});

it('rehearses the live desk: what is tried does no harm, and is applied or taken back', async () => {
  const before = standing();
  const inner = (await profileNow()).tiling.gaps?.inner;
  await page.keyboard.press('Shift+R');
  await isShown(page, 'simulated');
  await poll(async () => (await drawnWindows(page)).length).toBe(6);
  await toView(page, '2', 'Tiling');
  await page.keyboard.press('g');
  await page.keyboard.type('70');
  await page.keyboard.press('Enter');
  await saved(page);
  const tried = Math.round((3440 - 12 - 70) * 0.58);
  await poll(async () => (await drawn(page))['win:w1']).toContain(`${tried} × `);
  await command(page, 'swap');
  await page.keyboard.press('Escape');
  expect(standing()).toEqual(before);

  await page.keyboard.press('Shift+L');
  await isShown(page, 'live');
  await page.locator('[data-live-asks=held]').waitFor();
  expect(standing()).toEqual(before);
  await page.keyboard.press('Control+Backspace');
  await page.locator('[data-live-asks=held]').waitFor({ state: 'detached' });
  await poll(async () => (await profileNow()).tiling.gaps?.inner).toBe(inner);
  expect(standing()).toEqual(before);
  await agrees(page);

  // Tried again, and applied this time.
  await toView(page, '6', 'Rehearse');
  await page.keyboard.press('Shift+R');
  await isShown(page, 'simulated');
  await toView(page, '2', 'Tiling');
  await page.keyboard.press('g');
  await page.keyboard.type('70');
  await page.keyboard.press('Enter');
  // At once, before it is saved: it is asked all the same.
  await page.keyboard.press('Shift+L');
  await page.locator('[data-live-asks=held]').waitFor();
  expect(standing()).toEqual(before);
  await page.keyboard.press('Control+Enter');
  await poll(() => rectOf('pitreader').width).toBe(tried);
  await page.keyboard.press('Control+z');
  await saved(page);
  await poll(() => isSame(standing(), before)).toBe(true);
});

it('two pages on one live desk agree', async () => {
  const other = await visited();
  await saved(other.page);
  await other.page.keyboard.press('Shift+L');
  await isShown(other.page, 'live');
  const { x } = rectOf('stations');
  await other.page.locator('[data-window="win:w3"]').click();
  await poll(() => running.desktop.look().focus).toBe('w3');
  await command(other.page, 'swap with lead');
  await poll(() => rectOf('stations').x).toBeLessThan(x);
  await agrees(page);
  await agrees(other.page);
  expect(await drawn(page)).toEqual(await drawn(other.page));
  await page.keyboard.press('Control+z');
  await poll(() => rectOf('stations').x).toBe(x);
  await agrees(other.page);
  expect(other.said).toEqual([]);
  await other.context.close();
});

it('launches an app once its command line is confirmed, and offers one that is not in the profile', async () => {
  running.desktop.open({ app: 'Strange', title: 'No one knows it' });
  await page.locator('[data-unknown-app=Strange]').waitFor();
  await page.keyboard.press('Shift+U');
  await saved(page);
  await poll(async () => (await profileNow()).apps.at(-1)?.match).toEqual([{ class: 'Strange' }]);
  await page.locator('[data-unknown-app=Strange]').waitFor({ state: 'detached' });
  await edited(({ apps, ...profile }) => ({
    ...profile,
    apps: apps.map((app) => (app.id === 'notes' ? { ...app, exec: 'tour-notes --new %F' } : app)),
  }));
  const count = () => running.desktop.look().windows.length;
  const before = count();
  await page.keyboard.press('n');
  await page.locator('[data-live-asks=launch]').waitFor();
  expect(count()).toBe(before);
  await page.keyboard.press('Control+Enter');
  await poll(count).toBe(before + 1);
  await page.keyboard.press('n');
  await poll(count).toBe(before + 2);
  await agrees(page);
});

it('shows pictures of windows when asked, none of a private one, and none any more', async () => {
  expect(running.desktop.look().hasPictures).toBe(false);
  await toView(page, '1', 'Desk');
  for (const key of ['w', 'w', 'p']) await page.keyboard.press(key);
  await page.locator('image[data-picture="win:w1"]').waitFor();
  expect(await page.locator('image[data-picture="win:w1"]').getAttribute('href')).toMatch(
    /^data:image\/png;base64,iVBORw0KGgo/,
  );
  const when = { all: [{ of: 'app', is: 'post' }] };
  await edited(({ rules, ...profile }) => ({
    ...profile,
    rules: [{ id: 'secret', when, then: { private: true } }, ...rules],
  }));
  await page.keyboard.press('p');
  await poll(() => running.desktop.look().hasPictures).toBe(false);
  await poll(() => page.locator('image[data-picture]').count()).toBe(0);
  await page.keyboard.press('p');
  await page.locator('image[data-picture="win:w1"]').waitFor();
  expect(await page.locator('image[data-picture="win:w5"]').count()).toBe(0);
  await page.keyboard.press('p');
  await poll(() => running.desktop.look().hasPictures).toBe(false);
});

it('has the agent, its monitors and the way out on one page', async () => {
  const before = standing();
  await toView(page, '1', 'Desk');
  for (const key of ['w', 'w']) await page.keyboard.press(key);
  await page.getByRole('main', { name: 'Live' }).waitFor();
  expect(await page.locator('[data-real-monitor]').count()).toBe(3);
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('i');
  await poll(() => running.desktop.look().identified).toBe('Korvane Tall 27');
  expect(await page.locator('[data-median=done]').innerText()).toMatch(/^[\d.]+ ms$/);
  expect(await faultsOf(page)).toEqual([]);
  await otherColours(page);
  expect(await faultsOf(page, 'colours')).toEqual([]);

  // Matched by hand to another of the profile, and not kept.
  const is = page.locator('[data-real-monitor="Korvane Tall 27"]');
  const was = await is.getAttribute('data-is');
  await page.keyboard.press('m');
  await poll(() => is.getAttribute('data-is')).not.toBe(was);
  await page.locator('[data-live-asks=keep]').waitFor();
  await page.keyboard.press('Control+Backspace');
  await poll(() => is.getAttribute('data-is')).toBe(was);
  await poll(() => isSame(standing(), before)).toBe(true);

  await page.keyboard.press('o');
  await page.locator('[data-live-state=out]').waitFor();
  await poll(() => isSame(standing(), before)).toBe(false);
  await page.keyboard.press('o');
  await isWell(page);
  await poll(() => isSame(standing(), before)).toBe(true);

  await page.keyboard.press('s');
  await page.locator('[data-agent-state=stopped]').waitFor();
  await poll(() => running.desktop.look().hasAgent).toBe(false);
  await page.keyboard.press('s');
  await isWell(page);
  await poll(() => isSame(standing(), before)).toBe(true);
});
