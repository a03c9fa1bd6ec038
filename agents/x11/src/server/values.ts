import type { Property } from 'x11';

/** The 32-bit numbers of a property. */
export function numbersOf(property: Property | null): number[] {
  if (!property || property.format !== 32) return [];
  const { data } = property;
  return Array.from({ length: Math.floor(data.length / 4) }, (_, i) => data.readUInt32LE(i * 4));
}

/** The texts of a property, which are parted by zeros. @param utf8 the atom of UTF8_STRING; others are Latin-1 */
export function textsOf(property: Property | null, utf8: number): string[] {
  if (!property || property.format !== 8) return [];
  const text = property.data.toString(property.type === utf8 ? 'utf8' : 'latin1');
  return text.replace(/\0$/, '').split('\0');
}
