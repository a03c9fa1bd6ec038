import { TASK_TITLES } from '@sorn/core/commands';
import { chakra, Flex } from '@chakra-ui/react';
import { memo } from 'react';
import { DataTable, type Column } from '../../ui/DataTable.tsx';
import { KeyCaps } from '../../ui/KeyCap.tsx';
import type { KeyRow } from './rows.ts';

const FIGURE = { isFigure: true };
const COLUMNS: readonly Column<KeyRow>[] = [
  {
    id: 'keys',
    header: 'Keys',
    cell: ({ row: { original } }) => (
      <Flex gap="3px" align="center">
        {original.caps.map((step, i) => (
          <Flex key={i} gap="3px" align="center">
            {i > 0 && <span>then</span>}
            <KeyCaps caps={step} />
          </Flex>
        ))}
      </Flex>
    ),
  },
  {
    id: 'command',
    header: 'Command',
    cell: ({ row: { original } }) => (
      <>
        {original.command}
        {original.from === 'own' && <chakra.span color="slate"> · yours</chakra.span>}
      </>
    ),
  },
  {
    id: 'layer',
    header: 'Layer',
    meta: { isMinor: true },
    cell: ({ row: { original } }) =>
      original.app ? `${original.layer}, ${original.app}` : original.layer,
  },
  { id: 'used', header: 'Used', meta: FIGURE, cell: ({ row }) => row.original.uses },
  {
    id: 'reach',
    header: 'Reach',
    meta: { isFigure: true, isMinor: true },
    cell: ({ row }) => row.original.reach.toFixed(1),
  },
  {
    id: 'found',
    header: 'Finding',
    cell({ row: { original } }) {
      const [found] = original.found;
      if (!found) return null;
      return (
        <chakra.span color="vermilion" title={original.found.map(({ text }) => text).join('\n')}>
          ▲ {found.title}
        </chakra.span>
      );
    },
  },
];

const idOf = ({ id }: KeyRow) => id;
const dataOf = ({ id }: KeyRow) => ({ 'data-binding': id });
const headingOf = ({ task }: KeyRow) => TASK_TITLES[task];

/** Every binding: its keys, what it does, how often it did something, its reach, and what was found. */
export const KeyTable = memo(function KeyTable(props: {
  rows: readonly KeyRow[];
  selected: string | null;
  /** Nothing is shown, because of what. */
  empty: string;
  onRow: (id: string) => void;
}) {
  return (
    <DataTable
      label="All bindings"
      columns={COLUMNS}
      idOf={idOf}
      dataOf={dataOf}
      headingOf={headingOf}
      {...props}
    />
  );
});
