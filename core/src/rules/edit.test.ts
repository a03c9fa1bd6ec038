import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ruleFromWindow } from '../engine/rule-from-window.ts';
import { profileSchema, type Profile } from '../model/profile.ts';
import { withStarterRules, STARTER_RULES } from '../starters/rules.ts';
import { OFFICE, testDesk } from '../testing/desk.ts';
import { anyRules } from '../testing/rules.ts';
import {
  EMPTY_RULE,
  ruleDuplicated,
  ruleMoved,
  ruleOfAppInZone,
  withAppInZone,
  withNewRule,
  withoutRule,
  withRule,
  withSetting,
} from './edit.ts';

const base = profileSchema.parse({
  ...OFFICE,
  rules: [
    { id: 'a', name: 'First', then: { zone: 'left' } },
    { id: 'b', then: { focus: false } },
    { id: 'c' },
  ],
});
const order = ({ rules }: Profile) => rules.map(({ id }) => id).join(' ');

describe('the list of rules', () => {
  it('takes a new rule behind the selected one, or first, with an id of its own', () => {
    expect(order(withNewRule(base, EMPTY_RULE, 'b').profile)).toBe('a b rule c');
    const twice = withNewRule(withNewRule(base, EMPTY_RULE, null).profile, EMPTY_RULE, null);
    expect([order(twice.profile), twice.id]).toEqual(['rule-2 rule a b c', 'rule-2']);
  });

  it('has a rule once more behind the first, without it, and with another selected then', () => {
    const copied = ruleDuplicated(base, 'a');
    expect([order(copied.profile), copied.id]).toEqual(['a a-2 b c', 'a-2']);
    expect(copied.profile.rules[1]).toMatchObject({ name: 'First, copy', then: { zone: 'left' } });
    expect(ruleDuplicated(copied.profile, 'a-2').id).toBe('a-3');
    expect(withoutRule(base, 'a').id).toBe('b');
    expect(withoutRule(base, 'c').id).toBe('b');
    expect(
      withoutRule(profileSchema.parse({ ...OFFICE, rules: [{ id: 'x' }] }), 'x').id,
    ).toBeNull();
  });

  it('is the same list in another order when a rule is moved, however far', () => {
    fc.assert(
      fc.property(anyRules, fc.nat(), fc.integer({ min: -3, max: 12 }), (rules, nth, to) => {
        const { id } = rules[nth % rules.length]!;
        const moved = ruleMoved({ ...base, rules }, id, to).rules;
        expect([...moved].sort((x, y) => (x.id < y.id ? -1 : 1))).toEqual(
          [...rules].sort((x, y) => (x.id < y.id ? -1 : 1)),
        );
        expect(moved.findIndex((rule) => rule.id === id)).toBe(
          Math.min(rules.length - 1, Math.max(0, to)),
        );
        expect(profileSchema.parse({ ...base, rules: moved }).rules).toEqual(moved);
      }),
    );
    expect(ruleMoved(base, 'none', 0)).toBe(base);
  });

  it('gets the rules people expect behind all others, those that are missing', () => {
    const [first, ...missing] = STARTER_RULES;
    const some = { ...base, rules: [first!, ...base.rules] };
    expect(order(withStarterRules(some))).toBe(
      ['guest-screens', 'a b c', ...missing.map(({ id }) => id)].join(' '),
    );
    const all = withStarterRules(some);
    expect(withStarterRules(all)).toBe(all);
  });

  it('gives a setting or takes it out; of a zone and a placing the later one stays', () => {
    const [rule] = base.rules;
    const placed = withSetting(rule!, { placing: { x: { end: '1/2' }, y: 'full' } });
    expect(Object.keys(placed.then)).toEqual(['placing']);
    expect(Object.keys(withSetting(placed, { zone: 'low', focus: false }).then)).toEqual([
      'zone',
      'focus',
    ]);
    expect(withSetting(rule!, { zone: undefined }).then).toEqual({});
    const edited = withRule(base, 'b', (each) => ({ ...each, on: false }));
    expect(edited.rules.map(({ on }) => on)).toEqual([true, false, true]);
  });
});

describe('a rule from a window', () => {
  const from = (window: object, tiling: object = {}) => {
    const apps = [
      { id: 'map', windows: [{ title: 'Legend' }] },
      { id: 'post', name: 'Post' },
    ];
    const profile = { ...OFFICE, apps, tiling: { ...OFFICE.tiling, ...tiling } };
    const {
      session,
      profile: whole,
      desk,
    } = testDesk(profile, { windows: [{ id: 'w', ...window }] });
    return ruleFromWindow({ session, profile: whole, desk }, 'w');
  };

  it('matches what tells it from others, and keeps it as it is now', () => {
    expect(from({ app: 'post', title: 'Inbox' })).toMatchObject({
      name: 'Post',
      on: true,
      when: { all: [{ of: 'app', is: 'post' }] },
      then: { held: 'tiled', workspace: 'B' },
    });
    expect(
      from({ app: 'map', title: 'Legend', kind: 'utility', held: 'floating', workspace: 'S' }),
    ).toMatchObject({
      when: {
        all: [
          { of: 'app', is: 'map' },
          { of: 'title', is: 'Legend' },
          { of: 'kind', is: 'utility' },
        ],
      },
      then: { held: 'floating', workspace: 'S' },
    });
    const long = 'x'.repeat(900);
    expect(from({ title: long })?.when.all).toEqual([{ of: 'title', is: long.slice(0, 400) }]);
    expect(from({ title: 'Nobody’s' })?.when.all).toEqual([{ of: 'title', is: 'Nobody’s' }]);
    expect(from({ app: 'post', held: 'left-alone' })?.then).toEqual({ held: 'left-alone' });
  });

  it('keeps it in its zone, and a window that opens so matches it', () => {
    expect(from({ app: 'post' }, { layout: { kind: 'board' } })?.then).toEqual({
      held: 'tiled',
      workspace: 'B',
      zone: 'left',
    });
    const { session, profile, desk } = testDesk(OFFICE, { windows: [] });
    expect(ruleFromWindow({ session, profile, desk }, 'none')).toBeNull();
  });
});

describe('an app that is always in a zone', () => {
  const where = { workspace: 'B' };

  it('is there by a rule before all others, in one zone, and no longer by the same again', () => {
    const left = withAppInZone(base, 'shell', 'Left', where);
    expect(order(left)).toBe('shell-zone a b c');
    expect(ruleOfAppInZone(left, 'shell', 'Left', where)?.then).toEqual({
      workspace: 'B',
      zone: 'Left',
    });
    const right = withAppInZone(left, 'shell', 'Right', where);
    expect(right.rules.map(({ then }) => then.zone)).toEqual([
      'Right',
      'left',
      undefined,
      undefined,
    ]);
    expect(withAppInZone(right, 'shell', 'Right', where).rules).toEqual(base.rules);
  });

  it('leaves rules that say more of the app', () => {
    const left = withAppInZone(base, 'shell', 'Left', where);
    const more = withRule(left, 'shell-zone', (rule) => ({
      ...rule,
      then: { ...rule.then, focus: false },
    }));
    const right = withAppInZone(more, 'shell', 'Right', where);
    expect(right.rules).toHaveLength(more.rules.length + 1);
  });
});
