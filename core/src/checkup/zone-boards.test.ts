import { describe, expect, it } from 'vitest';
import { profileSchema } from '../model/profile.ts';
import { withZoneBoardLast } from '../zones/edit.ts';
import { findingText } from './findings.ts';
import { checkProfile } from './profile.ts';

const zones = [{ name: 'All', columns: [1, 1], rows: [1, 1] }];
const profile = (...boards: object[]) =>
  profileSchema.parse({
    monitors: [
      { id: 'wide', name: 'Wide', width: 3440, height: 1440 },
      { id: 'tall', name: 'Tall', width: 1440, height: 2560 },
    ],
    boards,
  });
const found = (of: ReturnType<typeof profile>) =>
  checkProfile(of).flatMap((finding) =>
    finding.kind === 'board-empty' ? [findingText(finding, (id) => id)] : [],
  );

describe('a board without zones', () => {
  it('is found where it stands before others that a monitor could have, and is no more once it is last', () => {
    const first = profile({ id: 'new', name: 'New board' }, { id: 'whole', zones });
    expect(found(first)).toEqual([
      'The board New board has no zone, but comes first on Wide and Tall: windows find no zone there.',
    ]);
    const mended = withZoneBoardLast(first, 'New board');
    expect(mended.boards.map(({ id }) => id)).toEqual(['whole', 'new']);
    expect(found(mended)).toEqual([]);
    expect(withZoneBoardLast(first, 'no such board')).toBe(first);
  });

  it('names the monitors that get it alone, and is nothing where there is no other', () => {
    expect(found(profile({ id: 'new', for: { turned: true } }, { id: 'whole', zones }))).toEqual([
      'The board new has no zone, but comes first on Tall: windows find no zone there.',
    ]);
    expect(found(profile({ id: 'new' }))).toEqual([]);
    expect(found(profile({ id: 'halves', zones }, { id: 'whole', zones }))).toEqual([]);
    expect(found(profile({ id: 'new' }, { id: 'wide', zones, for: { turned: true } }))).toEqual([
      'The board new has no zone, but comes first on Tall: windows find no zone there.',
    ]);
  });
});
