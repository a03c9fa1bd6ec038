import { describe, expect, it } from 'vitest';
import { demoPage } from '../desk/demo-page.ts';
import { fixture } from '../desk/fixture.ts';
import { keysView } from '../desk/keys-view.ts';
import { drawnWindows, keyWorks, saved, toView } from '../desk/sheet.ts';

const running = fixture();
const open = demoPage(running, 'rehearse');
const poll = (read: () => Promise<unknown>) => expect.poll(read, { timeout: 20_000 });
const { press, type, textOf, record, last } = keysView(open);
const focused = async () => (await drawnWindows(open.page)).find((window) => window.focused)?.id;
const lines = () => open.page.locator('[data-in-list]').allInnerTexts();

describe('chains and menus, by keys', () => {
  it('the last presses become one key, which is one step', async () => {
    const begun = await drawnWindows(open.page);
    await press('Enter', 'Meta+KeyW', 'Meta+ArrowRight', 'Meta+Shift+ArrowDown', 'F9');
    const done = await drawnWindows(open.page);
    expect(done).not.toEqual(begun);
    await keyWorks(open.page, 'the last presses as one key');
    await press("'");
    await open.page.locator('[data-press]').first().waitFor();
    expect(await open.page.locator('[data-press]').count()).toBe(3);
    await type('Down and aside');
    await press('Enter');
    await record('Meta+F8');
    await saved(open.page);
    await press('j');
    await poll(async () => (await lines()).map((line) => line.replace(/^\d+\s*/, ''))).toEqual([
      'call-app bulletin',
      'put-on-workspace R, follow',
      'call-app post',
    ]);
    await press('ArrowDown');
    await poll(async () => (await lines()).map((line) => line.replace(/^\d+\s*/, ''))).toEqual([
      'float',
      'focus-right',
      'move-down',
    ]);
    // From the desk as it was, one key does all of it, and one undo takes all of it back.
    await toView(open.page, '6', 'Rehearse');
    await press('Enter', 'Meta+Minus', 'Meta+Minus');
    await poll(async () => (await drawnWindows(open.page)).map(({ at }) => at)).toEqual(
      begun.map(({ at }) => at),
    );
    await open.page.locator('[data-window=pitreader-1]').click();
    await poll(focused).toBe('pitreader-1');
    await press('Meta+F8');
    await poll(last).toContain('chain down-and-aside');
    await poll(() => drawnWindows(open.page)).toEqual(done);
    await press('Meta+Minus');
    await poll(async () => (await drawnWindows(open.page)).map(({ at }) => at)).toEqual(
      begun.map(({ at }) => at),
    );
  });

  it('a chain is made by a list, in an order, without leading back to itself', async () => {
    await toView(open.page, '5', 'Keys');
    await press('j', 'n');
    const choose = async (name: string) => {
      await open.page.getByRole('combobox').and(open.page.locator(':focus')).waitFor();
      await type(name);
      await press('Enter');
    };
    await choose('even-out');
    await open.page.locator('input:focus').waitFor();
    await press('Control+a');
    await type('Calm');
    await press('Enter');
    await keyWorks(open.page, 'add a command');
    await press('a');
    await choose('chain bulletin-out');
    await poll(lines).toEqual(['1\neven-out', '2\nchain bulletin-out']);
    await press('{');
    await poll(lines).toEqual(['1\nchain bulletin-out', '2\neven-out']);
    await press(']', '-');
    await poll(lines).toEqual(['1\nchain bulletin-out']);
    // The other chain cannot have this one in it.
    await press('ArrowUp', 'a');
    await open.page.getByRole('combobox').and(open.page.locator(':focus')).waitFor();
    await type('chain ');
    expect(await open.page.getByRole('option', { name: 'chain calm' }).count()).toBe(0);
    await press('Escape');
  });

  it('a menu of one’s own opens over the sheet, and a letter does its entry', async () => {
    await toView(open.page, '5', 'Keys');
    await press('j', 'u');
    await open.page.locator('input:focus').waitFor();
    await press('Control+a');
    await type('Often');
    await press('Enter');
    for (const name of ['call-app radiolog', 'float']) {
      await keyWorks(open.page, 'add a command');
      await press('a');
      await open.page.getByRole('combobox').and(open.page.locator(':focus')).waitFor();
      await type(name);
      await press('Enter');
    }
    // The letter of the app, and the first of the word.
    await poll(lines).toEqual(['R\ncall-app radiolog', 'F\nfloat']);
    await press('t', 'Control+a');
    await type('z');
    await press('Enter');
    await poll(lines).toEqual(['R\ncall-app radiolog', 'Z\nfloat']);
    await press('r');
    await record('Meta+F8');
    await saved(open.page);
    await toView(open.page, '6', 'Rehearse');
    await press('Enter', 'Meta+F8');
    await open.page.getByRole('listbox', { name: 'Menu Often' }).waitFor();
    await press('r');
    await poll(focused).toBe('radiolog-1');
    await press('Meta+F8', 'ArrowDown', 'Enter');
    await poll(async () => {
      const windows = await drawnWindows(open.page);
      return windows.find(({ id }) => id === 'radiolog-1')?.held;
    }).toBe('floating');
    await press('Meta+F8', 'Escape');
    expect(await open.page.getByRole('listbox', { name: 'Menu Often' }).count()).toBe(0);
    expect(await textOf('[data-last-key]')).toContain('float');
    await saved(open.page);
  });
});
