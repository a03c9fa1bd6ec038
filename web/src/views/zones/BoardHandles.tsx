import { rangeRect } from '@sorn/core/tiling';
import { cellAt, cellsBetween, zoneOver, type DrawnBoard, type TrackLine } from '@sorn/core/zones';
import { useRef, useState, type PointerEvent } from 'react';
import { onSheet, type Viewport } from '../../sheet/viewport.ts';
import type { ZoneEdits } from './edits.ts';

interface Props {
  drawn: DrawnBoard;
  view: Viewport;
  edits: ZoneEdits;
  onZone: (name: string) => void;
}

/** By pointer: a press takes the zone there in hand, a drag over cells draws a zone, a drag on a line moves it. */
export function BoardHandles(props: Props) {
  return (
    <>
      <Cells {...props} />
      {props.drawn.lines.map((line) => (
        <LineHandle key={`${line.axis}${line.track}`} line={line} {...props} />
      ))}
    </>
  );
}

type Cell = ReturnType<typeof cellAt>;

/** A drag over cells: where it began, and where it is; nowhere else yet while it is only a press. */
interface Drag {
  from: Cell;
  to: Cell | null;
}

function Cells({ drawn, view, edits, onZone }: Props) {
  const [drag, setDrag] = useState<Drag | null>(null);
  const cellUnder = (event: PointerEvent<SVGRectElement>): Cell => {
    const { left, top } = event.currentTarget.ownerSVGElement!.getBoundingClientRect();
    return cellAt(drawn, {
      x: (event.clientX - left - view.x) / view.scale,
      y: (event.clientY - top - view.y) / view.scale,
    });
  };
  const range = drag?.to ? cellsBetween(drag.from, drag.to) : null;
  return (
    <>
      <rect
        {...onSheet(view, drawn.area)}
        className="handle is-cells"
        data-drag="cells"
        onPointerDown={(event) => {
          if (event.button !== 0) return;
          setDrag({ from: cellUnder(event), to: null });
          event.currentTarget.setPointerCapture(event.pointerId);
        }}
        onPointerMove={(event) => {
          if (!drag) return;
          const to = cellUnder(event);
          const isElsewhere = to.column !== drag.from.column || to.row !== drag.from.row;
          if (isElsewhere || drag.to) setDrag({ ...drag, to });
        }}
        onPointerUp={() => {
          const over = drag && zoneOver(drawn.board, drag.from);
          if (range) edits.draw(range);
          else if (over !== null) onZone(over);
          setDrag(null);
        }}
        onPointerCancel={() => setDrag(null)}
      />
      {range && (
        <rect
          {...onSheet(view, rangeRect(drawn.tracks, range, drawn.area))}
          className="place-outline is-block"
          pointerEvents="none"
        />
      )}
    </>
  );
}

/** Screen pixels on both sides of a line that take hold of it. */
const REACH = 5;

function LineHandle({ line, view, edits }: Props & { line: TrackLine }) {
  const { axis, track } = line;
  const held = useRef<number | null>(null);
  const at = line.at * view.scale + (axis === 'x' ? view.x : view.y);
  const from = line.from * view.scale + (axis === 'x' ? view.y : view.x);
  const length = (line.to - line.from) * view.scale;
  const shape =
    axis === 'x'
      ? { x: at - REACH, y: from, width: 2 * REACH, height: length }
      : { x: from, y: at - REACH, width: length, height: 2 * REACH };
  return (
    <rect
      {...shape}
      className={`handle is-line-${axis}`}
      data-drag={`line ${axis} ${track}`}
      onPointerDown={(event) => {
        if (event.button !== 0) return;
        held.current = axis === 'x' ? event.clientX : event.clientY;
        event.currentTarget.setPointerCapture(event.pointerId);
      }}
      onPointerMove={(event) => {
        if (held.current === null) return;
        const now = axis === 'x' ? event.clientX : event.clientY;
        const by = Math.round((now - held.current) / view.scale);
        if (by === 0) return;
        held.current = now;
        edits.moveLineAt(axis, track, by);
      }}
      onPointerUp={() => {
        held.current = null;
      }}
    />
  );
}
