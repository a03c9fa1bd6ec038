import {
  chmodSync,
  closeSync,
  linkSync,
  lstatSync,
  mkdirSync,
  mkdtempSync,
  openSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  symlinkSync,
  writeFileSync,
  writeSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { ProfileFileState } from '@sorn/api';
import { profileSchema, type Profile } from '@sorn/core/model';
import isEqual from 'fast-deep-equal';
import { pino } from 'pino';
import { afterEach, beforeEach, describe, expect, test } from 'vitest';
import { seeded } from '../testing/seeded.ts';
import { parse, parseDocument } from 'yaml';
import { makeChangeEvents } from '../change-events.ts';
import { openDatabase, type OpenDatabase } from '../storage/open.ts';
import { storeIn } from '../storage/store.ts';
import { openProfileFiles, type ProfileFiles } from './profile-files.ts';

const TEXT = `# My desk
name: Hut # short
monitors:
  - { id: wide, width: 3440, height: 1440 } # the good one
# how much air there is
tiling:
  gaps: { inner: 8, outer: 6 }
look:
  motionMs: 100
rules:
  # never tile the guest
  - id: guest
    when: { all: [{ of: app, is: wxguest }] }
    then: { held: left-alone }
`;

let folder: string;
let database: OpenDatabase;
let files: ProfileFiles | undefined;
let told: ProfileFileState[];

const changes = makeChangeEvents();
const log = pino({ level: 'silent' });
const path = () => join(folder, 'desk.yaml');

beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'sorn-files-'));
  database = await openDatabase(join(folder, 'data', 'sorn.db'));
  told = [];
});
afterEach(async () => {
  await files?.end();
  files = undefined;
  await database.close();
  rmSync(folder, { recursive: true });
});

async function start(paths = [path()], folders: string[] = []) {
  files = await openProfileFiles({
    db: database.db,
    changes,
    log,
    paths,
    folders,
    mustLook: false,
    onState: (state) => told.push(state),
  });
  return files;
}

const store = () => storeIn(database.db);
const state = () => files!.states()[0]!;
const id = () => state().profile!;
const saved = async (): Promise<Profile> =>
  profileSchema.parse(JSON.parse((await store().readProfile(id()))!.content));
const until = (is: () => unknown, wanted: unknown = true) =>
  expect.poll(is, { timeout: 8_000, interval: 15 }).toEqual(wanted);

/** What another page does: reads, edits, saves, and comes again where somebody was quicker. */
async function edit(change: (profile: Profile) => Profile): Promise<void> {
  for (;;) {
    const kept = (await store().readProfile(id()))!;
    const next = change(profileSchema.parse(JSON.parse(kept.content)));
    const done = await store().saveProfile(id(), next, kept.revision);
    if (!done || 'stale' in done) continue;
    changes.tell(id(), { profile: done.revision });
    return;
  }
}
const withGap =
  (inner: number) =>
  (profile: Profile): Profile => ({
    ...profile,
    tiling: { ...profile.tiling, gaps: { ...profile.tiling.gaps, inner } },
  });

describe('a profile that lives in a file', () => {
  test('comes in with its text, and an edit here changes its one line there', async () => {
    writeFileSync(path(), TEXT, { mode: 0o640 });
    await start();
    expect(state().state).toBe('same');
    expect((await store().readProfile(id()))!.text).toEqual({ format: 'yaml', content: TEXT });
    await edit(withGap(9));
    await until(() => readFileSync(path(), 'utf8'), TEXT.replace('inner: 8', 'inner: 9'));
    expect(statSync(path()).mode & 0o777).toBe(0o640);
    expect(readdirSync(folder).sort()).toEqual(['data', 'desk.yaml']);
  });

  test('what is written there is a revision here within half a second', async () => {
    writeFileSync(path(), TEXT);
    await start();
    const begun = performance.now();
    writeFileSync(path(), TEXT.replace('name: Hut', 'name: Shed'));
    await until(async () => (await saved()).name, 'Shed');
    // Told here, and held to by hand: a busy machine is no fault.
    process.stdout.write(`read after ${Math.round(performance.now() - begun)} ms\n`);
    expect((await store().readProfile(id()))!.revision).toBe(2);
  });

  test('a fault is told with its line, and all stays as it was until it is mended', async () => {
    writeFileSync(path(), TEXT);
    await start();
    writeFileSync(path(), TEXT.replace('inner: 8', 'inner: wide'));
    await until(() => state().state, 'faults');
    expect(state().faults).toEqual([
      {
        file: path(),
        line: 7,
        column: 11,
        excerpt: 'gaps: { inner: wide, outer: 6 }',
        message: expect.stringContaining('tiling.gaps.inner'),
      },
    ]);
    expect((await saved()).name).toBe('Hut');
    // An edit here does not touch a file that is being mended.
    await edit((profile) => ({ ...profile, name: 'Barn' }));
    await new Promise((resolve) => setTimeout(resolve, 300));
    expect(readFileSync(path(), 'utf8')).toContain('inner: wide');
    writeFileSync(path(), TEXT.replace('inner: 8', 'inner: 12'));
    await until(() => state().state, 'same');
    expect(await saved()).toMatchObject({ name: 'Barn', tiling: { gaps: { inner: 12 } } });
    expect(parse(readFileSync(path(), 'utf8'))).toMatchObject({ name: 'Barn' });
  });

  test('both changed the same: nothing is written until it is decided', async () => {
    writeFileSync(path(), TEXT);
    await start();
    const name = id();
    await files!.end();
    const [own] = [TEXT.replace('inner: 8', 'inner: 20').replace('name: Hut', 'name: Shed')];
    writeFileSync(path(), own);
    const kept = (await store().readProfile(name))!;
    await store().saveProfile(
      name,
      withGap(30)(profileSchema.parse(JSON.parse(kept.content))),
      kept.revision,
    );
    await start();
    expect(state()).toMatchObject({ state: 'conflicts', profile: name });
    expect(state().conflicts).toMatchObject([
      { path: ['tiling', 'gaps', 'inner'], base: 8, mine: 30, theirs: 20 },
    ]);
    expect(readFileSync(path(), 'utf8')).toBe(own);
    await files!.decide(name, new Map([[JSON.stringify(['tiling', 'gaps', 'inner']), 'mine']]));
    await until(() => state().state, 'same');
    expect(await saved()).toMatchObject({ name: 'Shed', tiling: { gaps: { inner: 30 } } });
    expect(readFileSync(path(), 'utf8')).toBe(own.replace('inner: 20', 'inner: 30'));
  });

  test('a decision right after a write is taken at once, and not asked for again', async () => {
    writeFileSync(path(), TEXT);
    await start();
    await edit((profile) => ({ ...profile, name: 'Barn' }));
    await until(() => readFileSync(path(), 'utf8').includes('name: Barn'));
    // Both change the same while the next write has to wait.
    writeFileSync(path(), readFileSync(path(), 'utf8').replace('inner: 8', 'inner: 20'));
    await edit(withGap(30));
    await until(() => state().state, 'conflicts');
    const [conflict] = state().conflicts!;
    const decided = await files!.decide(id(), new Map([[JSON.stringify(conflict!.path), 'mine']]));
    expect(decided).toMatchObject({ state: 'same' });
    expect(readFileSync(path(), 'utf8')).toContain('inner: 30');
  });

  test('what an editor writes on into the file that was just replaced is not lost', async () => {
    writeFileSync(path(), TEXT);
    await start();
    // It has the file open, and is slow.
    const output = openSync(path(), 'r+');
    await edit(withGap(9));
    await until(() => readFileSync(path(), 'utf8').includes('inner: 9'));
    writeSync(output, TEXT.replace('name: Hut', 'name: Den'), 0);
    closeSync(output);
    await until(() => readFileSync(path(), 'utf8').includes('name: Den'));
    expect(await saved()).toMatchObject({ name: 'Den', tiling: { gaps: { inner: 9 } } });
  });

  test('nor what another one writes into the new file just before that is heard', async () => {
    writeFileSync(path(), TEXT);
    await start();
    const output = openSync(path(), 'r+');
    await edit(withGap(9));
    await until(() => readFileSync(path(), 'utf8').includes('inner: 9'));
    writeSync(output, TEXT.replace('name: Hut', 'name: Den'), 0);
    closeSync(output);
    // It is not left alone for long enough to be read before the former file is looked at.
    await pause(900);
    const now = readFileSync(path(), 'utf8');
    writeFileSync(path(), `${now}pointer: { focusFollows: true }\n`);
    await until(() => readFileSync(path(), 'utf8').includes('name: Den'));
    await until(() => state().state, 'same');
    const expected = {
      name: 'Den',
      tiling: { gaps: { inner: 9 } },
      pointer: { focusFollows: true },
    };
    expect(parse(readFileSync(path(), 'utf8'))).toMatchObject(expected);
    expect(await saved()).toMatchObject(expected);
  });

  test('what an editor changes twice while a write waits is no conflict', async () => {
    writeFileSync(path(), TEXT);
    await start();
    // Written at once; the next write has to wait a second.
    await edit(withGap(9));
    await until(() => readFileSync(path(), 'utf8').includes('inner: 9'));
    await edit(withGap(10));
    writeFileSync(path(), readFileSync(path(), 'utf8').replace('name: Hut', 'name: Den'));
    await until(async () => (await saved()).name, 'Den');
    expect(readFileSync(path(), 'utf8')).toContain('inner: 9');
    writeFileSync(path(), readFileSync(path(), 'utf8').replace('name: Den', 'name: Shed'));
    await until(() => readFileSync(path(), 'utf8').includes('inner: 10'));
    expect(await saved()).toMatchObject({ name: 'Shed', tiling: { gaps: { inner: 10 } } });
    expect(parse(readFileSync(path(), 'utf8'))).toMatchObject({ name: 'Shed' });
    expect(told.map((each) => each.state)).not.toContain('conflicts');
  });

  test('what a restore of all profiles made otherwise is written, too', async () => {
    writeFileSync(path(), TEXT);
    await start();
    const kept = (await store().readProfile(id()))!;
    const next = withGap(21)(profileSchema.parse(JSON.parse(kept.content)));
    await store().saveProfile(id(), next, kept.revision);
    changes.tellAll();
    await until(() => readFileSync(path(), 'utf8'), TEXT.replace('inner: 8', 'inner: 21'));
  });

  test('a profile that was deleted leaves the file, and comes in anew at the next start', async () => {
    writeFileSync(path(), TEXT);
    await start();
    await files!.end();
    await store().remove(id(), 1);
    await start();
    expect(state()).toMatchObject({ state: 'same', profile: 'hut' });
    expect(readFileSync(path(), 'utf8')).toBe(TEXT);
    expect((await saved()).name).toBe('Hut');
  });

  test('it goes, cannot be read, is too large, and goes on when that is otherwise', async () => {
    writeFileSync(path(), TEXT);
    await start();
    rmSync(path());
    await until(() => state().state, 'gone');
    await edit(withGap(1));
    expect((await saved()).tiling.gaps?.inner).toBe(1);
    writeFileSync(path(), TEXT.replace('name: Hut', 'name: Shed'));
    await until(() => state().state, 'same');
    expect(parse(readFileSync(path(), 'utf8'))).toMatchObject({
      name: 'Shed',
      tiling: { gaps: { inner: 1 } },
    });
    writeFileSync(path(), Buffer.alloc(20 * 1024 * 1024, '#'));
    await until(() => state().state, 'too-large');
    rmSync(path());
    mkdirSync(path());
    await until(() => state().state, 'unreadable');
    rmSync(path(), { recursive: true });
    writeFileSync(path(), TEXT);
    await until(() => state().state, 'same');
    expect((await saved()).name).toBe('Hut');
  });

  test('links are followed, files with two names keep both, and their rights stay', async () => {
    mkdirSync(join(folder, 'real'));
    const real = join(folder, 'real', 'hut.yaml');
    writeFileSync(real, TEXT);
    linkSync(real, join(folder, 'twin.yaml'));
    chmodSync(real, 0o600);
    symlinkSync('real/hut.yaml', path());
    await start();
    await edit(withGap(3));
    await until(() => readFileSync(join(folder, 'twin.yaml'), 'utf8').includes('inner: 3'));
    expect(lstatSync(path()).isSymbolicLink()).toBe(true);
    expect(statSync(real)).toMatchObject({ nlink: 2 });
    expect(statSync(real).mode & 0o777).toBe(0o600);
    // What the link leads to is edited.
    writeFileSync(real, TEXT.replace('name: Hut', 'name: Shed'));
    await until(async () => (await saved()).name, 'Shed');
  });

  test('a file of a former version is written anew only after that was agreed to', async () => {
    const former = TEXT.replace('name: Hut', 'version: 3\nname: Hut');
    writeFileSync(path(), former);
    await start();
    await edit(withGap(5));
    await until(() => state().state, 'asks');
    expect(state().anew).toEqual([path()]);
    expect(readFileSync(path(), 'utf8')).toBe(former);
    await files!.writeAnew(id());
    await until(() => state().state, 'same');
    expect(readFileSync(path(), 'utf8')).toMatch(/^# My desk\nversion: 4/);
  });
});

describe('a profile of several files', () => {
  const RULES = `# rules of mine\nrules:\n  - id: guest # wx\n    then: { held: left-alone }\n`;
  const ROOT = `include: [rules.yaml, more/keys.toml]\nname: Hut\nmonitors: [{ id: wide, width: 3440, height: 1440 }]\n`;
  const KEYS = `# keys\n[keys]\nfrom = "few" # a few\n`;
  function lay() {
    mkdirSync(join(folder, 'more'), { recursive: true });
    writeFileSync(path(), ROOT);
    writeFileSync(join(folder, 'rules.yaml'), RULES);
    writeFileSync(join(folder, 'more', 'keys.toml'), KEYS);
  }

  test('an edit goes back to the file it came from', async () => {
    lay();
    await start();
    expect(await saved()).toMatchObject({ rules: [{ id: 'guest' }], keys: { from: 'few' } });
    await edit((profile) => ({
      ...profile,
      keys: { ...profile.keys, holdMs: 300 },
      rules: profile.rules.map((rule) => ({ ...rule, name: 'Guest' })),
    }));
    await until(
      () => readFileSync(join(folder, 'more', 'keys.toml'), 'utf8'),
      `${KEYS}holdMs = 300\n`,
    );
    await until(() => readFileSync(join(folder, 'rules.yaml'), 'utf8').includes('name: Guest'));
    expect(readFileSync(join(folder, 'rules.yaml'), 'utf8')).toMatch(
      /^# rules of mine\nrules:\n {2}- id: guest # wx\n/,
    );
    expect(readFileSync(path(), 'utf8')).toBe(ROOT);
    await until(() => state().state, 'same');
    writeFileSync(join(folder, 'rules.yaml'), RULES.replace('guest', 'visitor'));
    await until(async () => (await saved()).rules[0]!.id, 'visitor');
  });

  test.each([
    [
      'a loop',
      () => writeFileSync(join(folder, 'rules.yaml'), `include: [desk.yaml]\n${RULES}`),
      /rules\.yaml:1:11: .*desk\.yaml includes what includes it: it is the file that is named/,
    ],
    [
      'a field that two say',
      () => writeFileSync(path(), `${ROOT}rules: []\n`),
      /rules\.yaml:2:1: rules is said twice; expected it here or in .*desk\.yaml:4:1/,
    ],
    [
      'a file that is included twice',
      () => writeFileSync(path(), ROOT.replace('rules.yaml,', 'rules.yaml, rules.yaml,')),
      /desk\.yaml:1:23: .*rules\.yaml is included twice: .*desk\.yaml:1:11 includes it/,
    ],
    [
      'one that is outside',
      () => writeFileSync(path(), ROOT.replace('rules.yaml', '/etc/rules.yaml')),
      /desk\.yaml:1:11: \/etc\/rules\.yaml is outside/,
    ],
    [
      'one that is not there',
      () => rmSync(join(folder, 'rules.yaml')),
      /desk\.yaml:1:11: .*rules\.yaml: there is no such file/,
    ],
    [
      'a fault in a part',
      () => writeFileSync(join(folder, 'more', 'keys.toml'), `${KEYS}holdMs = "x"\n`),
      /keys\.toml:4:1: keys\.holdMs is "x"/,
    ],
  ])('%s is a fault with its places', async (_name, plant, expected) => {
    lay();
    plant();
    await start();
    expect(state().state).toBe('faults');
    const lines = state().faults!.map(
      ({ file, line, column, message }) => `${file}:${line}:${column}: ${message}`,
    );
    expect(lines.join('\n')).toMatch(expected);
  });
});

describe('kept in a file from the page', () => {
  test('only in folders that were named, never over what is no profile', async () => {
    const kept = join(folder, 'dotfiles');
    mkdirSync(kept);
    const { id: own } = await store().create(profileSchema.parse(parse(TEXT)));
    await start([], [kept]);
    const keep = (name: string) => files!.keep(own, name);
    expect(await keep(join(folder, 'x.yaml'))).toMatch(/is outside; expected a file in/);
    expect(await keep(join(kept, '..', 'x.yaml'))).toMatch(/is outside/);
    symlinkSync(folder, join(kept, 'out'));
    expect(await keep(join(kept, 'out', 'x.yaml'))).toMatch(/is outside/);
    expect(await keep(join(kept, 'x.txt'))).toMatch(
      /has no ending; expected .yaml, .toml or .json/,
    );
    writeFileSync(join(kept, 'notes.yaml'), 'shopping: [bread]\n');
    expect(await keep(join(kept, 'notes.yaml'))).toMatch(/is no profile; it is left as it is/);
    expect(readFileSync(join(kept, 'notes.yaml'), 'utf8')).toBe('shopping: [bread]\n');
    expect(await keep(join(kept, 'desk.toml'))).toMatchObject({ state: 'same', profile: own });
    expect(readFileSync(join(kept, 'desk.toml'), 'utf8')).toContain('name = "Hut"');
    // It is taken up at the next start without being named, and let go when that is asked for.
    await files!.end();
    await start([], [kept]);
    expect(files!.states()).toMatchObject([{ profile: own, state: 'same' }]);
    expect(await files!.release(own)).toBeNull();
    expect(files!.states()).toEqual([]);
  });
});

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/** The ways in which editors save a file. */
const WAYS: readonly ((file: string, text: string) => Promise<void> | void)[] = [
  (file, text) => writeFileSync(file, text),
  (file, text) => {
    writeFileSync(`${file}.new`, text);
    renameSync(`${file}.new`, file);
  },
  async (file, text) => {
    // Emptied, then written in two pieces.
    const output = openSync(file, 'w');
    writeSync(output, text.slice(0, text.length >> 1));
    await pause(10);
    writeSync(output, text.slice(text.length >> 1));
    closeSync(output);
  },
  async (file, text) => {
    // Saved twice.
    writeFileSync(file, text);
    await pause(10);
    writeFileSync(file, text);
  },
  async (file, text) => {
    // With a swap file beside it, and the former one kept.
    writeFileSync(`${file}.swp`, text);
    renameSync(file, `${file}~`);
    writeFileSync(file, text);
    await pause(5);
    rmSync(`${file}.swp`);
  },
];

/** Fields of the file, each with the way to it; the page edits some of them, an editor others, both the last two. */
const FIELDS: readonly (readonly string[])[] = [
  ['tiling', 'gaps', 'inner'],
  ['tiling', 'growStep'],
  ['floating', 'grid'],
  ['tiling', 'gaps', 'outer'],
  ['look', 'motionMs'],
  ['keys', 'sequenceMs'],
  ['keys', 'holdMs'],
  ['look', 'focusFrame', 'weight'],
];
const LEAST = [0, 20, 0, 0, 0, 100, 100, 1];
const PAGES = [0, 1, 2];
const EDITORS = [3, 4, 5];
const BOTH = [6, 7];

type Fields = { [name: string]: Fields } & object;
const valueAt = (value: unknown, way: readonly string[]) =>
  way.reduce<unknown>((inner, name) => (inner as Fields)[name], value);
function withValue(value: Fields, [name, ...rest]: readonly string[], fresh: number): Fields {
  const inner = rest.length === 0 ? fresh : withValue(value[name!] ?? {}, rest, fresh);
  return { ...value, [name!]: inner } as Fields;
}

const RUNS = Number(process.env['FILE_RUNS'] ?? 50);

test(
  `${RUNS} interleavings of edits here and there lose nothing, and end equal`,
  async () => {
    writeFileSync(path(), TEXT);
    await start();
    let writes = 0;
    for (let seed = 1; seed <= RUNS; seed++) {
      const random = seeded(seed);
      const below = (count: number) => Math.floor(random() * count);
      const last = new Map<number, { page?: number; editor?: number }>();
      const before = told.length;
      for (let i = 0; i < 6; i++) {
        const isPage = random() < 0.5;
        const among = random() < 0.2 ? BOTH : isPage ? PAGES : EDITORS;
        const field = among[below(among.length)]!;
        // 8 for the frame's weight is the most; all others take more.
        const value = LEAST[field]! + (field === 7 ? below(8) : below(60));
        last.set(field, { ...last.get(field), [isPage ? 'page' : 'editor']: value });
        const way = FIELDS[field]!;
        if (isPage)
          await edit(
            (profile) => withValue(profile as unknown as Fields, way, value) as unknown as Profile,
          );
        else {
          const document = parseDocument(readFileSync(path(), 'utf8'));
          document.setIn(way, value);
          await WAYS[below(WAYS.length)]!(path(), document.toString());
        }
        if (random() < 0.5) await pause(below(160));
      }
      // At rest: whatever does not go together is decided.
      await until(async () => {
        const { state: now, conflicts = [], faults = [] } = state();
        if (now === 'conflicts') {
          const how = random() < 0.5 ? 'mine' : 'theirs';
          const decided = conflicts.map((each) => [JSON.stringify(each.path), how] as const);
          await files!.decide(id(), new Map(decided));
          return `seed ${seed}: decided`;
        }
        // Read by another reader than the one that is tried.
        const there = profileSchema.parse(parse(readFileSync(path(), 'utf8')));
        if (now === 'same' && isEqual(there, await saved())) return 'equal';
        const said = [there, await saved()].map((each) => FIELDS.map((way) => valueAt(each, way)));
        return `seed ${seed}: ${now} ${JSON.stringify(faults)} there ${said[0]} here ${said[1]}`;
      }, 'equal');
      const whole = await saved();
      for (const [field, { page, editor }] of last) {
        const now = valueAt(whole, FIELDS[field]!);
        const wanted = [page, editor].filter((value) => value !== undefined);
        expect(
          wanted,
          `seed ${seed}, ${FIELDS[field]!.join('.')} of ${JSON.stringify(last.get(field))}`,
        ).toContain(now);
      }
      writes += told.length - before;
    }
    expect(readFileSync(path(), 'utf8')).toContain('# how much air there is');
    // No loop of writes: at rest nothing happens any more.
    const { revision } = (await store().readProfile(id()))!;
    const { mtimeMs } = statSync(path());
    await pause(2_500);
    expect((await store().readProfile(id()))!.revision).toBe(revision);
    expect(statSync(path()).mtimeMs).toBe(mtimeMs);
    expect(writes).toBeGreaterThan(0);
  },
  RUNS * 12_000,
);
