import { describe, expect, it } from 'vitest';
import { freeKeys } from '../keys/free-keys.ts';
import { keyMap } from '../keys/map.ts';
import { COMMONLY_TAKEN } from '../keys/shortcut-lists.ts';
import { STARTER_MAPS } from '../keys/starters/starters.ts';
import { KEY_STARTERS } from '../model/keys.ts';
import { type Profile, profileSchema } from '../model/profile.ts';
import { OFFICE } from '../testing/desk.ts';
import { does, enter, profileWith } from '../testing/keys.ts';
import { KEY_FINDINGS } from './key-finding.ts';
import { quickFixesFor } from './quick-fixes.ts';
import { checkKeys } from './keys.ts';

const NO_LAYERS = { layers: [] };
const MOUSE = { id: 'mouse', buttons: 12, modifiers: false, atOnce: 'one' };
const KEYBOARD = { id: 'k', board: 'ansi-100' };
const SIXTY = { id: 'k', board: 'ansi-60' };
const both = (bindings: object[], more: object = {}) =>
  profileWith(bindings, { ...NO_LAYERS, ...more });
const META = COMMONLY_TAKEN.map((list) => ({ ...list, on: list.id === 'meta' }));

/** Faulty maps, what is to be found in each, and the first quick fix of each. */
const FAULTY: { map: Profile; kind: string; says: string; quickFixes: string[] }[] = [
  {
    map: both([
      { keys: 'Main+KeyL', command: does('float') },
      { keys: 'Meta+KeyL', command: does('close') },
    ]),
    kind: 'keys-twice',
    says: 'Meta L does float, and hides close on the same keys.',
    quickFixes: [
      'Move close to Meta K',
      'Put close into the layer more, on L; Meta M enters it',
      'Drop close from Meta L',
      'Drop float from Meta L',
    ],
  },
  {
    map: both([
      { keys: 'Main+KeyK', command: does('float') },
      { keys: 'Main+KeyK KeyS', command: does('close') },
    ]),
    kind: 'keys-hidden',
    says: 'Meta K does float at once: Meta K then S (close) cannot be reached.',
    quickFixes: ['Move float to Meta J'],
  },
  {
    map: both([
      { keys: 'tap F2', command: does('float') },
      { keys: 'F2', command: does('close') },
    ]),
    kind: 'keys-hidden',
    says: 'tap F2 does float: close, when the key goes down, cannot be reached.',
    quickFixes: [],
  },
  {
    map: both([
      { keys: 'hold F2', command: does('float') },
      { keys: 'Main+F2', command: does('close') },
    ]),
    kind: 'keys-hidden',
    says: 'hold F2 does float: close, on Meta F2, cannot be reached.',
    quickFixes: [],
  },
  {
    map: both([
      { keys: 'tap F2', command: does('float') },
      { keys: 'Main+KeyK F2', command: does('close') },
    ]),
    kind: 'keys-hidden',
    says: 'tap F2 does float: close, on Meta K then F2, cannot be reached.',
    quickFixes: [],
  },
  {
    map: both([{ keys: 'Main+KeyL', command: does('focus-next') }], { taken: META }),
    kind: 'keys-taken',
    says: 'The desktop locks the screen with it: focus-next is not reached.',
    quickFixes: ['Move focus-next to Meta K'],
  },
  {
    map: profileSchema.parse({
      ...both([{ keys: 'Ctrl+KeyB', command: does('float') }]),
      apps: [
        {
          id: 'bulletin',
          name: 'Bulletin Writer',
          shortcuts: [{ keys: 'Ctrl+KeyB', what: 'makes bold' }],
        },
      ],
    }),
    kind: 'keys-taken',
    says: 'Bulletin Writer makes bold with it: float is not reached while that has the focus.',
    quickFixes: ['Move float to Ctrl N'],
  },
  ...[
    ['KeyJ', 'J does focus-next: you could no longer type it in any window.', 'Meta J'],
    ['Shift+KeyJ', 'Shift J does focus-next', 'Meta Shift J'],
    ['Space', 'Space does focus-next', 'Meta Space'],
    ['Enter', 'Enter does focus-next', 'Meta Enter'],
    ['ArrowUp', '↑ does focus-next', 'Meta ↑'],
    ['tap Space', 'tap Space does focus-next', 'Meta Space'],
    ['types:?', '“?” does focus-next', 'Meta G'],
    ['KeyG KeyJ', 'G then J does focus-next', 'Meta G'],
  ].map(([keys, says, moved]) => ({
    map: both([{ keys, command: does('focus-next') }]),
    kind: 'keys-typed',
    says: says!,
    quickFixes: [`Move focus-next to ${moved}`],
  })),
  {
    map: both([{ keys: 'KeyJ', app: 'shell', command: does('focus-next') }]),
    kind: 'keys-typed',
    says: 'J does focus-next: you could no longer type it in Shell.',
    quickFixes: ['Move focus-next to'],
  },
  ...[
    ['F9', 'F9 gives the keyboard back to the page: focus-next is not reached.'],
    ['Main+F9', 'F9 gives the keyboard back to the page'],
    ['Main+KeyK F9', 'F9 gives the keyboard back to the page'],
    ['Ctrl+Alt+Delete', 'Desktops keep Ctrl Alt Delete for themselves: focus-next is not reached.'],
  ].map(([keys, says]) => ({
    map: both([{ keys, command: does('focus-next') }]),
    kind: 'keys-never',
    says: says!,
    quickFixes: ['Move focus-next to'],
  })),
  {
    map: profileWith([{ keys: 'KeyA', command: does('float'), in: 'one' }], {
      layers: [{ id: 'one', lasts: 'once' }],
    }),
    kind: 'layer-unreached',
    says: 'No key enters the layer one, so its key is never there.',
    quickFixes: ['Enter one with Meta O', 'Drop the layer one and its keys'],
  },
  {
    map: profileWith([{ keys: 'Main+KeyG', command: enter('stay') }], {
      layers: [{ id: 'stay', lasts: 'kept' }],
    }),
    kind: 'layer-stuck',
    says: 'Nothing in the layer stay leaves it but Escape alone',
    quickFixes: ['Bind Esc to leave-layer in stay'],
  },
  {
    map: both([{ keys: 'Main+KeyP', command: does('pocket') }]),
    kind: 'no-way-back',
    says: 'No key does call-back, which takes it back.',
    quickFixes: ['Bind Meta O to call-back', 'Drop pocket'],
  },
  {
    map: both([
      { keys: 'Main+KeyL', command: does('focus-left') },
      { keys: 'Main+KeyJ', command: does('focus-right') },
    ]),
    kind: 'keys-contradict',
    says: 'Meta L does focus-left and stands right of Meta J, which does focus-right.',
    quickFixes: ['Swap Meta L and Meta J'],
  },
  {
    map: both([{ keys: 'Main+Numpad7', command: does('float') }], { devices: [SIXTY] }),
    kind: 'keys-absent',
    says: 'Pad 7: bound, and on no device.',
    quickFixes: ['Drop float'],
  },
  ...[6, 7, 9].map((count) => ({
    map: both(
      Array.from({ length: count }, (_, i) => ({
        keys: `Main+Numpad${i}`,
        command: does('float'),
      })),
      { devices: [SIXTY] },
    ),
    kind: 'keys-absent',
    says: `Pad 0, Pad 1, Pad 2, Pad 3, Pad 4, Pad 5${count > 6 ? ` and ${count - 6} more` : ''}: bound, and on no device.`,
    quickFixes: [],
  })),
  {
    map: both(
      [4, 5, 12, 13].map((n) => ({ keys: `Button${n}`, command: does('float') })),
      { devices: [KEYBOARD, MOUSE] },
    ),
    kind: 'too-many-keys',
    says: 'Button 13: bound, and mouse has 12.',
    quickFixes: ['Drop float'],
  },
  {
    map: both([{ keys: 'Button4', command: does('find-window') }], { devices: [KEYBOARD, MOUSE] }),
    kind: 'needs-letters',
    says: 'Button 4 does find-window, which needs typing, and mouse has no letters.',
    quickFixes: ['Move find-window to'],
  },
  {
    map: both([{ keys: 'Button4', command: does('corner-pick') }], { devices: [KEYBOARD, MOUSE] }),
    kind: 'needs-letters',
    says: 'Button 4 does corner-pick, which needs typing, and mouse has no letters.',
    quickFixes: ['Move corner-pick to'],
  },
  {
    map: both([{ keys: 'Main+Button4', command: does('float') }], { devices: [KEYBOARD, MOUSE] }),
    kind: 'modifiers-not-sent',
    says: 'mouse sends no modifiers: float is not reached with it alone.',
    quickFixes: ['Move float to Button 4'],
  },
  {
    map: both([{ keys: 'Caps+KeyA', command: does('float') }], {
      bundles: [{ id: 'Caps', hold: 'Button5', modifiers: ['Ctrl', 'Alt'] }],
      devices: [KEYBOARD, MOUSE],
    }),
    kind: 'modifiers-not-sent',
    says: 'Button 5 stands for the modifiers of Caps, and mouse cannot send modifiers.',
    quickFixes: ['Drop the bundle Caps and the key with it'],
  },
  {
    map: profileWith([{ keys: 'Button5', command: enter('while') }], {
      layers: [{ id: 'while', lasts: 'held' }],
      devices: [KEYBOARD, MOUSE],
    }),
    kind: 'one-at-a-time',
    says: 'mouse sends one input at a time: nothing can be pressed on it while Button 5 is down for while.',
    quickFixes: ['Move enter-layer while to'],
  },
];

describe('the checkup of keys', () => {
  it.each(FAULTY)('finds $kind: $says', ({ map, kind, says, quickFixes }) => {
    const findings = checkKeys(map);
    expect(findings.map((each) => each.kind)).toEqual([kind]);
    expect(findings[0]!.text).toContain(says);
    const ways = quickFixesFor(map, findings[0]!);
    quickFixes.forEach((text, i) => expect(ways[i]!.says).toContain(text));
    // Every quick fix mends it, brings nothing new, and gives a profile as the schema has it.
    expect(ways.length).toBeGreaterThan(0);
    for (const { profile } of ways) {
      expect(profileSchema.parse(profile)).toEqual(profile);
      expect(checkKeys(profile)).toEqual([]);
    }
  });

  it('calls no key free that would be found', () => {
    const map = both([]);
    const isFree = freeKeys(map, 'base');
    const refused = ['KeyA', 'Shift+KeyA', 'Space', 'F9', 'Main+F9', 'Ctrl+Alt+Delete'];
    expect(refused.filter(isFree)).toEqual([]);
    expect(['Main+KeyA', 'Shift+F2', 'F2', 'Main+Delete'].filter((keys) => !isFree(keys))).toEqual(
      [],
    );
    // Whatever is held with it, a key with a role has that alone, and one of a chord gets no role.
    const held = both([
      { keys: 'hold F2', command: does('float') },
      { keys: 'Main+KeyK F3', command: does('close') },
      { keys: 'Main+F4', command: does('undo'), app: 'pitreader' },
    ]);
    const isLeft = freeKeys(held, 'base');
    expect(
      ['Main+F2', 'F2', 'Main+KeyJ F2', 'tap F3', 'hold F4', 'Main+F4'].filter(isLeft),
    ).toEqual([]);
    expect(['tap F2', 'tap F5', 'Main+F3'].filter((keys) => !isLeft(keys))).toEqual([]);
    expect(freeKeys(held, 'base', 'hold F2')('Main+F2')).toBe(true);
    // In a layer nothing is typed.
    expect(freeKeys(map, 'more')('KeyA')).toBe(true);
  });

  it('has a faulty map for each kind', () => {
    expect(new Set(FAULTY.map(({ kind }) => kind))).toEqual(new Set(KEY_FINDINGS));
  });

  it.each(KEY_STARTERS)('finds nothing in the starter %s', (from) => {
    const mouse = STARTER_MAPS[from].device;
    const device = mouse ? { devices: [KEYBOARD, mouse] } : {};
    const profile = profileSchema.parse({
      ...OFFICE,
      apps: ['a', 'b', 'c', 'd'].map((id) => ({ id, letter: id.toUpperCase() })),
      keys: { from, ...device },
    });
    expect(checkKeys(profile)).toEqual([]);
    expect(keyMap(profile).length > 0).toBe(from !== 'none');
  });

  it('does not take the stagger of a split board for an order', () => {
    const split = profileSchema.parse({
      ...OFFICE,
      keys: { from: 'inverted-t', devices: [{ id: 'k', board: 'split-42' }] },
    });
    expect(checkKeys(split)).toEqual([]);
  });

  it('leaves bindings of different layers and apps in peace', () => {
    const map = profileWith(
      [
        { keys: 'Main+KeyG', command: enter('one') },
        { keys: 'KeyA', command: does('float'), in: 'one' },
        { keys: 'Main+KeyA', command: does('close') },
        { keys: 'Main+KeyA', command: does('maximise'), app: 'notes' },
        { keys: 'Ctrl+KeyB', command: does('undo'), app: 'notes' },
      ],
      { layers: [{ id: 'one', lasts: 'once' }] },
    );
    const apps = [
      { id: 'notes' },
      { id: 'bulletin', shortcuts: [{ keys: 'Ctrl+KeyB', what: 'makes bold' }] },
    ];
    expect(checkKeys(profileSchema.parse({ ...map, apps }))).toEqual([]);
  });

  it('tells collisions with the main modifier after another one was chosen', () => {
    const map = both([{ keys: 'Main+Tab', command: does('focus-next') }]);
    expect(checkKeys(map)).toEqual([]);
    const byAlt = { ...map, keys: { ...map.keys, main: 'Alt' as const } };
    expect(checkKeys(byAlt).map(({ kind }) => kind)).toEqual(['keys-taken']);
  });
});

describe('a device of one input at a time', () => {
  const kinds = (layer: string, command: object) =>
    checkKeys(
      profileWith(
        [
          { keys: 'Button5', command },
          { keys: 'Main+KeyG', command: enter(layer) },
          { keys: 'KeyA', command: does('leave-layer'), in: layer },
        ],
        { layers: [{ id: layer, lasts: 'kept' }], devices: [KEYBOARD, MOUSE] },
      ),
    ).map(({ kind }) => kind);

  it('is told of where a layer lasts while its key is down, and nowhere else', () => {
    expect(kinds('stay', does('float'))).not.toContain('one-at-a-time');
    expect(kinds('stay', enter('stay'))).not.toContain('one-at-a-time');
  });
});
