import { describe, expect, it } from 'vitest';
import { checkup } from '../checkup/checkup.ts';
import type { RuleSettings } from '../model/rule.ts';
import { sessionSchema } from '../model/session.ts';
import { STARTER_RULES } from '../starters/rules.ts';
import { OFFICE, type TestDesk } from '../testing/desk.ts';
import {
  APPS,
  at,
  desk,
  ofApp,
  open,
  orderOf,
  rule,
  why,
  type RuleInput,
} from '../testing/rule-desk.ts';
import { openSession } from './open.ts';
import { whyHere } from './explain.ts';

describe('a window that opens', () => {
  it('is held, placed and sized as the first rules say that give it, and tells by which', () => {
    const map = open(
      desk([
        { ...rule('size', { size: { width: 900, height: 500 } }, ofApp('map')), name: 'Map size' },
        rule(
          'float',
          { held: 'floating', corner: 'lower-right', workspace: 'R' },
          { of: 'title', has: 'zones' },
        ),
        rule('late', { held: 'tiled', focus: false, stayAbove: true }, ofApp('map')),
        rule('dialogs', { held: 'left-alone' }, { of: 'kind', is: 'dialog' }),
      ]),
      'map',
    );
    // 2880 × 1800 at 280,1440, less the bars 48 and 80 and the outer gap of 12, on a scale of 2.
    expect(at(map, 'map-1')).toBe('1348,2148 1800×1000 on lap/R, floating');
    expect(map.at('map-1').stayAbove).toBe(true);
    expect(why(map, 'map-1')).toEqual([
      'float it: rule 2, title has “zones”',
      'workspace R: rule 2, title has “zones”',
      'the monitor with the focus: default',
      'no zone: default',
      'no place of its own: default',
      '900 × 500: rule 1 Map size, app is map',
      'in the lower right corner: rule 2, title has “zones”',
      'stay above: rule 3, app is map',
      'on one workspace: default',
      'no focus: rule 3, app is map',
      'where new windows join: default',
      'where it was moved last, as set for all: default',
      'may be pictured: default',
      'not tile it: rule 3 says so, but rule 2 comes first',
      'not rule 4: kind is normal, not dialog',
    ]);
    const reasons = whyHere(
      { session: map.session, profile: map.profile, desk: map.desk },
      'map-1',
    );
    expect(reasons[0]).toMatchObject({ decided: 'floating', because: 'rule 2, title has “zones”' });
    // What a person does by key counts from then on.
    const tiled = map.event({ type: 'window-focused', id: 'map-1' }).run('float');
    expect(
      whyHere({ session: tiled.session, profile: tiled.profile, desk: tiled.desk }, 'map-1')[0],
    ).toMatchObject({ decided: 'tiled', because: 'default' });
  });

  it('opens where the focus is where its rule names what is not there, and says so', () => {
    const named = (then: RuleSettings) => {
      const opened = open(desk([rule('r', then, ofApp('map'))]), 'map');
      return [at(opened, 'map-1'), opened.trace.map(({ decided }) => decided).join('; ')];
    };
    const [there, said] = named({ workspace: 'RR' });
    expect(there).toContain('wide/B, tiled');
    expect(said).toContain('no workspace is called RR; the nearest is R');
    const [home, silent] = named({ workspace: 'R' });
    expect(home).toContain('lap/R, tiled');
    expect(silent).not.toContain('no workspace is called');
    expect(named({ workspace: 'far-away' })[1]).toContain('no workspace is called far-away');
    expect(named({ monitor: 'lap', focus: false })[1]).not.toContain('no workspace');
    expect(named({ monitor: 'none' })[1]).toContain('monitor none is not here');
  });

  it('keeps how large it was, unless its size is fixed', () => {
    const opened = (more: object) =>
      desk([rule('r', { stayAbove: true }, ofApp('map'))], {
        windows: [{ id: 'm', app: 'map', mode: { as: 'maximised' }, ...more }],
      }).at('m');
    expect(opened({}).state).toBe('maximised');
    expect(opened({ resizable: false }).state).toBeUndefined();
  });

  it('takes the focus, and brings its workspace, unless a rule says otherwise', () => {
    const rules = (focus: boolean) => [rule('r', { workspace: '1', focus }, ofApp('map'))];
    const begun = (focus: boolean) => desk(rules(focus), { windows: [{ id: 'a' }], focus: 'a' });
    const taken = open(begun(true), 'map').session;
    expect([taken.focus, taken.shown['wide']]).toEqual(['map-1', '1']);
    const quiet = open(begun(false), 'map').session;
    expect([quiet.focus, quiet.shown['wide'], quiet.recent]).toEqual(['a', 'B', ['a', 'map-1']]);
  });

  it('goes into a zone of the board that arranges its workspace, or is placed in one that fits', () => {
    const rules = [rule('z', { monitor: 'tall', zone: 'upper' }, ofApp('map'))];
    expect(at(open(desk(rules), 'map'), 'map-1')).toBe('3446,-554 1428×1269 on tall/S, floating');
    const board = { layout: { kind: 'board' } };
    const arranged = open(
      desk(rules, { windows: [{ id: 'x', workspace: 'S' }] }, { tiling: board }),
      'map',
    );
    expect(arranged.at('map-1')).toMatchObject({ held: 'tiled', zones: ['upper'] });
    const none = open(desk([rule('z', { zone: 'nowhere' }, ofApp('map'))]), 'map');
    expect(at(none, 'map-1')).toContain('tiled');
    expect(none.trace).toContainEqual({
      about: 'map-1',
      decided: 'in no zone “nowhere”',
      because: 'no board for wide has it',
    });
    const placed = open(
      desk([rule('p', { placing: { x: { end: '1/2' }, y: 'full' } }, ofApp('map'))]),
      'map',
    );
    expect(at(placed, 'map-1')).toBe('1725,34 1709×1400 on wide/B, floating');
  });

  it('keeps a fixed size, whatever a rule says of it', () => {
    const size = { size: { width: 500, height: 500 }, held: 'floating' as const };
    const fixed = open(desk([rule('s', size, ofApp('picker'))]), 'picker');
    expect(fixed.at('picker-1')).toMatchObject({ width: 300, height: 360 });
  });

  it('joins the order as a rule says, also where that is set otherwise', () => {
    const join = (where: RuleSettings['join']) =>
      open(
        desk(
          [rule('j', { join: where! }, ofApp('map'))],
          { windows: [{ id: 'a' }, { id: 'b' }, { id: 'c' }], focus: 'b' },
          { tiling: { newWindows: 'lead' } },
        ),
        'map',
      );
    expect(orderOf(join('end'), 'B/wide')).toEqual(['a', 'b', 'c', 'map-1']);
    expect(orderOf(join('after-focused'), 'B/wide')).toEqual(['a', 'b', 'map-1', 'c']);
    expect(
      orderOf(
        open(desk([], { windows: [{ id: 'a' }] }, { tiling: { newWindows: 'lead' } }), 'map'),
        'B/wide',
      ),
    ).toEqual(['map-1', 'a']);
  });

  it('opens in the pocket, everywhere, or where it is told itself, which no rule overrules', () => {
    const pocketed = open(
      desk([rule('p', { held: 'pocketed' }, ofApp('map'))], { windows: [{ id: 'a' }] }),
      'map',
    );
    expect(pocketed.session).toMatchObject({ focus: 'a', pocket: ['map-1'] });
    expect(pocketed.run('call-back').at('map-1')).toMatchObject({ held: 'tiled', shown: true });
    const all = open(desk([rule('e', { everywhere: true }, ofApp('map'))]), 'map');
    expect(all.at('map-1')).toMatchObject({ held: 'floating', everywhere: true });
    expect(all.run('everywhere').at('map-1').held).toBe('tiled');
    const itself = desk([
      rule('r', { held: 'floating', workspace: '1', stayAbove: true }, ofApp('map')),
    ]).event({
      type: 'window-opened',
      window: {
        id: 'm',
        app: 'map',
        kind: 'normal',
        held: 'tiled',
        workspace: 'S',
        stayAbove: false,
      },
    });
    expect(at(itself, 'm')).toContain('tall/S, tiled');
    expect(why(itself, 'm')).toContain('held: the window itself says so');
    // One that names a monitor is on what is shown there.
    const window = { id: 'm', app: 'map', kind: 'normal' as const, monitor: 'lap' };
    const there = desk([rule('r', { workspace: 'S' }, ofApp('map'))]).event({
      type: 'window-opened',
      window,
    });
    expect(at(there, 'm')).toContain('lap/R, tiled');
  });

  it('floats over its parent, centred, as people expect of dialogs, and a guest is left alone', () => {
    const apps = [
      ...APPS,
      { id: 'guest', resizable: false, preferred: { width: 1280, height: 1024 } },
    ];
    const begun = desk([...STARTER_RULES] as RuleInput[], {}, { apps });
    const dial = open(open(begun, 'map'), 'dial');
    const map = dial.at('map-1');
    expect(map.held).toBe('tiled');
    const { x, y, width, height } = dial.at('dial-1');
    expect([width, height]).toEqual([400, 300]);
    expect([2 * x + width, 2 * y + height]).toEqual([
      2 * map.x + map.width,
      2 * map.y + map.height,
    ]);
    expect(open(begun, 'guest').at('guest-1')).toMatchObject({ held: 'left-alone', width: 1280 });
    // Switched off, it is as any other.
    const off = [{ ...STARTER_RULES[0]!, on: false }, ...STARTER_RULES.slice(1)];
    expect(open(desk(off as RuleInput[], {}, { apps }), 'guest').at('guest-1').held).toBe(
      'floating',
    );
  });

  it('that is in a session file is ruled when that is opened, and not again when it is opened once more', () => {
    const rules = [
      rule(
        'map',
        {
          held: 'floating',
          corner: 'upper-left',
          workspace: 'S',
          size: { width: 500, height: 400 },
        },
        ofApp('map'),
      ),
      rule('shell', { join: 'lead' }, ofApp('shell')),
      rule('zone', { monitor: 'wide', zone: 'left' }, ofApp('pitreader')),
    ];
    const windows = [
      { id: 'a' },
      { id: 'm', app: 'map' },
      { id: 's', app: 'shell' },
      { id: 'p', app: 'pitreader' },
      { id: 'own', app: 'map', held: 'tiled', workspace: 'B' },
    ];
    const opened = desk(rules, { windows, focus: 'a' });
    expect(at(opened, 'm')).toBe('3446,-554 500×400 on tall/S, floating');
    expect(orderOf(opened, 'B/wide')).toEqual(['s', 'a', 'p', 'own']);
    expect(opened.at('p').zones).toEqual(['left']);
    expect(at(opened, 'own')).toContain('wide/B, tiled');
    const moved = opened.event({ type: 'window-focused', id: 'm' }).run('nudge-right');
    const kept = sessionSchema.parse(JSON.parse(JSON.stringify(moved.session)));
    const again = openSession(kept, moved.profile).session;
    expect(again.windows.find(({ id }) => id === 'm')).toEqual(
      moved.session.windows.find(({ id }) => id === 'm'),
    );
  });
});

describe('what opens at the start', () => {
  it('goes where the list says, else where rules say, and is not opened twice', () => {
    const begun = desk(
      [rule('s', { workspace: 'R', held: 'floating' }, ofApp('shell'))],
      { windows: [{ id: 'old', app: 'map' }] },
      {
        start: [
          { app: 'map' },
          { app: 'shell' },
          { app: 'shell', workspace: 'S', held: 'tiled' },
          { app: 'none' },
        ],
      },
    );
    const started = begun.run('open-start');
    expect(
      started.placed().placements.map(({ id, workspace, held }) => `${id} ${workspace} ${held}`),
    ).toEqual(['old B tiled', 'shell-1 R floating', 'shell-2 S tiled']);
    expect(started.trace.at(-1)!.because).toContain('no app is called none');
    expect(why(started, 'shell-2')).toContain(
      'workspace S: the list of what opens at the start says so',
    );
    expect(started.run('apply-rules').at('shell-2').workspace).toBe('S');
    expect(orderOf(started.run('open-start'), 'S/tall')).toEqual(['shell-2']);
  });

  it('is told where it is open already, and where nothing opens', () => {
    const said = (start: object[]) => {
      const after = desk([], { windows: [{ id: 'old', app: 'map' }] }, { start }).run('open-start');
      return after.trace[0]?.because;
    };
    expect(said([{ app: 'map' }])).toBe('all of them are open');
    expect(said([])).toBe('no app is opened at the start');
  });
});

describe('a rule no known window matches', () => {
  it('is not dead while an open window does', () => {
    const rules = [rule('t', { focus: true }, { of: 'title', has: 'draft' })];
    const dead = (from: TestDesk) =>
      checkup(from.profile, from.session).filter(({ kind }) => kind === 'rule-unmatched').length;
    const begun = desk(rules, { windows: [{ id: 'a', title: 'one' }] });
    expect(dead(begun)).toBe(1);
    expect(dead(begun.event({ type: 'window-retitled', id: 'a', title: 'A draft' }))).toBe(0);
  });
});

describe('a window that opens out of the way', () => {
  const last = { command: 'focus-last' } as const;

  it('in the pocket has the focus after all others', () => {
    const both = open(
      open(desk([rule('away', { held: 'pocketed' }, ofApp('map'))]), 'shell'),
      'shell',
    );
    const three = open(both, 'map');
    expect(three.session.focus).toBe('shell-2');
    expect(three.session.recent).toEqual(['shell-2', 'shell-1', 'map-1']);
    expect(three.run(last).session.focus).toBe('shell-1');
  });

  it('without the focus comes right after the focused one, and first where none is', () => {
    const shy = desk([rule('shy', { focus: false }, ofApp('map'))]);
    const first = open(shy, 'map');
    expect(first.session.focus).toBeUndefined();
    expect(first.session.recent).toEqual(['map-1']);
    const later = open(open(open(shy, 'shell'), 'shell'), 'map');
    expect(later.session.recent).toEqual(['shell-2', 'map-1', 'shell-1']);
    expect(later.run(last).session.focus).toBe('map-1');
    // On a monitor without windows none has the focus, though one had it before.
    const away = open(open(shy, 'shell').run({ command: 'go-monitor', which: 'tall' }), 'map');
    expect(away.session.recent).toEqual(['map-1', 'shell-1']);
  });
});

it('a window that is there at the beginning stands in the corner that a rule gives', () => {
  const corner = rule('corner', { held: 'floating', corner: 'lower-right' }, ofApp('map'));
  const begun = desk([corner], {
    windows: [{ id: 'm', app: 'map', preferred: { width: 1000, height: 600 } }],
  });
  // 3440 × 1440 with 28 above, less the outer gap of 6.
  expect(at(begun, 'm')).toBe('2434,834 1000×600 on wide/B, floating');
});

it('the zone that a rule gives is told with its board where there could be doubt', () => {
  const zone = [rule('zone', { zone: 'left' }, ofApp('map'))];
  const said = (more: object) =>
    open(desk(zone, {}, more), 'map').trace.find(({ decided }) => decided.startsWith('in left'))
      ?.decided;
  const board = { layout: { kind: 'board', board: 'five' } };
  expect(said({ tiling: board })).toBe('in left');
  expect(said({})).toBe('in left of five');
  const [five, ...others] = OFFICE.boards;
  const boards = [five!, { ...five!, id: 'again' }, ...others];
  expect(said({ boards, tiling: board })).toBe('in left of five');
});
