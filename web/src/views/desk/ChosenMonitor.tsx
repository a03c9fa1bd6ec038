import { droppedAt, type DeskMonitor } from '@sorn/core/desk';
import { useEditGroup } from '../../state/edit-group.ts';
import { usePull } from '../../ui/pull.ts';
import { onSheet, type Viewport } from '../../sheet/viewport.ts';
import type { DeskEdits } from './edits.ts';

/** Screen pixels within which a dragged monitor meets the lines of the others. */
const NEAR = 8;
const CORNER = 12;

/** The selected monitor: a heavy frame outside its edge. */
export function ChosenFrame({ monitor, view }: { monitor: DeskMonitor; view: Viewport }) {
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
  const group = useEditGroup<DeskMonitor>();
  const bind = usePull<[DeskMonitor]>(({ args: [monitor], from, to, ...pull }) => {
    if (pull.isFirst || pull.isTap) onChoose(monitor.id);
    if (pull.isTap) return;
    // What was taken hold of is where it was then, however often it was drawn since.
    if (pull.isFirst) group.begin(monitor);
    const start = group.begun() ?? monitor;
    if (!pull.isDropped) {
      const there = {
        x: Math.round(start.x + (to[0] - from[0]) / view.scale),
        y: Math.round(start.y + (to[1] - from[1]) / view.scale),
      };
      const others = edits.monitors.filter(({ id }) => id !== start.id);
      edits.setEntry(start.id, droppedAt(start, there, others, Math.round(NEAR / view.scale)));
    }
    if (pull.isLast) group.end(pull.isDropped);
  });
  return edits.monitors.map((monitor) => (
    <rect
      key={monitor.id}
      {...bind(monitor)}
      {...onSheet(view, monitor)}
      className="handle"
      data-drag={monitor.id}
    />
  ));
}
