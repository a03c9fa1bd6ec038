import { stringify as tomlOf } from 'smol-toml';
import { Document, isCollection, isMap, isScalar, visit, type Node } from 'yaml';
import { pathText } from '../values/faults.ts';
import type { Format } from './format.ts';

/** A small object, such as a size or a condition, stands on one line of YAML up to so many letters. */
const ONE_LINE = 76;

/**
 * A value of a file as text in a format, with a newline at its end. Read again it is the same value.
 * @throws RangeError for a text that the format cannot hold; see `whyNot`
 */
export function writeText(value: object, format: Format): string {
  const because = whyNot(value, format);
  if (because !== null) throw new RangeError(because);
  if (format === 'json') return `${JSON.stringify(value, null, 2)}\n`;
  if (format === 'toml') return `${tomlOf(value)}\n`;
  return styledYaml(value).toString({ lineWidth: 0, flowCollectionPadding: true });
}

/** A value as YAML in which what is small stands on one line. */
export function styledYaml(value: object): Document {
  const document = new Document(value, { aliasDuplicateObjects: false });
  visit(document, {
    // Innermost first is not to be had: each asks what is in it.
    Map: (_key, node, path) => {
      const isWhole = path.length <= 1;
      if (!isWhole && isSmall(node)) node.flow = true;
    },
    Seq: (_key, node) => {
      if (node.items.every(isScalar) && lengthOf(node) <= ONE_LINE) node.flow = true;
    },
  });
  return document;
}

/** Why a format cannot hold a value; null where it can. TOML's texts are whole characters (TOML 1.0, String). */
export function whyNot(value: object, format: Format): string | null {
  const path = format === 'toml' ? halfCharacter(value, []) : null;
  if (path === null) return null;
  return `${pathText(path)}: half a character (a lone surrogate), which TOML cannot hold; expected YAML or JSON`;
}

/** The path to the first text that is no whole characters. */
function halfCharacter(
  value: unknown,
  path: readonly PropertyKey[],
): readonly PropertyKey[] | null {
  if (typeof value === 'string') return HALF.test(value) ? path : null;
  if (typeof value !== 'object' || value === null) return null;
  const isList = Array.isArray(value);
  for (const [name, part] of Object.entries(value)) {
    if (!isList && HALF.test(name)) return [...path, name];
    const found = halfCharacter(part, [...path, isList ? Number(name) : name]);
    if (found) return found;
  }
  return null;
}

const HALF = /\p{Surrogate}/u;

/** Nothing in it that holds more than plain values, and short. */
function isSmall(node: Node): boolean {
  if (!isMap(node)) return false;
  const isPlain = node.items.every(({ value }) => !isCollection(value) || isRow(value));
  return isPlain && lengthOf(node) <= ONE_LINE;
}

const isRow = (node: { items: unknown[] }) =>
  node.items.every((item) => isScalar(item) || isScalar((item as { value?: unknown }).value));

const lengthOf = (node: Node) => JSON.stringify(node).length;
