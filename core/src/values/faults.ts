import type { z } from 'zod';

/** What is wrong with a piece of input. */
export interface Fault {
  /** Where: `tiling.places[1].layout.leadShare`; empty for the whole input. */
  path: string;
  /** What is there, as JSON, shortened; "nothing" when it is missing. */
  found: string;
  /** What was expected. */
  expected: string;
}

export type Read<T> = { ok: true; value: T } | { ok: false; faults: Fault[] };

/** `tiling.places[1].gaps` for ["tiling", "places", 1, "gaps"]. */
export function pathText(path: readonly PropertyKey[]): string {
  return path.reduce<string>((text, part) => {
    if (typeof part === 'number') return `${text}[${part}]`;
    return text === '' ? String(part) : `${text}.${String(part)}`;
  }, '');
}

export function faultText(fault: Fault): string {
  return `${fault.path || 'the whole input'}: ${fault.found}; expected ${fault.expected}`;
}

/** The deepest nesting of a file. Functions that read values call themselves once for each level. */
const MOST_LEVELS = 64;
/** The most values in a file. A session of 10,000 windows has a third of them; checking more would take seconds. */
const MOST_VALUES = 500_000;
/** The most faults in one answer: a person mends the first ones first. */
const MOST_FAULTS = 100;

function isDeeper(value: unknown, levels: number): boolean {
  if (typeof value !== 'object' || value === null) return false;
  return levels === 0 || Object.values(value).some((part) => isDeeper(part, levels - 1));
}

/** How many values there are in a value that is not too deep; counting ends beyond the most. */
function countOf(value: unknown, soFar = 0): number {
  let count = soFar + 1;
  if (typeof value !== 'object' || value === null) return count;
  for (const part of Object.values(value)) {
    if (count > MOST_VALUES) break;
    count = countOf(part, count);
  }
  return count;
}

/** Reads unknown input by a schema: the value with its defaults, or the faults in it, the first hundred of them. */
export function read<T extends z.ZodType>(schema: T, input: unknown): Read<z.output<T>> {
  if (isDeeper(input, MOST_LEVELS)) {
    const expected = `a file nested at most ${MOST_LEVELS} levels deep`;
    return { ok: false, faults: [{ path: '', found: 'more levels than that', expected }] };
  }
  if (countOf(input) > MOST_VALUES) {
    const expected = `a file of at most ${MOST_VALUES} values`;
    return { ok: false, faults: [{ path: '', found: 'more values than that', expected }] };
  }
  const result = schema.safeParse(input);
  if (result.success) return { ok: true, value: result.data };
  const faults = new Map<string, Fault>();
  for (const fault of result.error.issues.flatMap((issue) => faultsOf(issue, input))) {
    // A value that is wrong is told of once: an empty text of no list is no list that is too short besides.
    if (!faults.has(fault.path)) faults.set(fault.path, fault);
    if (faults.size === MOST_FAULTS) break;
  }
  return { ok: false, faults: [...faults.values()] };
}

function faultsOf(issue: z.core.$ZodIssue, input: unknown): Fault[] {
  const paths =
    issue.code === 'unrecognized_keys'
      ? issue.keys.map((key) => [...issue.path, key])
      : [issue.path];
  return paths.map((path) => {
    const found = valueAt(input, path);
    const expected =
      found === null ? `${issue.message}; or leave it out: null says nothing` : issue.message;
    return { path: pathText(path), found: shortJson(found), expected };
  });
}

function valueAt(input: unknown, path: readonly PropertyKey[]): unknown {
  return path.reduce<unknown>(
    (value, part) =>
      typeof value === 'object' && value !== null
        ? (value as Record<PropertyKey, unknown>)[part]
        : undefined,
    input,
  );
}

/** A value as JSON, shortened; "nothing" when it is missing. */
export function shortJson(value: unknown): string {
  if (value === undefined) return 'nothing';
  const text =
    typeof value === 'number' && !Number.isFinite(value) ? String(value) : JSON.stringify(value);
  return text.length > 60 ? `${text.slice(0, 57)}…` : text;
}
