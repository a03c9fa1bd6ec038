import type { KeyCommand } from '../commands/registry.ts';
import type { Keys, OwnBinding } from '../model/keys.ts';
import type { Read } from '../values/faults.ts';
import {
  flagColumn,
  inLines,
  partAt,
  putAt,
  readCsv,
  textColumn,
  writeCsv,
  type Column,
} from './csv.ts';
import { readFile, type FromFile } from './sections.ts';

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
export function readKeysCsv(text: string, bundles: readonly string[] = []): Read<FromFile> {
  const table = readCsv(text, COLUMNS);
  if (!table.ok) return table;
  const { items, lines } = table.value;
  const isLeftOut = (line: unknown) =>
    partAt(line, ['command']) === undefined && partAt(line, ['release']) === undefined;
  const linesOf = (isWanted: (line: unknown) => boolean) =>
    lines.filter((_, i) => isWanted(items[i]));
  const bindings = items.filter((line) => !isLeftOut(line));
  const without = items.filter(isLeftOut).map((line) => partAt(line, ['keys']));
  const read = readFile({ keys: { bindings, without } }, bundles);
  // What is said with a command has a column of its own.
  const columnOf = (part: string) =>
    part.replace(/^(command|release)\.(.*)$/, (_, when: string, said: string) =>
      said === 'command' ? when : `${when} with: ${said}`,
    );
  const ofBindings = linesOf((line) => !isLeftOut(line));
  const bound = inLines(read, 'keys.bindings', ofBindings, columnOf);
  const file = inLines(bound, 'keys.without', linesOf(isLeftOut), columnOf);
  if (!file.ok) return file;
  const says = [
    ['keys', 'bindings'],
    ['keys', 'without'],
  ];
  return { ok: true, value: { ...file.value, says } };
}
