import Papa from 'papaparse';
import { commandText } from '../commands/command.ts';
import { BASE, type InputDevice } from '../model/keys.ts';
import type { Profile } from '../model/profile.ts';
import { buttonOf, keyName } from '../values/codes.ts';
import { keysCaps } from '../values/trigger.ts';
import { PAPER_MARGIN } from './chart/paper.ts';
import { html } from '../values/markup.ts';
import { freeInputsOf, inputsOf } from './devices.ts';
import { keyMap } from './map.ts';
import { reachTable } from './reach.ts';

/** The highest button that browsers and desktops tell apart by themselves. */
const LAST_TOLD_APART = 5;

const BY_ITSELF = 'itself';
const NONE_YET = 'no chord does it yet';

/** What an input of a device is to send by its own driver, and what that does. */
export interface DeviceLine {
  input: string;
  /** The chord as it is pressed, or `itself`; null where the input does nothing, or no chord does the same yet. */
  sends: string | null;
  does: string | null;
}

/**
 * For the driver of a device: which chord each of its inputs has to send, so that it does what it is bound to. That is the
 * chord of least reach among those of a keyboard that do the same.
 */
export function deviceTable(profile: Profile, device: InputDevice): DeviceLine[] {
  const map = keyMap(profile).filter(({ layer, app }) => layer === BASE && app === null);
  const reach = reachTable(profile);
  const own = new Set(freeInputsOf(device));
  const isOn = (code: string) =>
    map.find(({ trigger: { steps, how } }) => {
      const [step] = steps;
      return (
        how === 'press' && steps.length === 1 && step!.code === code && step!.modifiers.length === 0
      );
    });
  return inputsOf(device).map((code): DeviceLine => {
    const bound = own.has(code) ? isOn(code) : undefined;
    const input = keyName(code, profile.keys.legends);
    if (!bound?.command) return { input, sends: null, does: null };
    const does = commandText(bound.command);
    const button = buttonOf(code);
    if (button !== null && button <= LAST_TOLD_APART) return { input, sends: BY_ITSELF, does };
    const [nearest] = map
      .filter(({ command, trigger: { how, steps } }) => {
        const isOther = steps.every((step) => step.code !== undefined && !own.has(step.code));
        return (
          command &&
          commandText(command) === does &&
          how === 'press' &&
          steps.length === 1 &&
          isOther
        );
      })
      .sort((a, b) => reach(a.keys) - reach(b.keys));
    const sends = nearest ? keysCaps(nearest.keys, profile.keys).join(' + ') : null;
    return { input, sends, does };
  });
}

const HEAD = ['input', 'sends', 'does'];
const sentBy = ({ sends, does }: DeviceLine) => sends ?? (does === null ? '' : NONE_YET);

/** The table as comma-separated values (RFC 4180). */
export function deviceCsv(lines: readonly DeviceLine[]): string {
  const rows = lines.map((line) => [line.input, sentBy(line), line.does ?? '']);
  return `${Papa.unparse([HEAD, ...rows], { newline: '\n', escapeFormulae: true })}\n`;
}

/** The table in Markdown. */
export function deviceMarkdown(name: string, lines: readonly DeviceLine[]): string {
  const plain = (text: string) => text.replace(/[\\|`*_<>[\]#]/g, (mark) => `\\${mark}`);
  const rows = lines.map(
    (line) => `| ${plain(line.input)} | ${plain(sentBy(line))} | ${plain(line.does ?? '')} |`,
  );
  return [
    `# ${plain(name)}`,
    '',
    '| Input | Sends | Does |',
    '| --- | --- | --- |',
    ...rows,
    '',
  ].join('\n');
}

/** The table as a page to print, with its head on every sheet. It needs nothing but itself. */
export function deviceHtml(name: string, lines: readonly DeviceLine[]): string {
  const row = (cells: readonly string[], tag: 'td' | 'th') =>
    `<tr>${cells.map((cell) => `<${tag}>${html(cell)}</${tag}>`).join('')}</tr>`;
  const rows = lines.map((line) => row([line.input, sentBy(line), line.does ?? ''], 'td'));
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<title>${html(name)}</title>
<style>
@page { margin: ${2 * PAPER_MARGIN}mm }
body { font: 10pt/1.4 system-ui, sans-serif; color: #1A2525; background: #FBFAF6 }
h1 { font-size: 13pt }
table { border-collapse: collapse; width: 100% }
tr { break-inside: avoid }
th, td { border-bottom: 0.5pt solid #1A2525; padding: 2pt 8pt 2pt 0; text-align: left; vertical-align: top }
</style>
</head>
<body>
<h1>${html(name)}</h1>
<table>
<thead>${row(['Input', 'Sends', 'Does'], 'th')}</thead>
<tbody>
${rows.join('\n')}
</tbody>
</table>
</body>
</html>
`;
}
