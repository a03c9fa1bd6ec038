import type { ArrangedWorkspace } from '@sorn/core/engine';
import { rangeRect } from '@sorn/core/tiling';
import { onSheet, type Viewport } from './viewport.ts';
import { shortened } from './text-width.ts';

/** The zones of the board that arranges a monitor: those without a window, with number and name. */
export function ZonesDrawing({ arranged, view }: { arranged: ArrangedWorkspace; view: Viewport }) {
  const { zoned, area, monitor } = arranged;
  if (!zoned) return null;
  const taken = new Set(zoned.seats.flatMap(({ zones }) => zones));
  return (
    <g data-zones-of={monitor.id} aria-hidden>
      {zoned.board.zones.map((zone, i) => {
        if (taken.has(zone.name)) return null;
        const frame = onSheet(view, rangeRect(zoned.tracks, zone, area));
        const label = shortened(`${i + 1} ${zone.name}`, 'label', frame.width - 16);
        return (
          <g key={zone.name} data-empty-zone={zone.name}>
            <rect {...frame} className="zone is-empty" />
            {frame.height >= 24 && (
              <text x={frame.x + 8} y={frame.y + 17} className="label">
                {label}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
}
