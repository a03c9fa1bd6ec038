import { chakra } from '@chakra-ui/react';
import type { Rect } from '@sorn/core/geometry';
import { beginningDrawing, type Answers } from '@sorn/core/starters';
import { useMemo } from 'react';

/** The room a drawing has, in screen pixels. */
const WIDTH = 300;
const HEIGHT = 160;
const WINDOWS = 4;

interface Drawn extends Rect {
  key: string;
}

/** Monitors as they stand on the first desk, at one scale. */
export function MonitorsDrawing({ monitors }: { monitors: readonly (Rect & { id: string })[] }) {
  return (
    <Plan monitors={monitors.map((monitor) => ({ ...monitor, key: monitor.id }))} tiles={[]} />
  );
}

/** Some windows on those monitors, as the layout arranges them. */
export function ArrangedDrawing({ answers }: { answers: Answers }) {
  const { monitors, layout } = answers;
  const drawn = useMemo(() => beginningDrawing(monitors, layout, WINDOWS), [monitors, layout]);
  const keyed = (rects: readonly Rect[]) => rects.map((rect, i) => ({ ...rect, key: String(i) }));
  return <Plan monitors={keyed(drawn.monitors)} tiles={keyed(drawn.tiles)} />;
}

function Plan({ monitors, tiles }: { monitors: readonly Drawn[]; tiles: readonly Drawn[] }) {
  const left = Math.min(...monitors.map(({ x }) => x));
  const top = Math.min(...monitors.map(({ y }) => y));
  const right = Math.max(...monitors.map(({ x, width }) => x + width));
  const bottom = Math.max(...monitors.map(({ y, height }) => y + height));
  const pad = (right - left) * 0.01;
  return (
    <chakra.svg
      width="100%"
      height={`${HEIGHT}px`}
      viewBox={`${left - pad} ${top - pad} ${right - left + 2 * pad} ${bottom - top + 2 * pad}`}
      maxW={`${WIDTH}px`}
      mx="auto"
      display="block"
      aria-hidden
    >
      {monitors.map(({ key, x, y, width, height }) => (
        <chakra.rect
          key={key}
          {...{ x, y, width, height }}
          fill="none"
          stroke="ink"
          strokeWidth="1.5px"
          vectorEffect="non-scaling-stroke"
        />
      ))}
      {tiles.map(({ key, x, y, width, height }) => (
        <chakra.rect
          key={key}
          {...{ x, y, width, height }}
          fill="petrol.wash"
          stroke="petrol"
          strokeWidth="1.25px"
          vectorEffect="non-scaling-stroke"
        />
      ))}
    </chakra.svg>
  );
}
