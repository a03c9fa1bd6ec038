import { bindingText, keyMap } from '@sorn/core/keys';
import type { Profile } from '@sorn/core/model';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { demoPage } from '../desk/demo-page.ts';
import { fixture } from '../desk/fixture.ts';
import { keysView } from '../desk/keys-view.ts';
import { keyWorks, saved, toView } from '../desk/sheet.ts';

const running = fixture();
const open = demoPage(running, 'rehearse');
const poll = (read: () => Promise<unknown>) => expect.poll(read, { timeout: 20_000 });
const { press, textOf, does, sentence, findings, search, last } = keysView(open);

describe('the pages of keys, by keys', () => {
  it('the main modifier changes for the whole map, which is checked anew', async () => {
    await toView(open.page, '5', 'Keys');
    await press('l');
    const stated = open.page.getByRole('radiogroup', { name: 'Main modifier' });
    const chosen = () => stated.locator('[aria-checked=true]').innerText();
    expect(await chosen()).toBe('Meta');
    // Meta is the last: the next one is Ctrl, with which text is edited.
    await press('m');
    await poll(chosen).toBe('Ctrl');
    await press('g');
    await poll(async () => (await findings()).length).toBeGreaterThan(3);
    expect(new Set(await findings())).toEqual(new Set(['keys-taken']));
    await search('focus-left');
    await poll(sentence).toContain('Pressing Ctrl ← in the layer base does focus-left.');
    await search('grow-left');
    await poll(sentence).toContain('Pressing Ctrl Meta ← in the layer base does grow-left.');
    await toView(open.page, '6', 'Rehearse');
    await press('Enter', 'Control+ArrowRight');
    await poll(last).toContain('focus-right');
  });

  it('the main modifier of this machine alone is set by key, over a reload too, and set back', async () => {
    const { page, id } = open;
    await toView(page, '5', 'Keys');
    await press('l');
    const chosen = () =>
      page
        .getByRole('radiogroup', { name: 'Main modifier' })
        .locator('[aria-checked=true]')
        .innerText();
    const kept = async () => {
      const answer = await fetch(`${running.server.url}/api/profiles/${id}`);
      const { profile } = (await answer.json()) as {
        profile: { keys: { main: string; bindings: object[] }; machines: { main: string }[] };
      };
      return profile;
    };
    const before = await kept();
    await press('e', 'm');
    await poll(chosen).toBe('Ctrl');
    await poll(async () => (await kept()).machines.map(({ main }) => main)).toEqual(['Ctrl']);
    // All that is bound, and the main modifier of every other machine, is as before.
    expect((await kept()).keys).toEqual(before.keys);
    await page.reload();
    await toView(page, '5', 'Keys');
    await press('l');
    await poll(chosen).toBe('Ctrl');
    await page.getByRole('button', { name: 'Set main modifier back' }).focus();
    await press('Enter');
    await poll(chosen).toBe('Meta');
    await poll(async () => (await kept()).machines).toEqual([]);
  });

  it('starters show what they would change before they are merged', async () => {
    await toView(open.page, '5', 'Keys');
    await press('p', 'ArrowDown', 'ArrowDown');
    await open.page.locator('[data-starter=arrows] [aria-pressed=true]').waitFor();
    const changes = () =>
      open.page.locator('[data-change] td').evaluateAll((cells) => cells.map((c) => c.textContent));
    await poll(() => open.page.locator('[data-changes]').getAttribute('data-changes')).toBe('9');
    expect((await changes()).slice(0, 3)).toEqual(['Meta←', 'focus-left', 'place-left']);
    await press('Enter');
    await poll(() => open.page.locator('[data-changes]').getAttribute('data-changes')).toBe('0');
    await press('g');
    await poll(() => does('ArrowLeft')).toBe('place left');
    await press('Control+z');
    await poll(() => does('ArrowLeft')).toBe('focus left');
  });

  it('devices are tried, and keys for them are suggested by what was counted', async () => {
    await toView(open.page, '5', 'Keys');
    await press('d', 'ArrowDown', 'ArrowDown');
    const [table] = await Promise.all([open.page.waitForEvent('download'), press('i')]);
    const lines = readFileSync(await table.path(), 'utf8').split('\n');
    expect(lines).toContain('Button 4,itself,focus-previous');
    expect(lines).toContain('Button 6,,');
    // The same for paper: the page keeps what it would have printed.
    await open.page.evaluate(() => {
      const seen = new MutationObserver(() => {
        const frame = document.querySelector<HTMLIFrameElement>('iframe[title="Page to print"]');
        if (frame) document.body.dataset['printed'] = frame.srcdoc;
      });
      seen.observe(document.body, { childList: true });
    });
    await press('Control+p');
    const page = () => open.page.locator('body').getAttribute('data-printed');
    await poll(page).toContain('<td>Button 4</td><td>itself</td><td>focus-previous</td>');
    await press('t');
    await open.page.locator('[data-trying=true]').waitFor();
    await press('F8');
    await open.page.mouse.click(600, 600);
    await press('Escape');
    const state = (code: string) =>
      open.page.locator(`[data-input=${code}]`).getAttribute('data-state');
    await poll(() => state('F8')).toBe('strange');
    expect(await state('Button1')).toBe('arrived');
    expect(await state('Button4')).toBe('declared');
    await press('a');
    await poll(() => state('F8')).toBe('arrived');

    await press('s', 'v', 'v');
    await open.page.locator('[data-suggested]').waitFor();
    const given = () =>
      open.page
        .locator('[data-keys]')
        .evaluateAll((cells) => cells.map((cell) => cell.getAttribute('data-keys')!));
    // Nine buttons beside those that point, and what was just declared.
    await poll(async () => (await given()).length).toBe(10);
    for (const keys of await given()) expect(keys).toMatch(/^(Button([4-9]|1[0-2])|F8)$/);
    expect(await textOf('[data-substitute]')).toContain('go-workspace next');
    expect(await open.page.locator('[data-left-out]').count()).toBeGreaterThan(100);
    await press('Enter', 'g');
    await poll(sentence).toContain('Button');
    await press('Control+z');
    await saved(open.page);
  });

  it('changes of keys that pay are ticked, taken together, and taken back by one undo', async () => {
    await toView(open.page, '5', 'Keys');
    // The search ends by a key, and begins by one.
    await press('s', 'Escape');
    await open.page.getByText('Cancelled. B searches again.').waitFor();
    await press('b');
    await open.page.locator('[data-suggested]').waitFor();
    // What may part is more than three changes.
    await press('w');
    await open.page.locator('[data-suggested]').waitFor();
    await open.page.locator('[data-suggested]').waitFor();
    const rows = open.page.locator('[data-change]');
    await poll(async () => (await rows.count()) >= 4).toBe(true);
    const curve = await open.page.locator('[data-points]').getAttribute('data-points');
    const points = curve!.split(' ').map((point) => point.split(':').map(Number));
    expect(points[0]).toEqual([0, 0]);
    points.slice(1).forEach(([keys, spares], i) => {
      expect(keys).toBeGreaterThan(points[i]![0]!);
      expect(spares).toBeGreaterThan(points[i]![1]!);
    });
    // All but the first three stay as they are.
    await press('a', ' ', 'ArrowDown', ' ', 'ArrowDown', ' ');
    const taken = await rows.evaluateAll((all) =>
      all
        .filter((row) => row.getAttribute('data-taken') === 'true')
        .map((row) => [row.getAttribute('data-change')!, Number(row.getAttribute('data-spares'))]),
    );
    expect(taken).toHaveLength(3);
    const before = Number(await textOf('[data-total=before]'));
    const after = Number(await textOf('[data-total=after]'));
    const spared = taken.reduce((sum, [, spares]) => sum + Number(spares), 0);
    expect(Math.abs(before - after - spared)).toBeLessThanOrEqual(1);
    // What the server keeps has each on its new keys.
    const kept = async () => {
      const answer = await fetch(`${running.server.url}/api/profiles/${open.id}`);
      return keyMap(((await answer.json()) as { profile: Profile }).profile);
    };
    const start = await kept();
    await press('Enter');
    await poll(() => textOf('[data-suggested]')).toContain('3 changes taken');
    await saved(open.page);
    const now = await kept();
    for (const [id] of taken) {
      for (const move of String(id).split(', ')) {
        const at = move.lastIndexOf(' ');
        const [text, keys] = [move.slice(0, at), move.slice(at + 1)];
        expect(now.some((one) => one.keys === keys && bindingText(one) === text)).toBe(true);
      }
    }
    expect(now.map(bindingText).sort()).toEqual(start.map(bindingText).sort());
    await press('Control+z');
    await saved(open.page);
    const pairs = (map: typeof now) => map.map((one) => `${one.keys} ${bindingText(one)}`).sort();
    await poll(async () => pairs(await kept())).toEqual(pairs(start));
    // What was chosen for it is there again after the page is loaded anew.
    await open.page.reload();
    await keyWorks(open.page, 'suggest');
    await press('s');
    const parts = open.page.getByRole('radiogroup', { name: 'What belongs together' });
    await poll(() => parts.locator('[aria-checked=true]').innerText()).toBe('may part');
  });

  it('the hold time is proved by typing: taps that would be holds are counted exactly', async () => {
    await toView(open.page, '5', 'Keys');
    await press('l');
    // Long enough for the slowest machine to tap within.
    await open.page.getByRole('textbox', { name: 'A hold, not a tap, after' }).fill('500');
    await press('Enter', 'y');
    await open.page
      .getByRole('textbox', { name: 'Type here' })
      .and(open.page.locator(':focus'))
      .waitFor();
    const { keyboard } = open.page;
    const held = async (key: string, ms: number) => {
      await keyboard.down(key);
      await open.page.waitForTimeout(ms);
      await keyboard.up(key);
    };
    // Three quick taps, one long one, and one over which a letter is typed.
    for (const letter of ['a', 'b', 'c']) await press('Space', letter);
    await held('Space', 1_200);
    await keyboard.down('Space');
    await press('d');
    await keyboard.up('Space');
    const counts = async () => {
      const line = open.page.locator('[data-as-holds]');
      return [await line.getAttribute('data-typed'), await line.getAttribute('data-as-holds')];
    };
    await poll(counts).toEqual(['5', '2']);
    await open.page.getByRole('radio', { name: 'to type' }).focus();
    await press('ArrowRight');
    await open.page.getByRole('textbox', { name: 'Hold here' }).focus();
    await held('Space', 1_200);
    await held('Space', 120);
    const line = open.page.locator('[data-as-taps]');
    await poll(() => line.getAttribute('data-held')).toBe('2');
    expect(await line.getAttribute('data-as-taps')).toBe('1');
    const best = await open.page.locator('[data-best]').getAttribute('data-best');
    await open.page.getByRole('button', { name: `Take ${best} ms` }).focus();
    await press('Enter');
    await saved(open.page);
    const answer = await fetch(`${running.server.url}/api/profiles/${open.id}`);
    const { profile } = (await answer.json()) as { profile: Profile };
    expect(profile.keys.holdMs).toBe(Number(best));
  });

  it('a device with profiles of its own is proved switch by switch: what never came is listed', async () => {
    await toView(open.page, '5', 'Keys');
    await press('d', 'ArrowDown');
    await open.page.getByRole('textbox', { name: 'Profiles of its own' }).fill('3');
    await press('Enter');
    await keyWorks(open.page, 'prove its profiles');
    await press('h');
    const round = open.page.locator('[data-round]');
    const never: string[] = [];
    for (let i = 0; i < 20; i++) {
      await poll(() => round.getAttribute('data-round')).toBe(String(i));
      const code = (await round.getAttribute('data-expects'))!;
      expect(code).toMatch(/^Numpad/);
      if (i % 9 === 4) {
        never.push(code);
        await press('Enter');
      } else await press(code);
    }
    await poll(() => open.page.locator('[data-missed]').getAttribute('data-missed')).toBe('2');
    const said = await open.page.locator('[data-missed]').innerText();
    for (const code of never) expect(said).toContain(code.replace(/^Numpad(\d)$/, 'Pad $1'));
    await saved(open.page);
  });

  it('keys are called as they are printed on the person’s own keyboard', async () => {
    await toView(open.page, '5', 'Keys');
    await press('d');
    const chosen = open.page.getByRole('combobox', { name: 'Printed on the keys' });
    for (const id of ['brazilian', 'czech', 'french', 'german']) {
      await press('q');
      await poll(() => chosen.inputValue()).toBe(id);
    }
    const cap = (code: string) => open.page.locator(`[data-key="${code}"] .cap`).textContent();
    await press('g');
    await poll(() => cap('KeyY')).toBe('Z');
    expect([await cap('KeyZ'), await cap('Semicolon'), await cap('KeyA')]).toEqual(['Y', 'Ö', 'A']);
    // By the words on the keys a binding is found and typed.
    await search('float');
    await poll(sentence).toContain('does float');
    await press('Enter', 'Control+a');
    await open.page.keyboard.type('meta shift ö');
    await press('Enter');
    await poll(sentence).toContain('Pressing Meta Shift Ö');
    await press('Control+z');
    // One key learned by pressing it: whoever has a sign of their own there.
    await press('d', 'e');
    await open.page.locator('[data-learning=true]').waitFor();
    await open.page.evaluate(() => {
      const key = { code: 'Quote', key: 'ø', bubbles: true, cancelable: true };
      document.body.dispatchEvent(new KeyboardEvent('keydown', key));
    });
    await press('Escape', 'g');
    await poll(() => cap('Quote')).toBe('Ø');
    // It is no keyboard of the list any more; undone it is, also after the page is loaded anew.
    await press('d');
    await poll(() => chosen.inputValue()).toBe('own');
    await press('Control+z');
    await saved(open.page);
    await open.page.reload();
    await keyWorks(open.page, 'devices');
    await press('d');
    await poll(() => chosen.inputValue()).toBe('german');
    await press('g');
    expect(await cap('KeyY')).toBe('Z');
    await saved(open.page);
  });

  it('the key chart is saved in the pixels of a monitor, and lists every binding once', async () => {
    await toView(open.page, '5', 'Keys');
    const bindings = await open.page.locator('[data-binding]').count();
    await press('c');
    await open.page.getByRole('img', { name: /^Keys of Bulletin desk/ }).waitFor();
    const savedBy = async (key: string) => {
      const [download] = await Promise.all([open.page.waitForEvent('download'), press(key)]);
      return { name: download.suggestedFilename(), file: readFileSync(await download.path()) };
    };
    for (const [width, height] of [
      [3440, 1440],
      [1440, 2560],
    ]) {
      await poll(() => textOf('[data-chart-size]')).toBe(`${width} × ${height}`);
      const png = await savedBy('i');
      // A PNG tells its size in its first chunk, from byte 16 on.
      expect([png.file.readUInt32BE(16), png.file.readUInt32BE(20)]).toEqual([width, height]);
      await press('w');
    }
    const csv = await savedBy('b');
    expect(csv.file.toString().trim().split('\n')).toHaveLength(bindings + 1);
    const markdown = await savedBy('m');
    expect(markdown.file.toString().match(/^\| <kbd>/gm)).toHaveLength(bindings);
    expect((await savedBy('v')).file.toString()).toContain('<svg');
    expect((await savedBy('h')).file.toString()).toContain('<title>Keys of Bulletin desk');
  });

  it('the key chart is printed on one page of paper, whichever and however it lies', async () => {
    await toView(open.page, '5', 'Keys');
    await press('c');
    const papers = open.page.getByRole('radiogroup', { name: 'Paper', exact: true });
    await papers.waitFor();
    for (const keys of [[], ['o'], ['o', 'a'], ['o']]) {
      await press(...keys);
      const [download] = await Promise.all([open.page.waitForEvent('download'), press('h')]);
      const sheet = await open.page.context().newPage();
      await sheet.setContent(readFileSync(await download.path(), 'utf8'));
      await sheet.emulateMedia({ media: 'print' });
      const pdf = (await sheet.pdf({ preferCSSPageSize: true })).toString('latin1');
      expect(pdf.match(/\/Type\s*\/Page(?!s)/g)).toHaveLength(1);
      // Nothing is beyond the columns, where it would not be printed, nor too small to be read.
      const lost = await sheet.evaluate(() => {
        const room = document.querySelector('main')!.getBoundingClientRect();
        const lines = [...document.querySelectorAll('main h2, main li')];
        return lines.filter((line) => {
          const { right, bottom } = line.getBoundingClientRect();
          return (
            right > room.right + 1 ||
            bottom > room.bottom + 1 ||
            line.scrollWidth > line.clientWidth + 1
          );
        }).length;
      });
      expect(lost).toBe(0);
      const letters = await sheet.evaluate(() =>
        parseFloat(getComputedStyle(document.body).fontSize),
      );
      expect(letters * 0.75).toBeGreaterThanOrEqual(5.25);
      await sheet.close();
    }
    // It is shown as it is printed, upright now, and what was chosen is kept.
    await press('u');
    const seen = open.page.locator('[data-shows=paper]');
    const isUpright = () =>
      seen.evaluate((img: HTMLImageElement) => img.naturalHeight > img.naturalWidth);
    await poll(isUpright).toBe(true);
    await open.page.reload();
    await toView(open.page, '5', 'Keys');
    await press('c');
    await poll(isUpright).toBe(true);
    await open.page
      .getByRole('radiogroup', { name: 'Bindings printed' })
      .getByRole('radio', { name: 'the 30 I use most', checked: true })
      .waitFor();
    await poll(() => textOf('[data-chart-size]')).toBe('Letter, upright');
    // By the key with which one prints anywhere; the page that is printed is the chart, and not this one.
    await open.page.addInitScript(() => {
      window.print = () => {
        top!.document.body.dataset['printed'] = document.title;
      };
    });
    await press('Control+p');
    await poll(() => open.page.locator('body').getAttribute('data-printed')).toBe(
      'Keys of Bulletin desk',
    );
    await poll(() => textOf('[data-chart-said]')).toBe('The page is given to the printer.');
  });
});
