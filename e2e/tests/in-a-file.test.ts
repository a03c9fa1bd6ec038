import { execFileSync } from 'node:child_process';
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import type { Browser, Page } from 'playwright-core';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { launch, visit } from '../desk/browser.ts';
import { faultsOf } from '../desk/screens.ts';
import { startServer, temporaryFolder, type RunningServer } from '../desk/server.ts';

const CLI = fileURLToPath(new URL('../../cli/dist/main.js', import.meta.url));
const DEMO = fileURLToPath(new URL('../../demo/bulletin-desk.profile.json', import.meta.url));

const folder = temporaryFolder();
const dotfiles = `${folder.path}/dotfiles`;
const file = `${dotfiles}/bulletin-desk.yaml`;
let server: RunningServer;
let browser: Browser;

beforeAll(async () => {
  mkdirSync(dotfiles);
  const yaml = execFileSync(process.execPath, [CLI, 'export', DEMO], { encoding: 'utf8' });
  // The mould of the demo with comments of one's own.
  writeFileSync(file, `# the duty desk\n${yaml.replace(/^(\s+)(inner: \d+)/m, '$1$2 # not less')}`);
  server = await startServer(`${folder.path}/sorn.db`, {
    more: ['--file', file, '--folder', dotfiles, '--machine', 'hut.example'],
  });
  browser = await launch();
});
afterAll(async () => {
  await browser?.close();
  await server?.stop();
  folder.remove();
});

const poll = (read: () => unknown) => expect.poll(read, { timeout: 15_000 });
const text = () => readFileSync(file, 'utf8');
const innerGap = (value: number) =>
  writeFileSync(file, text().replace(/inner: \w+/, `inner: ${value}`));

/** The least room between two tiled windows beside each other, read off the drawn desk. */
async function gapOnSheet(page: Page): Promise<number> {
  const windows = await page
    .locator('svg [data-window][data-held=tiled]')
    .evaluateAll((all) =>
      all.map((each) =>
        `${each.getAttribute('data-at')},${each.getAttribute('data-size')}`
          .split(/[^0-9.-]+/)
          .map(Number),
      ),
    );
  const gaps = windows.flatMap(([x, y, width]) =>
    windows.flatMap(([otherX, otherY]) =>
      otherY === y && otherX! >= x! + width! ? [otherX! - (x! + width!)] : [],
    ),
  );
  return Math.min(...gaps);
}

it('an edit outside moves the sheet, a fault is told with its line, and both at once are decided by keys', async () => {
  const { page, said, context } = await visit(browser, `${server.url}/bulletin-desk/tiling`);
  await page.locator('[data-window]').first().waitFor();
  const press = async (...keys: string[]) => {
    for (const key of keys) await page.keyboard.press(key);
  };
  const before = await gapOnSheet(page);
  expect(before).toBe(Number(/inner: (\d+)/.exec(text())![1]));

  innerGap(40);
  await poll(() => gapOnSheet(page)).toBe(40);
  await page.getByText('Changed in bulletin-desk.yaml: inner gap 10 → 40').waitFor();

  // It is broken: its line is in sight, and the desk stays as it was.
  const right = text();
  writeFileSync(file, right.replace('inner: 40', 'inner: wide'));
  const line = right.split('\n').findIndex((each) => each.includes('inner: 40')) + 1;
  await page.locator('[data-file-trouble=faults]').waitFor();
  expect(await page.locator('[data-file-trouble]').textContent()).toContain(
    `bulletin-desk.yaml, line ${line}: tiling.gaps.inner is "wide"; expected`,
  );
  expect(await gapOnSheet(page)).toBe(40);
  await press('8', 'v');
  await page.locator(`[data-fault-line="${line}"]`).waitFor();
  expect(await page.locator('[data-fault-line]').textContent()).toContain('inner: wide');
  expect(await faultsOf(page)).toEqual([]);

  // Meanwhile the name is another one here, and then there.
  const kept = (await (await fetch(`${server.url}/api/profiles/bulletin-desk`)).json()) as {
    revision: number;
    profile: object;
  };
  const saved = await fetch(`${server.url}/api/profiles/bulletin-desk`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json', 'if-match': `"${kept.revision}"` },
    body: JSON.stringify({ profile: { ...kept.profile, name: 'Night desk' } }),
  });
  expect(saved.ok).toBe(true);
  const mended = right
    .replace('inner: 40', 'inner: 22')
    .replace('name: Bulletin desk', 'name: Bulletins');
  writeFileSync(file, mended);
  const row = page.locator('[data-conflict]');
  await row.waitFor();
  expect(await row.count()).toBe(1);
  expect(await row.textContent()).toMatch(/name.*Night desk.*Bulletins/);
  expect(text()).toBe(mended);
  expect(await faultsOf(page)).toEqual([]);
  await press('f', 'h', 'Enter');
  await page.locator('[data-file-state=same]').waitFor();
  // Of the file only the name is otherwise.
  await poll(text).toBe(mended.replace('name: Bulletins', 'name: Night desk'));

  // It is so after a reload, and a file that was named at the start cannot be let go from here.
  await page.reload();
  await page.locator('[data-file-title=same]').waitFor();
  await press('8', 'v');
  await page.locator('[data-file-state=same]').waitFor();
  await page.getByText('Named at the start').waitFor();
  expect(await page.getByText('No longer in this file').count()).toBe(0);

  // The desk goes by what the file says.
  await press('2');
  await page.getByRole('main', { name: 'Tiling' }).waitFor();
  await poll(() => gapOnSheet(page)).toBe(22);
  expect(said).toEqual([]);
  await context.close();
});

it('a profile is kept in a file by keys, and find-anything knows it by a plain word', async () => {
  const created = await fetch(`${server.url}/api/demo`, { method: 'POST' });
  const { id } = (await created.json()) as { id: string };
  const { page, said, context } = await visit(browser, `${server.url}/${id}/tiling`);
  await page.locator('[data-window]').first().waitFor();
  await page.keyboard.press('Control+k');
  await page.keyboard.type('dotfiles');
  await page
    .getByRole('option', { name: /Keep the profile in a file/ })
    .first()
    .waitFor();
  await page.keyboard.press('Enter');
  await page.getByRole('main', { name: 'Files' }).waitFor();
  await page.getByLabel('Where to').waitFor();
  await page.keyboard.press('Enter');
  await page.locator('[data-file-state=same]').waitFor();
  expect(readFileSync(`${dotfiles}/${id}.yaml`, 'utf8')).toContain('name: Bulletin desk');
  await page.keyboard.press('Delete');
  await page.getByText('This profile is kept in Sorn alone.').waitFor();
  expect(said).toEqual([]);
  await context.close();
});

it('a comment that was written into an exported file comes in with it', async () => {
  const created = await fetch(`${server.url}/api/demo`, { method: 'POST' });
  const { id } = (await created.json()) as { id: string };
  const { page, said, context } = await visit(browser, `${server.url}/${id}/files`);
  await page.getByRole('main', { name: 'Files' }).waitFor();
  await page.keyboard.press('e');
  const download = page.waitForEvent('download');
  await page.keyboard.press('Enter');
  const exported = readFileSync((await (await download).path())!, 'utf8');
  const written = exported.replace(/^name: .*$/m, '$& # since the new glasses');
  expect(written).not.toBe(exported);
  await page.keyboard.press('i');
  await page.getByLabel('File to bring in').setInputFiles({
    name: 'desk.yaml',
    mimeType: 'application/yaml',
    buffer: Buffer.from(written),
  });
  await page.getByText('Its comments are not here yet').waitFor();
  await page.keyboard.press('Enter');
  await page.getByText('The comments taken from desk.yaml').waitFor();
  await page.keyboard.press('t');
  await page.locator('.cm-content').getByText('since the new glasses').first().waitFor();
  expect(said).toEqual([]);
  await context.close();
});

it('a file that is no profile yet is told in the list of profiles, and comes in once it is mended', async () => {
  const broken = `${folder.path}/hut.yaml`;
  writeFileSync(broken, 'name: Hut\nmonitors:\n  - { id: wide, width: far, height: 1440 }\n');
  const other = await startServer(`${folder.path}/other.db`, { more: ['--file', broken] });
  try {
    const { page, said, context } = await visit(browser, `${other.url}/profiles`);
    const told = page.locator('[data-file-state=faults]');
    await told.waitFor();
    expect(await told.textContent()).toContain(
      'hut.yaml:3:17: monitors[0].width is "far"; expected',
    );
    writeFileSync(broken, readFileSync(broken, 'utf8').replace('far', '3440'));
    await page.getByRole('button', { name: 'Hut', exact: true }).waitFor();
    await told.waitFor({ state: 'detached' });
    expect(await page.getByRole('listitem').first().textContent()).toContain(`in ${broken}`);
    expect(await faultsOf(page)).toEqual([]);
    expect(said).toEqual([]);
    await context.close();
  } finally {
    await other.stop();
  }
});

it('what is otherwise on this machine is edited and set back by keys, in the file as on the sheet', async () => {
  const { page, said, context } = await visit(browser, `${server.url}/bulletin-desk/desk`);
  await page.locator('[data-window]').first().waitFor();
  const press = async (...keys: string[]) => {
    for (const key of keys) await page.keyboard.press(key);
  };
  const before = text();
  await press('s');
  await page.getByText('holds on hut.example alone').waitFor();
  await page.getByLabel('Scale', { exact: true }).focus();
  await press('Control+a');
  await page.keyboard.type('1.5');
  await press('Enter', 'Escape');
  await page.locator('[data-machine-line="hut.example"]').waitFor();
  // Nothing else in the file is otherwise, and it says the same to the command line.
  await poll(text).toContain('host: hut.example');
  expect(text().startsWith(before.trimEnd())).toBe(true);
  expect(text().slice(before.trimEnd().length)).toMatch(
    /^\nmachines:\n {2}- host: hut.example\n {4}monitors:\n {6}- \{ monitor: lap, scale: 1.5 \}\n$/,
  );
  const session = `${folder.path}/one.json`;
  writeFileSync(session, '{ "desk": "hut", "windows": [{ "id": "a" }] }');
  const widthOn = (machine: string) => {
    const args = [CLI, 'arrange', file, session, '--machine', machine];
    const printed = execFileSync(process.execPath, args, { encoding: 'utf8' });
    return (JSON.parse(printed) as { placements: { width: number }[] }).placements[0]!.width;
  };
  // The window has an outer gap of the demo's 6 logical pixels at each side.
  expect(widthOn('hut.example') - widthOn('elsewhere')).toBe(2 * 6 * (2 - 1.5));
  expect(await faultsOf(page)).toEqual([]);

  // It is so after a reload, too.
  await page.reload();
  await page.locator('[data-machine-line="hut.example"]').waitFor();
  await poll(() => page.getByLabel('Scale', { exact: true }).inputValue()).toBe('1.5');

  // What an editor writes there is on the sheet at once.
  writeFileSync(file, text().replace('scale: 1.5', 'scale: 1.25'));
  await poll(() => page.getByLabel('Scale', { exact: true }).inputValue()).toBe('1.25');
  await page.getByRole('button', { name: 'Set scale back' }).focus();
  await press('Enter');
  await poll(() => page.getByLabel('Scale', { exact: true }).inputValue()).toBe('2');
  await page.getByText('All are alike. This one is hut.example').waitFor();
  await poll(text).toBe(before);
  expect(said).toEqual([]);
  await context.close();
});
