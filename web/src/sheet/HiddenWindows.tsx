import type { Placement } from '@sorn/core';
import { onSheet, type Viewport } from './viewport.ts';

/** Dotted edges behind the tiles that windows lie beneath, with how many. */
export function HiddenWindows(props: {
  /** Windows of shown workspaces that another one covers. */
  covered: readonly Placement[];
  view: Viewport;
}) {
  const counts = new Map<string, { placement: Placement; count: number }>();
  for (const placement of props.covered) {
    const { x, y } = placement.tile!;
    const there = counts.get(`${x},${y}`);
    counts.set(`${x},${y}`, { placement, count: (there?.count ?? 0) + 1 });
  }
  return [...counts].map(([key, { placement, count }]) => {
    const tile = onSheet(props.view, placement.tile!);
    const right = tile.x + tile.width;
    return (
      <g key={key} role="img" aria-label={`${count} beneath`} data-beneath={count}>
        <rect {...tile} x={tile.x + 5} y={tile.y - 5} className="beneath" />
        <text x={right} y={tile.y - 8} textAnchor="end" className="figure">
          {count} beneath
        </text>
      </g>
    );
  });
}
