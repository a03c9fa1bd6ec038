import { html } from '../../values/markup.ts';
import Papa from 'papaparse';
import type { Profile } from '../../model/profile.ts';
import { byTask, chartRows, type ChartRow } from './rows.ts';

const HEAD = ['task', 'keys', 'command', 'layer', 'app', 'from'];

/** A spreadsheet would take these for a formula. */
const FORMULA = /^[=+\-@\t\r]/;
const cell = (text: string) => (FORMULA.test(text) ? `'${text}` : text);

/** Every binding once, as comma-separated values (RFC 4180). */
export function chartCsv(profile: Profile): string {
  const lines = chartRows(profile).map(({ task, pressed, command, layer, app, from }) =>
    [task, pressed, command, layer, app, from].map(cell),
  );
  return `${Papa.unparse([HEAD, ...lines], { newline: '\n' })}\n`;
}

/** Text as it is written in a line of Markdown, where none of it is a mark. */
const escaped = (text: string) =>
  text.replace(/[\s\p{Cc}]+/gu, ' ').replace(/[\\`*_{}[\]<>#!|&~$^=:@]/g, (mark) => `\\${mark}`);

function markdownLine({ caps, command, layer, app }: ChartRow): string {
  const keys = caps
    .map((step) => step.map((cap) => `<kbd>${html(cap)}</kbd>`).join(' '))
    .join(' then ');
  const where = [layer === 'base' ? '' : layer, app].filter(Boolean).join(', ');
  return `| ${keys.replace(/\|/g, '\\|')} | ${escaped(command)} | ${escaped(where)} |`;
}

/** Every binding once, as Markdown tables by task. */
export function chartMarkdown(profile: Profile): string {
  const groups = byTask(chartRows(profile)).map(({ title, rows }) =>
    [
      `## ${title}`,
      '',
      '| Keys | Command | Where |',
      '| --- | --- | --- |',
      ...rows.map(markdownLine),
    ].join('\n'),
  );
  return `# Keys of ${escaped(profile.name)}\n\n${groups.join('\n\n')}\n`;
}
