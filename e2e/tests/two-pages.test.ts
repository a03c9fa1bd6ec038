import type { Page } from 'playwright-core';
import { describe, expect, it } from 'vitest';
import { visit, type Visit } from '../desk/browser.ts';
import { fixture } from '../desk/fixture.ts';
import { drawnWindows, figuresOf, saved, toView } from '../desk/sheet.ts';

const running = fixture({ demo: true });

const poll = (read: () => Promise<unknown>) => expect.poll(read, { timeout: 15_000 });
const lead = async (page: Page) => (await figuresOf(page, 'pitreader'))['pitreader'];
const typeShare = async (page: Page, share: string) => {
  await page.getByLabel('Lead share on the sheet').focus();
  await page.keyboard.type(share);
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
};
/** The width of the lead on Korvane Wide 34: outer gaps of 6, an inner one of 10. */
const leadOf = (share: number) => `${Math.round((3440 - 12 - 10) * share)} × 1400`;

async function two(run: (mine: Visit, theirs: Visit, id: string) => Promise<void>) {
  const created = await fetch(`${running.server.url}/api/demo`, { method: 'POST' });
  const { id } = (await created.json()) as { id: string };
  const url = `${running.server.url}/${id}/tiling`;
  const [mine, theirs] = [await visit(running.browser, url), await visit(running.browser, url)];
  await Promise.all([saved(mine.page), saved(theirs.page)]);
  await poll(async () => (await drawnWindows(theirs.page)).length).toBe(8);
  await run(mine, theirs, id);
  await mine.context.close();
  await theirs.context.close();
}

describe('two pages on one profile', () => {
  it('what one changes comes into the other, which is told what it was', () =>
    two(async (mine, theirs) => {
      await typeShare(theirs.page, '0.6');
      await poll(() => lead(mine.page)).toBe(leadOf(0.6));
      await mine.page.locator('[data-came-in]').getByText('lead share 0.58 → 0.6').waitFor();
      await saved(mine.page);
      await saved(theirs.page);
      // Both go on from there.
      await typeShare(mine.page, '0.4');
      await poll(() => lead(theirs.page)).toBe(leadOf(0.4));
      expect([...mine.said, ...theirs.said]).toEqual([]);
    }));

  it('what both do on the desk comes into the other too', () =>
    two(async (mine, theirs) => {
      await toView(theirs.page, '6', 'Rehearse');
      await theirs.page.keyboard.press('Enter');
      await theirs.page.keyboard.press('Meta+KeyM');
      await theirs.page.keyboard.press('F9');
      const shown = async (page: Page) => {
        const windows = await drawnWindows(page);
        return windows.map(({ id }) => id).join();
      };
      await poll(async () => (await drawnWindows(theirs.page)).length).toBeLessThan(8);
      await poll(() => shown(mine.page)).toBe(await shown(theirs.page));
    }));

  it('changes of two fields made apart go together, and undoing one’s own leaves the other’s', () =>
    two(async (mine, theirs, id) => {
      await mine.context.setOffline(true);
      await typeShare(mine.page, '0.7');
      await mine.page.getByRole('alert').getByText('Not saved').waitFor();
      await theirs.page.getByLabel('Inner gap', { exact: true }).first().focus();
      await theirs.page.keyboard.type('20');
      await theirs.page.keyboard.press('Enter');
      await saved(theirs.page);
      await mine.context.setOffline(false);
      const both = `${Math.round((3440 - 12 - 20) * 0.7)} × 1400`;
      await poll(() => lead(mine.page)).toBe(both);
      await poll(() => lead(theirs.page)).toBe(both);
      await mine.page.keyboard.press('Control+z');
      await poll(() => lead(theirs.page)).toBe(`${Math.round((3440 - 12 - 20) * 0.58)} × 1400`);
      const kept = await fetch(`${running.server.url}/api/profiles/${id}`);
      expect(JSON.stringify(await kept.json())).toContain('"inner":20');
    }));

  it('workspaces reordered elsewhere are in that order after the next edit here; reordered in both, it is asked', () =>
    two(async (mine, theirs, id) => {
      const address = `${running.server.url}/api/profiles/${id}`;
      interface Kept {
        revision: number;
        profile: { workspaces: { id: string }[]; tiling: object };
      }
      const kept = async () => (await (await fetch(address)).json()) as Kept;
      const order = async () => (await kept()).profile.workspaces.map((each) => each.id).join(' ');
      const reorder = async (change: (list: { id: string }[]) => { id: string }[]) => {
        const { revision, profile } = await kept();
        const put = await fetch(address, {
          method: 'PUT',
          headers: { 'content-type': 'application/json', 'if-match': `"${revision}"` },
          body: JSON.stringify({
            profile: { ...profile, workspaces: change(profile.workspaces) },
          }),
        });
        expect(put.status).toBe(200);
      };
      const before = await order();
      await reorder((list) => [...list].reverse());
      const reversed = before.split(' ').reverse().join(' ');
      await mine.page.locator('[data-came-in]').waitFor();
      await mine.page.keyboard.press(']');
      await saved(mine.page);
      await poll(async () => JSON.stringify((await kept()).profile.tiling)).toContain('0.6');
      expect(await order()).toBe(reversed);
      await saved(theirs.page);

      // Away from the server, this page moves rules about; the other one moves them otherwise.
      await toView(mine.page, '4', 'Rules');
      await toView(theirs.page, '4', 'Rules');
      await mine.context.setOffline(true);
      await mine.page.keyboard.press('Alt+ArrowDown');
      await mine.page.getByRole('alert').getByText('Not saved').waitFor();
      for (let i = 0; i < 3; i++) await theirs.page.keyboard.press('ArrowDown');
      for (let i = 0; i < 3; i++) await theirs.page.keyboard.press('Alt+ArrowUp');
      await saved(theirs.page);
      await mine.context.setOffline(false);
      const panel = mine.page.getByRole('dialog', { name: 'Changed here and in another window' });
      await panel.waitFor();
      expect(await panel.locator('[data-conflict]').allTextContents()).toEqual([
        expect.stringMatching(/^order of rules/),
      ]);
      await mine.page.keyboard.press('o');
      await mine.page.keyboard.press('Enter');
      await panel.waitFor({ state: 'detached' });
      await saved(mine.page);
      const { profile } = (await (await fetch(address)).json()) as {
        profile: { rules: { id: string }[] };
      };
      expect(profile.rules[0]!.id).toBe('guest-screens');
      expect(
        [...mine.said, ...theirs.said].filter((line) => !/ERR_INTERNET|Failed to load/.test(line)),
      ).toEqual([]);
    }));

  it('an answer that got lost is asked about neither here nor there, and nothing vanishes', () =>
    two(async (mine, theirs, id) => {
      const address = `${running.server.url}/api/profiles/${id}`;
      let losing = true;
      let lost = 0;
      await mine.page.route(address, async (route) => {
        const request = route.request();
        if (request.method() !== 'PUT' || !losing) return route.continue();
        await route.fetch();
        await route.abort('connectionreset');
        lost++;
      });
      await typeShare(mine.page, '0.7');
      // "Not saved" is on screen only until the server tells of the save, which may be at once.
      await poll(() => Promise.resolve(lost)).toBeGreaterThan(0);
      await poll(() => lead(theirs.page)).toBe(leadOf(0.7));
      // Away from the server altogether, the same field is changed here, and another one there.
      await mine.context.setOffline(true);
      await typeShare(mine.page, '0.65');
      await theirs.page.getByLabel('Inner gap', { exact: true }).first().focus();
      await theirs.page.keyboard.type('20');
      await theirs.page.keyboard.press('Enter');
      await saved(theirs.page);
      losing = false;
      await mine.context.setOffline(false);
      const both = `${Math.round((3440 - 12 - 20) * 0.65)} × 1400`;
      await poll(() => lead(mine.page)).toBe(both);
      await saved(mine.page);
      await poll(() => lead(theirs.page)).toBe(both);
      expect(await mine.page.getByRole('dialog').count()).toBe(0);
      const kept = JSON.stringify(await (await fetch(address)).json());
      expect(kept).toContain('"leadShare":0.65');
      expect(kept).toContain('"inner":20');
    }));

  it('a conflict is shown field by field; each is decided by key, and nothing else is lost', () =>
    two(async (mine, theirs, id) => {
      await mine.context.setOffline(true);
      await typeShare(mine.page, '0.7');
      await mine.page.getByLabel('Inner gap', { exact: true }).first().focus();
      await mine.page.keyboard.type('14');
      await mine.page.keyboard.press('Enter');
      await mine.page.getByLabel('Outer gap', { exact: true }).first().focus();
      await mine.page.keyboard.type('2');
      await mine.page.keyboard.press('Enter');
      await mine.page.getByRole('alert').getByText('Not saved').waitFor();
      await typeShare(theirs.page, '0.5');
      await theirs.page.getByLabel('Inner gap', { exact: true }).first().focus();
      await theirs.page.keyboard.type('30');
      await theirs.page.keyboard.press('Enter');
      await saved(theirs.page);
      await mine.context.setOffline(false);

      const panel = mine.page.getByRole('dialog', { name: 'Changed here and in another window' });
      await panel.waitFor();
      const lines = await panel.locator('[data-conflict]').allTextContents();
      expect(lines).toHaveLength(2);
      const row = (text: string) => panel.locator('[data-conflict]').filter({ hasText: text });
      await row('lead share').getByText('0.7').waitFor();
      await row('lead share').getByText('0.5').waitFor();
      await row('inner gap').getByText('14').waitFor();
      await row('inner gap').getByText('30').waitFor();
      // The inner gap as the other has it, the lead share as here.
      const at = lines.findIndex((line) => line.includes('inner gap'));
      for (let i = 0; i < at; i++) await mine.page.keyboard.press('ArrowDown');
      await mine.page.keyboard.press('o');
      await mine.page.keyboard.press('Enter');
      await panel.waitFor({ state: 'detached' });
      const decided = `${Math.round((3440 - 4 - 30) * 0.7)} × 1408`;
      await poll(() => lead(mine.page)).toBe(decided);
      await saved(mine.page);
      await poll(() => lead(theirs.page)).toBe(decided);
      const { profile } = (await (
        await fetch(`${running.server.url}/api/profiles/${id}`)
      ).json()) as { profile: { tiling: { gaps: unknown } } };
      expect(profile.tiling.gaps).toMatchObject({ inner: 30, outer: 2 });
    }));
});
