const FACES = {
  title: "600 13px 'Archivo Variable'",
  label: "400 12px 'Archivo Variable'",
  figure: "500 11px 'Martian Mono Variable'",
} as const;
export type Face = keyof typeof FACES;

let context: CanvasRenderingContext2D | null = null;
const widths = new Map<string, number>();

/** Width of a text on screen. Figures are drawn at 88 % of the face's width. */
export function textWidth(text: string, face: Face): number {
  const key = `${face}:${text}`;
  let width = widths.get(key);
  if (width === undefined) {
    context ??= document.createElement('canvas').getContext('2d');
    if (!context) return text.length * 8;
    context.font = FACES[face];
    width = context.measureText(text).width;
    if (widths.size > 5000) widths.clear();
    widths.set(key, width);
  }
  return width;
}

/** Waits until the faces are there, so that nothing is measured in others; goes on without them if they fail. */
export async function facesLoaded(): Promise<void> {
  await Promise.allSettled(Object.values(FACES).map((face) => document.fonts.load(face)));
}

/** The text, or its beginning and an ellipsis, within a width; empty when not even two letters fit. */
export function shortened(text: string, face: Face, room: number): string {
  if (textWidth(text, face) <= room) return text;
  for (let length = text.length - 1; length >= 2; length--) {
    const short = `${text.slice(0, length).trimEnd()}…`;
    if (textWidth(short, face) <= room) return short;
  }
  return '';
}

/** A text in as many lines as it takes at a width, broken between words; null when a word is too long. */
export function wrapped(text: string, face: Face, room: number): string[] | null {
  const lines: string[] = [];
  for (const word of text.split(' ')) {
    const longer = lines.length > 0 ? `${lines.at(-1)} ${word}` : word;
    if (lines.length > 0 && textWidth(longer, face) <= room) lines[lines.length - 1] = longer;
    else if (textWidth(word, face) <= room) lines.push(word);
    else return null;
  }
  return lines;
}
