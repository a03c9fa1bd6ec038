import {
  parseFile,
  readFileText,
  RefusedFile,
  refuseLarge,
  textIn,
  type FromFile,
  type OwnText,
} from '@sorn/core/files';

/** A file that a person chose, and what it says, or why it cannot be used. */
export interface ChosenFile {
  name: string;
  file: FromFile | null;
  faults: readonly string[];
  /** The text itself, with its comments; null of a table or a drawing. */
  text: OwnText | null;
}

/**
 * Reads a chosen file: a profile or sections of one, or a table of rules or keys. Never throws.
 * @param bundles of the profile that it is brought into
 */
export async function readChosenFile(
  chosen: File,
  bundles: readonly string[] = [],
): Promise<ChosenFile> {
  const { name } = chosen;
  try {
    refuseLarge(chosen.size);
    return readNamedText(name, textIn(new Uint8Array(await chosen.arrayBuffer())), bundles);
  } catch (error) {
    const why = error instanceof RefusedFile ? error.message : 'it cannot be read';
    return { name, file: null, faults: [`${name}: ${why}`], text: null };
  }
}

/** Reads a text as a file of this name, likewise. */
export function readNamedText(
  name: string,
  text: string,
  bundles: readonly string[] = [],
): ChosenFile {
  const result = readFileText(name, text, bundles);
  return result.ok
    ? { name, file: result.value, faults: [], text: ownText(name, text) }
    : { name, file: null, faults: result.lines, text: null };
}

/** The text of what has comments and an order of its own: a slip is taken for what it says. */
const ownText = (name: string, content: string): OwnText | null =>
  /\.(csv|svg)$/i.test(name) ? null : { format: parseFile(name, content).format, content };
