import { describe, expect, it } from 'vitest';
import { demoPage } from '../desk/demo-page.ts';
import { fixture } from '../desk/fixture.ts';
import { drawnWindows } from '../desk/sheet.ts';

const running = fixture();
const open = demoPage(running, 'tiling');

const poll = (read: () => Promise<unknown>) => expect.poll(read, { timeout: 20_000 });
const focused = () =>
  open.page.evaluate(() => {
    const { activeElement } = document;
    const group = activeElement?.closest('[role=radiogroup], [role=group]');
    return (group ?? activeElement)?.getAttribute('aria-label') ?? null;
  });
/** Types into find-anything, and takes what it finds first. */
async function find(text: string) {
  await open.page.keyboard.press('Control+k');
  const field = open.page.getByRole('combobox', { name: 'Find anything' });
  await field.waitFor();
  await open.page.keyboard.type(text);
  // A busy browser answers for a key before the page has it.
  await poll(() => field.inputValue()).toBe(text);
  const first = await open.page.locator('[cmdk-item]').first().innerText();
  await open.page.keyboard.press('Enter');
  return first.split('\n')[0];
}

describe('a command is found by what a person says', () => {
  it('a place for the window, in four presses beside its words', async () => {
    expect(await find('left third')).toBe('left third');
    const window = async () => {
      const { at, size } = (await drawnWindows(open.page)).find(({ app }) => app === 'pitreader')!;
      return [at, size];
    };
    // Of the work area less the outer gap of 6: a third of 3428 and one gap of 10, less that gap.
    await poll(window).toEqual(['6,34', `${(3428 + 10) / 3 - 10} × 1400`]);
  });

  it('sends the window to a workspace by its name, and goes to another by its title', async () => {
    expect(await find('send maps')).toBe('Window to M Maps');
    await poll(
      async () =>
        (await drawnWindows(open.page)).find(({ app }) => app === 'pitreader') === undefined,
    ).toBe(true);
    expect(await find('station feed')).toContain('Station Feed');
    await poll(
      async () => (await drawnWindows(open.page)).find(({ focused }) => focused)?.app,
    ).toBe('stations');
  });
});

describe('a setting is found by what a person calls it', () => {
  it('and gone to with the focus in it: what is typed next is its value', async () => {
    expect(await find('spacing between windows')).toBe('Inner gap');
    await poll(focused).toBe('Inner gap');
    await open.page.keyboard.type('40');
    await open.page.keyboard.press('Enter');
    // Lead at 0.58 of 3428 less the gap: the figures of the demo with another gap.
    const size = async () =>
      (await drawnWindows(open.page)).find(({ app }) => app === 'pitreader')?.size;
    await poll(size).toBe(`${Math.round((3428 - 40) * 0.58)} × 1400`);
  });

  it.each([
    ['ratio percent main', 'Lead share', 'Lead share'],
    ['retina', 'Scale of the monitor', 'Scale'],
    ['opposite reverse', 'The opposite key', 'The opposite key'],
    ['rule steal activate', 'Rule: takes the focus', 'Takes the focus'],
    ['macro pad codes', 'Further inputs of a device', 'Further inputs'],
    ['tap timeout', 'When a tap becomes a hold', 'A hold, not a tap, after'],
    ['animation', 'Time of motion', 'Motion time'],
  ])('%s', async (typed, text, control) => {
    expect(await find(typed)).toBe(text);
    await poll(focused).toBe(control);
  });

  it('in the text of the profile where it has no control: the cursor is at its field', async () => {
    expect(await find('icon image')).toBe('Icon of an app');
    await poll(() =>
      open.page.locator('.cm-content').evaluate((e) => e === document.activeElement),
    ).toBe(true);
    // No app of the demo has an icon: the first app is where one would stand.
    await poll(() => open.page.locator('.cm-activeLine').innerText()).toContain('pitreader');
  });

  it('and a page of a view by what one does there', async () => {
    expect(await find('cheat sheet')).toBe('Keys: key chart');
    await open.page.getByRole('radio', { name: 'Chart', checked: true }).waitFor();
  });
});

describe('a monitor as people buy it', () => {
  it('is added above the laptop in at most ten presses from Tiling, and leaves no finding', async () => {
    await open.page.evaluate(() => document.body.focus());
    // To the desk with the laptop alone, which is where the count begins.
    await find('Hut');
    await open.page.getByRole('region', { name: 'What would happen' }).waitFor();
    await open.page.keyboard.press('Enter');
    await poll(() => open.page.locator('[data-desk]').getAttribute('data-desk')).toBe('hut');

    const presses = ['1', 'a', '4', 'Shift+ArrowUp'];
    expect(presses.length).toBeLessThanOrEqual(10);
    for (const key of presses) {
      await open.page.keyboard.press(key);
      if (key === '1') await open.page.getByRole('main', { name: 'Desk' }).waitFor();
      if (key === 'a') await open.page.getByRole('dialog', { name: 'Add a monitor' }).waitFor();
    }
    const figure = (label: string) =>
      open.page.getByLabel(label, { exact: true }).inputValue().then(Number);
    // 2560 × 1440 over the laptop's 2880 × 1800, middle over middle.
    await poll(async () => [await figure('x'), await figure('y')]).toEqual([160, -1440]);
    await open.page.locator('[data-monitor="monitor-27-inch"]').waitFor();
    // Windows of three monitors are on one now, and say so; of the new monitor there is nothing to say.
    await open.page.keyboard.press('!');
    const findings = open.page.getByRole('dialog', { name: 'Findings' });
    await findings.waitFor();
    expect(await findings.innerText()).not.toContain('27 inch');
  });
});

describe('what is found', () => {
  it('is explained before it is done: what it would do now, or why nothing', async () => {
    await open.page.keyboard.press('Control+k');
    await open.page.getByRole('combobox', { name: 'Find anything' }).waitFor();
    await open.page.keyboard.type('swap-with-lead');
    const explained = open.page.locator('[data-explained]');
    // The lead of the demo has the focus.
    await poll(() => explained.innerText()).toContain('nothing to do');
    const before = await drawnWindows(open.page);
    await open.page.keyboard.press('Control+a');
    await open.page.keyboard.type('float');
    await poll(() => explained.innerText()).toContain('floating');
    expect(await drawnWindows(open.page)).toEqual(before);
  });

  it('gets keys from there: they are pressed next, and do it', async () => {
    await open.page.keyboard.press('Control+k');
    await open.page.getByRole('combobox', { name: 'Find anything' }).waitFor();
    await open.page.keyboard.type('left third');
    await open.page.locator('[data-explained]').waitFor();
    await open.page.keyboard.press('Control+Enter');
    await open.page.getByRole('main', { name: 'Keys' }).waitFor();
    await open.page.getByText(/^Keys for place-at/).waitFor();
    await open.page.keyboard.press('Meta+F11');
    await open.page.getByText('place-at left 1/3 · yours').first().waitFor();
  });

  it('may be an action of another view, which is done there', async () => {
    expect(await find('new virtual desktop')).toBe('new-workspace');
    // It asks over the desk.
    const asked = open.page.getByRole('combobox', { name: 'Letter or name of the new workspace' });
    await asked.waitFor();
    await open.page.keyboard.press('Escape');
    await poll(() => asked.count()).toBe(0);
    expect(await find('Name the workspace')).toBe('Name the workspace');
    await poll(focused).toBe('Name of the workspace');
    expect(await find('heat map')).toBe('Show commands, use or reach on the keyboard');
    await open.page.getByRole('radio', { name: /use/i, checked: true }).first().waitFor();
  });
});
