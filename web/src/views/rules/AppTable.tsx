import { Box, chakra, Flex } from '@chakra-ui/react';
import type { App, AppWindow } from '@sorn/core/model';
import type { ReactNode } from 'react';
import { AppBalloon } from '../../sheet/AppBalloon.tsx';
import { useInSight } from '../../ui/in-sight.ts';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { TextButton } from '../../ui/TextButton.tsx';
import { tableStyle } from '../../ui/table-style.ts';

/** Every app with its windows, and what they say of their size. */
export function AppTable(props: {
  /** The choice of another page. */
  pages: ReactNode;
  apps: readonly App[];
  inHand: string | null;
  onApp: (id: string) => void;
  onAdd: () => void;
}) {
  const { apps, inHand } = props;
  return (
    <Box as="section" aria-label="Apps" minH="0" display="flex" flexDirection="column">
      <Flex align="center" justify="space-between" pb="6px" fontSize="13px" color="slate">
        <Flex align="center" gap="12px">
          {props.pages}
          <span>Apps, with their windows and what these say of their size, in logical pixels</span>
        </Flex>
        <Flex gap="6px" align="center">
          <KeyCap>F</KeyCap> import <KeyCap>N</KeyCap> new
        </Flex>
      </Flex>
      <Box overflow="auto" minH="0" tabIndex={0} role="region" aria-label="List of apps">
        <chakra.table width="100%" fontSize="12.5px" css={tableStyle}>
          <thead>
            <tr>
              {['App', 'Id', 'Window', 'Kind', 'Size'].map((head) => (
                <chakra.th key={head} fontWeight={600} color="slate">
                  {head}
                </chakra.th>
              ))}
            </tr>
          </thead>
          <tbody>
            {apps.map((app) => (
              <AppRow key={app.id} app={app} isInHand={app.id === inHand} onApp={props.onApp} />
            ))}
          </tbody>
        </chakra.table>
        {apps.length === 0 && (
          <chakra.p fontSize="13px" color="slate" py="10px">
            No app yet. Import .desktop files or a list of windows, or{' '}
            <TextButton onClick={props.onAdd}>add one by hand</TextButton>.
          </chakra.p>
        )}
      </Box>
    </Box>
  );
}

function AppRow(props: { app: App; isInHand: boolean; onApp: (id: string) => void }) {
  const { app, isInHand } = props;
  const row = useInSight<HTMLTableRowElement>(isInHand);
  return (
    <>
      <chakra.tr
        ref={row}
        data-app={app.id}
        data-in-hand={isInHand}
        cursor="pointer"
        onClick={() => props.onApp(app.id)}
      >
        <td>
          <Flex align="center" gap="9px">
            <AppBalloon app={app} name={app.name ?? app.id} />
            <chakra.span truncate>{app.name ?? app.id}</chakra.span>
          </Flex>
        </td>
        <td>
          <Mono>{app.id}</Mono>
        </td>
        <WindowCells window={app} />
      </chakra.tr>
      {app.windows?.map((window) => (
        <chakra.tr
          key={window.title}
          data-app-window={window.title}
          data-in-hand={isInHand}
          cursor="pointer"
          onClick={() => props.onApp(app.id)}
        >
          <td />
          <td />
          <WindowCells window={window} />
        </chakra.tr>
      ))}
    </>
  );
}

function Mono({ children }: { children: ReactNode }) {
  return (
    <chakra.span fontFamily="mono" fontSize="12px" fontStretch="86%">
      {children}
    </chakra.span>
  );
}

function WindowCells({ window }: { window: App | AppWindow }) {
  const parent = window.parent === undefined ? '' : ` of ${window.parent}`;
  return (
    <>
      <td>{window.title ?? '–'}</td>
      <td>
        {window.kind}
        {parent}
      </td>
      <td>
        <Mono>{sizeText(window)}</Mono>
      </td>
    </>
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
