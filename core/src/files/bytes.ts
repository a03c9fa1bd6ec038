/** A file may have this many bytes at most. */
export const MOST_BYTES = 16 * 1024 * 1024;

/** Why a file is refused: what is wrong with it, and what was expected. */
export class RefusedFile extends Error {}

/**
 * The text in the bytes of a file: UTF-8, with or without its mark at the front.
 * @throws RefusedFile for a file that is too large or in another encoding
 */
export function textIn(bytes: Uint8Array): string {
  refuseLarge(bytes.length);
  const [first, second] = bytes;
  const isWide = (first === 0xff && second === 0xfe) || (first === 0xfe && second === 0xff);
  if (isWide) throw new RefusedFile('text in UTF-16; expected text in UTF-8');
  if (bytes.includes(0)) throw new RefusedFile('no text; expected text in UTF-8');
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    throw new RefusedFile('not UTF-8 text; expected JSON, YAML or TOML in UTF-8');
  }
}

/** @throws RefusedFile where a file has more bytes than any profile needs */
export function refuseLarge(bytes: number): void {
  if (bytes <= MOST_BYTES) return;
  throw new RefusedFile('larger than 16 MiB; expected a smaller file');
}
