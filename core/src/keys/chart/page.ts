import { BASE } from '../../model/keys.ts';
import type { Profile } from '../../model/profile.ts';
import { keyboardSvg } from './drawing.ts';
import { byTask, chartRows } from './rows.ts';
import { html } from './text.ts';

/** A page to print: the board, and every binding by task beneath it. It needs nothing but itself. */
export function chartHtml(profile: Profile): string {
  const groups = byTask(chartRows(profile)).map(({ title, rows }) => {
    const lines = rows.map(({ caps, command, layer, app }) => {
      const keys = caps
        .map((step) => step.map((cap) => `<kbd>${html(cap)}</kbd>`).join(' '))
        .join(' then ');
      const where = [layer === BASE ? '' : layer, app].filter(Boolean).join(', ');
      return `<tr><td>${keys}</td><td>${html(command)}</td><td>${html(where)}</td></tr>`;
    });
    return `<section><h2>${html(title)}</h2><table><tbody>${lines.join('\n')}</tbody></table></section>`;
  });
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<title>Keys of ${html(profile.name)}</title>
<style>
@page { size: A4 landscape; margin: 10mm }
body { font: 13px/1.4 system-ui, sans-serif; color: #1A2525; background: #FBFAF6; margin: 24px }
h1 { font-size: 16px; margin: 0 0 12px }
svg { width: 100%; height: auto; margin-bottom: 16px }
main { columns: 3; column-gap: 28px }
section { break-inside: avoid-column; margin-bottom: 16px }
h2 { font-size: 13px; color: #0B6E6E; border-bottom: 1px solid #1A2525; margin: 0 0 4px }
td { padding: 2px 8px 2px 0; vertical-align: top; border-bottom: 1px solid #D9D4C6 }
kbd { font: 11px ui-monospace, monospace; border: 1px solid #5A6664; border-radius: 2px; padding: 0 4px }
@media print { body { margin: 0; background: none } }
</style>
</head>
<body>
<h1>Keys of ${html(profile.name)}</h1>
${keyboardSvg(profile, 'day')}
<main>
${groups.join('\n')}
</main>
</body>
</html>
`;
}
