import { describe, expect, it } from 'vitest';
import { demoPage } from '../desk/demo-page.ts';
import { fixture } from '../desk/fixture.ts';
import { drawnWindows, figuresOf } from '../desk/sheet.ts';

const running = fixture();
const open = demoPage(running, 'rehearse');

const poll = (read: () => Promise<unknown>) => expect.poll(read, { timeout: 20_000 });
const press = async (...keys: string[]) => {
  for (const key of keys) await open.page.keyboard.press(key);
};
const focused = async () => (await drawnWindows(open.page)).find((window) => window.focused)?.id;
const find = async () => {
  await press('Control+k');
  await open.page.getByRole('combobox').and(open.page.locator(':focus')).waitFor();
};
const owner = () => open.page.locator('[data-keyboard]').getAttribute('data-keyboard');

describe('Rehearse', () => {
  it('says who has the keyboard, and gives every other key to the bindings', async () => {
    await open.page.getByText('The page has the keyboard').waitFor();
    await press('Enter');
    await open.page.getByText('The sheet has the keyboard').waitFor();
    await press('2', 'i', '?', 'Control+k');
    expect(open.page.url()).toMatch(/rehearse$/);
    expect(await drawnWindows(open.page)).toHaveLength(8);
    expect(await open.page.getByRole('dialog').count()).toBe(0);
    await open.page.getByText('nothing is bound to it').first().waitFor();
    await press('F9', '2');
    await poll(async () => open.page.url()).toMatch(/tiling$/);
  });

  it('takes the keyboard with a click, and gives it back to a press outside', async () => {
    await open.page.locator('[data-window=bulletin-1]').click();
    expect(await owner()).toBe('sheet');
    await poll(focused).toBe('bulletin-1');
    await open.page.getByRole('complementary').click({ position: { x: 300, y: 10 } });
    await poll(owner).toBe('page');
  });

  it('moves the focus across the monitors as they stand', async () => {
    await press('Enter', 'Meta+ArrowRight');
    await poll(focused).toBe('bulletin-1');
    await press('Meta+ArrowRight');
    await poll(focused).toBe('slopecams-1');
    await press('Meta+ArrowLeft');
    await poll(focused).toBe('bulletin-1');
    await press('Meta+ArrowLeft', 'Meta+ArrowDown');
    await poll(focused).toBe('post-1');
    await press('Alt+ArrowRight');
    await poll(focused).toMatch(/^shell/);
  });

  it('sends a window to another monitor, and brings it back', async () => {
    const before = await drawnWindows(open.page);
    await press('Enter', 'Meta+Shift+ArrowDown');
    await poll(() => figuresOf(open.page, 'pitreader')).toEqual({ pitreader: '699 × 1648' });
    await press('Meta+Minus');
    await poll(() => drawnWindows(open.page)).toEqual(before);
  });

  it('puts a window on another workspace by letter, and follows it there', async () => {
    await press('Enter', 'Meta+Shift+Digit1');
    await poll(() => figuresOf(open.page, 'pitreader')).toEqual({});
    await poll(focused).toBe('stations-1');
    await press('Meta+Digit1');
    await poll(() => figuresOf(open.page, 'pitreader')).toEqual({ pitreader: '3428 × 1400' });
    await press('Meta+Alt+Shift+KeyB');
    await poll(async () => (await drawnWindows(open.page)).length).toBe(8);
    await poll(focused).toBe('pitreader-1');
  });

  it('shows a window that is too small, what it has and what it needs', async () => {
    await press('Enter', 'Meta+KeyR', 'Meta+Alt+KeyM', 'Meta+Alt+KeyI');
    await poll(() => open.page.locator('[data-window=post-1] .flag').count()).toBe(1);
    const text = await open.page.locator('[data-window=post-1]').getAttribute('aria-label');
    const [, has, need] = /has (\d+), needs (\d+)/.exec(text ?? '') ?? [];
    const drawn = /(\d+) ×/.exec(text ?? '')?.[1];
    expect([has, need]).toEqual([drawn, '1520']);
    await press('F9', '!');
    await open.page
      .getByRole('dialog')
      .getByText(`Post is ${has} px wide and needs 1520.`)
      .waitFor();
    await press('Escape');
  });

  it('logs keys, commands and reasons', async () => {
    await press('Enter', 'Meta+BracketRight');
    await open.page.getByText('lead share 0.6: it was 0.58').first().waitFor();
    await press('Meta+KeyK');
    await open.page.getByText('nothing to do: Pit Reader is the lead already').waitFor();
    await poll(() => open.page.locator('[data-last-key]').textContent()).toBe('MetaKpromote');
  });

  it('opens utilities floating and a guest screen left alone', async () => {
    await press('c', 'w');
    await poll(async () =>
      (await drawnWindows(open.page)).filter(({ held }) => held !== 'tiled'),
    ).toEqual([
      expect.objectContaining({ app: 'dutyline', held: 'floating' }),
      expect.objectContaining({ app: 'wxguest', held: 'left-alone', size: '1280 × 1024' }),
    ]);
    await open.page.getByRole('img', { name: /^Duty Line, floating.* 840 × 240/ }).waitFor();
    expect(await figuresOf(open.page, 'pitreader')).toEqual({ pitreader: '1982 × 1400' });
  });

  it('finds anything by typing', async () => {
    await find();
    await open.page.keyboard.type('tour');
    await press('Enter');
    await poll(async () => (await drawnWindows(open.page)).some(({ app }) => app === 'notes')).toBe(
      true,
    );
    await find();
    await open.page.keyboard.type('columns');
    await press('Enter');
    await poll(async () => (await figuresOf(open.page, 'notes'))['notes']).toMatch(/ × 1400$/);
  });

  it('changes the reserved key and the main modifier by setting', async () => {
    await press(',');
    await open.page.getByRole('radio', { name: 'F8' }).click();
    await open.page.getByRole('radiogroup', { name: 'Main modifier' }).getByText('Ctrl').click();
    await press('Escape');
    await open.page.getByRole('dialog').waitFor({ state: 'detached' });
    await press('Enter', 'F9', 'Control+ArrowRight', 'F8');
    await poll(focused).toBe('bulletin-1');
    expect(await owner()).toBe('page');
  });

  it('draws 500 windows and goes on taking keys', async () => {
    const read = await fetch(`${running.server.url}/api/profiles/${open.id}/session`);
    const base = read.headers.get('etag')!;
    const windows = Array.from({ length: 500 }, (_, i) => ({
      id: `w${i}`,
      app: 'notes',
      workspace: 'B',
    }));
    await open.page.goto('about:blank');
    const put = await fetch(`${running.server.url}/api/profiles/${open.id}/session`, {
      method: 'PUT',
      headers: { 'Content-Type': 'application/json', 'If-Match': base },
      body: JSON.stringify({ windows, desk: 'office' }),
    });
    expect(put.status).toBe(200);
    await open.page.goto(`${running.server.url}/${open.id}/rehearse`);
    await poll(() => open.page.locator('[data-window]').count()).toBe(500);
    await press('Enter', 'Meta+Space', 's');
    await open.page.getByText('Middle lead on workspace B: it was Lead').first().waitFor();
    await press('Meta+KeyC');
    await poll(() => open.page.locator('[data-window]').count()).toBe(499);
  });
});

describe('a window that is pulled', () => {
  /** Pulls the middle of a window to the middle of something, and holds it there. */
  async function pull(id: string, to: string) {
    const middle = async (selector: string) => {
      const box = (await open.page.locator(selector).first().boundingBox())!;
      return [box.x + box.width / 2, box.y + box.height / 2] as const;
    };
    const from = await middle(`svg [data-window="${id}"]`);
    const there = await middle(to);
    await open.page.mouse.move(...from);
    await open.page.mouse.down();
    await open.page.mouse.move((from[0] + there[0]) / 2, (from[1] + there[1]) / 2);
    await open.page.mouse.move(...there);
  }
  const says = () => open.page.locator('[data-pull-says]').innerText();
  const at = async (id: string) =>
    (await drawnWindows(open.page)).find((each) => each.id === id)?.at;

  it('exchanges with the one it is let go on, and stays where Escape drops it', async () => {
    const lead = await at('pitreader-1');
    await pull('pitreader-1', 'svg [data-window="stations-1"]');
    await poll(says).toBe('exchange with Station Feed');
    await press('Escape');
    await open.page.mouse.up();
    await poll(() => open.page.locator('[data-pulled]').count()).toBe(0);
    expect(await at('pitreader-1')).toBe(lead);
    await pull('pitreader-1', 'svg [data-window="stations-1"]');
    await open.page.mouse.up();
    // The lead is 1982 wide from 6 on, the tile below the first one 695 high from 34 on; gaps of 10.
    await poll(() => at('pitreader-1')).toBe(`${6 + 1982 + 10},${34 + 695 + 10}`);
    await poll(async () => (await at('stations-1'))?.split(',')[0]).toBe('6');
    await poll(focused).toBe('pitreader-1');
  });

  it('goes to the workspace on whose letter it is let go, and to another monitor’s window', async () => {
    await pull('pitreader-1', 'svg [data-workspace=M]');
    await poll(says).toBe('to workspace M');
    await open.page.mouse.up();
    await poll(() => at('pitreader-1')).toBeUndefined();
    await pull('bulletin-1', 'svg [data-window="radiolog-1"]');
    await poll(says).toBe('exchange with Radio Log');
    await open.page.mouse.up();
    // It takes the place of the radio log on the tall monitor, which begins at 3440.
    await poll(async () => Number((await at('bulletin-1'))?.split(',')[0])).toBeGreaterThan(3440);
    await poll(async () => (await drawnWindows(open.page)).length).toBe(7);
  });
});
