import { Box, chakra, Flex } from '@chakra-ui/react';
import type { Landing } from '@sorn/core/simulate';
import type { Ref } from 'react';
import { AppBalloon } from '../../sheet/AppBalloon.tsx';
import { Bar } from '../../ui/Bar.tsx';
import { DataTable, type Column } from '../../ui/DataTable.tsx';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { SearchField } from '../../ui/SearchField.tsx';
import { Choice } from '../../ui/SettingRow.tsx';
import { useProfileStore } from '../../state/profile-context.ts';
import { decidedText } from './landings.ts';

const COLUMNS: readonly Column<Landing>[] = [
  {
    id: 'name',
    header: 'Window',
    accessorFn: ({ name }) => name,
    cell: ({ row }) => <WindowCell landing={row.original} />,
  },
  ...(['held', 'workspace', 'monitor'] as const).map((field) => ({
    id: field,
    meta: { isMinor: field === 'held' },
    header: { held: 'Window is', workspace: 'Workspace', monitor: 'Monitor' }[field],
    accessorFn: (landing: Landing) => landing[field],
  })),
  { id: 'decided', header: 'Decided by', meta: { isMinor: true }, accessorFn: decidedText },
];

const idOf = ({ id }: Landing) => id;
/** Every window that is known, where it lands on a desk, and by which rules. */
export function LandingTable({
  landings,
  desks,
  desk,
  onDesk,
  selected,
  onWindow,
  rule,
  filter,
  onFilter,
  filterInput,
}: {
  /** Those that answer to the filter. */
  landings: readonly Landing[];
  desks: readonly { value: string; text: string }[];
  desk: string;
  onDesk: (id: string) => void;
  selected: string | null;
  onWindow: (id: string) => void;
  /** The selected rule: windows that it matches are marked. */
  rule: number;
  filter: string;
  onFilter: (text: string) => void;
  filterInput: Ref<HTMLInputElement>;
}) {
  return (
    <Box
      as="section"
      aria-label="Where each window lands"
      minH="0"
      display="flex"
      flexDirection="column"
    >
      <Bar isHead>
        <span>Where each window lands</span>
        {desks.length > 1 && <Choice label="Desk" value={desk} options={desks} onChange={onDesk} />}
        <KeyCap>D</KeyCap>
        <chakra.span flex="1" />
        <SearchField
          label="Filter windows"
          typed={filter}
          inputRef={filterInput}
          onType={onFilter}
        />
      </Bar>
      <DataTable
        label="Windows"
        rows={landings}
        columns={COLUMNS}
        idOf={idOf}
        dataOf={({ id, matching }) => ({
          'data-landing': id,
          'data-matched': matching.includes(rule),
        })}
        selected={selected}
        onRow={onWindow}
        isSortable
        empty={
          filter === ''
            ? 'No app is known yet. On the page of apps (P) they come from their files, or from a list of windows.'
            : `No window answers to “${filter}”.`
        }
      />
    </Box>
  );
}

function WindowCell({ landing }: { landing: Landing }) {
  const app = useProfileStore((state) => state.profile.apps.find(({ id }) => id === landing.appId));
  return (
    <Flex align="center" gap="9px">
      <AppBalloon app={app} name={landing.name} />
      <chakra.span truncate>{landing.name}</chakra.span>
    </Flex>
  );
}
