import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { fileURLToPath } from 'node:url';
import type { Browser, Page } from 'playwright-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { testServer, type TestServer } from '../../server/src/testing/server.ts';
import { launch, visit } from '../desk/browser.ts';
import { figuresOf, saved } from '../desk/sheet.ts';

const PAGE = fileURLToPath(new URL('../../web/dist', import.meta.url));

let server: TestServer;
let listening: Server;
let browser: Browser;
let url = '';

beforeAll(async () => {
  server = await testServer({ page: PAGE });
  listening = server.app.listen(0, '127.0.0.1');
  await new Promise((resolve) => listening.once('listening', resolve));
  url = `http://127.0.0.1:${(listening.address() as AddressInfo).port}`;
  browser = await launch();
});
afterAll(async () => {
  await browser.close();
  listening.closeAllConnections();
  await new Promise((resolve) => listening.close(resolve));
  await server.stop();
});

const pragma = (text: string) => server.database.client.execute(`PRAGMA ${text}`);
const typeShare = async (page: Page, share: string) => {
  await page.getByLabel('Lead share on the sheet').focus();
  await page.keyboard.type(share);
  await page.keyboard.press('Enter');
};
const lead = async (page: Page) => (await figuresOf(page, 'pitreader'))['pitreader'];

/** Edits a profile while nothing can be saved, and sees what becomes of the edit. */
async function editedMeanwhile(
  close: () => Promise<unknown>,
  open: () => Promise<unknown>,
  says: string,
) {
  const created = await fetch(`${url}/api/demo`, { method: 'POST' });
  const { id } = (await created.json()) as { id: string };
  const { page, context } = await visit(browser, `${url}/${id}/tiling`);
  await saved(page);
  server.logged.length = 0;
  await close();
  await typeShare(page, '0.3');
  await page.getByRole('alert').getByText(says).waitFor();
  await expect.poll(() => lead(page)).toBe('1025 × 1400');
  expect(server.logged.join()).toContain(says);
  // Another edit while it lasts is kept as well.
  await typeShare(page, '0.35');
  await expect.poll(() => lead(page)).toBe('1196 × 1400');
  const share = async () => {
    const kept = await fetch(`${url}/api/profiles/${id}`);
    return /"leadShare":([\d.]+)/.exec(await kept.text())?.[1];
  };
  expect(await share()).toBe('0.58');
  await open();
  await saved(page);
  expect(await share()).toBe('0.35');
  await page.getByRole('alert').waitFor({ state: 'detached' });
  await context.close();
}

describe('edits made while nothing can be saved are kept, and saved when it is possible again', () => {
  it('a full disk: the database may have no page more', () =>
    editedMeanwhile(
      async () => {
        const { rows } = await pragma('page_count');
        await pragma(`max_page_count = ${String(rows[0]!['page_count'])}`);
      },
      () => pragma('max_page_count = 1000000'),
      'There is no room to save',
    ));

  it('a connection that may only read', () =>
    editedMeanwhile(
      () => pragma('query_only = ON'),
      () => pragma('query_only = OFF'),
      'The database can only be read',
    ));
});
