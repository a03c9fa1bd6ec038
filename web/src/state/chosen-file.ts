import { readFileText, RefusedFile, refuseLarge, textIn, type FromFile } from '@sorn/core/files';

/** A file that a person chose, and what it says, or why it cannot be used. */
export interface ChosenFile {
  name: string;
  file: FromFile | null;
  faults: readonly string[];
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
    const text = textIn(new Uint8Array(await chosen.arrayBuffer()));
    const result = readFileText(name, text, bundles);
    return result.ok
      ? { name, file: result.value, faults: [] }
      : { name, file: null, faults: result.lines };
  } catch (error) {
    const why = error instanceof RefusedFile ? error.message : 'it cannot be read';
    return { name, file: null, faults: [`${name}: ${why}`] };
  }
}
