import { Box } from '@chakra-ui/react';
import { boundsOf, type Rect } from '@sorn/core/geometry';
import { useRef, useState, type ReactNode } from 'react';
import { ViewLayout } from '../../sheet/ViewLayout.tsx';
import { useDeskLayout } from '../../state/profile-context.ts';
import { useSelection } from '../../state/selection.ts';
import { useViewPage } from '../../state/view-pages.ts';
import { MachineReach } from '../../ui/MachineReach.tsx';
import { Choice } from '../../ui/SettingRow.tsx';
import { Sheet } from '../../sheet/Sheet.tsx';
import { AddMonitor } from './AddMonitor.tsx';
import { ChosenFrame, Handles } from './ChosenMonitor.tsx';
import { DeskSettings } from './DeskSettings.tsx';
import { DeskFigures, DeskLines } from './Dimensions.tsx';
import { FindingMarks } from './FindingMarks.tsx';
import { LivePage } from './LivePage.tsx';
import { LineUp } from './LineUp.tsx';
import { Machines } from './Machines.tsx';
import { MonitorSettings } from './MonitorSettings.tsx';
import { Ways } from './Ways.tsx';
import { useDeskKeys } from './desk-keys.ts';
import { useDeskEdits } from './edits.ts';
import { WorkspacesPage } from './WorkspacesPage.tsx';

const PAGES = [
  { value: 'monitors', text: 'Monitors' },
  { value: 'workspaces', text: 'Workspaces' },
  { value: 'live', text: 'Live' },
] as const;
type Page = (typeof PAGES)[number]['value'];

/** What stands on the desk: its monitors, and the workspaces that they show. */
export function DeskView() {
  const [page, setPage] = useViewPage<Page>('desk', 'monitors');
  const pages = (
    <Box mb="14px">
      <Choice label="Page" value={page} options={PAGES} onChange={(value) => setPage(value)} />
    </Box>
  );
  if (page === 'live') return <LivePage pages={pages} onOther={() => setPage('monitors')} />;
  return page === 'monitors' ? (
    <MonitorsPage pages={pages} onOther={() => setPage('workspaces')} />
  ) : (
    <WorkspacesPage pages={pages} onOther={() => setPage('live')} />
  );
}

/** Which monitors there are and where they stand; one of them is selected. */
function MonitorsPage({ pages, onOther }: { pages: ReactNode; onOther: () => void }) {
  const deskLayout = useDeskLayout();
  const { desk, focused } = deskLayout;
  const edits = useDeskEdits(deskLayout);
  const chosen = useSelection((selected) => selected.monitor);
  const setChosen = useSelection((selected) => selected.takeMonitor);
  const [isAdding, setAdding] = useState(false);
  const monitor =
    edits.monitors.find(({ id }) => id === chosen) ??
    edits.monitors.find(({ id }) => id === focused.monitor.id)!;
  const xInput = useRef<HTMLInputElement>(null);
  const topInput = useRef<HTMLInputElement>(null);
  const mmInput = useRef<HTMLInputElement>(null);
  useDeskKeys({
    monitor,
    edits,
    onChoose: setChosen,
    onAdd: () => setAdding(true),
    onOther,
    xInput,
    topInput,
    mmInput,
  });
  const around = useSteadyBounds(edits.monitors);

  return (
    <ViewLayout
      name="Desk"
      inspector={
        <>
          {pages}
          <DeskSettings deskLayout={deskLayout} edits={edits} />
          <MachineReach
            host={edits.machine.host}
            isHere={edits.machine.isHere}
            onChange={edits.machine.setHere}
            cap="S"
            of="a monitor"
          />
          <MonitorSettings
            key={monitor.id}
            deskLayout={deskLayout}
            monitor={monitor}
            edits={edits}
            xInput={xInput}
            topInput={topInput}
          />
          <LineUp monitor={monitor} edits={edits} mmInput={mmInput} />
          <Machines machine={edits.machine} />
        </>
      }
    >
      <Sheet
        deskLayout={deskLayout}
        around={around}
        keepsShift
        marks={(view) => (
          <>
            <FindingMarks desk={desk} view={view} />
            <Ways desk={desk} view={view} />
            <ChosenFrame monitor={monitor} view={view} />
            <DeskLines monitor={monitor} edits={edits} view={view} />
            <Handles edits={edits} view={view} onChoose={setChosen} />
          </>
        )}
        notes={(view) => <DeskFigures monitor={monitor} edits={edits} view={view} />}
      />
      <AddMonitor
        edits={edits}
        onAdded={setChosen}
        isOpen={isAdding}
        onClose={() => {
          setAdding(false);
        }}
      />
    </ViewLayout>
  );
}

/** How far a monitor may stand outside what the sheet fits around before it fits anew: a part of its length. */
const LEEWAY = 0.05;
/** How much smaller the desk may have become. */
const SHRUNK = 1.25;

/** What the sheet fits around: it stays while monitors are moved about there, so that the drawing does too. */
function useSteadyBounds(monitors: readonly Rect[]): readonly Rect[] {
  const [held, setHeld] = useState(monitors);
  const now = boundsOf(monitors)!;
  const former = boundsOf(held)!;
  const room = Math.max(former.width, former.height) * LEEWAY;
  const isInside =
    now.x >= former.x - room &&
    now.y >= former.y - room &&
    now.x + now.width <= former.x + former.width + room &&
    now.y + now.height <= former.y + former.height + room;
  const isSmall = former.width > now.width * SHRUNK && former.height > now.height * SHRUNK;
  if (held.length === monitors.length && isInside && !isSmall) return held;
  setHeld(monitors);
  return monitors;
}
