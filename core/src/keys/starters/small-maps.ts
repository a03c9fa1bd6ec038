import type { KeyCommand } from '../../commands/registry.ts';

import type { InputDevice } from '../../model/keys.ts';
import type { Profile } from '../../model/profile.ts';
import { DIRECTIONS, type Direction } from '../../values/direction.ts';
import { bareKey, withMain, type KeyStarterBinding } from './binding.ts';
import { ARROWS, bindingOf, BLOCK, LEFT_T, onThePad, RIGHT_T } from './regions.ts';

const CALLS = ['KeyU', 'KeyI', 'KeyO', 'KeyP'];

/** The left hand says where: two halves and the whole between them. The right hand says which of the first four apps. */
export function fewStarter({ apps }: Profile): KeyStarterBinding[] {
  return [
    withMain('KeyS', [], { command: 'place-at', x: { start: '1/2' } }),
    withMain('KeyD', [], { command: 'place-at' }),
    withMain('KeyF', [], { command: 'place-at', x: { end: '1/2' } }),
    withMain('KeyG', [], { command: 'put-back' }),
    ...apps
      .slice(0, CALLS.length)
      .map(({ id }, i) => withMain(CALLS[i]!, [], { command: 'call-app', app: id })),
  ];
}

/** The shares that further presses give a half, and those that they give a corner along the longer side. */
const AFTER_HALVES = ['1/3', '2/3'];
const AFTER_QUARTERS = ['1/3'];

/** A block of nine keys in the shape of a monitor, halves on its sides and quarters on its corners. */
export function blockStarter(): KeyStarterBinding[] {
  return [
    ...BLOCK.map(([code, where]) => {
      const axes = Object.keys(where).length;
      const ladder = axes === 1 ? AFTER_HALVES : AFTER_QUARTERS;
      const command: KeyCommand = {
        command: 'place-at',
        ...where,
        ...(axes > 0 && { ladder: [...ladder] }),
      };
      return withMain(code, [], command);
    }),
    withMain('KeyG', [], { command: 'put-back' }),
  ];
}

/** Each arrow places on its side; what is done with the whole window is on the keys above them. */
export function arrowsStarter(): KeyStarterBinding[] {
  return [
    ...DIRECTIONS.flatMap((direction) => [
      withMain(ARROWS[direction], [], { command: `place-${direction}` }),
      withMain(ARROWS[direction], ['Alt'], { command: 'go-monitor', which: direction }),
      withMain(ARROWS[direction], ['Alt', 'Shift'], {
        command: 'put-on-monitor',
        which: direction,
      }),
    ]),
    withMain('Home', [], { command: 'maximise' }),
    withMain('PageUp', [], { command: 'full-screen' }),
    withMain('End', [], { command: 'minimise' }),
    withMain('PageDown', [], { command: 'restore-last' }),
    withMain('Delete', [], { command: 'put-back' }),
  ];
}

/** Focus, with Shift moving, with Ctrl growing and with both shrinking; on the shoulders of the T what is beside them. */
function directionsOn(
  keys: Record<Direction, string>,
  [last, lead]: readonly [string, string],
): KeyStarterBinding[] {
  return [
    ...DIRECTIONS.flatMap((direction) => [
      withMain(keys[direction], [], { command: `focus-${direction}` }),
      withMain(keys[direction], ['Shift'], { command: `move-${direction}` }),
      withMain(keys[direction], ['Ctrl'], { command: `grow-${direction}` }),
      withMain(keys[direction], ['Ctrl', 'Shift'], { command: `shrink-${direction}` }),
    ]),
    withMain(last, [], { command: 'focus-last' }),
    withMain(lead, [], { command: 'swap-with-lead' }),
  ];
}

/** I above J K L. */
export const invertedTStarter = () => directionsOn(RIGHT_T, ['KeyU', 'KeyO']);

/** E above S D F, so that the right hand stays where it is. */
export const invertedTLeftStarter = () => directionsOn(LEFT_T, ['KeyW', 'KeyR']);

/** Zones by the digit of the number pad; the keys around it place without a board. */
export function numberPadStarter(): KeyStarterBinding[] {
  return [...onThePad([]).map(bindingOf), withMain('NumpadEnter', [], { command: 'maximise' })];
}

/** The first buttons point, press and open menus. */
export const POINTING_BUTTONS = 3;

/**
 * What the buttons of a mouse do that has seventeen beside those that point, in rows of three: two inverted T of
 * directions with what is done to the whole window beside them, then places to go, then apps.
 */
const ON_BUTTONS: readonly KeyCommand[] = [
  { command: 'maximise' },
  { command: 'focus-up' },
  { command: 'close' },
  { command: 'focus-left' },
  { command: 'focus-down' },
  { command: 'focus-right' },
  { command: 'float' },
  { command: 'move-up' },
  { command: 'go-monitor', which: 'next' },
  { command: 'move-left' },
  { command: 'move-down' },
  { command: 'move-right' },
  { command: 'go-workspace', which: 'previous' },
  { command: 'go-workspace', which: 'next' },
  { command: 'choose-app' },
  { command: 'open-chosen' },
];

/** The mouse that `buttonsStarter` is for. */
export const MOUSE_OF_BUTTONS: InputDevice = {
  id: 'mouse',
  name: 'Mouse, 20 buttons',
  buttons: POINTING_BUTTONS + ON_BUTTONS.length + 1,
  modifiers: false,
  atOnce: 'one',
  profiles: 1,
};

/** For a mouse with many buttons that sends no modifiers: the last one calls the first app, where there is any. */
export function buttonsStarter({ apps: [first] }: Profile): KeyStarterBinding[] {
  const last: KeyCommand[] = first ? [{ command: 'call-app', app: first.id }] : [];
  return [...ON_BUTTONS, ...last].map((command, i) =>
    bareKey(`Button${POINTING_BUTTONS + 1 + i}`, command),
  );
}
