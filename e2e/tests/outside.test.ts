import { readFileSync } from 'node:fs';
import type { Profile } from '@sorn/core/model';
import { describe, expect, it } from 'vitest';
import { demoPage } from '../desk/demo-page.ts';
import { fixture } from '../desk/fixture.ts';
import { keysView } from '../desk/keys-view.ts';
import { keyWorks, saved, toView } from '../desk/sheet.ts';

const running = fixture();
const open = demoPage(running, 'rehearse');
const poll = (read: () => Promise<unknown>) => expect.poll(read, { timeout: 20_000 });
const { press, type, textOf, record, sentence, findings } = keysView(open);
const log = () => open.page.getByRole('list', { name: 'Log' }).innerText();

/** Changes the profile as a file from elsewhere would, and loads the page anew. */
async function brought(change: (profile: Profile) => Profile): Promise<void> {
  const at = `${running.server.url}/api/profiles/${open.id}`;
  const { profile, revision } = (await (await fetch(at)).json()) as {
    profile: Profile;
    revision: number;
  };
  const answer = await fetch(at, {
    method: 'PUT',
    headers: { 'content-type': 'application/json', 'if-match': `"${revision}"` },
    body: JSON.stringify({ profile: change(profile) }),
  });
  expect(answer.status).toBe(200);
  await open.page.reload();
  await open.page.locator('[data-window]').first().waitFor();
}

const bound = (profile: Profile, keys: string, command: object): Profile => ({
  ...profile,
  keys: {
    ...profile.keys,
    bindings: [{ keys, command } as Profile['keys']['bindings'][number], ...profile.keys.bindings],
  },
});

describe('keys that are not Sorn’s, by keys', () => {
  it('one left to the desktop is in the map and on the chart, and in conflict with no shortcut of it', async () => {
    await toView(open.page, '5', 'Keys');
    await press('n');
    await open.page.getByRole('combobox').and(open.page.locator(':focus')).waitFor();
    await type('leave-to-desktop clipboard');
    await press('Enter');
    await record('Meta+Alt+Shift+KeyQ');
    await poll(sentence).toContain('does leave-to-desktop clipboard list');
    expect(await findings()).toEqual([]);
    await saved(open.page);
    await press('c');
    await keyWorks(open.page, 'print');
    const [download] = await Promise.all([open.page.waitForEvent('download'), press('h')]);
    expect(readFileSync(await download.path(), 'utf8')).toContain('clipboard list');
    await toView(open.page, '6', 'Rehearse');
    await press('Enter', 'Meta+Alt+Shift+KeyQ');
    await poll(log).toContain('left to the desktop: clipboard list');
  });

  it('a command line that came with a file is asked first, and once', async () => {
    await brought((profile) =>
      bound(profile, 'Main+F8', { command: 'run-line', line: 'colours --pick' }),
    );
    await press('Enter', 'Meta+F8');
    await poll(() => textOf('[data-line]')).toBe('colours --pick');
    await press('Escape');
    expect(await log()).not.toContain('would run');
    await press('Enter', 'Meta+F8');
    await poll(() => textOf('[data-line]')).toBe('colours --pick');
    await open.page.getByRole('button', { name: 'Allow this line here from now on' }).focus();
    await press('Enter');
    await poll(log).toContain('the line is allowed');
    await press('Enter', 'Meta+F8');
    await poll(log).toContain('would run: colours --pick');
    expect(await open.page.locator('[data-line]').count()).toBe(0);
  });

  it('two buttons open an app without typing: one steps through the list, the other takes', async () => {
    await brought((profile) => {
      const steps = bound(profile, 'Button4', { command: 'choose-app' });
      return bound(steps, 'Button5', { command: 'open-chosen' });
    });
    await press('Enter');
    const cdp = await open.page.context().newCDPSession(open.page);
    const box = (await open.page.locator('[data-keyboard]').boundingBox())!;
    const click = async (button: 'back' | 'forward') => {
      const at = { x: box.x + 40, y: box.y + box.height - 40, button, clickCount: 1 } as const;
      await cdp.send('Input.dispatchMouseEvent', { type: 'mousePressed', ...at });
      await cdp.send('Input.dispatchMouseEvent', { type: 'mouseReleased', ...at });
    };
    const list = open.page.getByRole('listbox', { name: 'Apps to open' });
    const chosen = () => list.locator('[aria-selected=true]').innerText();
    const names: string[] = [];
    for (let i = 0; i < 3; i++) {
      await click('back');
      await list.waitFor();
      await expect.poll(chosen).not.toBe(names.at(-1));
      names.push(await chosen());
    }
    const windows = () => open.page.locator('[data-window]').count();
    const before = await windows();
    await click('forward');
    await poll(windows).toBe(before + 1);
    expect(await list.count()).toBe(0);
    const apps = (await (await fetch(`${running.server.url}/api/profiles/${open.id}`)).json()) as {
      profile: Profile;
    };
    // The third of the profile's list.
    await poll(log).toContain(apps.profile.apps[2]!.name ?? apps.profile.apps[2]!.id);
    // Escape drops it, and so does whatever else is done.
    await click('back');
    await list.waitFor();
    await press('Escape');
    await list.waitFor({ state: 'detached' });
    expect(await windows()).toBe(before + 1);
  });

  it('an app keeps all keys but those that are named', async () => {
    await toView(open.page, '4', 'Rules');
    await press('p');
    const keeps = open.page.getByRole('radiogroup', { name: 'Keeps all keys for itself' });
    await keeps.waitFor();
    const name = await open.page.getByRole('textbox', { name: 'Name of the app' }).inputValue();
    await keeps.getByRole('radio', { name: 'off' }).focus();
    await press('ArrowLeft');
    await open.page.getByRole('textbox', { name: 'Keys that it does not keep' }).focus();
    await type('meta f8, meta arrowrigth');
    await open.page.getByText('ArrowRight').waitFor();
    await press('Control+a');
    await type('meta right, meta 1');
    await press('Enter');
    await saved(open.page);
    const answer = await fetch(`${running.server.url}/api/profiles/${open.id}`);
    const { profile } = (await answer.json()) as { profile: Profile };
    const app = profile.apps.find((each) => (each.name ?? each.id) === name)!;
    expect(app.keepsAllBut).toEqual(['Main+ArrowRight', 'Main+Digit1']);
    await toView(open.page, '6', 'Rehearse');
    await press(app.letter!, 'Enter', 'Meta+KeyW');
    await poll(log).toContain(`${name} keeps this key for itself`);
    await press('Meta+ArrowRight');
    await poll(log).toContain('focus-right');
  });
});
