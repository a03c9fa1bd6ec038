import type { Size } from '../geometry/rect.ts';

const MM_PER_INCH = 25.4;

/** The diagonal of a screen as it is sold: "27 inches", or "14.2 inches". */
export function inchesText({ width, height }: Size): string {
  const inches = Math.hypot(width, height) / MM_PER_INCH;
  return `${Number(inches.toFixed(1))} inches`;
}

/**
 * The size in millimetres of a screen with this diagonal and these pixels, which are taken for squares.
 * @param inches above 0
 */
export function millimetresOf(inches: number, { width, height }: Size): Size {
  const perPixel = (inches * MM_PER_INCH) / Math.hypot(width, height);
  return {
    width: Math.max(1, Math.round(width * perPixel)),
    height: Math.max(1, Math.round(height * perPixel)),
  };
}

/**
 * The size of a screen in both units: "600 × 340 mm, 27.2 inches".
 * @param millimetres of the part that shows the picture
 */
export function screenSizeText(millimetres: Size): string {
  const { width, height } = millimetres;
  return `${width} × ${height} mm, ${inchesText(millimetres)}`;
}
