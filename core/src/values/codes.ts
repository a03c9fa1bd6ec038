import { ownEntry } from './own-entry.ts';
const LETTERS = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'].map((letter) => `Key${letter}`);
const DIGITS = [...'1234567890'].map((digit) => `Digit${digit}`);
const PAD = [...'0123456789'].map((digit) => `Numpad${digit}`);
const FUNCTIONS = Array.from({ length: 24 }, (_, i) => `F${i + 1}`);

/** UI Events `code` values of keys that boards have. W3C, UI Events KeyboardEvent code values. */
export const CODES: readonly string[] = [
  ...LETTERS,
  ...DIGITS,
  ...FUNCTIONS,
  ...PAD,
  ...['Backquote', 'Minus', 'Equal', 'BracketLeft', 'BracketRight', 'Backslash', 'Semicolon'],
  ...['Quote', 'Comma', 'Period', 'Slash', 'IntlBackslash', 'IntlRo', 'IntlYen'],
  ...['Backspace', 'Tab', 'CapsLock', 'Enter', 'Space', 'Escape', 'ContextMenu'],
  ...['ShiftLeft', 'ShiftRight', 'ControlLeft', 'ControlRight'],
  ...['AltLeft', 'AltRight', 'MetaLeft', 'MetaRight', 'Fn'],
  ...['ArrowLeft', 'ArrowRight', 'ArrowUp', 'ArrowDown'],
  ...['Insert', 'Delete', 'Home', 'End', 'PageUp', 'PageDown'],
  ...['PrintScreen', 'ScrollLock', 'Pause', 'NumLock'],
  ...['NumpadAdd', 'NumpadSubtract', 'NumpadMultiply', 'NumpadDivide', 'NumpadDecimal'],
  ...['NumpadEnter', 'NumpadEqual', 'NumpadComma'],
  ...['Convert', 'NonConvert', 'KanaMode', 'Lang1', 'Lang2', 'Lang3', 'Lang4', 'Lang5'],
  ...['AudioVolumeMute', 'AudioVolumeDown', 'AudioVolumeUp', 'MediaPlayPause', 'MediaStop'],
  ...['MediaTrackNext', 'MediaTrackPrevious', 'BrowserBack', 'BrowserForward', 'BrowserHome'],
  ...['LaunchApp1', 'LaunchApp2', 'LaunchMail', 'Power', 'Sleep', 'WakeUp'],
];
const KNOWN = new Set(CODES);

/** Keys that type something where they stand among the letters; those of a pad have their own uses. */
const TYPING = new Set([
  ...LETTERS,
  ...DIGITS,
  ...['Backquote', 'Minus', 'Equal', 'BracketLeft', 'BracketRight', 'Backslash', 'Semicolon'],
  ...['Quote', 'Comma', 'Period', 'Slash', 'IntlBackslash', 'IntlRo', 'IntlYen', 'Space'],
]);
/** Keys that a text or a form cannot do without. */
const EDITING = new Set([
  ...['Enter', 'Tab', 'Backspace', 'Delete', 'Escape'],
  ...['ArrowLeft', 'ArrowRight', 'ArrowUp', 'ArrowDown'],
]);

/** True for the `code` of a key that types a character by itself. */
export function codeTypes(code: string): boolean {
  return TYPING.has(code);
}

/** True for the `code` of a key that windows need by itself: to type, to move in a text, to answer. */
export function isNeededAlone(code: string): boolean {
  return TYPING.has(code) || EDITING.has(code);
}

/** The most buttons a pointing device may have. */
export const MOST_BUTTONS = 64;

/** The number of a button of a pointing device, as Button4; null for a key. The first is 1. */
export function buttonOf(code: string): number | null {
  const number = Number(/^Button([1-9]\d?)$/.exec(code)?.[1] ?? NaN);
  return number <= MOST_BUTTONS ? number : null;
}

/** True for the UI Events `code` of a key, and for a button of a pointing device. */
export function isCode(code: string): boolean {
  return KNOWN.has(code) || buttonOf(code) !== null;
}

const NAMES: Record<string, string> = {
  ArrowLeft: '←',
  ArrowRight: '→',
  ArrowUp: '↑',
  ArrowDown: '↓',
  BracketLeft: '[',
  BracketRight: ']',
  Semicolon: ';',
  Quote: "'",
  Comma: ',',
  Period: '.',
  Slash: '/',
  Backslash: '\\',
  IntlBackslash: '<',
  IntlYen: '¥',
  IntlRo: '_',
  Convert: 'Conv',
  NonConvert: 'NoConv',
  KanaMode: 'Kana',
  Backquote: '`',
  Minus: '-',
  Equal: '=',
  Escape: 'Esc',
  CapsLock: 'Caps',
  ContextMenu: 'Menu',
  PageUp: 'PgUp',
  PageDown: 'PgDn',
  Insert: 'Ins',
  PrintScreen: 'Print',
  NumLock: 'Num',
  ScrollLock: 'Scroll',
  NumpadDecimal: 'Pad .',
  NumpadAdd: 'Pad +',
  NumpadSubtract: 'Pad -',
  NumpadMultiply: 'Pad ×',
  NumpadDivide: 'Pad ÷',
};

/** What is printed on keys, by code, where it is other than on a US keyboard. */
export type Legends = Readonly<Record<string, string>>;

/** What a key is called on a key cap. */
export function keyName(code: string, legends: Legends = {}): string {
  const printed = ownEntry(legends, code);
  if (printed !== undefined) return printed;
  const named = NAMES[code];
  if (named !== undefined) return named;
  const side = /^(Shift|Control|Alt|Meta)(Left|Right)$/.exec(code);
  if (side) return side[1] === 'Control' ? 'Ctrl' : side[1]!;
  return code
    .replace(/^(Key|Digit)/, '')
    .replace(/^Numpad/, 'Pad ')
    .replace(/^Button/, 'Button ');
}
