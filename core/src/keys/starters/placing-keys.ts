import { DIRECTIONS, type Direction } from '../../geometry/direction.ts';
import type { Command } from '../../profile/command.ts';
import type { Modifier } from '../modifiers.ts';

/** A key with what is held beside the main modifier, and what it does. */
export type KeyFor = readonly [code: string, more: readonly Modifier[], command: Command];

/** Four keys under the right hand that stand as the directions do. */
const UNDER_THE_HAND: Record<Direction, string> = {
  left: 'KeyJ',
  right: 'KeyL',
  up: 'KeyI',
  down: 'KeyK',
};
/** The number pad has the shape of the screen. */
const ON_THE_PAD: Record<Direction, string> = {
  left: 'Numpad4',
  right: 'Numpad6',
  up: 'Numpad8',
  down: 'Numpad2',
};
const WIDENING: Record<Direction, string> = {
  left: 'BracketLeft',
  right: 'BracketRight',
  up: 'Quote',
  down: 'Semicolon',
};
const HALF = '1/2';
const QUARTERS = [
  ['Numpad7', { start: HALF }, { start: HALF }],
  ['Numpad9', { end: HALF }, { start: HALF }],
  ['Numpad1', { start: HALF }, { end: HALF }],
  ['Numpad3', { end: HALF }, { end: HALF }],
] as const;
const ZONE_DIGITS = ['1', '2', '3', '4', '5', '6', '7', '8', '9'];

const CTRL: readonly Modifier[] = ['Ctrl'];
const CTRL_SHIFT: readonly Modifier[] = ['Ctrl', 'Shift'];

/** The keys a profile begins with for placing: under the right hand with Ctrl, and on the number pad. */
export const PLACING_STARTER: readonly KeyFor[] = [
  ...DIRECTIONS.flatMap((direction): KeyFor[] => [
    [UNDER_THE_HAND[direction], CTRL, { command: `place-${direction}` }],
    [ON_THE_PAD[direction], [], { command: `place-${direction}` }],
    [UNDER_THE_HAND[direction], CTRL_SHIFT, { command: `nudge-${direction}` }],
    [WIDENING[direction], CTRL, { command: `widen-${direction}` }],
  ]),
  ...QUARTERS.map(([code, x, y]): KeyFor => [code, [], { command: 'place-at', x, y }]),
  ['KeyO', CTRL, { command: 'place-middle' }],
  ['Numpad5', [], { command: 'place-middle' }],
  ['KeyU', CTRL, { command: 'put-back' }],
  ['Numpad0', [], { command: 'put-back' }],
  ['KeyC', CTRL, { command: 'centre' }],
  ['Equal', CTRL, { command: 'bigger' }],
  ['Minus', CTRL, { command: 'smaller' }],
  ['Enter', CTRL, { command: 'fill-rest' }],
  ['NumpadDecimal', [], { command: 'fill-rest' }],
  ['KeyC', [], { command: 'corner-pick' }],
  ['KeyY', [], { command: 'pick-board' }],
  ['KeyY', CTRL, { command: 'offer-places' }],
  ...ZONE_DIGITS.map((zone): KeyFor => [
    `Digit${zone}`,
    ['Shift'],
    { command: 'place-in-zone', zone },
  ]),
  ['Slash', CTRL, { command: 'recall-lineup' }],
  ['Slash', CTRL_SHIFT, { command: 'save-lineup' }],
  ['Backquote', CTRL, { command: 'recall-lineup', which: 'last' }],
  ['Period', CTRL_SHIFT, { command: 'forget-lineup' }],
];
