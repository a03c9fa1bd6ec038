import type { CommandContext } from './session.ts';
import type { Placement } from './placement.ts';
import { stackingOrder } from './stacking.ts';

/** Which windows lie over which: tiled ones, then what was raised out of them or placed, floating ones, those that stay above. */
function layerOf({ held, stayAbove, state, placed }: Placement, isFocused: boolean): number {
  if (stayAbove) return 3;
  if (placed) return 1;
  if (held !== 'tiled') return 2;
  return state !== undefined || isFocused ? 1 : 0;
}

/** The shown windows, the lowest first: in a layer by the stacking order, tiled ones by the workspace's order. */
export function inDrawingOrder(
  placements: readonly Placement[],
  { session, profile }: Pick<CommandContext, 'session' | 'profile'>,
): Placement[] {
  const depths = new Map(stackingOrder(session, profile).map((id, i) => [id, i]));
  const layers = new Map(
    placements.map((each) => [each, layerOf(each, each.id === session.focus)]),
  );
  const layer = (placement: Placement) => layers.get(placement)!;
  const positions = new Map(
    Object.values(session.arrangements).flatMap(({ order, detached }) =>
      detached ? [] : order.map((id, i) => [id, i] as const),
    ),
  );
  const rank = (each: Placement) =>
    layer(each) === 0 ? (positions.get(each.id) ?? 0) : -(depths.get(each.id) ?? 0);
  return placements
    .filter(({ shown }) => shown)
    .sort((a, b) => layer(a) - layer(b) || rank(a) - rank(b));
}
