import { expect, it } from 'vitest';
import { OFFICE, testDesk } from '../testing/desk.ts';
import { besideMonitor, positionMeasures } from './measures.ts';

it('a monitor stands to the nearest one, and of two that are as near to the one listed first', () => {
  const beside = (ids: readonly string[], gap = 0) => {
    const x: Record<string, number> = { left: 0, own: 1000, right: 2000 + gap };
    const { desk } = testDesk({
      ...OFFICE,
      monitors: ids.map((id) => ({ id, x: x[id], y: 0, width: 1000, height: 600 })),
      workspaces: [],
    });
    const own = desk.monitors.find(({ id }) => id === 'own')!;
    return besideMonitor(own, desk.monitors)?.id;
  };
  expect(beside(['right', 'own', 'left'])).toBe('right');
  expect(beside(['left', 'own', 'right'])).toBe('left');
  expect(beside(['right', 'own', 'left'], 50)).toBe('left');
  expect(beside(['own'])).toBeUndefined();
  const { desk } = testDesk({ monitors: [{ id: 'own', width: 1000, height: 600 }] });
  expect(positionMeasures(desk.monitors[0]!, desk.monitors)).toEqual([]);
});
