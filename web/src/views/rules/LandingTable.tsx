import { Box, chakra, Flex } from '@chakra-ui/react';
import { nearness } from '@sorn/core/engine';
import type { Landing } from '@sorn/core/simulate';
import {
  createColumnHelper,
  flexRender,
  getCoreRowModel,
  getFilteredRowModel,
  getSortedRowModel,
  useReactTable,
  type SortingState,
} from '@tanstack/react-table';
import { useState, type ReactNode, type Ref } from 'react';
import { AppBalloon } from '../../sheet/AppBalloon.tsx';
import { useInSight } from '../../ui/in-sight.ts';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { Choice } from '../../ui/SettingRow.tsx';
import { useBench } from '../../state/profile-context.ts';
import { tableStyle } from '../../ui/table-style.ts';

/** Who decided where a window lands: "rule 4", "rules 1, 6", "default". */
function decidedText({ decidedBy }: Landing): string {
  if (decidedBy.length === 0) return 'default';
  const numbers = decidedBy.map((at) => at + 1).join(', ');
  return decidedBy.length === 1 ? `rule ${numbers}` : `rules ${numbers}`;
}

const column = createColumnHelper<Landing>();
const columns = [
  column.accessor('name', {
    header: 'Window',
    cell: ({ row }) => <WindowCell landing={row.original} />,
  }),
  column.accessor('held', { header: 'Held' }),
  column.accessor('workspace', { header: 'Workspace' }),
  column.accessor('monitor', { header: 'Monitor' }),
  column.accessor(decidedText, { id: 'decided', header: 'Decided by' }),
];

/** Every window that is known, where it lands on a desk, and by which rules. */
export function LandingTable(props: {
  landings: readonly Landing[];
  desks: readonly { value: string; text: string }[];
  desk: string;
  onDesk: (id: string) => void;
  inHand: string | null;
  onWindow: (id: string) => void;
  /** The rule in hand: windows that it matches are marked. */
  rule: number;
  filter: string;
  onFilter: (text: string) => void;
  filterInput: Ref<HTMLInputElement>;
}) {
  const { landings, inHand, filter } = props;
  const [sorting, setSorting] = useState<SortingState>([]);
  // eslint-disable-next-line react-hooks/incompatible-library -- its functions stay in this component
  const table = useReactTable({
    data: landings as Landing[],
    columns,
    state: { sorting, globalFilter: filter },
    onSortingChange: setSorting,
    globalFilterFn: ({ original }, _column, typed: string) =>
      nearness(
        [
          original.name,
          original.title,
          original.held,
          original.workspace,
          original.monitor,
          decidedText(original),
        ].join(' '),
        typed,
      ) > 0,
    getCoreRowModel: getCoreRowModel(),
    getFilteredRowModel: getFilteredRowModel(),
    getSortedRowModel: getSortedRowModel(),
    getRowId: ({ id }) => id,
  });
  const { rows } = table.getRowModel();
  return (
    <Box
      as="section"
      aria-label="Where each window lands"
      minH="0"
      display="flex"
      flexDirection="column"
    >
      <Flex align="center" gap="10px" pb="6px" fontSize="13px" color="slate">
        <span>Where each window lands</span>
        {props.desks.length > 1 && (
          <Choice label="Desk" value={props.desk} options={props.desks} onChange={props.onDesk} />
        )}
        <KeyCap>D</KeyCap>
        <chakra.span flex="1" />
        <Flex
          border="1px solid"
          borderColor="hairline"
          align="center"
          px="8px"
          height="26px"
          gap="6px"
          width="220px"
        >
          <chakra.input
            ref={props.filterInput}
            aria-label="Filter windows"
            placeholder="Filter windows"
            flex="1"
            minW="0"
            fontSize="13px"
            bg="transparent"
            color="ink"
            value={filter}
            onChange={(event) => props.onFilter(event.target.value)}
            onKeyDown={(event) => {
              if (event.key === 'Escape') props.onFilter('');
              if (event.key === 'Escape' || event.key === 'Enter') event.currentTarget.blur();
            }}
          />
          <KeyCap>/</KeyCap>
        </Flex>
      </Flex>
      <Box overflow="auto" minH="0" tabIndex={0} role="region" aria-label="Windows">
        <chakra.table width="100%" fontSize="12.5px" css={tableStyle}>
          <thead>
            {table.getHeaderGroups().map(({ id, headers }) => (
              <tr key={id}>
                {headers.map((header) => (
                  <th key={header.id} aria-sort={sortOf(header.column.getIsSorted())}>
                    <chakra.button
                      type="button"
                      fontWeight={600}
                      color="slate"
                      cursor="pointer"
                      onClick={header.column.getToggleSortingHandler()}
                    >
                      {flexRender(header.column.columnDef.header, header.getContext())}
                      {{ asc: ' ↑', desc: ' ↓' }[String(header.column.getIsSorted())] ?? ''}
                    </chakra.button>
                  </th>
                ))}
              </tr>
            ))}
          </thead>
          <tbody>
            {rows.map((row) => (
              <Row
                key={row.id}
                id={row.id}
                isInHand={row.id === inHand}
                isMatched={row.original.matching.includes(props.rule)}
                onChoose={() => props.onWindow(row.id)}
              >
                {row.getVisibleCells().map((cell) => (
                  <td key={cell.id} data-column={cell.column.id}>
                    {flexRender(cell.column.columnDef.cell, cell.getContext())}
                  </td>
                ))}
              </Row>
            ))}
          </tbody>
        </chakra.table>
        {rows.length === 0 && (
          <chakra.p fontSize="13px" color="slate" py="10px">
            {landings.length === 0
              ? 'No app is known yet. On the page of apps (P) they come from their files, or from a list of windows.'
              : `No window answers to “${filter}”.`}
          </chakra.p>
        )}
      </Box>
    </Box>
  );
}

function sortOf(sorted: false | 'asc' | 'desc') {
  return sorted === 'asc' ? 'ascending' : sorted === 'desc' ? 'descending' : 'none';
}

function Row(props: {
  id: string;
  isInHand: boolean;
  isMatched: boolean;
  onChoose: () => void;
  children: ReactNode;
}) {
  const { isInHand } = props;
  const row = useInSight<HTMLTableRowElement>(isInHand);
  return (
    <chakra.tr
      ref={row}
      data-landing={props.id}
      data-matched={props.isMatched}
      data-in-hand={isInHand}
      cursor="pointer"
      onClick={props.onChoose}
    >
      {props.children}
    </chakra.tr>
  );
}

function WindowCell({ landing }: { landing: Landing }) {
  const app = useBench((bench) => bench.profile.apps.find(({ id }) => id === landing.appId));
  return (
    <Flex align="center" gap="9px">
      <AppBalloon app={app} name={landing.name} />
      <chakra.span truncate>{landing.name}</chakra.span>
    </Flex>
  );
}
