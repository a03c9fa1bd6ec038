import type { KeyboardForm } from '../model/keys.ts';

/** A key of a drawn board: its place and size in key widths (19.05 mm, ISO/IEC 9995-1), from the upper left. */
export interface KeyboardKey {
  code: string;
  x: number;
  y: number;
  width: number;
  height: number;
}

export interface Keyboard {
  form: KeyboardForm;
  title: string;
  keys: readonly KeyboardKey[];
  width: number;
  height: number;
}

/** A row of keys from its left end: codes with a width other than 1 after a colon, and `_` for a space. */
type Row = string;

const DIGIT_ROW =
  'Backquote Digit1 Digit2 Digit3 Digit4 Digit5 Digit6 Digit7 Digit8 Digit9 Digit0 Minus Equal Backspace:2';
const UPPER = 'Tab:1.5 KeyQ KeyW KeyE KeyR KeyT KeyY KeyU KeyI KeyO KeyP BracketLeft BracketRight';
const HOME = 'CapsLock:1.75 KeyA KeyS KeyD KeyF KeyG KeyH KeyJ KeyK KeyL Semicolon Quote';
const LOWER = 'KeyZ KeyX KeyC KeyV KeyB KeyN KeyM Comma Period Slash ShiftRight:2.75';
const BOTTOM =
  'ControlLeft:1.25 MetaLeft:1.25 AltLeft:1.25 Space:6.25 AltRight:1.25 MetaRight:1.25 ContextMenu:1.25 ControlRight:1.25';
const FUNCTIONS = 'Escape _:1 F1 F2 F3 F4 _:0.5 F5 F6 F7 F8 _:0.5 F9 F10 F11 F12';

const ANSI: readonly Row[] = [
  DIGIT_ROW,
  `${UPPER} Backslash:1.5`,
  `${HOME} Enter:2.25`,
  `ShiftLeft:2.25 ${LOWER}`,
  BOTTOM,
];
const ISO: readonly Row[] = [
  DIGIT_ROW,
  `${UPPER} _:0.25 Enter:1.25`,
  `${HOME} Backslash`,
  `ShiftLeft:1.25 IntlBackslash ${LOWER}`,
  BOTTOM,
];
/** A key more at the end of three rows, and keys that convert beside a shorter space bar. */
const JIS: readonly Row[] = [
  DIGIT_ROW.replace('Backspace:2', 'IntlYen Backspace'),
  `${UPPER} _:0.25 Enter:1.25`,
  `${HOME} Backslash`,
  `ShiftLeft:2.25 ${LOWER.replace('ShiftRight:2.75', 'IntlRo ShiftRight:1.75')}`,
  'ControlLeft:1.25 MetaLeft:1.25 AltLeft:1.25 NonConvert:1.25 Space:3.75 Convert:1.25 KanaMode:1.25 AltRight:1.25 ContextMenu:1.25 ControlRight:1.25',
];
const NAVIGATION: readonly Row[] = [
  'Insert Home PageUp',
  'Delete End PageDown',
  '',
  '_ ArrowUp',
  'ArrowLeft ArrowDown ArrowRight',
];
const PAD: readonly Row[] = [
  'NumLock NumpadDivide NumpadMultiply NumpadSubtract',
  'Numpad7 Numpad8 Numpad9 NumpadAdd',
  'Numpad4 Numpad5 Numpad6',
  'Numpad1 Numpad2 Numpad3 NumpadEnter',
  'Numpad0:2 NumpadDecimal',
];
/** Two rows high. */
const TALL: readonly string[] = ['NumpadAdd', 'NumpadEnter'];

function rows(list: readonly Row[], left = 0, top = 0): KeyboardKey[] {
  return list.flatMap((row, i) => {
    let x = left;
    return row.split(' ').flatMap((word): KeyboardKey[] => {
      const [code = '', size] = word.split(':');
      const width = Number(size ?? 1);
      const key = { code, x, y: top + i, width, height: TALL.includes(code) ? 2 : 1 };
      x += width;
      return code === '_' || code === '' ? [] : [key];
    });
  });
}

const SIDE = 15.25;
const PAD_SIDE = 18.5;
const FUNCTION_ROWS = rows([FUNCTIONS, '']).concat(rows(['PrintScreen ScrollLock Pause'], SIDE));
/** The row of functions stands a little apart. */
const BELOW_FUNCTIONS = 1.25;

/** Columns of a split board: how far each stands lower than the one of the middle finger. */
const STAGGER = [0.55, 0.45, 0.15, 0, 0.12, 0.2];
const LEFT_HAND = [
  ['Tab', 'CapsLock', 'ShiftLeft'],
  ['KeyQ', 'KeyA', 'KeyZ'],
  ['KeyW', 'KeyS', 'KeyX'],
  ['KeyE', 'KeyD', 'KeyC'],
  ['KeyR', 'KeyF', 'KeyV'],
  ['KeyT', 'KeyG', 'KeyB'],
];
const RIGHT_HAND = [
  ['Backspace', 'Quote', 'Escape'],
  ['KeyP', 'Semicolon', 'Slash'],
  ['KeyO', 'KeyL', 'Period'],
  ['KeyI', 'KeyK', 'Comma'],
  ['KeyU', 'KeyJ', 'KeyM'],
  ['KeyY', 'KeyH', 'KeyN'],
];
const SPLIT_WIDTH = 14.5;

function split(): KeyboardKey[] {
  const columns = (hand: readonly (readonly string[])[], at: (column: number) => number) =>
    hand.flatMap((codes, column) =>
      codes.map((code, row) => ({
        code,
        x: at(column),
        y: STAGGER[column]! + row,
        width: 1,
        height: 1,
      })),
    );
  const thumbs = ['ControlLeft', 'MetaLeft', 'Space', 'Enter', 'AltRight', 'ControlRight'];
  const thumbsAt = [3.4, 4.45, 5.5, 8, 9.05, 10.1];
  return [
    ...columns(LEFT_HAND, (column) => column),
    ...columns(RIGHT_HAND, (column) => SPLIT_WIDTH - 1 - column),
    ...thumbs.map((code, i) => ({ code, x: thumbsAt[i]!, y: 3.5, width: 1, height: 1 })),
  ];
}

const lower = (list: readonly Row[], left = 0) => rows(list, left, BELOW_FUNCTIONS);

function board(form: KeyboardForm, title: string, keys: readonly KeyboardKey[]): Keyboard {
  const width = Math.max(...keys.map((key) => key.x + key.width));
  const height = Math.max(...keys.map((key) => key.y + key.height));
  return { form, title, keys, width, height };
}

const ANSI_80 = [...FUNCTION_ROWS, ...lower(ANSI), ...lower(NAVIGATION, SIDE)];
const ISO_ENTER = 'Enter';

/** Boards that can be drawn, by their form. */
export const KEYBOARDS: Record<KeyboardForm, Keyboard> = {
  'ansi-60': board('ansi-60', 'ANSI 60 %', rows(ANSI)),
  'ansi-80': board('ansi-80', 'ANSI 80 %', ANSI_80),
  'ansi-100': board('ansi-100', 'ANSI 100 %', [...ANSI_80, ...lower(PAD, PAD_SIDE)]),
  'iso-80': board('iso-80', 'ISO 80 %', [
    ...FUNCTION_ROWS,
    ...lower(ISO).map((key) => (key.code === ISO_ENTER ? { ...key, height: 2 } : key)),
    ...lower(NAVIGATION, SIDE),
  ]),
  'jis-80': board('jis-80', 'JIS 80 %', [
    ...FUNCTION_ROWS,
    ...lower(JIS).map((key) => (key.code === ISO_ENTER ? { ...key, height: 2 } : key)),
    ...lower(NAVIGATION, SIDE),
  ]),
  'split-42': board('split-42', 'Split, 42 keys', split()),
};

/** A key's middle on a board; null where the board has not got it. */
export function middleOf({ keys }: Keyboard, code: string): { x: number; y: number } | null {
  const key = keys.find((each) => each.code === code);
  return key ? { x: key.x + key.width / 2, y: key.y + key.height / 2 } : null;
}
