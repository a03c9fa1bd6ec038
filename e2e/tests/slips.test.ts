import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import jsQR from 'jsqr';
import { PNG } from 'pngjs';
import { beforeAll, expect, it } from 'vitest';
import { parse } from 'yaml';
import { visit } from '../desk/browser.ts';
import { fixture } from '../desk/fixture.ts';
import { faultsOf } from '../desk/screens.ts';
import { toView } from '../desk/sheet.ts';

interface Saved {
  boards: { id: string; name?: string }[];
  rules: { id: string }[];
  tiling: { layout?: { kind: string }; growStep: number };
}

const DEMO = JSON.parse(
  readFileSync(
    fileURLToPath(new URL('../../demo/bulletin-desk.profile.json', import.meta.url)),
    'utf8',
  ),
) as Saved;

const running = fixture({ demo: true });
let server: { url: string };
beforeAll(() => ({ server } = running));

/** A profile without boards and rules, made for a test. */
async function otherProfile(name: string): Promise<string> {
  const monitors = [{ id: 'wide', width: 3440, height: 1440 }];
  const answer = await fetch(`${server.url}/api/profiles`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ profile: { name, monitors, tiling: { growStep: 55 } } }),
  });
  return ((await answer.json()) as { id: string }).id;
}

async function saved(id: string): Promise<Saved> {
  const answer = await fetch(`${server.url}/api/profiles/${id}`);
  return ((await answer.json()) as { profile: Saved }).profile;
}

const poll = (read: () => unknown) => expect.poll(read, { timeout: 15_000 });

async function open(id: string, view: string) {
  const visited = await visit(running.browser, `${server.url}/${id}/${view}`);
  await visited.context.grantPermissions(['clipboard-read', 'clipboard-write']);
  await visited.page.getByRole('main').waitFor();
  const press = async (...keys: string[]) => {
    for (const key of keys) await visited.page.keyboard.press(key);
  };
  const clipboard = () => visited.page.evaluate(() => navigator.clipboard.readText());
  const write = (text: string) =>
    visited.page.evaluate((each) => navigator.clipboard.writeText(each), text);
  return { ...visited, press, clipboard, write };
}

it('a board is copied by a key, pasted into another profile, and taken back', async () => {
  const other = await otherProfile('Hut');
  const { page, press, clipboard, said, context } = await open('bulletin-desk', 'zones');
  await page.locator('[data-board-line]').first().waitFor();
  await press(']');
  await press('Control+c');
  await page.locator('[data-notice]').waitFor();
  const copied = parse(await clipboard()) as { sorn: number; board: Saved['boards'][number] };
  expect(copied.sorn).toBe(4);
  const board = (await saved('bulletin-desk')).boards.find(({ id }) => id === copied.board.id);
  expect(board).toBeDefined();

  await page.goto(`${server.url}/${other}/tiling`);
  await page.getByRole('main', { name: 'Tiling' }).waitFor();
  await press('Control+v');
  const panel = page.getByRole('dialog', { name: 'Paste here?' });
  await panel.waitFor();
  expect(await panel.locator('[data-item]').count()).toBe(1);
  expect(await panel.locator('[data-item]').getAttribute('data-kind')).toBe('added');
  expect(await faultsOf(page)).toEqual([]);
  expect((await saved(other)).boards).toEqual([]);
  await press('Enter');
  await panel.waitFor({ state: 'detached' });
  await poll(async () => (await saved(other)).boards).toEqual([board]);
  // Nothing else came with it, and once more there is nothing to bring.
  expect((await saved(other)).tiling.growStep).toBe(55);
  await press('Control+v');
  await page.getByText('nothing that is not so here already').waitFor();
  await press('Escape');
  await press('Control+z');
  await poll(async () => (await saved(other)).boards).toEqual([]);
  expect(said).toEqual([]);
  await context.close();
});

it('what is in the way comes beside it; what is no slip is told, and changes nothing', async () => {
  const { page, press, write, clipboard, said, context } = await open('bulletin-desk', 'rules');
  await page.locator('[data-rule]').first().waitFor();
  await press('Control+c');
  await page.locator('[data-notice]').waitFor();
  const { rule } = parse(await clipboard()) as { rule: { id: string; when: unknown } };
  expect(rule.id).toBe(DEMO.rules[0]!.id);
  const before = await saved('bulletin-desk');

  await write(
    JSON.stringify({ sorn: 4, rule: { ...rule, when: { all: [{ of: 'title', has: 'x' }] } } }),
  );
  await press('Control+v');
  await page.locator('[data-item][data-kind=conflict][data-taking=both]').waitFor();
  await press('Enter');
  await poll(async () => (await saved('bulletin-desk')).rules.map(({ id }) => id)).toEqual([
    ...before.rules.map(({ id }) => id),
    `${rule.id}-2`,
  ]);
  await press('Control+z');
  await poll(async () => (await saved('bulletin-desk')).rules).toEqual(before.rules);

  await write('sorn: 4\nrule: { id: a, then: { held: flaoting } }\n');
  await press('Control+v');
  await page.getByText('rule.then.held: "flaoting"; expected one of').waitFor();
  await write('shopping list');
  await press('Control+v');
  await page.getByText('This cannot be pasted here: expected a board, layout').waitFor();
  expect(await saved('bulletin-desk')).toEqual(before);

  // In a field it is the field's own.
  await press('/');
  await press('Control+v');
  await poll(() => page.locator('input:focus').inputValue()).toBe('shopping list');
  expect(said).toEqual([]);
  await context.close();
});

it('a layout is shared as a QR picture, which another program reads', async () => {
  const { page, press, said, context } = await open('bulletin-desk', 'tiling');
  await page.locator('[data-window]').first().waitFor();
  await press('&');
  const picture = page.locator('[data-qr]');
  await picture.waitFor();
  const text = (await page.locator('[data-slip]').textContent())!;
  expect((parse(text) as { layout: { kind: string } }).layout.kind).toBeTruthy();
  const { data, width, height } = PNG.sync.read(await picture.screenshot({ scale: 'css' }));
  const read = jsQR(new Uint8ClampedArray(data), width, height);
  expect(read?.data).toBe(text);
  expect(await faultsOf(page)).toEqual([]);
  const saves = async (key: string) => {
    const download = page.waitForEvent('download');
    await press(key);
    return readFileSync((await (await download).path())!, 'utf8');
  };
  expect(await saves('s')).toBe(text);
  expect(await saves('q')).toContain('<svg');
  await press('c');
  await page.getByText('Copied. Ctrl V pastes it').waitFor();
  expect(await page.evaluate(() => navigator.clipboard.readText())).toBe(text);
  await press('Escape');

  // Where nothing can be shared, that is said.
  await press('8', '&');
  await page.getByText('Nothing is selected here that can be shared').waitFor();
  expect(said).toEqual([]);
  await context.close();
});

it('a drawing that was exported is brought in as what it shows', async () => {
  const other = await otherProfile('Attic');
  const { page, press, said, context } = await open('bulletin-desk', 'files');
  await press('e');
  // The last thing of the list.
  const last = page.locator('[data-export]').last();
  expect(await last.getAttribute('data-export')).toBe('board-drawing');
  await press(...Array<string>(await page.locator('[data-export]').count()).fill('ArrowDown'));
  const download = page.waitForEvent('download');
  await press('Enter');
  const path = (await (await download).path())!;
  const svg = readFileSync(path, 'utf8');
  expect(svg).toContain('<metadata');
  await page.goto(`${server.url}/${other}/files`);
  await page.getByRole('main', { name: 'Files' }).waitFor();
  await press('i');
  await page.getByLabel('File to bring in').setInputFiles({
    name: 'board.svg',
    mimeType: 'image/svg+xml',
    buffer: Buffer.from(svg),
  });
  await page.locator('[data-item]').waitFor();
  await press('Enter');
  await poll(async () => (await saved(other)).boards).toMatchObject([DEMO.boards[0]!]);
  expect(said).toEqual([]);
  await context.close();
});

it('each view copies what is selected in it', async () => {
  const { page, press, clipboard, said, context } = await open('bulletin-desk', 'tiling');
  await page.locator('[data-window]').first().waitFor();
  const copied = async () => {
    // What was copied before is not taken for it.
    await page.evaluate(() => navigator.clipboard.writeText('nothing yet'));
    await press('Control+c');
    await poll(clipboard).not.toBe('nothing yet');
    return Object.keys(parse(await clipboard()) as object);
  };
  expect(await copied()).toEqual(['sorn', 'layout']);
  for (const [digit, name, kind] of [
    ['3', 'Zones', 'board'],
    ['4', 'Rules', 'rule'],
    ['5', 'Keys', 'binding'],
    ['7', 'Trials', 'trial'],
  ] as const) {
    await toView(page, digit, name);
    expect(await copied()).toEqual(['sorn', kind]);
  }
  await toView(page, '5', 'Keys');
  await press('j');
  await page.locator('[data-list]').first().waitFor();
  expect(await copied()).toEqual(['sorn', 'chain']);
  await press(...Array<string>(await page.locator('[data-list]').count()).fill('ArrowDown'));
  expect(await copied()).toEqual(['sorn', 'menu']);
  // Letters that are marked on the page are copied as anywhere.
  await page.evaluate(() => getSelection()!.selectAllChildren(document.querySelector('footer')!));
  await press('Control+c');
  await poll(clipboard).toContain('all keys');
  expect(said).toEqual([]);
  await context.close();
});

it('what is too long for a picture is told with its length, and pasted all the same', async () => {
  const { page, press, write, said, context } = await open(await otherProfile('Loft'), 'trials');
  const steps = Array.from({ length: 120 }, (_, i) => ({
    command: 'go-workspace',
    which: `W${i}`,
  }));
  await write(JSON.stringify({ sorn: 4, trial: { id: 'long', name: 'A long one', steps } }));
  await press('Control+v');
  await page.getByRole('dialog', { name: 'Paste here?' }).waitFor();
  await press('Enter');
  await page.getByText('1 thing pasted').waitFor();
  await press('&');
  await page.getByRole('dialog', { name: 'Share trial A long one' }).waitFor();
  const bytes = Buffer.byteLength((await page.locator('[data-slip]').textContent())!);
  expect(bytes).toBeGreaterThan(2_953);
  await page.getByText(`${bytes.toLocaleString('en')} bytes, of which 2,953 fit`).waitFor();
  expect(await page.locator('[data-qr]').count()).toBe(0);
  expect(said).toEqual([]);
  await context.close();
});
