import { chakra } from '@chakra-ui/react';
import { boundsOf, type Rect } from '@sorn/core/geometry';
import { beginningDrawing, firstMonitors, type Answers } from '@sorn/core/starters';
import { useMemo } from 'react';

/** The room a drawing has, in screen pixels. */
const WIDTH = 300;
const HEIGHT = 160;
const WINDOWS = 4;

type Desk = Pick<Answers, 'monitors' | 'screens'>;

/** The part of the table that a drawing shows, in millimetres. */
interface Extent {
  width: number;
  height: number;
}

/** Monitors as they are seen on the table, with all that is drawn beside them at one scale. */
export function MonitorsDrawing({ desk, extent }: { desk: Desk; extent: Extent }) {
  return (
    <Plan
      monitors={firstMonitors(desk.monitors, desk.screens).map(({ seen }) => seen)}
      tiles={[]}
      extent={extent}
    />
  );
}

/** How much of the table the largest of some desks needs. */
export function extentOf(desks: readonly Desk[]): Extent {
  const bounds = desks.map(({ monitors, screens }) =>
    boundsOf(firstMonitors(monitors, screens).map(({ seen }) => seen))!,
  );
  return {
    width: Math.max(...bounds.map(({ width }) => width)),
    height: Math.max(...bounds.map(({ height }) => height)),
  };
}

/** Some windows on those monitors, as the layout arranges them. */
export function ArrangedDrawing(props: Desk & { layout: Answers['layout'] }) {
  const { monitors, screens, layout } = props;
  const drawn = useMemo(
    () => beginningDrawing({ monitors, screens, layout }, WINDOWS),
    [monitors, screens, layout],
  );
  return <Plan {...drawn} extent={boundsOf(drawn.monitors)!} />;
}

function Plan(props: { monitors: readonly Rect[]; tiles: readonly Rect[]; extent: Extent }) {
  const { monitors, tiles, extent } = props;
  const bounds = boundsOf(monitors)!;
  const pad = extent.width * 0.01;
  // What is smaller than the room stands in its middle.
  const left = bounds.x - (extent.width - bounds.width) / 2 - pad;
  const top = bounds.y - (extent.height - bounds.height) / 2 - pad;
  return (
    <chakra.svg
      width="100%"
      height={`${HEIGHT}px`}
      viewBox={`${left} ${top} ${extent.width + 2 * pad} ${extent.height + 2 * pad}`}
      maxW={`${WIDTH}px`}
      mx="auto"
      display="block"
      aria-hidden
    >
      {monitors.map((rect, i) => (
        <Outline key={i} rect={rect} fill="none" stroke="ink" strokeWidth="1.5px" />
      ))}
      {tiles.map((rect, i) => (
        <Outline key={i} rect={rect} fill="petrol.wash" stroke="petrol" strokeWidth="1.25px" />
      ))}
    </chakra.svg>
  );
}

function Outline({
  rect,
  ...look
}: {
  rect: Rect;
  fill: string;
  stroke: string;
  strokeWidth: string;
}) {
  return <chakra.rect {...rect} {...look} vectorEffect="non-scaling-stroke" />;
}
