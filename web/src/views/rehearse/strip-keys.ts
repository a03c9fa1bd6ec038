import { bindingText, keyMap, keyName, keysCaps, type Profile } from '@sorn/core';
import { usePageKeys, type PageKey } from '../../app/keys.ts';
import { useBench } from '../../data/bench-context.ts';
import { useBlockKey } from './block-keys.ts';

/** Shows which keys the sheet takes now, along the bottom and in the list of all keys. */
export function useStripKeys(profile: Profile): void {
  const { handBack, main } = profile.keys;
  const isShaping = useBench((bench) => bench.session.shaping !== undefined);
  const picking = useBench((bench) => bench.session.picking?.by);
  const isOutlined = useBench((bench) => bench.session.previewing !== undefined);
  const isAsking = useBlockKey((block) => block.asks !== null);
  const isPaused = useBench((bench) => bench.session.paused !== undefined);
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
      shown(['Esc'], 'end the offers', summary),
    ],
    board: [
      shown(['1 … 9'], 'a zone for the window', summary),
      shown(['a … z'], 'mark a board', summary),
      shown(['Enter'], 'it arranges the workspace', summary),
      shown(['Esc'], 'end', summary),
    ],
    corner: [
      shown(['a … z'], 'columns', summary),
      shown(['1 … 9'], 'rows', summary),
      shown(['Enter'], 'take it', summary),
      shown(['Space'], 'stay open', summary),
      shown(['='], 'keep as a zone', summary),
      shown(['.'], 'put on a key', summary),
      shown(['Esc'], 'end', summary),
    ],
  };
  usePageKeys('sheet-keys', [
    shown([keyName(handBack)], 'give the keyboard back'),
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
                shown(['← → ↑ ↓'], 'shape', summary),
                shown(['Shift', '← → ↑ ↓'], 'inwards', summary),
                shown(['G'], 'grow', summary),
                shown(['M'], 'move', summary),
                shown(['W'], 'exchange', summary),
                shown(['Backspace'], 'one step back', summary),
                shown(['Enter'], 'take it', summary),
                shown(['Esc'], 'drop it', summary),
              ]
            : [
                shown([main, '← → ↑ ↓'], 'focus', summary),
                shown([main, 'Shift', '← → ↑ ↓'], 'move', summary),
                // Most keys wait while the engine is paused: the one that ends it is in sight.
                isPaused
                  ? shown([main, 'Shift', 'Esc'], 'resume', summary)
                  : shown([main, 'Ctrl', 'I J K L'], 'place', summary),
                shown([main, 'P'], 'pocket', summary),
                shown([main, '/'], 'find window', summary),
                shown([main, 'Z'], 'undo', summary),
              ]),
    ...keyMap(profile).map((binding) =>
      shown(keysCaps(binding.keys, main), bindingText(binding), { minor: true }),
    ),
  ]);
}
