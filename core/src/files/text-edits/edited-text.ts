import { isSame } from '../differences.ts';
import type { Format } from '../format.ts';
import { parseText, unresolvedAlias } from '../parse.ts';
import { withSplices, type Splice } from './splices.ts';
import { changesFor, type Changes, type TextNode } from './text-tree.ts';
import { tomlTree } from './toml-tree.ts';
import { aliasesWrittenOut, yamlTree } from './yaml-tree.ts';

/** Far more rounds than any profile takes: each goes one step deeper where entries came or went. */
const MOST_ROUNDS = 60;

/**
 * A text in which only what differs from the wanted value is written otherwise: comments, blank lines, the order of
 * fields and the way in which the rest is written stay.
 *
 * @returns null where the text has no form for a change that leaves the rest as it is
 */
export function editedText(content: string, format: Format, wanted: unknown): string | null {
  const mark = content.startsWith('\uFEFF') ? '\uFEFF' : '';
  const isWindows = content.includes('\r\n');
  const plain = content.slice(mark.length).replaceAll('\r\n', '\n');
  const edited = editedPlain(plain, format, wanted);
  if (edited === null) return null;
  return mark + (isWindows ? edited.replaceAll('\n', '\r\n') : edited);
}

function editedPlain(content: string, format: Format, wanted: unknown): string | null {
  let text = content;
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const now = parseText(text, format);
    if (!now.ok) return null;
    if (isSame(now.value, wanted)) return text;
    const tree = treeOf(text, format);
    const changes: Changes = { own: [], aliases: [] };
    if (!tree || !changesFor(tree, now.value, wanted, changes)) return null;
    const next = afterSplices(text, format, changes.own.length > 0 ? changes.own : changes.aliases);
    if (next === null || next === text) return null;
    text = next;
  }
  return null;
}

const treeOf = (text: string, format: Format): TextNode | null =>
  format === 'toml' ? tomlTree(text) : yamlTree(text, format);

/** The text with pieces replaced. Where what an alias calls would go, the alias is written out first. */
function afterSplices(text: string, format: Format, splices: readonly Splice[]): string | null {
  const next = withSplices(text, splices);
  if (next === null || format !== 'yaml' || !text.includes('&')) return next;
  const name = unresolvedAlias(next);
  return name === null ? next : withSplices(text, aliasesWrittenOut(text, name));
}
