import type { Command, CommandIdWithoutArguments } from '../../commands/registry.ts';

import { DIRECTIONS, type Direction } from '../../values/direction.ts';
import type { LayoutSetting } from '../../values/layout.ts';
import { inOrder, type Modifier } from '../../values/modifiers.ts';
import type { Along, Fraction } from '../../values/snap.ts';
import { withMain, type KeyStarterBinding } from './binding.ts';

/** A key, what is pressed with it beside the main modifier, and what it does. */
export type KeyFor = readonly [code: string, more: readonly Modifier[], command: Command];

/** A part of the keyboard, and what the commands on it are about. */
export interface Region {
  title: string;
  keys: readonly KeyFor[];
}

const PLAIN: readonly Modifier[] = [];
const SHIFT: readonly Modifier[] = ['Shift'];
const CTRL: readonly Modifier[] = ['Ctrl'];
const CTRL_SHIFT: readonly Modifier[] = ['Ctrl', 'Shift'];
const ALT: readonly Modifier[] = ['Alt'];
const ALT_SHIFT: readonly Modifier[] = ['Alt', 'Shift'];
const ALT_CTRL: readonly Modifier[] = ['Alt', 'Ctrl'];

/** The binding of a key, with the main modifier. */
export function bindingOf([code, more, command]: KeyFor): KeyStarterBinding {
  return withMain(code, inOrder(more), command);
}

/** Neighbouring keys from the left, one command each. */
function row(codes: string, more: readonly Modifier[], commands: string): KeyFor[] {
  const keys = codes.split(' ');
  return commands
    .split(' ')
    .map((id, i): KeyFor => [keys[i]!, more, { command: id as CommandIdWithoutArguments }]);
}

const UPPER_ROW = 'KeyQ KeyW KeyE KeyR KeyT KeyY KeyU KeyI KeyO KeyP';
const HOME_ROW = 'KeyA KeyS KeyD KeyF KeyG KeyH KeyJ KeyK KeyL';
const LOWER_ROW = 'KeyZ KeyX KeyC KeyV KeyB KeyN KeyM';

export const ARROWS: Record<Direction, string> = {
  left: 'ArrowLeft',
  right: 'ArrowRight',
  up: 'ArrowUp',
  down: 'ArrowDown',
};
/** An inverted T under the right hand, and one under the left. */
export const RIGHT_T: Record<Direction, string> = {
  left: 'KeyJ',
  right: 'KeyL',
  up: 'KeyI',
  down: 'KeyK',
};
export const LEFT_T: Record<Direction, string> = {
  left: 'KeyS',
  right: 'KeyF',
  up: 'KeyE',
  down: 'KeyD',
};
const WIDENING: Record<Direction, string> = {
  left: 'BracketLeft',
  right: 'BracketRight',
  up: 'Quote',
  down: 'Semicolon',
};

const HALF = '1/2';
const THIRD = '1/3';
const TWO_THIRDS = '2/3';
const start = (share: Fraction): Along => ({ start: share });
const end = (share: Fraction): Along => ({ end: share });

/** A block of keys that has the shape of a monitor: each is the part of it where it stands in the block. */
export const BLOCK: readonly (readonly [code: string, where: { x?: Along; y?: Along }])[] = [
  ['KeyW', { x: start(HALF), y: start(HALF) }],
  ['KeyE', { y: start(HALF) }],
  ['KeyR', { x: end(HALF), y: start(HALF) }],
  ['KeyS', { x: start(HALF) }],
  ['KeyD', {}],
  ['KeyF', { x: end(HALF) }],
  ['KeyX', { x: start(HALF), y: end(HALF) }],
  ['KeyC', { y: end(HALF) }],
  ['KeyV', { x: end(HALF), y: end(HALF) }],
];
/** Thirds and two thirds along the longer side, in a row as they lie from the left, or from the top. */
const THIRDS: readonly (readonly [code: string, long: Along])[] = [
  ['KeyN', start(THIRD)],
  ['KeyM', start(TWO_THIRDS)],
  ['Comma', { middle: THIRD }],
  ['Period', end(TWO_THIRDS)],
  ['Slash', end(THIRD)],
];
const ZONES = ['1', '2', '3', '4', '5', '6', '7', '8', '9'];

/** Zones by number on the number pad, and what places without a board around them. */
export function onThePad(more: readonly Modifier[]): KeyFor[] {
  return [
    ...ZONES.map((zone): KeyFor => [`Numpad${zone}`, more, { command: 'place-in-zone', zone }]),
    ...row('Numpad0 NumpadDecimal', more, 'put-back fill-rest'),
    ...row('NumpadSubtract NumpadAdd', more, 'smaller bigger'),
  ];
}

/**
 * Commands that lead to a workspace or a monitor, all of one kind with the same modifiers: alone it is gone to,
 * with Shift the window comes along.
 */
export function workspaceKeys(code: string, which: string): KeyFor[] {
  return [
    [code, PLAIN, { command: 'go-workspace', which }],
    [code, SHIFT, { command: 'put-on-workspace', which }],
    [code, ALT_SHIFT, { command: 'put-on-workspace', which, follow: true }],
  ];
}

function monitorKeys(code: string, which: string): KeyFor[] {
  return [
    [code, ALT, { command: 'go-monitor', which }],
    [code, ALT_SHIFT, { command: 'put-on-monitor', which }],
    [code, ALT_CTRL, { command: 'put-workspace-on-monitor', which }],
  ];
}

export function appKeys(code: string, app: string): KeyFor[] {
  return [
    [code, ALT, { command: 'call-app', app }],
    [code, ALT_CTRL, { command: 'open-app', app }],
  ];
}

/** The letter of each layout after its leading key, with its strip where it has one. */
export const LAYOUT_LETTERS: readonly (readonly [letter: string, layout: LayoutSetting])[] = [
  ['L', { kind: 'lead' }],
  ['M', { kind: 'middle' }],
  ['C', { kind: 'columns' }],
  ['R', { kind: 'rows' }],
  ['G', { kind: 'grid' }],
  ['H', { kind: 'halving' }],
  ['S', { kind: 'split' }],
  ['O', { kind: 'single', strip: 'none' }],
  ['T', { kind: 'single', strip: 'tabs' }],
  ['I', { kind: 'single', strip: 'list' }],
  ['A', { kind: 'cascade' }],
  ['Z', { kind: 'board' }],
  ['F', { kind: 'free' }],
];

/** The regions of the keyboard that do not depend on what a person has named. */
export const REGIONS: readonly Region[] = [
  {
    title: 'The arrows and the keys around them go from window to window',
    keys: [
      ...DIRECTIONS.flatMap((direction): KeyFor[] => [
        [ARROWS[direction], PLAIN, { command: `focus-${direction}` }],
        [ARROWS[direction], SHIFT, { command: `move-${direction}` }],
        [ARROWS[direction], CTRL, { command: `grow-${direction}` }],
        [ARROWS[direction], CTRL_SHIFT, { command: `shrink-${direction}` }],
        ...monitorKeys(ARROWS[direction], direction),
      ]),
      ...row('Comma Period', PLAIN, 'focus-previous focus-next'),
      ...row('Comma Period', SHIFT, 'move-earlier move-later'),
      ...row('Tab Backspace Slash', PLAIN, 'switch-window focus-last find-window'),
      ...monitorKeys('Comma', 'previous'),
      ...monitorKeys('Period', 'next'),
      ...monitorKeys('Enter', 'primary'),
      ...row('Slash', ALT, 'launch'),
      ...row('Semicolon Quote', ALT, 'choose-app open-chosen'),
      ...row('Slash', SHIFT, 'exchange-with'),
    ],
  },
  {
    title: 'The upper row: what a window is',
    keys: row(
      UPPER_ROW,
      PLAIN,
      'float-all float stay-above everywhere maximise full-screen pocket call-back minimise restore-last',
    ),
  },
  {
    title: 'The home row: how the workspace is divided, and what leads',
    keys: row(
      HOME_ROW,
      PLAIN,
      'previous-layout next-layout split-across split-down turn-layout even-out swap-with-lead promote reset-layout',
    ),
  },
  {
    title: 'The lower row: what is open, and the bare desktop',
    keys: row(
      LOWER_ROW,
      PLAIN,
      'show-desktop clear-while-pressed close next-of-app bring-inside new-workspace close-workspace',
    ),
  },
  {
    title: 'The brackets and the keys beside them: sizes',
    keys: [
      ...row('BracketLeft BracketRight', PLAIN, 'lead-share-less lead-share-more'),
      ...row('Semicolon Quote', PLAIN, 'lead-count-less lead-count-more'),
      ...row('BracketLeft BracketRight', CTRL_SHIFT, 'inner-gap-less inner-gap-more'),
      ...row('Semicolon Quote', CTRL_SHIFT, 'outer-gap-less outer-gap-more'),
      ...row('Backslash', CTRL_SHIFT, 'gaps-off'),
      ...row('Minus Equal', CTRL, 'smaller bigger'),
      ...row('Enter', PLAIN, 'shape'),
    ],
  },
  {
    title: 'The outer corners: back and on again, and the engine itself',
    keys: [
      ...row('Minus Equal', PLAIN, 'undo redo'),
      ...row('Escape Backquote', PLAIN, 'pause resume'),
      ...row('Delete End F12', PLAIN, 'apply-rules open-start desk-mode'),
    ],
  },
  {
    title: 'The block above the arrows: one workspace after the other',
    keys: [
      ...workspaceKeys('PageUp', 'previous'),
      ...workspaceKeys('PageDown', 'next'),
      ...workspaceKeys('Home', 'last'),
    ],
  },
  {
    title: 'Places under the left hand',
    keys: [
      ...BLOCK.map(([code, where]): KeyFor => [code, CTRL, { command: 'place-at', ...where }]),
      ...row('KeyG KeyT', CTRL, 'centre offer-places'),
      ...row('KeyQ KeyA', CTRL, 'save-lineup recall-lineup'),
      ['KeyZ', CTRL, { command: 'recall-lineup', which: 'last' }],
      ...row('Backspace', CTRL, 'forget-lineup'),
    ],
  },
  {
    title: 'Places under the right hand',
    keys: [
      ...DIRECTIONS.flatMap((direction): KeyFor[] => [
        [RIGHT_T[direction], CTRL, { command: `place-${direction}` }],
        [RIGHT_T[direction], CTRL_SHIFT, { command: `nudge-${direction}` }],
        [WIDENING[direction], CTRL, { command: `widen-${direction}` }],
      ]),
      ...row('KeyY KeyU KeyO KeyP', CTRL, 'pick-board put-back place-middle fill-rest'),
      ...row('KeyH', CTRL, 'corner-pick'),
      ...THIRDS.map(([code, long]): KeyFor => [code, CTRL, { command: 'place-at', long }]),
    ],
  },
  {
    title: 'Digits and the number pad: zones by number, and the name of the workspace',
    keys: [
      ...row('Digit0', PLAIN, 'rename-workspace'),
      ...ZONES.map((zone): KeyFor => [`Digit${zone}`, CTRL, { command: 'place-in-zone', zone }]),
      ...onThePad(CTRL),
    ],
  },
];
