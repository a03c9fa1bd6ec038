import { describe, expect, it } from 'vitest';
import { deskInForce } from '../desk/desk.ts';
import { OFFICE, testDesk, windows, type TestDesk } from '../testing/desk.ts';
import { whyHere } from './explain.ts';

const desk = testDesk(OFFICE, {
  windows: [
    ...windows('p', 'b').windows,
    { id: 's', increment: { width: 1, height: 24 } },
    { id: 'f', app: 'picker', held: 'floating', preferred: { width: 300, height: 360 } },
  ],
  focus: 'p',
});
const why = (from: TestDesk, id: string) =>
  whyHere(
    { session: from.session, profile: from.profile, desk: deskInForce(from.profile, from.session) },
    id,
  ).map(({ decided, because }) => `${decided}: ${because}`);

describe('why a window is here', () => {
  it('tells the size of one that never stood anywhere as it is drawn: what it prefers, or the half', () => {
    const size = (window: object) => {
      const apps = [...OFFICE.apps, { id: 'easel', preferred: { width: 500, height: 400 } }];
      const free = { ...OFFICE, apps, tiling: { layout: { kind: 'free' } } };
      return why(testDesk(free, { windows: [{ id: 'w', ...window }] }), 'w').at(-1);
    };
    expect(size({ preferred: { width: 320, height: 200 } })).toBe(
      '320 × 200: the size it prefers, in the middle',
    );
    expect(size({})).toBe('1720 × 706: half the work area, in the middle');
    // A file gives no window what its app would prefer; only opening the app does.
    expect(size({ app: 'easel' })).toBe('1720 × 706: half the work area, in the middle');
  });

  it('tells how it is held, its place, its layout and its size', () => {
    expect(why(desk, 'p')).toEqual([
      'tiled: default',
      'workspace B on wide: it is at home there',
      'lead, number 1 of 3 in the order: Lead, set for everything',
      '1982 × 1400: its tile at a share of 0.58',
    ]);
    expect(why(desk, 's').at(-1)).toBe('1436 × 672: its steps in a tile of 1436 × 695');
    expect(why(desk, 'f')[0]).toBe('floating: it opened so itself');
    expect(why(desk, 'nobody')).toEqual([]);
  });

  it('tells of a rule that is gone by now', () => {
    const when = { all: [{ of: 'app', is: 'notes' }] };
    const ruled = testDesk(
      {
        ...OFFICE,
        apps: [{ id: 'notes' }],
        rules: [{ id: 'r', when, then: { held: 'floating' } }],
      },
      { windows: [{ id: 'n', app: 'notes' }] },
    );
    expect(why(ruled, 'n')[0]).toBe('floating: rule 1, app is notes');
    const gone = ruled.edited({ ...ruled.profile, rules: [] });
    expect(why(gone, 'n')[0]).toBe('floating: a rule that is gone, app is notes');
  });

  it('tells what was done by key', () => {
    expect(why(desk.run('float'), 'p')[0]).toBe('floating: by key');
    expect(why(desk.run('float-all'), 'b')[0]).toContain('float-all');
    expect(why(desk.run('stay-above'), 'p')[0]).toBe('floating: it stays above, by key');
    expect(why(desk.run('maximise'), 'p')).toContain(
      '3428 × 1400: maximised: the work area less the gap',
    );
    expect(why(desk.run('next-layout'), 'p')).toContain(
      'lead, number 1 of 3 in the order: Middle lead, chosen by key',
    );
    expect(why(desk.run('pause'), 'p')).toEqual([
      'tiled: default',
      'workspace B on wide: it is at home there',
      '1982 × 1400: the engine is paused: as it stood then',
    ]);
    expect(why(desk.run('pause'), 'f')[0]).toBe('floating: it opened so itself');
    const away = { command: 'go-workspace', which: 'S' } as const;
    expect(why(desk.run('pocket', away, 'call-back'), 'p')[0]).toBe(
      'floating: called back from workspace B',
    );
  });

  it('tells why it is not seen', () => {
    expect(why(desk.run('minimise'), 'p').at(-1)).toBe(
      'not shown: minimised; restore-last brings it',
    );
    const go = { command: 'go-workspace', which: '1' } as const;
    expect(why(desk.run(go), 'p').at(-1)).toBe('not shown: its monitor shows workspace 1');
    const single = desk.run({ command: 'use-layout', layout: { kind: 'single' } });
    expect(why(single, 'b').at(-1)).toBe('not shown: another window in the same place is on top');
  });

  it('tells what has no room', () => {
    const small = testDesk(
      { ...OFFICE, tiling: { whenTooSmall: 'float' } },
      { windows: ['a', 'b'].map((id) => ({ id, min: { width: 3000, height: 900 } })) },
    );
    expect(why(small, 'b')[0]).toBe(
      'floating: there is no room for its minimum; when too small: float',
    );
  });
});

it('tells where one lies that has no tile of its own, and with how many', () => {
  const stacked = testDesk(
    {
      monitors: [{ id: 'm', width: 1000, height: 600 }],
      tiling: { layout: { kind: 'columns' }, whenTooSmall: 'stack' },
    },
    {
      windows: ['a', 'b', 'c', 'd', 'e'].map((id) => ({ id, min: { width: 300, height: 10 } })),
    },
  );
  const lies = (id: string) => why(stacked, id).find((line) => line.startsWith('beneath'));
  expect(lies('d')).toBe('beneath the last tile of 3, with 1 more: Columns, set for everything');
  expect(lies('e')).toBe(lies('d'));
  expect(lies('c')).toBeUndefined();
});
