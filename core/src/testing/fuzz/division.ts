import type { DeskMonitor } from '../../desk/monitors.ts';
import type { Rect } from '../../geometry/rect.ts';

/** What a profile says of gaps, as far as made-up ones say it. */
interface SaidGaps {
  inner?: number | { x: number; y: number } | undefined;
  outer?: number | { top: number; right: number; bottom: number; left: number } | undefined;
  dropWhenAlone?: boolean | undefined;
}

const px = (logical: number, scale: number) => Math.floor(logical * scale + 0.5 + 1e-6);

/**
 * What is wrong with tiles as a division of a monitor: found by cutting, with nothing of the engine. The tiles fill
 * the work area less the outer gap, and one straight cut after another, no wider than the inner gap, takes them
 * apart.
 */
export function faultsOfDivision(
  tiles: readonly Rect[],
  monitor: DeskMonitor,
  gaps: SaidGaps,
  { isPiled, isAlone }: { isPiled: boolean; isAlone: boolean },
): string[] {
  const dropsGaps = isAlone && gaps.dropWhenAlone === true;
  const area = areaOf(monitor, dropsGaps ? 0 : (gaps.outer ?? 0));
  const places = isPiled
    ? [...new Map(tiles.map((tile) => [JSON.stringify(tile), tile])).values()]
    : tiles;
  const inner = gaps.inner ?? 0;
  const gap = {
    x: px(typeof inner === 'number' ? inner : inner.x, monitor.scale),
    y: px(typeof inner === 'number' ? inner : inner.y, monitor.scale),
  };
  return cut(places, area, gap);
}

function areaOf(monitor: DeskMonitor, said: NonNullable<SaidGaps['outer']>): Rect {
  const { scale, reserved } = monitor;
  const outer =
    typeof said === 'number' ? { top: said, right: said, bottom: said, left: said } : said;
  const along = (
    start: number,
    length: number,
    before: 'left' | 'top',
    behind: 'right' | 'bottom',
  ) => {
    const edges = [px(reserved[before], scale), px(reserved[behind], scale)] as const;
    const out = [px(outer[before], scale), px(outer[behind], scale)] as const;
    for (const [a, b] of [
      [edges[0] + out[0], edges[1] + out[1]],
      [edges[0], edges[1]],
    ] as const)
      if (length - a - b >= 1) return [start + a, length - a - b] as const;
    return [start, length] as const;
  };
  const [x, width] = along(monitor.x, monitor.width, 'left', 'right');
  const [y, height] = along(monitor.y, monitor.height, 'top', 'bottom');
  return { x, y, width, height };
}

const SIDES = { x: ['x', 'width'], y: ['y', 'height'] } as const;

function cut(tiles: readonly Rect[], area: Rect, gap: { x: number; y: number }): string[] {
  const say = ({ x, y, width, height }: Rect) => `${x},${y} ${width}×${height}`;
  if (tiles.length === 1) {
    const [tile] = tiles;
    return say(tile!) === say(area) ? [] : [`${say(tile!)} instead of ${say(area)}`];
  }
  for (const axis of ['x', 'y'] as const) {
    const [at, length] = SIDES[axis];
    const sorted = [...tiles].sort((a, b) => a[at] - b[at]);
    let end = area[at];
    for (let i = 0; i < sorted.length - 1; i++) {
      end = Math.max(end, sorted[i]![at] + sorted[i]![length]);
      const next = sorted[i + 1]![at];
      if (next < end || next - end > gap[axis]) continue;
      const first = { ...area, [length]: end - area[at] };
      const rest = { ...area, [at]: next, [length]: area[at] + area[length] - next };
      return [...cut(sorted.slice(0, i + 1), first, gap), ...cut(sorted.slice(i + 1), rest, gap)];
    }
  }
  return [`no cut through ${tiles.map(say).join(' | ')} in ${say(area)}`];
}
