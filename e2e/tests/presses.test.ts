import { execFileSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Page } from 'playwright-core';
import { beforeAll, describe, expect, it } from 'vitest';
import { visit, type Visit } from '../desk/browser.ts';
import { fixture } from '../desk/fixture.ts';
import { saved, toView } from '../desk/sheet.ts';

const running = fixture({ demo: true });
const root = join(import.meta.dirname, '../..');
let open: Visit;

beforeAll(async () => {
  open = await visit(running.browser, running.server.url);
});

/** A key action as the browser told of it. */
interface Recorded {
  type: string;
  code: string;
  key: string;
  repeat: boolean;
  at: number;
}

/** Has the page write down every key that goes down or up: before the page itself, which lets no other know. */
async function recording(page: Page) {
  await page.addInitScript(() => {
    const list: object[] = [];
    Object.assign(globalThis, { recorded: list });
    for (const type of ['keydown', 'keyup'] as const)
      addEventListener(
        type,
        ({ code, key, repeat }) => list.push({ type, code, key, repeat, at: performance.now() }),
        { capture: true },
      );
  });
  await page.reload();
  await saved(page);
  return () =>
    page.evaluate(() => (globalThis as unknown as { recorded: Recorded[] }).recorded.splice(0));
}

/** What was recorded, as the actions of one press in a script. */
function pressOf(recorded: readonly Recorded[]): object[] {
  return recorded.flatMap(({ type, code, key, repeat, at }, i) => {
    const ms = Math.round(at - (recorded[i - 1]?.at ?? at));
    const action =
      type === 'keyup' ? { up: code } : { down: code, types: key, ...(repeat && { repeat }) };
    return [...(ms > 0 ? [{ wait: ms }] : []), action];
  });
}

/** Every window of the sheet, with where it is drawn to be and how large, in physical pixels. */
const drawnAt = async (page: Page) =>
  (
    await page
      .locator('svg [data-window]')
      .evaluateAll((groups) =>
        groups.map((group) =>
          ['window', 'at', 'size'].map((name) => group.getAttribute(`data-${name}`)).join(' '),
        ),
      )
  ).sort();

interface Played {
  steps: { placements: { id: string; shown: boolean; [side: string]: unknown }[] }[];
}

describe('presses recorded in the page', () => {
  it('stand the windows in the same places through sorn play', async () => {
    const { page } = open;
    const recorded = await recording(page);
    const api = `${running.server.url}/api/profiles/bulletin-desk`;
    const { profile } = (await (await fetch(api)).json()) as { profile: object };
    const kept = await (await fetch(`${api}/session`)).json();
    const { session } = kept as { session: object };
    await toView(page, '6', 'Rehearse');
    await page.keyboard.press('Enter');
    await page.getByText('The sheet has the keyboard').waitFor();
    await recorded();
    const { keyboard } = page;
    const press = async (...keys: string[]) => {
      for (const key of keys) await keyboard.press(key);
    };
    const down = async (...keys: string[]) => {
      for (const key of keys) await keyboard.down(key);
    };
    const up = async (...keys: string[]) => {
      for (const key of keys) await keyboard.up(key);
    };
    // A placing outlined for a while, then taken; another one dropped.
    await down('Meta', 'Control', 'KeyL');
    await page.waitForTimeout(200);
    await down('KeyL');
    await up('KeyL', 'Control', 'Meta');
    await press('Digit1');
    await down('Meta', 'Control', 'KeyI');
    await press('Escape');
    await up('KeyI', 'Control', 'Meta');
    // Choosing among windows while the key is down, and the bare desktop.
    await down('Meta');
    await press('Tab', 'Tab');
    await up('Meta');
    await press('Meta+KeyX');
    // Shaping: a window grows twice, one step is taken back.
    await press('Meta+Enter', 'ArrowRight', 'ArrowDown', 'ArrowRight', 'Backspace', 'Enter');
    // Two blocks of the lettered grid, one kept as a zone, the other on keys of its own.
    await press('Meta+Control+KeyH', 'Space', 'b', 'd', 'Equal', 'Digit1', 'Digit2');
    await press('c', 'e', 'Period', 'Meta+Control+KeyB', 'Escape', 'Meta+Control+KeyB');
    // A board, its second choice, a zone of it.
    await press('Meta+Control+KeyY', 'ArrowDown', 'Digit1', 'Escape');
    const list = await recorded();
    await saved(page);
    const drawn = await drawnAt(page);

    const profileFile = join(running.folder, 'recorded.profile.json');
    const script = join(running.folder, 'recorded.script.json');
    writeFileSync(profileFile, JSON.stringify(profile));
    writeFileSync(script, JSON.stringify({ session, steps: [{ press: pressOf(list) }] }));
    const cli = join(root, 'cli/dist/main.js');
    const text = execFileSync(process.execPath, [cli, 'play', profileFile, script], {
      encoding: 'utf8',
      maxBuffer: 1 << 26,
    });
    const { placements } = (JSON.parse(text) as Played).steps.at(-1)!;
    const played = placements.filter(({ shown }) => shown);
    expect(list.length).toBeGreaterThan(90);
    expect(drawn).toEqual(
      played
        .map(
          ({ id, x, y, width, height }) =>
            `${id} ${String(x)},${String(y)} ${String(width)} × ${String(height)}`,
        )
        .sort(),
    );
    expect(open.said).toEqual([]);
  });
});
