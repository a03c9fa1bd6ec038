import fc from 'fast-check';
import { parse as parseToml } from 'smol-toml';
import { expect, test } from 'vitest';
import { rebracketed, type ArrangedItem, type Bracketed } from './bracketed.ts';
import { withSplices } from './splices.ts';

const END = ']\nafter = 1 # end\n';

interface Case {
  text: string;
  at: Bracketed;
  /** Comments by the entry they stand above or behind. */
  comments: string[][];
  /** Comments that belong to none: behind the bracket that opens, and before the one that closes. */
  loose: string[];
  isTall: boolean;
}

const entry = fc.record({
  above: fc.boolean(),
  behind: fc.boolean(),
  space: fc.constantFrom('', ' '),
});

/** A list of TOML with numbers from 0, in one line or with a line for each, and comments about. */
const anyCase: fc.Arbitrary<Case> = fc
  .record({
    entries: fc.array(entry, { maxLength: 5 }),
    isTall: fc.boolean(),
    commaLast: fc.boolean(),
    head: fc.boolean(),
    foot: fc.boolean(),
    begins: fc.boolean(),
    closesAtOnce: fc.boolean(),
    ends: fc.boolean(),
  })
  .map(({ entries, isTall, commaLast, head, foot, begins, closesAtOnce, ends }) => {
    let text = begins ? '# before\nlist = [' : 'list = [';
    const open = text.length;
    const items: { from: number; to: number }[] = [];
    const comments: string[][] = entries.map(() => []);
    const loose: string[] = [];
    if (isTall && head) text += ` # ${loose[loose.push('head') - 1]!}`;
    entries.forEach(({ above, behind, space }, i) => {
      const isLast = i === entries.length - 1;
      if (isTall) text += '\n';
      if (isTall && above) text += `  # ${comments[i]![comments[i]!.push(`above${i}`) - 1]!}\n`;
      text += isTall ? '  ' : i > 0 ? space : '';
      const from = text.length;
      text += String(i);
      items.push({ from, to: text.length });
      if (!isLast || commaLast) text += `${space},`;
      // A comment would take the bracket along.
      if (isTall && behind && !(isLast && closesAtOnce))
        text += ` # ${comments[i]![comments[i]!.push(`behind${i}`) - 1]!}`;
    });
    const isBelow = isTall && !(closesAtOnce && entries.length > 0);
    if (isBelow && foot) text += `\n  # ${loose[loose.push('foot') - 1]!}`;
    if (isBelow) text += '\n';
    const close = text.length;
    text += ends ? ']' : END;
    return { text, at: { open, close, items }, comments, loose, isTall };
  });

const listIn = (text: string) => (parseToml(text) as { list: number[] }).list;

test('a list of brackets gets another order, and keeps the comments of what stays', () => {
  const fresh = fc.constant({ text: '77' });
  const counts = { written: 0, refused: 0 };
  fc.assert(
    fc.property(
      anyCase.chain((of) =>
        fc.record({
          of: fc.constant(of),
          order: fc
            .shuffledSubarray(of.at.items.map((_, index): ArrangedItem => ({ index })))
            .chain((kept) =>
              fc.tuple(fc.option(fresh), fc.nat(kept.length)).map(([more, place]) => {
                return more ? [...kept.slice(0, place), more, ...kept.slice(place)] : kept;
              }),
            ),
        }),
      ),
      ({ of: { text, at, comments, loose, isTall }, order }) => {
        expect(listIn(text)).toEqual(at.items.map((_, i) => i));
        const filled = (texts: readonly string[]) => texts.join(', ');
        const splice = rebracketed(text, at, order, filled);
        const hasComment = text.slice(at.open, at.close).includes('#');
        if (splice === null) {
          // Only where all entries go, or the list had none, could a comment not stay.
          const isEmptied = order.length === 0 || at.items.length === 0;
          expect([isTall, hasComment, isEmptied]).toEqual([true, true, true]);
          counts.refused++;
          return;
        }
        counts.written++;
        const after = withSplices(text, [splice])!;
        const wanted = order.map((each) => ('index' in each ? each.index : Number(each.text)));
        expect(listIn(after)).toEqual(wanted);
        const stays = wanted.flatMap((index) => comments[index] ?? []).concat(loose);
        for (const comment of stays) expect(after.split(`# ${comment}\n`)).toHaveLength(2);
        const around = text.slice(0, at.open) + text.slice(at.close);
        expect(after.split('#')).toHaveLength(stays.length + around.split('#').length);
        expect(after.startsWith(text.slice(0, at.open))).toBe(true);
        expect(after.endsWith(text.slice(at.close))).toBe(true);
        // Nobody arranges a list of nothing anew as one of nothing.
        if (wanted.length > 0 && wanted.join() === at.items.map((_, i) => i).join())
          expect(after).toBe(text);
        // An entry has its line alone where entries had.
        if (isTall && at.items.length > 0 && order.length > 0)
          for (const value of wanted)
            expect(after).toMatch(new RegExp(`\\n  ${value}\\s*,?( #.*)?(\\n|\\]|$)`));
      },
    ),
    { numRuns: 400 },
  );
  expect(counts.written).toBeGreaterThan(200);
  expect(counts.refused).toBeGreaterThan(2);
});

test('where entries stand in one line and another a comment goes along with its neighbours, or nothing does', () => {
  const layout = fc.array(fc.constantFrom(', ', ',', ', # c\n '), { minLength: 1, maxLength: 4 });
  const seen = { written: 0, refused: 0 };
  fc.assert(
    fc.property(
      layout.chain((gaps) =>
        fc.tuple(
          fc.constant(gaps),
          fc.shuffledSubarray([...gaps, ''].map((_, i) => i)),
          fc.constantFrom(' ', ' # first\n'),
        ),
      ),
      ([gaps, order, head]) => {
        let text = `list = [${head}0`;
        const items = [{ from: text.length - 1, to: text.length }];
        gaps.forEach((gap, i) => {
          text += `${gap}${i + 1}`;
          items.push({ from: text.length - 1, to: text.length });
        });
        const at = { open: 8, close: text.length, items };
        text += ']\n';
        // All in lines of their own is another form.
        fc.pre(!(head.includes('#') && gaps.every((gap) => gap.includes('#'))));
        const splice = rebracketed(
          text,
          at,
          order.map((index) => ({ index })),
          (texts) => texts.join(', '),
        );
        const isKept = gaps.every(
          (gap, i) => !gap.includes('#') || order.some((o, k) => o === i && order[k + 1] === i + 1),
        );
        const isHeadKept = order.length > 0 || !head.includes('#');
        expect(splice !== null).toBe(isKept && isHeadKept);
        if (splice === null) {
          seen.refused++;
          return;
        }
        seen.written++;
        const after = withSplices(text, [splice])!;
        expect(listIn(after)).toEqual(order);
        expect(after.split('#')).toHaveLength(text.split('#').length);
      },
    ),
    { numRuns: 300 },
  );
  expect(Math.min(seen.written, seen.refused)).toBeGreaterThan(30);
});
