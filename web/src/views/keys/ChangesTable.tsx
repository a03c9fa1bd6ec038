import { commandText } from '@sorn/core/commands';
import { chakra, Flex } from '@chakra-ui/react';
import type { KeyChange, KeyMove } from '@sorn/core/keys';
import { useMemo, type ReactNode } from 'react';
import { DataTable, type Column } from '../../ui/DataTable.tsx';
import { shortFigure } from './suggestion.ts';

interface Row {
  change: KeyChange;
  isTaken: boolean;
}

const idOf = ({ change }: Row) => change.id;
const dataOf = ({ change, isTaken }: Row) => ({
  'data-change': change.id,
  'data-taken': isTaken,
  'data-spares': change.spares,
  'data-moves': change.moves.length,
});
const FIGURE = { isFigure: true };

/** Moves that spare something; the others only make room, or go along. */
const paying = ({ moves }: KeyChange) => moves.filter(({ spares }) => spares > 0);
const others = ({ moves }: KeyChange) => moves.filter(({ spares }) => spares <= 0);

function columnsWith(
  capsOf: (keys: string) => ReactNode,
  onTick: (id: string) => void,
): readonly Column<Row>[] {
  const moved = (moves: readonly KeyMove[]) => (
    <Flex direction="column" py="4px" gap="2px">
      {moves.map(({ binding, to }) => (
        <Flex key={`${binding.keys} ${to}`} align="center" gap="6px" wrap="wrap">
          <chakra.span fontWeight={500}>{commandText(binding.command!)}</chakra.span>
          {capsOf(binding.keys)}
          <span aria-label="to">→</span>
          {capsOf(to)}
        </Flex>
      ))}
    </Flex>
  );
  return [
    {
      id: 'Take',
      header: 'Take',
      cell: ({ row: { original } }) => (
        <chakra.input
          type="checkbox"
          aria-label={`Take ${original.change.id}`}
          checked={original.isTaken}
          onChange={() => onTick(original.change.id)}
          width="15px"
          height="15px"
          accentColor="var(--sorn-colors-petrol)"
          cursor="pointer"
        />
      ),
    },
    {
      id: 'Nearer',
      header: 'Comes nearer',
      cell: ({ row: { original } }) => moved(paying(original.change)),
    },
    {
      id: 'Room',
      header: 'Makes room, or goes along',
      cell: ({ row: { original } }) => moved(others(original.change)),
    },
    {
      id: 'Keys',
      header: 'Keys',
      meta: FIGURE,
      cell: ({ row: { original } }) => original.change.moves.length,
    },
    {
      id: 'Spares',
      header: 'Spares',
      meta: FIGURE,
      cell: ({ row: { original } }) => shortFigure(original.change.spares),
    },
  ];
}

/** Single changes of keys, each with a tick. */
export function ChangesTable(props: {
  changes: readonly KeyChange[];
  left: ReadonlySet<string>;
  selected: string | null;
  /** These three stay the same from drawing to drawing. */
  capsOf: (keys: string) => ReactNode;
  onTick: (id: string) => void;
  onRow: (id: string) => void;
}) {
  const { changes, left, selected, capsOf, onTick, onRow } = props;
  const columns = useMemo(() => columnsWith(capsOf, onTick), [capsOf, onTick]);
  const rows = useMemo(
    () => changes.map((change): Row => ({ change, isTaken: !left.has(change.id) })),
    [changes, left],
  );
  return (
    <DataTable
      label="Suggested changes"
      rows={rows}
      columns={columns}
      idOf={idOf}
      dataOf={dataOf}
      selected={selected}
      onRow={onRow}
      empty="No key pays for a change: what is used most is near already. → shows changes of more keys."
    />
  );
}
