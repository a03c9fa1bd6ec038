import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { deskInForce } from '../desk/desk.ts';
import { workArea } from '../desk/work-area.ts';
import { profileSchema } from '../model/profile.ts';
import type { RuleSettings } from '../model/rule.ts';
import type { TestDesk } from '../testing/desk.ts';
import { at, desk, ofApp, open, orderOf, rule, why, type RuleInput } from '../testing/rule-desk.ts';
import { anyRules } from '../testing/rules.ts';

describe('rules that are asked again', () => {
  const again = (what: 'title' | 'desk', ...of: Parameters<typeof rule>): RuleInput => ({
    ...rule(...of),
    again: { [what]: true },
  });

  it('when a title changes take the window, once, and let it go when they do not match any more', () => {
    const begun = desk(
      [
        again(
          'title',
          'alarm',
          { held: 'floating', workspace: '1' },
          { of: 'title', has: 'alarm' },
        ),
        rule('never', { held: 'left-alone' }, { of: 'title', has: 'alarm' }),
      ],
      { windows: [{ id: 'a' }, { id: 'b', title: 'quiet' }, { id: 'c' }], focus: 'a' },
    );
    const titled = (from: TestDesk, title: string) =>
      from.event({ type: 'window-retitled', id: 'b', title });
    const alarm = titled(begun, 'ALARM');
    expect(at(alarm, 'b')).toContain('wide/1, floating');
    expect(alarm.session.focus).toBe('a');
    // What a person does to it then is not undone by another title.
    const tiled = alarm.event({ type: 'window-focused', id: 'b' }).run('float');
    expect(titled(tiled, 'Alarm still').at('b').held).toBe('tiled');
    const calm = titled(alarm, 'quiet');
    expect(at(calm, 'b')).toContain('wide/B, tiled');
    expect(orderOf(calm, 'B/wide')).toEqual(['a', 'b', 'c']);
    expect(titled(alarm.run('pause'), 'quiet').at('b').workspace).toBe('1');
  });

  it('move a floating window where they say a corner or a size alone, and no other one', () => {
    const begun = (then: RuleSettings) =>
      desk(
        [
          rule('first', { held: 'floating' }, ofApp('map')),
          again('title', 'alarm', then, { of: 'title', has: 'alarm' }),
        ],
        { windows: [{ id: 'm', app: 'map', title: 'calm' }], focus: 'm' },
      );
    const titled = (from: TestDesk) =>
      from.event({ type: 'window-retitled', id: 'm', title: 'alarm' }).at('m');
    const before = begun({}).at('m');
    const same = titled(begun({ private: true }));
    expect([same.x, same.y, same.width, same.height]).toEqual([
      before.x,
      before.y,
      before.width,
      before.height,
    ]);
    // The work area of the wide monitor is 3440 × 1412 at 0,28, less the outer gap of 6.
    const corner = titled(begun({ corner: 'upper-left' }));
    expect([corner.x, corner.y, corner.width]).toEqual([6, 34, before.width]);
    const size = titled(begun({ size: { width: 500, height: 300 } }));
    expect([size.width, size.height]).toEqual([500, 300]);
  });

  it('leave where a window says itself that it stands', () => {
    const begun = desk(
      [rule('corner', { corner: 'upper-left' }, ofApp('map')), rule('held', { held: 'floating' })],
      {
        windows: [
          {
            id: 'm',
            app: 'map',
            held: 'floating',
            standing: { x: 900, y: 500, width: 400, height: 300 },
          },
        ],
        focus: 'm',
      },
    );
    for (const now of [begun, begun.run('apply-rules')])
      expect(now.at('m')).toMatchObject({ x: 900, y: 500, width: 400, height: 300 });
  });

  it('leave what was done by key since, and fetch out of the pocket only what they put there', () => {
    const windows = [{ id: 'a' }, { id: 'b' }, { id: 'c' }];
    const begun = (then: RuleInput['then']) =>
      desk([again('title', 'alarm', then as RuleSettings, { of: 'title', has: 'alarm' })], {
        windows,
        focus: 'b',
      });
    const titled = (from: TestDesk, title: string) =>
      from.event({ type: 'window-retitled', id: 'b', title });
    // Moved on by key, it stays there.
    const moved = titled(begun({ workspace: '1' }), 'alarm')
      .event({ type: 'window-focused', id: 'b' })
      .run({ command: 'put-on-workspace', which: 'S' });
    expect(at(titled(moved, 'calm'), 'b')).toContain('tall/S, tiled');
    // Pocketed by the rule, it comes back; pocketed by key, it stays in the pocket.
    const hidden = titled(begun({ held: 'pocketed' }), 'alarm');
    expect(hidden.session.pocket).toEqual(['b']);
    const back = titled(hidden, 'calm');
    expect([back.session.pocket, back.at('b').held]).toEqual([undefined, 'tiled']);
    expect(orderOf(back, 'B/wide')).toEqual(['a', 'b', 'c']);
    const own = titled(begun({ held: 'floating' }), 'alarm').run('pocket');
    expect(titled(own, 'calm').session.pocket).toEqual(['b']);
  });

  it('when the desk changes do so there, and leave all as it was on the way back, by key, cable and undo', () => {
    const rules = [
      again('desk', 'hut', { held: 'floating', workspace: 'R' }, ofApp('map'), {
        of: 'desk',
        is: 'hut',
      }),
      again('desk', 'widest', { monitor: 'widest' }, ofApp('shell')),
    ];
    const begun = desk(rules, {
      windows: [{ id: 'a' }, { id: 'm', app: 'map' }, { id: 's', app: 'shell' }, { id: 'z' }],
    });
    const places = (from: TestDesk) => ['a', 'm', 's', 'z'].map((id) => at(from, id));
    const hut = begun.run({ command: 'use-desk', desk: 'hut' });
    expect(at(hut, 'm')).toContain('on lap/R, floating');
    expect(why(hut, 'm')[0]).toBe('float it: rule 1, app is map, desk is hut');
    for (const back of [
      hut.run({ command: 'use-desk', desk: 'office' }),
      hut.run('undo'),
      begun.plug('lap').plug('wide', 'tall', 'lap'),
    ]) {
      expect(places(back)).toEqual(places(begun));
      expect(orderOf(back, 'B/wide')).toEqual(orderOf(begun, 'B/wide'));
    }
  });

  it('when only the mode of the desk changes, too', () => {
    const dims = again('desk', 'dims', { held: 'pocketed' }, ofApp('map'), {
      of: 'mode',
      is: 'mirror',
    });
    const begun = desk([dims], { windows: [{ id: 'a' }, { id: 'm', app: 'map' }] });
    const [extend, mirror, one] = (['extend', 'mirror', 'one'] as const).map((mode) =>
      begun.run({ command: 'desk-mode', mode }),
    );
    expect(at(extend!, 'm')).toContain('wide/B, tiled');
    expect(mirror!.session.pocket).toEqual(['m']);
    expect(one!.session.pocket).toBeUndefined();
    const back = mirror!.run({ command: 'desk-mode', mode: 'extend' });
    expect([back.session.pocket, at(back, 'm')]).toEqual([undefined, at(begun, 'm')]);
  });

  it('all of them, by apply-rules, which undo takes back', () => {
    const windows = [{ id: 'a' }, { id: 'm', app: 'map' }];
    const rules = [rule('m', { workspace: 'S', join: 'lead', held: 'floating' }, ofApp('map'))];
    const before = desk([], { windows });
    const edited = before.edited(profileSchema.parse({ ...before.profile, rules }));
    expect(at(edited, 'm')).toContain('wide/B, tiled');
    const applied = edited.run('apply-rules');
    expect(at(applied, 'm')).toContain('tall/S, floating');
    expect(applied.trace.map(({ decided }) => decided)).toContain('Map: workspace S');
    expect(applied.run('apply-rules').trace[0]!.because).toBe('all is as the rules say');
    expect(at(applied.run('undo'), 'm')).toBe(at(edited, 'm'));
  });
});

describe('floating windows', () => {
  const floats = [rule('f', { held: 'floating' }, ofApp('map'))];

  it('open where the person moved the last one of their app, unless it is said otherwise', () => {
    const moved = (rules: RuleInput[], more: object = {}) =>
      open(open(desk(rules, {}, more), 'map').run('nudge-right', 'nudge-down', 'close'), 'map');
    // 1000 × 600 in the middle of 3440 × 1412 at 0,28, then moved by 40.
    expect(at(moved(floats), 'map-2')).toContain('1260,474 1000×600');
    const first = '1220,434 1000×600';
    expect(at(moved(floats, { floating: { remember: false } }), 'map-2')).toContain(first);
    expect(at(moved([...floats, rule('n', { remember: false }, ofApp('map'))]), 'map-2')).toContain(
      first,
    );
    const unmoved = open(open(desk(floats), 'map').run('close'), 'map');
    expect(at(unmoved, 'map-2')).toContain(first);
  });

  it('keep to a grid where one is set: a step goes from line to line', () => {
    const onGrid = open(desk(floats, {}, { floating: { grid: 100 } }), 'map').run('nudge-right');
    expect([onGrid.at('map-1').x % 100, (onGrid.at('map-1').y - 28) % 100]).toEqual([0, 0]);
    const next = onGrid.run('nudge-right');
    expect(next.at('map-1').x - onGrid.at('map-1').x).toBe(100);
    const asked = next.event({ type: 'window-asked', id: 'map-1', rect: { x: 260, y: 170 } });
    expect([asked.at('map-1').x, asked.at('map-1').y]).toEqual([300, 128]);
  });

  it('that were moved before a grid was set open on it the next time', () => {
    const closed = open(desk(floats), 'map').run('nudge-right', 'nudge-down', 'close');
    const profile = profileSchema.parse({ ...closed.profile, floating: { grid: 100 } });
    const { x, y } = open(closed.edited(profile), 'map').at('map-2');
    expect([x, y]).toEqual([1300, 428]);
  });

  it('are never off the work area, whatever rules say', () => {
    fc.assert(
      fc.property(
        anyRules,
        fc.constantFrom('pitreader', 'shell', 'picker', 'map', 'dial'),
        (rules, app) => {
          const opened = open(open(desk(rules), 'map'), app);
          for (const placement of opened.placed().placements) {
            if (placement.held !== 'floating') continue;
            const monitor = deskInForce(opened.profile, opened.session).monitors.find(
              ({ id }) => id === placement.monitor,
            )!;
            const { area } = workArea(monitor);
            expect(placement.x).toBeGreaterThanOrEqual(area.x);
            expect(placement.y).toBeGreaterThanOrEqual(area.y);
            const isSmall = placement.width <= area.width && placement.height <= area.height;
            if (isSmall) {
              expect(placement.x + placement.width).toBeLessThanOrEqual(area.x + area.width);
              expect(placement.y + placement.height).toBeLessThanOrEqual(area.y + area.height);
            }
          }
        },
      ),
      { numRuns: 300 },
    );
  });
});
