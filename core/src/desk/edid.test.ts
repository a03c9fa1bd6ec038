import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { edidBytes } from '../testing/edid.ts';
import { readEdid, suggestedScale, type Edid } from './edid.ts';

function parsed(bytes: Uint8Array): Edid {
  const result = readEdid(bytes);
  if (!result.ok) throw new Error(result.fault);
  return result.edid;
}

function faultOf(bytes: Uint8Array): string {
  const result = readEdid(bytes);
  return result.ok ? 'read' : result.fault;
}

/** Bytes written by hand, two hexadecimal digits each. */
function dump(text: string): Uint8Array {
  return Uint8Array.from(text.trim().split(/\s+/), (byte) => parseInt(byte, 16));
}

// A wide monitor, 1.4: KRV 3401, name and serial as text, 3440 × 1440 at 319.75 MHz, 800 × 335 mm.
const WIDE = `
00 FF FF FF FF FF FF 00  2E 56 01 34 00 00 00 00
0C 23 01 04 B5 50 22 78  3A 00 00 00 00 00 00 00
00 00 00 00 00 00 01 01  01 01 01 01 01 01 01 01
01 01 01 01 01 01 E7 7C  70 A0 D0 A0 29 50 30 20
3A 00 20 4F 31 00 00 1A  00 00 00 FC 00 4B 6F 72
76 61 6E 65 20 57 69 64  65 0A 00 00 00 FF 00 4F
50 2D 30 30 30 37 0A 20  20 20 20 20 00 00 00 10
00 00 00 00 00 00 00 00  00 00 00 00 00 00 00 BF`;

// A built-in panel, 1.4: no name, no serial, 2880 × 1800, 302 × 189 mm.
const PANEL = `
00 FF FF FF FF FF FF 00  2E 56 80 28 00 00 00 00
01 22 01 04 A5 1E 13 78  02 00 00 00 00 00 00 00
00 00 00 00 00 00 01 01  01 01 01 01 01 01 01 01
01 01 01 01 01 01 8C 87  40 A0 B0 08 2B 70 30 20
36 00 2E BD 10 00 00 18  00 00 00 10 00 00 00 00
00 00 00 00 00 00 00 00  00 00 00 00 00 10 00 00
00 00 00 00 00 00 00 00  00 00 00 00 00 00 00 10
00 00 00 00 00 00 00 00  00 00 00 00 00 00 00 43`;

// A projector, 1.3, with one extension: serial as a number, 1920 × 1080, its timing tells an aspect, not a size.
const WALL = `
00 FF FF FF FF FF FF 00  2E 56 19 00 15 CD 5B 07
20 1E 01 03 80 00 00 78  0A 00 00 00 00 00 00 00
00 00 00 21 08 00 81 C0  81 80 95 00 B3 00 D1 C0
01 01 01 01 01 01 02 3A  80 18 71 38 2D 40 58 2C
45 00 10 09 00 00 00 1E  00 00 00 FC 00 42 72 69
65 66 69 6E 67 20 77 61  6C 6C 00 00 00 10 00 00
00 00 00 00 00 00 00 00  00 00 00 00 00 00 00 10
00 00 00 00 00 00 00 00  00 00 00 00 00 00 01 9A`;

describe('an EDID written by hand', () => {
  it('gives a wide monitor with name and serial as text', () => {
    expect(parsed(dump(WIDE))).toEqual({
      version: '1.4',
      maker: 'KRV',
      model: '3401',
      serial: 'OP-0007',
      name: 'Korvane Wide',
      pixels: { width: 3440, height: 1440 },
      refreshHz: 59.97,
      millimetres: { width: 800, height: 335 },
      notes: [],
    });
  });

  it('is read as hexadecimal text too, as tools print it', () => {
    const bytes = dump(WIDE);
    const pairs = [...bytes].map((byte) => byte.toString(16).padStart(2, '0'));
    const lines = pairs.join('').replaceAll(/(.{32})/g, '\t$1\n');
    for (const text of [WIDE, lines, pairs.join(':'), pairs.map((pair) => `0x${pair}`).join(', ')])
      expect(parsed(new TextEncoder().encode(text))).toEqual(parsed(bytes));
    expect(faultOf(new TextEncoder().encode('00 FF FF FF FF FF FF'))).toContain(
      'the file ends after 7 bytes',
    );
    expect(faultOf(new TextEncoder().encode('not a monitor'))).toContain('this is no EDID');
  });

  it('gives a built-in panel that tells no name', () => {
    const { name, serial, model, pixels, millimetres } = parsed(dump(PANEL));
    expect([name, serial, model]).toEqual([null, null, '2880']);
    expect(pixels).toEqual({ width: 2880, height: 1800 });
    expect(millimetres).toEqual({ width: 302, height: 189 });
  });

  it('gives a 1.3 projector: a serial number, no size, and its extension is not in the file', () => {
    expect(parsed(dump(WALL))).toEqual({
      version: '1.3',
      maker: 'KRV',
      model: '0019',
      serial: '123456789',
      name: 'Briefing wall',
      pixels: { width: 1920, height: 1080 },
      refreshHz: 60,
      millimetres: null,
      notes: ['It tells of 1 extension blocks; the file has 0.'],
    });
  });
});

describe('an EDID from the generator', () => {
  it('gives back what was put in', () => {
    fc.assert(
      fc.property(
        fc.record({
          maker: fc.stringMatching(/^[A-Z]{3}$/),
          product: fc.integer({ min: 0, max: 0xffff }),
          serial: fc.integer({ min: 1, max: 0xffffffff }),
          name: fc.stringMatching(/^[!-~]([ -~]{0,11}[!-~])?$/),
          width: fc.integer({ min: 1, max: 4095 }),
          height: fc.integer({ min: 1, max: 4095 }),
          widthMm: fc.integer({ min: 40, max: 4095 }),
          heightMm: fc.integer({ min: 40, max: 4095 }),
          revision: fc.constantFrom(3, 4),
          extensions: fc.integer({ min: 0, max: 3 }),
        }),
        (says) => {
          const edid = parsed(edidBytes(says));
          expect(edid).toMatchObject({
            version: `1.${says.revision}`,
            maker: says.maker,
            model: says.product.toString(16).toUpperCase().padStart(4, '0'),
            serial: String(says.serial),
            name: says.name,
            pixels: { width: says.width, height: says.height },
            millimetres: { width: says.widthMm, height: says.heightMm },
            notes: [],
          });
        },
      ),
    );
  });

  it('without a size in its timing gives the centimetres; without a timing the largest standard one', () => {
    expect(parsed(edidBytes({ widthMm: 16, heightMm: 9 })).millimetres).toEqual({
      width: 800,
      height: 340,
    });
    // One side alone says nothing either.
    for (const said of [{ widthMm: 16 }, { heightMm: 9 }])
      expect(parsed(edidBytes(said)).millimetres).toEqual({ width: 800, height: 340 });
    const bytes = edidBytes({ clockKhz: 0 });
    bytes.set([0x71, 0x4f, 0xd1, 0xc0], 38);
    mended(bytes);
    expect(parsed(bytes)).toMatchObject({
      pixels: { width: 1920, height: 1080 },
      millimetres: { width: 800, height: 340 },
      notes: ['It tells no preferred timing; the largest of its standard timings is taken.'],
    });
    expect(parsed(edidBytes({ clockKhz: 0 })).pixels).toBeNull();
  });
});

/** Sets the checksum right. */
function mended(bytes: Uint8Array) {
  bytes[127] = 0;
  const sum = bytes.slice(0, 128).reduce((all, byte) => all + byte, 0);
  bytes[127] = (256 - (sum % 256)) % 256;
}

describe('a file that is no EDID', () => {
  it('is told apart, with what was expected', () => {
    const good = edidBytes({});
    const wrong = Uint8Array.from(good);
    wrong[20]! ^= 1;
    const other = Uint8Array.from(good);
    other[18] = 2;
    mended(other);
    expect(faultOf(wrong)).toMatch(
      /^its checksum is wrong: byte 127 is [0-9A-F]{2}; expected [0-9A-F]{2}/,
    );
    expect(faultOf(good.slice(0, 100))).toBe(
      'the file ends after 100 bytes; expected 128, and 128 more for each extension',
    );
    expect(faultOf(new TextEncoder().encode('{"monitors": []}'))).toBe(
      'this is no EDID: it does not begin with 00 FF FF FF FF FF FF 00',
    );
    expect(faultOf(new Uint8Array())).toMatch(/^the file is empty/);
    expect(faultOf(other)).toBe('it is an EDID of version 2.4; expected 1.3 or 1.4');
  });

  it('with a broken or missing extension is read, and noted', () => {
    const broken = edidBytes({ extensions: 2 });
    broken[200]! ^= 1;
    expect(parsed(broken).notes).toEqual(['The checksum of extension block 1 is wrong.']);
    expect(parsed(broken.slice(0, 300)).notes).toEqual([
      'It tells of 2 extension blocks; the file has 1.',
      'Bytes after the last whole block are left out.',
      'The checksum of extension block 1 is wrong.',
    ]);
  });

  it('never makes reading fail, whatever the bytes', () => {
    const anyBytes = fc.uint8Array({ maxLength: 400 });
    const damaged = fc
      .tuple(fc.array(fc.tuple(fc.nat(127), fc.nat(255)), { maxLength: 40 }), fc.boolean())
      .map(([changes, isMended]) => {
        const bytes = edidBytes({ name: 'Korvane' });
        for (const [at, byte] of changes) if (at > 7 && at !== 18) bytes[at] = byte;
        if (isMended) mended(bytes);
        return bytes;
      });
    fc.assert(
      fc.property(fc.oneof(anyBytes, damaged), (bytes) => {
        const result = readEdid(bytes);
        if (!result.ok) {
          expect(result.fault.length).toBeGreaterThan(10);
          return;
        }
        const { pixels, millimetres, maker } = result.edid;
        expect(maker).toMatch(/^[A-Z?]{3}$/);
        for (const size of [pixels, millimetres]) {
          if (size) expect(Math.min(size.width, size.height)).toBeGreaterThan(0);
        }
      }),
    );
  });
});

it('a scale is suggested from the density', () => {
  const scaleOf = (width: number, widthMm: number) =>
    suggestedScale({ width, height: 100 }, { width: widthMm, height: 100 });
  expect([scaleOf(3440, 800), scaleOf(2880, 302), scaleOf(3840, 597), scaleOf(1920, 1440)]).toEqual(
    [1, 2, 1.25, 1],
  );
  expect(suggestedScale({ width: 3840, height: 2160 }, null)).toBe(1);
});
