import { countText } from '../../values/count-text.ts';
import { shortText } from '../../commands/command.ts';
import { BASE } from '../../model/keys.ts';
import type { Profile } from '../../model/profile.ts';
import { keyName } from '../../values/codes.ts';
import { modifierOf } from '../../values/modifiers.ts';
import { keyboardOf } from '../devices.ts';
import { keyMap } from '../map.ts';
import { byTask, chartRows } from './rows.ts';
import { html } from '../../values/markup.ts';

/** The colours of a chart: of the ground, of what stands on it, and of what is said less loudly. */
interface ChartColours {
  ground: string;
  sheet: string;
  ink: string;
  slate: string;
  hairline: string;
  petrol: string;
}

/** By day and by night; text on the sheet keeps a contrast of 4.5 to 1 and more in both. */
export const CHART_COLOURS = {
  day: {
    ground: '#F5F3EB',
    sheet: '#FBFAF6',
    ink: '#1A2525',
    slate: '#5A6664',
    hairline: '#D9D4C6',
    petrol: '#0B6E6E',
  },
  night: {
    ground: '#0F1A1A',
    sheet: '#152323',
    ink: '#E9EAE3',
    slate: '#98A6A3',
    hairline: '#2B3D3D',
    petrol: '#4FC1B5',
  },
} as const;
export type ChartMode = keyof typeof CHART_COLOURS;

export interface ChartSize {
  /** Physical pixels. */
  width: number;
  height: number;
}

const SANS = "'Archivo Variable', system-ui, sans-serif";
const MONO = "'Martian Mono Variable', ui-monospace, monospace";
/** A mono letter is so much of its size wide; text is cut where it would not fit. */
const MONO_WIDTH = 0.67;
const SANS_WIDTH = 0.52;
/** Sizes at a scale of 1. */
const LINE = 16;
const TEXT = 11;
const TITLE = 12;
const MARGIN = 28;
const COLUMN = 250;
const BETWEEN = 22;
const HEAD = 46;
const KEY = 58;

interface Line {
  title?: string;
  pressed?: string;
  command?: string;
}

/**
 * A key chart of one page: the board of the base layer under the main modifier, and every binding grouped by
 * task, in as many columns as the size has room for. The whole is scaled to fill the size: a smaller one has
 * smaller letters, not fewer keys.
 *
 * @param fonts CSS to take fonts from, so that a picture of it has them
 */
export function chartSvg(
  profile: Profile,
  { width, height }: ChartSize,
  mode: ChartMode,
  fonts = '',
): string {
  const colours = CHART_COLOURS[mode];
  const lines = linesOf(profile);
  const { scale, columns, perColumn } = fitted(lines.length, { width, height }, profile);
  const [w, h] = [width / scale, height / scale];
  const board = boardDrawing(profile, colours, w, HEAD);
  const top = HEAD + board.height + 20;
  const left = (w - columns * COLUMN - (columns - 1) * BETWEEN) / 2;
  const texts = lines.map((line, i) => {
    const x = left + Math.floor(i / perColumn) * (COLUMN + BETWEEN);
    const y = top + (i % perColumn) * LINE;
    return lineDrawing(line, x, y, colours);
  });
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${round(w)} ${round(h)}" role="img" aria-label="${html(`Keys of ${profile.name}`)}">`,
    `<style>${fonts}${styleOf(colours)}</style>`,
    `<rect width="${round(w)}" height="${round(h)}" fill="${colours.ground}"/>`,
    `<rect x="12" y="12" width="${round(w - 24)}" height="${round(h - 24)}" rx="2" fill="${colours.sheet}" stroke="${colours.hairline}"/>`,
    `<text x="${MARGIN}" y="36" font-size="15" font-weight="650">${html(profile.name)}</text>`,
    `<text x="${round(w - MARGIN)}" y="36" font-size="12" text-anchor="end" style="fill:${colours.slate}">Keys · main modifier ${profile.keys.main} · ${countText(keyMap(profile).length, 'binding')}</text>`,
    board.svg,
    ...texts,
    '</svg>',
  ].join('\n');
}

function styleOf({ ink }: ChartColours): string {
  return `text{font-family:${SANS};fill:${ink}}.m{font-family:${MONO};font-stretch:88%}`;
}

/** The board alone, each key with what it does with the main modifier; as wide as it is put. */
export function keyboardSvg(profile: Profile, mode: ChartMode): string {
  const colours = CHART_COLOURS[mode];
  const width = keyboardOf(profile).width * KEY + 2 * MARGIN;
  const board = boardDrawing(profile, colours, width, 0);
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${round(width)} ${round(board.height)}" role="img" aria-label="${html(`Keys with ${profile.keys.main}`)}">`,
    `<style>${styleOf(colours)}</style>`,
    board.svg,
    '</svg>',
  ].join('\n');
}

const round = (length: number) => Math.round(length * 100) / 100;

function linesOf(profile: Profile): Line[] {
  return byTask(chartRows(profile)).flatMap(({ title, rows }, i) => [
    ...(i > 0 ? [{}] : []),
    { title },
    ...rows.map(({ pressed, command, layer, app }): Line => {
      const where = [layer === BASE ? '' : layer, app].filter(Boolean).join(', ');
      return { pressed, command: where ? `${command} (${where})` : command };
    }),
  ]);
}

/** The largest scale at which all lines have room under the board. */
function fitted(count: number, { width, height }: ChartSize, profile: Profile) {
  for (let scale = 4; ; scale *= 0.97) {
    const w = width / scale;
    const room = height / scale - HEAD - boardHeight(profile, w) - 20 - MARGIN;
    const columns = Math.max(1, Math.floor((w - 2 * MARGIN + BETWEEN) / (COLUMN + BETWEEN)));
    const perColumn = Math.floor(room / LINE);
    if (perColumn > 0 && columns * perColumn >= count) {
      const used = Math.ceil(count / perColumn);
      return { scale, columns: used, perColumn: Math.ceil(count / used) };
    }
  }
}

function lineDrawing(line: Line, x: number, y: number, { slate, petrol }: ChartColours): string {
  if (line.title !== undefined) {
    return `<text x="${round(x)}" y="${round(y)}" font-size="${TITLE}" font-weight="650" style="fill:${petrol}">${html(line.title)}</text>`;
  }
  if (line.pressed === undefined) return '';
  const keysWide = COLUMN * 0.46;
  return [
    fittedText(line.pressed, { x, y, size: TEXT - 1, room: keysWide - 6, isMono: true }),
    fittedText(line.command ?? '', {
      x: x + keysWide,
      y,
      size: TEXT,
      room: COLUMN - keysWide,
      fill: slate,
    }),
  ].join('');
}

/** Letters are drawn narrower down to this part of their width; what is longer still is cut. */
const NARROWEST = 0.6;

/** A text within a width: as it is, narrower, or cut. Keys are never cut where they have any room. */
function fittedText(
  text: string,
  at: { x: number; y: number; size: number; room: number; isMono?: boolean; fill?: string },
): string {
  const letter = at.size * (at.isMono ? MONO_WIDTH : SANS_WIDTH);
  const most = Math.floor(at.room / (letter * NARROWEST));
  const shown = text.length <= most ? text : `${text.slice(0, Math.max(1, most - 1))}…`;
  const isLong = shown.length * letter > at.room;
  return [
    `<text${at.isMono ? ' class="m"' : ''} x="${round(at.x)}" y="${round(at.y)}" font-size="${round(at.size)}"`,
    at.isMono ? ' font-weight="500"' : '',
    isLong ? ` textLength="${round(at.room)}" lengthAdjust="spacingAndGlyphs"` : '',
    at.fill ? ` style="fill:${at.fill}"` : '',
    `>${html(shown)}</text>`,
  ].join('');
}

function boardScale(profile: Profile, width: number): number {
  return Math.min(KEY, (width - 2 * MARGIN) / keyboardOf(profile).width);
}

function boardHeight(profile: Profile, width: number): number {
  return keyboardOf(profile).height * boardScale(profile, width);
}

/** The board, each key with what it does with the main modifier. */
function boardDrawing(profile: Profile, colours: ChartColours, width: number, top: number) {
  const board = keyboardOf(profile);
  const unit = boardScale(profile, width);
  const left = (width - board.width * unit) / 2;
  const { main, legends } = profile.keys;
  const does = new Map<string, string>();
  for (const { trigger, layer, command, app } of keyMap(profile)) {
    const [step] = trigger.steps;
    const isPlain = step!.modifiers.length === 1 && step!.modifiers[0] === main;
    const code = step!.code;
    if (layer !== BASE || app !== null || !isPlain || code === undefined || !command) continue;
    const begins = trigger.steps.length > 1;
    if (!does.has(code)) does.set(code, begins ? '…' : shortText(command));
  }
  const small = Math.max(6, unit * 0.17);
  const keys = board.keys.map(({ code, x, y, width: w, height: h }) => {
    const [kx, ky] = [left + x * unit + 1.5, top + y * unit + 1.5];
    const isMain = modifierOf(code) === main;
    const text = does.get(code);
    const most = ((w * unit - 8) / (small * SANS_WIDTH)) | 0;
    const words = text === undefined ? [] : wrapped(text, most).slice(0, 2);
    return [
      `<rect x="${round(kx)}" y="${round(ky)}" width="${round(w * unit - 3)}" height="${round(h * unit - 3)}" rx="2" fill="${isMain ? colours.petrol : colours.ground}" stroke="${text === undefined ? colours.hairline : colours.ink}"/>`,
      `<text class="m" x="${round(kx + 4)}" y="${round(ky + small + 4)}" font-size="${round(small)}" font-weight="600" style="fill:${isMain ? colours.sheet : text === undefined ? colours.slate : colours.ink}">${html(keyName(code, legends))}</text>`,
      ...words.map((word, i) =>
        fittedText(word, {
          x: kx + 4,
          y: ky + unit - 8 - (words.length - 1 - i) * small * 1.1,
          size: small,
          room: w * unit - 10,
        }),
      ),
    ].join('');
  });
  return { svg: `<g>${keys.join('\n')}</g>`, height: board.height * unit };
}

/** Words in lines of at most so many letters. */
function wrapped(text: string, most: number): string[] {
  const lines: string[] = [];
  for (const word of text.split(' ')) {
    const last = lines.at(-1);
    if (last !== undefined && last.length + 1 + word.length <= most)
      lines[lines.length - 1] += ` ${word}`;
    else lines.push(word);
  }
  return lines;
}
