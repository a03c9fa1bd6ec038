import { commandsDocument } from '../commands/commands-document.ts';
import { startersDocument } from '../keys/starters/document.ts';
import { fieldsDocument, layoutsDocument } from './fields-document.ts';

/** The parts of files in docs/ that are made of the program: by file, and by what stands in their marks. */
export const DOCUMENT_PARTS: Readonly<Record<string, Readonly<Record<string, () => string>>>> = {
  'file-format.md': {
    fields: fieldsDocument,
    layouts: layoutsDocument,
    commands: commandsDocument,
  },
  'keys.md': { starters: startersDocument },
};

/**
 * A document with its made parts as they are now. A part stands between "<!-- NAME, made by npm run docs -->" and
 * "<!-- end of NAME -->".
 *
 * @throws Error where a mark is missing
 */
export function withMadeParts(
  document: string,
  parts: Readonly<Record<string, () => string>>,
): string {
  return Object.entries(parts).reduce((text, [name, make]) => {
    const [begin, end] = [`<!-- ${name}, made by npm run docs -->`, `<!-- end of ${name} -->`];
    const [from, to] = [text.indexOf(begin), text.indexOf(end)];
    if (from < 0 || to < from)
      throw new Error(`no place for the ${name}: expected ${begin} and ${end}`);
    return `${text.slice(0, from + begin.length)}\n\n${make()}\n\n${text.slice(to)}`;
  }, document);
}
