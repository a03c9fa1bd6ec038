import type { Size } from '../geometry/rect.ts';

/**
 * What a monitor tells of itself in its EDID (VESA Enhanced EDID 1.3 and 1.4): a base block of 128 bytes,
 * and extension blocks, which are counted and checked but not read.
 */
export interface Edid {
  version: string;
  /** Three letters, as registered. */
  maker: string;
  /** The maker's product code, four hexadecimal digits. */
  model: string;
  /** The serial text where there is one, else the serial number; null where it tells neither. */
  serial: string | null;
  name: string | null;
  /** Of the preferred timing, in pixels, before turning; null where it tells none. */
  pixels: Size | null;
  refreshHz: number | null;
  /** The size of the screen; null where it tells none. */
  millimetres: Size | null;
  /** What was odd about it and did not keep it from being read. */
  notes: string[];
}

export type EdidRead = { ok: true; edid: Edid } | { ok: false; fault: string };

const BLOCK = 128;
const HEADER = [0, 255, 255, 255, 255, 255, 255, 0];
const DESCRIPTORS = [54, 72, 90, 108];
const TEXT_LENGTH = 13;
const NAME = 0xfc;
const SERIAL = 0xff;
/** Some monitors give an aspect in the place of a size. */
const LEAST_MM = 40;

/** Of a text of bytes in hexadecimal digits: "00 FF FF …", "0x00, 0xFF …", or without anything between. */
const HEX_TEXT = /^(?:(?:0x)?[0-9a-f]{2}[\s,:;]*)+$/i;

/** The bytes themselves, or those that a text has in hexadecimal digits, as tools print them. */
function bytesIn(file: Uint8Array): Uint8Array {
  if (file.length === 0 || file[0] === 0) return file;
  const text = new TextDecoder().decode(file).trim();
  if (!HEX_TEXT.test(text)) return file;
  const pairs = text.replaceAll(/0x/gi, '').match(/[0-9a-f]{2}/gi) ?? [];
  return Uint8Array.from(pairs, (pair) => parseInt(pair, 16));
}

/**
 * Reads an EDID file, as bytes or as hexadecimal text. A file that is none gives one sentence: what is wrong, and what
 * was expected.
 */
export function readEdid(file: Uint8Array): EdidRead {
  const bytes = bytesIn(file);
  const fault = faultOf(bytes);
  if (fault !== null) return { ok: false, fault };
  const notes: string[] = [];
  const preferred = detailedTiming(bytes, DESCRIPTORS[0]!);
  const pixels = preferred?.pixels ?? largestStandardTiming(bytes);
  if (!preferred) {
    notes.push(
      pixels
        ? 'It tells no preferred timing; the largest of its standard timings is taken.'
        : 'It tells no timing: its pixels must be typed.',
    );
  }
  const serialText = descriptorText(bytes, SERIAL);
  const serialNumber =
    bytes[12]! + bytes[13]! * 2 ** 8 + bytes[14]! * 2 ** 16 + bytes[15]! * 2 ** 24;
  return {
    ok: true,
    edid: {
      version: `${bytes[18]}.${bytes[19]}`,
      maker: makerOf(bytes),
      model: (bytes[10]! + bytes[11]! * 256).toString(16).toUpperCase().padStart(4, '0'),
      serial: serialText ?? (serialNumber > 0 ? String(serialNumber) : null),
      name: descriptorText(bytes, NAME),
      pixels,
      refreshHz: preferred?.refreshHz ?? null,
      millimetres: millimetresOf(bytes, preferred?.millimetres ?? null),
      notes: [...notes, ...extensionNotes(bytes)],
    },
  };
}

function faultOf(bytes: Uint8Array): string | null {
  if (bytes.length === 0) return 'the file is empty; expected an EDID of 128 bytes or more';
  if (!HEADER.slice(0, bytes.length).every((byte, i) => bytes[i] === byte)) {
    return 'this is no EDID: it does not begin with 00 FF FF FF FF FF FF 00';
  }
  if (bytes.length < BLOCK) {
    return `the file ends after ${bytes.length} bytes; expected 128, and 128 more for each extension`;
  }
  const sum = sumOf(bytes, 0);
  if (sum !== 0) {
    const right = (bytes[BLOCK - 1]! - sum + 256) % 256;
    return `its checksum is wrong: byte 127 is ${hex(bytes[BLOCK - 1]!)}; expected ${hex(right)} for the bytes before it; the file was changed or cut`;
  }
  if (bytes[18] !== 1) {
    return `it is an EDID of version ${bytes[18]}.${bytes[19]}; expected 1.3 or 1.4`;
  }
  return null;
}

/** Bytes of a block added up, modulo 256: 0 when the checksum is right. */
function sumOf(bytes: Uint8Array, from: number): number {
  let sum = 0;
  for (let i = from; i < from + BLOCK; i++) sum += bytes[i]!;
  return sum % 256;
}

function hex(byte: number): string {
  return byte.toString(16).toUpperCase().padStart(2, '0');
}

/** Three letters of five bits each, most significant byte first; A is 1. */
function makerOf(bytes: Uint8Array): string {
  const packed = bytes[8]! * 256 + bytes[9]!;
  const letter = (shift: number) => {
    const value = (packed >> shift) & 31;
    return value >= 1 && value <= 26 ? String.fromCharCode(64 + value) : '?';
  };
  return letter(10) + letter(5) + letter(0);
}

interface Timing {
  pixels: Size;
  refreshHz: number | null;
  millimetres: Size | null;
}

/** A detailed timing descriptor; null where the 18 bytes hold something else. */
function detailedTiming(bytes: Uint8Array, at: number): Timing | null {
  const byte = (i: number) => bytes[at + i]!;
  const clockHz = (byte(0) + byte(1) * 256) * 10_000;
  if (clockHz === 0) return null;
  const high = (i: number) => byte(i) >> 4;
  const low = (i: number) => byte(i) & 15;
  const width = byte(2) + high(4) * 256;
  const lines = byte(5) + high(7) * 256;
  const total = (width + byte(3) + low(4) * 256) * (lines + byte(6) + low(7) * 256);
  if (width === 0 || lines === 0) return null;
  const isInterlaced = byte(17) >= 128;
  const widthMm = byte(12) + high(14) * 256;
  const heightMm = byte(13) + low(14) * 256;
  const hasSize = widthMm >= LEAST_MM && heightMm >= LEAST_MM;
  return {
    pixels: { width, height: isInterlaced ? lines * 2 : lines },
    refreshHz: Math.round((clockHz / total) * 100) / 100,
    millimetres: hasSize ? { width: widthMm, height: heightMm } : null,
  };
}

/** That of the timing, else the centimetres of the base block. */
function millimetresOf(bytes: Uint8Array, ofTiming: Size | null): Size | null {
  if (ofTiming) return ofTiming;
  const width = bytes[21]! * 10;
  const height = bytes[22]! * 10;
  return width > 0 && height > 0 ? { width, height } : null;
}

const ASPECTS = [10 / 16, 3 / 4, 4 / 5, 9 / 16];

/** Standard timings, two bytes each; 01 01 where one is not used. */
function largestStandardTiming(bytes: Uint8Array): Size | null {
  let largest: Size | null = null;
  for (let at = 38; at < 54; at += 2) {
    const [first, second] = [bytes[at]!, bytes[at + 1]!];
    if (first === 0 || (first === 1 && second === 1)) continue;
    const width = (first + 31) * 8;
    const height = Math.round(width * ASPECTS[second >> 6]!);
    if (!largest || width * height > largest.width * largest.height) largest = { width, height };
  }
  return largest;
}

/** The text of a display descriptor: up to 13 characters, ended by a line feed. */
function descriptorText(bytes: Uint8Array, tag: number): string | null {
  const at = DESCRIPTORS.find(
    (start) =>
      bytes[start] === 0 &&
      bytes[start + 1] === 0 &&
      bytes[start + 2] === 0 &&
      bytes[start + 3] === tag,
  );
  if (at === undefined) return null;
  let text = '';
  for (let i = at + 5; i < at + 5 + TEXT_LENGTH; i++) {
    const byte = bytes[i]!;
    if (byte === 0x0a || byte === 0) break;
    text += byte >= 32 && byte < 127 ? String.fromCharCode(byte) : '?';
  }
  return text.trim() || null;
}

function extensionNotes(bytes: Uint8Array): string[] {
  const told = bytes[126]!;
  const there = Math.floor((bytes.length - BLOCK) / BLOCK);
  const notes: string[] = [];
  if (there < told) notes.push(`It tells of ${told} extension blocks; the file has ${there}.`);
  if (bytes.length % BLOCK !== 0) notes.push('Bytes after the last whole block are left out.');
  for (let i = 1; i <= Math.min(there, told); i++) {
    if (sumOf(bytes, i * BLOCK) !== 0) notes.push(`The checksum of extension block ${i} is wrong.`);
  }
  return notes;
}

/** Pixels an inch that look right at scale 1, for a screen at arm's length. */
const EASY_DENSITY = 120;
const MM_PER_INCH = 25.4;

/** A scale for a monitor's density: in quarters, never under 1; 1 where its size is not known. */
export function suggestedScale(pixels: Size, millimetres: Size | null | undefined): number {
  if (!millimetres) return 1;
  const density = pixels.width / (millimetres.width / MM_PER_INCH);
  return Math.min(8, Math.max(1, Math.round((density / EASY_DENSITY) * 4) / 4));
}
