/** Under this ratio what is no text is hard to tell from what it stands on (WCAG 2.2, criterion 1.4.11). */
export const LEAST_CONTRAST = 3;

/** The relative luminance of a colour, from 0 to 1 (WCAG 2.2; the weights are those of sRGB). */
function luminance(colour: string): number {
  const linear = [1, 3, 5].map((at) => {
    const share = Number.parseInt(colour.slice(at, at + 2), 16) / 255;
    return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
  });
  return 0.2126 * linear[0]! + 0.7152 * linear[1]! + 0.0722 * linear[2]!;
}

/**
 * How far two colours are apart in lightness, from 1 to 21 (WCAG 2.2, contrast ratio).
 *
 * @param one as #rrggbb
 * @param other as #rrggbb
 */
export function contrast(one: string, other: string): number {
  const [lighter, darker] = [luminance(one), luminance(other)].sort((a, b) => b - a);
  return (lighter! + 0.05) / (darker! + 0.05);
}
