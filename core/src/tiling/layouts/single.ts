import type { LayoutDefinition } from './definition.ts';
import type { Rect } from '../../geometry/rect.ts';
import { toPixels } from '../../geometry/round.ts';
import type { LayoutOf } from '../../values/layout.ts';

/** The strip over the windows of which one is shown: what it looks like, and where it is in pixels. */
export interface Strip {
  kind: 'tabs' | 'list';
  rect: Rect;
}

/**
 * Every window has the whole area; with more than one, tabs take one strip off the top and a list one
 * for each window, but never over half the height.
 *
 * @param count tiled windows, at least 1
 * @param scale of the monitor: `stripSize` is logical
 */
export function singleTiles(
  count: number,
  { strip, stripSize }: LayoutOf<'single'>,
  area: Rect,
  scale: number,
): { tiles: Rect[]; strip: Strip | null } {
  const lines = strip === 'list' ? count : 1;
  const wanted = strip === 'none' || count < 2 ? 0 : lines * toPixels(stripSize, scale);
  const height = Math.min(wanted, Math.floor(area.height / 2));
  const tile = { ...area, y: area.y + height, height: area.height - height };
  return {
    tiles: Array.from({ length: count }, () => tile),
    strip: strip === 'none' || height === 0 ? null : { kind: strip, rect: { ...area, height } },
  };
}

export const single: LayoutDefinition<'single'> = {
  title: 'One at a time',
  defaults: { kind: 'single', strip: 'none', stripSize: 28 },
  form: { title: 'One at a time', hides: { stripSize: ({ strip }) => strip === 'none' } },
  tiles: (count, layout, area, scale) => singleTiles(count, layout, area, scale).tiles,
  turn: {
    field: 'strip',
    through: ['tabs', 'list'],
    unless: ({ strip }) => (strip === 'none' ? 'no strip is shown to turn' : null),
    says: (strip) => (strip === 'tabs' ? 'a strip of tabs' : 'a list'),
  },
};
