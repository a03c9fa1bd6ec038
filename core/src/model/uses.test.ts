import { expect, it } from 'vitest';
import { OFFICE, testDesk, windows } from '../testing/desk.ts';
import { sessionSchema } from './session.ts';
import { withDayCounted, withUse } from './uses.ts';

it('days on which keys were used are counted once each', () => {
  const monday = withDayCounted(testDesk(OFFICE, windows('p')).session, '2026-11-09');
  expect(monday.countedOn).toEqual({ days: 1, last: '2026-11-09' });
  const used = withUse(monday, { keys: 'Main+KeyW', command: 'float' });
  expect(withDayCounted(used, '2026-11-09')).toBe(used);
  const friday = withDayCounted(used, '2026-11-13');
  expect(friday.countedOn).toEqual({ days: 2, last: '2026-11-13' });
  expect(friday.uses).toBe(used.uses);
  expect(sessionSchema.parse({ countedOn: friday.countedOn }).countedOn).toEqual(friday.countedOn);
});
