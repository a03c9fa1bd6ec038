import { profileSchema, type Profile } from '@sorn/core/model';
import { beforeEach, describe, expect, it } from 'vitest';
import { demoPage } from '../desk/demo-page.ts';
import { fixture } from '../desk/fixture.ts';
import { figuresOf, keyWorks, saved, toView } from '../desk/sheet.ts';

const running = fixture({ demo: true });
const open = demoPage(running, 'files');

const press = async (...keys: string[]) => {
  for (const key of keys) await open.page.keyboard.press(key);
};
/** The first page of Files, with its keys at work. */
const filesWork = () => keyWorks(open.page, 'against now or before');
beforeEach(filesWork);
const toFiles = async () => {
  await toView(open.page, '8', 'Files');
  await filesWork();
};
const kept = async (): Promise<Profile> => {
  await saved(open.page);
  const answer = await fetch(`${running.server.url}/api/profiles/${open.id}`);
  return profileSchema.parse(((await answer.json()) as { profile: unknown }).profile);
};
const poll = (read: () => Promise<unknown>) => expect.poll(read, { timeout: 15_000 });

describe('a backup', () => {
  it('at each start is kept as many times as is set by key, over a reload too', async () => {
    await press('b');
    await keyWorks(open.page, 'make one');
    const chosen = open.page
      .getByRole('radiogroup', { name: 'Backups kept of those made at a start' })
      .locator('[aria-checked=true]');
    await poll(() => chosen.textContent()).toBe('5');
    await press('k');
    await poll(() => chosen.textContent()).toBe('10');
    await open.page.reload();
    await filesWork();
    await press('b');
    await poll(() => chosen.textContent()).toBe('10');
  });

  it('made, restored after it was asked about, and the restore undone', async () => {
    const { page } = open;
    // One is made at the start, too: the newest must be the one made here.
    const newest = page.locator('[data-backup]').first();
    const made = () => poll(() => newest.getAttribute('data-backup')).toContain('asked');
    await press('b');
    await press('n');
    await made();
    await toView(page, '2', 'Tiling');
    const widths = async () => (await figuresOf(page, 'pitreader'))['pitreader'];
    expect(await widths()).toBe('1982 × 1400');
    await page.getByLabel('Lead share on the sheet').focus();
    await page.keyboard.type('0.3');
    await press('Enter', 'Escape');
    await poll(widths).toBe('1025 × 1400');
    await saved(page);
    await toFiles();
    await press('b');
    await made();
    await press('Enter');
    await page.locator(`[data-replaced="${open.id}"]`).getByText('as in the backup').waitFor();
    await press('Escape');
    await made();
    await press('Enter');
    await page.locator(`[data-replaced="${open.id}"]`).waitFor();
    await press('Enter');
    await page.getByText('is restored').waitFor();
    await toView(page, '2', 'Tiling');
    await poll(widths).toBe('1982 × 1400');
    await toFiles();
    await press('b');
    await newest.waitFor();
    await press('Enter');
    await page.locator(`[data-replaced="${open.id}"]`).getByText('as in the backup').waitFor();
    await press('Enter');
    await page.getByText('is restored').waitFor();
    await press('u');
    await page.getByText('The restore is undone').waitFor();
    await poll(async () => (await kept()).tiling.places.length).toBeGreaterThan(0);
  });
});
