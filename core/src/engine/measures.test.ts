import { SIDES } from '../values/layout-parameters.ts';
import { describe, expect, it } from 'vitest';
import { deskInForce } from '../desk/desk.ts';
import { testDesk, windows } from '../testing/desk.ts';

import { arrange } from './arrange.ts';
import { measure } from './measures.ts';

function measured(layout: object, ids = ['a', 'b', 'c']) {
  const { session, profile } = testDesk(
    {
      monitors: [{ id: 'm', width: 1032, height: 632 }],
      tiling: { layout, gaps: { inner: 10, outer: 6 } },
    },
    windows(...ids),
  );
  const desk = deskInForce(profile, session);
  return measure(arrange({ session, profile, desk }, '1', 'm'));
}

describe('measures', () => {
  it('give lead and rest along the axis that divides them', () => {
    // 1020 less a gap of 10 to share: 606 and 404.
    expect(measured({ kind: 'lead', leadShare: 0.6 }).shares).toEqual({
      axis: 'x',
      parts: [
        { axis: 'x', from: 6, to: 612, isLead: true },
        { axis: 'x', from: 622, to: 1026, isLead: false },
      ],
    });
    const middle = measured({ kind: 'middle', leadShare: 0.5 }).shares!;
    expect(middle.parts.map(({ from, to, isLead }) => [from, to, isLead])).toEqual([
      [6, 256, false],
      [266, 766, true],
      [776, 1026, false],
    ]);
  });

  it('give none where nothing is shared so', () => {
    expect(measured({ kind: 'columns' }).shares).toBeNull();
    expect(measured({ kind: 'lead' }, ['a']).shares).toBeNull();
    expect(measured({ kind: 'lead' }, []).innerGap).toBeNull();
  });

  it('mark both gaps at the lead, at whichever side it stands', () => {
    const marks = SIDES.map((side) => {
      const { innerGap, outerGap } = measured({ kind: 'lead', side });
      return [innerGap?.into, innerGap?.x, innerGap?.y, outerGap.into, outerGap.x].join(' ');
    });
    expect(marks).toEqual([
      'left 516 378 right 3',
      'right 516 378 left 1029',
      'up 618 316 right 3',
      'down 618 316 right 3',
    ]);
  });
});
