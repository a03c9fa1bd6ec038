import type { Span } from '../positions.ts';
import { isFirstInLine, lineStart, type Splice } from './splices.ts';

/** Entries between brackets, parted by commas: offsets behind the bracket that opens, of the one that closes, and of each. */
export interface Bracketed {
  open: number;
  close: number;
  items: readonly Span[];
}

/** An entry that is there, by its place, or the text of a new one. */
export type ArrangedItem = { index: number } | { text: string };

/**
 * What stands between brackets in another order, some left out and some new. Entries that have lines of their own
 * keep those, with the comments above and behind them.
 *
 * @param filled what stands between the brackets where there was nothing
 * @returns null where a comment would be lost
 */
export function rebracketed(
  text: string,
  { open, close, items }: Bracketed,
  order: readonly ArrangedItem[],
  filled: (texts: readonly string[]) => string,
): Splice | null {
  const inside = text.slice(open, close);
  const splice = (fresh: string): Splice => ({ from: open, to: close, text: fresh });
  if (items.length === 0) {
    if (inside.includes('#')) return null;
    return splice(filled(order.flatMap((each) => ('text' in each ? [each.text] : []))));
  }
  const isTall = items.every(({ from }) => isFirstInLine(text, from));
  const fresh = isTall
    ? tall(text, { open, close, items }, order)
    : flat(text, { open, close, items }, order);
  return fresh === null ? null : splice(fresh);
}

function tall(text: string, { open, close, items }: Bracketed, order: readonly ArrangedItem[]) {
  // Behind an entry: its comma, and the comment in its line.
  const behind = items.map(({ to }) => {
    const end = text.indexOf('\n', to);
    return text.slice(to, end < 0 || end > close ? close : end);
  });
  if (behind.some((each) => !/^\s*,?\s*(#.*)?$/.test(each))) return null;
  // What stands behind the bracket in its own line.
  const head = text.slice(open, text.indexOf('\n', open));
  const lines = items.map(({ from, to }, i) => {
    const begin = i === 0 ? open + head.length : items[i - 1]!.to + behind[i - 1]!.length;
    return { above: text.slice(begin, from), own: text.slice(from, to), behind: behind[i]! };
  });
  const last = items.at(-1)!;
  const closing = text.slice(last.to + behind.at(-1)!.length, close);
  const isCommaLast = /^\s*,/.test(behind.at(-1)!);
  const indentation = `\n${text.slice(lineStart(text, items[0]!.from), items[0]!.from)}`;
  if (order.length === 0) {
    const rest = [head, closing, ...lines.flatMap((line) => [line.above, line.behind])];
    return rest.some((each) => each.includes('#')) ? null : '';
  }
  const written = order.map((each, place) => {
    const isLast = place === order.length - 1;
    const line = 'index' in each ? lines[each.index]! : null;
    const own = line ? line.own : (each as { text: string }).text;
    const after = line ? line.behind : ',';
    const hasComma = /^\s*,/.test(after);
    const wantsComma = !isLast || isCommaLast;
    const comma = wantsComma && !hasComma ? `,${after}` : after;
    return (line ? line.above : indentation) + own + (wantsComma ? comma : comma.replace(',', ''));
  });
  const end = order.at(-1)!;
  // Behind a comment in its line the bracket would be a part of it.
  const isInComment =
    'index' in end && lines[end.index]!.behind.includes('#') && !closing.includes('\n');
  return head + written.join('') + (isInComment ? indentation : '') + closing;
}

function flat(text: string, { open, close, items }: Bracketed, order: readonly ArrangedItem[]) {
  const gaps = items.map(({ from }, i) => text.slice(i === 0 ? open : items[i - 1]!.to, from));
  const end = text.slice(items.at(-1)!.to, close);
  if (order.length === 0) return [...gaps, end].some((each) => each.includes('#')) ? null : '';
  const keptGaps = new Set([0]);
  const written = order.map((each, place) => {
    const own =
      'index' in each ? text.slice(items[each.index]!.from, items[each.index]!.to) : each.text;
    if (place === 0) return gaps[0]! + own;
    const before = order[place - 1]!;
    const isNext = 'index' in each && 'index' in before && before.index === each.index - 1;
    if (isNext) keptGaps.add(each.index);
    return (isNext ? gaps[each.index]! : ', ') + own;
  });
  const isCommentLost = gaps.some((gap, i) => gap.includes('#') && !keptGaps.has(i));
  return isCommentLost ? null : written.join('') + end;
}
