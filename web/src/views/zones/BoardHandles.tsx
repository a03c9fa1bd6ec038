import {
  cellAt,
  cellsBetween,
  rangeRect,
  zoneOver,
  type CellRange,
  type DrawnBoard,
  type TrackLine,
} from '@sorn/core';
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

function Cells({ drawn, view, edits, onZone }: Props) {
  const [from, setFrom] = useState<Cell | null>(null);
  const [range, setRange] = useState<CellRange | null>(null);
  const cellUnder = (event: PointerEvent<SVGRectElement>): Cell => {
    const { left, top } = event.currentTarget.ownerSVGElement!.getBoundingClientRect();
    return cellAt(drawn, {
      x: (event.clientX - left - view.x) / view.scale,
      y: (event.clientY - top - view.y) / view.scale,
    });
  };
  const end = () => {
    setFrom(null);
    setRange(null);
  };
  return (
    <>
      <rect
        {...onSheet(view, drawn.area)}
        className="handle is-cells"
        data-drag="cells"
        onPointerDown={(event) => {
          if (event.button !== 0) return;
          setFrom(cellUnder(event));
          event.currentTarget.setPointerCapture(event.pointerId);
        }}
        onPointerMove={(event) => {
          if (!from) return;
          const to = cellUnder(event);
          const isElsewhere = to.column !== from.column || to.row !== from.row;
          if (isElsewhere || range) setRange(cellsBetween(from, to));
        }}
        onPointerUp={() => {
          const over = from && zoneOver(drawn.board, from);
          if (range) edits.draw(cellsBetween(first(range), last(range)));
          else if (over !== null) onZone(over);
          end();
        }}
        onPointerCancel={end}
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

function first({ columns, rows }: CellRange): Cell {
  return { column: columns[0], row: rows[0] };
}

function last({ columns, rows }: CellRange): Cell {
  return { column: columns[1], row: rows[1] };
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
