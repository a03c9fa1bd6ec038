import { AxeBuilder } from '@axe-core/playwright';
import type { Page } from 'playwright-core';
import { expect, it } from 'vitest';
import { visit } from './browser.ts';
import type { Fixture } from './fixture.ts';

const OF_COLOURS = ['color-contrast', 'link-in-text-block'];

/** In other colours only what is about colours can have changed, and in another size what is not. */
export async function faultsOf(
  page: Page,
  about: 'all' | 'colours' | 'shapes' = 'all',
): Promise<string[]> {
  const axe = new AxeBuilder({ page });
  if (about === 'colours') axe.withRules(OF_COLOURS);
  else {
    const off = about === 'shapes' ? OF_COLOURS : [];
    // What a control is called has what stands on it: who speaks to the page says that.
    const rules = { 'label-content-name-mismatch': { enabled: true } };
    axe.options({
      rules: { ...rules, ...Object.fromEntries(off.map((id) => [id, { enabled: false }])) },
    });
  }
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

export interface Screen {
  name: string;
  path: string;
  keys: string[];
  /** What is there once the keys did what they do. */
  shows?: string;
}

/** Shows the page in the other colours without leaving the screen, and waits until none is in between. */
export function otherColours(page: Page): Promise<void> {
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

/** Each screen by day and by night: no serious fault, no letter too small, and a quiet console. */
export function checkScreens(running: Fixture, screens: readonly Screen[]): void {
  it.each(screens)(
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
}
