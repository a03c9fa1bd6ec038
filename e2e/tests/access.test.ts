import { AxeBuilder } from '@axe-core/playwright';
import type { Page } from 'playwright-core';
import { describe, expect, it } from 'vitest';
import { visit } from '../desk/browser.ts';
import { fixture } from '../desk/fixture.ts';

const running = fixture({ demo: true });

/** In other colours only what is about colours can have changed. */
async function faultsOf(page: Page, about: 'all' | 'colours' = 'all'): Promise<string[]> {
  const axe = new AxeBuilder({ page });
  if (about === 'colours') axe.withRules(['color-contrast', 'link-in-text-block']);
  const { violations } = await axe.analyze();
  return violations
    .filter(({ impact }) => impact === 'serious' || impact === 'critical')
    .flatMap(({ id, nodes }) => nodes.map(({ html }) => `${id}: ${html.slice(0, 160)}`));
}

/** Texts drawn smaller than 11 px. */
function tooSmall(page: Page): Promise<string[]> {
  return page.locator('body *').evaluateAll((elements) =>
    elements
      .filter((element) =>
        [...element.childNodes].some((node) => node.nodeType === 3 && node.textContent?.trim()),
      )
      .filter((element) => parseFloat(getComputedStyle(element).fontSize) < 11)
      .map((element) => element.textContent ?? ''),
  );
}

interface Screen {
  name: string;
  path: string;
  keys: string[];
  /** What is there once the keys did what they do. */
  shows?: string;
}

const SCREENS: Screen[] = [
  { name: 'Tiling', path: '/bulletin-desk/tiling', keys: [] },
  { name: 'Tiling in Columns', path: '/bulletin-desk/tiling', keys: ['ArrowDown', 'p'] },
  { name: 'Rules', path: '/bulletin-desk/rules', keys: [] },
  {
    name: 'Rules with a rule that finds faults, a blank condition and a filter',
    path: '/bulletin-desk/rules',
    keys: ['n', 'u', 'a', 'Escape', '/', 'd', 'u'],
  },
  { name: 'Apps', path: '/bulletin-desk/rules', keys: ['p', 'ArrowDown', 'b'] },
  {
    name: 'Keys with a finding, a search and the use of keys',
    path: '/bulletin-desk/keys',
    keys: ['l', 'm', 'g', 'e', 'v'],
  },
  {
    name: 'keys while they are recorded, in a layer by reach',
    path: '/bulletin-desk/keys',
    keys: ['/', 's', 'a', 'v', 'e', 'Enter', ']', 'v', 'v', 'r'],
  },
  { name: 'layers and bundles of Keys', path: '/bulletin-desk/keys', keys: ['l', 'n', 'u'] },
  { name: 'starters of Keys', path: '/bulletin-desk/keys', keys: ['p', 'ArrowDown'] },
  {
    name: 'devices of Keys, tried',
    path: '/bulletin-desk/keys',
    keys: ['d', 'ArrowDown', 't', 'F8', 'Numpad7', 'Escape'],
  },
  { name: 'suggested keys', path: '/bulletin-desk/keys', keys: ['s', 'v', 'v', 'ArrowDown'] },
  { name: 'saved states', path: '/bulletin-desk/files', keys: ['w'], shows: '[data-revision]' },
  {
    name: 'the profile as text',
    path: '/bulletin-desk/files',
    keys: ['t', 'Enter', 'x', 'x'],
    shows: '[data-editor]',
  },
  {
    name: 'a file to save',
    path: '/bulletin-desk/files',
    keys: ['e', 'ArrowDown'],
    shows: '[data-file]',
  },
  {
    name: 'a file to bring in',
    path: '/bulletin-desk/files',
    keys: ['i'],
    shows: 'input[type=file]',
  },
  {
    name: 'backups, and one that is asked about',
    path: '/bulletin-desk/files',
    keys: ['b', 'n'],
    shows: '[data-backup]',
  },
  {
    name: 'starting over',
    path: '/bulletin-desk/files',
    keys: ['o', 'ArrowDown'],
    shows: '[data-part=boards]',
  },
  { name: 'the first question', path: '/begin', keys: ['2'], shows: '[data-card=laptop]' },
  {
    name: 'the third question',
    path: '/begin',
    keys: ['Enter', 'Enter', '2'],
    shows: '[data-card=home-row]',
  },
  { name: 'the key chart', path: '/bulletin-desk/keys', keys: ['c', 'n'] },
  {
    name: 'Rehearse in a layer of keys',
    path: '/bulletin-desk/rehearse',
    keys: ['Enter', 'Meta+Insert'],
  },
  { name: 'Rehearse', path: '/bulletin-desk/rehearse', keys: [] },
  {
    name: 'Rehearse with a crowd, the sheet with the keyboard',
    path: '/bulletin-desk/rehearse',
    keys: ['i', 'm', 'c', 'w', 'Enter', 'Meta+BracketRight', 'Meta+KeyX'],
  },
  {
    name: 'Rehearse with a list over the sheet',
    path: '/bulletin-desk/rehearse',
    keys: ['Enter', 'Meta+Slash', 's'],
  },
  {
    name: 'Rehearse while a window is shaped and the engine then paused',
    path: '/bulletin-desk/rehearse',
    keys: ['Enter', 'Meta+KeyG', 'ArrowRight', 'Meta+Escape'],
  },
  {
    name: 'Rehearse with places on offer',
    path: '/bulletin-desk/rehearse',
    keys: ['Enter', 'Meta+Control+KeyJ'],
  },
  {
    name: 'Rehearse with a corner pick',
    path: '/bulletin-desk/rehearse',
    keys: ['Enter', 'Meta+KeyC', 'b', 'd'],
  },
  {
    name: 'Rehearse with boards to pick',
    path: '/bulletin-desk/rehearse',
    keys: ['Enter', 'Meta+KeyY', 'b'],
  },
  { name: 'Zones', path: '/bulletin-desk/zones', keys: [']', 'n', 'k'] },
  { name: 'Zones with a board to add', path: '/bulletin-desk/zones', keys: ['b'] },
  { name: 'Tiling by a zone board', path: '/bulletin-desk/zones', keys: ['p', '2'] },
  { name: 'Rehearse in the past', path: '/bulletin-desk/rehearse', keys: ['i', 'm', '[', 'y'] },
  { name: 'all keys', path: '/bulletin-desk/rehearse', keys: ['?'] },
  { name: 'settings', path: '/bulletin-desk/tiling', keys: [','] },
  { name: 'findings', path: '/bulletin-desk/tiling', keys: ['!'] },
  { name: 'find anything', path: '/bulletin-desk/tiling', keys: ['Control+k'] },
  { name: 'Desk', path: '/bulletin-desk/desk', keys: [']'] },
  { name: 'Desk with a monitor to add', path: '/bulletin-desk/desk', keys: ['a'] },
  { name: 'cables, desks and modes', path: '/bulletin-desk/desk', keys: ['x'] },
  { name: 'what would happen', path: '/bulletin-desk/desk', keys: ['x', '2'] },
  { name: 'Rehearse in mirror mode', path: '/bulletin-desk/rehearse', keys: ['x', '=', 'Enter'] },
  { name: 'Profiles', path: '/profiles', keys: [] },
];

/** Shows the page in the other colours without leaving the screen, and waits until none is in between. */
function otherColours(page: Page): Promise<void> {
  return page.evaluate(async () => {
    const { classList } = document.documentElement;
    classList.toggle('dark');
    classList.toggle('light');
    await new Promise(requestAnimationFrame);
    const running = document.getAnimations().filter(({ effect }) => {
      return effect?.getComputedTiming().iterations !== Infinity;
    });
    await Promise.allSettled(running.map(({ finished }) => finished));
  });
}

describe('every screen', () => {
  it.each(SCREENS)(
    '$name has no serious fault by day or night, and a quiet console',
    async (screen) => {
      const { url } = running.server;
      // A profile of its own: what one screen edits is not there on the next.
      const created = await fetch(`${url}/api/demo`, { method: 'POST' });
      const { id } = (await created.json()) as { id: string };
      const { page, context, said } = await visit(
        running.browser,
        url + screen.path.replace('bulletin-desk', id),
      );
      // A view that loads when it is needed has its keys a moment after it is there.
      await page.getByRole('main').waitFor();
      await page.locator('footer kbd').first().waitFor();
      for (const key of screen.keys) await page.keyboard.press(key);
      if (screen.shows) await page.locator(screen.shows).first().waitFor();
      if (screen.keys.some((key) => ['?', ',', '!', 'Control+k'].includes(key))) {
        await page.getByRole('dialog').waitFor();
      }
      expect(await faultsOf(page)).toEqual([]);
      await otherColours(page);
      expect(await faultsOf(page, 'colours')).toEqual([]);
      expect(await tooSmall(page)).toEqual([]);
      expect(said).toEqual([]);
      await context.close();
    },
  );
});
