import { boundsOf, type Rect } from '@sorn/core';
import { useRef, useState } from 'react';
import { BenchLayout } from '../../app/Bench.tsx';
import { usePlacedDesk } from '../../data/bench-context.ts';
import { Sheet } from '../../sheet/Sheet.tsx';
import { AddMonitor } from './AddMonitor.tsx';
import { ChosenFrame, Handles } from './ChosenMonitor.tsx';
import { DeskSettings } from './DeskSettings.tsx';
import { DeskFigures, DeskLines } from './Dimensions.tsx';
import { FindingMarks } from './FindingMarks.tsx';
import { Homes } from './Homes.tsx';
import { LineUp } from './LineUp.tsx';
import { MonitorSettings } from './MonitorSettings.tsx';
import { Ways } from './Ways.tsx';
import { useDeskKeys } from './desk-keys.ts';
import { useDeskEdits } from './edits.ts';

/** Which monitors there are and where they stand; one of them is in hand. */
export function DeskView() {
  const placed = usePlacedDesk();
  const { desk, focused } = placed;
  const edits = useDeskEdits(placed);
  const [chosen, setChosen] = useState<string | null>(null);
  const [isAdding, setAdding] = useState(false);
  const monitor =
    edits.standing.find(({ id }) => id === chosen) ??
    edits.standing.find(({ id }) => id === focused.monitor.id)!;
  const xInput = useRef<HTMLInputElement>(null);
  const topInput = useRef<HTMLInputElement>(null);
  const mmInput = useRef<HTMLInputElement>(null);
  useDeskKeys({
    monitor,
    edits,
    onChoose: setChosen,
    onAdd: () => setAdding(true),
    xInput,
    topInput,
    mmInput,
  });
  const around = useSteadyBounds(edits.standing);

  return (
    <BenchLayout
      name="Desk"
      inspector={
        <>
          <DeskSettings placed={placed} edits={edits} />
          <MonitorSettings
            key={monitor.id}
            placed={placed}
            monitor={monitor}
            edits={edits}
            xInput={xInput}
            topInput={topInput}
          />
          <LineUp monitor={monitor} edits={edits} mmInput={mmInput} />
          <Homes placed={placed} edits={edits} />
        </>
      }
    >
      <Sheet
        placed={placed}
        around={around}
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
        isOpen={isAdding}
        onClose={() => {
          setAdding(false);
        }}
      />
    </BenchLayout>
  );
}

/** What the sheet fits around: it stays while monitors are moved within it, so that the drawing does too. */
function useSteadyBounds(standing: readonly Rect[]): readonly Rect[] {
  const bounds = boundsOf(standing)!;
  const room = Math.round(Math.max(bounds.width, bounds.height) * 0.04);
  const roomy: Rect = {
    x: bounds.x - room,
    y: bounds.y - room,
    width: bounds.width + 2 * room,
    height: bounds.height + 2 * room,
  };
  const [held, setHeld] = useState<readonly Rect[]>([roomy]);
  const [now] = held as [Rect];
  const isInside =
    bounds.x >= now.x &&
    bounds.y >= now.y &&
    bounds.x + bounds.width <= now.x + now.width &&
    bounds.y + bounds.height <= now.y + now.height;
  const isFar = now.width > roomy.width * 1.3 && now.height > roomy.height * 1.3;
  if (isInside && !isFar) return held;
  setHeld([roomy]);
  return held;
}
