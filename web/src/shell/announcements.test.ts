import { profileSchema } from '@sorn/core/model';
import { describe, expect, it } from 'vitest';
import { orderText, travelText } from './announcements.ts';

const profile = profileSchema.parse({
  monitors: [{ id: 'm', width: 1600, height: 900 }],
  workspaces: [{ id: 'A', name: 'Mail' }, { id: 'B' }, { id: 'C', name: 'Maps' }],
  rules: [
    { id: 'one', name: 'First', then: { held: 'floating' } },
    { id: 'two', when: { all: [{ of: 'app', is: 'map' }] }, then: { held: 'floating' } },
  ],
});

describe('what is announced of an order', () => {
  it('is where a thing stands now, by its name', () => {
    const [a, b, c] = profile.workspaces;
    const last = { ...profile, workspaces: [b!, c!, a!] };
    expect(orderText(profile, last)).toBe('B is 1 of 3, before C Maps.');
    const swapped = { ...profile, workspaces: [a!, c!, b!] };
    expect(orderText(profile, swapped)).toBe('C Maps is 2 of 3, before B.');
    const rules = { ...profile, rules: profile.rules.toReversed() };
    expect(orderText(profile, rules)).toContain('map');
    expect(orderText(profile, rules)).toContain('is 1 of 2, before First.');
  });

  it('is nothing where more than the order changed', () => {
    expect(orderText(profile, { ...profile, name: 'Other' })).toBeNull();
    expect(orderText(profile, { ...profile, workspaces: profile.workspaces.slice(1) })).toBeNull();
    const [a, b] = profile.workspaces;
    const other = { ...profile, workspaces: [a!, b!, { ...a!, id: 'D' }] };
    expect(orderText(profile, other)).toBeNull();
    const named = profile.workspaces.map((each) => ({ ...each, name: 'Same' }));
    expect(orderText(profile, { ...profile, workspaces: named })).toBeNull();
  });
});

it('what undo changed is told, and how much more there was', () => {
  const gaps = {
    ...profile,
    tiling: { ...profile.tiling, gaps: { ...profile.tiling.gaps, inner: 12 } },
  };
  expect(travelText('Taken back', gaps as never, profile)).toMatch(/^Taken back: .*inner gap.*\.$/);
  const many = { ...gaps, name: 'New', workspaces: profile.workspaces.slice(2), rules: [] };
  expect(travelText('Done again', profile, many as never)).toMatch(/, and \d+ more changes\.$/);
});
