import { DIRECTIONS, type Direction } from '../../geometry/direction.ts';
import type { KeyCommand } from '../../profile/keys.ts';
import type { Profile } from '../../profile/schema.ts';
import { bareKey, withMain, type StarterBinding } from './binding.ts';

const HALF = '1/2';
const THIRD = '1/3';
const middle = { middle: THIRD } as const;
const start = (share: string) => ({ start: share });
const end = (share: string) => ({ end: share });
const MOST_CALLED = 4;

/** Halves left and right, all of it, and the first four apps. */
export function fewStarter({ apps }: Profile): StarterBinding[] {
  return [
    withMain('ArrowLeft', [], { command: 'place-at', x: start(HALF) }),
    withMain('ArrowRight', [], { command: 'place-at', x: end(HALF) }),
    withMain('ArrowUp', [], { command: 'maximise' }),
    ...apps
      .slice(0, MOST_CALLED)
      .map(({ id }, i) => withMain(`Digit${i + 1}`, [], { command: 'call-app', app: id })),
  ];
}

/** Quarters and thirds on keys that stand as the places do on the screen. */
export function underFingersStarter(): StarterBinding[] {
  const at = (code: string, x?: object, y?: object) =>
    withMain(code, [], {
      command: 'place-at',
      ...(x && { x }),
      ...(y && { y }),
    } as KeyCommand);
  return [
    at('KeyU', start(HALF), start(HALF)),
    at('KeyI', end(HALF), start(HALF)),
    at('KeyJ', start(HALF), end(HALF)),
    at('KeyK', end(HALF), end(HALF)),
    at('KeyE', start(THIRD)),
    at('KeyR', middle),
    at('KeyT', end(THIRD)),
    at('KeyD', start('2/3')),
    at('KeyF', end('2/3')),
    withMain('Space', [], { command: 'maximise' }),
    withMain('KeyO', [], { command: 'put-back' }),
  ];
}

/** Up maximises, down minimises, the sides are halves; with Shift to the next monitor. */
export function arrowsStarter(): StarterBinding[] {
  return [
    withMain('ArrowLeft', [], { command: 'place-left' }),
    withMain('ArrowRight', [], { command: 'place-right' }),
    withMain('ArrowUp', [], { command: 'maximise' }),
    withMain('ArrowDown', [], { command: 'minimise' }),
    withMain('ArrowLeft', ['Shift'], { command: 'put-on-monitor', which: 'left' }),
    withMain('ArrowRight', ['Shift'], { command: 'put-on-monitor', which: 'right' }),
    withMain('ArrowUp', ['Shift'], { command: 'full-screen' }),
    withMain('ArrowDown', ['Shift'], { command: 'restore-last' }),
  ];
}

/** Keys of one hand: one for each direction, and two beside them. */
interface HandKeys extends Record<Direction, string> {
  lead: string;
  last: string;
}

/** Four keys in a row under the right hand. */
const RIGHT_HAND: HandKeys = {
  left: 'KeyJ',
  down: 'KeyK',
  up: 'KeyL',
  right: 'Semicolon',
  lead: 'Quote',
  last: 'KeyH',
};

/** Three keys in a row under the left hand, and the one above the middle. */
const LEFT_HAND: HandKeys = {
  left: 'KeyS',
  down: 'KeyD',
  up: 'KeyE',
  right: 'KeyF',
  lead: 'KeyG',
  last: 'KeyA',
};

/** Focus, with Shift moving, with Ctrl growing and with both shrinking, under one hand. */
function directionsOf(hand: HandKeys): StarterBinding[] {
  return [
    ...DIRECTIONS.flatMap((direction) => [
      withMain(hand[direction], [], { command: `focus-${direction}` }),
      withMain(hand[direction], ['Shift'], { command: `move-${direction}` }),
      withMain(hand[direction], ['Ctrl'], { command: `grow-${direction}` }),
      withMain(hand[direction], ['Ctrl', 'Shift'], { command: `shrink-${direction}` }),
    ]),
    withMain(hand.lead, [], { command: 'swap-with-lead' }),
    withMain(hand.last, [], { command: 'focus-last' }),
  ];
}

/** In the home row of the right hand. */
export const homeRowStarter = (): StarterBinding[] => directionsOf(RIGHT_HAND);

/** Under the left hand, so that the right one stays where it is. */
export const leftHandStarter = (): StarterBinding[] => directionsOf(LEFT_HAND);

/** Zones by the digit of the number pad; the keys around it place without a board. */
export function numberPadStarter(): StarterBinding[] {
  const digits = ['1', '2', '3', '4', '5', '6', '7', '8', '9'];
  return [
    ...digits.map((zone) => withMain(`Numpad${zone}`, [], { command: 'place-in-zone', zone })),
    withMain('Numpad0', [], { command: 'put-back' }),
    withMain('NumpadDecimal', [], { command: 'fill-rest' }),
    withMain('NumpadAdd', [], { command: 'bigger' }),
    withMain('NumpadSubtract', [], { command: 'smaller' }),
    withMain('NumpadEnter', [], { command: 'maximise' }),
  ];
}

/** What the buttons of a mouse do that has nine beside those that point. */
const ON_BUTTONS: readonly KeyCommand[] = [
  { command: 'focus-previous' },
  { command: 'focus-next' },
  { command: 'place-left' },
  { command: 'place-right' },
  { command: 'maximise' },
  { command: 'float' },
  { command: 'pocket' },
  { command: 'call-back' },
  { command: 'go-workspace', which: 'next' },
];
/** The first buttons point, press and open menus. */
export const POINTING_BUTTONS = 3;

/** For a mouse of a dozen buttons that sends no modifiers. */
export function buttonsStarter(): StarterBinding[] {
  return ON_BUTTONS.map((command, i) => bareKey(`Button${POINTING_BUTTONS + 1 + i}`, command));
}
