import { describe, expect, it } from 'vitest';
import { profileSchema } from '../model/profile.ts';
import { STARTER_RULES } from '../starters/rules.ts';
import { testDesk } from '../testing/desk.ts';
import { APPS, desk } from '../testing/rule-desk.ts';
import { landings, type Landing } from './landing.ts';

const map = { id: 'map', when: { all: [{ of: 'app' as const, is: 'map' }] } };
const profile = desk(
  [
    { ...map, then: { monitor: 'widest', zone: 'middle' } },
    { id: 'hut', when: { all: [{ of: 'desk', is: 'hut' }] }, then: { focus: false } },
    { id: 'off', on: false, then: { everywhere: true } },
    ...STARTER_RULES,
  ],
  {},
  {
    apps: [
      ...APPS,
      {
        id: 'post',
        name: 'Post',
        windows: [{ title: 'Alarm', kind: 'dialog', preferred: { width: 300, height: 200 } }],
      },
    ],
  },
).profile;
const line = ({ name, held, workspace, monitor, decidedBy, matching }: Landing) =>
  `${name}: ${held}, ${workspace}, ${monitor}, by ${decidedBy.map((at) => at + 1).join() || 'default'} of ${matching.map((at) => at + 1).join()}`;

describe('where every known window lands', () => {
  it('is told for each window of each app, on a desk, with the rules that decided', () => {
    expect(landings(profile, 'office').map(line)).toEqual([
      'Pit Reader: tiled, B, wide, by default of ',
      'Shell: tiled, B, wide, by default of ',
      'Picker: floating, B, wide, by 7 of 7',
      'Map: zone middle, B, wide, by 1 of 1',
      'Dial: floating, B, over Map, by 5 of 5',
      'Post: tiled, B, wide, by default of ',
      'Post: Alarm: floating, B, over Post, by 5 of 5',
    ]);
    expect(landings(profile, 'hut').map(line)[3]).toBe('Map: zone middle, B, lap, by 1,2 of 1,2');
  });

  it('is what the engine does with a window that opens there', () => {
    for (const { window, context, id } of landings(profile, 'office')) {
      const opened = testDesk(profile, { desk: 'office' }).run({
        command: 'open-app',
        app: window.app!,
      });
      const own = opened.session.windows[0]!;
      // A further window of an app is not opened by its id alone.
      if (window.title !== own.title || window.parent) continue;
      expect([window.held, window.workspace, window.monitor, window.placing]).toEqual([
        own.held,
        own.workspace,
        own.monitor,
        own.placing,
      ]);
      expect(context.session.windows.some((each) => each.id === id)).toBe(true);
    }
  });

  it('also for open windows that no app is known to have', () => {
    const open = testDesk(profile, {
      windows: [
        { id: 'x', title: 'Nobody’s', kind: 'dialog' },
        { id: 'm', app: 'map', title: 'Hazard zones' },
        { id: 'n', app: 'map', title: 'Other' },
      ],
    });
    const more = landings(profile, 'office', open.session.windows).slice(7);
    expect(more.map(line)).toEqual([
      'Nobody’s: floating, B, wide, by 5 of 5',
      'Map: Other: zone middle, B, wide, by 1 of 1',
    ]);
    expect(
      landings(
        profileSchema.parse({ monitors: [{ id: 'm', width: 800, height: 600 }] }),
        undefined,
      ),
    ).toEqual([]);
  });
});
