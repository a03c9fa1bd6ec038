import { expect, it } from 'vitest';
import { LEAD_AND_REST } from './layouts/lead.ts';
import { shareOfBoundary } from './layouts.ts';

it('a moved edge is the share of the lead, at whichever side it stands', () => {
  const share = (side: string) =>
    shareOfBoundary(
      { kind: 'lead', side, leadCount: 1, leadShare: 0.5 } as never,
      LEAD_AND_REST,
      [3, 1],
    );
  expect(['left', 'top'].map(share)).toEqual([0.75, 0.75]);
  expect(['right', 'bottom'].map(share)).toEqual([0.25, 0.25]);
  const middle = { kind: 'middle', axis: 'x', leadCount: 1, leadShare: 0.5 } as const;
  expect(shareOfBoundary(middle, LEAD_AND_REST, [3, 1])).toBe(0.75);
  expect(shareOfBoundary(middle, 'another', [3, 1])).toBeNull();
});
