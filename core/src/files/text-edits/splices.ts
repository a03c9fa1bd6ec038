/** A piece of a text that something else takes the place of; offsets count characters. */
export interface Splice {
  from: number;
  to: number;
  text: string;
}

/** A text with pieces replaced; null where two of them overlap. */
export function withSplices(text: string, splices: readonly Splice[]): string | null {
  const sorted = splices.toSorted((a, b) => a.from - b.from || a.to - b.to);
  let result = '';
  let at = 0;
  for (const { from, to, text: fresh } of sorted) {
    if (from < at) return null;
    result += text.slice(at, from) + fresh;
    at = to;
  }
  return result + text.slice(at);
}

/** Where the line begins that a character is in. */
export const lineStart = (text: string, at: number): number =>
  at === 0 ? 0 : text.lastIndexOf('\n', at - 1) + 1;

/** Behind the end of the line that a character is in. What ends with a line ends there already. */
export function lineEnd(text: string, at: number): number {
  if (at > 0 && text[at - 1] === '\n') return at;
  const end = text.indexOf('\n', at);
  return end < 0 ? text.length : end + 1;
}

/** True where only spaces stand before a character in its line. */
export const isFirstInLine = (text: string, at: number): boolean =>
  text.slice(lineStart(text, at), at).trim() === '';

/** Where the comments begin that stand right above a line, without a blank line between. */
export function commentsAbove(text: string, line: number): number {
  let from = line;
  while (from > 0) {
    const above = lineStart(text, from - 1);
    if (!text.slice(above, from).trim().startsWith('#')) break;
    from = above;
  }
  return from;
}

/** Each line that says something, moved to the right. */
export const indented = (text: string, spaces: number): string =>
  text.replace(/^(?=[^\n])/gm, ' '.repeat(spaces));

/** A text that ends with its line. */
export const ended = (text: string): string =>
  text === '' || text.endsWith('\n') ? text : `${text}\n`;
