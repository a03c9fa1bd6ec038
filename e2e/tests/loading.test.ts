import { expect, it } from 'vitest';
import { visit } from '../desk/browser.ts';
import { fixture } from '../desk/fixture.ts';
import { saved } from '../desk/sheet.ts';

const running = fixture({ demo: true });
const at = (path: string) => `${running.server.url}${path}`;

it('keys pressed while a view is on its way come to it in their order', async () => {
  const { page, context, said } = await visit(running.browser, at('/profiles'));
  let letItCome = () => {};
  const asked = new Promise<void>((resolve) => {
    void page.route(/assets\/FilesView/, async (route) => {
      resolve();
      await new Promise<void>((comes) => (letItCome = comes));
      await route.continue();
    });
  });
  await page.goto(at('/bulletin-desk/tiling'));
  await saved(page);
  await page.keyboard.press('8');
  await asked;
  // T is the page with the text there; here it would be nothing, and the digit goes on to another view from there.
  await page.keyboard.press('t');
  await page.keyboard.press('ArrowDown');
  await page.getByText('Loading…').waitFor();
  letItCome();
  await page.getByRole('textbox', { name: 'The profile as text' }).waitFor();
  expect(said).toEqual([]);
  await context.close();
});

it('what is typed while find-anything is on its way stands in it', async () => {
  const { page, context } = await visit(running.browser, at('/profiles'));
  let letItCome = () => {};
  const asked = new Promise<void>((resolve) => {
    void page.route(/assets\/FindAnything/, async (route) => {
      resolve();
      await new Promise<void>((comes) => (letItCome = comes));
      await route.continue();
    });
  });
  await page.goto(at('/bulletin-desk/tiling'));
  await saved(page);
  await page.keyboard.press('Control+k');
  await asked;
  await page.keyboard.type('rulex');
  await page.keyboard.press('Backspace');
  await page.keyboard.type('s');
  letItCome();
  await expect
    .poll(() => page.getByRole('combobox').inputValue(), { timeout: 20_000 })
    .toBe('rules');
  await page.keyboard.press('Enter');
  await page.getByRole('main', { name: 'Rules' }).waitFor();
  await context.close();
});

it('what is typed before a panel has the focus stands in it, however slow the machine', async () => {
  const { page, context } = await visit(running.browser, at('/bulletin-desk/tiling'));
  await saved(page);
  const slow = await context.newCDPSession(page);
  await slow.send('Emulation.setCPUThrottlingRate', { rate: 8 });
  // The first time it is drawn, and again.
  for (const word of ['retina', 'gaps']) {
    // As from a hand that does not wait for what a press does.
    const { keyboard } = page;
    const hand = [keyboard.down('Control'), keyboard.press('k'), keyboard.up('Control')];
    await Promise.all([...hand, keyboard.type(word)]);
    await expect
      .poll(() => page.getByRole('combobox').inputValue(), { timeout: 20_000 })
      .toBe(word);
    await page.keyboard.press('Escape');
    await page.getByRole('dialog').waitFor({ state: 'detached' });
  }
  await context.close();
});

it('the views that were not looked at are fetched ahead, and keys between two of them get lost nowhere', async () => {
  const { page, context } = await visit(running.browser, at('/bulletin-desk/desk'));
  await saved(page);
  const fetched = () =>
    page.evaluate(() =>
      performance
        .getEntriesByType('resource')
        .flatMap(({ name }) => /assets\/(\w+(?:View|Panel|Anything))-/.exec(name)?.[1] ?? []),
    );
  await expect
    .poll(fetched, { timeout: 10_000 })
    .toEqual(expect.arrayContaining(['ZonesView', 'RulesView', 'KeysView', 'FilesView']));
  // No waiting in between: each digit leads on from wherever the one before led to.
  for (const digit of ['2', '8', '4', '6', '3', '5', '1', '8', 't'])
    await page.keyboard.press(digit);
  await page.getByRole('textbox', { name: 'The profile as text' }).waitFor();
  await page.keyboard.press('Escape');
  await context.close();
});
