import { describe, expect, it } from 'vitest';
import { demoPage } from '../desk/demo-page.ts';
import { fixture } from '../desk/fixture.ts';
import { figuresOf, toView } from '../desk/sheet.ts';

const running = fixture();
const open = demoPage(running, 'tiling');

const poll = (read: () => Promise<unknown>) => expect.poll(read, { timeout: 20_000 });
const size = async (app: string) => (await figuresOf(open.page, app))[app];
const chart = () => open.page.locator('[data-chart]');

describe('Tiling in numbers', () => {
  it('draws every window’s width against the share, and takes another by key and by click', async () => {
    // Two lines for three windows: Bulletin Writer and Station Feed are as wide as each other.
    await poll(() => chart().locator('svg text').allTextContents()).toEqual(
      expect.arrayContaining(['PR', 'BW SF', '0.58']),
    );
    await chart().focus();
    await open.page.keyboard.press('ArrowRight');
    await poll(() => size('pitreader')).toBe(`${Math.round(3418 * 0.59)} × 1400`);
    await open.page.keyboard.press('Shift+ArrowLeft');
    await poll(() => size('pitreader')).toBe(`${Math.round(3418 * 0.54)} × 1400`);
    const box = (await chart().boundingBox())!;
    await open.page.mouse.click(box.x + 46 + (box.width - 46 - 52) / 2, box.y + 80);
    const taken = async () => Number(await chart().getAttribute('aria-valuenow'));
    await poll(async () => Math.abs((await taken()) - 0.5)).toBeLessThan(0.02);
    expect(await size('pitreader')).toBe(`${Math.round(3418 * (await taken()))} × 1400`);
  });

  it('moves the boundary where a layout has no share', async () => {
    await open.page.getByRole('radio', { name: 'Columns' }).click();
    await poll(() => size('pitreader')).toBe('1136 × 1400');
    await open.page.getByText('right edge of the focused window').waitFor();
    await chart().focus();
    await open.page.keyboard.press('Shift+ArrowRight');
    // Both parts have 2272 px: 0.55 of that.
    await poll(() => size('pitreader')).toBe(`${Math.round(2272 * 0.55)} × 1400`);
  });

  it('searches the share that suits the open windows best', async () => {
    await open.page.keyboard.press('b');
    // Pit Reader wants 1300 px, Bulletin Writer 860; the least share that gives the lead its own.
    const found = open.page.locator('[data-best-share]');
    await found.getByText('0.381 meets 3 of 3').waitFor();
    // What is gained is told, and what would have been next.
    expect(await found.innerText()).toMatch(
      /0\.58 met \d of 3, \d+ % unused\. Next best: 0\.\d+, \d of 3, \d+ % unused\./,
    );
    await poll(() => size('pitreader')).toBe('1302 × 1400');
  });

  it('shows how far the search is, and drops it by key', async () => {
    const url = `${running.server.url}/api/profiles/${open.id}/session`;
    await open.page.goto('about:blank');
    const base = (await fetch(url)).headers.get('etag')!;
    const windows = Array.from({ length: 600 }, (_, i) => ({ id: `w${i}`, workspace: 'B' }));
    await fetch(url, {
      method: 'PUT',
      headers: { 'Content-Type': 'application/json', 'If-Match': base },
      body: JSON.stringify({ windows, desk: 'office' }),
    });
    await open.page.goto(`${running.server.url}/${open.id}/tiling`);
    await poll(() => open.page.locator('[data-window]').count()).toBe(600);
    await open.page.keyboard.press('b');
    await open.page.getByRole('progressbar').waitFor();
    await open.page.keyboard.press('Escape');
    await open.page.getByText('Cancelled').waitFor();
    await poll(() => open.page.locator('[data-save-state=saved]').count()).toBe(1);
  });

  it('shows which layout applies where and why, and goes there', async () => {
    await open.page.keyboard.press('p');
    const cell = (place: string) => open.page.locator(`[data-place="${place}"]`);
    await poll(() => cell('B/wide').textContent()).toBe('Lead 0.58from workspace B');
    expect(await cell('S/tall').textContent()).toBe('Lead 0.6from Korvane Tall 27');
    expect(await cell('M/wide').textContent()).toBe('Lead 0.5for everything');
    expect(await cell('B/tall').count()).toBe(0);
    await cell('R/lap').click();
    await poll(() => cell('R/lap').getAttribute('aria-pressed')).toBe('true');
    await open.page.getByText('workspace R on Built-in panel').waitFor();
  });

  it('sets where new windows go and which layouts are gone round, by place', async () => {
    await open.page.getByRole('radio', { name: 'Workspace', exact: true }).click();
    await open.page.getByRole('radio', { name: 'as lead' }).click();
    const others = ['Middle lead', 'Columns', 'Even grid', 'Halving', 'Hand-split', 'Cascade'];
    for (const name of [...others, 'One at a time', 'Zone board', 'Free']) {
      await open.page.getByRole('checkbox', { name }).click();
    }
    await toView(open.page, '6', 'Rehearse');
    await open.page.keyboard.press('n');
    // The new window leads, at B's share.
    await poll(() => size('notes')).toBe('1982 × 1400');
    for (const key of ['Enter', 'Meta+Space', 's']) await open.page.keyboard.press(key);
    await open.page.getByText('Rows on workspace B: it was Lead').first().waitFor();
    await open.page.getByRole('img', { name: /^Tour Notes, tiled, 3428 × / }).waitFor();
    for (const key of ['Meta+Space', 's']) await open.page.keyboard.press(key);
    await poll(() => size('notes')).toBe('1982 × 1400');
  });

  it('joins workspaces across monitors, and drops empty ones', async () => {
    await toView(open.page, '1', 'Desk');
    await open.page.keyboard.press('w');
    await open.page.getByRole('radio', { name: 'joined' }).click();
    await poll(() => open.page.locator('[data-workspace=B][data-shown=true]').count()).toBe(3);
    await open.page.getByRole('radio', { name: 'per monitor' }).click();
    await poll(() => open.page.locator('[data-workspace=B][data-shown=true]').count()).toBe(1);
    await open.page.getByRole('radio', { name: 'dropped when empty' }).click();
    await poll(() => open.page.locator('[data-workspace=M]').count()).toBe(0);
  });
});
