import { describe, expect, it } from 'vitest';
import { demoPage } from '../desk/demo-page.ts';
import { fixture } from '../desk/fixture.ts';
import { saved } from '../desk/sheet.ts';

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
