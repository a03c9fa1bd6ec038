import type { DeskInForce, DeskMonitor } from '@sorn/core/desk';
import type { Rect } from '@sorn/core/geometry';
import { onSheet, type Viewport } from './viewport.ts';

/** Height of a monitor's tab with its distance to the edge, in screen pixels. */
export const TAB_HEIGHT = 28;

/** The edge at which a monitor's tab stands: the upper one, unless another monitor is in its way there. */
export function tabEdge(monitor: DeskMonitor, desk: DeskInForce, view: Viewport): 'top' | 'bottom' {
  return isEdgeFree(monitor, desk, view, 'top') || !isEdgeFree(monitor, desk, view, 'bottom')
    ? 'top'
    : 'bottom';
}

/** True where a line of text has room beside an edge of a monitor: no other monitor is there. */
export function isEdgeFree(
  monitor: DeskMonitor,
  desk: DeskInForce,
  view: Viewport,
  edge: 'top' | 'bottom',
): boolean {
  const monitors = [...desk.monitors, ...desk.others];
  const own = onSheet(view, monitor);
  const tab: Rect = {
    ...own,
    y: edge === 'top' ? own.y - TAB_HEIGHT : own.y + own.height,
    height: TAB_HEIGHT,
  };
  return monitors.every((other) => other === monitor || !touches(onSheet(view, other), tab));
}

function touches(a: Rect, b: Rect): boolean {
  const slack = 1;
  return (
    a.x < b.x + b.width - slack &&
    b.x < a.x + a.width - slack &&
    a.y < b.y + b.height - slack &&
    b.y < a.y + a.height - slack
  );
}
