import { definitionOf, TASK_TITLES, type CommandId } from '@sorn/core/commands';
import { bindingText, keyMap, type KeyBinding } from '@sorn/core/keys';
import { BASE, type Profile, pickingOf, interactionOf } from '@sorn/core/model';
import { DIRECTIONS, keyName, keysCaps } from '@sorn/core/values';
import { usePageKeys, type PageKey } from '../../ui/page-keys.ts';
import { useProfileStore } from '../../state/profile-context.ts';

/** Shows which keys the sheet takes now, along the bottom and in the list of all keys. */
export function useStripKeys(profile: Profile): void {
  const { handBack } = profile.keys;
  const isShaping = useProfileStore((state) => state.session.interaction?.kind === 'shaping');
  const picking = useProfileStore((state) => pickingOf(state.session)?.kind);
  const isOutlined = useProfileStore((state) => state.session.interaction?.kind === 'previewing');
  const isAsking = useProfileStore(
    (state) => interactionOf(state.session, 'corner-pick')?.asksKeys === true,
  );
  const isPaused = useProfileStore((state) => state.session.paused !== undefined);
  const shown = (caps: readonly string[], label: string, more: Partial<PageKey> = {}): PageKey => ({
    keys: [],
    caps,
    label,
    ...more,
    // Pressed keys go to the bindings above; these lines only show them.
    run: () => undefined,
  });
  const summary = { summary: true };
  const picks: Record<NonNullable<typeof picking>, PageKey[]> = {
    offer: [
      shown(['1 … 9'], 'put it there', summary),
      shown(['Space'], 'next place', summary),
      shown(['Shift', 'Space'], 'the one before', summary),
      shown(['Esc'], 'end the offers', summary),
    ],
    'board-pick': [
      shown(['1 … 9'], 'a zone for the window', summary),
      shown(['↑ ↓'], 'another board', summary),
      shown(['a … z'], 'that board', summary),
      shown(['Enter'], 'it arranges the workspace', summary),
      shown(['Esc'], 'end', summary),
    ],
    'corner-pick': [
      shown(['a … z'], 'columns', summary),
      shown(['1 … 9'], 'rows', summary),
      shown(['Enter'], 'take it', summary),
      shown(['Space'], 'go on with the next window', summary),
      shown(['='], 'keep as a zone', summary),
      shown(['.'], 'put on a key', summary),
      shown(['Esc'], 'end', summary),
    ],
  };
  usePageKeys('sheet-keys', [
    shown([keyName(handBack, profile.keys.legends)], 'give the keyboard back'),
    ...(isOutlined
      ? [shown(['release'], 'take it', summary), shown(['Esc'], 'drop it', summary)]
      : isAsking
        ? [
            shown(['any chord'], 'the key for this place', summary),
            shown(['Esc'], 'no key', summary),
          ]
        : picking
          ? picks[picking]
          : isShaping
            ? [
                shown(['← → ↑ ↓'], 'size', summary),
                shown(['Shift', '← → ↑ ↓'], 'move', summary),
                shown(['J L I K'], 'exchange', summary),
                shown(['Tab'], 'next window', summary),
                shown(['Backspace'], 'one step back', summary),
                shown(['Enter'], 'take it', summary),
                shown(['Esc'], 'drop it', summary),
              ]
            : [...inShort(profile, isPaused).map(([caps, label]) => shown(caps, label, summary))]),
    ...keyMap(profile).map((binding) =>
      shown(keysCaps(binding.keys, profile.keys), bindingText(binding), {
        minor: true,
        part: partOf(binding),
      }),
    ),
  ]);
}

/** What the command of a binding is for. */
function partOf({ command, release }: KeyBinding): string {
  const id = (command ?? release)?.command;
  return TASK_TITLES[id ? definitionOf(id).task : 'layers'];
}

/** The commands that the strip shows, as far as they have keys; those of a direction stand for all four. */
const IN_SHORT = [
  ['focus', 'focus'],
  ['move', 'move'],
  ['place', 'place'],
] as const;

/** The keys that are needed most, in the map that holds. */
function inShort(profile: Profile, isPaused: boolean): (readonly [string[], string])[] {
  const map = keyMap(profile);
  const capsOf = (id: CommandId) => {
    const binding = map.find(({ command, layer }) => command?.command === id && layer === BASE);
    return binding ? keysCaps(binding.keys, profile.keys) : null;
  };
  const directed = IN_SHORT.flatMap(([family, label]): [string[], string][] => {
    const caps = DIRECTIONS.map((direction) => capsOf(`${family}-${direction}`));
    const [first] = caps;
    if (!first || caps.some((each) => each === null)) return [];
    const keys = caps.map((each) => each!.at(-1)!);
    return [[[...first.slice(0, -1), keys.join(' ')], label]];
  });
  // Most keys wait while the engine is paused: the one that ends it is in sight.
  const plain = isPaused ? (['resume'] as const) : (['pocket', 'find-window', 'undo'] as const);
  return [
    ...directed,
    ...plain.flatMap((id): [string[], string][] => {
      const caps = capsOf(id);
      return caps ? [[caps, id.replace('-', ' ')]] : [];
    }),
  ];
}
