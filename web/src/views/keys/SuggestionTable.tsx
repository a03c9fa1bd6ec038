import type { Suggestion } from '@sorn/core/keys';
import { useMemo, type ReactNode } from 'react';
import { DataTable, type Column } from '../../ui/DataTable.tsx';

type AssignedLine = Suggestion['given'][number];
type LeftOut = Suggestion['leftOut'][number];
type Line = { text: string } & ({ given: AssignedLine } | { leftOut: LeftOut });

const FIGURE = { isFigure: true };
const idOf = ({ text }: Line) => text;
const dataOf = (line: Line) =>
  'given' in line ? { 'data-keys': line.given.keys } : { 'data-left-out': line.text };
const headingOf = (line: Line) => ('given' in line ? null : 'Left out');

function columnsWith(capsOf: (keys: string) => ReactNode): readonly Column<Line>[] {
  const column = (
    id: string,
    given: (line: AssignedLine) => ReactNode,
    leftOut: (line: LeftOut) => ReactNode,
    meta = {},
  ): Column<Line> => ({
    id,
    header: id,
    meta,
    cell: ({ row: { original } }) =>
      'given' in original ? given(original.given) : leftOut(original.leftOut),
  });
  return [
    column(
      'Keys',
      ({ keys }) => capsOf(keys),
      () => '—',
    ),
    column(
      'Command',
      ({ candidate }) => candidate.text,
      ({ text }) => text,
    ),
    column(
      'Used',
      ({ candidate }) => Math.round(candidate.uses),
      ({ uses }) => Math.round(uses),
      FIGURE,
    ),
    column(
      'Reach',
      ({ reach }) => reach.toFixed(1),
      () => null,
      FIGURE,
    ),
    column(
      'Had',
      ({ was, keys }) => (was === null ? '—' : was === keys ? 'the same' : capsOf(was)),
      ({ because }) => because,
    ),
    column(
      'Is',
      ({ candidate }) => (candidate.pinned === null ? candidate.mark : `${candidate.mark}, stays`),
      ({ mark }) => mark,
    ),
  ];
}

/** What would have which keys, and after it what would have none. */
export function SuggestionTable(props: {
  found: Suggestion;
  /** Stays the same from drawing to drawing. */
  capsOf: (keys: string) => ReactNode;
  selected: string | null;
  onRow: (text: string) => void;
}) {
  const { found, capsOf, selected, onRow } = props;
  const columns = useMemo(() => columnsWith(capsOf), [capsOf]);
  const lines = useMemo(
    (): Line[] => [
      ...found.given.map((given) => ({ text: given.candidate.text, given })),
      ...found.leftOut.map((leftOut) => ({ text: leftOut.text, leftOut })),
    ],
    [found],
  );
  return (
    <DataTable
      label="Suggested keys"
      rows={lines}
      columns={columns}
      idOf={idOf}
      dataOf={dataOf}
      headingOf={headingOf}
      selected={selected}
      onRow={onRow}
      empty="No command is asked for."
    />
  );
}
