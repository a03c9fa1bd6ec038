import { answer, type Connection } from '../server/connection.ts';

const FIRST = 32;
const LAST = 126;
const Z_PIXMAP = 2;
const ALL_PLANES = 0xffffffff;

/** Letters in any size: those of the font that every X server has, each of their dots as large as is asked for. */
export class BigText {
  private readonly connection: Connection;
  /** Of each letter its runs of dots: row, column, length. */
  private readonly letters: readonly (readonly (readonly [number, number, number])[])[];
  /** The width of a letter and the height of a line, in dots. */
  readonly width: number;
  readonly height: number;

  private constructor(
    connection: Connection,
    letters: BigText['letters'],
    width: number,
    height: number,
  ) {
    this.connection = connection;
    this.letters = letters;
    this.width = width;
    this.height = height;
  }

  static async of(connection: Connection): Promise<BigText> {
    const { x, root } = connection;
    const font = x.AllocID();
    x.OpenFont(font, 'fixed');
    const { maxBounds, fontAscent, fontDescent } = await answer<{
      maxBounds: { characterWidth: number };
      fontAscent: number;
      fontDescent: number;
    }>((done) => x.QueryFont(font, done));
    const width = maxBounds.characterWidth;
    const height = fontAscent + fontDescent;
    const count = LAST - FIRST + 1;
    const [pixmap, gc] = [x.AllocID(), x.AllocID()];
    const { root_depth: depth } = x.display.screen[0]!;
    x.CreatePixmap(pixmap, root, depth, width * count, height);
    x.CreateGC(gc, pixmap, { foreground: 0, background: 0, font });
    x.PolyFillRectangle(pixmap, gc, [0, 0, width * count, height]);
    x.ChangeGC(gc, { foreground: 0xffffff });
    for (let i = 0; i < count; i++)
      x.PolyText8(pixmap, gc, i * width, fontAscent, [String.fromCodePoint(FIRST + i)]);
    const { data } = await answer<{ data: Buffer }>((done) =>
      x.GetImage(Z_PIXMAP, pixmap, 0, 0, width * count, height, ALL_PLANES, done),
    );
    x.FreePixmap(pixmap);
    x.FreeGC(gc);
    const isDot = (column: number, row: number) =>
      data[(row * width * count + column) * 4 + 1]! > 127;
    const letters = Array.from({ length: count }, (_, i) => {
      const runs: [number, number, number][] = [];
      for (let row = 0; row < height; row++) {
        let from = -1;
        for (let column = 0; column <= width; column++) {
          const is = column < width && isDot(i * width + column, row);
          if (is && from < 0) from = column;
          if (is || from < 0) continue;
          runs.push([row, from, column - from]);
          from = -1;
        }
      }
      return runs;
    });
    return new BigText(connection, letters, width, height);
  }

  /** How wide a text is, in pixels. @param dot the size of a dot, in pixels */
  lengthOf(text: string, dot: number): number {
    return plain(text).length * this.width * dot;
  }

  /** Draws a line of text, its upper left corner given. Letters that the font has not are drawn as near ones, or as a dot. */
  draw(drawable: number, gc: number, x: number, y: number, text: string, dot: number): void {
    const rectangles: number[] = [];
    [...plain(text)].forEach((letter, i) => {
      const runs = this.letters[letter.codePointAt(0)! - FIRST] ?? [];
      for (const [row, column, length] of runs)
        rectangles.push(x + (i * this.width + column) * dot, y + row * dot, length * dot, dot);
    });
    if (rectangles.length > 0) this.connection.x.PolyFillRectangle(drawable, gc, rectangles);
  }
}

/** The same in letters without marks. */
function plain(text: string): string {
  return text
    .replaceAll(' · ', ' - ')
    .normalize('NFD')
    .replace(/[\u0300-\u036f]/g, '')
    .replace(/[^\x20-\x7e]/g, '.');
}
