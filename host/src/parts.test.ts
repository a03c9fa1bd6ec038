import { mkdirSync, mkdtempSync, rmSync, statSync, symlinkSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { profileSchema, sessionSchema } from '@sorn/core/model';
import { adopted, renamed } from './adoption.ts';
import { commandOf } from './launch.ts';
import { Latencies } from './latencies.ts';
import { learnedHints, type Observation } from './learned-hints.ts';
import { realMonitors } from './real-monitors.ts';
import { appOf } from './real-window.ts';
import { recordFile } from './record.ts';
import { LiveDesk } from './live-desk.ts';
import { SizeLessons } from './size-lessons.ts';
import { readAgentMessage, type HostMessage } from '@sorn/link';
import { Rounds } from './rounds.ts';
import { PROFILE, THREE } from './testing/live.ts';

const size = (width: number, height: number) => ({ width, height });

describe('what is kept of a live desk', () => {
  const length = fc.constantFrom(1, 2, 700, 99_999, 100_001, 1_000_000);
  const coordinate = fc.constantFrom(-1_000_000, -1, 0, 5_000, 1_000_000);
  const anySize = fc.record({ width: length, height: length });
  const anyRect = fc.record({ x: coordinate, y: coordinate, width: length, height: length });
  const maybe = <T>(all: fc.Arbitrary<T>) => fc.option(all, { nil: undefined });
  const hints = fc.record({
    min: maybe(anySize),
    max: maybe(anySize),
    increment: maybe(anySize),
    base: maybe(anySize),
    aspect: maybe(anySize),
  });
  const opened = fc.record({
    app: maybe(fc.constantFrom('shell', '__proto__', 'constructor', 'a b/c', 'x'.repeat(200))),
    title: maybe(fc.constantFrom('', 'A', 'x'.repeat(1_000), '\u202e')),
    kind: fc.constantFrom('normal', 'dialog', 'utility', 'fixed'),
    rect: anyRect,
    hints: maybe(hints),
    resizable: fc.boolean(),
    takes: anySize,
    asks: maybe(anyRect),
  });

  it('can be read again, whatever windows say and take', () => {
    fc.assert(
      fc.property(fc.array(opened, { minLength: 1, maxLength: 5 }), (all) => {
        let kept = '';
        const sent: HostMessage[] = [];
        const clock = { now: () => 0, after: () => () => undefined };
        const desk = new LiveDesk({
          profile: PROFILE,
          machine: 'here',
          record: null,
          clock,
          allowLaunch: false,
          send: (message) => sent.push(message),
          hasRoom: () => true,
          keep: (record) => {
            kept = JSON.stringify(record);
            return null;
          },
        });
        const take = (message: object) => {
          const read = readAgentMessage(JSON.stringify(message));
          if (!read.ok) throw new Error(`${read.about}: ${read.fault}`);
          desk.take(read.message);
          desk.flush();
        };
        take({ type: 'hello', protocol: 1, agent: 'any', version: '1', can: [] });
        take({ type: 'monitors', monitors: THREE });
        take({ type: 'ready' });
        for (const [i, { takes: _takes, asks: _asks, ...window }] of all.entries())
          take({ type: 'opened', window: `w${i}`, ...window });
        for (const message of sent.splice(0))
          if (message.type === 'arrange')
            for (const { window, rect } of message.windows)
              take({
                type: 'placed',
                window,
                round: message.round,
                rect: { ...rect, ...all[Number(window.slice(1))]!.takes },
              });
        for (const [i, { asks }] of all.entries())
          if (asks) take({ type: 'asked', window: `w${i}`, rect: asks, by: 'window' });
        expect(() => sessionSchema.parse(JSON.parse(kept).session)).not.toThrow();
      }),
      { numRuns: 300 },
    );
  });

  it('is its owner’s alone', () => {
    const folder = mkdtempSync(join(tmpdir(), 'sorn-record-'));
    const path = join(folder, 'record.json');
    recordFile(path).write({
      session: sessionSchema.parse({}),
      windows: {},
      learned: {},
      isOut: false,
    });
    expect(statSync(path).mode & 0o777).toBe(0o600);
    rmSync(folder, { recursive: true });
  });
});

describe('a window that keeps a proportion', () => {
  it('takes nothing that is not known, where it is a pixel smaller by rounding', () => {
    const lessons = new SizeLessons({});
    const aspect = { width: 16, height: 9 };
    const at = { x: 0, y: 0 };
    for (let width = 20; width < 400; width++) {
      const told = { ...at, width, height: Math.round((width * 9) / 16) };
      const took = { ...at, width: Math.floor((told.height * 16) / 9), height: told.height };
      if (took.width > told.width) continue;
      expect(lessons.take('w', 'cams', { aspect }, { told, took })).toEqual({ is: 'known' });
    }
    // Much less than it was told is no rounding.
    const told = { ...at, width: 320, height: 180 };
    const took = { ...at, width: 160, height: 90 };
    expect(lessons.take('w', 'cams', { aspect }, { told, took }).is).toBe('learned');
  });
});

describe('how long rounds take', () => {
  it('is the median and the nearest rank of 99 in 100, of the last two hundred', () => {
    const times = new Latencies();
    expect(times.now).toBeNull();
    for (let i = 1; i <= 1_000; i++) times.add(i, 0);
    // 801 to 1000 are left: the hundredth of them, and the 198th.
    expect(times.now?.decided).toEqual({ median: 900, most: 998 });
    expect(times.now?.last).toHaveLength(60);
    expect(times.now?.last.at(-1)).toBe(1_000);
  });
});

describe('what is learned of a window’s size', () => {
  /** What a window takes that has a least size, steps or an aspect: written down anew, from the ICCCM's own words. */
  const told = fc.record({
    width: fc.integer({ min: 300, max: 3000 }),
    height: fc.integer({ min: 300, max: 2000 }),
  });
  const seen = (
    takes: (told: { width: number; height: number }) => { width: number; height: number },
  ) =>
    fc
      .array(told, { minLength: 3, maxLength: 10 })
      .map((all): Observation[] => all.map((each) => ({ told: each, took: takes(each) })));

  it('is the least size, where it took more than it was told', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 301, max: 4000 }).chain((least) =>
          seen((each) => size(Math.max(each.width, least), each.height)).map((all) => ({
            least,
            all,
          })),
        ),
        ({ least, all }) => {
          const { min } = learnedHints(all);
          const isSeen = all.some((each) => each.told.width < least);
          expect(min?.width ?? null).toBe(isSeen ? least : null);
        },
      ),
    );
  });

  it('are steps that explain all that was seen, and what the true ones come to', () => {
    fc.assert(
      fc.property(
        fc
          .record({ step: fc.integer({ min: 2, max: 40 }), base: fc.integer({ min: 0, max: 30 }) })
          .chain(({ step, base }) =>
            seen((each) =>
              size(
                base + Math.floor((each.width - base) / step) * step,
                base + Math.floor((each.height - base) / step) * step,
              ),
            ),
          ),
        (all) => {
          const { increment, base, max } = learnedHints(all);
          if (!increment || !base) {
            // Too little was seen to tell: the largest size stands for it.
            expect(
              max === undefined && all.some(({ told: a, took: b }) => a.width !== b.width),
            ).toBe(false);
            return;
          }
          for (const { told: wanted, took } of all)
            for (const axis of ['width', 'height'] as const)
              expect(
                base[axis] +
                  Math.floor((wanted[axis] - base[axis]) / increment[axis]) * increment[axis],
              ).toBe(took[axis]);
        },
      ),
    );
  });

  it('is the aspect, where each takes the whole of one axis', () => {
    const within = ({ width, height }: { width: number; height: number }) =>
      width * 9 > height * 16
        ? size(Math.round((height * 16) / 9), height)
        : size(width, Math.round((width * 9) / 16));
    const all = [size(1600, 1000), size(900, 1000), size(2000, 1111)].map((each) => ({
      told: each,
      took: within(each),
    }));
    const { aspect } = learnedHints(all);
    expect(aspect!.width / aspect!.height).toBeCloseTo(16 / 9, 2);
    // Once is not enough to tell it from steps.
    expect(learnedHints(all.slice(0, 1)).aspect).toBeUndefined();
  });

  it('is nothing where all was taken as told', () => {
    expect(learnedHints([{ told: size(5, 5), took: size(5, 5) }])).toEqual({});
    expect(learnedHints([])).toEqual({});
  });
});

describe('windows that are adopted', () => {
  const known = new Map([
    ['win:1', { app: 'shell', title: 'a' }],
    ['win:2', { app: 'shell', title: 'b' }],
    ['win:3', { app: 'notes', title: 'a' }],
  ]);

  it('are those with the same id and app, else with the same app and title', () => {
    const found = adopted(known, [
      { window: '2', app: 'shell', title: 'another by now' },
      { window: '3', app: 'post', title: 'a' },
      { window: '8', app: 'notes', title: 'a' },
      { window: '9', app: 'shell', title: 'a' },
    ]);
    expect(Object.fromEntries(found)).toEqual({ 2: 'win:2', 8: 'win:3', 9: 'win:1' });
  });

  it('are not guessed: of two alike where one was, neither is it', () => {
    const twice = ['8', '9'].map((window) => ({ window, app: 'notes', title: 'a' }));
    expect(adopted(known, twice).size).toBe(0);
  });

  it('go by their new ids everywhere in the session, and nothing else does', () => {
    const session = {
      windows: [{ id: 'win:1', title: 'about win:1' }],
      arrangements: {
        'A/wide': { order: ['win:1', 'win:2'], inZones: { board: { 'win:1': {} } } },
      },
    };
    const names = new Map([
      ['win:1', 'win:2'],
      ['win:2', 'win:1'],
    ]);
    expect(renamed(session as never, names)).toEqual({
      windows: [{ id: 'win:2', title: 'about win:1' }],
      arrangements: {
        'A/wide': { order: ['win:2', 'win:1'], inZones: { board: { 'win:2': {} } } },
      },
    });
  });
});

describe('real monitors', () => {
  it('are those of the profile by EDID, name, pattern, id or pixels; they stand where they really do', () => {
    const [wide, side, lap] = THREE;
    const there = [
      { ...lap!, x: 0, y: 0 },
      { ...wide!, x: 1920 },
      { ...side!, name: 'HDMI-7', x: 5360 },
    ];
    const { profile, ids, unknown } = realMonitors(PROFILE, there);
    expect(Object.fromEntries(ids)).toEqual({ 'eDP-1': 'lap', 'DP-1': 'wide', 'HDMI-7': 'side' });
    expect(unknown).toEqual([]);
    expect(profile.monitors.map(({ id, x }) => [id, x])).toEqual([
      ['wide', 1920],
      ['side', 5360],
      ['lap', 0],
    ]);
  });

  it('that the profile does not know have its defaults, beside its own on the desk in force', () => {
    const desks = [{ id: 'both', monitors: [{ monitor: 'wide', x: 0, y: 0 }] }];
    const withDesk = profileSchema.parse({ ...PROFILE, desks });
    const stranger = { ...THREE[1]!, name: 'DP 9/x', width: 800, height: 600, x: -800 };
    const { profile, ids, unknown } = realMonitors(withDesk, [THREE[0]!, stranger]);
    expect(unknown).toEqual(['DP 9/x']);
    expect(ids.get('DP 9/x')).toBe('dp-9-x');
    expect(profile.desks[0]!.monitors.map(({ monitor, x }) => [monitor, x])).toEqual([
      ['wide', 0],
      ['dp-9-x', -800],
    ]);
    // The profile itself stays as it was.
    expect(withDesk.desks[0]!.monitors).toHaveLength(1);
  });
});

describe('the app of a window', () => {
  const profile = profileSchema.parse({
    monitors: [{ id: 'm', width: 800, height: 600 }],
    apps: [
      { id: 'mail', match: [{ class: 'Post*', title: '*Inbox*' }, { process: 'maild' }] },
      { id: 'notes', name: 'Tour Notes' },
    ],
  });
  it.each([
    [{ app: 'PostBox', title: 'My Inbox' }, 'mail'],
    [{ app: 'PostBox', title: 'Draft' }, undefined],
    [{ process: 'MAILD' }, 'mail'],
    [{ app: 'NOTES' }, 'notes'],
    [{ process: 'tour notes' }, 'notes'],
    [{ app: 'mail' }, undefined],
    [{}, undefined],
  ])('%j is %s', (window, id) => {
    expect(appOf(profile, window)?.id).toBe(id);
  });
});

describe('a command line', () => {
  it.each([
    ['post --new %U', ['post', '--new']],
    ['"/opt/my app/run" "a b" \'c', ['/opt/my app/run', 'a b', "'c"]],
    ['say "a \\"b\\" \\$HOME \\\\ \\`x\\`" 100%%', ['say', 'a "b" $HOME \\ `x`', '100%']],
    ['run --file=%f now', ['run', '--file=', 'now']],
    ['env A=1 run; rm -rf x | y', ['env', 'A=1', 'run;', 'rm', '-rf', 'x', '|', 'y']],
    ['"half', null],
    ['', null],
    ['%U', null],
  ])('%s is %j', (line, parts) => {
    expect(commandOf(line)).toEqual(parts);
  });
});

describe('a record', () => {
  it('that cannot be written is told with the reason, and leaves the one before as it was', () => {
    const folder = mkdtempSync(join(tmpdir(), 'sorn-record-'));
    const path = join(folder, 'record.json');
    const store = recordFile(path);
    const record = { session: sessionSchema.parse({}), windows: {}, learned: {}, isOut: false };
    expect(store.write(record)).toBeNull();
    // A device that is always full stands where it would be written.
    symlinkSync('/dev/full', `${path}.new`);
    expect(store.write({ ...record, isOut: true })).toMatch(/cannot be kept .* ENOSPC/);
    expect(store.read()).toMatchObject({ isOut: false });
    rmSync(`${path}.new`);
    mkdirSync(`${path}.new`);
    expect(store.write({ ...record, isOut: true })).toContain('cannot be kept');
    expect(store.read()).toMatchObject({ isOut: false });
    rmSync(folder, { recursive: true });
  });
});

describe('the focus by the desktop’s account', () => {
  const rounds = () =>
    new Rounds(
      { now: () => 0, after: () => () => undefined },
      {
        send: () => undefined,
        tookOther: () => 'unknown',
        gaveUp: () => undefined,
        settled: () => undefined,
      },
    );
  const wanted = (focus: string | null) => ({ windows: new Map(), order: [], focus });

  it('is a person’s choice only where it is neither an echo nor from before', () => {
    const told = rounds();
    told.arrange(wanted('a'));
    const first = told.last;
    told.arrange(wanted(null));
    // The echo of the first comes after the second was told.
    expect(told.focusIs('a', first)).toBe(false);
    expect(told.focusIs(null, told.last)).toBe(false);
    expect(told.focusIs('b', told.last)).toBe(true);
    expect(told.focusIs('b')).toBe(false);
    expect(told.focusIs('c')).toBe(true);
  });
});
