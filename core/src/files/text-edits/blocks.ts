import { commentsAbove, ended, isFirstInLine, lineStart, type Splice } from './splices.ts';

/** The lines of one entry. The first of a list may begin within a line, as what follows a dash does. */
export interface Block {
  from: number;
  to: number;
}

/** A block that is there, by its place, or the lines of a new one. */
export type ArrangedBlock = { index: number } | { lines: string };

/**
 * Entries of whole lines in another order, some left out and some new. Comments right above an entry go with it;
 * comments with a blank line below them stay.
 *
 * @param usual what stands between two entries that did not follow each other, where the text does not show it
 */
export function rearranged(
  text: string,
  blocks: readonly Block[],
  order: readonly ArrangedBlock[],
  usual: string,
): Splice {
  const first = blocks[0]!;
  const isOwnLine = isFirstInLine(text, first.from);
  const from = isOwnLine ? commentsAbove(text, lineStart(text, first.from)) : first.from;
  const column = first.from - lineStart(text, first.from);
  const startOf = (at: number) => (isFirstInLine(text, at) ? lineStart(text, at) : at);
  const gaps = blocks.map(({ from: at }, i) => {
    if (i === 0) return { apart: '', above: text.slice(from, startOf(at)) };
    const gap = text.slice(blocks[i - 1]!.to, startOf(at));
    const split = commentsAbove(gap, gap.length);
    return { apart: gap.slice(0, split), above: gap.slice(split) };
  });
  const bodies = blocks.map(({ from: at, to }, i) => {
    const lead = i === 0 && !isOwnLine ? ' '.repeat(column) : '';
    return ended(lead + text.slice(startOf(at), to));
  });
  const plain = gaps.slice(1).flatMap(({ apart }) => (apart.includes('#') ? [] : [apart]));
  const between = plain.length > 0 ? mostCommon(plain) : usual;

  /** Comments that stood apart above an entry that goes: by the entry that follows it, and stays. */
  const stayed = new Map<number, string>();
  const kept = new Set(order.flatMap((each) => ('index' in each ? [each.index] : [])));
  gaps.forEach(({ apart }, i) => {
    if (kept.has(i) || !apart.includes('#')) return;
    const next = blocks.findIndex((_block, k) => k > i && kept.has(k));
    stayed.set(next, (stayed.get(next) ?? '') + apart);
  });
  const written = order.map((each, place) => {
    if (!('index' in each)) return (place === 0 ? '' : between) + ended(each.lines);
    const { index } = each;
    const { apart, above } = gaps[index]!;
    const before = order[place - 1];
    const isNext = before !== undefined && 'index' in before && before.index === index - 1;
    const isPlain = !apart.includes('#');
    const lead = isPlain && !isNext ? (place === 0 ? '' : between) : apart;
    return (stayed.get(index) ?? '') + lead + above + bodies[index]!;
  });
  let result = written.join('') + (stayed.get(-1) ?? '');
  const to = blocks.at(-1)!.to;
  if (to > 0 && text[to - 1] !== '\n') result = result.replace(/\n$/, '');
  if (!isOwnLine) result = result.replace(new RegExp(`^ {0,${column}}`), '');
  return { from, to, text: result };
}

function mostCommon(texts: readonly string[]): string {
  const counts = new Map<string, number>();
  for (const text of texts) counts.set(text, (counts.get(text) ?? 0) + 1);
  return [...counts].reduce((best, each) => (each[1] > best[1] ? each : best))[0];
}
