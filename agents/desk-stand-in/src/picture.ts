import { PNG } from 'pngjs';

const WIDEST = 320;
const BAR = 14;
type Colour = readonly [red: number, green: number, blue: number];
const PAPER: Colour = [250, 249, 245];
const INK: Colour = [122, 134, 132];

/**
 * What stands in for a picture of a window: a sheet of paper with a bar in the colour of its app and a line for each
 * word of its title, at most 320 pixels wide.
 *
 * @returns a PNG in base64
 */
export function pictureOf(
  app: string,
  title: string,
  { width, height }: { width: number; height: number },
): string {
  const scale = Math.min(1, WIDEST / width);
  const wide = Math.max(1, Math.round(width * scale));
  const high = Math.max(1, Math.min(2 * WIDEST, Math.round(height * scale)));
  const png = new PNG({ width: wide, height: high });
  const fill = (x: number, y: number, w: number, h: number, [red, green, blue]: Colour) => {
    for (let row = y; row < Math.min(high, y + h); row++)
      for (let at = x; at < Math.min(wide, x + w); at++)
        png.data.set([red, green, blue, 255], (row * wide + at) * 4);
  };
  fill(0, 0, wide, high, PAPER);
  fill(0, 0, wide, BAR, colourOf(app));
  let y = BAR + 8;
  for (const word of title.split(/\s+/)) {
    fill(8, y, word.length * 9, 5, INK);
    y += 12;
  }
  return PNG.sync.write(png).toString('base64');
}

/** Always the same for the same name, and dark enough on paper. */
function colourOf(name: string): Colour {
  let sum = 7;
  for (const letter of name) sum = (sum * 31 + letter.codePointAt(0)!) % 4093;
  return [40 + (sum % 110), 50 + (Math.floor(sum / 7) % 100), 60 + (Math.floor(sum / 53) % 90)];
}
