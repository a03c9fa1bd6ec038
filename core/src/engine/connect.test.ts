import { expect, it } from 'vitest';
import { profileSchema } from '../model/profile.ts';
import { OFFICE } from '../testing/desk.ts';
import { connectedIds } from './connect.ts';

const profile = profileSchema.parse({
  ...OFFICE,
  monitors: OFFICE.monitors.map((monitor) =>
    monitor.id === 'tall' ? { ...monitor, maker: 'KRV', model: 'Tall 27' } : monitor,
  ),
});

it('a monitor that is told twice is connected once, and one that is unknown is told', () => {
  const { ids, findings } = connectedIds(profile, [
    'wide',
    'lap',
    'wide',
    'tal',
    { maker: 'KRV', model: 'Tall 27' },
    'tall',
  ]);
  expect(ids).toEqual(['wide', 'lap', 'tall']);
  expect(findings).toEqual([
    { kind: 'unknown-name', path: 'connected[3]', value: 'tal', nearest: 'tall' },
  ]);
});
