import { chakra } from '@chakra-ui/react';
import type { ProfileFileState } from '@sorn/api';
import { DataTable, type Column } from '../../ui/DataTable.tsx';

type FileFault = NonNullable<ProfileFileState['faults']>[number];

const placeText = ({ file, line, column }: FileFault) => `${file}:${line}:${column}`;

const COLUMNS: readonly Column<FileFault>[] = [
  {
    id: 'place',
    header: 'Where',
    cell: ({ row: { original } }) => (
      <chakra.span fontFamily="mono" fontStretch="88%" fontSize="12px" whiteSpace="nowrap">
        {placeText(original)}
      </chakra.span>
    ),
  },
  {
    id: 'message',
    header: 'What is wrong, and what was expected',
    cell: ({ row: { original } }) => (
      <>
        <chakra.span overflowWrap="anywhere">{original.message}</chakra.span>
        <chakra.code
          display="block"
          fontFamily="mono"
          fontStretch="88%"
          fontSize="12px"
          color="slate"
          overflowWrap="anywhere"
        >
          {original.excerpt}
        </chakra.code>
      </>
    ),
  },
];

/** What is wrong in a file, by its lines. */
export function FileFaults({ faults }: { faults: readonly FileFault[] }) {
  return (
    <DataTable
      label="Faults in the file"
      rows={faults}
      columns={COLUMNS}
      idOf={(fault) => `${placeText(fault)} ${fault.message}`}
      selected=""
      onRow={() => undefined}
      dataOf={(fault) => ({ 'data-fault-line': String(fault.line) })}
      empty="Nothing is wrong."
    />
  );
}
