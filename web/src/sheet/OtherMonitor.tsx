import type { DeskInForce, DeskMonitor } from '@sorn/core/desk';
import type { Placement } from '@sorn/core/engine';
import type { Rect } from '@sorn/core/geometry';
import { shortened } from './text-width.ts';
import { onSheet, type Viewport } from './viewport.ts';

/** A connected monitor without windows of its own: it shows the primary's picture, or is not lit. */
export function OtherMonitor(props: {
  monitor: DeskMonitor;
  desk: DeskInForce;
  placements: readonly Placement[];
  view: Viewport;
}) {
  const { monitor, desk, placements, view } = props;
  const frame = onSheet(view, monitor);
  const lit = desk.monitors[0]!;
  const says =
    desk.mode === 'mirror' ? `shows the same as ${lit.name}` : `${lit.name} alone is lit`;
  const middle = { x: frame.x + frame.width / 2, y: frame.y + frame.height / 2 };
  return (
    <g data-other-monitor={monitor.id}>
      <rect {...frame} className="other-monitor" />
      {desk.mode === 'mirror' && (
        <svg {...frame} viewBox={`${lit.x} ${lit.y} ${lit.width} ${lit.height}`} aria-hidden>
          <rect {...rectOf(lit)} className="picture" />
          {placements
            .filter(({ shown }) => shown)
            .map((placement) => (
              <rect key={placement.id} {...rectOf(placement)} className="picture" />
            ))}
        </svg>
      )}
      <text x={middle.x} y={middle.y - 6} textAnchor="middle" className="name on-picture">
        {shortened(monitor.name, 'title', frame.width - 16)}
      </text>
      <text x={middle.x} y={middle.y + 12} textAnchor="middle" className="label on-picture">
        {shortened(says, 'label', frame.width - 16)}
      </text>
    </g>
  );
}

function rectOf({ x, y, width, height }: Rect): Rect {
  return { x, y, width, height };
}
