import { XMLParser } from 'fast-xml-parser';
import { html } from '../values/markup.ts';
import { slipValue, type Slip } from './slip.ts';

/** By this id the metadata of a drawing is known to be a slip. */
const ID = 'sorn';

/** A slip as the metadata of an SVG: JSON in plain letters, which every program that writes SVG leaves as it is. */
export function slipMetadata(slip: Slip): string {
  const json = JSON.stringify(slipValue(slip)).replace(
    /[^ -~]/g,
    (letter) => `\\u${letter.charCodeAt(0).toString(16).padStart(4, '0')}`,
  );
  return `<metadata id="${ID}">${html(json)}</metadata>`;
}

const PARSER = new XMLParser({
  ignoreAttributes: false,
  attributeNamePrefix: '@',
  textNodeName: '#',
  parseTagValue: false,
  removeNSPrefix: true,
});

/** The text of the slip that a drawing carries; null where it carries none, or is no SVG. */
export function slipOfSvg(svg: string): string | null {
  try {
    return found(PARSER.parse(svg));
  } catch {
    return null;
  }
}

function found(node: unknown): string | null {
  if (Array.isArray(node)) return first(node);
  if (typeof node !== 'object' || node === null) return null;
  const { metadata, ...others } = node as Record<string, unknown>;
  for (const each of [metadata].flat()) {
    const { '@id': id, '#': text } = (each ?? {}) as Record<string, unknown>;
    if (id === ID && typeof text === 'string') return text;
  }
  return first(Object.values(others));
}

function first(nodes: readonly unknown[]): string | null {
  for (const node of nodes) {
    const text = found(node);
    if (text !== null) return text;
  }
  return null;
}
