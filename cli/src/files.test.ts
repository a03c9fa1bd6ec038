import { existsSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { FORMATS } from '@sorn/core/files';
import { profileSchema } from '@sorn/core/model';
import { openDatabase, openArchive } from '@sorn/server';
import { afterAll, beforeEach, describe, expect, it } from 'vitest';
import { backupTo, restoreFrom } from './backup.ts';
import { diffFiles, exportFile, importFile } from './files.ts';
import { BadInput, readInput } from './input.ts';

const folder = mkdtempSync(join(tmpdir(), 'sorn-files-'));
afterAll(() => rmSync(folder, { recursive: true }));
const demoFile = fileURLToPath(new URL('../../demo/bulletin-desk.profile.json', import.meta.url));
const demo = readInput(demoFile, profileSchema);
const written = (name: string, text: string) => {
  const file = join(folder, name);
  writeFileSync(file, text);
  return file;
};
const told = (run: () => unknown) => {
  try {
    run();
  } catch (error) {
    if (error instanceof BadInput) return error.lines;
    throw error;
  }
  return [];
};

describe('sorn export', () => {
  it.each(FORMATS)('as %s is the same profile', (as) => {
    const file = written(`whole.${as}`, exportFile(demoFile, { as }));
    expect(readInput(file, profileSchema)).toEqual(demo);
  });

  it('only the sections that are asked for, as files and as tables', () => {
    const file = exportFile(demoFile, { as: 'json', sections: 'rules,boards' });
    expect(Object.keys(JSON.parse(file) as object)).toEqual([
      '$schema',
      'version',
      'boards',
      'rules',
    ]);
    const rules = exportFile(demoFile, { as: 'csv', sections: 'rules' });
    expect(rules.split('\n')[1]).toMatch(/^duty-line,Duty Line,yes,app is dutyline,/);
    expect(exportFile(demoFile, { as: 'csv', sections: 'keys' })).toMatch(
      /^keys,command,command with,/,
    );
  });

  it('draws a layout and a board', () => {
    expect(exportFile(demoFile, { as: 'svg', monitor: 'tall', windows: '2' })).toMatch(
      /^<svg [^]*Korvane Tall 27/,
    );
    const board = demo.boards[0]!;
    expect(exportFile(demoFile, { as: 'svg', board: board.id })).toContain(board.zones[0]!.name);
  });

  it('tells what was expected', () => {
    expect(told(() => exportFile(demoFile, { as: 'xml' }))).toEqual([
      '--as is xml; expected one of yaml, toml, json, csv, svg',
    ]);
    expect(told(() => exportFile(demoFile, { sections: 'rules,gaps' }))[0]).toContain(
      '--sections is gaps',
    );
    expect(told(() => exportFile(demoFile, { as: 'csv' }))[0]).toContain('--sections rules');
    expect(told(() => exportFile(demoFile, { as: 'svg', monitor: 'moon' }))[0]).toContain('moon');
    expect(told(() => exportFile(demoFile, { as: 'svg', windows: '0' }))[0]).toContain(
      '--windows is 0',
    );
    expect(told(() => exportFile(demoFile, { as: 'svg', board: 'x' }))[0]).toContain(
      '--board is x',
    );
  });
});

describe('sorn import', () => {
  const other = {
    version: 4,
    monitors: [{ id: 'm', width: 1, height: 1 }],
    rules: [
      { id: 'duty-line', when: { all: [{ of: 'app', is: 'post' }] } },
      {
        id: 'notes',
        name: 'Notes float',
        when: { all: [{ of: 'app', is: 'notes' }] },
        then: { held: 'floating' },
      },
    ],
    tiling: { gaps: { inner: 3 } },
  };
  const file = written('other.json', JSON.stringify(other));
  const imported = (options: object) => {
    const text = importFile(demoFile, file, { as: 'json', ...options });
    return profileSchema.parse(JSON.parse(text));
  };

  it('brings in only the sections that are asked for, and keeps what is in the way', () => {
    const made = imported({ sections: 'rules' });
    expect(made.rules.map(({ id }) => id).sort()).toEqual(
      [...demo.rules.map(({ id }) => id), 'notes'].sort(),
    );
    expect({ ...made, rules: [] }).toEqual({ ...demo, rules: [] });
    expect(made.rules.find(({ id }) => id === 'duty-line')).toEqual(demo.rules[0]);
  });

  it('takes what is in the way, or both', () => {
    const taken = imported({ sections: 'rules', conflicts: 'take' }).rules;
    expect(taken.find(({ id }) => id === 'duty-line')!.when.all).toEqual([
      { of: 'app', is: 'post' },
    ]);
    const both = imported({ sections: 'rules', conflicts: 'both' }).rules;
    expect(both.map(({ id }) => id)).toContain('duty-line-2');
  });

  it('tells beforehand what it would bring', () => {
    const plan = importFile(demoFile, file, { plan: true, sections: 'rules,layouts' });
    expect(plan.split('\n')).toEqual(
      expect.arrayContaining([
        'conflict rules   rule 1 “Duty Line”',
        'added    rules   rule 2 “Notes float”',
      ]),
    );
    expect(plan).toContain('inner gap 10 → 3');
    expect(importFile(demoFile, demoFile, { plan: true })).toBe('Nothing to bring in.\n');
  });

  it('brings in a slip, and what a drawing carries, and nothing else', () => {
    const { name, rules } = profileSchema.parse(JSON.parse(exportFile(demoFile, { as: 'json' })));
    const slip = written(
      'slip.yaml',
      'sorn: 4\nrule: { id: posts, when: { all: [{ of: app, is: post }] }, then: { held: pocketed } }\n',
    );
    const made = profileSchema.parse(JSON.parse(importFile(demoFile, slip, { as: 'json' })));
    expect(made.rules.map(({ id }) => id).sort()).toEqual(
      [...rules.map(({ id }) => id), 'posts'].sort(),
    );
    expect([made.name, made.rules.find(({ id }) => id === 'posts')!.then.held]).toEqual([
      name,
      'pocketed',
    ]);
    const board = made.boards[0]!;
    const drawing = written('b.svg', exportFile(demoFile, { as: 'svg', board: board.id }));
    const empty = written('empty.yaml', 'monitors: [{ id: m, width: 800, height: 600 }]\n');
    const drawn = profileSchema.parse(JSON.parse(importFile(empty, drawing, { as: 'json' })));
    expect(drawn.boards).toEqual([board]);
    expect(told(() => importFile(empty, written('c.svg', '<svg/>'), {}))[0]).toContain(
      'a drawing without data',
    );
  });

  it('brings in a table of rules', () => {
    const table = written('rules.csv', 'id,all,held\nposts,app is post,pocketed\n');
    const made = profileSchema.parse(JSON.parse(importFile(demoFile, table, { as: 'json' })));
    expect(made.rules.find(({ id }) => id === 'posts')).toMatchObject({
      then: { held: 'pocketed' },
    });
    const broken = written('broken.csv', 'id,all\nposts,app post\n');
    expect(told(() => importFile(demoFile, broken, {}))[0]).toMatch(
      /broken\.csv: line 2, all: app post; expected/,
    );
  });
});

describe('sorn diff', () => {
  it('says what changed, and what would then be found', () => {
    const rules = demo.rules.map((rule, i) =>
      i === 0 ? { ...rule, then: { monitor: 'lop' } } : rule,
    );
    const file = written('after.json', JSON.stringify({ ...demo, rules }));
    const { text, isSame } = diffFiles(demoFile, file, true);
    expect(isSame).toBe(false);
    expect(text).toContain('rule 1 “Duty Line”: monitor lap → lop');
    expect(text).toMatch(/found: .*lop.*lap/);
    expect(diffFiles(demoFile, demoFile, true)).toEqual({ text: 'The same.\n', isSame: true });
  });
});

describe('sorn backup and restore', () => {
  let data = '';
  beforeEach(async () => {
    data = join(mkdtempSync(join(folder, 'data-')), 'sorn.db');
    await withDatabase((run) => run(1, 'First'));
  });

  async function withDatabase(
    act: (insert: (number: number, name: string) => Promise<unknown>) => Promise<unknown>,
  ) {
    const { client, close } = await openDatabase(data);
    await act((number, name) =>
      client.execute({
        sql: 'INSERT INTO revisions (profile, number, name, saved_at, content) VALUES (?, ?, ?, ?, ?)',
        args: ['desk', number, name, '2026-01-01T00:00:00.000Z', JSON.stringify({ ...demo, name })],
      }),
    );
    await close();
  }

  it('tells what it would replace before it does, and keeps what was there', async () => {
    const file = join(folder, 'made.zip');
    expect(await backupTo(file, data)).toBe(`${file}\n`);
    await withDatabase((run) => run(2, 'Second'));
    const asked = await restoreFrom(file, data, false);
    expect(asked).toMatch(/replaced {2}desk: revision 2 here, of .*, by 1, of/);
    expect(asked).toContain('say --yes');
    const done = await restoreFrom(file, data, true);
    const before = /in (\S+\.zip)/.exec(done)![1]!;
    const kept = await openArchive(before);
    expect([...kept.sums.keys()]).toEqual(['revisions/desk/1.json', 'revisions/desk/2.json']);
    kept.close();
    expect(await restoreFrom(file, data, false)).toContain('same      desk');
  });

  it('tells what is wrong with a file or a database', async () => {
    const bad = written('bad.zip', 'no');
    await expect(restoreFrom(bad, data, true)).rejects.toThrow('it is no ZIP archive');
    const none = join(folder, 'none', 'sorn.db');
    await expect(backupTo(undefined, none)).rejects.toThrow('no such database');
    expect(existsSync(none)).toBe(false);
  });
});
