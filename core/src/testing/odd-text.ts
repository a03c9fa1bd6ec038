import { isFields } from '../files/differences.ts';

/** A text in an odd but legal style, and where in it each plain value stands. */
export interface OddText {
  text: string;
  /** By the way to a value, as JSON: its line, counted from 0. */
  lineOf: ReadonlyMap<string, number>;
}

type Step = string | number;
type Way = readonly Step[];
type Value = unknown;

/** Numbers from 0 up to below 1, the same for the same seed (mulberry32). */
export function seeded(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
}

class Lines {
  readonly lines: string[] = [''];
  readonly lineOf = new Map<string, number>();
  comments = 0;

  put(text: string): void {
    const [first, ...more] = text.split('\n');
    this.lines[this.lines.length - 1] += first!;
    this.lines.push(...more);
  }

  leaf(way: Way, text: string): void {
    this.lineOf.set(JSON.stringify(way), this.lines.length - 1);
    this.put(text);
  }

  comment(): string {
    return `# note ${++this.comments}, [odd] {one}: 'x`;
  }
}

const PLAIN = /^(?!(?:true|false|null|yes|no|on|off)$)[A-Za-z][A-Za-z0-9_-]*$/;
const spaces = (count: number) => ' '.repeat(count);
const isNested = (value: Value) =>
  (Array.isArray(value) && value.length > 0) || (isFields(value) && Object.keys(value).length > 0);

/** A value as YAML written by hand: comments, blank lines, anchors, quotes, brackets and indentation as they come. */
export function oddYaml(root: object, seed: number, hasAnchors = true): OddText {
  const random = seeded(seed);
  const is = (share: number) => random() < share;
  const below = (count: number) => Math.floor(random() * count);
  const out = new Lines();
  const anchored = new Map<string, string>();
  let anchors = 0;

  function scalar(value: Value): string {
    if (Array.isArray(value)) return is(0.5) ? '[]' : '[ ]';
    if (isFields(value)) return '{}';
    if (typeof value === 'number' && Number.isInteger(value) && value >= 0 && is(0.2))
      return `0x${value.toString(16)}`;
    if (typeof value !== 'string') return JSON.stringify(value);
    if (PLAIN.test(value) && is(0.6)) return value;
    if (!/[\p{Control}\u2028\u2029\ufeff]/u.test(value) && is(0.5) && !/\p{Surrogate}/u.test(value))
      return `'${value.replaceAll("'", "''")}'`;
    return JSON.stringify(value)
      .replaceAll('\u007f', '\\u007f')
      .replaceAll('\ufeff', '\\ufeff')
      .replace(
        /[\u0080-\u009f\u2028\u2029]/g,
        (each) => `\\u${each.charCodeAt(0).toString(16).padStart(4, '0')}`,
      );
  }

  function anchorFor(value: Value): string {
    if (!hasAnchors || !is(0.15)) return '';
    const name = `a${++anchors}`;
    anchored.set(JSON.stringify(value), name);
    return `&${name} `;
  }

  /** `*name` for what was written before. */
  function aliasFor(value: Value): string | null {
    const name = anchored.get(JSON.stringify(value));
    return name !== undefined && is(0.7) ? `*${name}` : null;
  }

  function inline(value: Value, way: Way, mayBreak: number | null): void {
    const alias = aliasFor(value);
    if (alias !== null) {
      out.leaf(way, `${alias} `);
      return;
    }
    const anchor = anchorFor(value);
    out.put(anchor);
    if (!isNested(value)) {
      out.leaf(way, scalar(value));
      return;
    }
    const entries: [Step, Value][] = Array.isArray(value)
      ? value.map((each, i) => [i, each])
      : Object.entries(value as object);
    const isTall = mayBreak !== null && is(0.3);
    out.put(Array.isArray(value) ? '[' : '{');
    entries.forEach(([name, each], i) => {
      if (isTall) {
        if (is(0.2)) out.put(`\n${spaces(mayBreak + 1)}${out.comment()}`);
        out.put(`\n${spaces(mayBreak + 2)}`);
      } else out.put(is(0.5) ? ' ' : '');
      if (typeof name === 'string') out.put(`${key(name)}: `);
      inline(each, [...way, name], null);
      const isLast = i === entries.length - 1;
      if (!isLast || (isTall && is(0.4))) out.put(',');
      if (isTall && is(0.2)) out.put(` ${out.comment()}`);
      else if (!isTall && !isLast) out.put(' ');
    });
    out.put(isTall ? `\n${spaces(mayBreak + 1)}` : is(0.5) ? ' ' : '');
    out.put(Array.isArray(value) ? ']' : '}');
  }

  function key(name: string): string {
    if (PLAIN.test(name) && is(0.8)) return name;
    return is(0.5) || /\p{Surrogate}/u.test(name) || /[^ -~]/.test(name)
      ? JSON.stringify(name)
      : `'${name.replaceAll("'", "''")}'`;
  }

  function between(column: number): void {
    if (is(0.12)) out.put('\n'.repeat(1 + below(2)));
    if (is(0.15)) {
      out.put(`${spaces(is(0.8) ? column : below(6))}${out.comment()}\n`);
      if (is(0.3)) out.put('\n');
    }
  }

  /** What stands behind a colon or a dash; the line is ended. */
  function value(given: Value, way: Way, column: number, isInList: boolean): void {
    if (!isNested(given)) {
      out.put(spaces(1 + below(3)));
      inline(given, way, null);
      endLine();
      return;
    }
    const isSmall = JSON.stringify(given).length < 120;
    if (isSmall && is(0.5)) {
      out.put(' ');
      inline(given, way, column);
      endLine();
      return;
    }
    const alias = aliasFor(given);
    if (alias !== null) {
      out.leaf(way, ` ${alias}`);
      endLine();
      return;
    }
    const anchor = anchorFor(given);
    const step = 1 + below(4);
    const isCompact = isInList && anchor === '' && is(0.7);
    if (isCompact) {
      const gap = 1 + below(3);
      out.put(spaces(gap));
      block(given, way, column + 1 + gap, true);
      return;
    }
    if (anchor !== '') out.put(` ${anchor.trimEnd()}`);
    endLine();
    const isFlush = Array.isArray(given) && !isInList && is(0.4);
    block(given, way, isFlush ? column : column + step + (isInList ? 1 : 0), false);
  }

  function endLine(): void {
    if (is(0.15)) out.put(`${spaces(1 + below(4))}${out.comment()}`);
    out.put('\n');
  }

  function block(given: Value, way: Way, column: number, isBegun: boolean): void {
    const entries: [Step, Value][] = Array.isArray(given)
      ? given.map((each, i) => [i, each])
      : Object.entries(given as object);
    entries.forEach(([name, each], i) => {
      if (!isBegun || i > 0) {
        between(column);
        out.put(spaces(column));
      }
      out.put(typeof name === 'number' ? '-' : `${key(name)}:`);
      value(each, [...way, name], column, typeof name === 'number');
    });
  }

  if (is(0.5)) out.put(`${out.comment()}\n\n`);
  block(root, [], 0, false);
  if (is(0.3)) out.put(`\n${out.comment()}\n`);
  return { text: out.lines.join('\n'), lineOf: out.lineOf };
}

/** A value as TOML written by hand: headers, dotted names, tables in a line, comments and blank lines as they come. */
export function oddToml(root: object, seed: number): OddText {
  const random = seeded(seed);
  const is = (share: number) => random() < share;
  const below = (count: number) => Math.floor(random() * count);
  const out = new Lines();

  const key = (name: string) => (/^[\w-]+$/.test(name) && is(0.9) ? name : quoted(name));
  const quoted = (text: string) => JSON.stringify(text).replaceAll('\u007f', '\\u007f');

  function scalar(value: Value): string {
    if (Array.isArray(value)) return '[]';
    if (isFields(value)) return '{}';
    if (typeof value === 'number' && Number.isInteger(value) && value >= 0 && is(0.2))
      return `0x${value.toString(16)}`;
    if (typeof value === 'string' && is(0.5) && /^[ -&(-~]*$/.test(value)) return `'${value}'`;
    return typeof value === 'string' ? quoted(value) : JSON.stringify(value);
  }

  function inline(value: Value, way: Way): void {
    if (!isNested(value)) {
      out.leaf(way, scalar(value));
      return;
    }
    if (Array.isArray(value)) {
      const isTall = is(0.3);
      out.put('[');
      value.forEach((each, i) => {
        if (isTall && is(0.2)) out.put(`\n    ${out.comment()}`);
        out.put(isTall ? '\n  ' : is(0.5) ? ' ' : '');
        inline(each, [...way, i]);
        if (i < value.length - 1 || (isTall && is(0.5))) out.put(',');
        if (isTall && is(0.2)) out.put(` ${out.comment()}`);
      });
      out.put(isTall ? '\n]' : ' ]');
      return;
    }
    out.put('{ ');
    Object.entries(value as object).forEach(([name, each], i) => {
      out.put(`${i === 0 ? '' : ', '}${key(name)}${is(0.3) ? '  = ' : ' = '}`);
      inline(each, [...way, name]);
    });
    out.put(' }');
  }

  function line(prefix: string, value: Value, way: Way): void {
    out.put(`${spaces(is(0.2) ? below(4) : 0)}${prefix} =${spaces(1 + below(2))}`);
    inline(value, way);
    if (is(0.15)) out.put(`  ${out.comment()}`);
    out.put('\n');
  }

  const isTable = (value: Value) =>
    isNested(value) && (isFields(value) || (value as Value[]).every(isFields));

  function table(fields: object, way: Way, header: string): void {
    const entries = Object.entries(fields) as [string, Value][];
    // How each is written is decided first: what has a header comes last.
    const below_ = entries.filter(
      ([, value]) => isTable(value) && !(JSON.stringify(value).length < 100 && is(0.4)),
    );
    const dotted = new Set(
      below_.filter(
        ([, value]) =>
          isFields(value) && Object.values(value).every((each) => !isTable(each)) && is(0.4),
      ),
    );
    for (const entry of entries) {
      const [name, value] = entry;
      if (below_.includes(entry) && !dotted.has(entry)) continue;
      if (is(0.15)) out.put(`${out.comment()}\n`);
      if (is(0.1)) out.put('\n');
      if (!dotted.has(entry)) line(key(name), value, [...way, name]);
      else
        for (const [inner, each] of Object.entries(value as object))
          line(`${key(name)}.${key(inner)}`, each, [...way, name, inner]);
    }
    for (const entry of below_) {
      if (dotted.has(entry)) continue;
      const [name, value] = entry;
      const path = header === '' ? key(name) : `${header}.${key(name)}`;
      if (Array.isArray(value))
        value.forEach((each, i) => {
          head(`[[${path}]]`);
          table(each as object, [...way, name, i], path);
        });
      else {
        head(`[${path}]`);
        table(value as object, [...way, name], path);
      }
    }
  }

  function head(text: string): void {
    if (is(0.7)) out.put('\n');
    if (is(0.2)) out.put(`${out.comment()}\n`);
    out.put(`${text}${is(0.15) ? ` ${out.comment()}` : ''}\n`);
  }

  if (is(0.5)) out.put(`${out.comment()}\n\n`);
  table(root, [], '');
  return { text: out.lines.join('\n'), lineOf: out.lineOf };
}
