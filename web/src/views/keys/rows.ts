import { commandText } from '@sorn/core/commands';
import { bindingId, checkKeys, type KeyFinding } from '@sorn/core/checkup';
import { nearness } from '@sorn/core/engine';
import { changedCommands, chartRows, reachTable, type ChartRow } from '@sorn/core/keys';
import { type Profile, type Use } from '@sorn/core/model';

/** Which bindings the table shows. */
export const FILTERS = [
  { value: 'all', text: 'All' },
  { value: 'changed', text: 'Changed' },
  { value: 'conflict', text: 'In conflict' },
  { value: 'unused', text: 'Unused' },
] as const;
export type Filter = (typeof FILTERS)[number]['value'];

export const NO_USES: readonly Use[] = [];

/** A binding in the table: with its reach, and what was found about it. */
export interface KeyRow extends ChartRow {
  id: string;
  reach: number;
  isChanged: boolean;
  found: readonly KeyFinding[];
}

/** Every binding of a profile, with what is to be told about it. */
export function keyRows(profile: Profile, uses: readonly Use[]): KeyRow[] {
  const reach = reachTable(profile);
  const changed = changedCommands(profile);
  const found = new Map<string, KeyFinding[]>();
  for (const finding of checkKeys(profile)) {
    for (const id of finding.about) found.set(id, [...(found.get(id) ?? []), finding]);
  }
  return chartRows(profile, uses).map((row) => {
    const { command, release, keys, from } = row.binding;
    const texts = [command, release].flatMap((each) => (each ? [commandText(each)] : []));
    const id = bindingId(row.binding);
    return {
      ...row,
      id,
      reach: reach(keys),
      isChanged: from === 'own' || texts.some((text) => changed.has(text)),
      found: found.get(id) ?? [],
    };
  });
}

/** The rows a filter and some typed words leave. */
export function shownRows(rows: readonly KeyRow[], filter: Filter, typed: string): KeyRow[] {
  const isShown: Record<Filter, (row: KeyRow) => boolean> = {
    all: () => true,
    changed: ({ isChanged }) => isChanged,
    conflict: ({ found }) => found.length > 0,
    unused: ({ uses }) => uses === 0,
  };
  return rows.filter((row) => {
    if (!isShown[filter](row)) return false;
    const words = [row.pressed, row.command, row.layer, row.app, row.task].join(' ');
    return typed === '' || nearness(words, typed) > 0;
  });
}
