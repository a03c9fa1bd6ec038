import { droppedAt, type PlacedMonitor } from '@sorn/core/desk';
import { useRef } from 'react';
import { onSheet, type Viewport } from '../../sheet/viewport.ts';
import type { DeskEdits } from './edits.ts';

/** Screen pixels within which a dragged monitor meets the lines of the others. */
const NEAR = 8;
const CORNER = 12;

/** The monitor in hand: a heavy frame outside its edge. */
export function ChosenFrame({ monitor, view }: { monitor: PlacedMonitor; view: Viewport }) {
  const { x, y, width, height } = onSheet(view, monitor);
  const [left, top, right, bottom] = [x - 4, y - 4, x + width + 4, y + height + 4];
  return (
    <g data-chosen={monitor.id} aria-hidden>
      <rect
        x={left}
        y={top}
        width={right - left}
        height={bottom - top}
        className="chosen-monitor"
      />
      <path
        className="chosen-corner"
        d={`M${left} ${top}h${CORNER}l${-CORNER} ${CORNER}Z
          M${right} ${top}v${CORNER}l${-CORNER} ${-CORNER}Z
          M${left} ${bottom}v${-CORNER}l${CORNER} ${CORNER}Z
          M${right} ${bottom}h${-CORNER}l${CORNER} ${-CORNER}Z`}
      />
    </g>
  );
}

/** Takes hold of monitors by pointer: a press chooses one, dragging moves it until edges meet. */
export function Handles(props: {
  edits: DeskEdits;
  view: Viewport;
  onChoose: (id: string) => void;
}) {
  const { edits, view, onChoose } = props;
  const held = useRef<{ monitor: PlacedMonitor; x: number; y: number } | null>(null);
  return edits.standing.map((monitor) => (
    <rect
      key={monitor.id}
      {...onSheet(view, monitor)}
      className="handle"
      data-drag={monitor.id}
      onPointerDown={(event) => {
        if (event.button !== 0) return;
        onChoose(monitor.id);
        held.current = { monitor, x: event.clientX, y: event.clientY };
        event.currentTarget.setPointerCapture(event.pointerId);
      }}
      onPointerMove={(event) => {
        if (!held.current) return;
        const { monitor: from, x, y } = held.current;
        const by = { x: event.clientX - x, y: event.clientY - y };
        if (Math.hypot(by.x, by.y) < 3) return;
        const to = {
          x: Math.round(from.x + by.x / view.scale),
          y: Math.round(from.y + by.y / view.scale),
        };
        const others = edits.standing.filter(({ id }) => id !== from.id);
        const there = droppedAt(from, to, others, Math.round(NEAR / view.scale));
        edits.setEntry(from.id, there, 'move');
      }}
      onPointerUp={() => {
        held.current = null;
      }}
    />
  ));
}
