/** Keys by the names that XKB has for their places (four letters), as UI Events calls the same places. */
const PLACES: Readonly<Record<string, string>> = {
  ESC: 'Escape',
  TLDE: 'Backquote',
  AE10: 'Digit0',
  AE11: 'Minus',
  AE12: 'Equal',
  AE13: 'IntlYen',
  BKSP: 'Backspace',
  TAB: 'Tab',
  AD11: 'BracketLeft',
  AD12: 'BracketRight',
  RTRN: 'Enter',
  CAPS: 'CapsLock',
  AC10: 'Semicolon',
  AC11: 'Quote',
  BKSL: 'Backslash',
  AC12: 'Backslash',
  LFSH: 'ShiftLeft',
  LSGT: 'IntlBackslash',
  AB08: 'Comma',
  AB09: 'Period',
  AB10: 'Slash',
  AB11: 'IntlRo',
  RTSH: 'ShiftRight',
  LCTL: 'ControlLeft',
  LWIN: 'MetaLeft',
  LALT: 'AltLeft',
  SPCE: 'Space',
  RALT: 'AltRight',
  RWIN: 'MetaRight',
  COMP: 'ContextMenu',
  MENU: 'ContextMenu',
  RCTL: 'ControlRight',
  PRSC: 'PrintScreen',
  SCLK: 'ScrollLock',
  PAUS: 'Pause',
  INS: 'Insert',
  HOME: 'Home',
  PGUP: 'PageUp',
  DELE: 'Delete',
  END: 'End',
  PGDN: 'PageDown',
  UP: 'ArrowUp',
  LEFT: 'ArrowLeft',
  DOWN: 'ArrowDown',
  RGHT: 'ArrowRight',
  NMLK: 'NumLock',
  KPDV: 'NumpadDivide',
  KPMU: 'NumpadMultiply',
  KPSU: 'NumpadSubtract',
  KPAD: 'NumpadAdd',
  KPEN: 'NumpadEnter',
  KPDL: 'NumpadDecimal',
  KPEQ: 'NumpadEqual',
  KPPT: 'NumpadComma',
  HENK: 'Convert',
  MUHE: 'NonConvert',
  HKTG: 'KanaMode',
  HNGL: 'Lang1',
  HJCV: 'Lang2',
  KATA: 'Lang3',
  HIRA: 'Lang4',
  MUTE: 'AudioVolumeMute',
  'VOL-': 'AudioVolumeDown',
  'VOL+': 'AudioVolumeUp',
  POWR: 'Power',
  I171: 'MediaTrackNext',
  I172: 'MediaPlayPause',
  I173: 'MediaTrackPrevious',
  I174: 'MediaStop',
};

/** The row of a board from the first place on: letters of UI Events, the n-th for the n-th place. */
const ROWS: readonly (readonly [string, string])[] = [
  ['AD', 'QWERTYUIOP'],
  ['AC', 'ASDFGHJKL'],
  ['AB', 'ZXCVBNM'],
];

/** UI Events `code` of a key by the name that XKB has for its place; undefined of one that has no such code. */
export function codeOfPlace(place: string): string | undefined {
  const known = PLACES[place];
  if (known !== undefined) return known;
  const [, row = '', number = ''] = /^(AD|AC|AB|AE|FK|KP)(\d\d?)$/.exec(place) ?? [];
  const n = Number(number);
  if (row === 'AE' && n >= 1 && n <= 9) return `Digit${n}`;
  if (row === 'FK' && n >= 1 && n <= 24) return `F${n}`;
  if (row === 'KP' && number.length === 1) return `Numpad${n}`;
  const letter = ROWS.find(([name]) => name === row)?.[1][n - 1];
  return letter && `Key${letter}`;
}

/** Keys that type nothing, by their keysyms, as UI Events calls what they do. */
const NAMED: Readonly<Record<number, string>> = {
  0xff08: 'Backspace',
  0xff09: 'Tab',
  0xff0d: 'Enter',
  0xff1b: 'Escape',
  0xffff: 'Delete',
  0xff50: 'Home',
  0xff51: 'ArrowLeft',
  0xff52: 'ArrowUp',
  0xff53: 'ArrowRight',
  0xff54: 'ArrowDown',
  0xff55: 'PageUp',
  0xff56: 'PageDown',
  0xff57: 'End',
  0xff63: 'Insert',
};
/** Keysyms of Unicode begin here; those of Latin-1 are as they are. */
const UNICODE = 0x01000000;

/** UI Events `key` of a keysym: what it types; undefined of others. */
export function keyOfKeysym(keysym: number): string | undefined {
  if ((keysym >= 0x20 && keysym <= 0x7e) || (keysym >= 0xa0 && keysym <= 0xff))
    return String.fromCodePoint(keysym);
  if (keysym >= UNICODE + 0x100 && keysym <= UNICODE + 0x10ffff)
    return String.fromCodePoint(keysym - UNICODE);
  // F1 to F24.
  if (keysym >= 0xffbe && keysym <= 0xffd5) return `F${keysym - 0xffbd}`;
  return NAMED[keysym];
}
