import { rangeRect } from '@sorn/core/tiling';
import {
  cellAt,
  cellsBetween,
  zoneOver,
  type DrawnZoneBoard,
  type TrackLine,
} from '@sorn/core/zones';
import { useRef, useState } from 'react';
import { useEditGroup } from '../../state/edit-group.ts';
import { usePull } from '../../ui/pull.ts';
import { onSheet, type Viewport } from '../../sheet/viewport.ts';
import type { ZoneEdits } from './edits.ts';

interface Props {
  drawn: DrawnZoneBoard;
  view: Viewport;
  edits: ZoneEdits;
  onZone: (name: string) => void;
}

/** By pointer: a press selects the zone there, a drag over cells draws a zone, a drag on a line moves it. */
export function ZoneBoardHandles(props: Props) {
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

/** A drag over cells: where it began, and where it is. */
interface Drag {
  from: Cell;
  to: Cell;
}

function Cells({ drawn, view, edits, onZone }: Props) {
  const [drag, setDrag] = useState<Drag | null>(null);
  const area = useRef<SVGRectElement>(null);
  const cellUnder = ([x, y]: readonly [number, number]): Cell => {
    const { left, top } = area.current!.ownerSVGElement!.getBoundingClientRect();
    return cellAt(drawn, {
      x: (x - left - view.x) / view.scale,
      y: (y - top - view.y) / view.scale,
    });
  };
  const bind = usePull<[]>(({ from: begun, to: at, isTap, isLast, isDropped }) => {
    const [from, to] = [cellUnder(begun), cellUnder(at)];
    if (isTap) {
      const over = zoneOver(drawn.board, from);
      if (over !== null) onZone(over);
      return;
    }
    setDrag(isLast ? null : { from, to });
    if (isLast && !isDropped) edits.draw(cellsBetween(from, to));
  });
  const range = drag && cellsBetween(drag.from, drag.to);
  return (
    <>
      <rect
        ref={area}
        {...bind()}
        {...onSheet(view, drawn.area)}
        className="handle is-cells"
        data-drag="cells"
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
  const group = useEditGroup<{ moved: number }>();
  const bind = usePull<[]>(({ from: begun, to, isTap, isFirst, isLast, isDropped }) => {
    if (isTap) return;
    if (isFirst) group.begin({ moved: 0 });
    const start = group.begun();
    const side = axis === 'x' ? 0 : 1;
    const by = Math.round((to[side] - begun[side]) / view.scale) - (start?.moved ?? 0);
    if (start && by !== 0 && !isDropped) {
      start.moved += by;
      edits.moveLineAt(axis, track, by);
    }
    if (isLast) group.end(isDropped);
  });
  const at = line.at * view.scale + (axis === 'x' ? view.x : view.y);
  const from = line.from * view.scale + (axis === 'x' ? view.y : view.x);
  const length = (line.to - line.from) * view.scale;
  const shape =
    axis === 'x'
      ? { x: at - REACH, y: from, width: 2 * REACH, height: length }
      : { x: from, y: at - REACH, width: length, height: 2 * REACH };
  return (
    <rect
      {...bind()}
      {...shape}
      className={`handle is-line-${axis}`}
      data-drag={`line ${axis} ${track}`}
    />
  );
}
