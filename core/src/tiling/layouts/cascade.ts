import type { LayoutDefinition } from './definition.ts';
import type { Rect } from '../../geometry/rect.ts';
import { round, toPixels } from '../../geometry/round.ts';
import type { LayoutOf } from '../../values/layout.ts';

/**
 * Windows of one size, each moved right and down from the one before by the step, or by as much as the
 * room allows; the last is on top.
 *
 * @param count tiled windows, at least 1
 * @param scale of the monitor: `step` is logical
 */
function cascadeTiles(
  count: number,
  { share, step }: LayoutOf<'cascade'>,
  area: Rect,
  scale: number,
): Rect[] {
  const width = Math.max(1, round(area.width * share));
  const height = Math.max(1, round(area.height * share));
  const most = toPixels(step, scale);
  const along = (room: number) => (count > 1 ? Math.min(most, Math.floor(room / (count - 1))) : 0);
  const x = along(area.width - width);
  const y = along(area.height - height);
  return Array.from({ length: count }, (_, i) => ({
    x: area.x + i * x,
    y: area.y + i * y,
    width,
    height,
  }));
}

export const cascade: LayoutDefinition<'cascade'> = {
  title: 'Cascade',
  defaults: { kind: 'cascade', share: 0.7, step: 32 },
  form: { title: 'Cascade' },
  tiles: cascadeTiles,
};
