/**
 * Rounds to a whole pixel, halves upwards. The 1e−6 makes two orders of the same arithmetic agree:
 * a value that should be exactly a half but came out a hair below it still rounds up.
 */
export function round(value: number): number {
  return Math.floor(value + 0.5 + 1e-6);
}

/** Logical pixels to whole physical pixels on a monitor of the given scale. */
export function toPixels(logical: number, scale: number): number {
  return round(logical * scale);
}
