import type { Placement } from '@sorn/core/engine';
import { onSheet, type Viewport } from './viewport.ts';

interface Pile {
  key: string;
  placement: Placement;
  count: number;
}

/** The tiles that windows of shown workspaces lie beneath, with how many. */
export function pilesOf(covered: readonly Placement[]): Pile[] {
  const piles = new Map<string, Pile>();
  for (const placement of covered) {
    const key = `${placement.tile!.x},${placement.tile!.y}`;
    const pile = piles.get(key) ?? { key, placement, count: 0 };
    pile.count++;
    piles.set(key, pile);
  }
  return [...piles.values()];
}

/** A dotted edge behind a tile that others lie beneath. */
export function PileEdge({ pile, view }: { pile: Pile; view: Viewport }) {
  const tile = onSheet(view, pile.placement.tile!);
  return <rect {...tile} x={tile.x + 5} y={tile.y - 5} className="beneath" />;
}

const CHIP = { width: 30, height: 18 };

/** How many lie beneath a tile, at its right edge above the figures. */
export function PileCount({ pile, view }: { pile: Pile; view: Viewport }) {
  const tile = onSheet(view, pile.placement.tile!);
  if (tile.height < 100 || tile.width < 44) return null;
  const x = tile.x + tile.width - CHIP.width - 8;
  const y = tile.y + tile.height - 64;
  return (
    <g role="img" aria-label={`${pile.count} beneath`}>
      <title>{`${pile.count} beneath`}</title>
      <rect x={x} y={y} {...CHIP} className="beneath" />
      <text x={x + CHIP.width / 2} y={y + 13} textAnchor="middle" className="figure strong">
        +{pile.count}
      </text>
    </g>
  );
}
