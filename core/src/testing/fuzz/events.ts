import type { Argument, ArgumentKind } from '../../commands/argument.ts';
import { commandSchema } from '../../commands/command.ts';
import { COMMANDS, definitionOf, type Command, type CommandId } from '../../commands/registry.ts';
import fc from 'fast-check';

import type { SessionEvent } from '../../engine/reduce.ts';
import { windowSchema } from '../../model/session.ts';
import { DIRECTIONS } from '../../values/direction.ts';
import { LAYOUT_KINDS } from '../../values/layout.ts';
import { anyWindow, IDS } from './desks.ts';

const id = fc.constantFrom(...IDS);
const along = fc.constantFrom(
  'full' as const,
  { start: '1/3' },
  { middle: 0.4 },
  { end: '2/3' },
  { from: 2, to: 3, of: 5 },
);
const which = fc.oneof(
  id,
  fc.constantFrom('next', 'previous', 'last', 'primary', 'left', 'right', 'up', 'down'),
);
const name = fc.constantFrom('one', 'constructor', '__proto__');

/** What is said by arguments of each kind. */
const SAID: Record<ArgumentKind, (argument: Argument) => fc.Arbitrary<unknown>> = {
  workspace: () => which,
  monitor: () => which,
  app: () => id,
  'window-of-app': () => fc.constantFrom('odd', 'even'),
  desk: () => fc.constantFrom('all', 'constructor', 'none'),
  zone: () => fc.constantFrom('1', '2', 'z1', 'z3', 'constructor'),
  layer: () => id,
  chain: () => fc.constantFrom('first', 'second', 'constructor'),
  menu: () => fc.constantFrom('first', 'none'),
  layout: () => fc.constantFrom(...LAYOUT_KINDS).map((kind) => ({ kind })),
  lineup: () => fc.oneof(name, fc.constant('last')),
  direction: () => fc.constantFrom(...DIRECTIONS),
  choice: ({ options = [] }) => fc.constantFrom(...options),
  along: () => along,
  ladder: () => fc.constantFrom<(string | number)[]>(['1/3'], [0.2, '2/3']),
  flag: () => fc.boolean(),
  figure: () => fc.constantFrom(-9_000, -40, 1, 40, 9_000),
  text: () => fc.oneof(name, fc.constantFrom('odd', 'w', 'a', 'con')),
  'desktop-words': () => fc.constant('emoji'),
  line: () => fc.constant('date'),
  typed: () => fc.constantFrom('1', '2', 'a', 'b', 'bd12', 'c3', 'z'),
  keys: () => fc.constantFrom('Main+KeyB', 'Ctrl+Alt+F5', 'KeyB', 'Shift+Digit3'),
};

/** A command, with whatever can be said with it. */
export function commandFor(command: CommandId): fc.Arbitrary<Command> {
  const { said } = definitionOf(command);
  const values = Object.entries(said).map(([field, argument]) => [
    field,
    argument.schema._zod.optin === 'optional'
      ? fc.option(SAID[argument.of](argument), { nil: undefined })
      : SAID[argument.of](argument),
  ]);
  return fc
    .record(Object.fromEntries(values) as Record<string, fc.Arbitrary<unknown>>)
    .map((all) => {
      const given = Object.entries(all).filter(([, value]) => value !== undefined);
      return { command, ...Object.fromEntries(given) } as Command;
    })
    .filter((each) => commandSchema.safeParse(each).success);
}

/** Any command, each as often as any other. */
export const anyCommand: fc.Arbitrary<Command> = fc.oneof(...COMMANDS.map(commandFor));

const windowId = fc.nat(7).map((n) => `w${n}`);
const command = anyCommand.map((given): SessionEvent => ({ type: 'command', command: given }));
const happening: fc.Arbitrary<SessionEvent> = fc.oneof(
  anyCommand.map((given): SessionEvent => ({ type: 'key-pressed', command: given })),
  fc.boolean().map((taken): SessionEvent => ({ type: 'key-released', taken })),
  fc.tuple(anyWindow, fc.nat(7)).map(([window, n]): SessionEvent => ({
    type: 'window-opened',
    window: windowSchema.parse({ ...window, id: `w${n}` }),
  })),
  windowId.map((of): SessionEvent => ({ type: 'window-closed', id: of })),
  windowId.map((of): SessionEvent => ({ type: 'window-focused', id: of })),
  fc
    .tuple(windowId, fc.constantFrom('odd', 'even'))
    .map(([of, title]): SessionEvent => ({ type: 'window-retitled', id: of, title })),
  fc
    .tuple(
      windowId,
      fc.record(
        { x: fc.integer({ min: -900, max: 9_000 }), width: fc.integer({ min: 1, max: 9_000 }) },
        { requiredKeys: [] },
      ),
    )
    .map(([of, rect]): SessionEvent => ({ type: 'window-asked', id: of, rect })),
  fc
    .tuple(fc.subarray([...IDS]), fc.boolean())
    .map(([connected, byHand]): SessionEvent => ({ type: 'monitors-changed', connected, byHand })),
);
export const anyHappening: fc.Arbitrary<SessionEvent> = fc.oneof(
  { weight: 4, arbitrary: command },
  { weight: 1, arbitrary: happening },
);
