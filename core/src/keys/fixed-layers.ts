import { pickingOf, type Picking } from '../model/interaction.ts';
import type { Session } from '../model/session.ts';
import { DIRECTIONS } from '../values/direction.ts';
import { bareKey as bare, type KeyStarterBinding } from './starters/binding.ts';

/** The layers of keys that come with something under way on the desk, and go with it. */
export const FIXED_LAYERS = ['shaping', 'offer', 'board', 'corner'] as const;
export type FixedLayer = (typeof FIXED_LAYERS)[number];

const PICK_LAYERS = {
  offer: 'offer',
  'board-pick': 'board',
  'corner-pick': 'corner',
} as const satisfies Record<Picking['kind'], FixedLayer>;

const LETTERS = [...'abcdefghijklmnopqrstuvwxyz'];
const DIGITS = [...'0123456789'];
const letters = LETTERS.map((key) =>
  bare(`Key${key.toUpperCase()}`, { command: 'pick', keys: key }),
);
const digits = DIGITS.flatMap((key) => [
  bare(`Digit${key}`, { command: 'pick', keys: key }),
  bare(`Numpad${key}`, { command: 'pick', keys: key }),
]);
const back = bare('Backspace', { command: 'pick-back' });
const end = bare('Escape', { command: 'pick-drop' });

/** A choice that is made by typing: what its bare keys do while it lasts. */
const PICKING_KEYS: Record<(typeof PICK_LAYERS)[Picking['kind']], readonly KeyStarterBinding[]> = {
  offer: [
    ...digits,
    back,
    end,
    bare('Space', { command: 'pick-next' }),
    bare('Shift+Space', { command: 'pick-previous' }),
  ],
  board: [
    ...letters,
    ...digits,
    back,
    end,
    bare('ArrowDown', { command: 'pick-next' }),
    bare('ArrowUp', { command: 'pick-previous' }),
    bare('Enter', { command: 'pick-take' }),
  ],
  corner: [
    ...letters,
    ...digits,
    back,
    end,
    bare('Enter', { command: 'pick-take' }),
    bare('Space', { command: 'corner-go-on' }),
    bare('Equal', { command: 'keep-block' }),
    bare('Period', { command: 'bind-block' }),
  ],
};

/** The letters of the inverted T under the right hand. */
const T = { left: 'KeyJ', right: 'KeyL', up: 'KeyI', down: 'KeyK' } as const;

/** Shaping a window: what its bare keys do while it lasts. Each says how, so that nothing has to be chosen first. */
const SHAPING_KEYS: readonly KeyStarterBinding[] = [
  ...DIRECTIONS.flatMap((direction): KeyStarterBinding[] => {
    const arrow = `Arrow${direction[0]!.toUpperCase()}${direction.slice(1)}`;
    return [
      bare(arrow, { command: 'shape-step', direction, by: 'size' }),
      bare(`Shift+${arrow}`, { command: 'shape-step', direction, by: 'move' }),
      bare(T[direction], { command: 'shape-step', direction, by: 'exchange' }),
    ];
  }),
  bare('Tab', { command: 'focus-next' }),
  bare('Shift+Tab', { command: 'focus-previous' }),
  bare('Backspace', { command: 'shape-back' }),
  bare('Enter', { command: 'shape' }),
  bare('Escape', { command: 'shape-drop' }),
];

/** What the keys of each of these layers do. */
export const FIXED_KEYS: Record<FixedLayer, readonly KeyStarterBinding[]> = {
  shaping: SHAPING_KEYS,
  ...PICKING_KEYS,
};

/** The layer of what is under way on the desk; null where nothing is. */
export function fixedLayerOf(session: Pick<Session, 'interaction'>): FixedLayer | null {
  if (session.interaction?.kind === 'shaping') return 'shaping';
  const picking = pickingOf(session);
  return picking && PICK_LAYERS[picking.kind];
}
