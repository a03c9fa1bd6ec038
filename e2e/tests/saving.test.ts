import type { Page } from 'playwright-core';
import { describe, expect, it } from 'vitest';
import { visit } from '../desk/browser.ts';
import { fixture } from '../desk/fixture.ts';
import { startServer } from '../desk/server.ts';
import { figuresOf, saved } from '../desk/sheet.ts';

const running = fixture({ demo: true });

const typeShare = async (page: Page, share: string) => {
  await page.getByLabel('Lead share on the sheet').focus();
  await page.keyboard.type(share);
  await page.keyboard.press('Enter');
};
const lead = async (page: Page) => (await figuresOf(page, 'pitreader'))['pitreader'];
const poll = (read: () => Promise<unknown>) => expect.poll(read, { timeout: 20_000 });

describe('saving', () => {
  it('says that a save failed, keeps the edit, and saves it when the server is back', async () => {
    const { page, context } = await visit(running.browser, running.server.url);
    await saved(page);
    const { port, file } = running.server;
    await running.server.kill();
    await typeShare(page, '0.3');
    await page.getByRole('alert').getByText('Not saved: The server does not answer.').waitFor();
    expect(await lead(page)).toBe('1025 × 1400');
    running.server = await startServer(file, { port });
    await saved(page);
    await page.reload();
    await poll(() => lead(page)).toBe('1025 × 1400');
    await context.close();
  });

  it('keeps an edit that could not be saved over the end of the visit', async () => {
    const { page, context } = await visit(running.browser, running.server.url);
    await saved(page);
    const { port, file } = running.server;
    await running.server.kill();
    await typeShare(page, '0.35');
    await page.getByRole('alert').getByText('Not saved').waitFor();
    await page.goto('about:blank');
    running.server = await startServer(file, { port });
    await page.goto(running.server.url);
    await poll(() => lead(page)).toBe('1196 × 1400');
    await saved(page);
    const kept = await fetch(`${running.server.url}/api/profiles/bulletin-desk`);
    expect(JSON.stringify(await kept.json())).toContain('"leadShare":0.35');
    await context.close();
  });

  it('goes on from its own save, when the page went away before the answer', async () => {
    const { page, context, said } = await visit(running.browser, running.server.url);
    await saved(page);
    const isSave = (method: string, url: string) =>
      method === 'PUT' && /profiles\/bulletin-desk$/.test(url);
    let arrived = false;
    await page.route(/bulletin-desk/, async (route) => {
      const request = route.request();
      if (!isSave(request.method(), request.url())) return route.continue();
      // The server gets it; the page never hears of that.
      await fetch(request.url(), {
        method: 'PUT',
        headers: {
          'content-type': 'application/json',
          'if-match': (await request.headerValue('if-match'))!,
        },
        body: request.postData()!,
      });
      arrived = true;
    });
    await typeShare(page, '0.45');
    await poll(() => Promise.resolve(arrived)).toBe(true);
    await typeShare(page, '0.4');
    await page.unroute(/bulletin-desk/);
    await page.reload();
    await poll(() => lead(page)).toBe('1367 × 1400');
    await saved(page);
    const kept = await fetch(`${running.server.url}/api/profiles/bulletin-desk`);
    expect(JSON.stringify(await kept.json())).toContain('"leadShare":0.4}');
    // A save sent once more is refused (412) and merged; the browser itself writes that down.
    expect(said.filter((line) => !line.includes('412'))).toEqual([]);
    await context.close();
  });
});
