import type { Writable } from 'node:stream';

/** The longest line, in bytes without its end. */
export const LONGEST_LINE = 1 << 20;
const END = 0x0a;

/** A line, or what is wrong with one. */
export type Line = { ok: true; text: string } | { ok: false; fault: string };

/**
 * Cuts a stream of bytes into lines. What is longer than a line may be is left out up to its end, and told once; so is
 * a line that is no UTF-8, and what stands at the end without an end of line. Empty lines are nothing.
 */
export class LineReader {
  private parts: Buffer[] = [];
  private length = 0;
  private isSkipping = false;
  private readonly longest: number;
  private readonly decoder = new TextDecoder('utf-8', { fatal: true });

  constructor(longest = LONGEST_LINE) {
    this.longest = longest;
  }

  /** The lines that end within some more bytes. */
  push(bytes: Buffer): Line[] {
    const lines: Line[] = [];
    let from = 0;
    for (let end = bytes.indexOf(END); end >= 0; end = bytes.indexOf(END, from)) {
      this.keep(bytes.subarray(from, end), lines);
      from = end + 1;
      if (this.isSkipping) this.isSkipping = false;
      else this.read(lines);
    }
    if (from < bytes.length) this.keep(Buffer.from(bytes.subarray(from)), lines);
    return lines;
  }

  /** What is left when the stream ends. */
  end(): Line[] {
    if (this.length === 0) return [];
    this.drop();
    return [{ ok: false, fault: 'the last line has no end; it is not read' }];
  }

  private keep(part: Buffer, lines: Line[]): void {
    if (this.isSkipping) return;
    if (this.length + part.length > this.longest) {
      lines.push({
        ok: false,
        fault: `a line is longer than ${this.longest} bytes; it is left out`,
      });
      this.drop();
      this.isSkipping = true;
      return;
    }
    this.parts.push(part);
    this.length += part.length;
  }

  private read(lines: Line[]): void {
    const bytes = this.parts.length === 1 ? this.parts[0]! : Buffer.concat(this.parts);
    this.drop();
    if (bytes.length === 0) return;
    try {
      lines.push({ ok: true, text: this.decoder.decode(bytes) });
    } catch {
      lines.push({ ok: false, fault: 'a line is no UTF-8; it is left out' });
    }
  }

  private drop(): void {
    this.parts = [];
    this.length = 0;
  }
}

/** Writes messages, one a line, and tells whether the other side has room for more. */
export class LineWriter {
  private readonly stream: Writable;
  private isFull = false;
  private readonly onDrain: () => void;

  /** @param onDrain called when there is room again */
  constructor(stream: Writable, onDrain: () => void = () => undefined) {
    this.stream = stream;
    this.onDrain = onDrain;
    stream.on('drain', () => {
      this.isFull = false;
      this.onDrain();
    });
    // Whoever reads may be gone: that is told by the process that ended.
    stream.on('error', () => undefined);
  }

  /** False while an earlier write has not drained. */
  get hasRoom(): boolean {
    return !this.isFull && !this.stream.destroyed;
  }

  write(message: object): void {
    if (this.stream.destroyed || !this.stream.writable) return;
    if (!this.stream.write(`${JSON.stringify(message)}\n`)) this.isFull = true;
  }
}
