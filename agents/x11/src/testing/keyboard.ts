import type { XServer } from './server.ts';

/** Key codes of X for keys of a board of 105 keys under evdev: the kernel's code and eight (input-event-codes.h). */
const KEYCODES: Readonly<Record<string, number>> = {
  Escape: 9,
  ...numbered('Digit', '1234567890', 10),
  Minus: 20,
  Equal: 21,
  Backspace: 22,
  Tab: 23,
  ...numbered('Key', 'QWERTYUIOP', 24),
  BracketLeft: 34,
  BracketRight: 35,
  Enter: 36,
  ControlLeft: 37,
  ...numbered('Key', 'ASDFGHJKL', 38),
  Semicolon: 47,
  Quote: 48,
  Backquote: 49,
  ShiftLeft: 50,
  Backslash: 51,
  ...numbered('Key', 'ZXCVBNM', 52),
  Comma: 59,
  Period: 60,
  Slash: 61,
  AltLeft: 64,
  Space: 65,
  CapsLock: 66,
  ...numbered('F', '123456789', 67),
  NumLock: 77,
  ArrowUp: 111,
  ArrowLeft: 113,
  ArrowRight: 114,
  Home: 110,
  PageUp: 112,
  End: 115,
  ArrowDown: 116,
  PageDown: 117,
  Insert: 118,
  MetaLeft: 133,
};
function numbered(row: string, keys: string, first: number): Record<string, number> {
  return Object.fromEntries([...keys].map((key, i) => [`${row}${key}`, first + i]));
}
const MODIFIERS: Readonly<Record<string, string>> = {
  Ctrl: 'ControlLeft',
  Alt: 'AltLeft',
  Shift: 'ShiftLeft',
  Meta: 'MetaLeft',
};

export function codeOfKeycode(keycode: number): string {
  return Object.entries(KEYCODES).find(([, each]) => each === keycode)?.[0] ?? String(keycode);
}

/** A person at the keyboard of a display, by XTEST. */
export class Keyboard {
  private readonly fake: (...args: number[]) => void;

  private constructor(fake: (...args: number[]) => void) {
    this.fake = fake;
  }

  static async of(server: XServer): Promise<Keyboard> {
    const { FakeInput } = await server.ask<{ FakeInput: (...args: number[]) => void }>((done) =>
      server.x.require('xtest', done as never),
    );
    return new Keyboard(FakeInput);
  }

  key(code: string, isDown: boolean): void {
    this.fake(isDown ? 2 : 3, KEYCODES[MODIFIERS[code] ?? code]!, 0, 0, 0, 0);
  }

  /** Chords one after the other: "Meta+KeyJ KeyL". */
  press(keys: string): void {
    for (const chord of keys.split(' ')) {
      const held = chord.split('+');
      for (const code of held) this.key(code, true);
      for (const code of [...held].reverse()) this.key(code, false);
    }
  }
}
