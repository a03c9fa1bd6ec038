import type { Read } from '../profile/faults.ts';
import type { Keys, KeyCommand, OwnBinding } from '../profile/keys.ts';
import { flagColumn, partAt, putAt, readCsv, textColumn, writeCsv, type Column } from './csv.ts';
import { readFile, type FromFile } from './pieces.ts';

type When = 'command' | 'release';

/** The id of a command, and beside it what is said with it. */
function commandColumns(when: When): Column<OwnBinding>[] {
  const commandOf = (binding: OwnBinding): KeyCommand | undefined => binding[when];
  return [
    {
      name: when,
      write: (binding) => commandOf(binding)?.command,
      read(cell, into) {
        putAt(into, [when, 'command'], cell);
        return undefined;
      },
    },
    {
      name: `${when} with`,
      write(binding) {
        const { command: _id, ...said } = commandOf(binding) ?? { command: '' };
        return Object.keys(said).length > 0 ? JSON.stringify(said) : undefined;
      },
      read(cell, into) {
        try {
          const said = JSON.parse(cell) as Record<string, unknown>;
          for (const [name, value] of Object.entries(said)) putAt(into, [when, name], value);
          return undefined;
        } catch {
          return 'what is said with the command, as JSON';
        }
      },
    },
  ];
}

const COLUMNS: readonly Column<OwnBinding>[] = [
  textColumn('keys'),
  ...commandColumns('command'),
  ...commandColumns('release'),
  textColumn('in'),
  textColumn('app'),
  flagColumn('pinned'),
];

/** A line with keys and nothing that they do leaves keys of the starter out. */
export function keysCsv({ bindings, without }: Keys): string {
  return writeCsv(COLUMNS, [...bindings, ...without.map((keys): OwnBinding => ({ keys }))]);
}

/** Bindings of one's own, and the starter's keys that are left out, read from such a table. */
export function readKeysCsv(text: string): Read<FromFile> {
  const lines = readCsv(text, COLUMNS);
  if (!lines.ok) return lines;
  const isLeftOut = (line: unknown) =>
    partAt(line, ['command']) === undefined && partAt(line, ['release']) === undefined;
  const bindings = lines.value.filter((line) => !isLeftOut(line));
  const without = lines.value.filter(isLeftOut).map((line) => partAt(line, ['keys']));
  const file = readFile({ keys: { bindings, without } });
  if (!file.ok) return file;
  const says = [
    ['keys', 'bindings'],
    ['keys', 'without'],
  ];
  return { ok: true, value: { ...file.value, says } };
}
