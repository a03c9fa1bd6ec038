import type { Measure } from '@sorn/core/geometry';
import type { Viewport } from './viewport.ts';

/**
 * A dimension line with end ticks, and thin lines down to what it measures.
 * @param at where the line lies across its axis, in screen pixels
 * @param toward where the thing measured begins across the axis, in screen pixels
 */
export function DimensionLine(props: {
  measure: Measure;
  view: Viewport;
  at: number;
  toward: number;
  marked?: boolean;
}) {
  const { measure, view, at, toward } = props;
  const offset = measure.axis === 'x' ? view.x : view.y;
  const from = measure.from * view.scale + offset;
  const to = measure.to * view.scale + offset;
  const point = (along: number, across: number) =>
    measure.axis === 'x' ? `${along} ${across}` : `${across} ${along}`;
  const tick = (along: number) =>
    `M${point(along - 4, measure.axis === 'x' ? at + 4 : at - 4)}L${point(along + 4, measure.axis === 'x' ? at - 4 : at + 4)}`;
  return (
    <g aria-hidden>
      <path
        className={`line${props.marked ? ' marked' : ''}`}
        d={`M${point(from, at)}L${point(to, at)}`}
      />
      <path
        className={`line${props.marked ? ' marked' : ''}`}
        d={`${tick(from)}${tick(to)}`}
        strokeWidth={1.6}
      />
      <path
        className="line"
        strokeDasharray="1 3"
        d={`M${point(from, at)}L${point(from, toward)}M${point(to, at)}L${point(to, toward)}`}
      />
    </g>
  );
}
