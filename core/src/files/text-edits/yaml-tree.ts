import {
  Document,
  isAlias,
  isMap,
  isScalar,
  isSeq,
  visit,
  type CST,
  type Node,
  type Pair,
  type Scalar,
  type YAMLMap,
  type YAMLSeq,
} from 'yaml';
import type { Format } from '../format.ts';
import { MOST_ALIASES, yamlDocument } from '../parse.ts';
import { styledYaml } from '../write.ts';
import { rearranged, type Block } from './blocks.ts';
import { rebracketed, type Bracketed } from './bracketed.ts';
import { indented, lineEnd, lineStart, type Splice } from './splices.ts';
import type { Arranged, TextNode } from './text-tree.ts';

/** Where a value stands: behind the colon or dash, in a map or list whose lines begin at a column. */
interface Slot {
  /** Behind the colon or the dash; null within brackets. */
  behind: number | null;
  /** Of the key or the dash. */
  column: number;
}

/** Each value of YAML, and of JSON as a part of it, with the ways to change it in the text alone. */
export function yamlTree(text: string, format: Format): TextNode | null {
  const document = yamlDocument(text, true);
  if (document.errors.length > 0 || !document.contents) return null;
  const isJson = format === 'json';
  const step = stepOf(text);
  const brackets = {
    write: (value: unknown, at: number, type?: Scalar.Type) =>
      isJson
        ? JSON.stringify(value, null, step).replaceAll('\n', `\n${' '.repeat(indentationAt(at))}`)
        : inBrackets(value, type),
    /** What fills empty brackets. */
    filled: (texts: readonly string[], at: number) => {
      const outer = ' '.repeat(indentationAt(at));
      const inner = outer + ' '.repeat(step);
      return isJson
        ? `\n${texts.map((each) => inner + each.replaceAll('\n', `\n${' '.repeat(step)}`)).join(',\n')}\n${outer}`
        : ` ${texts.join(', ')} `;
    },
  };
  const indentationAt = (at: number) => /^ */.exec(text.slice(lineStart(text, at)))![0].length;
  /** Lines of a map or list that begin at a column. */
  function blockOf(value: object, column: number): string {
    const document = styledYaml(value);
    (document.contents as YAMLMap | YAMLSeq).flow = false;
    const lines = document.toString({ lineWidth: 0, flowCollectionPadding: true, indent: step });
    return indented(lines, column);
  }

  function node(given: unknown, slot: Slot): TextNode {
    if (isMap(given)) return given.flow ? flowMap(given, slot) : blockMap(given, slot);
    if (isSeq(given)) return given.flow ? flowList(given, slot) : blockList(given, slot);
    return {
      kind: 'value',
      isAlias: isAlias(given),
      replace: (value) => replaceValue(given as Node, value, slot),
    };
  }

  function replaceValue(given: Node, value: unknown, { behind }: Slot): Splice[] | null {
    if (!given.range) return null;
    const [from, to] = given.range;
    const former =
      isScalar(given) && typeof value === 'string' ? (given.type ?? undefined) : undefined;
    const fresh = brackets.write(value, from, former);
    const own = text.slice(from, to);
    if (own === '')
      return behind === null ? null : [{ from: behind, to: behind, text: ` ${fresh}` }];
    return [{ from, to, text: own.endsWith('\n') ? `${fresh}\n` : fresh }];
  }

  /** A list or map of lines becomes one value behind the colon or the dash. */
  function replaceBlock(
    from: number,
    to: number,
    value: unknown,
    { behind }: Slot,
  ): Splice[] | null {
    if (behind === null) return null;
    // An anchor or a tag stays before the value.
    const properties = /^(?:[ \t]+[&!]\S*)*/.exec(text.slice(behind))![0];
    const at = behind + properties.length;
    const head = lineEnd(text, behind);
    const fresh: Splice = { from: at, to: at, text: ` ${brackets.write(value, at)}` };
    if (head > from) return [{ ...fresh, to, text: `${fresh.text}\n` }];
    return [fresh, { from: head, to, text: '' }];
  }

  /** Empty brackets behind a colon become lines below it. */
  function fill(
    given: YAMLMap | YAMLSeq,
    value: object,
    { behind, column }: Slot,
  ): Splice[] | null {
    const [from, to] = given.range!;
    const end = lineEnd(text, to);
    const isAlone = /^\s*(#.*)?\s*$/.test(text.slice(to, end));
    if (isJson || behind === null || text.slice(behind, from).trim() !== '' || !isAlone)
      return null;
    const lines = blockOf(value, column + step);
    const isEnded = text[end - 1] === '\n';
    return [
      { from: behind, to, text: '' },
      { from: end, to: end, text: isEnded ? lines : `\n${lines.replace(/\n$/, '')}` },
    ];
  }

  function flowMap(given: YAMLMap, slot: Slot): TextNode {
    const pairs = given.items as Pair<Scalar, Node | null>[];
    const items = pairs.map(({ key, value, srcToken }) => ({
      from: startOf(srcToken as CST.CollectionItem, key.range![0]),
      to: value?.range?.[1] ?? key.range![1],
    }));
    const list = bracketsOf(given, items);
    const fields = new Map(
      pairs.map(({ key, value }) => [String(key.value), node(value, { behind: null, column: 0 })]),
    );
    const replace = (value: unknown) => [
      { from: given.range![0], to: given.range![1], text: brackets.write(value, given.range![0]) },
    ];
    return {
      kind: 'map',
      fields,
      replace,
      change(removed, added) {
        const filled = items.length === 0 ? fill(given, Object.fromEntries(added), slot) : null;
        if (filled) return filled;
        const names = pairs.map(({ key }) => String(key.value));
        const kept = names.flatMap((name, index) => (removed.includes(name) ? [] : [{ index }]));
        const fresh = added.map(([name, value]) => ({
          text: `${brackets.write(name, list.open)}: ${brackets.write(value, items[0]?.from ?? list.open)}`,
        }));
        return asList(
          rebracketed(text, list, [...kept, ...fresh], (texts) =>
            brackets.filled(texts, list.open),
          ),
        );
      },
    };
  }

  function flowList(given: YAMLSeq, slot: Slot): TextNode {
    const tokens = (given.srcToken as CST.FlowCollection).items;
    const items = given.items.map((item, i) => ({
      from: startOf(tokens[i]!, (item as Node).range![0]),
      to: (item as Node).range![1],
    }));
    const list = bracketsOf(given, items);
    return {
      kind: 'list',
      items: given.items.map((item) => node(item, { behind: null, column: 0 })),
      replace: (value) => [
        {
          from: given.range![0],
          to: given.range![1],
          text: brackets.write(value, given.range![0]),
        },
      ],
      arrange(order) {
        const values = order.flatMap((each) => ('value' in each ? [each.value] : []));
        const filled =
          items.length === 0 && values.some(isLarge) ? fill(given, values, slot) : null;
        if (filled) return filled;
        const arranged = order.map((each) =>
          'index' in each
            ? each
            : { text: brackets.write(each.value, items[0]?.from ?? list.open) },
        );
        return asList(
          rebracketed(text, list, arranged, (texts) => brackets.filled(texts, list.open)),
        );
      },
    };
  }

  function blockMap(given: YAMLMap, slot: Slot): TextNode {
    const pairs = given.items as Pair<Scalar, Node | null>[];
    const blocks = pairs.map(({ key, value, srcToken }) =>
      blockAt(startOf(srcToken as CST.CollectionItem, key.range![0]), value ?? key),
    );
    const column = columnOf(blocks[0]!.from);
    const fields = new Map(
      pairs.map(({ key, value, srcToken }) => [
        String(key.value),
        node(value, { behind: behindColon(srcToken as CST.CollectionItem, key), column }),
      ]),
    );
    const to = blocks.at(-1)!.to;
    return {
      kind: 'map',
      fields,
      replace: (value) => replaceBlock(given.range![0], to, value, slot),
      change(removed, added) {
        const names = pairs.map(({ key }) => String(key.value));
        const kept = names.flatMap((name, index) => (removed.includes(name) ? [] : [{ index }]));
        const fresh = added.map(([name, value]) => ({ lines: blockOf({ [name]: value }, column) }));
        if (kept.length + fresh.length === 0) return replaceBlock(given.range![0], to, {}, slot);
        return [rearranged(text, blocks, [...kept, ...fresh], '')];
      },
    };
  }

  function blockList(given: YAMLSeq, slot: Slot): TextNode {
    const tokens = (given.srcToken as CST.BlockSequence).items;
    // Comments at the end are an entry of their own, without a dash.
    const dashes = tokens.flatMap(({ start }) =>
      start.flatMap(({ type, offset }) => (type === 'seq-item-ind' ? [offset] : [])),
    );
    const blocks = given.items.map((item, i) => blockAt(dashes[i]!, item as Node));
    const column = columnOf(dashes[0]!);
    const to = blocks.at(-1)!.to;
    return {
      kind: 'list',
      items: given.items.map((item, i) => node(item, { behind: dashes[i]! + 1, column })),
      replace: (value) => replaceBlock(given.range![0], to, value, slot),
      arrange(order) {
        if (order.length === 0) return replaceBlock(given.range![0], to, [], slot);
        const arranged = order.map((each: Arranged) =>
          'index' in each ? each : { lines: blockOf([each.value], column) },
        );
        return [rearranged(text, blocks, arranged, '')];
      },
    };
  }

  const columnOf = (at: number) => at - lineStart(text, at);

  /** The lines of an entry, with the comment behind its end. */
  const blockAt = (from: number, value: Node): Block => ({ from, to: lineEnd(text, endOf(value)) });

  return node(document.contents, { behind: null, column: 0 });
}

function bracketsOf({ range }: YAMLMap | YAMLSeq, items: Bracketed['items']): Bracketed {
  return { open: range![0] + 1, close: range![1] - 1, items };
}

/** Where the first token of an entry stands that is more than spaces, comments and commas. */
function startOf({ start }: CST.CollectionItem, key: number): number {
  const BESIDE = ['space', 'comment', 'newline', 'comma', 'seq-item-ind'];
  return start.find(({ type }) => !BESIDE.includes(type))?.offset ?? key;
}

function behindColon({ sep }: CST.CollectionItem, key: Node): number {
  const colon = sep?.find(({ type }) => type === 'map-value-ind');
  return colon ? colon.offset + 1 : key.range![1];
}

/** Behind the last character of a value; what follows it up to the end of the line is not in it. */
function endOf(given: Node): number {
  if (isMap(given) && !given.flow) {
    const { key, value } = given.items.at(-1) as Pair<Node, Node | null>;
    return endOf(value?.range ? value : key);
  }
  if (isSeq(given) && !given.flow) return endOf(given.items.at(-1) as Node);
  return given.range![1];
}

/** Splices that write out what is called by an alias of this name. */
export function aliasesWrittenOut(text: string, name: string): Splice[] {
  const document = yamlDocument(text);
  const splices: Splice[] = [];
  visit(document, {
    Alias(_key, alias) {
      if (alias.source !== name || !alias.range) return;
      const [from, to] = alias.range;
      const value: unknown = alias.toJS(document, { maxAliasCount: MOST_ALIASES });
      splices.push({ from, to, text: inBrackets(value) });
    },
  });
  return splices;
}

/** A value as it stands between brackets, in one line. */
function inBrackets(value: unknown, type?: Scalar.Type): string {
  const document = new Document([value], { aliasDuplicateObjects: false });
  const list = document.contents as YAMLSeq<Node>;
  list.flow = true;
  visit(list, { Collection: (_key, each) => void (each.flow = true) });
  const [item] = list.items;
  if (isScalar(item) && type?.startsWith('QUOTE')) item.type = type;
  const written = document.toString({ lineWidth: 0, flowCollectionPadding: true }).trim();
  return written.slice(1, -1).trim();
}

function asList(splice: Splice | null): Splice[] | null {
  return splice && [splice];
}

/** Too much for one line. */
const isLarge = (value: unknown) => typeof value === 'object' && JSON.stringify(value).length > 40;

/** By how many spaces the lines of a text go in at each step: two where it shows none. */
function stepOf(text: string): number {
  const [first] = [...text.matchAll(/^( {1,8})(?=[^\s#])/gm)];
  return first ? Math.max(2, first[1]!.length) : 2;
}
