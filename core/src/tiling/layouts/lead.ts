import type { LayoutDefinition } from './definition.ts';
import type { Axis } from '../../values/direction.ts';
import type { LayoutOf } from '../../values/layout.ts';
import { split, stack, type Tree } from '../tree.ts';

/** The split between lead and rest. */
export const LEAD_AND_REST = 'lead-and-rest';

/**
 * Divides an area between the lead, at one side, and the rest at `leadShare` : 1 − leadShare; windows
 * are stacked evenly across that axis in each. All windows lead when there are no more than `leadCount`.
 *
 * @param count tiled windows, at least 1
 */
function leadTree(count: number, { side, leadCount, leadShare }: LayoutOf<'lead'>): Tree {
  const axis: Axis = side === 'left' || side === 'right' ? 'x' : 'y';
  const across: Axis = axis === 'x' ? 'y' : 'x';
  const leads = Math.min(count, leadCount);
  const lead = stack('lead', across, 0, leads);
  if (leads === count) return lead;
  const rest = stack('rest', across, leads, count - leads);
  return side === 'left' || side === 'top'
    ? split(LEAD_AND_REST, axis, [lead, rest], [leadShare, 1 - leadShare])
    : split(LEAD_AND_REST, axis, [rest, lead], [1 - leadShare, leadShare]);
}

export const lead: LayoutDefinition<'lead'> = {
  title: 'Lead',
  defaults: { kind: 'lead', side: 'left', leadCount: 1, leadShare: 0.5 },
  form: { title: 'Lead' },
  tree: leadTree,
  leadAxis: ({ side }) => (side === 'left' || side === 'right' ? 'x' : 'y'),
  turn: {
    field: 'side',
    through: ['left', 'top', 'right', 'bottom'],
    says: (side) => `lead at the ${side}`,
  },
};
