/**
 * A number for each of some things to choose from, all with as many digits as the last one needs: so the last digit typed
 * always decides, and 1 is never taken for the beginning of 12.
 */
export function numberLabels(count: number): string[] {
  const digits = String(count).length;
  return Array.from({ length: count }, (_, i) => String(i + 1).padStart(digits, '0'));
}

/** The letter of a column or a board, counted from 0: a, b, c … */
export function letterOf(index: number): string {
  return String.fromCharCode('a'.charCodeAt(0) + index);
}
