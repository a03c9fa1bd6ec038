import type { Format } from './format.ts';

/** A part of a text that can be folded away: the ends of its first line and of its last one. */
export interface Fold {
  from: number;
  to: number;
}

/**
 * What can be folded below the line that begins at an offset; null for nothing. In YAML and JSON what stands further in than
 * that line, in TOML a table up to the next one.
 */
export function foldsAt(text: string, format: Format, lineStart: number): Fold | null {
  const from = endOfLine(text, lineStart);
  const line = text.slice(lineStart, from);
  if (line.trim() === '' || /^\s*#/.test(line)) return null;
  let last = from;
  for (let at = from + 1; at < text.length;) {
    const end = endOfLine(text, at);
    const next = text.slice(at, end);
    if (next.trim() !== '') {
      if (!isBelow(line, next, format)) break;
      last = end;
    }
    at = end + 1;
  }
  return last > from ? { from, to: last } : null;
}

function isBelow(line: string, next: string, format: Format): boolean {
  if (format === 'toml') return /^\s*\[/.test(line) && !/^\s*\[/.test(next);
  const [own, other] = [indentOf(line), indentOf(next)];
  if (other > own) return true;
  // The entries of a list may stand as far in as its name.
  if (format === 'yaml') return other === own && /^\s*- /.test(next) && !/^\s*- /.test(line);
  return other === own && /^\s*[\]}]/.test(next) && /[[{]\s*$/.test(line);
}

const indentOf = (line: string) => /^ */.exec(line)![0].length;

function endOfLine(text: string, at: number): number {
  const end = text.indexOf('\n', at);
  return end < 0 ? text.length : end;
}
