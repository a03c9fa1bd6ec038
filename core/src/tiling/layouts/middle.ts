import type { LayoutDefinition } from './definition.ts';
import type { Axis } from '../../values/direction.ts';
import type { LayoutOf } from '../../values/layout.ts';
import { split, stack, type Tree } from '../tree.ts';
import { LEAD_AND_REST } from './lead.ts';

/** The split between the lead and the rest on both sides of it. */
export const BOTH_SIDES = 'both-sides';

/**
 * Divides an area between the lead in the middle and the rest on both sides. Windows of the rest go
 * after the lead, before it, after it, … in order (right first in x, below first in y) and are stacked
 * across the axis. One alone stands after the lead; without a rest the leads have it all.
 *
 * @param count tiled windows, at least 1
 */
function middleTree(count: number, { axis, leadCount, leadShare }: LayoutOf<'middle'>): Tree {
  const across: Axis = axis === 'x' ? 'y' : 'x';
  const leads = Math.min(count, leadCount);
  const lead = stack('lead', across, 0, leads);
  const rest = count - leads;
  if (rest === 0) return lead;
  if (rest === 1) return split(LEAD_AND_REST, axis, [lead, leads], [leadShare, 1 - leadShare]);

  const everySecond = (name: string, first: number) =>
    split(
      name,
      across,
      Array.from({ length: Math.ceil((count - first) / 2) }, (_, i) => first + 2 * i),
    );
  const side = (1 - leadShare) / 2;
  return split(
    BOTH_SIDES,
    axis,
    [everySecond('before', leads + 1), lead, everySecond('after', leads)],
    [side, leadShare, side],
  );
}

export const middle: LayoutDefinition<'middle'> = {
  title: 'Middle lead',
  defaults: { kind: 'middle', axis: 'x', leadCount: 1, leadShare: 0.5 },
  form: { title: 'Lead', note: 'in the middle, the rest on both sides' },
  tree: middleTree,
  leadAxis: ({ axis }) => axis,
  turn: { field: 'axis', through: ['x', 'y'], says: (axis) => `divided along ${axis}` },
};
