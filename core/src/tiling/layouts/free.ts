import type { LayoutDefinition } from './definition.ts';
import { keptInside, type Rect } from '../../geometry/rect.ts';
import { round } from '../../geometry/round.ts';

/** Places on which windows of a free layout are drawn in a sample, as parts of the area. */
const SAMPLE = [
  { x: 0.04, y: 0.1, width: 0.46, height: 0.5 },
  { x: 0.42, y: 0.3, width: 0.5, height: 0.56 },
  { x: 0.12, y: 0.54, width: 0.36, height: 0.4 },
] as const;

/** Where windows stand in a small drawing of the free layout, which itself gives no tiles. */
export function scattered(count: number, area: Rect): Rect[] {
  return Array.from({ length: count }, (_, i) => {
    const at = SAMPLE[i % SAMPLE.length]!;
    const later = Math.floor(i / SAMPLE.length) * 0.05;
    return keptInside(area, {
      x: area.x + round(area.width * (at.x + later)),
      y: area.y + round(area.height * (at.y + later)),
      width: round(area.width * at.width),
      height: round(area.height * at.height),
    });
  });
}

export const free: LayoutDefinition<'free'> = {
  title: 'Free',
  defaults: { kind: 'free' },
  form: {
    title: 'Free',
    says: 'No tiles: every window floats where it is, and moves only when you move it.',
  },
};
