import type { DeskInForce } from '@sorn/core/desk';
import { LAYOUTS, type Gaps, type Origin } from '@sorn/core/tiling';
import type { Layout } from '@sorn/core/values';

/** A layout in a few characters: "Lead 0.58". */
export function layoutText(layout: Layout): string {
  const { title } = LAYOUTS[layout.kind];
  if (layout.kind === 'board' && layout.board !== undefined) return `${title} ${layout.board}`;
  const share = 'leadShare' in layout ? layout.leadShare : 'share' in layout ? layout.share : null;
  return share === null ? title : `${title} ${Number(share.toFixed(3))}`;
}

/** The inner gap as one figure, or two where they differ. */
export function innerGapText({ inner }: Gaps): string {
  return inner.x === inner.y ? String(inner.x) : `${inner.x}, ${inner.y}`;
}

export function outerGapText({ outer }: Gaps): string {
  const { top, right, bottom, left } = outer;
  const isEven = top === right && right === bottom && bottom === left;
  return isEven ? String(top) : `${top}, ${right}, ${bottom}, ${left}`;
}

/** Where a setting comes from, in words. */
export function originText(
  origin: Origin | undefined,
  workspace: string,
  monitor: string,
  desk: DeskInForce,
): string {
  const monitorName = desk.monitors.find(({ id }) => id === monitor)?.name ?? monitor;
  switch (origin) {
    case 'session':
      return 'moved by key';
    case 'workspace-on-monitor':
      return `from ${workspace} here`;
    case 'workspace':
      return `from workspace ${workspace}`;
    case 'monitor':
      return `from ${monitorName}`;
    case 'profile':
      return 'for everything';
    default:
      return 'default';
  }
}
