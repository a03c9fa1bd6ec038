import { chakra } from '@chakra-ui/react';
import { DataTable, type Column } from '../../ui/DataTable.tsx';
import { sideId, sideName, type Side } from './compared-side.ts';

/** Something that can be compared with. */
export interface SideLine {
  side: Side;
  when: string;
  says: string;
}

const COLUMNS: readonly Column<SideLine>[] = [
  {
    id: 'name',
    header: 'With',
    cell: ({ row: { original } }) => (
      <chakra.span fontWeight={600} whiteSpace="nowrap">
        {sideName(original.side)}
      </chakra.span>
    ),
  },
  { id: 'when', header: 'Saved', meta: { isMinor: true }, cell: ({ row }) => row.original.when },
  {
    id: 'says',
    header: 'What it is',
    cell: ({ row }) => (
      <chakra.span display="block" truncate maxW="420px">
        {row.original.says}
      </chakra.span>
    ),
  },
];

/** What the left side is compared with. */
export function SideList(props: {
  lines: readonly SideLine[];
  selected: string;
  onSide: (side: Side) => void;
}) {
  const { lines } = props;
  return (
    <DataTable
      label="With what"
      rows={lines}
      columns={COLUMNS}
      idOf={({ side }) => sideId(side)}
      selected={props.selected}
      onRow={(id) => {
        const line = lines.find(({ side }) => sideId(side) === id);
        if (line) props.onSide(line.side);
      }}
      dataOf={({ side }) => ({ 'data-side': sideName(side) })}
      empty="Nothing to compare with yet."
    />
  );
}
