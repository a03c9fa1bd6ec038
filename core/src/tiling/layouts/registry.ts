import type { LayoutKind } from '../../values/layout.ts';
import { board } from './board.ts';
import { cascade } from './cascade.ts';
import { columns } from './columns.ts';
import type { LayoutDefinition } from './definition.ts';
import { free } from './free.ts';
import { grid } from './grid.ts';
import { halving } from './halving.ts';
import { lead } from './lead.ts';
import { middle } from './middle.ts';
import { rows } from './rows.ts';
import { single } from './single.ts';
import { handSplit } from './split.ts';

/** Each kind of layout; one that has parameters and is not here does not compile. */
export const DEFINITIONS: { [K in LayoutKind]: LayoutDefinition<K> } = {
  lead,
  middle,
  columns,
  rows,
  grid,
  halving,
  split: handSplit,
  single,
  cascade,
  board,
  free,
};
