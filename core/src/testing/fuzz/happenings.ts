import fc from 'fast-check';
import { COMMANDS, PLAIN_COMMANDS, type Command, type CommandId } from '../../commands/command.ts';
import type { SessionEvent } from '../../engine/reduce.ts';
import { windowSchema } from '../../model/session.ts';
import { DIRECTIONS } from '../../values/direction.ts';
import { LAYOUT_KINDS } from '../../values/layout.ts';
import { MODES, SHAPING } from '../../values/window.ts';
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

/** What is said with each command that needs something said. */
const SAID: Partial<Record<CommandId, fc.Arbitrary<object>>> = {
  'use-layout': fc.record({ layout: fc.constantFrom(...LAYOUT_KINDS).map((kind) => ({ kind })) }),
  'open-app': fc.record({ app: id }),
  'call-app': fc.record({ app: id }),
  'find-window': fc.record({ text: fc.constantFrom('odd', 'w') }),
  launch: fc.record({ text: fc.constantFrom('a', 'con') }),
  'go-workspace': fc.record({ which }),
  'put-on-workspace': fc.record({ which, follow: fc.boolean() }),
  'go-monitor': fc.record({ which }),
  'put-on-monitor': fc.record({ which, follow: fc.boolean() }),
  'put-workspace-on-monitor': fc.record({ which }),
  'use-desk': fc.record({ desk: fc.constantFrom('all', 'constructor', 'none') }),
  'desk-mode': fc.record({ mode: fc.constantFrom(...MODES) }, { requiredKeys: [] }),
  'place-at': fc.record(
    { x: along, y: along, ladder: fc.constantFrom<(string | number)[]>(['1/3'], [0.2, '2/3']) },
    { requiredKeys: [] },
  ),
  'place-in-zone': fc.record({ zone: fc.constantFrom('1', '2', 'z1', 'z3', 'constructor') }),
  pick: fc.record({ keys: fc.constantFrom('1', '2', 'a', 'b', 'bd12', 'c3', 'z') }),
  'save-lineup': fc.record({ text: name }),
  'recall-lineup': fc.record({ which: fc.oneof(name, fc.constant('last')) }),
  'forget-lineup': fc.record({ text: name }),
  'move-edge': fc.record({
    direction: fc.constantFrom(...DIRECTIONS),
    by: fc.constantFrom(-9_000, -40, 1, 40, 9_000),
  }),
  'shape-as': fc.record({ by: fc.constantFrom(...SHAPING) }),
  'shape-step': fc.record({ direction: fc.constantFrom(...DIRECTIONS), inward: fc.boolean() }),
};

const plain = new Set<CommandId>(PLAIN_COMMANDS);

/** A command, with whatever can be said with it. */
export function commandFor(command: CommandId): fc.Arbitrary<Command> {
  return plain.has(command)
    ? fc.constant({ command } as Command)
    : SAID[command]!.map((said) => ({ command, ...said }) as Command);
}

/** Any command, each as often as any other. */
const anyCommand: fc.Arbitrary<Command> = fc.oneof(...COMMANDS.map(commandFor));

const windowId = fc.nat(7).map((n) => `w${n}`);
const command = anyCommand.map((given): SessionEvent => ({ type: 'command', command: given }));
const happening: fc.Arbitrary<SessionEvent> = fc.oneof(
  anyCommand.map((given): SessionEvent => ({ type: 'key-held', command: given })),
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
