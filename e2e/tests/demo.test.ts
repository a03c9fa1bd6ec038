import type { Page } from 'playwright-core';
import { beforeAll, describe, expect, it } from 'vitest';
import { visit, type Visit } from '../desk/browser.ts';
import { fixture } from '../desk/fixture.ts';
import { startServer } from '../desk/server.ts';
import { drawnWindows, figuresOf, saved, toView } from '../desk/sheet.ts';

const running = fixture({ demo: true });
let open: Visit;
let page: Page;

beforeAll(async () => {
  open = await visit(running.browser, running.server.url);
  page = open.page;
});

const press = async (...keys: string[]) => {
  for (const key of keys) await page.keyboard.press(key);
};
const THREE = ['pitreader', 'bulletin', 'stations'] as const;
const figures = () => figuresOf(page, ...THREE);
const poll = (read: () => Promise<unknown>) => expect.poll(read, { timeout: 20_000 });

/** Lead and rest of the wide monitor by the definition: 3440 px less gaps of 6, 10 and 6. */
function wide(share: number) {
  const lead = Math.floor(3418 * share + 0.5 + 1e-6);
  return { lead: `${lead} × 1400`, rest: `${3418 - lead} × 695` };
}

describe('the demo, by keys alone', () => {
  it('opens on the Office desk with the morning’s windows', async () => {
    await poll(async () => (await drawnWindows(page)).length).toBe(8);
    expect(page.url()).toBe(`${running.server.url}/bulletin-desk/tiling`);
    expect(await figuresOf(page, 'pitreader', 'bulletin', 'slopecams', 'radiolog', 'post')).toEqual(
      {
        pitreader: '1982 × 1400',
        bulletin: '1436 × 695',
        slopecams: '1428 × 1523',
        radiolog: '1428 × 1015',
        post: '1520 × 1648',
      },
    );
  });

  it('tiles three apps on the empty workspace 1 as the worked example says', async () => {
    await toView(page, '6', 'Rehearse');
    await press('Enter', 'Meta+Digit1');
    await poll(async () => (await drawnWindows(page)).length).toBe(5);
    await press('F9', 'i', 'b', 's');
    await poll(async () => (await drawnWindows(page)).length).toBe(8);
    await toView(page, '2', 'Tiling');
    await press(...Array<string>(8).fill(']'));
    await poll(figures).toEqual({
      pitreader: '1982 × 1400',
      bulletin: '1436 × 695',
      stations: '1436 × 695',
    });
    const at = Object.fromEntries(
      (await drawnWindows(page)).map((window) => [window.app, window.at]),
    );
    expect([at['pitreader'], at['bulletin']]).toEqual(['6,34', '1998,34']);
    expect(await page.getByLabel('Lead share on the sheet').inputValue()).toBe('0.58');
    expect(await page.locator('[data-figure=lead-pixels]').textContent()).toBe('1982');
  });

  it('widens the lead, swaps, floats and takes back by real key presses', async () => {
    await toView(page, '6', 'Rehearse');
    await press('Enter', 'Meta+BracketRight');
    const wider = wide(0.6);
    await poll(figures).toEqual({
      pitreader: wider.lead,
      bulletin: wider.rest,
      stations: wider.rest,
    });

    await press('Meta+KeyJ');
    const swapped = { stations: wider.lead, bulletin: wider.rest, pitreader: wider.rest };
    await poll(figures).toEqual(swapped);

    await press('Meta+KeyW');
    await poll(
      async () => (await drawnWindows(page)).find(({ app }) => app === 'stations')?.held,
    ).toBe('floating');
    await poll(async () => (await figures())['bulletin']).toBe(wider.lead);

    await press('Meta+Minus');
    await poll(figures).toEqual(swapped);
    await page.locator('[data-last-key]').getByText('undo').waitFor();
  });

  it('is as it was after a reload at once, and after the server starts again', async () => {
    const before = await drawnWindows(page);
    await page.reload();
    await poll(() => drawnWindows(page)).toEqual(before);
    await saved(page);
    const { port, file } = running.server;
    const url = page.url();
    // Nobody listens meanwhile: a page that does says so in its console.
    await page.goto('about:blank');
    await running.server.stop();
    running.server = await startServer(file, { port });
    await page.goto(url);
    await poll(() => drawnWindows(page)).toEqual(before);
    expect(before.find(({ focused }) => focused)?.app).toBe('stations');
  });

  it('still knows what to take back after the reload', async () => {
    await press('Enter', 'Meta+Minus');
    const { lead, rest } = wide(0.6);
    await poll(figures).toEqual({ pitreader: lead, bulletin: rest, stations: rest });
    await press('Meta+Equal', 'F9');
    await poll(async () => (await figures())['stations']).toBe(lead);
  });

  it('leaves the console empty', () => {
    expect(open.said).toEqual([]);
  });
});
