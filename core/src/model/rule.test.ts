import { describe, expect, it } from 'vitest';
import { faultText, read } from '../values/faults.ts';
import { profileSchema } from './profile.ts';

const monitors = [{ id: 'm', width: 1920, height: 1080 }];
const faults = (...rules: unknown[]) => {
  const result = read(profileSchema, { monitors, rules });
  return result.ok ? [] : result.faults.map(faultText);
};
const when = (condition: unknown) => ({ id: 'r', when: { all: [condition] } });

describe('rules in a file', () => {
  it('have every default, and keep what they say', () => {
    const { rules } = profileSchema.parse({
      monitors,
      rules: [
        {
          id: 'r',
          when: { any: [{ of: 'width', to: 300 }] },
          then: { held: 'floating', placing: { x: { start: '1/2' } } },
        },
      ],
    });
    expect(rules).toEqual([
      {
        id: 'r',
        on: true,
        when: { all: [], any: [{ of: 'width', to: 300 }], none: [] },
        then: { held: 'floating', placing: { x: { start: '1/2' }, y: 'full' } },
        again: { title: false, desk: false },
      },
    ]);
  });

  it.each([
    [
      when({ of: 'ap', is: 'x' }),
      'rules[0].when.all[0].of: "ap"; expected one of app, title, parent',
    ],
    [when({ is: 'x' }), 'rules[0].when.all[0].of: nothing; expected one of app, title'],
    [when('app'), 'rules[0].when.all[0]: "app"; expected an object with of'],
    [when({ of: 'app' }), 'rules[0].when.all[0].is: nothing; expected text of 1 to 400'],
    [when({ of: 'app', is: '' }), 'rules[0].when.all[0].is: ""; expected text of 1 to 400'],
    [when({ of: 'app', is: 'x', has: 'y' }), 'rules[0].when.all[0].has: "y"; expected'],
    [
      when({ of: 'title', matches: '(?=a)' }),
      'rules[0].when.all[0].matches: "(?=a)"; expected a pattern that can be matched in linear time; invalid or unsupported Perl syntax',
    ],
    [
      when({ of: 'kind', is: 'dialgo' }),
      'rules[0].when.all[0].is: "dialgo"; expected one of normal, dialog, utility',
    ],
    [when({ of: 'width' }), 'rules[0].when.all[0]: {"of":"width"}; expected `from`, `to` or both'],
    [when({ of: 'monitor', has: 'x' }), 'rules[0].when.all[0].is: nothing'],
    [
      { id: 'r', then: { hold: 'tiled' } },
      'rules[0].then.hold: "tiled"; expected a known field; the nearest is held',
    ],
    [
      { id: 'r', then: { zone: 'Upper', placing: {} } },
      'rules[0].then.placing: {}; expected a zone or a placing, not both',
    ],
    [{ then: {} }, 'rules[0].id: nothing'],
  ])('tell a fault with its path: %j', (rule, fault) => {
    expect(faults(rule)[0]).toContain(fault);
  });

  it('have ids of their own', () => {
    expect(faults({ id: 'r' }, { id: 'r' })).toEqual([
      'rules[1].id: "r"; expected an id that no other of the rules has',
    ]);
  });
});

describe('a profile of version 1', () => {
  it('said in its apps how windows are held, and in which zone: rules say it now', () => {
    const old = {
      version: 1,
      monitors,
      apps: [
        { id: 'post', held: 'tiled' },
        { id: 'dutyline', kind: 'utility', held: 'floating' },
        { id: 'slopecams', zone: 'Upper' },
        { id: 'wxguest', held: 'left-alone', zone: 'Lower' },
      ],
    };
    const { version, apps, rules } = profileSchema.parse(old);
    expect(version).toBe(4);
    expect(apps.map(({ id, ...rest }) => [id, Object.keys(rest)])).toEqual([
      ['post', ['kind']],
      ['dutyline', ['kind']],
      ['slopecams', ['kind']],
      ['wxguest', ['kind']],
    ]);
    expect(rules.map(({ id, when: { all }, then }) => [id, all, then])).toEqual([
      ['app-dutyline', [{ of: 'app', is: 'dutyline' }], { held: 'floating' }],
      ['app-slopecams', [{ of: 'app', is: 'slopecams' }], { zone: 'Upper' }],
      ['app-wxguest', [{ of: 'app', is: 'wxguest' }], { held: 'left-alone', zone: 'Lower' }],
    ]);
    // Without a version it may be of any.
    expect(profileSchema.parse({ ...old, version: undefined }).rules).toHaveLength(3);
  });

  it('that is not right is told as any, and one of a later version is refused', () => {
    expect(read(profileSchema, { version: 1, monitors, apps: 'none' })).toMatchObject({
      faults: [{ path: 'apps' }],
    });
    expect(
      read(profileSchema, { version: 1, monitors, apps: [{ id: 'a', held: 'nailed' }] }),
    ).toMatchObject({
      faults: [
        { path: 'rules[0].then.held', expected: 'one of tiled, floating, pocketed, left-alone' },
      ],
    });
    expect(read(profileSchema, { version: 5, monitors })).toMatchObject({
      faults: [{ path: 'version' }],
    });
  });
});
