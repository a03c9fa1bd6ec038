import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { profileSchema } from '../model/profile.ts';
import { trialSchema, type Trial } from '../model/trial.ts';
import { read } from '../values/faults.ts';
import { builtInTrials } from './built-in-trials.ts';
import { missOf } from './expect.ts';
import { readExpectation } from './expectation-text.ts';
import { shrinkFailure } from './shrink.ts';
import { trialRunner, type TryOutcome } from './trial.ts';
import { allTries, joinedResults, orderCauseOf, type TrialResult } from './trial-result.ts';
import { variationsOf } from './variations.ts';

/** Two monitors of 1,000 × 800, no gaps: two columns are 500 wide. */
const PROFILE = profileSchema.parse({
  monitors: [
    { id: 'one', width: 1000, height: 800 },
    { id: 'two', width: 1000, height: 800 },
  ],
  desks: [
    {
      id: 'both',
      monitors: [
        { monitor: 'one', x: 0, y: 0 },
        { monitor: 'two', x: 1000, y: 0 },
      ],
    },
    { id: 'alone', monitors: [{ monitor: 'one', x: 0, y: 0 }] },
  ],
  workspaces: [
    { id: 'A', monitor: 'one' },
    { id: 'B', monitor: 'two' },
    { id: 'C', monitor: 'one' },
  ],
  apps: [
    { id: 'mail' },
    { id: 'web', min: { width: 450, height: 300 } },
    { id: 'notes' },
    { id: 'log' },
  ],
  rules: [
    {
      id: 'log',
      when: { all: [{ of: 'app', is: 'log' }] },
      then: { workspace: 'B', focus: false },
    },
  ],
  tiling: { layout: { kind: 'columns' }, gaps: { inner: 0, outer: 0 } },
  boards: [
    {
      id: 'halves',
      columns: [1, 1],
      rows: [1],
      zones: [
        { name: 'Left', columns: [1, 1], rows: [1, 1] },
        { name: 'Right', columns: [2, 2], rows: [1, 1] },
      ],
    },
  ],
  keys: { main: 'Meta' },
});
const open = (app: string) => ({ command: 'open-app', app });
const says = (sentence: string) => {
  const expectation = readExpectation(sentence);
  if (typeof expectation === 'string') throw new Error(expectation);
  return { expect: expectation };
};
const trialOf = (steps: unknown[], vary: object = {}, session: object = { desk: 'both' }): Trial =>
  trialSchema.parse({ id: 't', session, steps, vary });
const first = (trial: Trial, profile = PROFILE): TryOutcome =>
  trialRunner(profile, trial)(variationsOf(profile, trial).at(0));
const all = (trial: Trial, profile = PROFILE, options = {}): TrialResult =>
  allTries(profile, trial, options);

describe('an expectation', () => {
  const two = [open('mail'), open('web'), open('log')];
  const floated = [open('mail'), open('web'), 'float'];

  it.each<[string, unknown[], string, string | null]>([
    ['monitor', two, 'log is on monitor two', null],
    ['monitor', two, 'log is on monitor one', 'it is on two'],
    ['workspace', two, 'mail is on workspace A', null],
    ['workspace', two, 'log is on workspace A', 'it is on workspace B'],
    ['number', two, 'web is number 2', null],
    ['number', two, 'web is number 1', 'it is number 2'],
    ['lead', two, 'mail is the lead', null],
    ['lead', two, 'web is the lead', 'it is tiled, shown'],
    ['held', floated, 'web is floating', null],
    ['held', floated, 'web is number 1', 'it is in no tile'],
    ['hidden', [...two, { command: 'go-workspace', which: 'C' }], 'mail is hidden', null],
    ['focus', two, 'web is focused', null],
    ['rectangle', two, 'web is at 500 0, 500 × 800', null],
    ['rectangle', two, 'web is at 500 0, 500 × 801', 'it is at 500 0, 500 × 800'],
    ['size', two, 'web is at least 500 × 800', null],
    ['size', two, 'web is at least 1/2 × 1/1', null],
    ['size', two, 'web is at least 2/3 × 1/1', 'it is 500 × 800'],
    ['beside', two, 'mail is beside web', null],
    ['beside', [...two, open('notes')], 'mail is beside notes', 'something is between them'],
    ['beside', two, 'mail is beside log', 'or they are elsewhere'],
    ['nth', [...two, open('mail')], 'mail (2) is number 3', null],
    ['nth', two, 'mail (2) is number 3', 'mail (2) is not open'],
    ['title', [{ open: { id: 'x', title: 'Inbox, 3' } }], 'titled "Inbox*" is tiled', null],
    ['shows', two, 'monitor two shows workspace B', null],
    [
      'shows',
      [{ command: 'go-workspace', which: 'C' }],
      'monitor one shows workspace A',
      'it shows C',
    ],
    ['layout', two, 'workspace A has layout columns', null],
    [
      'layout',
      [{ command: 'use-layout', layout: { kind: 'rows' } }],
      'workspace A has layout columns',
      'it has layout rows',
    ],
    ['findings', two, 'there is no finding', null],
    ['findings', [...two, open('notes')], 'there is no finding of squeeze', null],
    ['findings', [open('web'), open('web'), open('web')], 'there is no finding', 'squeeze'],
    [
      'minimum',
      [open('web'), open('web'), open('web')],
      'every window is at least its minimum',
      'under its minimum',
    ],
    ['reach', two, 'every window is in reach', null],
    ['home', two, 'every window is on the monitor of its workspace', null],
    [
      'presses',
      [{ press: 'Main+KeyW' }, { press: 'Main+KeyW KeyA' }],
      'at most 3 key presses',
      null,
    ],
    [
      'presses',
      [{ press: 'Main+KeyW' }, { press: 'Main+KeyW KeyA' }],
      'at most 2 key presses',
      '3 key presses',
    ],
    ['moved', two, 'nothing moved', null],
    ['moved', [open('mail'), open('web')], 'nothing moved', 'mail moved'],
    ['moved', [open('mail'), open('web')], 'nothing moved but mail', null],
    ['same', [open('mail'), { mark: 'm' }, 'float', 'float'], 'all is as at mark m', null],
    ['same', [open('mail'), { mark: 'm' }, 'float'], 'all is as at mark m', 'window mail-1'],
    ['zone', two, 'mail is in zone Left', 'it is in no zone'],
    [
      'zone',
      [{ command: 'use-layout', layout: { kind: 'board' } }, open('mail')],
      'mail is in zone Left',
      null,
    ],
  ])('of %s', (_what, steps, sentence, found) => {
    const { failures } = first(trialOf([...steps, says(sentence)]));
    if (found === null) expect(failures).toEqual([]);
    else expect(failures.map((each) => each.found).join()).toContain(found);
  });

  it('stands between steps, and each is looked at where it stands', () => {
    const { failures } = first(
      trialOf([open('mail'), says('mail is focused'), open('web'), says('mail is focused')]),
    );
    expect(failures.map(({ number, at }) => [number, at])).toEqual([[1, 3]]);
  });
});

describe('what is expected of every window', () => {
  const desk = first(trialOf([open('mail'), open('web')])).end;
  /** A look at a desk on which the first window stands as no engine would have it. */
  const odd = (change: object) =>
    ({
      desk: desk.desk,
      session: desk.session,
      name: (id: string) => id,
      placements: desk.placements.map((each, i) => (i === 0 ? { ...each, ...change } : each)),
    }) as unknown as typeof desk;
  const soFar = { marks: new Map(), presses: 0, before: null };

  it.each([
    ['in-reach', { x: 2000, width: 10 }, 'mail-1 is outside every monitor'],
    ['in-reach', { x: -10, width: 10, held: 'left-alone' }, 'mail-1 is outside every monitor'],
    ['in-reach', { x: 1990 }, null],
    ['in-reach', { x: 2000, shown: false }, null],
    ['in-reach', { monitor: 'three' }, 'mail-1 is on three, which is not there'],
    ['in-reach', { workspace: 'Z' }, 'mail-1 is on workspace Z, which is not there'],
    ['at-home', { monitor: 'two' }, 'mail-1 is on two; its workspace A is on one'],
    ['at-home', { workspace: 'B' }, 'mail-1 is on one; its workspace B is on two'],
    ['at-home', {}, null],
  ] as const)('%s, with %j', (every, change, found) => {
    expect(missOf({ every }, odd(change), soFar)?.found ?? null).toBe(found);
  });
});

describe('variations', () => {
  it('multiply: orders, desks, twice, further windows, pulled monitors and minimums', () => {
    const steps = [{ anyOrder: [open('mail'), open('web'), open('log')] }, 'float'];
    expect(variationsOf(PROFILE, trialOf(steps)).count).toBe(6);
    const vary = { desks: true, twice: true, further: 3, pulled: true, minimums: true };
    const many = variationsOf(PROFILE, trialOf(steps, vary));
    expect(many.count).toBe(6 * 2 * 2 * 4 * (1 + 2 * 5) * 2);
    const seen = new Set(Array.from({ length: many.count }, (_, i) => JSON.stringify(many.at(i))));
    expect(seen.size).toBe(many.count);
  });

  it('try orders of more than 7 steps by a seed, the one as written first', () => {
    const trial = trialOf([{ anyOrder: Array.from({ length: 9 }, () => open('mail')) }]);
    const some = variationsOf(PROFILE, trial, { orders: 40, seed: 7 });
    expect(some.count).toBe(40);
    expect(some.at(0).orders[0]).toEqual([0, 1, 2, 3, 4, 5, 6, 7, 8]);
    const orders = Array.from({ length: 40 }, (_, i) => some.at(i).orders[0]!.join());
    expect(new Set(orders).size).toBeGreaterThan(35);
    const again = variationsOf(PROFILE, trial, { orders: 40, seed: 7 });
    expect(Array.from({ length: 40 }, (_, i) => again.at(i).orders[0]!.join())).toEqual(orders);
    const other = variationsOf(PROFILE, trial, { orders: 40, seed: 8 });
    expect(other.at(1).orders).not.toEqual(some.at(1).orders);
  });

  it('try what they say', () => {
    const half = says('web is at least 1/2 × 1/1');
    const sentence = says('there is no finding of squeeze');
    const further = all(trialOf([open('web'), half], { further: 3 }));
    expect(further.missed).toEqual([[2, 3]]);
    const larger = all(trialOf([open('web'), open('web'), sentence], { minimums: true }));
    expect(larger.missed).toEqual([[1]]);
    const pulled = all(trialOf([open('log'), says('log is on monitor two')], { pulled: true }));
    expect([pulled.tries, pulled.failed]).toEqual([5, []]);
    const desks = all(trialOf([open('log'), says('log is on monitor two')], { desks: true }));
    expect(desks.missed).toEqual([[1]]);
    const press = { press: 'Main+KeyH' };
    const twice = all(trialOf([press, says('at most 1 key presses')], { twice: true }));
    expect([twice.tries, twice.missed]).toEqual([2, [[1]]]);
  });

  it('open other windows the second time, which later steps are about', () => {
    const steps = [{ open: { id: 'a' } }, { retitle: 'a', title: 'New' }, { open: { id: 'b' } }];
    const trial = trialOf([...steps, { close: 'b' }], { twice: true });
    const [once, twice] = [0, 1].map((number) =>
      trialRunner(
        PROFILE,
        trial,
      )(variationsOf(PROFILE, trial).at(number)).end.session.windows.map(({ title }) => title),
    );
    expect([once, twice]).toEqual([['New'], ['New', 'New']]);
  });

  it('enlarge the minimums of windows that are there, and of those that open', () => {
    const min = { width: 450, height: 300 };
    const sentence = says('there is no finding of squeeze');
    const there = {
      windows: [
        { id: 'a', min },
        { id: 'b', min },
      ],
    };
    const opening = [{ open: { id: 'a', min } }, { open: { id: 'b', min } }];
    const vary = { minimums: true };
    expect(all(trialOf([sentence], vary, there)).missed).toEqual([[1]]);
    expect(all(trialOf([...opening, sentence], vary)).missed).toEqual([[1]]);
    expect(all(trialOf([{ anyOrder: opening }, sentence], vary)).missed).toEqual([[2, 3]]);
  });

  it('pull a monitor where they say, and plug it in again', () => {
    const trial = trialOf([open('mail'), says('mail is tiled')], { pulled: true });
    const variations = variationsOf(PROFILE, trial);
    // As written; then each monitor before the window opens, and after it.
    const tries = [0, 1, 2, 3, 4].map((number) => {
      const { items, end } = trialRunner(PROFILE, trial)(variations.at(number));
      const { windows, connected } = end.session;
      return [items.findIndex((item) => 'pull' in item), windows[0]!.monitor, connected];
    });
    expect(tries).toEqual([
      [-1, 'one', undefined],
      [0, 'one', ['one', 'two']],
      [1, 'one', ['one', 'two']],
      [0, 'one', ['one', 'two']],
      [1, 'one', ['one', 'two']],
    ]);
  });

  it('come to the same in one go, in parts, and each by itself', () => {
    const steps = [
      {
        anyOrder: [
          open('mail'),
          { press: 'Main+KeyT' },
          open('web'),
          { command: 'go-workspace', which: 'C' },
        ],
      },
      says('mail is on workspace A'),
      'undo',
      says('web is the lead'),
    ];
    const trial = trialOf(steps, { further: 1, pulled: true });
    const whole = all(trial);
    const parts = [0, 17, 100, 101, whole.tries].map((from, i, cuts) =>
      allTries(PROFILE, trial, {}, from, cuts[i + 1] ?? from),
    );
    expect(joinedResults(trial, parts)).toEqual(whole);
    const variations = variationsOf(PROFILE, trial);
    const single = Array.from({ length: variations.count }, (_, i) =>
      trialRunner(PROFILE, trial)(variations.at(i)).failures.length > 0 ? [i] : [],
    ).flat();
    expect(whole.failed).toEqual(single);
    expect(whole.failed.length).toBeGreaterThan(0);
  });
});

/** Twelve steps in any order; web has no rule, so that it opens wherever one is. */
const TWELVE = [
  open('mail'),
  open('web'),
  open('notes'),
  open('log'),
  { command: 'go-workspace', which: 'C' },
  open('mail'),
  open('notes'),
  { press: 'Main+BracketRight' },
  { press: 'Main+KeyH' },
  open('log'),
  { command: 'use-layout', layout: { kind: 'rows' } },
  open('notes'),
];
const MORNING = trialOf([
  { anyOrder: TWELVE },
  says('web is on workspace A'),
  says('mail is focused'),
]);

describe('a failure', () => {
  const { missed } = all(MORNING, PROFILE, { orders: 120 });

  it('is made as short as it can be, and stays the failure of the same expectation', () => {
    expect(missed[0]!.length).toBeGreaterThan(20);
    const variations = variationsOf(PROFILE, MORNING, { orders: 120 });
    fc.assert(
      fc.property(fc.constantFrom(...missed[0]!), (number) => {
        const short = shrinkFailure(PROFILE, MORNING, variations.at(number), {
          number: 0,
          isMissing: false,
        });
        expect(short.failure).toMatchObject({ number: 0, found: 'it is on workspace C' });
        expect(short.items.map((item) => ('step' in item ? item.step : 'expect'))).toEqual([
          { command: 'go-workspace', which: 'C' },
          { command: 'open-app', app: 'web' },
          'expect',
        ]);
      }),
      { numRuns: 20 },
    );
  });

  it('does not become the lack of the window that it is about', () => {
    const trial = trialOf([open('mail'), open('web'), 'float', says('web is tiled')]);
    const short = shrinkFailure(PROFILE, trial, variationsOf(PROFILE, trial).at(0), {
      number: 0,
      isMissing: false,
    });
    expect(short.items).toHaveLength(3);
    expect(short.failure.isMissing).toBe(false);
  });

  it('comes back to the order in which its steps are written, where that fails, too', () => {
    const min = { width: 450, height: 300 };
    const opening = ['a', 'b', 'c'].map((id) => ({ open: { id, min } }));
    const trial = trialOf([{ anyOrder: opening }, says('there is no finding of squeeze')]);
    const variations = variationsOf(PROFILE, trial);
    for (let number = 0; number < variations.count; number++) {
      const { items } = shrinkFailure(PROFILE, trial, variations.at(number), {
        number: 0,
        isMissing: false,
      });
      const opened = items.flatMap((item) => ('step' in item ? [item.step] : []));
      expect(opened.map((step) => ('open' in step ? step.open.id : ''))).toEqual(['a', 'b', 'c']);
    }
  });

  it('leaves out what varies, and windows that were open before', () => {
    const session = { desk: 'both', windows: [{ id: 'a' }, { id: 'b', app: 'web' }, { id: 'c' }] };
    const trial = trialOf(
      [open('mail'), 'float', says('web is the lead')],
      { further: 2, pulled: true },
      session,
    );
    const variations = variationsOf(PROFILE, trial);
    const short = shrinkFailure(PROFILE, trial, variations.at(variations.count - 1), {
      number: 0,
      isMissing: false,
    });
    expect(short.subject.session.windows.map(({ id }) => id)).toEqual(['a', 'b']);
    expect(short.items).toHaveLength(1);
  });

  it('of orders is told by the step that comes before another one', () => {
    const five = trialOf([{ anyOrder: TWELVE.slice(0, 5) }, says('web is on workspace A')]);
    const cause = orderCauseOf(PROFILE, five, all(five), 0);
    expect(cause).toEqual({ tried: 120, missed: 60, before: [[4, 1]], holds: [[1, 4]] });
    // Whatever else is varied.
    const varied = { ...five, vary: { ...five.vary, further: 2, desks: true } };
    expect(orderCauseOf(PROFILE, varied, all(varied), 0)).toEqual(cause);
    const two = trialOf([
      { anyOrder: TWELVE.slice(0, 2) },
      { anyOrder: TWELVE.slice(3, 5) },
      says('web is on workspace C'),
    ]);
    expect(orderCauseOf(PROFILE, two, all(two), 0)).toBeNull();
  });
});

describe('a trial in a file', () => {
  it.each([
    [{ steps: [{ same: 'm' }] }, 'plugged, hold, press, release, mark, expect, anyOrder'],
    [{ steps: [{ expect: { window: 'mail', monitr: 'one' } }] }, 'monitor'],
    [{ steps: [{ anyOrder: ['float'] }] }, 'at least two steps'],
    [{ steps: [{ anyOrder: ['float', { anyOrder: [] }] }] }, 'press, release, mark'],
    [{ steps: ['flote'] }, 'float'],
    [{ steps: [{ expect: { window: 'mail', atLeast: { width: 'half', height: 1 } } }] }, '1/2'],
  ])('says what is wrong with %j', (given, expected) => {
    const result = read(trialSchema, { id: 't', ...given });
    expect(result.ok ? '' : result.faults.map((fault) => fault.expected).join()).toContain(
      expected,
    );
  });
});

it('every profile has trials that hold where nothing is lost, and fail where something is', () => {
  const [reach, home, large] = builtInTrials(PROFILE).map((trial) => all(trial));
  expect([reach, home, large].map((result) => result!.failed.length)).toEqual([0, 0, 0]);
  const narrow = {
    ...PROFILE,
    monitors: PROFILE.monitors.map((each) => ({ ...each, width: 400 })),
  };
  expect(all(builtInTrials(narrow)[2]!, narrow).failed.length).toBeGreaterThan(0);
});
