import { describe, expect, it } from 'vitest';
import { demoPage } from '../desk/demo-page.ts';
import { fixture } from '../desk/fixture.ts';
import { drawnWindows, figuresOf, saved } from '../desk/sheet.ts';

// What a person wants, by keys alone from Tiling, within a number of presses. Letters of names are not counted.

const running = fixture();
const open = demoPage(running, 'tiling');

const poll = (read: () => Promise<unknown>) => expect.poll(read, { timeout: 20_000 });

/** Presses keys, and counts them. */
function counter() {
  let presses = 0;
  return {
    async press(...keys: string[]) {
      for (const key of keys) {
        await open.page.keyboard.press(key);
        presses++;
      }
    },
    /** Types a name, which is not counted. */
    type: (name: string) => open.page.keyboard.type(name),
    count: () => presses,
  };
}

/** What the server has of a part of the profile, once all is saved. */
async function kept(part: string): Promise<unknown> {
  await saved(open.page);
  const answer = await fetch(`${running.server.url}/api/profiles/${open.id}`);
  return ((await answer.json()) as { profile: Record<string, unknown> }).profile[part];
}
const sizeOf = async (app: string) => (await figuresOf(open.page, app))[app];
const focusedLabel = () =>
  open.page.evaluate(() => document.activeElement?.getAttribute('aria-label') ?? '');
const view = (name: string) => open.page.getByRole('main', { name }).waitFor();

describe('a wish', () => {
  it('to name two workspaces and give one a home takes 14 presses at most', async () => {
    const { press, type, count } = counter();
    await press('1');
    await view('Desk');
    await press('w');
    await view('Workspaces');
    await press('Enter');
    await type('Front page');
    await press('Enter', 'ArrowDown', 'Enter');
    await type('Atlas');
    await press('Enter', 'h');
    await type('Built');
    await press('Enter');
    expect(count()).toBeLessThanOrEqual(14);
    await poll(async () => ((await kept('workspaces')) as object[]).slice(0, 2)).toEqual([
      { id: 'B', name: 'Front page', monitor: 'wide' },
      { id: 'M', name: 'Atlas', monitor: 'lap' },
    ]);
    // The sheet tells it: Atlas is at the laptop's tab.
    await poll(() =>
      open.page.locator('[data-monitor=lap] [data-workspace=M] title').textContent(),
    ).toBe('Workspace M, Atlas');
  });
});

describe('a wish for the focused window', () => {
  it('to be in the middle third takes 4 presses at most', async () => {
    const { press, type, count } = counter();
    await press('Control+k');
    await open.page.getByRole('combobox', { name: 'Find anything' }).waitFor();
    await type('middle third');
    await open.page.locator('[cmdk-item]').first().waitFor();
    await press('Enter');
    expect(count()).toBeLessThanOrEqual(4);
    // A third of the length with one gap more, less that gap; the second of three.
    const third = (3428 + 10) / 3;
    await poll(async () => {
      const { at, size } = (await drawnWindows(open.page)).find(({ app }) => app === 'pitreader')!;
      return [at, size];
    }).toEqual([`${6 + third},34`, `${third - 10} × 1400`]);
  });
});

describe('a wish for the layout', () => {
  it('of a lead of 62 %, gaps 12 and 4, and none when alone, takes 16 presses at most', async () => {
    const { press, count } = counter();
    await press('e', '6', '2', '%', 'Enter');
    await press('g', '1', '2', 'Enter');
    await press('o', '4', 'Enter', 'a');
    expect(count()).toBeLessThanOrEqual(16);
    // The work area less the outer gap, and the share of what is left beside the inner gap.
    const inside = 3440 - 2 * 4;
    await poll(() => sizeOf('pitreader')).toBe(`${Math.round(0.62 * (inside - 12))} × 1404`);
    // Alone on a workspace it has all of the work area.
    await open.page.keyboard.press('Control+k');
    await open.page.keyboard.type('send maps');
    await open.page.getByText('Window to M Maps').first().waitFor();
    await open.page.keyboard.press('Enter');
    await open.page.getByRole('dialog').waitFor({ state: 'detached' });
    await open.page.keyboard.press('w');
    await poll(() => sizeOf('pitreader')).toBe('3440 × 1412');
  });

  it('of three columns 25/50/25 with mail always left takes 24 presses at most', async () => {
    const { press, type, count } = counter();
    await press('3');
    await view('Zones');
    await press('b');
    await open.page.getByRole('dialog', { name: 'Add a board' }).waitFor();
    await press('a', 'p', 'k');
    await open.page.getByRole('textbox', { name: 'Name of the zone' }).waitFor();
    await press('a');
    await open.page.getByRole('dialog', { name: 'Always in Quiet left' }).waitFor();
    await type('post');
    await press('Enter');
    expect(count()).toBeLessThanOrEqual(24);
    await open.page.locator('[data-always-here=post]').waitFor();
    // A window of it that opens, wherever one is, stands there.
    await open.page.keyboard.press('6');
    await view('Rehearse');
    await open.page.keyboard.press('p');
    const weights = [1, 2, 1];
    const column = (3428 - 2 * 10) / weights.reduce((a, b) => a + b);
    await poll(async () => {
      const mails = (await drawnWindows(open.page)).filter(({ app }) => app === 'post');
      return mails.map(({ at, size }) => [at.split(',')[0], size.split(' × ')[0]]);
    }).toContainEqual(['6', String(column)]);
  });

  it('of a chat low at the right of the laptop, above and everywhere, takes 22 at most', async () => {
    const { press, type, count } = counter();
    await press('4');
    await view('Rules');
    await press('n', 'a');
    await poll(() => focusedLabel()).toContain('about');
    await press('Tab', 'Tab');
    await type('radiolog');
    await press('Enter', 's');
    await poll(() => focusedLabel()).toBe('Window is');
    await press('f', 'Tab', 'Tab');
    await type('Built');
    await press('Tab', 'Tab', 'Tab', 'End', 'Tab', 'y', 'Tab', 'y', 'Enter');
    expect(count()).toBeLessThanOrEqual(22);
    await poll(async () =>
      ((await kept('rules')) as { when: unknown; then: unknown }[]).map(({ then }) => then),
    ).toContainEqual({
      held: 'floating',
      monitor: 'lap',
      corner: 'lower-right',
      stayAbove: true,
      everywhere: true,
    });
    await open.page.keyboard.press('6');
    await view('Rehearse');
    await open.page.keyboard.press('r');
    // At scale 2 the laptop stands at 280,1440 with 2880 × 1800 px, 40 logical pixels of it reserved below; the outer gap is 6.
    const corner = [280 + 2880 - 2 * 6, 1440 + 1800 - 2 * 40 - 2 * 6];
    await poll(async () => {
      const chats = (await drawnWindows(open.page)).filter(({ app }) => app === 'radiolog');
      return chats
        .filter(({ held }) => held === 'floating')
        .map(({ at, size }) => {
          const [x = 0, y = 0] = at.split(',').map(Number);
          const [width = 0, height = 0] = size.split(' × ').map(Number);
          return [x + width, y + height];
        });
    }).toEqual([corner]);
  });
});
