import { stringify } from 'smol-toml';
import { parseTOML, type AST } from 'toml-eslint-parser';
import { isFields } from '../differences.ts';
import { rearranged, type Block } from './blocks.ts';
import { rebracketed, type Bracketed } from './bracketed.ts';
import { commentsAbove, ended, lineEnd, lineStart, type Splice } from './splices.ts';
import type { Arranged, TextNode } from './text-tree.ts';

/** A table as it is gathered: of headers, of lines in them, and of dotted names. */
interface Table {
  kind: 'table';
  path: readonly string[];
  /** Where its header stands; null where only what is in it has one, or dotted names make it. */
  header: Block | null;
  /** What stands before the names of its lines: "gaps." where they are dotted. */
  dotted: string;
  /** Its lines, with the name that each gives. */
  lines: { name: string; block: Block }[];
  fields: Map<string, Part>;
}

interface Tables {
  kind: 'tables';
  items: Table[];
}

interface Inline {
  kind: 'inline';
  value: AST.TOMLContentNode;
}

type Part = Table | Tables | Inline;

/** Up to so many letters a value stands in a line of its own. */
const ONE_LINE = 76;

/** Each value of a TOML text with the ways to change it in the text alone; null where it is no TOML. */
export function tomlTree(text: string): TextNode | null {
  let program: AST.TOMLProgram;
  try {
    program = parseTOML(text);
  } catch {
    return null;
  }
  const blockOf = ({ range: [from, to] }: { range: [number, number] }): Block => ({
    from: lineStart(text, from),
    to: lineEnd(text, to),
  });
  const root = tableOf([], '');
  for (const each of program.body[0].body) {
    if (each.type === 'TOMLKeyValue') {
      addLine(root, each);
      continue;
    }
    const table = headed(root, each.resolvedKey);
    if (!table) return null;
    const [from] = each.range;
    table.header = { from: lineStart(text, from), to: lineEnd(text, each.key.range[1]) };
    for (const line of each.body) addLine(table, line);
  }

  function addLine(table: Table, line: AST.TOMLKeyValue): void {
    const names = line.key.keys.map((part) => (part.type === 'TOMLBare' ? part.name : part.value));
    let at = table;
    names.slice(0, -1).forEach((name) => {
      at.lines.push({ name, block: blockOf(line) });
      const inner = at.fields.get(name);
      if (inner?.kind === 'table') at = inner;
      else {
        const made = tableOf([...at.path, name], `${at.dotted}${bareOrQuoted(name)}.`);
        at.fields.set(name, made);
        at = made;
      }
    });
    const name = names.at(-1)!;
    at.lines.push({ name, block: blockOf(line) });
    at.fields.set(name, { kind: 'inline', value: line.value });
  }

  /** All that is written of a table, in the order of the text. */
  function blocksIn(part: Part): Block[] {
    if (part.kind === 'inline') return [];
    if (part.kind === 'tables') return part.items.flatMap(blocksIn);
    const own = part.lines.map(({ block }) => block);
    const inner = [...part.fields.values()].flatMap(blocksIn);
    return [...(part.header ? [part.header] : []), ...own, ...inner];
  }

  function extentOf(table: Table): Block {
    const blocks = blocksIn(table);
    return {
      from: Math.min(...blocks.map(({ from }) => from)),
      to: Math.max(...blocks.map(({ to }) => to)),
    };
  }

  function node(part: Part): TextNode {
    if (part.kind === 'inline') return inlineNode(part.value);
    return part.kind === 'table' ? tableNode(part) : tablesNode(part);
  }

  function inlineNode(given: AST.TOMLContentNode): TextNode {
    const [from, to] = given.range;
    const replace = (value: unknown): Splice[] => [{ from, to, text: inlineToml(value) }];
    const list = (items: readonly { range: [number, number] }[]): Bracketed => ({
      open: from + 1,
      close: to - 1,
      items: items.map(({ range }) => ({ from: range[0], to: range[1] })),
    });
    const filled = (texts: readonly string[]) => ` ${texts.join(', ')} `;
    if (given.type === 'TOMLArray')
      return {
        kind: 'list',
        items: given.elements.map(inlineNode),
        replace,
        arrange(order) {
          const arranged = order.map((each) =>
            'index' in each ? each : { text: inlineToml(each.value) },
          );
          const splice = rebracketed(text, list(given.elements), arranged, filled);
          return splice && [splice];
        },
      };
    const isPlain =
      given.type === 'TOMLInlineTable' && given.body.every(({ key }) => key.keys.length === 1);
    if (!isPlain) return { kind: 'value', isAlias: false, replace };
    const names = given.body.map(({ key }) => nameOf(key.keys[0]!));
    return {
      kind: 'map',
      fields: new Map(given.body.map(({ value }, i) => [names[i]!, inlineNode(value)])),
      replace,
      change(removed, added) {
        const kept = names.flatMap((name, index) => (removed.includes(name) ? [] : [{ index }]));
        const fresh = added.map(([name, value]) => ({
          text: `${bareOrQuoted(name)} = ${inlineToml(value)}`,
        }));
        const splice = rebracketed(text, list(given.body), [...kept, ...fresh], filled);
        return splice && [splice];
      },
    };
  }

  function tableNode(table: Table): TextNode {
    return {
      kind: 'map',
      fields: new Map([...table.fields].map(([name, part]) => [name, node(part)])),
      replace: () => null,
      change(removed, added) {
        // What is added is added once there is room.
        if (removed.length > 0) return removed.flatMap((name) => withoutField(table, name));
        // Lines come before headers: below a header they would be its own.
        const isLine = ([, value]: readonly [string, unknown]) => isInLine(table, value);
        const lines = added.filter(isLine).map(([name, value]) => withLine(table, name, value));
        const rest = added.filter((each) => !isLine(each));
        return [...lines, ...rest.map(([name, value]) => withHeader(table, name, value))];
      },
    };
  }

  function withoutField(table: Table, name: string): Splice[] {
    const own = table.lines.filter((line) => line.name === name).map(({ block }) => block);
    const inner = blocksIn(table.fields.get(name)!);
    const from = new Map([...own, ...inner].map((block) => [block.from, block]));
    return [...from.values()].map(({ from: begin, to }) => {
      const isHeader = inner.some((block) => block.from === begin) && text[begin] === '[';
      const above = commentsAbove(text, begin);
      return { from: isHeader ? withoutBlank(above) : above, to, text: '' };
    });
  }

  /** A blank line above a table goes with it. */
  function withoutBlank(at: number): number {
    const above = lineStart(text, at - 1);
    return at > 0 && text.slice(above, at).trim() === '' ? above : at;
  }

  const isRoot = (table: Table) => table.path.length === 0 && table.dotted === '';

  /** What is small stands in a line of its table; what stands at the head of a text and has fields never does. */
  function isInLine(table: Table, value: unknown): boolean {
    if (table.dotted !== '' || !isTabular(value)) return true;
    return !isRoot(table) && JSON.stringify(value).length <= ONE_LINE;
  }

  function withLine(table: Table, name: string, value: unknown): Splice {
    const line = `${table.dotted}${bareOrQuoted(name)} = ${inlineToml(value)}\n`;
    const last = table.lines.at(-1)?.block ?? table.header;
    if (last) return insertion(last.to, line);
    const starts = blocksIn(table).map(({ from }) => commentsAbove(text, from));
    const header = isRoot(table) ? '' : `[${table.path.map(bareOrQuoted).join('.')}]\n`;
    return insertion(Math.min(text.length, ...starts), `${header}${line}\n`);
  }

  function withHeader(table: Table, name: string, value: unknown): Splice {
    const whole = [...table.path, name].reduceRight<unknown>(
      (inner, each) => ({ [each]: inner }),
      value,
    );
    const end = isRoot(table) ? text.length : extentOf(table).to;
    return insertion(end, `\n${ended(stringify(whole as object))}`);
  }

  function insertion(at: number, lines: string): Splice {
    const isOpen = at > 0 && text[at - 1] !== '\n';
    return { from: at, to: at, text: isOpen ? `\n${lines.replace(/\n$/, '')}` : lines };
  }

  function tablesNode({ items }: Tables): TextNode {
    return {
      kind: 'list',
      items: items.map(tableNode),
      replace: () => null,
      arrange(order: readonly Arranged[]) {
        const blocks = items.map(extentOf);
        const path = items[0]!.path;
        const all = blocksIn(root);
        const isApart = blocks.every(({ from, to }, i) => {
          const own = new Set(blocksIn(items[i]!).map((block) => block.from));
          return all.every((block) => block.from < from || block.from >= to || own.has(block.from));
        });
        const isTogether = blocks.every(({ to }, i) => {
          const next = blocks[i + 1];
          return !next || all.every((block) => block.from < to || block.from >= next.from);
        });
        const areTables = order.every((each) => 'index' in each || isFields(each.value));
        if (order.length === 0 || !areTables || !isApart || !isTogether) return null;
        const arranged = order.map((each) => {
          if ('index' in each) return each;
          const whole = path.reduceRight<unknown>(
            (inner, name) => ({ [name]: inner }),
            [each.value],
          );
          return { lines: stringify(whole as object) };
        });
        return [rearranged(text, blocks, arranged, '\n')];
      },
    };
  }

  return tableNode(root);
}

const tableOf = (path: readonly string[], dotted: string): Table => ({
  kind: 'table',
  path,
  header: null,
  dotted,
  lines: [],
  fields: new Map(),
});

/** The table that a header names, made where it is not there yet. */
function headed(root: Table, key: readonly (string | number)[]): Table | null {
  let at: Table = root;
  for (let i = 0; i < key.length; i++) {
    const name = String(key[i]);
    const index = key[i + 1];
    const known = at.fields.get(name);
    if (typeof index === 'number') {
      const tables: Part = known ?? { kind: 'tables', items: [] };
      if (tables.kind !== 'tables') return null;
      at.fields.set(name, tables);
      const path = [...at.path, name];
      at = tables.items[index] ?? (tables.items[index] = tableOf(path, ''));
      i++;
      continue;
    }
    const table: Part = known ?? tableOf([...at.path, name], '');
    if (table.kind !== 'table') return null;
    at.fields.set(name, table);
    at = table;
  }
  return at;
}

const nameOf = (part: AST.TOMLBare | AST.TOMLQuoted) =>
  part.type === 'TOMLBare' ? part.name : part.value;

/** A map, or a list of maps: what TOML gives headers. */
const isTabular = (value: unknown): boolean =>
  isFields(value) || (Array.isArray(value) && value.length > 0 && value.every(isFields));

const bareOrQuoted = (name: string) => (/^[\w-]+$/.test(name) ? name : scalarToml(name));

/** A value of TOML in one line. */
function inlineToml(value: unknown): string {
  if (Array.isArray(value))
    return value.length === 0 ? '[]' : `[ ${value.map(inlineToml).join(', ')} ]`;
  if (!isFields(value)) return scalarToml(value);
  const pairs = Object.entries(value).map(
    ([name, part]) => `${bareOrQuoted(name)} = ${inlineToml(part)}`,
  );
  return pairs.length === 0 ? '{}' : `{ ${pairs.join(', ')} }`;
}

const scalarToml = (value: unknown) =>
  stringify({ value })
    .replace(/^value = /, '')
    .trimEnd();
