import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { demoPage } from '../desk/demo-page.ts';
import { fixture } from '../desk/fixture.ts';
import { saved, toView } from '../desk/sheet.ts';

const running = fixture();
const open = demoPage(running, 'rehearse');

const poll = (read: () => Promise<unknown>) => expect.poll(read, { timeout: 20_000 });
const press = async (...keys: string[]) => {
  for (const key of keys) await open.page.keyboard.press(key);
};
const type = (text: string) => open.page.keyboard.type(text);
const textOf = async (selector: string) => (await open.page.locator(selector).innerText()).trim();
/** What a key of the drawn board says it does. */
const does = (code: string) => open.page.locator(`[data-key="${code}"]`).getAttribute('data-does');
/** The binding in hand, as the inspector tells it. */
const sentence = async () => (await textOf('[data-sentence]')).replace(/\s+/g, ' ');
const findings = () =>
  open.page
    .locator('[data-key-finding]')
    .evaluateAll((lines) => lines.map((line) => line.getAttribute('data-key-finding')));
const commandsFound = () => open.page.locator('[data-binding] [data-command]').allInnerTexts();
/** Records keys: what is pressed goes to the recorder until no further press comes. */
async function record(...keys: string[]) {
  await open.page.getByRole('status', { name: 'Recording' }).waitFor();
  await press(...keys);
  await open.page.getByRole('status', { name: 'Recording' }).waitFor({ state: 'detached' });
}
/** Narrows the table to some words and takes what is first into hand. */
async function search(text: string) {
  await press('/');
  await type(text);
  await press('Enter');
}
const last = () => open.page.locator('[data-last-key]').innerText();

describe('the map of keys, by keys', () => {
  it('a recorded chord that collides shows both, is mended, and is used in Rehearse', async () => {
    await toView(open.page, '5', 'Keys');
    await poll(() => does('KeyB')).toBe('ws B');
    expect(await findings()).toEqual([]);
    await search('next-layout');
    await poll(sentence).toBe('Pressing Meta L in the layer base does next-layout.');
    await press('r');
    await record('Meta+KeyB');

    // Both are told: on the board, in the table and in the checkup.
    await poll(sentence).toBe('Pressing Meta B in the layer base does next-layout.');
    await poll(findings).toEqual(['keys-twice']);
    expect(await open.page.getByTitle('Findings (!)').innerText()).toBe('1 finding');
    await press('f', 'f');
    await poll(commandsFound).toEqual(['next-layout · yours', 'go-workspace B']);
    expect(await textOf('[data-key-finding]')).toContain(
      'Meta B does next-layout, and hides go-workspace B on the same keys.',
    );

    // One key mends it: the hidden one goes to the nearest free key.
    const way = await open.page.locator('[data-mend=move]').innerText();
    const to = /^Move go-workspace B to Meta (\S+)$/.exec(way)?.[1];
    expect(to).toMatch(/^\S$/);
    await press('m');
    await poll(findings).toEqual([]);
    await press('f');
    await poll(commandsFound).not.toEqual([]);
    await saved(open.page);

    await toView(open.page, '6', 'Rehearse');
    await press('Enter', 'Meta+KeyB');
    await poll(last).toContain('next-layout');
    await press(`Meta+${/^\d$/.test(to!) ? 'Digit' : 'Key'}${to}`);
    await poll(last).toContain('go-workspace B');
    await press('Meta+KeyL');
    await poll(last).toContain('no command');
    await press('F9');

    // What was used is counted, by its keys; undo takes the keys back one step after the other.
    await toView(open.page, '5', 'Keys');
    await search('next-layout');
    await poll(() => open.page.locator('[data-in-hand=true] [data-used]').innerText()).toBe('1');
    await press('Control+z', 'Control+z');
    await poll(() => does('KeyB')).toBe('ws B');
    await poll(() => does('KeyL')).toBe('next layout');
  });

  it('a layer is entered for one command, shows what can follow, and Escape leaves it', async () => {
    await press('Enter', 'Meta+Insert');
    const follows = open.page.getByRole('status', { name: 'What can follow' });
    await follows.waitFor();
    expect((await follows.innerText()).replace(/\s+/g, ' ')).toBe(
      'Layer rare S save-lineup F forget-lineup O open-start Esc leads home',
    );
    await press('Escape');
    await follows.waitFor({ state: 'detached' });
    const log = open.page.locator('ol[aria-live] li');
    await poll(() => log.first().innerText()).toContain('left rare');
    // Left, its bare keys do nothing any more.
    await press('KeyS');
    await poll(last).toContain('no command');
    // Entered again, one command leaves it by itself.
    await press('Meta+Insert', 'KeyO');
    await poll(last).toContain('open-start');
    await follows.waitFor({ state: 'detached' });
    await press('KeyO');
    await poll(last).toContain('no command');
    // The focus is lost in the middle of it: nothing of it stays.
    await press('Meta+Insert');
    await follows.waitFor();
    await press('F9');
    await follows.waitFor({ state: 'detached' });
  });

  it('a kept layer without a way out is found, mended, renamed and deleted', async () => {
    await toView(open.page, '5', 'Keys');
    await press('l', 'n', 'Enter');
    await type('far');
    await press('Enter');
    await poll(() => open.page.locator('[data-layer-line]').allInnerTexts()).toEqual([
      expect.stringContaining('rare'),
      expect.stringContaining('until it is left, 0 keys, nothing enters it'),
    ]);
    // Keys for a command in the layer that is shown.
    await press('g', ']', ']', 'n');
    await open.page.getByRole('dialog').waitFor();
    await type('maximise');
    await press('Enter');
    await record('KeyX');
    await poll(sentence).toBe('Pressing X in the layer far does maximise.');
    await poll(findings).toEqual(['layer-unreached', 'layer-stuck']);
    await press('m');
    await poll(findings).toEqual(['layer-stuck']);
    await press('m');
    await poll(findings).toEqual([]);
    await poll(() => does('Escape')).toBe('leave layer');
    await press('l', 'ArrowDown', 'Delete');
    await poll(() => open.page.locator('[data-layer-line]').count()).toBe(1);
    await press('g');
    await poll(findings).toEqual([]);
  });

  it('a binding is found by pressing it, typed anew, limited, pinned and set back', async () => {
    await toView(open.page, '5', 'Keys');
    await press('k');
    await record('Meta+Shift+Period');
    await poll(sentence).toBe('Pressing Meta Shift . in the layer base does move-later.');
    // Nothing is bound to the next: others are asked for.
    await press('k');
    await open.page.getByRole('status', { name: 'Recording' }).waitFor();
    await press('Meta+F11');
    await poll(() => textOf('[aria-label=Recording]')).toContain('Nothing is bound to it');
    await record('Meta+KeyP');
    await poll(sentence).toBe('Pressing Meta P in the layer base does pocket.');
    // Typed: a mistake is told with the nearest that is right.
    await press('Enter');
    await type('Main+KeyPP');
    await poll(() => open.page.getByRole('alert').innerText()).toBe(
      'the code of a key; the nearest is KeyP',
    );
    await press('Escape');
    await poll(() => open.page.evaluate(() => document.activeElement?.tagName)).toBe('BODY');
    await press('Enter');
    await type('Main+KeyK KeyP');
    await press('Enter');
    await poll(sentence).toBe('Pressing Meta K then P in the layer base does pocket.');
    await poll(findings).toEqual(['keys-hidden']);
    await press('b');
    await poll(findings).toEqual([]);
    await poll(() => does('KeyP')).toBe('pocket');
  });

  it('a sequence and a release do what they say', async () => {
    await toView(open.page, '5', 'Keys');
    await press('n');
    await open.page.getByRole('dialog').waitFor();
    await type('float-all');
    await press('Enter');
    await record('Meta+KeyJ', 'KeyA');
    await poll(sentence).toBe('Pressing Meta J then A in the layer base does float-all.');
    // What was on the first of its presses hides it: it goes elsewhere.
    await poll(findings).toEqual(['keys-hidden']);
    await press('m');
    await poll(findings).toEqual([]);
    await toView(open.page, '6', 'Rehearse');
    await press('Enter', 'Meta+KeyJ');
    const follows = open.page.getByRole('status', { name: 'What can follow' });
    await poll(async () => (await follows.innerText()).replace(/\s+/g, ' ')).toBe(
      'After Meta J A float-all Esc leads home',
    );
    await press('KeyA');
    await poll(last).toContain('float-all');
    await follows.waitFor({ state: 'detached' });
  });

  it('the main modifier changes for the whole map, which is checked anew', async () => {
    await toView(open.page, '5', 'Keys');
    await press('l');
    const stated = open.page.getByRole('radiogroup', { name: 'Main modifier' });
    const chosen = () => stated.locator('[aria-checked=true]').innerText();
    expect(await chosen()).toBe('Meta');
    // Meta is the last: the next one is Ctrl, with which text is edited.
    await press('m');
    await poll(chosen).toBe('Ctrl');
    await press('g');
    await poll(async () => (await findings()).length).toBeGreaterThan(3);
    expect(new Set(await findings())).toEqual(new Set(['keys-taken']));
    await search('focus-left');
    await poll(sentence).toContain('Pressing Ctrl ← in the layer base does focus-left.');
    await search('grow-left');
    await poll(sentence).toContain('Pressing Ctrl Meta ← in the layer base does grow-left.');
    await toView(open.page, '6', 'Rehearse');
    await press('Enter', 'Control+ArrowRight');
    await poll(last).toContain('focus-right');
  });

  it('starters show what they would change before they are merged', async () => {
    await toView(open.page, '5', 'Keys');
    await press('p', 'ArrowDown', 'ArrowDown');
    await open.page.locator('[data-starter=arrows] [aria-pressed=true]').waitFor();
    const changes = () =>
      open.page.locator('[data-change] td').evaluateAll((cells) => cells.map((c) => c.textContent));
    await poll(() => open.page.locator('[data-changes]').getAttribute('data-changes')).toBe('8');
    expect((await changes()).slice(0, 3)).toEqual(['Meta←', 'focus-left', 'place-left']);
    await press('Enter');
    await poll(() => open.page.locator('[data-changes]').getAttribute('data-changes')).toBe('0');
    await press('g');
    await poll(() => does('ArrowLeft')).toBe('place left');
    await press('Control+z');
    await poll(() => does('ArrowLeft')).toBe('focus left');
  });

  it('devices are tried, and keys for them are suggested by what was counted', async () => {
    await toView(open.page, '5', 'Keys');
    await press('d', 'ArrowDown', 'ArrowDown', 't');
    await open.page.locator('[data-trying=true]').waitFor();
    await press('F8');
    await open.page.mouse.click(600, 600);
    await press('Escape');
    const state = (code: string) =>
      open.page.locator(`[data-input=${code}]`).getAttribute('data-state');
    await poll(() => state('F8')).toBe('strange');
    expect(await state('Button1')).toBe('arrived');
    expect(await state('Button4')).toBe('declared');
    await press('a');
    await poll(() => state('F8')).toBe('arrived');

    await press('s', 'v', 'v');
    await open.page.locator('[data-suggested]').waitFor();
    const given = () =>
      open.page
        .locator('[data-keys]')
        .evaluateAll((cells) => cells.map((cell) => cell.getAttribute('data-keys')!));
    // Nine buttons beside those that point, and what was just declared.
    await poll(async () => (await given()).length).toBe(10);
    for (const keys of await given()) expect(keys).toMatch(/^(Button([4-9]|1[0-2])|F8)$/);
    expect(await textOf('[data-substitute]')).toContain('go-workspace next');
    expect(await open.page.locator('[data-left-out]').count()).toBeGreaterThan(100);
    await press('Enter', 'g');
    await poll(sentence).toContain('Button');
    await press('Control+z');
    await saved(open.page);
  });

  it('the key chart is saved in the pixels of a monitor, and lists every binding once', async () => {
    await toView(open.page, '5', 'Keys');
    const bindings = await open.page.locator('[data-binding]').count();
    await press('c');
    await open.page.getByRole('img', { name: /^Keys of Bulletin desk/ }).waitFor();
    const savedBy = async (key: string) => {
      const [download] = await Promise.all([open.page.waitForEvent('download'), press(key)]);
      return { name: download.suggestedFilename(), file: readFileSync(await download.path()) };
    };
    for (const [width, height] of [
      [3440, 1440],
      [1440, 2560],
    ]) {
      await poll(() => textOf('[data-chart-size]')).toBe(`${width} × ${height}`);
      const png = await savedBy('i');
      // A PNG tells its size in its first chunk, from byte 16 on.
      expect([png.file.readUInt32BE(16), png.file.readUInt32BE(20)]).toEqual([width, height]);
      await press('w');
    }
    const csv = await savedBy('b');
    expect(csv.file.toString().trim().split('\n')).toHaveLength(bindings + 1);
    const markdown = await savedBy('m');
    expect(markdown.file.toString().match(/^\| <kbd>/gm)).toHaveLength(bindings);
    expect((await savedBy('v')).file.toString()).toContain('<svg');
    expect((await savedBy('h')).file.toString()).toContain('<title>Keys of Bulletin desk');
  });
});
