import { COMMANDS_WITHOUT_ARGUMENTS, type Command } from '../commands/registry.ts';
import fc from 'fast-check';

import type { SessionEvent } from '../engine/reduce.ts';
import { windowSchema } from '../model/session.ts';
import { DIRECTIONS } from '../values/direction.ts';
import { LAYOUT_KINDS } from '../values/layout.ts';
import type { Along } from '../values/snap.ts';
import { SHAPING } from '../values/window.ts';

const anyAlong: fc.Arbitrary<Along> = fc.constantFrom<Along[]>(
  'full',
  { start: '1/3' },
  { middle: 0.4 },
  { end: '2/3' },
  { from: 2, to: 3, of: 5 },
);

/** Any command, with what it needs, on a desk with OFFICE's apps and workspaces. */
const anyCommand: fc.Arbitrary<Command> = fc.oneof(
  {
    weight: 6,
    arbitrary: fc
      .constantFrom(...COMMANDS_WITHOUT_ARGUMENTS)
      .map((id): Command => ({ command: id })),
  },
  fc.record({
    command: fc.constantFrom('open-app' as const, 'call-app' as const),
    app: fc.constantFrom('pitreader', 'shell', 'picker'),
  }),
  fc.record({
    command: fc.constantFrom('find-window' as const, 'launch' as const),
    text: fc.constantFrom('shell', 'p', 'S'),
  }),
  fc.record({
    command: fc.constant('go-workspace' as const),
    which: fc.constantFrom('B', '1', 'S', 'R', 'next', 'last'),
  }),
  fc.record({
    command: fc.constant('put-on-workspace' as const),
    which: fc.constantFrom('B', '1', 'S', 'R', 'previous'),
    follow: fc.boolean(),
  }),
  fc.record({
    command: fc.constant('use-layout' as const),
    layout: fc.constantFrom(...LAYOUT_KINDS).map((kind) => ({ kind })),
  }),
  fc.record({
    command: fc.constant('place-at' as const),
    x: anyAlong,
    y: anyAlong,
  }),
  fc.record({
    command: fc.constant('place-in-zone' as const),
    zone: fc.constantFrom('left', 'low', 'over', 'upper', '2', '9'),
  }),
  fc.record({
    command: fc.constant('pick' as const),
    keys: fc.constantFrom('1', '2', 'a', 'b', 'bd12', 'c3'),
  }),
  fc.record({
    command: fc.constantFrom('save-lineup' as const, 'forget-lineup' as const),
    text: fc.constantFrom('one', 'two'),
  }),
  fc.record({
    command: fc.constant('recall-lineup' as const),
    which: fc.constantFrom('one', 'two', 'last'),
  }),
  fc.record({ command: fc.constant('shape-as' as const), by: fc.constantFrom(...SHAPING) }),
  fc.record({
    command: fc.constant('shape-step' as const),
    direction: fc.constantFrom(...DIRECTIONS),
    inward: fc.boolean(),
  }),
);

const number = fc.nat(9);

/** Anything that happens to such a desk. */
export const anyEvent: fc.Arbitrary<SessionEvent> = fc.oneof(
  {
    weight: 12,
    arbitrary: anyCommand.map((command) => ({ type: 'command' as const, command })),
  },
  fc.record({
    type: fc.constantFrom('window-closed' as const, 'window-focused' as const),
    id: fc.constantFrom('p', 'b', 's', 'shell-1', 'w1', 'w2'),
  }),
  number.map((n) => ({
    type: 'window-opened' as const,
    window: windowSchema.parse({
      id: `w${n}`,
      ...(n % 3 === 0 && { workspace: 'S' }),
      ...(n % 4 === 0 && { held: 'floating' }),
    }),
  })),
  number.map((n) => ({
    type: 'window-asked' as const,
    id: `w${n}`,
    rect: { x: n * 400, width: 300 + n * 50 },
  })),
  fc.record({ type: fc.constant('key-released' as const), taken: fc.boolean() }),
);
