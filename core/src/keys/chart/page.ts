import type { KeyCommand } from '../../commands/registry.ts';
import { commandText } from '../../commands/command.ts';
import { sentenceOf } from '../../commands/sentences.ts';
import { BASE } from '../../model/keys.ts';
import type { Profile } from '../../model/profile.ts';
import type { Use } from '../../model/uses.ts';
import { triggerCaps, triggerOf } from '../../values/trigger.ts';
import { FIXED_KEYS, FIXED_LAYERS, type FixedLayer } from '../fixed-layers.ts';
import { keyboardSvg } from './drawing.ts';
import {
  BINDING_SPACE,
  COLUMN_GAP,
  columnFit,
  KEYS_WIDTH,
  LINE,
  PAPER_MARGIN,
  roomOf,
  TITLE_HEIGHT,
  WORDS_GAP,
  type ChartPaper,
  type ColumnLine,
} from './paper.ts';
import type { KeyBinding } from '../map.ts';
import { byTask, chartRows, type ChartRow } from './rows.ts';
import { html } from '../../values/markup.ts';

/** What a printed chart has. */
export interface PrintedChart extends ChartPaper {
  /** The layer whose bindings it has; every one where left out. */
  layer?: string;
  /** Only what is used most: as many bindings, by how often the keys of each did something. */
  usedMost?: { most: number; uses: readonly Use[] };
}

interface PageLine {
  caps: readonly (readonly string[])[];
  words: string;
}
interface PageGroup {
  title: string;
  lines: readonly PageLine[];
}

/** How a command is told: in a sentence, or shorter by its own words. */
type Wording = (command: KeyCommand) => string;
const inShort: Wording = (command) =>
  commandText(command).replace(/^[a-z]+(-[a-z]+)+/, (id) => id.replace(/-/g, ' '));
/** Letters smaller than this, in points, are not worth a sentence. */
const READABLE = 6;

/** What a binding does. */
function wordsOf({ command, release }: KeyBinding, wording: Wording): string {
  const first = command ? wording(command) : '';
  if (!release) return first;
  const last = `on release ${wording(release)}`;
  return command ? `${first}, ${last}` : last;
}

/** On one sheet of paper: the board, and bindings by task beneath it, as large as they have room. It needs nothing but itself. */
export function chartHtml(
  profile: Profile,
  chart: PrintedChart = { paper: 'A4', isLandscape: true },
): string {
  const room = roomOf(chart);
  const svg = keyboardSvg(profile, 'day');
  const [, boardWidth = 1, boardHeight = 1] = /viewBox="0 0 (\S+) (\S+)"/.exec(svg)!.map(Number);
  const boardScale = Math.min(room.width / boardWidth, (BOARD_SHARE * room.height) / boardHeight);
  const used = HEAD_HEIGHT + boardScale * boardHeight + BOARD_SPACE;
  const fitted = (wording: Wording) => {
    const groups = groupsOf(profile, chart, wording);
    const lines = groups.flatMap((group) => [TITLE, ...group.lines.map(measured)]);
    return { groups, ...columnFit(lines, { ...room, height: room.height - used }) };
  };
  const told = fitted(sentenceOf);
  const { groups, size, columns } = told.size < READABLE ? fitted(inShort) : told;
  const sections = groups.map(
    ({ title, lines: all }) =>
      `<h2>${html(title)}</h2>\n<ul>\n${all.map(lineHtml).join('\n')}\n</ul>`,
  );
  const { paper, isLandscape } = chart;
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<title>Keys of ${html(profile.name)}</title>
<style>
@page { size: ${paper} ${isLandscape ? 'landscape' : 'portrait'}; margin: ${PAPER_MARGIN}mm }
* { box-sizing: border-box }
body { font: ${size}pt/${LINE} system-ui, sans-serif; color: #1A2525; background: #FBFAF6; margin: 0 auto; width: ${pt(room.width)} }
h1 { font-size: 11pt; line-height: ${HEAD_HEIGHT}pt; height: ${HEAD_HEIGHT}pt; margin: 0 }
svg { display: block; width: ${pt(boardScale * boardWidth)}; height: ${pt(boardScale * boardHeight)}; margin-bottom: ${BOARD_SPACE}pt }
main { columns: ${columns}; column-gap: ${COLUMN_GAP}pt; column-fill: auto; height: ${pt(room.height - used - 1)} }
h2 { font-size: 1em; line-height: ${LINE}; height: ${TITLE_HEIGHT - 0.5}em; padding-top: 0.5em; color: #0B6E6E; border-bottom: 0.75pt solid #1A2525; margin: 0 0 0.5em; break-after: avoid }
ul { list-style: none; margin: 0; padding: 0 }
li { display: flex; gap: ${WORDS_GAP}em; padding-bottom: ${BINDING_SPACE}em; break-inside: avoid }
li > span { flex: none; min-width: ${KEYS_WIDTH}em; white-space: nowrap }
li > b { font-weight: 400; min-width: 0; overflow-wrap: anywhere }
kbd { font: ${KBD}em ui-monospace, monospace; border: 0.5pt solid #5A6664; border-radius: 1.5pt; padding: 0 ${KBD_PADDING}em }
@media print { body { background: none } }
</style>
</head>
<body>
<h1>Keys of ${html(profile.name)}</h1>
${svg}
<main>
${sections.join('\n')}
</main>
</body>
</html>
`;
}

/** In points. */
const HEAD_HEIGHT = 18;
const BOARD_SPACE = 6;
/** How much of the height the board may have. */
const BOARD_SHARE = 0.24;
const pt = (points: number) => `${points.toFixed(2)}pt`;

/** Keys are written smaller; their padding is in their own size. */
const KBD = 0.85;
const KBD_PADDING = 0.3;
/** How wide letters are, in letter sizes: those of keys, and on the average those of words, with some to spare. */
const KBD_LETTER = 0.62;
const LETTER = 0.55;
const THEN = 2.8;

const TITLE: ColumnLine = { isTitle: true, keys: 0, words: 0 };

function measured({ caps, words }: PageLine): ColumnLine {
  const steps = caps.map((step) =>
    step.reduce((sum, cap) => sum + KBD * (KBD_LETTER * cap.length + 2 * KBD_PADDING) + 0.35, 0),
  );
  const keys = steps.reduce((sum, step) => sum + step, 0) + THEN * (steps.length - 1);
  return { isTitle: false, keys, words: LETTER * words.length };
}

function lineHtml({ caps, words }: PageLine): string {
  const keys = caps
    .map((step) => step.map((cap) => `<kbd>${html(cap)}</kbd>`).join(' '))
    .join(' then ');
  return `<li><span>${keys}</span><b>${html(words)}</b></li>`;
}

function groupsOf(
  profile: Profile,
  { layer, usedMost }: PrintedChart,
  wording: Wording,
): PageGroup[] {
  const rows = chartRows(profile, usedMost?.uses ?? []).filter(
    (row) => layer === undefined || row.layer === layer,
  );
  if (usedMost) {
    const most = rows
      .filter(({ uses }) => uses > 0)
      .sort((a, b) => b.uses - a.uses)
      .slice(0, usedMost.most);
    return byTask(rows.filter((row) => most.includes(row))).map((group) => groupOf(group, wording));
  }
  const whileUnderWay =
    layer === undefined ? FIXED_LAYERS.map((each) => fixedGroup(each, wording)) : [];
  return [...byTask(rows).map((group) => groupOf(group, wording)), ...whileUnderWay];
}

function groupOf(
  { title, rows }: { title: string; rows: readonly ChartRow[] },
  wording: Wording,
): PageGroup {
  const lines = rows.map(({ caps, binding, layer, app }): PageLine => {
    const words = wordsOf(binding, wording);
    const where = [layer === BASE ? '' : layer, app].filter(Boolean).join(', ');
    return { caps, words: where === '' ? words : `${words} (${where})` };
  });
  return { title, lines: together(lines) };
}

/** So many lines at least that differ in their last key and one word alone become one. */
const ALIKE = 3;
/** As many keys are told in one line, where they are no row of digits. */
const MOST_TOGETHER = 4;
/** Modifiers and keys in one line, so that what they do has room beside them. */
const MOST_CAPS = 6;

interface Family {
  /** Of the last key: what stands before its digits, or null for any other key. */
  row: string | null;
  lines: PageLine[];
}

/** Lines with the same modifiers that differ in one word as one: "Meta ← → ↑ ↓ focus left, right, up, down". */
function together(lines: readonly PageLine[]): PageLine[] {
  const families = new Map<string, Family>();
  for (const line of lines) {
    const last = line.caps.at(-1)!;
    const words = line.words.split(' ');
    const row = /^(Pad |F)?\d+$/.test(last.at(-1)!) ? last.at(-1)!.replace(/\d+$/, '') : null;
    const key = JSON.stringify([
      line.caps.slice(0, -1),
      last.slice(0, -1),
      row,
      words.length,
      words[0],
    ]);
    const family = families.get(key) ?? { row, lines: [] };
    family.lines.push(line);
    families.set(key, family);
  }
  return [...families.values()].flatMap(({ row, lines: all }) => {
    const words = all.map((line) => line.words.split(' '));
    const differ = words[0]!.flatMap((word, i) =>
      words.some((each) => each[i] !== word) ? [i] : [],
    );
    if (all.length < ALIKE || differ.length !== 1) return all;
    const [at] = differ as [number];
    const isRow =
      row !== null && [all.map(lastKey), words.map((each) => each[at]!)].every(isInOrder);
    if (isRow) return [asOne(all, at, true)];
    const modifiers = all[0]!.caps.at(-1)!.length - 1;
    const count = Math.ceil(all.length / Math.min(MOST_TOGETHER, MOST_CAPS - modifiers));
    const each = Math.ceil(all.length / count);
    return Array.from({ length: count }, (_, i) =>
      asOne(all.slice(i * each, (i + 1) * each), at, false),
    );
  });
}

const lastKey = ({ caps }: PageLine) => caps.at(-1)!.at(-1)!;

function isInOrder(keys: readonly string[]): boolean {
  const numbers = keys.map((key) => Number(/\d+(?=,?$)/.exec(key)?.[0] ?? Number.NaN));
  return numbers.every((number, i) => number === numbers[0]! + i);
}

/** @param at which of their words differs */
function asOne(lines: readonly PageLine[], at: number, isRow: boolean): PageLine {
  const [{ caps, words }] = lines as [PageLine];
  const inShort = (all: readonly string[]) => (isRow ? [all[0]!, '…', all.at(-1)!] : all);
  const keys = [...caps.at(-1)!.slice(0, -1), ...inShort(lines.map(lastKey))];
  const said = inShort(lines.map((line) => line.words.split(' ')[at]!.replace(/,$/, '')));
  const whole = words.split(' ');
  const comma = whole[at]!.endsWith(',') ? ',' : '';
  whole[at] = isRow ? said.join(' ') + comma : said.join(', ') + comma;
  return { caps: [...caps.slice(0, -1), keys], words: whole.join(' ') };
}

const FIXED_TITLES: Record<FixedLayer, string> = {
  shaping: 'While a window is shaped',
  offer: 'While a place is offered',
  board: 'While a zone is picked',
  corner: 'While corners are picked',
};

/** The keys of something under way; letters and digits that choose are one line. */
function fixedGroup(layer: FixedLayer, wording: Wording): PageGroup {
  const all = FIXED_KEYS[layer];
  const isPick = (command: KeyCommand) => command.command === 'pick';
  const signs = new Set(all.filter(({ command }) => isPick(command)).map(({ keys }) => keys[0]));
  const picks = [...(signs.has('K') ? ['A … Z'] : []), ...(signs.has('D') ? ['0 … 9'] : [])];
  const lines = all
    .filter(({ command }) => !isPick(command))
    .map(({ keys, command }): PageLine => {
      return {
        caps: triggerCaps(triggerOf(keys), { main: 'Meta' }),
        words: wording(command),
      };
    });
  return {
    title: FIXED_TITLES[layer],
    lines: picks.length > 0 ? [{ caps: [picks], words: 'Choose' }, ...lines] : lines,
  };
}
