import { placingArea } from '@sorn/core/engine';
import { boardFits, boardMeant, drawnBoard } from '@sorn/core/zones';
import { useMemo, useRef, useState } from 'react';
import { BenchLayout } from '../../sheet/ViewLayout.tsx';
import { useBench, usePlacedDesk } from '../../state/profile-context.ts';
import { Sheet } from '../../sheet/Sheet.tsx';
import { tabEdge } from '../../sheet/tabs.ts';
import type { Viewport } from '../../sheet/viewport.ts';
import { BoardDrawing, OtherBoards } from './BoardDrawing.tsx';
import { BoardHandles } from './BoardHandles.tsx';
import { BoardList } from './BoardList.tsx';
import { BoardSettings } from './BoardSettings.tsx';
import { MonitorBoards } from './MonitorBoards.tsx';
import { PlacingSettings } from './PlacingSettings.tsx';
import { StarterBoards } from './StarterBoards.tsx';
import { TrackFigures, TrackLines } from './TrackFigures.tsx';
import { ZoneList } from './ZoneList.tsx';
import { useZoneEdits } from './edits.ts';
import { useZoneKeys } from './zone-keys.ts';

/** Boards of zones, drawn on the monitor they are made for; one zone of one board is in hand. */
export function ZonesView() {
  const placed = usePlacedDesk();
  const { desk, focused } = placed;
  const profile = useBench((bench) => bench.profile);
  const session = useBench((bench) => bench.session);
  const [monitorId, setMonitor] = useState(focused.monitor.id);
  const [boardId, setBoard] = useState<string | null>(null);
  const [zoneName, setZone] = useState<string | null>(null);
  const [isAdding, setAdding] = useState(false);
  const monitor = desk.monitors.find(({ id }) => id === monitorId) ?? focused.monitor;
  const workspace = session.shown[monitor.id]!;
  const fits = boardFits(profile, desk, monitor);
  const shown = placed.shown.find((arranged) => arranged.monitor.id === monitor.id)!;
  const own =
    shown.tiling.layout.kind === 'board'
      ? boardMeant(shown.tiling.layout, shown.boards.all, shown.boards.fitting)
      : shown.boards.fitting[0];
  const board = profile.boards.find(({ id }) => id === boardId) ?? own ?? profile.boards[0] ?? null;
  const zone =
    board?.zones.find(({ name }) => name === zoneName)?.name ?? board?.zones[0]?.name ?? null;
  const area = placingArea({ session, profile, desk }, workspace, monitor.id);
  const drawn = board && drawnBoard(board, area);
  const edits = useZoneEdits({ board, zone, drawn, onBoard: setBoard, onZone: setZone });
  const nameInput = useRef<HTMLInputElement>(null);
  const weightInput = useRef<HTMLInputElement>(null);
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
    onBoard: setBoard,
    onZone: setZone,
    onMonitor(id) {
      setMonitor(id);
      setBoard(null);
    },
    onAdd: () => setAdding(true),
  });

  return (
    <BenchLayout
      name="Zones"
      inspector={
        <>
          <BoardList
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
              nameInput={nameInput}
            />
          )}
          {board && <BoardSettings key={board.id} board={board} edits={edits} />}
          <MonitorBoards placed={placed} board={board} monitor={monitor.id} />
          <PlacingSettings monitor={monitor} />
        </>
      }
    >
      <Sheet
        placed={placed}
        around={around}
        isPlan
        keepsShift
        marks={(view) => (
          <>
            <OtherBoards placed={placed} besides={monitor.id} view={view} />
            {drawn && (
              <>
                <BoardDrawing drawn={drawn} zone={zone} view={view} />
                <TrackLines drawn={drawn} view={view} hasTab={hasTab(view)} />
                <BoardHandles drawn={drawn} view={view} edits={edits} onZone={setZone} />
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
      <StarterBoards
        isOpen={isAdding}
        monitor={monitor}
        edits={edits}
        onClose={() => setAdding(false)}
      />
    </BenchLayout>
  );
}
