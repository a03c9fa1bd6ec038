import { describe, expect, it } from 'vitest';
import { checkKeys } from '../checkup/keys.ts';
import { profileSchema } from '../model/profile.ts';
import { does, enter, profileWith, run } from '../testing/keys.ts';

const leave = (what: string) => ({ command: 'leave-to-desktop', what });
const line = (text: string) => ({ command: 'run-line', line: text });

describe('keys that are not the desk’s', () => {
  const profile = profileWith([
    { keys: 'Main+KeyL', command: leave('lock the screen') },
    { keys: 'Main+KeyC', command: line('colours --pick'), release: does('float') },
  ]);

  it('come out as such, once however long they are down', () => {
    expect(run(profile, '0 +MetaLeft 9 +KeyL 400 ~KeyL 500 -KeyL').steps).toEqual([
      'outside leave-to-desktop lock the screen',
      'up',
    ]);
    expect(run(profile, '0 +MetaLeft 9 +KeyC 20 -KeyC').steps).toEqual([
      'outside run-line colours --pick',
      'up, float (release)',
    ]);
  });

  it('are in no chain and no menu, and need words', () => {
    const bad = (more: object) => profileSchema.safeParse({ ...profile, ...more }).success;
    expect(bad({ chains: [{ id: 'a', commands: [leave('emoji')] }] })).toBe(false);
    expect(bad({ menus: [{ id: 'a', entries: [{ letter: 'A', command: line('x') }] }] })).toBe(
      false,
    );
    const keys = { ...profile.keys, bindings: [{ keys: 'Main+KeyL', command: leave('') }] };
    expect(bad({ keys })).toBe(false);
  });

  it('conflict as any other, but not with what the desktop takes, which is what they say', () => {
    const kinds = (command: object, keys: string) =>
      checkKeys(profileWith([{ keys, command }], { layers: [] })).map(({ kind }) => kind);
    const taken = 'Ctrl+Alt+Delete';
    expect(kinds(does('float'), taken)).not.toEqual([]);
    expect(kinds(leave('sign out'), taken)).toEqual([]);
    expect(kinds(leave('menu'), 'Space')).toEqual([]);
    const twice = profileWith(
      [
        { keys: 'Main+KeyL', command: leave('lock the screen') },
        { keys: 'Main+KeyL', command: does('float') },
      ],
      { layers: [] },
    );
    expect(checkKeys(twice).map(({ kind }) => kind)).toEqual(['keys-twice']);
  });
});

describe('an app that keeps all keys but a few', () => {
  const bindings = [
    { keys: 'Main+KeyF', command: does('float') },
    { keys: 'Main+F12', command: enter('stay') },
    { keys: 'KeyJ', command: does('close'), in: 'stay' },
    { keys: 'Main+KeyK KeyS', command: does('undo') },
    { keys: 'tap CapsLock', command: does('pocket') },
    { keys: 'hold Space', command: does('promote') },
    { keys: 'Main+KeyP', command: does('centre'), app: 'game' },
  ];
  const plain = profileWith(bindings);
  const but = ['Main+F12', 'Main+KeyK', 'tap CapsLock'];
  const profile = { ...plain, apps: [{ id: 'game', kind: 'normal' as const, keepsAllBut: but }] };
  const inGame = (list: string) => run(profile, list, null, 'game').steps;

  it('gets every other key while it has the focus, and no key elsewhere', () => {
    expect(inGame('0 +MetaLeft 9 +KeyF 20 -KeyF')).toEqual(['kept Meta+KeyF']);
    expect(inGame('0 +KeyW 5 -KeyW')).toEqual(['kept KeyW']);
    expect(inGame('0 +Space 400 -Space')).toEqual(['kept Space']);
    expect(run(profile, '0 +MetaLeft 9 +KeyF', null, 'notes').steps).toEqual(['float']);
    expect(run(profile, '0 +MetaLeft 9 +KeyF', null, null).steps).toEqual(['float']);
  });

  it('leaves what begins with one of the few to go on', () => {
    expect(inGame('0 +MetaLeft 9 +F12 20 -F12 30 -MetaLeft 40 +KeyJ')).toEqual([
      '+stay',
      'up',
      'close',
    ]);
    expect(inGame('0 +MetaLeft 9 +KeyK 20 -KeyK 30 -MetaLeft 40 +KeyS')).toEqual(['…', 'undo']);
    expect(inGame('0 +CapsLock 50 -CapsLock')).toEqual(['pocket (tap)']);
    // By the key that stands in for the main one, too.
    expect(inGame('0 +AltLeft 9 +F12')).toEqual(['+stay']);
  });

  it('is told of by the checkup where keys are for it alone', () => {
    const found = checkKeys(profileSchema.parse({ ...profile }));
    const about = found.filter(({ kind }) => kind === 'keys-taken');
    expect(about.map(({ title }) => title)).toEqual(['Meta P is kept by game']);
    const left = {
      ...profile,
      apps: [{ ...profile.apps[0]!, keepsAllBut: [...but, 'Main+KeyP'] }],
    };
    expect(checkKeys(left).filter(({ kind }) => kind === 'keys-taken')).toEqual([]);
  });
});
