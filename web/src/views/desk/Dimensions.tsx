import { Box } from '@chakra-ui/react';
import {
  reservedMeasures,
  positionMeasures,
  type DeskMonitor,
  type ReservedMeasure,
  type PositionMeasure,
} from '@sorn/core/desk';
import { meet, type Edges, type Rect } from '@sorn/core/geometry';
import { readLength } from '@sorn/core/values';
import { useLengthScale } from '../../state/profile-context.ts';
import { Figure } from '../../ui/Figure.tsx';
import { DimensionLine } from '../../sheet/DimensionLine.tsx';
import { onSheet, type Viewport } from '../../sheet/viewport.ts';
import type { DeskEdits } from './edits.ts';

interface Props {
  monitor: DeskMonitor;
  edits: DeskEdits;
  view: Viewport;
}

/** How far from what it measures a line lies, in screen pixels. */
const OFF = 24;

/** Where the line of a measure lies across its axis, in screen pixels, off tabs and other monitors. */
function lineAt(measure: PositionMeasure, { monitor, edits, view }: Props) {
  const { axis, kind, other } = measure;
  const [a, b] = [onSheet(view, monitor), onSheet(view, other)];
  if (kind === 'gap') {
    const at =
      axis === 'x'
        ? (Math.max(a.y, b.y) + Math.min(a.y + a.height, b.y + b.height)) / 2
        : (Math.max(a.x, b.x) + Math.min(a.x + a.width, b.x + b.width)) / 2;
    return { at, toward: at };
  }
  if (axis === 'y') {
    // Outside the one that begins higher, away from the other; where something stands there, outside the other.
    const [first, second] = a.y < b.y ? [a, b] : [b, a];
    const isLeft = first.x < second.x;
    const before = (rect: Rect) => ({ at: rect.x - OFF, toward: rect.x });
    const after = (rect: Rect) => ({
      at: rect.x + rect.width + OFF,
      toward: rect.x + rect.width,
    });
    const beside = isLeft ? before(first) : after(first);
    const from = measure.from * view.scale + view.y;
    const line = { x: beside.at, y: from, width: 1, height: second.y - from };
    const isTaken = edits.monitors.some((each) => meet(onSheet(view, each), line));
    return !isTaken ? beside : isLeft ? after(second) : before(second);
  }
  // Beside the one that begins further right, under or over the other.
  const [first, second] = a.x < b.x ? [a, b] : [b, a];
  return first.y < second.y
    ? { at: first.y + first.height + OFF, toward: first.y + first.height }
    : { at: first.y - OFF, toward: first.y };
}

/** Dimension lines: how the selected monitor stands off the one beside it, and its reserved edges. */
export function DeskLines(props: Props) {
  const { monitor, edits, view } = props;
  return (
    <>
      {positionMeasures(monitor, edits.monitors).map((measure) => (
        <DimensionLine
          key={measure.kind}
          measure={measure}
          view={view}
          {...lineAt(measure, props)}
          marked
        />
      ))}
      {reservedMeasures(monitor).map((measure) => (
        <DimensionLine
          key={measure.edge}
          measure={measure}
          view={view}
          {...reservedAt(measure, props)}
        />
      ))}
    </>
  );
}

/** How far the line of a reserved edge lies from its monitor, and its figure from the line, in screen pixels. */
const RESERVED_OFF = 10;
const FIGURE_OFF = 4;

/** The digits of a reserved edge, and the room that they take across its line, in screen pixels. */
function reservedRoom({ axis, logical }: ReservedMeasure) {
  const digits = Math.max(2, String(Number(logical.toFixed())).length);
  return { digits, across: axis === 'x' ? 24 : 8 + 8 * digits };
}

/** Just outside the monitor, before its start; inside where the sheet ends there. */
function reservedAt(measure: ReservedMeasure, { monitor, view }: Props) {
  const frame = onSheet(view, monitor);
  const start = measure.axis === 'y' ? frame.x : frame.y;
  const isOutside = start >= RESERVED_OFF + FIGURE_OFF + reservedRoom(measure).across;
  return { at: start + (isOutside ? -RESERVED_OFF : RESERVED_OFF), toward: start };
}

/** The figures on those lines, typed over on the sheet. */
export function DeskFigures(props: Props) {
  const { monitor, edits, view } = props;
  return (
    <>
      {positionMeasures(monitor, edits.monitors).map((measure) => (
        <StandingFigure key={measure.kind} measure={measure} {...props} />
      ))}
      {reservedMeasures(monitor).map((measure) => (
        <ReservedFigure
          key={measure.edge}
          measure={measure}
          monitor={monitor}
          edits={edits}
          view={view}
        />
      ))}
    </>
  );
}

function StandingFigure({ measure, ...props }: Props & { measure: PositionMeasure }) {
  const { monitor, edits, view } = props;
  const { axis, kind, other } = measure;
  const { at, toward } = lineAt(measure, props);
  const middle = ((measure.from + measure.to) / 2) * view.scale + (axis === 'x' ? view.x : view.y);
  // Over the end of an upright line, a little away from what it measures.
  const beside = at + Math.sign(at - toward) * 12;
  const over = measure.from * view.scale + view.y - 14;
  const own = monitor[axis];
  const isAfter = own >= other[axis];
  const value = kind === 'off' ? own - other[axis] : measure.to - measure.from;
  const moved = (typed: number) =>
    kind === 'off' ? other[axis] + typed : isAfter ? own + typed - value : own - (typed - value);
  // Over a short line the figure would hide it, and what lies beside.
  const isShort = axis === 'x' && (measure.to - measure.from) * view.scale < 70;
  const x = isShort ? measure.from * view.scale + view.x - 34 : middle;
  return (
    <OnSheet x={axis === 'x' ? x : beside} y={axis === 'x' ? at : over}>
      <Figure
        label={kind === 'off' ? `Off ${other.name}` : `Gap to ${other.name}`}
        value={value}
        least={kind === 'off' ? -100_000 : 0}
        most={100_000}
        step={1}
        marked
        onChange={(typed) =>
          edits.setEntry(monitor.id, { [axis]: Math.round(moved(typed)) }, 'move')
        }
      />
    </OnSheet>
  );
}

function ReservedFigure({ measure, ...props }: Props & { measure: ReservedMeasure }) {
  const { monitor, edits, view } = props;
  const { axis, edge, logical } = measure;
  const { at, toward } = reservedAt(measure, props);
  const scale = useLengthScale(monitor);
  const { digits, across } = reservedRoom(measure);
  const beside = at + Math.sign(at - toward) * (FIGURE_OFF + across / 2);
  const middle = ((measure.from + measure.to) / 2) * view.scale + (axis === 'x' ? view.x : view.y);
  return (
    <OnSheet x={axis === 'x' ? middle : beside} y={axis === 'x' ? beside : middle}>
      <Figure
        label={`Reserved ${edge} on the sheet`}
        value={logical}
        least={0}
        most={10_000}
        step={1}
        room={digits}
        read={(typed) => readLength(typed, scale)}
        onChange={(value) => setReserved(edits, monitor, edge, value)}
      />
    </OnSheet>
  );
}

export function setReserved(
  edits: DeskEdits,
  { id, reserved }: DeskMonitor,
  edge: keyof Edges,
  value: number,
) {
  edits.setEntry(id, { reserved: { ...reserved, [edge]: value } }, `reserved ${edge}`);
}

function OnSheet(props: { x: number; y: number; children: React.ReactNode }) {
  return (
    <Box
      position="absolute"
      px="4px"
      bg="sheet"
      lineHeight="20px"
      style={{ left: props.x, top: props.y, transform: 'translate(-50%, -50%)' }}
    >
      {props.children}
    </Box>
  );
}
