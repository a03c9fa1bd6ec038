import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { KEY_STARTERS } from '../model/keys.ts';
import { profileSchema, type Profile } from '../model/profile.ts';
import { usesByCommand } from '../model/uses.ts';
import { OFFICE, testDesk, windows } from '../testing/desk.ts';
import { does, enter, profileWith } from '../testing/keys.ts';
import { MODIFIERS } from '../values/modifiers.ts';
import {
  layerRenamed,
  withModifierAlias,
  withNewModifierAlias,
  withNewDevice,
  withNewLayer,
  withoutModifierAlias,
  withoutDevice,
  withoutLayer,
} from './edit-layers.ts';
import {
  beginningFrom,
  bindingText,
  boundAt,
  changedCommands,
  mapChanges,
  setBack,
  withBinding,
  withBindingChanged,
  withMainModifier,
  withMerged,
  withoutBinding,
  withStandIn,
} from './edit.ts';
import { keyFaces, modifierSets } from './faces.ts';
import { nextKeys } from './next-keys.ts';
import { nearestFree } from './free-keys.ts';
import { keyMap } from './map.ts';
import { resolveKey } from './resolve.ts';
import { IDLE } from './state.ts';
import { keyTable } from './table.ts';

const whole = profileSchema.parse({ ...OFFICE, apps: [{ id: 'pitreader', letter: 'I' }] });
const at = (profile: Profile, keys: string) => {
  const bound = boundAt(profile, keys);
  return bound && bindingText(bound);
};
/** Every edit gives a profile as the schema has it. */
const sound = (profile: Profile) => {
  expect(profileSchema.parse(profile)).toEqual(profile);
  return profile;
};

describe('edits of bindings', () => {
  it('set back leaves out what is left out of other commands still', () => {
    const [one, other] = ['Main+KeyL', 'Main+KeyH'].map((keys) => boundAt(whole, keys)!);
    const without = withoutBinding(withoutBinding(whole, one!), other!);
    expect(without.keys.without).toHaveLength(2);
    const back = sound(setBack(without, one!.command!));
    expect(at(back, 'Main+KeyL')).toBe(bindingText(one!));
    expect(back.keys.without).toEqual(withoutBinding(whole, other!).keys.without);
    // Keys that are no binding of the profile cannot be taken out of it.
    expect(withoutBinding(whole, { ...one!, from: 'fixed' })).toBe(whole);
  });

  it('merged, keys of one’s own give way where theirs are the same, and nowhere else', () => {
    const bound = (...all: [keys: string, command: 'float' | 'resume' | 'undo'][]) =>
      profileWith(all.map(([keys, command]) => ({ keys, command: does(command) })));
    const theirs = withMerged(bound(), 'few').keys.bindings;
    expect(theirs.length).toBeGreaterThan(3);
    const text = ({ keys, command }: { keys: string; command?: unknown }) =>
      `${keys} ${JSON.stringify(command)}`;
    for (const { keys } of theirs) {
      const mine = bound(['F1', 'float'], [keys, 'resume'], ['F3', 'undo']);
      const { bindings } = withMerged(mine, 'few').keys;
      const [first, , last] = mine.keys.bindings;
      expect(bindings.map(text)).toEqual([...theirs, first!, last!].map(text));
    }
  });

  it('make a binding of the starter one’s own, its former keys free', () => {
    const moved = sound(
      withBindingChanged(whole, boundAt(whole, 'Main+KeyL')!, (own) => ({
        ...own,
        keys: 'Main+F10',
      })),
    );
    expect(at(moved, 'Main+F10')).toBe('reset-layout');
    expect(at(moved, 'Main+KeyL')).toBeNull();
    expect(changedCommands(moved)).toEqual(new Set(['reset-layout']));
    // Once more: it is one's own by then.
    const again = sound(
      withBindingChanged(moved, boundAt(moved, 'Main+F10')!, (own) => ({
        ...own,
        keys: 'Main+F11',
      })),
    );
    expect(again.keys.bindings).toEqual([{ keys: 'Main+F11', command: does('reset-layout') }]);
    expect(setBack(again, { command: 'reset-layout' })).toEqual(whole);
  });

  it('take keys off, and set back brings them again', () => {
    const less = sound(withoutBinding(whole, boundAt(whole, 'Main+Alt+KeyI')!));
    expect(at(less, 'Main+Alt+KeyI')).toBeNull();
    expect(setBack(less, { command: 'call-app', app: 'pitreader' })).toEqual(whole);
  });

  it('keep their keys with the main modifier, whichever it is', () => {
    const own = withBinding(whole, { keys: 'Main+Ctrl+F5', command: { command: 'close' } });
    const byCtrl = sound(withMainModifier(own, 'Ctrl'));
    expect(byCtrl.keys.bindings[0]!.keys).toBe('Main+Meta+F5');
    expect(at(byCtrl, 'Main+Meta+F5')).toBe('close');
    // A key of the starter is left out by what it is there, not by how it is pressed now.
    const less = sound(withoutBinding(byCtrl, boundAt(byCtrl, 'Main+Meta+ArrowLeft')!));
    expect(at(less, 'Main+Meta+ArrowLeft')).toBeNull();
    expect(at(withMainModifier(less, 'Meta'), 'Main+Ctrl+ArrowLeft')).toBeNull();
  });

  it('through any main modifiers lose no binding, and come back to what they were', () => {
    const own = withBinding(whole, { keys: 'Main+Ctrl+Alt+F5', command: { command: 'close' } });
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...MODIFIERS), { maxLength: 5 }), (mains) => {
        const changed = mains.reduce(withMainModifier, own);
        expect(new Set(keyMap(changed).map(({ canonicalTrigger }) => canonicalTrigger)).size).toBe(
          keyMap(own).length,
        );
        const does = (profile: Profile) => keyMap(profile).map(bindingText).sort();
        expect(does(changed)).toEqual(does(own));
      }),
    );
    expect(withMainModifier(withMainModifier(own, 'Alt'), 'Meta')).toEqual(own);
  });

  it('with another main modifier keep what bundles hold, the two exchanged', () => {
    const bundles = [
      { id: 'Both', hold: 'F13', modifiers: ['Main', 'Ctrl', 'Shift'] },
      { id: 'Far', hold: 'F14', modifiers: ['Alt', 'Shift'] },
    ];
    const own = profileWith([{ keys: 'Both+KeyA', command: does('float') }], { bundles });
    const by = sound(withMainModifier(own, 'Ctrl'));
    expect(by.keys.bundles.map(({ modifiers }) => modifiers)).toEqual([
      ['Main', 'Meta', 'Shift'],
      ['Alt', 'Shift'],
    ]);
    const down = ({ keys }: Profile) =>
      keys.bundles.map(({ modifiers }) =>
        modifiers.map((name) => (name === 'Main' ? keys.main : name)).sort(),
      );
    expect(down(by)).toEqual(down(own));
    expect(withMainModifier(by, 'Meta')).toEqual(own);
  });

  it('are written with the main modifier where its stand-in was pressed', () => {
    expect(withStandIn('Alt+KeyQ', whole)).toBe('Main+KeyQ');
    expect(withStandIn('Main+Alt+KeyQ', whole)).toBe('Main+Alt+KeyQ');
  });

  it('go to the nearest free key, never to one that is bound, taken or reserved', () => {
    const keys = nearestFree(whole, { keys: 'Main+KeyL', layer: 'base' })!;
    expect(boundAt(whole, keys)).toBeNull();
    const bare = profileWith([], { layers: [] });
    expect(nearestFree(bare, { keys: 'Main+KeyL', layer: 'base' })).toBe('Main+KeyL');
    expect(nearestFree(bare, { keys: 'Ctrl+KeyC', layer: 'base' })).not.toBe('Ctrl+KeyC');
    expect(nearestFree(bare, { keys: 'F9', layer: 'more' })).not.toBe('F9');
  });
});

describe('starters', () => {
  it.each(KEY_STARTERS)('%s merged is there whole, and merged again changes nothing', (from) => {
    const merged = sound(withMerged(whole, from));
    expect(mapChanges(merged, withMerged(merged, from))).toEqual([]);
    const there = keyMap(merged).map(
      ({ canonicalTrigger, command }) => `${canonicalTrigger} ${JSON.stringify(command)}`,
    );
    for (const { canonicalTrigger, command } of keyMap(sound(beginningFrom(whole, from))))
      expect(there).toContain(`${canonicalTrigger} ${JSON.stringify(command)}`);
    expect(new Set(keyMap(merged).map(({ canonicalTrigger }) => canonicalTrigger)).size).toBe(
      keyMap(merged).length,
    );
  });

  it('tell what merging changes, key by key', () => {
    const changes = mapChanges(whole, withMerged(whole, 'inverted-t'));
    expect(changes).toContainEqual({
      keys: 'Main+KeyJ',
      layer: 'base',
      was: 'swap-with-lead',
      is: 'focus-left',
    });
    expect(changes).toContainEqual({
      keys: 'Main+Shift+KeyJ',
      layer: 'base',
      was: null,
      is: 'move-left',
    });
    const emptied = mapChanges(whole, beginningFrom(whole, 'none'));
    expect(emptied).toHaveLength(keyMap(whole).length);
    expect(emptied.every(({ is }) => is === null)).toBe(true);
  });
});

describe('layers, bundles and devices', () => {
  const profile = profileWith(
    [
      { keys: 'Main+KeyG', command: enter('stay') },
      { keys: 'KeyJ', command: does('float'), in: 'stay' },
      { keys: 'Caps+KeyU', command: does('close') },
    ],
    { bundles: [{ id: 'Caps', hold: 'CapsLock', modifiers: ['Ctrl', 'Alt'] }] },
  );

  it('are renamed where they are named, and not to a name that is taken', () => {
    const renamed = sound(layerRenamed(profile, 'stay', 'far')!);
    expect(renamed.keys.bindings.map(({ in: layer }) => layer)).toEqual([
      undefined,
      'far',
      undefined,
    ]);
    expect(renamed.keys.bindings[0]!.command).toEqual(enter('far'));
    expect(layerRenamed(profile, 'stay', 'one')).toBeNull();
    expect(layerRenamed(profile, 'stay', 'base')).toBeNull();
    const bundle = sound(withModifierAlias(profile, 'Caps', (each) => ({ ...each, id: 'Held' })));
    expect(bundle.keys.bindings[2]!.keys).toBe('Held+KeyU');
  });

  it('go with the keys that need them', () => {
    expect(sound(withoutLayer(profile, 'stay')).keys.bindings).toHaveLength(1);
    expect(sound(withoutModifierAlias(profile, 'Caps')).keys.bindings).toHaveLength(2);
  });

  it('are added under ids of their own', () => {
    const two = [withNewLayer, withNewLayer].reduce((now, add) => add(now).profile, profile);
    expect(new Set(sound(two).keys.layers.map(({ id }) => id)).size).toBe(5);
    expect(sound(withNewModifierAlias(withNewModifierAlias(profile))).keys.bundles).toHaveLength(3);
    const device = withNewDevice(profile);
    expect(withoutDevice(sound(device.profile), device.id)).toEqual(profile);
  });
});

describe('what the keys show', () => {
  const profile = profileWith([
    { keys: 'Main+KeyG', command: enter('stay') },
    { keys: 'Main+KeyK KeyS', command: does('float') },
    { keys: 'Main+KeyK KeyD', command: does('close'), app: 'notes' },
    { keys: 'KeyJ', command: does('float'), in: 'stay' },
    { keys: 'KeyB', command: does('undo') },
  ]);

  it('is what each does in a layer with modifiers held, and what comes through from below', () => {
    const base = keyFaces(profile, 'base', ['Meta']);
    expect([...base].map(([code, { text }]) => `${code} ${text}`)).toEqual([
      'KeyG layer: stay',
      'KeyK …',
    ]);
    const stay = keyFaces(profile, 'stay', []);
    expect([...stay].map(([code, { text, isBelow }]) => [code, text, isBelow])).toEqual([
      ['KeyJ', 'float', false],
      ['KeyB', 'undo', true],
    ]);
    expect(modifierSets(profile, 'base')).toEqual([['Meta'], []]);
    const most = profileWith(
      ['KeyA', 'KeyB', 'Shift+KeyA', 'Shift+KeyB', 'Shift+KeyC', 'Main+KeyA'].map((keys) => ({
        keys,
        command: does('undo'),
      })),
    );
    expect(modifierSets(most, 'base')).toEqual([['Shift'], [], ['Meta']]);
  });

  it('can follow while a sequence has begun or a layer is entered', () => {
    const context = { table: keyTable(profile), interaction: null, app: null };
    const press = (code: string) =>
      resolveKey(IDLE, { type: 'down', at: 0, code, modifiers: ['Meta'] }, context).state;
    expect(nextKeys(IDLE, context)).toBeNull();
    expect(nextKeys(press('KeyK'), context)).toMatchObject({
      of: 'sequence',
      name: 'Meta+KeyK',
      next: [{ keys: 'KeyS' }],
    });
    expect(nextKeys(press('KeyG'), context)).toMatchObject({
      of: 'layer',
      name: 'stay',
      next: [{ keys: 'KeyJ' }],
    });
  });
});

describe('uses of keys', () => {
  it('are counted where something came of them, and stay through undo', () => {
    const desk = testDesk(OFFICE, windows('p', 'b'));
    const held = (id: 'float' | 'focus-up', by: string) =>
      ({ type: 'key-pressed', command: { command: id }, by: { keys: by, command: id } }) as const;
    const used = desk
      .event(held('float', 'Main+Space'))
      .event(held('float', 'Button4'))
      .event(held('focus-up', 'Main+ArrowUp'))
      .event(held('float', 'Main+Space'))
      .run('undo');
    expect(used.session.uses).toEqual([
      { keys: 'Main+Space', command: 'float', times: 2 },
      { keys: 'Button4', command: 'float', times: 1 },
    ]);
    expect(usesByCommand(used.session.uses).get('float')).toBe(3);
  });
});
