import { freeId } from '../desk/edit.ts';
import {
  GROUPS,
  SETTINGS,
  type Condition,
  type Group,
  type Rule,
  type Setting,
} from '../model/rule.ts';
import type { Read } from '../values/faults.ts';
import {
  flagColumn,
  inLines,
  readCsv,
  textColumn,
  valueColumn,
  writeCsv,
  type Column,
} from './csv.ts';
import { readFile, type FromFile } from './sections.ts';

/** Settings that are on or off, and those that are more than a word. */
const FLAGS: readonly Setting[] = ['stayAbove', 'everywhere', 'focus', 'remember', 'private'];
const SHAPED: readonly Setting[] = ['placing', 'size'];

function settingColumn(setting: Setting): Column<Rule> {
  const path = ['then', setting];
  if (FLAGS.includes(setting)) return flagColumn(setting, path);
  return valueColumn(setting, path, SHAPED.includes(setting) ? 'json' : 'text');
}

/** Conditions, one a line: "app is shell", "width from 300 to 900". */
function conditionsColumn(group: Group): Column<Rule> {
  return {
    name: group,
    write: ({ when }) =>
      when[group].length === 0 ? undefined : when[group].map(conditionLine).join('\n'),
    read(cell, into) {
      const conditions = cell.split('\n').map(readCondition);
      if (conditions.includes(null))
        return 'a condition a line, such as "app is shell" or "width from 300 to 900"';
      into['when'] = { ...(into['when'] as object | undefined), [group]: conditions };
      return undefined;
    },
  };
}

function conditionLine(condition: Condition): string {
  const { of, ...test } = condition;
  const parts = Object.entries(test).map(([name, value]) => `${name} ${written(value)}`);
  return [of, ...parts].join(' ');
}

/** A text that could be read as something else is written as JSON. */
function written(value: string | number | boolean): string {
  if (typeof value !== 'string') return String(value);
  return /^(?:"|\s)|[\n\r]|\s$/.test(value) ? JSON.stringify(value) : value;
}

function readCondition(line: string): unknown {
  const [, of, name, rest = ''] = /^(\w+) (\w+) ([^]*)$/.exec(line.replace(/\r$/, '')) ?? [];
  if (of === undefined || name === undefined) return null;
  if (of === 'width' || of === 'height') {
    const range = /^(from|to) (\S+)(?: to (\S+))?$/.exec(`${name} ${rest}`);
    if (!range) return null;
    const [, first, value, to] = range;
    return { of, [first!]: Number(value), ...(to !== undefined && { to: Number(to) }) };
  }
  if (of === 'resizable')
    return { of, [name]: rest === 'true' ? true : rest === 'false' ? false : rest };
  try {
    return { of, [name]: rest.startsWith('"') ? (JSON.parse(rest) as unknown) : rest };
  } catch {
    return null;
  }
}

const COLUMNS: readonly Column<Rule>[] = [
  textColumn('id'),
  textColumn('name'),
  flagColumn('on'),
  ...GROUPS.map(conditionsColumn),
  ...SETTINGS.map(settingColumn),
  flagColumn('again when the title changes', ['again', 'title']),
  flagColumn('again when the desk changes', ['again', 'desk']),
];

/** Rules as comma-separated values, a rule a line, in their order. */
export function rulesCsv(rules: readonly Rule[]): string {
  return writeCsv(COLUMNS, rules);
}

/** Rules read from such a table; faults name the line. A rule without an id gets one made of its name. */
export function readRulesCsv(text: string): Read<FromFile> {
  const table = readCsv(text, COLUMNS);
  if (!table.ok) return table;
  const { items, lines } = table.value;
  const taken = items.flatMap(({ id }) => (typeof id === 'string' ? [id] : []));
  const rules = items.map((item) => {
    if (item['id'] !== undefined) return item;
    const id = freeId(String(item['name'] ?? 'rule'), taken, 'rule');
    taken.push(id);
    return { ...item, id };
  });
  const columnOf = (part: string) => part.replace(/^(?:when|then)\./, '');
  return inLines(readFile({ rules }), 'rules', lines, columnOf);
}
