import { Box, chakra, Flex } from '@chakra-ui/react';
import type { App, AppWindow } from '@sorn/core/model';
import { useCallback, useMemo, type ReactNode } from 'react';
import { AppBalloon } from '../../sheet/AppBalloon.tsx';
import { Bar } from '../../ui/Bar.tsx';
import { DataTable, type Column } from '../../ui/DataTable.tsx';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { TextButton } from '../../ui/TextButton.tsx';

/** Every app with its windows, and what they say of their size. */
export function AppTable(props: {
  /** The choice of another page. */
  pages: ReactNode;
  apps: readonly App[];
  selected: string | null;
  onApp: (id: string) => void;
  onAdd: () => void;
}) {
  const { apps, selected, onApp } = props;
  const lines = useMemo(
    () =>
      apps.flatMap((app): Line[] =>
        [app, ...(app.windows ?? [])].map((window) => ({ app, window })),
      ),
    [apps],
  );
  // No app has a slash in its id.
  const choose = useCallback((id: string) => onApp(id.split('/')[0]!), [onApp]);
  return (
    <Box as="section" aria-label="Apps" minH="0" display="flex" flexDirection="column">
      <Bar isHead>
        {props.pages}
        <span>Apps, with their windows and what these say of their size, in logical pixels</span>
        <chakra.span flex="1" />
        <Flex gap="6px" align="center">
          <KeyCap>F</KeyCap> import <KeyCap>N</KeyCap> new
        </Flex>
      </Bar>
      <DataTable
        label="List of apps"
        rows={lines}
        columns={COLUMNS}
        idOf={idOf}
        dataOf={({ app, window }) => ({
          ...(window === app ? { 'data-app': app.id } : { 'data-app-window': window.title ?? '' }),
          'data-selected': app.id === selected,
        })}
        selected={selected}
        onRow={choose}
        empty={
          <>
            No app yet. Import .desktop files or a list of windows, or{' '}
            <TextButton onClick={props.onAdd}>add one by hand</TextButton>.
          </>
        }
      />
    </Box>
  );
}

/** A window of an app; its main one is the app itself. */
interface Line {
  app: App;
  window: App | AppWindow;
}

const idOf = ({ app, window }: Line) => (window === app ? app.id : `${app.id}/${window.title}`);

const COLUMNS: readonly Column<Line>[] = [
  {
    id: 'app',
    header: 'App',
    cell({ row }) {
      const { app, window } = row.original;
      if (window !== app) return null;
      return (
        <Flex align="center" gap="9px">
          <AppBalloon app={app} name={app.name ?? app.id} />
          <chakra.span truncate>{app.name ?? app.id}</chakra.span>
        </Flex>
      );
    },
  },
  {
    id: 'id',
    header: 'Id',
    meta: { isMinor: true },
    cell: ({ row: { original } }) =>
      original.window === original.app && <Mono>{original.app.id}</Mono>,
  },
  { id: 'window', header: 'Window', cell: ({ row }) => row.original.window.title ?? '–' },
  {
    id: 'kind',
    header: 'Kind',
    meta: { isMinor: true },
    cell({ row }) {
      const { kind, parent } = row.original.window;
      return `${kind}${parent === undefined ? '' : ` of ${parent}`}`;
    },
  },
  {
    id: 'size',
    header: 'Size',
    cell: ({ row }) => <Mono>{sizeText(row.original.window)}</Mono>,
  },
];

function Mono({ children }: { children: ReactNode }) {
  return (
    <chakra.span fontFamily="mono" fontSize="12px" fontStretch="86%">
      {children}
    </chakra.span>
  );
}

/** What a window says of its size, in a few words. */
function sizeText({ resizable, preferred, min, max, aspect, increment }: App | AppWindow): string {
  const size = ({ width, height }: { width: number; height: number }) => `${width}×${height}`;
  if (resizable === false && preferred) return `fixed ${size(preferred)}`;
  const parts = [
    ...(min ? [`from ${size(min)}`] : []),
    ...(max ? [`to ${size(max)}`] : []),
    ...(preferred ? [`likes ${size(preferred)}`] : []),
    ...(increment ? [`steps ${size(increment)}`] : []),
    ...(aspect === undefined ? [] : ['keeps its aspect']),
    ...(resizable === false ? ['fixed'] : []),
  ];
  return parts.join(', ') || 'any';
}
