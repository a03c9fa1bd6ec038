import fc from 'fast-check';
import { deskInForce } from '../desk/desk.ts';
import { profileSchema } from '../model/profile.ts';
import type { Condition, Rule, RuleSettings } from '../model/rule.ts';
import type { WindowFacts } from '../rules/facts.ts';
import { OFFICE } from './desk.ts';

const APPS = ['pitreader', 'bulletin', 'areamap', 'shell'];
const TITLES = ['Profile 07', 'Morning bulletin', 'Hazard zones', 'pull-obs', 'a.b*c?'];
const PARTS = ['o', 'in', 'Profile', '*', 'a.b', 'ZONES'];

const anyText = fc.oneof(
  fc.record({ of: fc.constant('app' as const), is: fc.constantFrom(...APPS) }),
  fc.record({
    of: fc.constantFrom('app' as const, 'title' as const),
    has: fc.constantFrom(...PARTS),
  }),
  fc.record({
    of: fc.constantFrom('app' as const, 'title' as const, 'workspace' as const),
    fits: fc.constantFrom('*', 'p*', '*e*', '?ell', 'B', '*zones'),
  }),
  fc.record({
    of: fc.constantFrom('title' as const, 'parent' as const),
    matches: fc.constantFrom('^P', '\\d+$', 'a|b', '(o+)+n', '[A-Z]'),
  }),
  fc.record({ of: fc.constant('title' as const), is: fc.constantFrom(...TITLES) }),
);

const anyCondition: fc.Arbitrary<Condition> = fc.oneof(
  anyText,
  fc.record({
    of: fc.constant('kind' as const),
    is: fc.constantFrom('normal', 'dialog', 'utility'),
  }),
  fc.record({
    of: fc.constant('mode' as const),
    is: fc.constantFrom('extend', 'mirror', 'one'),
  }),
  fc.record({ of: fc.constant('resizable' as const), is: fc.boolean() }),
  fc.record({
    of: fc.constantFrom('width' as const, 'height' as const),
    from: fc.integer({ min: 0, max: 900 }),
  }),
  fc.record({
    of: fc.constant('monitor' as const),
    is: fc.constantFrom('wide', 'lap', 'widest', 'turned'),
  }),
);

const anySettings: fc.Arbitrary<RuleSettings> = fc.record(
  {
    held: fc.constantFrom('tiled', 'floating', 'left-alone', 'pocketed'),
    workspace: fc.constantFrom('B', '1', 'S', 'R'),
    monitor: fc.constantFrom('wide', 'tall', 'lap', 'widest', 'nowhere'),
    zone: fc.constantFrom('left', 'upper', 'nowhere'),
    size: fc.record({
      width: fc.integer({ min: 1, max: 5000 }),
      height: fc.integer({ min: 1, max: 5000 }),
    }),
    corner: fc.constantFrom('over-parent', 'middle', 'upper-left', 'upper', 'right', 'lower-right'),
    stayAbove: fc.boolean(),
    everywhere: fc.boolean(),
    focus: fc.boolean(),
    join: fc.constantFrom('lead', 'end', 'after-focused'),
    remember: fc.boolean(),
  },
  { requiredKeys: [] },
);

const few = fc.array(anyCondition, { maxLength: 2 });

/** Rules of every kind of condition and setting, some of them off. */
export const anyRules: fc.Arbitrary<Rule[]> = fc
  .array(
    fc.record({
      on: fc.boolean(),
      when: fc.record({ all: few, any: few, none: few }),
      then: anySettings,
      again: fc.record({ title: fc.boolean(), desk: fc.boolean() }),
    }),
    { minLength: 1, maxLength: 8 },
  )
  .map((rules) => rules.map((rule, i) => ({ ...rule, id: `r${i}` })));

const desk = deskInForce(profileSchema.parse(OFFICE), {});

/** A window as rules see it, on the Office desk. */
export const anyFacts: fc.Arbitrary<WindowFacts> = fc
  .record(
    {
      app: fc.constantFrom(...APPS),
      title: fc.constantFrom(...TITLES),
      parent: fc.constantFrom(...APPS),
      width: fc.integer({ min: 1, max: 1000 }),
      height: fc.integer({ min: 1, max: 1000 }),
      kind: fc.constantFrom('normal' as const, 'dialog' as const, 'utility' as const),
      resizable: fc.boolean(),
      monitor: fc.constantFrom('wide', 'tall', 'lap'),
      workspace: fc.constantFrom('B', 'S', 'R'),
    },
    { requiredKeys: ['kind', 'resizable', 'monitor', 'workspace'] },
  )
  .map((facts) => ({ ...facts, desk }));
