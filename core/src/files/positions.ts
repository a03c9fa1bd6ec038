import { parseTOML, type AST } from 'toml-eslint-parser';
import { isMap, isScalar, isSeq, type Node, type Pair } from 'yaml';
import type { Format } from './format.ts';
import { yamlDocument } from './parse.ts';

/** Where in a text something stands: offsets of its first character, and behind its last. */
export interface Span {
  from: number;
  to: number;
}

/** A step on the way into a value: the name of a field, or a place in a list. */
export type PathStep = string | number;

/** One value of a text: the way to it, where it stands, and where the name of its field does. */
interface TextPosition {
  path: readonly PathStep[];
  value: Span;
  name?: Span;
}

/** The steps of a fault's path: "tiling.places[1]" gives ["tiling", "places", 1]. */
export function stepsOf(path: string): PathStep[] {
  return [...path.matchAll(/([^.[\]]+)|\[(\d+)\]/g)].map(
    ([, name, index]) => name ?? Number(index),
  );
}

/**
 * Where in a text the value stands that a path leads to, or the nearest one around it; the name of the field
 * where there is one, else the value.
 */
export function spanOf(text: string, format: Format, path: readonly PathStep[]): Span {
  let best: TextPosition = { path: [], value: { from: 0, to: 0 } };
  for (const spot of positionsIn(text, format)) {
    const leads = spot.path.every((step, i) => step === path[i]);
    if (leads && spot.path.length > best.path.length) best = spot;
  }
  return best.name ?? best.value;
}

/** The way to what stands at an offset of a text; the last step is the field whose name or value is there. */
export function pathAt(text: string, format: Format, offset: number): readonly PathStep[] {
  const isIn = ({ from, to }: Span) => from <= offset && offset <= to;
  let best: readonly PathStep[] = [];
  let isNamed = false;
  for (const { path, value, name } of positionsIn(text, format)) {
    // What stands before a name reaches up to it: the name is the nearer one.
    const isAtName = name !== undefined && isIn(name);
    if (isNamed ? !isAtName : !isAtName && (!isIn(value) || path.length < best.length)) continue;
    best = path;
    isNamed = isAtName;
  }
  return best;
}

function positionsIn(text: string, format: Format): TextPosition[] {
  const spots: TextPosition[] = [];
  if (format === 'toml') {
    addTomlPositions(text, spots);
    return spots;
  }
  // JSON is a part of YAML.
  const { contents } = yamlDocument(text);
  if (contents) addYamlPositions(contents, [], spots);
  return spots;
}

function yamlSpan(node: unknown): Span | undefined {
  const range = (node as Node | null)?.range;
  return range ? { from: range[0], to: range[1] } : undefined;
}

function addYamlPositions(node: Node, path: readonly PathStep[], spots: TextPosition[]): void {
  if (isSeq(node)) {
    node.items.forEach((item, i) => {
      const value = yamlSpan(item);
      if (value) spots.push({ path: [...path, i], value });
      addYamlPositions(item as Node, [...path, i], spots);
    });
  }
  if (!isMap(node)) return;
  for (const { key, value } of node.items as Pair[]) {
    const at = [...path, isScalar(key) ? String(key.value) : ''];
    const name = yamlSpan(key);
    const span = yamlSpan(value) ?? name;
    if (span) spots.push({ path: at, value: span, ...(name && { name }) });
    if (value) addYamlPositions(value as Node, at, spots);
  }
}

/** Adds nothing for a text that cannot be parsed. */
function addTomlPositions(text: string, spots: TextPosition[]): void {
  let program: AST.TOMLProgram;
  try {
    program = parseTOML(text);
  } catch {
    return;
  }
  for (const node of program.body[0].body) {
    if (node.type === 'TOMLKeyValue') {
      tomlPair(node, [], spots);
      continue;
    }
    const path = node.resolvedKey;
    spots.push({ path, value: tomlSpan(node), name: tomlSpan(node.key) });
    for (const pair of node.body) tomlPair(pair, path, spots);
  }
}

const tomlSpan = ({ range: [from, to] }: { range: [number, number] }): Span => ({ from, to });

function tomlPair(
  { key, value }: AST.TOMLKeyValue,
  above: readonly PathStep[],
  spots: TextPosition[],
): void {
  const path = [
    ...above,
    ...key.keys.map((part) => (part.type === 'TOMLBare' ? part.name : part.value)),
  ];
  spots.push({ path, value: tomlSpan(value), name: tomlSpan(key) });
  tomlContent(value, path, spots);
}

function tomlContent(
  value: AST.TOMLContentNode,
  path: readonly PathStep[],
  spots: TextPosition[],
): void {
  if (value.type === 'TOMLInlineTable') for (const pair of value.body) tomlPair(pair, path, spots);
  if (value.type !== 'TOMLArray') return;
  value.elements.forEach((element, i) => {
    spots.push({ path: [...path, i], value: tomlSpan(element) });
    tomlContent(element, [...path, i], spots);
  });
}
