import { spawn } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import type { Browser, Page } from 'playwright-core';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { launch, visit } from '../desk/browser.ts';
import { startServer, temporaryFolder, type RunningServer } from '../desk/server.ts';

const STORE = fileURLToPath(new URL('../../server/dist/store-stand-in/main.js', import.meta.url));

const folder = temporaryFolder();
const tokenFile = `${folder.path}/token`;
let store: RunningStore;
let servers: RunningServer[] = [];
let browser: Browser;

interface RunningStore {
  url: string;
  /** Ends it as a cable that is pulled. */
  kill: () => Promise<void>;
}

/** Starts the stand-in of a shared store, in the place of a former one. */
async function startStore(port = 0): Promise<RunningStore> {
  const args = [
    STORE,
    `${folder.path}/store.db`,
    '--token-file',
    tokenFile,
    '--port',
    String(port),
  ];
  const child = spawn(process.execPath, args, { stdio: ['ignore', 'pipe', 'inherit'] });
  const ended = new Promise<void>((resolve) => child.once('close', () => resolve()));
  const url = await new Promise<string>((resolve) =>
    child.stdout.on('data', (data: Buffer) => {
      const address = /http:\/\/\S+/.exec(data.toString());
      if (address) resolve(address[0]);
    }),
  );
  return {
    url,
    kill() {
      child.kill('SIGKILL');
      return ended;
    },
  };
}

beforeAll(async () => {
  writeFileSync(tokenFile, 'let-me-in\n');
  store = await startStore();
  for (const machine of ['tower', 'laptop'])
    servers.push(
      await startServer(store.url, {
        more: ['--data-token-file', tokenFile, '--machine', machine],
        env: { XDG_DATA_HOME: `${folder.path}/${machine}` },
      }),
    );
  await fetch(`${servers[0]!.url}/api/demo`, { method: 'POST' });
  browser = await launch();
});
afterAll(async () => {
  await browser?.close();
  for (const server of servers) await server.stop();
  servers = [];
  await store?.kill();
  folder.remove();
});

const poll = (read: () => unknown) => expect.poll(read, { timeout: 40_000 });

async function open(server: RunningServer) {
  const visited = await visit(browser, `${server.url}/bulletin-desk/tiling`);
  await visited.page.locator('[data-window]').first().waitFor();
  return visited;
}

const innerGap = (page: Page) =>
  page.getByRole('textbox', { name: 'Inner gap', exact: true }).inputValue();
async function setInnerGap(page: Page, value: string) {
  await page.getByRole('textbox', { name: 'Inner gap', exact: true }).focus();
  await page.keyboard.press('Control+a');
  await page.keyboard.type(value);
  await page.keyboard.press('Enter');
}
const saveState = (page: Page) =>
  page.locator('[data-save-state]').first().getAttribute('data-save-state');

it('two machines share a profile; what is edited while the store is away is kept, told, and sent later', async () => {
  const [one, other] = [await open(servers[0]!), await open(servers[1]!)];
  await setInnerGap(one.page, '24');
  await poll(() => saveState(one.page)).toBe('saved');
  // The other machine's server asks the store, and its page is told.
  await poll(() => innerGap(other.page)).toBe('24');

  await one.page.locator('[data-store=there]').waitFor();
  await store.kill();
  // It is told before anything is edited.
  await other.page.locator('[data-store-away]').waitFor();
  await setInnerGap(one.page, '31');
  await poll(() => saveState(one.page)).toBe('failed');
  await one.page.getByText('The shared store does not answer').first().waitFor();
  const port = Number(new URL(store.url).port);
  store = await startStore(port);
  await poll(() => saveState(one.page)).toBe('saved');
  await poll(() => innerGap(other.page)).toBe('31');
  await other.page.locator('[data-store=there]').waitFor();
  // Nothing was saved twice on the way.
  const answer = await fetch(`${servers[1]!.url}/api/profiles/bulletin-desk/revisions`);
  const { revisions } = (await answer.json()) as { revisions: { changes: string[] }[] };
  expect(revisions.map(({ changes }) => changes)).toEqual([
    ['inner gap 24 → 31'],
    ['inner gap 10 → 24'],
    [],
  ]);

  // Edited on both while it is away: who comes second decides, as between two pages.
  await store.kill();
  await setInnerGap(one.page, '40');
  await setInnerGap(other.page, '50');
  for (const { page } of [one, other]) await poll(() => saveState(page)).toBe('failed');
  store = await startStore(port);
  const asked = (page: Page) => page.getByRole('dialog', { name: /^Changed here and in another/ });
  await poll(async () => (await asked(one.page).count()) + (await asked(other.page).count())).toBe(
    1,
  );
  const second = (await asked(one.page).count()) === 1 ? one.page : other.page;
  const mine = second === one.page ? '40' : '50';
  expect(await asked(second).locator('[data-conflict]').count()).toBe(1);
  await second.keyboard.press('t');
  await second.keyboard.press('Enter');
  for (const { page } of [one, other]) await poll(() => innerGap(page)).toBe(mine);
  // What such a store cannot do is said where it would be done.
  await one.page.keyboard.press('8');
  await one.page.keyboard.press('b');
  await one.page.getByText('on this machine, not in the store').waitFor();
  expect(await one.page.getByText('npm run -s sorn -- backup').count()).toBe(0);

  // A browser tells of a request that was refused; nothing else is said.
  for (const { said } of [one, other])
    expect(said.filter((line) => !/ status of (504|412) /.test(line))).toEqual([]);
  await one.context.close();
  await other.context.close();
});
