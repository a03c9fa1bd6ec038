import { PNG } from 'pngjs';

/** So wide pictures are at most: one fits a line of the link. */
const WIDEST = 320;
const TALLEST = 640;

/**
 * A picture of pixels as the server has them (32 bits each, blue first), scaled down by taking the middle of each part.
 *
 * @returns a PNG in base64
 */
export function pictureOf(
  pixels: Buffer,
  { width, height }: { width: number; height: number },
  widest = WIDEST,
): string {
  const scale = Math.min(1, widest / width, (TALLEST * widest) / WIDEST / height);
  const wide = Math.max(1, Math.round(width * scale));
  const high = Math.max(1, Math.round(height * scale));
  const png = new PNG({ width: wide, height: high });
  for (let row = 0; row < high; row++) {
    const from = Math.min(height - 1, Math.floor((row + 0.5) / scale)) * width;
    for (let column = 0; column < wide; column++) {
      const at = (from + Math.min(width - 1, Math.floor((column + 0.5) / scale))) * 4;
      const to = (row * wide + column) * 4;
      png.data[to] = pixels[at + 2]!;
      png.data[to + 1] = pixels[at + 1]!;
      png.data[to + 2] = pixels[at]!;
      png.data[to + 3] = 255;
    }
  }
  return PNG.sync.write(png).toString('base64');
}
