import { describe, expect, it } from 'vitest';
import { edidBytes } from '../../core/src/testing/edid.ts';
import { demoPage } from '../desk/demo-page.ts';
import { fixture } from '../desk/fixture.ts';
import { drawnWindows, saved, toView } from '../desk/sheet.ts';

const running = fixture();
const open = demoPage(running, 'desk');

const poll = (read: () => Promise<unknown>) => expect.poll(read, { timeout: 20_000 });
const press = async (...keys: string[]) => {
  for (const key of keys) await open.page.keyboard.press(key);
};
const window = async (id: string) =>
  (await drawnWindows(open.page)).find((each) => each.id === id) ?? null;
const deskIs = () => open.page.locator('[data-desk]').getAttribute('data-desk');
const figure = async (label: string) =>
  Number(await open.page.getByLabel(label, { exact: true }).inputValue());
const chosen = () => open.page.locator('[data-chosen]').getAttribute('data-chosen');
const shown = (workspace: string) =>
  open.page.locator(`[data-workspace="${workspace}"]`).getAttribute('data-shown');
const ways = async () =>
  (
    await open.page
      .locator('[data-way]')
      .evaluateAll((groups) => groups.map((group) => group.getAttribute('data-way') ?? ''))
  ).sort();

/** Opens the panel of an EDID file by key, and gives it one. */
async function giveEdid(name: string, bytes: Uint8Array) {
  // Listened for before: the page is told of it in its own time.
  const chooser = open.page.waitForEvent('filechooser');
  await press('a');
  await open.page.getByRole('dialog', { name: 'Add a monitor' }).waitFor();
  await press('f');
  await (
    await chooser
  ).setFiles({ name, mimeType: 'application/octet-stream', buffer: Buffer.from(bytes) });
}

/** Does something by one key of the panel of cables, desks and modes, and answers with Enter. */
async function connect(key: string) {
  await press('x');
  await open.page.getByRole('dialog', { name: 'Cables, desks and modes' }).waitFor();
  await press(key);
  await open.page.getByRole('region', { name: 'What would happen' }).waitFor();
  await press('Enter');
  await poll(() => open.page.getByRole('region', { name: 'What would happen' }).count()).toBe(0);
}

describe('a monitor from an EDID file', () => {
  it('is put above the laptop, gets a window, loses its cable, and has the window again', async () => {
    await connect('b');
    await poll(deskIs).toBe('hut');

    await giveEdid('wide.bin', edidBytes({ name: 'Hut Wide', serialText: 'OP-0007' }));
    const told = await open.page.locator('[data-edid]').innerText();
    expect(told).toContain('3440 × 1440 at 59.97 Hz');
    expect(told).toContain('800 × 335 mm');
    await press('Enter');
    await poll(() => open.page.locator('[data-monitor="hut-wide"]').count()).toBe(1);
    // What was added is selected.
    await poll(chosen).toBe('hut-wide');
    expect([await figure('x'), await figure('y')]).toEqual([2880, 0]);

    // Above the laptop by one press: its lower edge meets the laptop's upper one, and the middles meet.
    await press('Shift+ArrowUp');
    await poll(async () => [await figure('x'), await figure('y')]).toEqual([-280, -1440]);
    await poll(ways).toEqual(['hut-wide down lap', 'lap up hut-wide']);
    await press('Control+ArrowLeft', 'Control+ArrowRight');
    await poll(() => figure('x')).toBe(-280);

    // No direction leads anywhere but up from the laptop: the window goes there.
    await toView(open.page, '6', 'Rehearse');
    await press('Enter', 'Meta+Shift+ArrowUp');
    // 3440 × 1440 less the outer gap of 6 on every side, at scale 1.
    const above = { size: '3428 × 1428', at: '-274,-1434', focused: true };
    await poll(() => window('pitreader-1')).toMatchObject(above);

    await press('F9');
    await connect('5');
    // The laptop's 2880 × 1800 at scale 2, less 24 and 40 reserved, less the gap: 2856 × 1648.
    await poll(() => window('pitreader-1')).toMatchObject({ size: '2856 × 1648', at: '12,60' });
    await connect('5');
    await poll(() => window('pitreader-1')).toMatchObject(above);

    // One key takes the plugging back, and another does it again.
    await press('Control+z');
    await poll(() => window('pitreader-1')).toMatchObject({ size: '2856 × 1648' });
    await press('Control+y');
    await poll(() => window('pitreader-1')).toMatchObject(above);
    await saved(open.page);
    await open.page.reload();
    await poll(() => window('pitreader-1')).toMatchObject(above);
  });

  it('that is none is told apart, with what was expected', async () => {
    await giveEdid('cut.bin', edidBytes({}).slice(0, 100));
    const alert = open.page.getByRole('alert');
    await poll(() => alert.innerText()).toBe(
      'cut.bin: the file ends after 100 bytes; expected 128, and 128 more for each extension.',
    );
    await press('Escape');
    await poll(() => open.page.locator('[data-monitor]').count()).toBe(3);
  });
});

describe('what would happen', () => {
  it('is shown before a cable is pulled: two drawings and every move; Escape leaves all as it is', async () => {
    const before = await drawnWindows(open.page);
    await press('x', '2');
    const region = open.page.getByRole('region', { name: 'What would happen' });
    await region.waitFor();
    // Side by side, both within the panel.
    const drawings = await region.locator('svg[aria-label$="drawn to scale"]').all();
    const boxes = await Promise.all(drawings.map(async (each) => (await each.boundingBox())!));
    const panel = (await region.boundingBox())!;
    expect(boxes).toHaveLength(2);
    expect(boxes[0]!.x + boxes[0]!.width).toBeLessThanOrEqual(boxes[1]!.x);
    expect(boxes[1]!.x + boxes[1]!.width).toBeLessThanOrEqual(panel.x + panel.width);
    const moves = await region.locator('[data-moves]').allInnerTexts();
    expect(moves.map((line) => line.split('\t').slice(1, 4))).toEqual([
      ['Slope Cams', 'Korvane Tall 27, S, 1428 × 803', 'Korvane Wide 34, S, not shown'],
      ['Radio Log', 'Korvane Tall 27, S, 1428 × 1015', 'Korvane Wide 34, S, not shown'],
    ]);
    await press('Escape');
    await poll(() => region.count()).toBe(0);
    await poll(() => drawnWindows(open.page)).toEqual(before);
    expect(await deskIs()).toBe('office');
  });

  it('comes true on Enter, and one key takes it back', async () => {
    const before = await drawnWindows(open.page);
    await connect('2');
    await poll(deskIs).toBe('one-bad-morning');
    await press('Control+z');
    await poll(deskIs).toBe('office');
    await poll(() => drawnWindows(open.page)).toEqual(before);
    await press(']', ']', 'Delete');
    await open.page.getByText('Take Korvane Tall 27 off this desk?').waitFor();
    await press('Enter');
    await poll(() => open.page.locator('[data-monitor]').count()).toBe(2);
    await press('Control+z');
    await poll(() => drawnWindows(open.page)).toEqual(before);
  });

  it('says so when no monitor is left: the session waits, and goes on as it was', async () => {
    const before = await drawnWindows(open.page);
    for (const key of ['1', '2', '3']) await connect(key);
    await poll(deskIs).toBe('none');
    expect(await drawnWindows(open.page)).toEqual([]);
    for (const key of ['3', '1', '2']) await connect(key);
    await poll(() => drawnWindows(open.page)).toEqual(before);
  });
});

describe('the selected monitor', () => {
  it('is turned, scaled and gets reserved edges; its windows follow', async () => {
    await press(']');
    await poll(chosen).toBe('lap');
    await press('t');
    // Turned, 1800 × 2880: less 24 and 40 at scale 2, and 12 of gap all around.
    expect([await figure('Width'), await figure('Height')]).toEqual([1800, 2880]);
    const heights = async () => {
      const sizes = (await drawnWindows(open.page)).filter(({ app }) => app === 'post');
      return sizes[0]?.size.split(' × ')[1];
    };
    await poll(heights).toBe(String(2880 - 2 * (24 + 40) - 24));
    await press('e');
    await open.page.keyboard.type('100');
    await press('Enter');
    await poll(heights).toBe(String(2880 - 2 * (100 + 40) - 24));
    expect(await figure('Reserved top on the sheet')).toBe(100);
    await press('Control+z', 'Control+z');
    await poll(heights).toBe(String(1800 - 2 * (24 + 40) - 24));
  });

  it('is lined up in millimetres with the one beside it', async () => {
    await press(']', ']');
    await poll(chosen).toBe('tall');
    // 560 px above the wide one's upper edge; that has 1440 px in 335 mm.
    expect(await figure('Off in millimetres')).toBeCloseTo((-560 * 335) / 1440, 1);
    await press('l');
    await open.page.keyboard.type('-100');
    await press('Enter');
    await poll(() => figure('y')).toBe(Math.round((-100 * 1440) / 335));
  });

  it('is found where it overlaps another', async () => {
    await press(']', ']');
    await poll(chosen).toBe('tall');
    await press('g');
    await open.page.keyboard.type('3400');
    await press('Enter');
    await poll(() => open.page.getByRole('button', { name: /finding/ }).innerText()).not.toBe(
      'No findings',
    );
    await press('!');
    await open.page
      .getByText('Korvane Wide 34 and Korvane Tall 27 overlap by 40 × 1440 px on the desk Office.')
      .waitFor();
  });
});

describe('a monitor taken by pointer', () => {
  it('is moved until its edges are in line with the others, and one key takes it back', async () => {
    const handle = open.page.locator('[data-drag="tall"]');
    const box = (await handle.boundingBox())!;
    const scale = box.width / 1440;
    const at = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
    await open.page.mouse.move(at.x, at.y);
    await open.page.mouse.down();
    await open.page.mouse.move(at.x + 3, at.y + 300 * scale, { steps: 4 });
    await open.page.mouse.move(at.x + 2, at.y + 560 * scale + 4, { steps: 4 });
    await open.page.mouse.up();
    await poll(chosen).toBe('tall');
    // Beside the wide one, which ends at 3440, and level with it.
    await poll(async () => [await figure('x'), await figure('y')]).toEqual([3440, 0]);
    await press('Control+z');
    await poll(async () => [await figure('x'), await figure('y')]).toEqual([3440, -560]);
  });
});

describe('a pull that is dropped', () => {
  /** Takes hold of the monitor and pulls it somewhere else. */
  async function pulled() {
    const box = (await open.page.locator('[data-drag="tall"]').boundingBox())!;
    const at = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
    await open.page.mouse.move(at.x, at.y);
    await open.page.mouse.down();
    await open.page.mouse.move(at.x + 60, at.y + 40, { steps: 5 });
    await poll(() => figure('x')).not.toBe(3440);
    return at;
  }
  const stands = async () => [await figure('x'), await figure('y')];

  it('by Escape leaves the monitor where it was, and nothing held', async () => {
    const at = await pulled();
    await press('Escape');
    await poll(stands).toEqual([3440, -560]);
    // The button is still down: the handle does not follow any more.
    await open.page.mouse.move(at.x + 200, at.y + 200, { steps: 5 });
    await open.page.mouse.up();
    await open.page.mouse.move(at.x - 100, at.y, { steps: 5 });
    expect(await stands()).toEqual([3440, -560]);
    // It was one step, which is taken back: undo goes on to the one before, of which there is none here.
    await expect
      .poll(() => open.page.getByRole('button', { name: /undo/i }).isDisabled())
      .toBe(true);
  });

  it('by the system does the same', async () => {
    const at = await pulled();
    await open.page.evaluate(() => {
      const handle = document.querySelector('[data-drag="tall"]')!;
      handle.dispatchEvent(new PointerEvent('pointercancel', { bubbles: true, pointerId: 1 }));
    });
    await poll(stands).toEqual([3440, -560]);
    await open.page.mouse.move(at.x + 200, at.y + 200, { steps: 5 });
    await open.page.mouse.up();
    expect(await stands()).toEqual([3440, -560]);
  });

  it('and one that is not is one step, however long it took', async () => {
    const at = await pulled();
    await open.page.waitForTimeout(1_400);
    await open.page.mouse.move(at.x + 90, at.y + 70, { steps: 5 });
    await open.page.mouse.up();
    await press('Control+z');
    await poll(stands).toEqual([3440, -560]);
  });
});

describe('the sheet', () => {
  it('is steered by wheel, pull and pinch, and one key fits it again', async () => {
    const scaleNow = async () =>
      Number((await open.page.getByText(/^1 : /).first().innerText()).replace('1 : ', ''));
    const fitted = await scaleNow();
    const box = (await open.page.locator('.sheet').boundingBox())!;
    await open.page.mouse.move(box.x + 30, box.y + box.height - 60);
    await open.page.mouse.wheel(0, -300);
    await poll(scaleNow).toBeLessThan(fitted);
    await press('0');
    await poll(scaleNow).toBe(fitted);
    // A pinch on a touchpad comes as a wheel with Control.
    await open.page.keyboard.down('Control');
    await open.page.mouse.wheel(0, -20);
    await open.page.keyboard.up('Control');
    await poll(scaleNow).toBeLessThan(fitted);
    await press('0');
    await poll(scaleNow).toBe(fitted);
    const left = async () => (await open.page.locator('[data-drag="wide"]').boundingBox())!.x;
    const before = await left();
    await open.page.mouse.down();
    await open.page.mouse.move(box.x + 110, box.y + box.height - 60, { steps: 4 });
    await open.page.mouse.up();
    await poll(async () => Math.round((await left()) - before)).toBe(80);
    await press('+');
    await poll(scaleNow).toBeLessThan(fitted);
    await press('0');
    await poll(scaleNow).toBe(fitted);
  });
});

describe('a profile without desks', () => {
  it('has its desk written down by the first change there', async () => {
    const created = await fetch(`${running.server.url}/api/profiles`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({
        profile: {
          name: 'Bare',
          monitors: [{ id: 'main', width: 1920, height: 1080 }],
          tiling: { pastLastMonitor: 'wrap' },
        },
      }),
    });
    const { id } = (await created.json()) as { id: string };
    await open.page.goto(`${running.server.url}/${id}/desk`);
    await poll(deskIs).toBe('made-up');
    await press('a');
    await open.page.getByRole('dialog', { name: 'Add a monitor' }).waitFor();
    await press('4');
    await poll(deskIs).toBe('desk');
    await poll(ways).toEqual(['main right monitor-27-inch', 'monitor-27-inch left main']);
    // Past the last one a direction comes in again at the first.
    await toView(open.page, '6', 'Rehearse');
    const has = (monitor: string) =>
      open.page.locator(`[data-monitor="${monitor}"] .monitor-focus`).count();
    await press('Enter', 'Meta+Alt+ArrowRight');
    await poll(() => has('monitor-27-inch')).toBe(1);
    await press('Meta+ArrowRight');
    await poll(() => has('main')).toBe(1);
  });
});

describe('homes and modes', () => {
  it('a workspace is at home by role, on this desk and the next', async () => {
    await press('w');
    const home = open.page.getByLabel('Home of the workspace', { exact: true });
    await home.selectOption('tallest');
    await poll(() => shown('B')).toBe('true');
    // Tall: 1440 wide, less the outer gap; the lead is on top there.
    await poll(async () => (await window('pitreader-1'))?.size.split(' × ')[0]).toBe('1428');
    await connect('b');
    await poll(async () => (await window('pitreader-1'))?.at).toBe('12,60');
  });

  it('the mode is stepped through by key, and taken on Enter or dropped', async () => {
    await toView(open.page, '6', 'Rehearse');
    await press('Enter');
    await open.page.keyboard.down('Meta');
    await press('F12');
    await open.page.getByRole('option', { name: /Mirror/, selected: true }).waitFor();
    await press('Escape');
    await open.page.keyboard.up('Meta');
    await poll(() => open.page.locator('[data-other-monitor]').count()).toBe(0);
    await open.page.keyboard.down('Meta');
    await press('F12', 'F12', 'Enter');
    await poll(() => open.page.locator('[data-other-monitor]').count()).toBe(2);
    await open.page.keyboard.up('Meta');
    await open.page.getByText('Korvane Wide 34 alone is lit').first().waitFor();
    await press('Meta+Minus');
    await poll(() => open.page.locator('[data-other-monitor]').count()).toBe(0);
  });
});
