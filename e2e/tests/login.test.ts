import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { AxeBuilder } from '@axe-core/playwright';
import type { Browser, Page } from 'playwright-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { launch, visit } from '../desk/browser.ts';
import { startServer, temporaryFolder, type RunningServer } from '../desk/server.ts';
import { figuresOf, saved } from '../desk/sheet.ts';

const folder = temporaryFolder();
const tokenFile = join(folder.path, 'token');
let server: RunningServer;
let browser: Browser;
beforeAll(async () => {
  const more = ['--token-file', tokenFile, '--host', '0.0.0.0'];
  server = await startServer(join(folder.path, 'sorn.db'), { demo: true, more });
  browser = await launch();
});
afterAll(async () => {
  await browser.close();
  await server.stop();
  folder.remove();
});

const own = () => `http://127.0.0.1:${server.port}`;
const token = () => readFileSync(tokenFile, 'utf8').trim();

/** The field is focused a moment after the page has loaded: what is typed before that is lost. */
async function answer(page: Page, text: string): Promise<void> {
  await page.locator('#token:focus').waitFor();
  await page.keyboard.type(text);
  await page.keyboard.press('Enter');
}

async function logIn(page: Page): Promise<void> {
  await answer(page, token());
  await page.waitForURL((url) => url.pathname === '/bulletin-desk/tiling');
}

describe('a server that others can reach', () => {
  it('asks for the token, and says where a wrong one was given', async () => {
    const { page, context } = await visit(browser, `${own()}/bulletin-desk/tiling`);
    expect(new URL(page.url()).pathname).toBe('/login');
    const { violations } = await new AxeBuilder({ page }).analyze();
    expect(violations).toEqual([]);
    await answer(page, 'not the token');
    await page.getByRole('alert').getByText('This is not the token.').waitFor();
    await logIn(page);
    await saved(page);
    expect((await figuresOf(page, 'pitreader'))['pitreader']).toMatch(/^\d+ × \d+$/);
    // No script can read what lets it in.
    expect(await page.evaluate(() => document.cookie)).toBe('');
    await context.close();
  });

  it('asks again where the login is over, and saves what was edited meanwhile', async () => {
    const { page, context } = await visit(browser, `${own()}/bulletin-desk/tiling`);
    await logIn(page);
    await saved(page);
    await context.clearCookies();
    await page.getByLabel('Lead share on the sheet').focus();
    await page.keyboard.type('0.3');
    await page.keyboard.press('Enter');
    await page.waitForURL((url) => url.pathname === '/login');
    await logIn(page);
    await expect
      .poll(async () => (await figuresOf(page, 'pitreader'))['pitreader'], { timeout: 20_000 })
      .toBe('1025 × 1400');
    await saved(page);
    const headers = { Authorization: `Bearer ${token()}` };
    const kept = await fetch(`${own()}/api/profiles/bulletin-desk`, { headers });
    expect(await kept.text()).toContain('"leadShare":0.3}');
    await context.close();
  });
});
