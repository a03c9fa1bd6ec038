import { crossings, type Crossing, type DeskInForce } from '@sorn/core/desk';
import { isForward, axisOf } from '@sorn/core/values';
import type { Viewport } from '../../sheet/viewport.ts';

/** How far an arrow reaches into the monitors at both its ends, in screen pixels. */
const REACH = 15;
const HEAD = 6;

/** An arrow over the edge for every direction that leads from one monitor to another. */
export function Ways({ desk, view }: { desk: DeskInForce; view: Viewport }) {
  return crossings(desk).map((way) => (
    <Way key={`${way.from.id} ${way.direction}`} way={way} view={view} />
  ));
}

function Way({ way, view }: { way: Crossing; view: Viewport }) {
  const { from, to, direction } = way;
  const sign = isForward(direction) ? 1 : -1;
  const along = axisOf(direction) === 'x' ? { x: sign, y: 0 } : { x: 0, y: sign };
  const at = ({ x, y }: { x: number; y: number }, by: number) => ({
    x: x * view.scale + view.x + along.x * by,
    y: y * view.scale + view.y + along.y * by,
  });
  const start = at(way.leaves, -REACH);
  const end = at(way.enters, REACH);
  const turn = { right: 0, down: 90, left: 180, up: 270 }[direction];
  const d = `M${start.x} ${start.y}L${end.x} ${end.y}`;
  return (
    <g
      role="img"
      aria-label={`${direction} of ${from.name}: ${to.name}`}
      data-way={`${from.id} ${direction} ${to.id}`}
    >
      <path d={d} className="way-back" />
      <path d={d} className="way" />
      <path
        className="way-head"
        transform={`translate(${end.x} ${end.y}) rotate(${turn})`}
        d={`M${HEAD} 0L${-HEAD} ${HEAD - 1}V${1 - HEAD}Z`}
      />
    </g>
  );
}
