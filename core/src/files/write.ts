import { stringify as tomlOf } from 'smol-toml';
import { Document, isCollection, isMap, isScalar, visit, type Node } from 'yaml';
import type { Format } from './format.ts';

/** A small object, such as a size or a condition, stands on one line of YAML up to so many letters. */
const ONE_LINE = 76;

/** A value of a file as text in a format, with a newline at its end. Read again it is the same value. */
export function writeText(value: object, format: Format): string {
  if (format === 'json') return `${JSON.stringify(value, null, 2)}\n`;
  if (format === 'toml') return `${tomlOf(value)}\n`;
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
  return document.toString({ lineWidth: 0, flowCollectionPadding: true });
}

/** Nothing in it that holds more than plain values, and short. */
function isSmall(node: Node): boolean {
  if (!isMap(node)) return false;
  const isPlain = node.items.every(({ value }) => !isCollection(value) || isRow(value));
  return isPlain && lengthOf(node) <= ONE_LINE;
}

const isRow = (node: { items: unknown[] }) =>
  node.items.every((item) => isScalar(item) || isScalar((item as { value?: unknown }).value));

const lengthOf = (node: Node) => JSON.stringify(node).length;
