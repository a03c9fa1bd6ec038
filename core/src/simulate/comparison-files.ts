import Papa from 'papaparse';
import { html } from '../values/markup.ts';
import { measureText, type MeasuredRun, type Shares } from './comparison.ts';
import { MEASURE_NAMES, MEASURES, type MeasureName } from './step-measures.ts';

/** Two runs of one script, with what each is called. */
export interface Compared {
  script: string;
  names: readonly [string, string];
  runs: readonly [MeasuredRun, MeasuredRun];
}

interface Row {
  step: string;
  text: string;
  figures: readonly [string, string][];
}

/** Step by step, and the total: for each measure both figures. */
function rowsOf({ runs: [one, other] }: Compared): Row[] {
  const figures = (of: (run: MeasuredRun) => MeasuredRun['total'] | undefined): Row['figures'] =>
    MEASURE_NAMES.map((name) => [
      figureOf(name, of(one)?.[name]),
      figureOf(name, of(other)?.[name]),
    ]);
  const count = Math.max(one.steps.length, other.steps.length);
  const steps = Array.from({ length: count - 1 }, (_, i): Row => ({
    step: String(i + 1),
    text: (one.steps[i + 1] ?? other.steps[i + 1])!.text,
    figures: figures((run) => run.steps[i + 1]?.measures),
  }));
  return [...steps, { step: 'total', text: '', figures: figures(({ total }) => total) }];
}

const figureOf = (name: MeasureName, value: number | undefined) =>
  value === undefined ? '' : measureText(name, value);

function headOf({ names }: Compared): string[] {
  return MEASURE_NAMES.flatMap((name) =>
    names.map((each) => `${MEASURES[name].title} (${MEASURES[name].unit}), ${each}`),
  );
}

/** A comparison as CSV by RFC 4180: a line for each step, the total last. */
export function comparisonCsv(compared: Compared): string {
  const rows = rowsOf(compared).map(({ step, text, figures }) => [step, text, ...figures.flat()]);
  return `${Papa.unparse([['step', 'what is done', ...headOf(compared)], ...rows])}\r\n`;
}

const WIDTH = 720;
const HEIGHT = 260;
const EDGE = { left: 56, right: 16, top: 40, bottom: 34 };

/** A measure over the steps of both runs, as a drawing that needs nothing else. */
export function comparisonSvg({ script, names, runs }: Compared, name: MeasureName): string {
  const values = runs.map(({ steps }) => steps.map(({ measures }) => measures[name]));
  const most = Math.max(1e-9, ...values.flat());
  const count = Math.max(2, ...values.map(({ length }) => length));
  const x = (i: number) => EDGE.left + (i * (WIDTH - EDGE.left - EDGE.right)) / (count - 1);
  const y = (value: number) =>
    HEIGHT - EDGE.bottom - (value / most) * (HEIGHT - EDGE.top - EDGE.bottom);
  const line = (run: number) =>
    values[run]!.map((value, i) => `${i === 0 ? 'M' : 'L'}${round(x(i))} ${round(y(value))}`).join(
      '',
    );
  const { title, unit } = MEASURES[name];
  const styles = ['stroke="#0B6E6E"', 'stroke="#C93A17" stroke-dasharray="6 4"'] as const;
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDTH}" height="${HEIGHT}" viewBox="0 0 ${WIDTH} ${HEIGHT}" font-family="sans-serif" font-size="12">`,
    `<rect width="${WIDTH}" height="${HEIGHT}" fill="#FBFAF6"/>`,
    `<text x="${EDGE.left}" y="18" font-weight="bold">${html(`${title} (${unit}), ${script}`)}</text>`,
    `<path d="M${EDGE.left} ${EDGE.top}V${HEIGHT - EDGE.bottom}H${WIDTH - EDGE.right}" fill="none" stroke="#5A6664"/>`,
    `<text x="${EDGE.left - 6}" y="${EDGE.top + 4}" text-anchor="end">${measureText(name, most)}</text>`,
    `<text x="${EDGE.left - 6}" y="${HEIGHT - EDGE.bottom + 4}" text-anchor="end">0</text>`,
    ...Array.from(
      { length: count },
      (_, i) =>
        `<text x="${round(x(i))}" y="${HEIGHT - EDGE.bottom + 18}" text-anchor="middle">${i}</text>`,
    ),
    ...names.flatMap((each, i) => [
      `<path d="${line(i)}" fill="none" stroke-width="2" ${styles[i]}/>`,
      `<path d="M${EDGE.left + i * 240} 29h24" fill="none" stroke-width="2" ${styles[i]}/>`,
      `<text x="${EDGE.left + 30 + i * 240}" y="33">${html(each)}</text>`,
    ]),
    '</svg>',
    '',
  ].join('\n');
}

const round = (length: number) => Math.round(length * 10) / 10;

/** A comparison as one page: the table, what makes the difference, and a drawing of one measure. */
export function comparisonHtml(
  compared: Compared,
  name: MeasureName,
  shares: Shares | null,
): string {
  const cell = (text: string) => `<td>${html(text)}</td>`;
  const head = ['', 'What is done', ...headOf(compared)].map((text) => `<th>${html(text)}</th>`);
  const rows = rowsOf(compared).map(
    ({ step, text, figures }) => `<tr>${[step, text, ...figures.flat()].map(cell).join('')}</tr>`,
  );
  const title = `${compared.script}: ${compared.names.join(' and ')}`;
  const changes = [
    ...(shares?.changes ?? []),
    ...(shares ? [{ text: 'together', shares: shares.together }] : []),
  ].map(
    (change) =>
      `<tr>${cell(change.text)}${MEASURE_NAMES.map((each) => cell(measureText(each, change.shares[each]))).join('')}</tr>`,
  );
  return [
    '<!doctype html>',
    `<html lang="en"><head><meta charset="utf-8"><title>${html(title)}</title>`,
    '<style>body{font:14px sans-serif;margin:24px}table{border-collapse:collapse;margin:16px 0}td,th{border-bottom:1px solid #D9D4C6;padding:4px 10px;text-align:left;vertical-align:bottom}</style></head>',
    `<body><h1>${html(title)}</h1>`,
    comparisonSvg(compared, name),
    `<table><thead><tr>${head.join('')}</tr></thead><tbody>${rows.join('')}</tbody></table>`,
    ...(shares
      ? [
          '<h2>What makes the difference</h2>',
          `<table><thead><tr><th>Change</th>${MEASURE_NAMES.map((each) => `<th>${html(MEASURES[each].title)}</th>`).join('')}</tr></thead><tbody>${changes.join('')}</tbody></table>`,
        ]
      : []),
    '</body></html>',
    '',
  ].join('\n');
}
