import type { Page } from 'playwright-core';
import { describe, expect, it } from 'vitest';
import { visit } from '../desk/browser.ts';
import { fixture } from '../desk/fixture.ts';
import { keyWorks, saved, toView } from '../desk/sheet.ts';

const running = fixture({ demo: true });
const at = (path: string) => `${running.server.url}${path}`;

/** Has the server answer something else. */
const answering = (page: Page, path: RegExp, body: unknown) =>
  page.route(path, (route) => route.fulfill({ json: body }));

describe('a page that meets a fault says so, and offers the way on', () => {
  it('in a view: the frame and its keys go on', async () => {
    const { page, context } = await visit(running.browser, at('/profiles'));
    await page.route(/assets\/FilesView/, (route) => route.abort());
    await page.goto(at('/bulletin-desk/tiling'));
    await saved(page);
    const fault = page.getByRole('heading', { name: 'This view met a fault' });
    await page.keyboard.press('8');
    await fault.waitFor();
    expect(await page.evaluate(() => document.activeElement?.textContent)).toBe('Try again');
    await toView(page, '2', 'Tiling');
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('8');
    await fault.waitFor();
    await page.unroute(/assets\/FilesView/);
    await page.keyboard.press('Enter');
    await page.getByRole('main', { name: 'Files' }).waitFor();
    expect(await page.locator('[role=alert]').count()).toBe(0);
    await context.close();
  });

  it('in a panel whose file cannot be had: the view goes on, and says so', async () => {
    const { page, context } = await visit(running.browser, at('/profiles'));
    await page.route(/assets\/FindAnything/, (route) => route.abort());
    await page.goto(at('/bulletin-desk/tiling'));
    await saved(page);
    await page.keyboard.press('Control+k');
    const alert = page.getByRole('alert');
    await alert.getByText('The panel could not be loaded').waitFor();
    await page.getByRole('main', { name: 'Tiling' }).waitFor();
    await toView(page, '1', 'Desk');
    // Another panel takes its place.
    await page.keyboard.press('?');
    await page.getByRole('dialog', { name: 'Keys of this view' }).waitFor();
    expect(await alert.count()).toBe(0);
    await page.keyboard.press('Escape');
    await context.close();
  });

  it('in an answer of the server: what is wrong in it, and where', async () => {
    const { page, context } = await visit(running.browser, at('/bulletin-desk/files'));
    await answering(page, /api\/backups$/, { backups: 7, folder: '/x', rule: '' });
    await keyWorks(page, 'against now or before');
    await page.keyboard.press('b');
    await page.getByText('backups is 7; expected').waitFor();
    await toView(page, '2', 'Tiling');
    await context.close();
  });

  it('in a profile: another can be chosen', async () => {
    const { page, context } = await visit(running.browser, at('/profiles'));
    const profile = { name: 'Desk', monitors: [{ id: 'm', width: 'wide', height: 1080 }] };
    const savedAt = '2026-03-02T08:00:00Z';
    await answering(page, /api\/profiles\/bulletin-desk$/, {
      id: 'x',
      revision: 1,
      savedAt,
      profile,
    });
    await page.goto(at('/bulletin-desk/tiling'));
    await page.getByRole('heading', { name: 'This profile cannot be opened' }).waitFor();
    await page.getByText('profile.monitors[0].width is "wide"; expected').waitFor();
    await page.getByRole('button', { name: 'Choose another profile' }).focus();
    await page.keyboard.press('Enter');
    await page.getByText('Bulletin desk').first().waitFor();
    await context.close();
  });

  it('in the list of profiles: a new one can be begun', async () => {
    const { page, context } = await visit(running.browser, at('/begin'));
    await page.route(/assets\/ProfilesView/, (route) => route.abort());
    await page.goto(at('/profiles'));
    await page.getByRole('heading', { name: 'The profiles cannot be shown' }).waitFor();
    await page.keyboard.press('Tab');
    await page.keyboard.press('Enter');
    await page.waitForURL(/begin/);
    await context.close();
  });

  it('a date of nonsense is no fault of the list', async () => {
    const { page, context, said } = await visit(running.browser, at('/begin'));
    const [first] = (await (await fetch(at('/api/profiles'))).json()) as object[];
    await answering(page, /api\/profiles$/, [{ ...first, savedAt: 'soon' }]);
    await page.goto(at('/profiles'));
    await page.getByText('saved at an unknown time').waitFor();
    expect(said).toEqual([]);
    await context.close();
  });
});
