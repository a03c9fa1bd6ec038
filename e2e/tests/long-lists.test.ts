import { expect, it } from 'vitest';
import { LARGE, largeProfile } from '../../bench/large-profile.ts';
import { visit } from '../desk/browser.ts';
import { fixture } from '../desk/fixture.ts';
import { keyWorks, saved } from '../desk/sheet.ts';

const running = fixture();

/** True where the selected row is wholly within the list that scrolls. */
const IN_SIGHT = (row: Element) => {
  let list: Element | null = row.parentElement;
  while (list && !/auto|scroll/.test(getComputedStyle(list).overflowY)) list = list.parentElement;
  const [own, around] = [row.getBoundingClientRect(), list!.getBoundingClientRect()];
  const head = list!.querySelector('thead')?.getBoundingClientRect().height ?? 0;
  return own.top >= around.top + head - 1 && own.bottom <= around.bottom + 1;
};

it('a long list draws what is in sight, follows the selected row, and tells how long it is', async () => {
  const { url } = running.server;
  const id = await largeProfile(url);
  const { page, context, said } = await visit(running.browser, `${url}/${id}/rules`);
  await saved(page);
  await keyWorks(page, 'on, off');
  for (let i = 0; i < 45; i++) await page.keyboard.press('ArrowDown');
  const rule = page.locator('[data-rule][data-selected=true]');
  await expect.poll(() => rule.getAttribute('aria-posinset')).toBe('46');
  expect(await rule.evaluate(IN_SIGHT)).toBe(true);
  expect(await rule.getAttribute('aria-setsize')).toBe(String(LARGE.rules));
  expect(await page.locator('[data-rule]').count()).toBeLessThan(60);
  await rule.locator('[role=switch]').click();
  await expect.poll(() => rule.getAttribute('data-on')).toBe('false');

  await page.keyboard.press('5');
  await page.getByRole('main', { name: 'Keys' }).waitFor();
  await keyWorks(page, 'press to find');
  for (let i = 0; i < 40; i++) await page.keyboard.press('ArrowDown');
  const row = page.locator('[data-binding][data-selected=true]');
  await expect.poll(() => row.evaluate(IN_SIGHT)).toBe(true);
  const all = Number(await page.locator('table[aria-rowcount]').getAttribute('aria-rowcount'));
  expect(all).toBeGreaterThan(LARGE.bindings);
  // The head is the first row, a heading of the group the second: forty further on come forty bindings at least.
  expect(Number(await row.getAttribute('aria-rowindex'))).toBeGreaterThanOrEqual(43);
  expect(await page.locator('[data-binding]').count()).toBeLessThan(60);
  for (let i = 0; i < 30; i++) await page.keyboard.press('ArrowUp');
  await expect.poll(() => row.evaluate(IN_SIGHT)).toBe(true);
  expect(said).toEqual([]);
  await context.close();
});
