import type { Browser, Page } from 'playwright-core';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { launch, visit, type Visit } from '../desk/browser.ts';
import { startServer, temporaryFolder, type RunningServer } from '../desk/server.ts';
import { drawnWindows, figuresOf } from '../desk/sheet.ts';

const folder = temporaryFolder();
let server: RunningServer;
let browser: Browser;
let open: Visit;
let page: Page;
let id: string;

beforeAll(async () => {
  server = await startServer(`${folder.path}/own.db`);
  browser = await launch();
});
beforeEach(async () => {
  const created = await fetch(`${server.url}/api/demo`, { method: 'POST' });
  ({ id } = (await created.json()) as { id: string });
  open = await visit(browser, `${server.url}/${id}/rehearse`);
  page = open.page;
  await page.locator('[data-window]').first().waitFor();
  return async () => {
    expect(open.said).toEqual([]);
    await open.context.close();
  };
});
afterAll(async () => {
  await browser?.close();
  await server?.stop();
  folder.remove();
});

const poll = (read: () => Promise<unknown>) => expect.poll(read, { timeout: 20_000 });
const press = async (...keys: string[]) => {
  for (const key of keys) await page.keyboard.press(key);
};
const focused = async () => (await drawnWindows(page)).find((window) => window.focused)?.id;
const find = async () => {
  await press('Control+k');
  await page.getByRole('combobox').and(page.locator(':focus')).waitFor();
};
const owner = () => page.locator('[data-keyboard]').getAttribute('data-keyboard');

describe('Rehearse', () => {
  it('says who has the keyboard, and gives every other key to the bindings', async () => {
    await page.getByText('The page has the keyboard').waitFor();
    await press('Enter');
    await page.getByText('The sheet has the keyboard').waitFor();
    await press('2', 'i', '?', 'Control+k');
    expect(page.url()).toMatch(/rehearse$/);
    expect(await drawnWindows(page)).toHaveLength(8);
    expect(await page.getByRole('dialog').count()).toBe(0);
    await page.getByText('nothing is bound to it').first().waitFor();
    await press('F9', '2');
    await poll(async () => page.url()).toMatch(/tiling$/);
  });

  it('takes the keyboard with a click, and gives it back to a press outside', async () => {
    await page.locator('[data-window=bulletin-1]').click();
    expect(await owner()).toBe('sheet');
    await poll(focused).toBe('bulletin-1');
    await page.getByRole('complementary').click({ position: { x: 300, y: 10 } });
    await poll(owner).toBe('page');
  });

  it('moves the focus across the monitors as they stand', async () => {
    await press('Enter', 'Meta+ArrowRight');
    await poll(focused).toBe('bulletin-1');
    await press('Meta+ArrowRight');
    await poll(focused).toBe('slopecams-1');
    await press('Meta+ArrowLeft');
    await poll(focused).toBe('bulletin-1');
    await press('Meta+ArrowLeft', 'Meta+ArrowDown');
    await poll(focused).toBe('post-1');
    await press('Alt+ArrowRight');
    await poll(focused).toMatch(/^shell/);
  });

  it('sends a window to another monitor, and brings it back', async () => {
    const before = await drawnWindows(page);
    await press('Enter', 'Meta+Shift+ArrowDown');
    await poll(() => figuresOf(page, 'pitreader')).toEqual({ pitreader: '699 × 1648' });
    await press('Meta+KeyZ');
    await poll(() => drawnWindows(page)).toEqual(before);
  });

  it('shows a window that is too small, what it has and what it needs', async () => {
    await press('Enter', 'Meta+KeyR', 'Meta+Shift+KeyM', 'Meta+Shift+KeyI');
    await poll(() => page.locator('[data-window=post-1] .flag').count()).toBe(1);
    const text = await page.locator('[data-window=post-1]').getAttribute('aria-label');
    const [, has, need] = /has (\d+), needs (\d+)/.exec(text ?? '') ?? [];
    const drawn = /(\d+) ×/.exec(text ?? '')?.[1];
    expect([has, need]).toEqual([drawn, '1520']);
    await press('F9', '!');
    await page.getByRole('dialog').getByText(`Post is ${has} px wide and needs 1520.`).waitFor();
    await press('Escape');
  });

  it('logs keys, commands and reasons', async () => {
    await press('Enter', 'Meta+BracketRight');
    await page.getByText('lead share 0.6: it was 0.58').waitFor();
    await press('Meta+Shift+Enter');
    await page.getByText('nothing to do: Pit Reader is the lead already').waitFor();
    await poll(() => page.locator('[data-last-key]').textContent()).toBe('MetaShiftEnterpromote');
  });

  it('opens utilities floating and a guest screen left alone', async () => {
    await press('c', 'w');
    await poll(async () =>
      (await drawnWindows(page)).filter(({ held }) => held !== 'tiled'),
    ).toEqual([
      expect.objectContaining({ app: 'dutyline', held: 'floating' }),
      expect.objectContaining({ app: 'wxguest', held: 'left-alone', size: '1280 × 1024' }),
    ]);
    await page.getByRole('img', { name: 'Duty Line, floating, 420 × 120' }).waitFor();
    expect(await figuresOf(page, 'pitreader')).toEqual({ pitreader: '1982 × 1400' });
  });

  it('finds anything by typing', async () => {
    await find();
    await page.keyboard.type('tour');
    await press('Enter');
    await poll(async () => (await drawnWindows(page)).some(({ app }) => app === 'notes')).toBe(
      true,
    );
    await find();
    await page.keyboard.type('columns');
    await press('Enter');
    await poll(async () => (await figuresOf(page, 'notes'))['notes']).toMatch(/ × 1400$/);
  });

  it('changes the reserved key and the main modifier by setting', async () => {
    await press(',');
    await page.getByRole('radio', { name: 'F8' }).click();
    await page.getByRole('radiogroup', { name: 'Main modifier' }).getByText('Ctrl').click();
    await press('Escape');
    await page.getByRole('dialog').waitFor({ state: 'detached' });
    await press('Enter', 'F9', 'Control+ArrowRight', 'F8');
    await poll(focused).toBe('bulletin-1');
    expect(await owner()).toBe('page');
  });

  it('draws 500 windows and goes on taking keys', async () => {
    const read = await fetch(`${server.url}/api/profiles/${id}/session`);
    const base = read.headers.get('etag')!;
    const windows = Array.from({ length: 500 }, (_, i) => ({
      id: `w${i}`,
      app: 'notes',
      workspace: 'B',
    }));
    await page.goto('about:blank');
    const put = await fetch(`${server.url}/api/profiles/${id}/session`, {
      method: 'PUT',
      headers: { 'Content-Type': 'application/json', 'If-Match': base },
      body: JSON.stringify({ windows, desk: 'office' }),
    });
    expect(put.status).toBe(200);
    await page.goto(`${server.url}/${id}/rehearse`);
    await poll(() => page.locator('[data-window]').count()).toBe(500);
    await press('Enter', 'Meta+KeyC');
    await page.getByText('Columns on workspace B: it was Lead').waitFor();
    await press('Meta+KeyQ');
    await poll(() => page.locator('[data-window]').count()).toBe(499);
  });
});
