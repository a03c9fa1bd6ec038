import type { Page } from 'playwright-core';
import { describe, expect, it } from 'vitest';
import { fixture } from '../desk/fixture.ts';
import { faultsOf } from '../desk/screens.ts';
import { saved } from '../desk/sheet.ts';

const running = fixture({ demo: true });
const poll = (read: () => Promise<unknown>) => expect.poll(read, { timeout: 20_000 });

/** Views by their digits, with the keys of their pages. */
const PLACES: readonly (readonly [view: string, digit: string, pages: readonly string[]])[] = [
  ['Desk', '1', ['w', 'm']],
  ['Tiling', '2', ['p']],
  ['Zones', '3', []],
  ['Rules', '4', ['p']],
  ['Keys', '5', ['l', 'p', 'd', 's', 'c', 'm']],
  ['Rehearse', '6', []],
  ['Files', '8', ['t', 'e', 'i', 'b', 'o', 'r']],
];

async function opened(width: number, height: number, path = 'desk', forced = false) {
  const context = await running.browser.newContext({
    viewport: { width, height },
    reducedMotion: 'reduce',
    forcedColors: forced ? 'active' : 'none',
  });
  const page = await context.newPage();
  await page.goto(`${running.server.url}/bulletin-desk/${path}`);
  await page.getByRole('main').waitFor();
  return { page, context };
}

/** What is wider than the page or its own part of it, and what is drawn with a length below nothing. */
const misfits = (page: Page) =>
  page.evaluate(() => {
    const all = [...document.querySelectorAll<HTMLElement>('*')];
    const scrolls = all.filter(
      (each) =>
        each.scrollWidth > each.clientWidth + 1 &&
        ['auto', 'scroll'].includes(getComputedStyle(each).overflowX),
    );
    const negative = [...document.querySelectorAll('svg *')].filter((each) =>
      ['width', 'height', 'r'].some((length) => parseFloat(each.getAttribute(length) ?? '0') < 0),
    );
    const beyond = all.filter((each) => {
      const { right, width } = each.getBoundingClientRect();
      return (
        width > 0 &&
        right > innerWidth + 1 &&
        each.matches('main button, main input, main h2, header *')
      );
    });
    return [
      ...(document.documentElement.scrollWidth > innerWidth ? ['the page'] : []),
      ...[...scrolls, ...negative, ...beyond].map((each) => each.outerHTML.slice(0, 120)),
    ];
  });

describe('a page', () => {
  it.each([
    [640, 400],
    [390, 800],
  ])(
    'of %i × %i shows every view, and its inspector as a sheet of its own',
    async (width, height) => {
      const { page, context } = await opened(width, height);
      for (const [view, digit, pages] of PLACES) {
        await page.keyboard.press(digit);
        await page.getByRole('main', { name: view }).waitFor();
        await poll(() => page.title()).toBe(`${view} · Bulletin desk · Sorn`);
        await page.getByRole('heading', { level: 1, name: view }).waitFor({ state: 'attached' });
        for (const key of ['', ...pages]) {
          if (key !== '') await page.keyboard.press(key);
          await poll(() => misfits(page)).toEqual([]);
        }
        expect(await faultsOf(page, 'shapes')).toEqual([]);
        // The view has all of the room until the inspector is asked for, and then gives it up to it.
        const sheet = page.getByRole('complementary', { name: 'Inspector' });
        expect(await sheet.count()).toBe(0);
        await page.keyboard.press('\\');
        const [main, inspector] = await Promise.all([
          page.getByRole('main').boundingBox(),
          sheet.boundingBox(),
        ]);
        expect(inspector!.width).toBeGreaterThan(main!.width - 3);
        expect(await misfits(page)).toEqual([]);
        if (view === 'Tiling') expect(await faultsOf(page, 'shapes')).toEqual([]);
      }
      await context.close();
    },
  );

  it('in forced colours fills what is selected in the colours of a selection', async () => {
    const { page, context } = await opened(1280, 800, 'rules', true);
    const fill = (selector: string) =>
      page
        .locator(selector)
        .first()
        .evaluate((element) => getComputedStyle(element).backgroundColor);
    const [chosen, plain] = await page.evaluate(() => {
      const probe = document.body.appendChild(document.createElement('i'));
      return ['Highlight', 'Canvas'].map((colour) => {
        probe.style.forcedColorAdjust = 'none';
        probe.style.backgroundColor = colour;
        return getComputedStyle(probe).backgroundColor;
      });
    });
    expect(chosen).not.toBe(plain);
    await poll(() => fill('li[data-selected=true]')).toBe(chosen);
    expect(await fill('nav a[aria-current=page]')).toBe(chosen);
    expect(await fill('[role=radio][aria-checked=true]')).toBe(chosen);
    expect(await fill('[role=radio][aria-checked=false]')).not.toBe(chosen);
    await page.keyboard.press('5');
    await page.getByRole('main', { name: 'Keys' }).waitFor();
    await poll(() => fill('tr[data-selected=true] td')).toBe(chosen);
    // Drawings take the system's colours too: the focused window is framed in that of a selection.
    await page.keyboard.press('2');
    await poll(() =>
      page
        .locator('.focus-frame')
        .first()
        .evaluate((element) => getComputedStyle(element).stroke),
    ).toBe(chosen);
    await context.close();
  });

  it('frames the focused window in any colour, warns of one that is hard to see, and gives way to the system’s', async () => {
    const { page, context } = await opened(1280, 800, 'tiling');
    await page.locator('[data-window]').first().waitFor();
    const frame = () =>
      page
        .locator('.focus-frame')
        .first()
        .evaluate((element) => getComputedStyle(element).stroke);
    const first = await frame();
    await page.keyboard.press('Control+k');
    await page.getByRole('combobox', { name: 'Find anything' }).waitFor();
    await page.keyboard.type('focus frame color');
    await page.locator('[cmdk-item]').first().waitFor();
    await page.keyboard.press('Enter');
    const hues = page.getByRole('radiogroup', { name: 'Colour of the focus frame' });
    await poll(() => hues.evaluate((e) => e.contains(document.activeElement))).toBe(true);
    // Past the first of the page's own colours stands one's own.
    await page.keyboard.press('ArrowLeft');
    const field = page.getByLabel('Own colour of the focus frame');
    await field.waitFor();
    await page.keyboard.press('Tab');
    await page.keyboard.type('e8d44d');
    await page.keyboard.press('Enter');
    await poll(frame).toBe('rgb(232, 212, 77)');
    const said = page.locator('[data-frame-contrast]');
    // A light yellow: hard to see on light windows, well on dark ones.
    await poll(() => said.innerText()).toMatch(/^Hard to see: 1(\.\d)? : 1 by day\. /);
    await field.focus();
    await page.keyboard.type('9d6cc0');
    await page.keyboard.press('Enter');
    await poll(() => said.innerText()).toBe('Seen by day and by night.');
    expect(await faultsOf(page, 'shapes')).toEqual([]);
    await page.keyboard.press('Escape');
    await page.emulateMedia({ forcedColors: 'active' });
    await poll(frame).not.toBe('rgb(157, 108, 192)');
    await page.emulateMedia({ forcedColors: 'none' });
    await poll(frame).toBe('rgb(157, 108, 192)');
    for (let i = 0; i < 3; i++) await page.keyboard.press('Control+z');
    await poll(frame).toBe(first);
    await context.close();
  });

  it('says what undo took back, what order a list is in, and why nothing was done', async () => {
    const { page, context } = await opened(1280, 800, 'tiling');
    const said = () => page.locator('[data-announced]').innerText();
    await page.locator('[data-window]').first().waitFor();
    for (const key of ['e', '6', '2', 'Enter']) await page.keyboard.press(key);
    await page.keyboard.press('Control+z');
    await poll(said).toBe('Taken back: workspace B: lead share 0.62 → 0.58.');
    await page.keyboard.press('Control+y');
    await poll(said).toBe('Done again: workspace B: lead share 0.58 → 0.62.');
    await page.keyboard.press('4');
    await page.getByRole('main', { name: 'Rules' }).waitFor();
    await page.keyboard.press('Alt+ArrowDown');
    const rules = page.locator('main ol').first().getByRole('listitem');
    await poll(said).toContain('is 1 of 7, before Duty Line');
    expect(await rules.nth(1).innerText()).toContain('dutyline');
    await saved(page);
    await page.keyboard.press('6');
    await page.getByRole('main', { name: 'Rehearse' }).waitFor();
    for (const key of ['Enter', 'Meta+KeyJ']) await page.keyboard.press(key);
    await poll(() => page.locator('[data-last-reason]').innerText()).toContain(
      'is the lead already',
    );
    await context.close();
  });
});
