import { describe, expect, it } from 'vitest';
import { demoPage } from '../desk/demo-page.ts';
import { fixture } from '../desk/fixture.ts';
import { keysView } from '../desk/keys-view.ts';
import { saved, toView } from '../desk/sheet.ts';

const running = fixture();
const open = demoPage(running, 'rehearse');
const poll = (read: () => Promise<unknown>) => expect.poll(read, { timeout: 20_000 });
const { press, type, textOf, does, sentence, findings, commandsFound, record, search, last } =
  keysView(open);

describe('the map of keys, by keys', () => {
  it('a recorded chord that collides shows both, is mended, and is used in Rehearse', async () => {
    await toView(open.page, '5', 'Keys');
    await poll(() => does('KeyB')).toBe('ws B');
    expect(await findings()).toEqual([]);
    await search('stay-above');
    await poll(sentence).toBe('Pressing Meta E in the layer base does stay-above.');
    await press('r');
    await record('Meta+KeyB');

    // Both are told: on the board, in the table and in the checkup.
    await poll(sentence).toBe('Pressing Meta B in the layer base does stay-above.');
    await poll(findings).toEqual(['keys-twice']);
    expect(await open.page.getByTitle('Findings (!)').innerText()).toBe('1 finding');
    await press('f', 'f');
    await poll(commandsFound).toEqual(['stay-above · yours', 'go-workspace B']);
    expect(await textOf('[data-key-finding]')).toContain(
      'Meta B does stay-above, and hides go-workspace B on the same keys.',
    );

    // One key fixes it: the hidden one goes to the nearest free key.
    const way = await open.page.locator('[data-fix=move]').innerText();
    expect(way).toBe('Move go-workspace B to Meta Ctrl B');
    await press('m');
    await poll(findings).toEqual([]);
    await press('f');
    await poll(commandsFound).not.toEqual([]);
    await saved(open.page);

    await toView(open.page, '6', 'Rehearse');
    await press('Enter', 'Meta+KeyB');
    await poll(last).toContain('stay-above');
    await press('Meta+Control+KeyB');
    await poll(last).toContain('go-workspace B');
    await press('Meta+KeyE');
    await poll(last).toContain('no command');
    await press('F9');

    // What was used is counted, by its keys; undo takes the keys back one step after the other.
    await toView(open.page, '5', 'Keys');
    await search('stay-above');
    await poll(() => open.page.locator('[data-selected=true] [data-column=used]').innerText()).toBe(
      '1',
    );
    await press('Control+z', 'Control+z');
    await poll(() => does('KeyB')).toBe('ws B');
    await poll(() => does('KeyE')).toBe('stay above');
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
    const log = open.page.getByRole('list', { name: 'Log' }).locator('li');
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
    await record('Meta+KeyU');
    await poll(sentence).toBe('Pressing Meta U in the layer base does pocket.');
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
    await poll(() => does('KeyU')).toBe('pocket');
  });

  it('keys are typed as words; what would be typed no more or never comes is found, and mended', async () => {
    await toView(open.page, '5', 'Keys');
    await press('k');
    await record('Meta+KeyU');
    const typedAs = async (text: string) => {
      await press('Enter');
      await type(text);
      await press('Enter');
    };
    await typedAs('meta shift f11');
    await poll(sentence).toBe('Pressing Meta Shift F11 in the layer base does pocket.');
    await typedAs('j');
    await poll(sentence).toBe('Pressing J in the layer base does pocket.');
    await poll(findings).toEqual(['keys-typed']);
    await poll(() => textOf('[data-key-finding] p')).toBe(
      'J does pocket: you could no longer type it in any window.',
    );
    // Its first quick fix adds the main modifier, or goes to the nearest key that is free with it.
    await press('m');
    await poll(findings).toEqual([]);
    await poll(sentence).toMatch(/^Pressing Meta \S+ in the layer base does pocket\.$/);
    await typedAs('ctrl alt delete');
    await poll(findings).toEqual(['keys-never']);
    await typedAs('f9');
    await poll(findings).toEqual(['keys-never']);
    await press('m');
    await poll(findings).toEqual([]);
    // A modifier that there is not is refused where it is typed.
    await press('Enter');
    await type('Mainn+KeyP');
    await poll(() => open.page.getByRole('alert').innerText()).toBe(
      'a modifier or a bundle; the nearest is Main',
    );
    await press('Escape');
  });

  it('the board shows what is held, how often keys were used, and their reach', async () => {
    await toView(open.page, '5', 'Keys');
    const holding = () => open.page.locator('[data-holding]').getAttribute('data-holding');
    await poll(holding).toBe('Meta');
    expect(await does('Comma')).toBe('focus previous');
    await open.page.keyboard.down('Shift');
    await poll(holding).toBe('Shift Meta');
    expect(await does('Comma')).toBe('move earlier');
    await open.page.keyboard.up('Shift');
    await poll(holding).toBe('Meta');
    const figure = (code: string) => open.page.locator(`[data-key=${code}] .figure`).innerHTML();
    await press('v');
    await poll(() => figure('ArrowLeft')).toBe('312');
    await press('v');
    // The finger rests on J: a press there counts a half.
    await poll(() => figure('KeyJ')).toBe('0.5');
    // A further trigger for the same command; find-anything leads to it.
    await search('pocket');
    await poll(sentence).toContain('Meta U in the layer base does pocket');
    await press('a');
    await record('Meta+F10');
    await poll(sentence).toBe('Pressing Meta F10 in the layer base does pocket.');
    await poll(() => does('KeyU')).toBe('pocket');
    await toView(open.page, '2', 'Tiling');
    await press('Control+k');
    await type('Meta F10');
    await press('Enter');
    await poll(sentence).toBe('Pressing Meta F10 in the layer base does pocket.');
  });

  it('a held bundle, a tap and a button are recorded as such, and the page goes nowhere', async () => {
    await toView(open.page, '5', 'Keys');
    await press('l', 'u');
    const name = open.page.getByLabel('Name of bundle 1');
    await poll(() => name.inputValue()).toMatch(/\w/);
    const bundle = await name.inputValue();
    await press('g', 'a');
    await open.page.getByRole('status', { name: 'Recording' }).waitFor();
    await open.page.keyboard.down('CapsLock');
    await poll(() => textOf('[data-recorded]')).toContain(bundle);
    await press('KeyK');
    await open.page.keyboard.up('CapsLock');
    await poll(sentence).toBe(`Pressing ${bundle} K in the layer base does focus-previous.`);
    await open.page.getByRole('status', { name: 'Recording' }).waitFor({ state: 'detached' });
    // A tap of the same key, and what is typed right after it: a view by its digit.
    await press('a');
    await open.page.getByRole('status', { name: 'Recording' }).waitFor();
    await press('CapsLock', '2');
    await poll(sentence).toBe('Tapping Caps in the layer base does focus-previous.');
    await open.page.getByRole('status', { name: 'Recording' }).waitFor({ state: 'detached' });
    await press('k');
    await open.page.getByRole('status', { name: 'Recording' }).waitFor();
    const driver = await open.page.context().newCDPSession(open.page);
    const at = { x: 300, y: 500, button: 'forward', clickCount: 1 } as const;
    await driver.send('Input.dispatchMouseEvent', { type: 'mousePressed', ...at });
    await driver.send('Input.dispatchMouseEvent', { type: 'mouseReleased', ...at });
    await poll(sentence).toBe('Pressing Button 5 in the layer base does focus-next.');
    expect(new URL(open.page.url()).pathname).toContain('/keys');
  });

  it('a tap, a button and full screen reach the sheet', async () => {
    await toView(open.page, '5', 'Keys');
    await search('full-screen');
    await press('Enter');
    await type('tap CapsLock');
    await press('Enter');
    await poll(sentence).toBe('Tapping Caps in the layer base does full-screen.');
    await saved(open.page);
    await toView(open.page, '6', 'Rehearse');
    await press('Shift+Enter');
    await poll(() => open.page.evaluate(() => document.fullscreenElement !== null)).toBe(true);
    await poll(() => open.page.locator('[data-keyboard]').innerText()).toContain('full screen');
    await press('CapsLock');
    await poll(last).toContain('full-screen');
    // The button that elsewhere leads back in the history is a key here.
    const box = (await open.page.locator('[data-keyboard]').boundingBox())!;
    const driver = await open.page.context().newCDPSession(open.page);
    const at = {
      x: box.x + 40,
      y: box.y + box.height - 40,
      button: 'back',
      clickCount: 1,
    } as const;
    await driver.send('Input.dispatchMouseEvent', { type: 'mousePressed', ...at });
    await driver.send('Input.dispatchMouseEvent', { type: 'mouseReleased', ...at });
    await poll(last).toContain('focus-previous');
    await press('F9');
    await poll(() => open.page.locator('[data-keyboard]').getAttribute('data-keyboard')).toBe(
      'page',
    );
    expect(new URL(open.page.url()).pathname).toContain('/rehearse');
  });

  it('a sequence does what it says once its first press is free', async () => {
    // One press is all that is recorded, until it is set how long a further one is waited for.
    await press('Control+k');
    await type('recording waits');
    await press('Enter');
    const wait = open.page.getByLabel('When recording, a further press within');
    await poll(() => wait.evaluate((field) => field === document.activeElement)).toBe(true);
    await type('900');
    await press('Enter', 'g', 'n');
    await open.page.getByRole('dialog').waitFor();
    await type('float-all');
    await press('Enter');
    await open.page.getByRole('status', { name: 'Recording' }).waitFor();
    await press('Meta+KeyJ');
    await open.page.locator('[data-wait="900"]').waitFor();
    await record('KeyA');
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
    await poll(last).toMatch(/^Meta\s*J\s*then\s*A\s*float-all$/);
    await follows.waitFor({ state: 'detached' });
  });
});
