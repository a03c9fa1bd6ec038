/** Two capitals for a balloon: of the first two words of a name, else its first letters. */
export function balloonOf(name: string): string {
  const words = name.split(/[^\p{L}\p{N}]+/u).filter(Boolean);
  const letters =
    words.length > 1 ? words.slice(0, 2).map((word) => [...word][0]!) : [...(words[0] ?? '?')];
  return letters.slice(0, 2).join('').toUpperCase();
}

/** An id from a text; null where nothing of it can be one. */
export function idFrom(text: string): string | null {
  const id = text
    .trim()
    .replace(/[\s/]+/g, '-')
    .slice(0, 80);
  return /[\p{L}\p{N}]/u.test(id) ? id : null;
}

/** A hue for the outline of an app's balloon: the same app always has the same. */
export function hueOf(id: string): number {
  let sum = 0;
  for (const letter of id) sum = (sum * 31 + letter.codePointAt(0)!) % 360;
  return sum;
}
