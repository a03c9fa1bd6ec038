import type { LINK_MODIFIERS } from '@sorn/link';
import { answer, type Connection } from '../server/connection.ts';
import { codeOfPlace, keyOfKeysym } from './key-names.ts';

export type Modifier = (typeof LINK_MODIFIERS)[number];

/** What of a press of X counts as a modifier, and by which keys it is found. */
const KEYS_OF: Readonly<Record<Modifier, readonly string[]>> = {
  Ctrl: ['ControlLeft', 'ControlRight'],
  Alt: ['AltLeft'],
  Shift: ['ShiftLeft', 'ShiftRight'],
  Meta: ['MetaLeft', 'MetaRight'],
};
const LOCKS = ['NumLock', 'ScrollLock'];
export const CAPS_LOCK = 2;
const SHIFT = 1;

interface Names {
  minKeyCode: number;
  maxKeyCode: number;
  firstKey: number;
  keyNames: string[];
}
interface Xkb {
  NameDetail: { KeyNames: number };
  UseCoreKbd: number;
  SelectEvents: (
    device: number,
    affected: number,
    clear: number,
    all: number,
    affectedParts: number,
    parts: number,
  ) => void;
  GetNames: (device: number, which: number, done: (e: unknown, names: Names) => boolean) => void;
  LatchLockState: (
    device: number,
    affectLocks: number,
    locks: number,
    ...nothing: [number, number, number, number, number, number]
  ) => void;
}

/** The keys of a board: which is where, what it types, and which of them are modifiers. */
export class KeyTable {
  private readonly codes: ReadonlyMap<number, string>;
  private readonly keysyms: readonly (readonly number[])[];
  private readonly first: number;
  private readonly masks: ReadonlyMap<Modifier, number>;
  /** Masks of the locks that never count: CapsLock, NumLock, and the like. */
  readonly locks: readonly number[];

  private constructor(
    codes: ReadonlyMap<number, string>,
    first: number,
    keysyms: readonly (readonly number[])[],
    rows: readonly (readonly number[])[],
  ) {
    this.codes = codes;
    this.first = first;
    this.keysyms = keysyms;
    const maskOf = (names: readonly string[]) => {
      const at = rows.findIndex((row) =>
        row.some((keycode) => names.includes(codes.get(keycode) ?? '')),
      );
      return at < 0 ? 0 : 1 << at;
    };
    this.masks = new Map(
      (Object.entries(KEYS_OF) as [Modifier, readonly string[]][]).map(([modifier, names]) => [
        modifier,
        maskOf(names),
      ]),
    );
    const own = new Set(this.masks.values());
    this.locks = [CAPS_LOCK, ...LOCKS.map((name) => maskOf([name]))].filter(
      (mask, i, all) => mask !== 0 && !own.has(mask) && all.indexOf(mask) === i,
    );
  }

  /** Reads it from the server. @throws where the server has no XKB */
  static async read({ x }: Connection): Promise<KeyTable> {
    const xkb = await answer<Xkb>((done) => x.require('xkb', done));
    const {
      firstKey,
      keyNames,
      minKeyCode: first,
      maxKeyCode: last,
    } = await answer<Names>((done) =>
      xkb.GetNames(xkb.UseCoreKbd, xkb.NameDetail.KeyNames, done as never),
    );
    const codes = new Map(
      keyNames.flatMap((name, i) => {
        const code = codeOfPlace(name);
        return code === undefined ? [] : [[firstKey + i, code] as const];
      }),
    );
    const [keysyms, rows] = await Promise.all([
      answer<number[][]>((done) => x.GetKeyboardMapping(first, last - first + 1, done)),
      answer<number[][]>((done) => x.GetModifierMapping(done)),
    ]);
    return new KeyTable(codes, first, keysyms, rows);
  }

  codeOf(keycode: number): string | undefined {
    return this.codes.get(keycode);
  }

  keycodesOf(code: string): number[] {
    return [...this.codes].flatMap(([keycode, each]) => (each === code ? [keycode] : []));
  }

  /** What a key types under some state of the modifiers. */
  keyOf(keycode: number, state: number): string | undefined {
    const keysyms = this.keysyms[keycode - this.first] ?? [];
    // Two groups of two levels; a level that says nothing is as the first.
    const group = 2 * ((state >> 13) & 1);
    const [plain = 0, shifted = 0] = keysyms.slice(group, group + 2);
    const keysym = (state & SHIFT) !== 0 && shifted !== 0 ? shifted : plain;
    const key = keyOfKeysym(keysym);
    // A letter whose second level says nothing is a capital there.
    return (state & SHIFT) !== 0 && shifted === 0 ? key?.toUpperCase() : key;
  }

  /** The keys that type something with some modifiers. */
  keycodesTyping(key: string, modifiers: readonly Modifier[]): number[] {
    const state = this.stateOf(modifiers);
    return this.keysyms.flatMap((_, i) =>
      this.keyOf(this.first + i, state) === key ? [this.first + i] : [],
    );
  }

  stateOf(modifiers: readonly Modifier[]): number {
    return modifiers.reduce((state, modifier) => state | (this.masks.get(modifier) ?? 0), 0);
  }

  /** Those that are down by a state; locks never count. */
  modifiersOf(state: number): Modifier[] {
    return [...this.masks].flatMap(([modifier, mask]) => ((state & mask) !== 0 ? [modifier] : []));
  }

  /** True for a key that is a modifier. */
  isModifier(keycode: number): boolean {
    const code = this.codes.get(keycode);
    return (
      code !== undefined &&
      (Object.values(KEYS_OF).some((names) => names.includes(code)) || code === 'AltRight')
    );
  }
}

/** Sets CapsLock back to what it was. */
export async function setCapsLock({ x }: Connection, isOn: boolean): Promise<void> {
  const xkb = await answer<Xkb>((done) => x.require('xkb', done));
  xkb.LatchLockState(xkb.UseCoreKbd, CAPS_LOCK, isOn ? CAPS_LOCK : 0, 0, 0, 0, 0, 0, 0);
}

const NEW_KEYBOARD_NOTIFY = 1;
const MAP_NOTIFY = 2;
/** Parts of a map: what keys type, and which modifiers they are. */
const MAP_PARTS = 2 | 4;

/**
 * Asks to be told when the board is another one or its keys mean something else: a client that uses XKB is not told by
 * MappingNotify.
 */
export async function tellOfMaps({ x }: Connection): Promise<void> {
  const xkb = await answer<Xkb>((done) => x.require('xkb', done));
  const events = NEW_KEYBOARD_NOTIFY | MAP_NOTIFY;
  xkb.SelectEvents(xkb.UseCoreKbd, events, 0, NEW_KEYBOARD_NOTIFY, MAP_PARTS, MAP_PARTS);
}

/** A key that is held repeats as further presses, without releases between them (XKB). */
export async function repeatWithoutReleases({ x }: Connection): Promise<void> {
  const xkb = await answer<Xkb & { majorOpcode: number }>((done) => x.require('xkb', done));
  const request = Buffer.alloc(28);
  request[0] = xkb.majorOpcode;
  request[1] = 21;
  request.writeUInt16LE(7, 2);
  request.writeUInt16LE(xkb.UseCoreKbd, 4);
  request.writeUInt32LE(1, 8);
  request.writeUInt32LE(1, 12);
  x.seq_num++;
  x.pack_stream.put(request);
  x.replies[x.seq_num] = [() => null, (() => true) as never];
  x.pack_stream.submit(true);
}
