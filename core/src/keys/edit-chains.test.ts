import { describe, expect, it } from 'vitest';
import { profileSchema } from '../model/profile.ts';
import { OFFICE } from '../testing/desk.ts';
import {
  commandOfList,
  endsIn,
  letterFor,
  withListNamed,
  withNewChain,
  withNewMenu,
  withoutList,
} from './edit-chains.ts';

const CALM = { command: 'chain', chain: 'calm' } as const;
const profile = profileSchema.parse({
  ...OFFICE,
  chains: [
    { id: 'calm', name: 'Calm', commands: [{ command: 'even-out' }] },
    { id: 'all', commands: [CALM, { command: 'float' }] },
  ],
  menus: [{ id: 'often', entries: [{ letter: 'C', command: CALM }] }],
  keys: {
    from: 'none',
    bindings: [{ keys: 'Main+KeyQ', command: CALM }],
    marks: [{ command: CALM, mark: 'needed' }],
  },
});

describe('editing chains and menus', () => {
  it('names them by words, ids by what is left of these, and follows with all that names them', () => {
    const { profile: named, id } = withListNamed(profile, 'chains', 'calm', 'Très calme, 2 ×');
    expect(id).toBe('tres-calme-2');
    expect(profileSchema.parse(named)).toEqual(named);
    const does = { command: 'chain', chain: id };
    expect(named.chains[0]).toMatchObject({ id, name: 'Très calme, 2 ×' });
    expect(named.chains[1]!.commands[0]).toEqual(does);
    expect(named.menus[0]!.entries[0]!.command).toEqual(does);
    expect(named.keys.bindings[0]!.command).toEqual(does);
    expect(named.keys.marks[0]!.command).toEqual(does);
    // Its own name again is no other's.
    expect(withListNamed(profile, 'chains', 'calm', 'Calm').profile).toEqual(profile);
    expect(withListNamed(profile, 'chains', 'all', 'calm').id).toBe('calm-2');
    expect(withNewChain(profile, '★', [{ command: 'float' }]).id).toBe('list');
    expect(withNewMenu(profile, 'Often').id).toBe('often-2');
  });

  it('takes the keys of what goes with it', () => {
    const without = withoutList(profile, 'chains', 'calm');
    expect(without.chains.map(({ id }) => id)).toEqual(['all']);
    expect(without.keys.bindings).toEqual([]);
    expect(withoutList(profile, 'menus', 'often').keys.bindings).toHaveLength(1);
  });

  it('finds what leads back, and a letter that is free', () => {
    expect(endsIn(profile, 'calm', commandOfList('chains', 'all'))).toBe(false);
    expect(endsIn(profile, 'calm', commandOfList('chains', 'calm'))).toBe(false);
    expect(endsIn(profile, 'all', CALM)).toBe(true);
    const [menu] = profile.menus;
    expect(letterFor(menu!, 'call')).toBe('A');
    expect(letterFor(menu!, 'zoo')).toBe('Z');
    expect(letterFor(menu!, '★ 7 b')).toBe('7');
    expect(letterFor(menu!, '★')).toBe('A');
    expect(letterFor(menu!, 'ccc')).toBe('A');
    const full = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ0123456789'].map((letter) => ({
      letter,
      command: CALM,
    }));
    expect(letterFor({ ...menu!, entries: full }, 'call')).toBeNull();
  });
});
