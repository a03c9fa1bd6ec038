import { readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { deskInForce } from '@sorn/core/desk';
import { movesBetween, openSession, reduce } from '@sorn/core/engine';
import { compactProfile, parseText, writeText } from '@sorn/core/files';
import { profileSchema, sessionSchema, type Profile, type Session } from '@sorn/core/model';
import { beforeEach, describe, expect, it } from 'vitest';
import { demoPage } from '../desk/demo-page.ts';
import { fixture } from '../desk/fixture.ts';
import { drawnWindows, keyWorks, saved, toView } from '../desk/sheet.ts';

const running = fixture({ demo: true });
const open = demoPage(running, 'files');

const press = async (...keys: string[]) => {
  for (const key of keys) await open.page.keyboard.press(key);
};
/** The first page of Files, with its keys at work. */
const filesWork = () => keyWorks(open.page, 'against now or before');
beforeEach(filesWork);
const toFiles = async () => {
  await toView(open.page, '8', 'Files');
  await filesWork();
};
const kept = async (): Promise<Profile> => {
  await saved(open.page);
  const answer = await fetch(`${running.server.url}/api/profiles/${open.id}`);
  return profileSchema.parse(((await answer.json()) as { profile: unknown }).profile);
};
const poll = (read: () => Promise<unknown>) => expect.poll(read, { timeout: 15_000 });
const at = async (app: string) =>
  (await drawnWindows(open.page)).find((window) => window.app === app)?.at;
/** Where Bulletin Writer stands: behind the lead, which has 0.58 of what outer gaps of 6 and the inner one leave. */
const behindLead = (inner: number) => `${6 + Math.round((3440 - 12 - inner) * 0.58) + inner},34`;

describe('the profile as text', () => {
  const begin = async () => {
    await press('t');
    await open.page.locator('.cm-content').waitFor();
    await press('Enter');
  };
  const type = async (text: string) => {
    await press('Control+a');
    await open.page.keyboard.insertText(text);
  };
  const yaml = async () => writeText(compactProfile(await kept()), 'yaml');

  it('changed moves the windows on the sheet; broken it tells the line, and changes nothing', async () => {
    await begin();
    expect(await at('bulletin')).toBe(behindLead(10));
    const text = (await yaml()).replace('inner: 10', 'inner: 40');
    await type(text);
    await poll(() => at('bulletin')).toBe(behindLead(40));
    expect((await kept()).tiling.gaps).toMatchObject({ inner: 40, outer: 6 });

    const line = text.split('\n').findIndex((each) => each.includes('inner: 40')) + 1;
    await type(text.replace('inner: 40', 'inner: wide'));
    await open.page.getByText(`Line ${line}`, { exact: true }).waitFor();
    await open.page.getByText('expected logical pixels from 0 to 10000').waitFor();
    await open.page.locator('[data-applied=false]').waitFor();
    expect(await at('bulletin')).toBe(behindLead(40));
    expect((await kept()).tiling.gaps).toMatchObject({ inner: 40 });

    // Escape gives the keys back; what is not right is still there after a look at another view.
    await press('Escape');
    await toView(open.page, '2', 'Tiling');
    await toFiles();
    await press('t');
    await open.page.getByText(`Line ${line}`, { exact: true }).waitFor();
    await press('d');
    await open.page.locator('[data-applied=true]').waitFor();
    await press('Control+z');
    await poll(() => at('bulletin')).toBe(behindLead(10));
  });

  it('keeps its comments when something is changed elsewhere in the page', async () => {
    await begin();
    const text = (await yaml())
      .replace('inner: 10', 'inner: 20')
      .replace('rules:', '# what floats\nrules:');
    await type(text);
    await poll(() => at('bulletin')).toBe(behindLead(20));
    await press('Escape');
    await toView(open.page, '2', 'Tiling');
    await open.page.getByLabel('Inner gap', { exact: true }).first().focus();
    await open.page.keyboard.type('30');
    await press('Enter', 'Escape');
    await poll(() => at('bulletin')).toBe(behindLead(30));
    await open.page.reload();
    await open.page.locator('[data-window]').first().waitFor();
    await toFiles();
    await press('t');
    await open.page.locator('.cm-content').waitFor();
    await saved(open.page);
    const answer = await fetch(`${running.server.url}/api/profiles/${open.id}`);
    const own = ((await answer.json()) as { text: { content: string } }).text.content;
    expect(own).toContain('# what floats\nrules:');
    await press('Enter', 'Control+End');
    await open.page.keyboard.type('# end\n');
    await poll(async () => {
      const again = await fetch(`${running.server.url}/api/profiles/${open.id}`);
      return ((await again.json()) as { text: { content: string } }).text.content;
    }).toBe(`${text.replace('inner: 20', 'inner: 30')}# end\n`);
  });

  it('is completed from the schema and from the names there are', async () => {
    await begin();
    await press('Control+End');
    await open.page.keyboard.type('look:\n  focusFrame:\n    hu');
    await open.page.locator('.cm-tooltip-autocomplete').getByText('hue').waitFor();
    // What appears under the fingers is not taken by a press that was on its way already.
    await open.page.waitForTimeout(120);
    await press('Enter');
    await open.page.keyboard.type('pet');
    await open.page.locator('.cm-tooltip-autocomplete').getByText('petrol').waitFor();
    await open.page.waitForTimeout(120);
    await press('Enter');
    await poll(async () => (await kept()).look.focusFrame.hue).toBe('petrol');
    // What the word at the cursor means stands beside the text, as it does over it.
    await open.page
      .locator('[data-help="look.focusFrame.hue"]')
      .getByText('The colour of the frame')
      .waitFor();
  });
});

describe('a file', () => {
  const toImport = async () => {
    // Kept for the whole test: the browser's own dialog never comes in between.
    open.page.on('filechooser', () => undefined);
    await press('i');
    await keyWorks(open.page, 'choose a file');
  };
  const choose = async (name: string, content: string) => {
    const file = `${running.folder}/${name}`;
    writeFileSync(file, content);
    const chooser = open.page.waitForEvent('filechooser');
    await press('f');
    await (await chooser).setFiles(file);
  };

  it('brought in: only the rules of another profile, in one step that undo takes back', async () => {
    const before = await kept();
    const other = {
      ...before,
      name: 'Other',
      tiling: { ...before.tiling, gaps: { inner: 33, outer: 3 } },
      rules: [
        ...before.rules.slice(1),
        {
          id: 'posts',
          name: 'Post floats',
          when: { all: [{ of: 'app', is: 'post' }] },
          then: { held: 'floating' },
        },
      ],
    };
    await toImport();
    await choose('other.json', JSON.stringify(other));
    await open.page.locator('[data-item]').first().waitFor();
    // None, then the section of the selected thing: the rules stand before the layouts.
    await press('a');
    await poll(() => open.page.locator('[data-taking=theirs]').count()).toBe(0);
    await press('p');
    await open.page.locator('[data-item*="posts"][data-taking=theirs]').waitFor();
    await press('Enter');
    await open.page.getByText('taken from other.json').waitFor();
    const after = await kept();
    expect(after.rules.map(({ id }) => id)).toEqual([...before.rules.map(({ id }) => id), 'posts']);
    expect({ ...after, rules: [] }).toEqual({ ...before, rules: [] });
    await press('Control+z');
    await poll(kept).toEqual(before);
  });

  it('that is broken, hostile or of a newer version is refused with the reason, and nothing changes', async () => {
    const before = await kept();
    await toImport();
    const refused = async (name: string, content: string, says: string) => {
      await choose(name, content);
      await open.page.getByRole('alert').getByText(says).first().waitFor();
    };
    await refused('newer.json', JSON.stringify({ ...before, version: 9 }), 'newer Sorn');
    await refused('broken.yaml', 'rules: [', 'broken.yaml: not YAML');
    await refused('table.csv', 'id,hold\na,b\n', 'columns named id, name');
    await refused('wide.json', '\uFFFE\0', 'no text');
    expect(await kept()).toEqual(before);
  });

  it('saved by key is the profile, whole and in sections', async () => {
    const before = await kept();
    await press('e');
    const download = async () => {
      const saving = open.page.waitForEvent('download');
      await press('Enter');
      const file = await saving;
      return { name: file.suggestedFilename(), text: readFileSync(await file.path(), 'utf8') };
    };
    const whole = await download();
    expect(whole.name).toMatch(/^bulletin-desk.*\.yaml$/);
    const parsed = parseText(whole.text, 'yaml');
    expect(parsed.ok && profileSchema.parse(parsed.value)).toEqual(before);
    await press('ArrowDown', 'ArrowDown', 'ArrowDown', 'ArrowDown', 'f', 'f', 'f');
    const rules = await download();
    expect(rules.name).toMatch(/\.rules\.csv$/);
    expect(rules.text.split('\n').filter((line) => /^[\w-]+,/.test(line)).length).toBeGreaterThan(
      before.rules.length - 1,
    );
    await press('ArrowDown', 'ArrowDown', 'ArrowDown', 'ArrowDown', 'ArrowDown');
    const drawn = await download();
    expect(drawn.name).toMatch(/\.layout\.svg$/);
    expect(drawn.text).toContain('1982 × ');
    // One window more: the rest is divided by four.
    await press('g');
    const rest = Math.floor((1400 - 3 * 10) / 4);
    expect((await download()).text).toContain(` × ${rest}<`);
    await press('w');
    expect((await download()).text).toContain('on Korvane Tall 27');
  });
});

/** How many windows stand elsewhere with another profile, by the engine. */
async function movesTo(next: Profile): Promise<number> {
  const profile = await kept();
  const answer = await fetch(`${running.server.url}/api/profiles/${open.id}/session`);
  const input = sessionSchema.parse(((await answer.json()) as { session: unknown }).session);
  const { session } = openSession(input, profile);
  const edited = reduce(session, { type: 'profile-edited', before: profile }, next).session;
  const standing = (of: Profile, at: Session) => ({
    profile: of,
    session: at,
    desk: deskInForce(of, at),
  });
  return movesBetween(standing(profile, session), standing(next, edited)).length;
}

describe('revisions', () => {
  it('tell what changed, are named and gone back to as a new one', async () => {
    const first = await kept();
    await toView(open.page, '2', 'Tiling');
    await open.page.getByLabel('Inner gap', { exact: true }).first().focus();
    await open.page.keyboard.type('6');
    await press('Enter', 'Escape');
    await poll(async () => (await kept()).tiling.gaps?.inner).toBe(6);
    await toFiles();
    await open.page.locator('[data-revision="2"]').getByText('inner gap 10 → 6').waitFor();
    await press('n');
    await open.page.keyboard.type('Tighter');
    await press('Enter');
    await open.page.locator('[data-revision="2"]').getByText('Tighter').waitFor();
    await press('ArrowDown');
    await open.page.getByText('inner gap 6 → 10').waitFor();
    await poll(() => open.page.locator('[data-moves]').first().getAttribute('data-moves')).toBe(
      String(await movesTo(first)),
    );
    await press('Enter');
    await open.page.locator('[data-revision="3"]').getByText('back to revision 1').waitFor();
    expect(await kept()).toEqual(first);
  });
});

interface Database {
  execute: (statement: { sql: string; args: unknown[] }) => Promise<{ rowsAffected: number }>;
  close: () => void;
}

/** Moves the saved states of a profile up to a revision some days back, in the database. */
async function aged(upTo: number, days: number) {
  const load = createRequire(new URL('../../server/package.json', import.meta.url));
  const { createClient } = load('@libsql/client') as { createClient: (to: object) => Database };
  const database = createClient({ url: `file:${running.folder}/sorn.db` });
  const at = new Date(Date.now() - days * 24 * 3_600_000).toISOString();
  const sql = 'UPDATE revisions SET saved_at = ? WHERE profile = ? AND number <= ?';
  expect((await database.execute({ sql, args: [at, open.id, upTo] })).rowsAffected).toBe(upTo);
  database.close();
}

describe('yesterday’s version', () => {
  it('is gone back to in at most six presses, whatever was saved today', async () => {
    const typedGap = async (gap: number) => {
      await open.page.getByLabel('Inner gap', { exact: true }).first().fill(String(gap));
      await press('Enter');
      await poll(async () => (await kept()).tiling.gaps?.inner).toBe(gap);
    };
    await toView(open.page, '2', 'Tiling');
    await typedGap(14);
    await aged(2, 1);
    const yesterday = await kept();
    await aged(1, 3);
    for (const gap of [4, 5, 6, 7]) await typedGap(gap);
    await open.page.reload();
    await open.page.getByRole('main', { name: 'Tiling' }).waitFor();
    await toFiles();
    // Eight took us here.
    let presses = 1;
    const days = open.page.getByRole('region', { name: 'Saved states' }).locator('tr.task');
    await poll(() => days.count()).toBe(3);
    expect((await days.allInnerTexts()).slice(0, 2)).toEqual(['Today', 'Yesterday']);
    for (const key of ['d', 'Enter']) {
      await press(key);
      presses++;
      if (key === 'd') await open.page.locator('[data-revision="2"][data-selected=true]').waitFor();
      if (key === 'd') await open.page.getByText('Restore revision 2').waitFor();
    }
    expect(presses).toBeLessThanOrEqual(6);
    await poll(kept).toEqual(yesterday);
    // What was changed, named or saved when is found by its words.
    await press('/');
    await open.page.keyboard.type('gap yesterday');
    await press('Enter');
    await poll(() => open.page.locator('tr[data-revision]').count()).toBe(1);
    await open.page.locator('[data-revision="2"]').getByText('inner gap 10 → 14').waitFor();
    await press('/');
    await open.page.keyboard.type('no such word');
    await open.page.getByText('has “no such word” in its changes').waitFor();
    await press('Escape');
    await poll(() => open.page.locator('tr[data-revision]').count()).toBe(7);
  });
});

describe('starting over', () => {
  it('begins a part anew, and undo takes it back', async () => {
    const before = await kept();
    await press('o');
    await open.page.locator('[data-part=layouts] [aria-pressed=true]').waitFor();
    await press('ArrowDown', 'ArrowDown', 'Enter');
    await poll(async () => (await kept()).rules.length).toBe(4);
    expect({ ...(await kept()), rules: [] }).toEqual({ ...before, rules: [] });
    await press('Control+z');
    await poll(kept).toEqual(before);
  });
});
