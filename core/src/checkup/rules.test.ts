import { describe, expect, it } from 'vitest';
import type { z } from 'zod';
import { profileSchema } from '../model/profile.ts';
import type { ruleSchema } from '../model/rule.ts';
import { STARTER_RULES } from '../starters/rules.ts';
import { checkProfile } from './profile.ts';
import { checkRules } from './rules.ts';

type RuleInput = z.input<typeof ruleSchema>;

const base = {
  monitors: [
    { id: 'wide', name: 'Wide', width: 3440, height: 1440 },
    { id: 'tall', width: 1440, height: 2560 },
    { id: 'lap', name: 'Lap', width: 2880, height: 1800, scale: 2 },
  ],
  desks: [
    {
      id: 'office',
      name: 'Office',
      monitors: [
        { monitor: 'wide', x: 0, y: 0 },
        { monitor: 'tall', x: 3440, y: 0 },
      ],
    },
    { id: 'hut', name: 'Hut', monitors: [{ monitor: 'lap', x: 0, y: 0 }] },
  ],
  workspaces: [
    { id: 'B', monitor: 'wide' },
    { id: 'S', monitor: 'tall' },
    { id: 'R', monitor: 'lap' },
  ],
  boards: [
    {
      id: 'rows',
      rows: [1, 1],
      zones: [{ name: 'Upper', columns: [1, 1], rows: [1, 1] }],
      for: { turned: true },
    },
  ],
  apps: [
    { id: 'areamap', name: 'Area Map', title: 'Hazard zones' },
    { id: 'shell', name: 'Shell', title: 'pull-obs' },
    { id: 'hazarddial', name: 'Hazard Dial', kind: 'dialog', parent: 'areamap' },
    {
      id: 'picker',
      name: 'Colour Picker',
      kind: 'utility',
      resizable: false,
      preferred: { width: 300, height: 360 },
    },
  ],
};
const decided = [...STARTER_RULES];
const of = (...all: object[]) => ({ all }) as RuleInput['when'];
const app = (id: string) => of({ of: 'app', is: id });
const found = (rules: RuleInput[], more: object = {}) =>
  checkRules(profileSchema.parse({ ...base, rules, ...more })).map(({ text }) => text);

describe('the checkup of rules', () => {
  it('finds nothing in the rules people expect, alone or behind others', () => {
    expect(found(decided)).toEqual([]);
    expect(
      found([
        { id: 'map', when: app('areamap'), then: { workspace: 'B', join: 'lead' } },
        ...decided,
      ]),
    ).toEqual([]);
  });

  it('finds rules that no known window matches, on any desk and workspace', () => {
    expect(
      found([
        { id: 'a', when: of({ of: 'title', has: 'briefing' }), then: { focus: true } },
        {
          id: 'b',
          when: of({ of: 'app', is: 'shell' }, { of: 'kind', is: 'dialog' }),
          then: { focus: true },
        },
        {
          id: 'c',
          when: of({ of: 'app', is: 'shell' }, { of: 'workspace', is: 'R' }),
          then: { focus: true },
        },
        {
          id: 'd',
          when: of({ of: 'desk', is: 'hut' }, { of: 'monitor', is: 'wide' }),
          then: { join: 'lead' },
        },
        { id: 'off', on: false, when: of({ of: 'title', has: 'never' }), then: { focus: true } },
        ...decided,
      ]),
    ).toEqual([
      'Rule 1 matches no known window: none with title has “briefing”.',
      'Rule 2 matches no known window.',
      'Rule 4 matches no known window.',
    ]);
  });

  it('finds rules that earlier ones hide, for certain or for all windows that are known', () => {
    expect(
      found([
        { id: 'all', when: of({ of: 'app', fits: '*' }), then: { focus: true, join: 'end' } },
        {
          id: 'narrow',
          when: of({ of: 'app', is: 'shell' }, { of: 'width', from: 10 }),
          then: { join: 'lead' },
        },
        { id: 'title', when: of({ of: 'title', has: 'pull' }), then: { stayAbove: true } },
        { id: 'known', when: app('shell'), then: { stayAbove: true } },
        { id: 'more', when: app('shell'), then: { stayAbove: true, everywhere: true } },
        ...decided,
      ]),
    ).toEqual([
      'Rule 2 matches no known window.',
      'Rule 2 never decides anything: rule 1 comes first and says all of it.',
      'Rule 4 never decides anything: rule 3 comes first and says all of it for every known window.',
    ]);
    const between = found([
      { id: 'one', when: app('shell'), then: { focus: false } },
      { id: 'two', when: app('shell'), then: { join: 'lead' } },
      { id: 'both', when: app('shell'), then: { focus: false, join: 'lead' } },
      ...decided,
    ]);
    expect(between).toEqual([
      'Rule 3 never decides anything: rule 1 and rule 2 come first and say all of it.',
    ]);
  });

  it('finds two rules that pull one window two ways, but no exception from a rule', () => {
    const maps: RuleInput = {
      id: 'maps',
      name: 'Maps',
      when: of({ of: 'title', has: 'zones' }),
      then: { workspace: 'S' },
    };
    const map: RuleInput = {
      id: 'map',
      when: app('areamap'),
      then: { workspace: 'B', focus: false },
    };
    const text =
      'Rule 1 Maps and rule 2 pull Area Map two ways: workspace S, and workspace B. The first one wins.';
    expect(found([maps, map, ...decided])).toEqual([text]);
    expect(found([maps, { ...map, then: { workspace: 'S', focus: false } }, ...decided])).toEqual(
      [],
    );
    expect(found([{ ...maps, on: false }, map, ...decided])).toEqual([]);
    // One that is about fewer windows, and comes first, is an exception; behind the other it is too late.
    const all: RuleInput = {
      id: 'all',
      when: of({ of: 'app', fits: '*' }),
      then: { workspace: 'S', join: 'end' },
    };
    expect(found([map, all, ...decided])).toEqual([]);
    expect(found([all, map, ...decided])).toEqual([
      'Rule 1 and rule 2 pull Area Map two ways: workspace S, and workspace B. The first one wins.',
    ]);
  });

  it('tells of a rule that is hidden nothing else', () => {
    const all: RuleInput = {
      id: 'all',
      when: of({ of: 'app', fits: '*' }),
      then: { workspace: 'S' },
    };
    const map: RuleInput = { id: 'map', when: app('areamap'), then: { workspace: 'B' } };
    expect(found([all, map, ...decided])).toEqual([
      'Rule 2 never decides anything: rule 1 comes first and says all of it.',
    ]);
  });

  it('finds a workspace and a monitor that do not go together', () => {
    const text =
      'workspace S is on tall on the desk Office, not on monitor wide. The workspace decides.';
    const both: RuleInput = {
      id: 'b',
      when: of({ of: 'app', is: 'shell' }),
      then: { workspace: 'S', monitor: 'wide' },
    };
    const onOffice = { of: 'desk', is: 'office' };
    expect(
      found([{ ...both, when: of({ of: 'app', is: 'shell' }, onOffice) }, ...decided]),
    ).toEqual([`Rule 1 sends Shell two ways: ${text}`]);
    expect(
      found([
        { id: 'w', when: app('shell'), then: { workspace: 'S' } },
        { id: 'm', when: of({ of: 'title', has: 'pull' }, onOffice), then: { monitor: 'wide' } },
        ...decided,
      ]),
    ).toEqual([`Rule 1 and rule 2 pull Shell two ways: ${text}`]);
    expect(found([{ ...both, then: { workspace: 'S', monitor: 'tallest' } }, ...decided])).toEqual(
      [],
    );
    expect(
      found([{ ...both, then: { workspace: 'S', monitor: 'widest' } }, ...decided], {
        tiling: { workspacesAre: 'joined' },
      }),
    ).toEqual([]);
  });

  it('finds monitors and zones that are not there on a desk where the rule holds', () => {
    const to = (then: RuleInput['then'], ...conditions: object[]): RuleInput[] => [
      { id: 'r', when: of({ of: 'app', is: 'shell' }, ...conditions), then },
      ...decided,
    ];
    const onHut = { of: 'desk', is: 'hut' };
    expect(found(to({ monitor: 'tall' }))).toEqual([
      'Rule 1 names the monitor tall, which is not there on the desk Hut.',
    ]);
    expect(found(to({ monitor: 'tall' }, { of: 'desk', is: 'Office' }))).toEqual([]);
    expect(found(to({ monitor: 'tall' }, onHut))).toHaveLength(1);
    const either = {
      any: [
        { of: 'desk', is: 'office' },
        { of: 'app', is: 'shell' },
      ],
    } as RuleInput['when'];
    expect(found([{ id: 'r', when: either, then: { monitor: 'tall' } }, ...decided])).toHaveLength(
      1,
    );
    const only = { any: [{ of: 'desk', is: 'office' }] } as RuleInput['when'];
    expect(found([{ id: 'r', when: only, then: { monitor: 'tall' } }, ...decided])).toEqual([]);
    expect(found(to({ monitor: 'widest' }))).toEqual([]);
    expect(found(to({ monitor: 'from-left-2' }))).toHaveLength(1);
    expect(found(to({ zone: 'Upper' }))).toEqual([
      'Rule 1 names the zone “Upper”, which is not there on the desk Hut.',
    ]);
    expect(found(to({ workspace: 'B', zone: 'Upper' }))).toEqual([
      'Rule 1 names the zone “Upper”, which is not there on the desks Office and Hut.',
    ]);
    expect(found(to({ workspace: 'S', zone: 'Upper' }, { of: 'desk', is: 'office' }))).toEqual([]);
  });

  it('finds windows that are told to tile and fit nowhere, and those nobody decided about', () => {
    const apps = [
      { id: 'plan', name: 'Plan', min: { width: 3441, height: 100 } },
      { id: 'chart', min: { width: 3440, height: 100 } },
    ];
    const tile = (id: string): RuleInput => ({ id, when: app(id), then: { held: 'tiled' } });
    expect(found([tile('plan'), tile('chart')], { apps })).toEqual([
      'Rule 1 tiles plan, which cannot be smaller than 3441 × 100: no monitor has room for it.'.replace(
        'plan',
        'Plan',
      ),
    ]);
    expect(found([])).toEqual([
      'Hazard Dial is a dialog, and no rule says how it is held: it is tiled.',
      'Colour Picker has a fixed size, and no rule says how it is held: it is tiled.',
    ]);
    expect(found([{ id: 'empty' }, ...decided])).toEqual(['Rule 1 says nothing to do.']);
  });

  it('tells names that do not exist with the nearest, and once', () => {
    const rules: RuleInput[] = [
      { id: 'a', when: app('aremap'), then: { workspace: 'b', monitor: 'tal', zone: 'upper' } },
      { id: 'd', when: of({ of: 'desk', is: 'Huts' }), then: { focus: true } },
      ...decided,
    ];
    const start = [{ app: 'shel', workspace: 'Z' }];
    const told = checkProfile(profileSchema.parse({ ...base, rules, start })).map((finding) =>
      finding.kind === 'unknown-name'
        ? `${finding.path} ${finding.value} ${finding.nearest}`
        : finding.kind,
    );
    expect(told).toEqual([
      'rules[0].when.all[0].is aremap areamap',
      'rules[0].then.workspace b B',
      'rules[0].then.monitor tal tall',
      'rules[0].then.zone upper Upper',
      'rules[1].when.all[0].is Huts hut',
      'start[0].app shel shell',
      'start[0].workspace Z B',
    ]);
  });
});

describe('a zone that a rule names', () => {
  const board = (id: string, zone: string, leastWidth: number) => ({
    id,
    zones: [{ name: zone, columns: [1, 1], rows: [1, 1] }],
    for: { leastWidth },
  });
  const found = (layout: unknown) =>
    checkRules(
      profileSchema.parse({
        ...base,
        // The second fits no work area: it is there only where the layout asks for it.
        boards: [board('fits', 'here', 100), board('huge', 'only-there', 9_999)],
        tiling: { layout },
        apps: [{ id: 'notes' }],
        rules: [
          { id: 'z', when: { all: [{ of: 'app', is: 'notes' }] }, then: { zone: 'only-there' } },
        ],
      }),
    ).filter(({ kind }) => kind === 'rule-nowhere');

  it('is there on the board that the layout asks for, though that fits no monitor by its shape', () => {
    expect(found({ kind: 'columns' })).toHaveLength(1);
    expect(found({ kind: 'board', board: 'huge' })).toEqual([]);
    expect(found({ kind: 'board', board: 'fits' })).toHaveLength(1);
  });
});

describe('a rule about the mode of the desk', () => {
  const found = (when: object[], then: object) =>
    checkRules(
      profileSchema.parse({
        ...base,
        apps: [{ id: 'notes' }],
        rules: [{ id: 'm', when: { all: when }, then }],
      }),
    ).map(({ text }) => text);
  const mirror = { of: 'mode', is: 'mirror' };

  it('is tried in that mode: it matches, and names what is dark then', () => {
    expect(found([mirror], { held: 'floating' })).toEqual([]);
    expect(found([mirror, { of: 'app', is: 'gone' }], { held: 'floating' })).toEqual([
      'Rule 1 matches no known window: none with app is gone.',
    ]);
    expect(found([mirror, { of: 'desk', is: 'office' }], { monitor: 'tall' })).toEqual([
      'Rule 1 names the monitor tall, which is not there on the desk Office in mirror mode.',
    ]);
    // A rule that asks for no mode is about the desk as it is with all its monitors.
    expect(found([{ of: 'desk', is: 'office' }], { monitor: 'tall' })).toEqual([]);
  });
});

it('a rule that is hidden names those that hide it', () => {
  const rules = [
    { id: 'one', when: app('shell'), then: { held: 'floating' } },
    { id: 'two', when: app('areamap'), then: { held: 'tiled' } },
    { id: 'three', when: app('shell'), then: { held: 'tiled' } },
  ] as RuleInput[];
  const hidden = checkRules(profileSchema.parse({ ...base, rules })).filter(
    ({ kind }) => kind === 'rule-hidden',
  );
  expect(hidden).toMatchObject([{ rule: 'three', by: ['one'], always: true }]);
});

it('a range of sizes that lies in another one is hidden by it, and no other', () => {
  const ranged = (id: string, of: string, from: number, to: number) =>
    ({ id, when: { all: [{ of, from, to }] }, then: { held: 'floating' } }) as unknown as RuleInput;
  const hidden = (...rules: RuleInput[]) =>
    checkRules(profileSchema.parse({ ...base, apps: [], rules }))
      .filter(({ kind }) => kind === 'rule-hidden')
      .map((each) => ('rule' in each ? each.rule : ''));
  for (const of of ['width', 'height']) {
    const wide = ranged('wide', of, 200, 500);
    expect(hidden(wide, ranged('in', of, 300, 400))).toEqual(['in']);
    expect(hidden(wide, ranged('past', of, 300, 600))).toEqual([]);
    expect(hidden(wide, ranged('else', of === 'width' ? 'height' : 'width', 300, 400))).toEqual([]);
  }
});
