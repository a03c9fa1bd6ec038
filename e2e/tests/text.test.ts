import { execFileSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import type { Page } from 'playwright-core';
import { beforeAll, expect, it } from 'vitest';
import { visit } from '../desk/browser.ts';
import { fixture } from '../desk/fixture.ts';
import { faultsOf } from '../desk/screens.ts';

const running = fixture({ demo: true });
let server: { url: string };
beforeAll(() => ({ server } = running));

const poll = (read: () => unknown) => expect.poll(read, { timeout: 15_000 });

async function open(view: string) {
  const visited = await visit(running.browser, `${server.url}/bulletin-desk/${view}`);
  await visited.page.getByRole('main').waitFor();
  const press = async (...keys: string[]) => {
    for (const key of keys) await visited.page.keyboard.press(key);
  };
  return { ...visited, press };
}

const focusedName = (page: Page) =>
  page.evaluate(() => document.activeElement?.closest('[aria-label]')?.getAttribute('aria-label'));
/** The line that the cursor of the text is on. */
const cursorLine = (page: Page) =>
  page.evaluate(() => document.querySelector('.cm-activeLine')?.textContent ?? '');

it('the text is searched and folded by keys, and leads from a line to its setting and back', async () => {
  const { page, press, said, context } = await open('files');
  await press('t');
  await page.locator('.cm-content').waitFor();
  const lines = () => page.locator('.cm-line').count();
  await press('a');
  await poll(lines).toBeLessThan(25);
  expect(await page.locator('.cm-content').textContent()).not.toContain('Korvane Wide 34');
  expect(await faultsOf(page)).toEqual([]);
  await press('a');
  await poll(() => page.locator('.cm-content').textContent()).toContain('Korvane Wide 34');

  await press('Control+f');
  await page.keyboard.type('Slope Cams fill');
  expect(await faultsOf(page)).toEqual([]);
  await press('Enter', 'Escape');
  await poll(() => cursorLine(page)).toContain('name: Slope Cams fill');
  await press('Control+Period');
  await page.getByRole('main', { name: 'Trials' }).waitFor();
  await poll(() => focusedName(page)).toBe('Name of the trial');
  expect(await page.locator('input:focus').inputValue()).toContain('Slope Cams fill');

  // And back, to the line of that very trial.
  await press('Control+Period');
  await poll(() => cursorLine(page)).toContain('name: Slope Cams fill');

  // From a figure of a view that was never in the text before: it is written by the way.
  await page.locator('.cm-content').blur();
  await press('2');
  await page.getByRole('main', { name: 'Tiling' }).waitFor();
  await press('g', 'o');
  await poll(() => focusedName(page)).toBe('Inner gap');
  await press('Control+Period');
  await poll(() => cursorLine(page)).toContain('inner: 10');
  expect(said).toEqual([]);
  await context.close();
});

it('any two revisions are compared as a text that version control takes', async () => {
  const yaml = async (revision: number) => {
    const answer = await fetch(`${server.url}/api/profiles/bulletin-desk/revisions/${revision}`);
    return ((await answer.json()) as { profile: { tiling: { growStep: number } } }).profile;
  };
  for (const growStep of [61, 62]) {
    const kept = (await (await fetch(`${server.url}/api/profiles/bulletin-desk`)).json()) as {
      revision: number;
      profile: { tiling: object };
    };
    const { profile } = kept;
    const saved = await fetch(`${server.url}/api/profiles/bulletin-desk`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json', 'if-match': `"${kept.revision}"` },
      body: JSON.stringify({ profile: { ...profile, tiling: { ...profile.tiling, growStep } } }),
    });
    expect(saved.ok).toBe(true);
  }
  const { page, press, said, context } = await open('files');
  await press('r');
  const line = page.locator('[data-revision="1"]');
  await line.waitFor();
  // The first against the one before the last: it is marked, and the newer one held against it.
  await press('ArrowDown', 'ArrowDown', 'm', 'ArrowUp', 'u');
  const unified = page.locator('[data-unified]');
  await poll(() => unified.textContent()).toContain('+  growStep: 61');
  expect(await unified.textContent()).toContain('--- revision-1/bulletin-desk.yaml');
  expect(await unified.textContent()).toContain('+++ revision-2/bulletin-desk.yaml');
  expect(await faultsOf(page)).toEqual([]);
  const download = page.waitForEvent('download');
  await press('s');
  const difference = readFileSync((await (await download).path())!, 'utf8');

  // Another program makes the second of the first by it.
  await press('ArrowDown');
  await press('e');
  const exported = page.waitForEvent('download');
  await press('Enter');
  const now = readFileSync((await (await exported).path())!, 'utf8').replace(/^\$schema.*\n/, '');
  expect(now).toContain('growStep: 62');
  const first = now.replace(/\n {2}growStep: 62/, '');
  writeFileSync(`${running.folder}/bulletin-desk.yaml`, first);
  writeFileSync(`${running.folder}/change.diff`, difference);
  const options = { cwd: running.folder, stdio: 'pipe' } as const;
  try {
    execFileSync('git', ['apply', 'change.diff'], options);
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code !== 'ENOENT') throw error;
    execFileSync('patch', ['-p1', '-i', 'change.diff'], options);
  }
  expect(readFileSync(`${running.folder}/bulletin-desk.yaml`, 'utf8')).toBe(
    now.replace('growStep: 62', 'growStep: 61'),
  );
  expect((await yaml(2)).tiling.growStep).toBe(61);
  expect(said).toEqual([]);
  await context.close();
});
