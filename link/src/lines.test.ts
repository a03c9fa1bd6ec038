import { Writable } from 'node:stream';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { LineReader, LineWriter, type Line } from './lines.ts';

/** All that comes of bytes that arrive in parts. */
function readIn(parts: readonly Uint8Array[], longest?: number): Line[] {
  const reader = new LineReader(longest);
  return [...parts.flatMap((part) => reader.push(Buffer.from(part))), ...reader.end()];
}

function cut(bytes: Buffer, at: readonly number[]): Buffer[] {
  const places = [0, ...at.map((share) => share % (bytes.length + 1)), bytes.length].sort(
    (a, b) => a - b,
  );
  return places.slice(1).map((end, i) => bytes.subarray(places[i], end));
}

describe('lines', () => {
  it('are the same however the bytes arrive', () => {
    const line = fc
      .string({ unit: 'grapheme' })
      .filter((text) => text !== '' && !text.includes('\n'));
    fc.assert(
      fc.property(fc.array(line), fc.array(fc.nat()), (lines, places) => {
        const bytes = Buffer.from(lines.map((text) => `${text}\n`).join(''));
        const read = readIn(cut(bytes, places));
        expect(read).toEqual(lines.map((text) => ({ ok: true, text })));
      }),
    );
  });

  it('that are too long, or no UTF-8, or without an end, are told once, and the next is read', () => {
    const of = (bytes: Buffer, longest?: number) =>
      readIn(cut(bytes, [3, 7, 11]), longest).map((each) => (each.ok ? each.text : each.fault));
    expect(of(Buffer.from(`${'x'.repeat(21)}\nnext\n`), 20)).toEqual([
      'a line is longer than 20 bytes; it is left out',
      'next',
    ]);
    expect(of(Buffer.from(`${'x'.repeat(20)}\n`), 20)).toEqual(['x'.repeat(20)]);
    expect(of(Buffer.from([0x61, 0xff, 0x0a, 0x62, 0x0a]))).toEqual([
      'a line is no UTF-8; it is left out',
      'b',
    ]);
    expect(of(Buffer.from('whole\nhalf'))).toEqual([
      'whole',
      'the last line has no end; it is not read',
    ]);
    expect(of(Buffer.from('\n\n'))).toEqual([]);
  });

  it('are written while there is room, and it is told when there is room again', async () => {
    let go: (() => void) | null = null;
    const written: string[] = [];
    const slow = new Writable({
      highWaterMark: 10,
      write(chunk: Buffer, _encoding, done) {
        written.push(chunk.toString());
        go = done;
      },
    });
    const drained = new Promise<void>((resolve) => {
      const writer = new LineWriter(slow, resolve);
      expect(writer.hasRoom).toBe(true);
      writer.write({ type: 'a message longer than there is room for' });
      expect(writer.hasRoom).toBe(false);
    });
    go!();
    await drained;
    expect(written).toEqual(['{"type":"a message longer than there is room for"}\n']);
  });
});
