import { snapArea } from '@sorn/core/engine';
import { zoneBoardName } from '@sorn/core/tiling';
import { zoneBoardFits, zoneBoardMeant, drawZoneBoard } from '@sorn/core/zones';
import { useMemo, useRef, useState } from 'react';
import { ViewLayout } from '../../sheet/ViewLayout.tsx';
import { useProfileStore, useDeskLayout } from '../../state/profile-context.ts';
import { useSelection } from '../../state/selection.ts';
import { useCopied } from '../../state/slip-here.ts';
import { Sheet } from '../../sheet/Sheet.tsx';
import { tabEdge } from '../../sheet/tabs.ts';
import type { Viewport } from '../../sheet/viewport.ts';
import { ZoneBoardDrawing, OtherZoneBoards } from './ZoneBoardDrawing.tsx';
import { ZoneBoardHandles } from './ZoneBoardHandles.tsx';
import { ZoneBoardList } from './ZoneBoardList.tsx';
import { ZoneBoardSettings } from './ZoneBoardSettings.tsx';
import { MonitorZoneBoards } from './MonitorZoneBoards.tsx';
import { PlacingSettings } from './PlacingSettings.tsx';
import { StarterZoneBoards } from './StarterZoneBoards.tsx';
import { TrackFigures, TrackLines } from './TrackFigures.tsx';
import { ChooseApp } from './AppsInZone.tsx';
import { ZoneList } from './ZoneList.tsx';
import { useZoneEdits } from './edits.ts';
import { useZoneKeys } from './zone-keys.ts';

/** Boards of zones, drawn on the monitor they are made for; one zone of one board is selected. */
export function ZonesView() {
  const deskLayout = useDeskLayout();
  const { desk, focused } = deskLayout;
  const profile = useProfileStore((state) => state.profile);
  const session = useProfileStore((state) => state.session);
  const [monitorId, setMonitor] = useState(focused.monitor.id);
  const boardId = useSelection((selected) => selected.board);
  const setBoard = useSelection((selected) => selected.takeBoard);
  const [zoneName, setZone] = useState<string | null>(null);
  const [isAdding, setAdding] = useState(false);
  const [isChoosing, setChoosing] = useState(false);
  const monitor = desk.monitors.find(({ id }) => id === monitorId) ?? focused.monitor;
  const workspace = session.shown[monitor.id]!;
  const fits = zoneBoardFits(profile, desk, monitor);
  const shown = deskLayout.shown.find((arranged) => arranged.monitor.id === monitor.id)!;
  const own =
    shown.tiling.layout.kind === 'board'
      ? zoneBoardMeant(shown.tiling.layout, shown.boards.all, shown.boards.fitting)
      : shown.boards.fitting[0];
  const board = profile.boards.find(({ id }) => id === boardId) ?? own ?? profile.boards[0] ?? null;
  const zone =
    board?.zones.find(({ name }) => name === zoneName)?.name ?? board?.zones[0]?.name ?? null;
  useCopied(`board ${board ? zoneBoardName(board) : ''}`, board && { board });
  const area = snapArea({ session, profile, desk }, workspace, monitor.id);
  const drawn = board && drawZoneBoard(board, area);
  const edits = useZoneEdits({
    board,
    zone,
    workspace,
    monitor: monitor.id,
    drawn,
    onBoard: setBoard,
    onZone: setZone,
  });
  const nameInput = useRef<HTMLInputElement>(null);
  const weightInput = useRef<HTMLInputElement>(null);
  const repeatSelect = useRef<HTMLSelectElement>(null);
  const oppositeSelect = useRef<HTMLSelectElement>(null);
  const hasTab = (view: Viewport) => tabEdge(monitor, desk, view) === 'top';
  const around = useMemo(() => [monitor], [monitor]);

  useZoneKeys({
    edits,
    board,
    zone,
    monitor,
    monitors: desk.monitors,
    boards: profile.boards,
    nameInput,
    weightInput,
    repeatSelect,
    oppositeSelect,
    onBoard: setBoard,
    onZone: setZone,
    onMonitor(id) {
      setMonitor(id);
      setBoard(null);
    },
    onAdd: () => setAdding(true),
    onApp: () => setChoosing(true),
  });

  return (
    <ViewLayout
      name="Zones"
      inspector={
        <>
          <ZoneBoardList
            fits={fits}
            board={board}
            edits={edits}
            onBoard={setBoard}
            onAdd={() => setAdding(true)}
          />
          {board && zone !== null && (
            <ZoneList
              board={board}
              zone={zone}
              edits={edits}
              onZone={setZone}
              onApp={() => setChoosing(true)}
              nameInput={nameInput}
            />
          )}
          {board && <ZoneBoardSettings key={board.id} board={board} edits={edits} />}
          <MonitorZoneBoards deskLayout={deskLayout} board={board} monitor={monitor.id} />
          <PlacingSettings
            monitor={monitor}
            repeatSelect={repeatSelect}
            oppositeSelect={oppositeSelect}
          />
        </>
      }
    >
      <Sheet
        deskLayout={deskLayout}
        around={around}
        isPlan
        keepsShift
        marks={(view) => (
          <>
            <OtherZoneBoards deskLayout={deskLayout} besides={monitor.id} view={view} />
            {drawn && (
              <>
                <ZoneBoardDrawing drawn={drawn} zone={zone} view={view} />
                <TrackLines drawn={drawn} view={view} hasTab={hasTab(view)} />
                <ZoneBoardHandles drawn={drawn} view={view} edits={edits} onZone={setZone} />
              </>
            )}
          </>
        )}
        notes={(view) =>
          drawn && (
            <TrackFigures
              drawn={drawn}
              view={view}
              hasTab={hasTab(view)}
              edits={edits}
              weightInput={weightInput}
            />
          )
        }
      />
      {zone !== null && (
        <ChooseApp
          isOpen={isChoosing}
          onClose={() => setChoosing(false)}
          zone={zone}
          edits={edits}
        />
      )}
      <StarterZoneBoards
        isOpen={isAdding}
        monitor={monitor}
        edits={edits}
        onClose={() => setAdding(false)}
      />
    </ViewLayout>
  );
}
