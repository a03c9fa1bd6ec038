import { commandText } from '../../commands/command.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { checkKeys } from '../../checkup/keys.ts';
import { KEY_STARTERS, type KeyStarterId } from '../../model/keys.ts';
import { profileSchema } from '../../model/profile.ts';
import { OFFICE } from '../../testing/desk.ts';
import { KEYBOARDS, middleOf } from '../keyboards.ts';
import { beginningFrom } from '../edit.ts';
import { keyMap } from '../map.ts';
import { movedByLetters, STARTER_MAPS } from './starters.ts';

const DESK = { id: 'office', monitors: [{ monitor: 'wide', x: 0, y: 0 }] };
/** A desk on which nothing has a letter. */
const bare = profileSchema.parse({ ...OFFICE, desks: [DESK], workspaces: [], apps: [] });

interface Bound {
  more: string;
  code: string;
  steps: number;
  text: string;
}

/** The keys of a starter, read from the text of its triggers alone. */
function boundIn(id: KeyStarterId, profile = bare): Bound[] {
  return STARTER_MAPS[id].bindings(profile).map(({ keys, command }) => {
    const steps = keys.split(' ');
    const names = steps[0]!.split('+');
    const code = names.pop()!;
    const more = names.filter((name) => name !== 'Main').join('+');
    return { more, code, steps: steps.length, text: commandText(command) };
  });
}

describe('every starter', () => {
  it.each(KEY_STARTERS)(
    '%s has nothing for the checkup, on a keyboard of 80 % and on a whole one',
    (id) => {
      for (const board of ['ansi-100', 'iso-80'] as const) {
        const pad = Array.from({ length: 10 }, (_, i) => `Numpad${i}`);
        const codes = [...pad, 'NumpadDecimal', 'NumpadAdd', 'NumpadSubtract', 'NumpadEnter'];
        const devices = [
          { id: 'keyboard', board },
          ...(board === 'iso-80' ? [{ id: 'pad', codes }] : []),
        ];
        const profile = profileSchema.parse({ ...OFFICE, desks: [DESK], keys: { devices } });
        expect(checkKeys(beginningFrom(profile, id)).map(({ text }) => text)).toEqual([]);
      }
    },
  );
});

describe('the whole starter', () => {
  const all = boundIn('whole');
  const plain = new Map(all.filter(({ steps }) => steps === 1).map((b) => [b.text, b]));

  /** What each set of modifiers beside the main one means, as the starter says it. */
  const KINDS: Record<string, RegExp> = {
    // Goes somewhere, or changes how things are.
    '': /^(focus-|switch-window|find-window|go-workspace|next-of-app|float|stay-above|everywhere|maximise|full-screen|pocket|call-back|minimise|restore-last|(next|previous|turn|reset)-layout|split-|even-out|swap-with-lead|promote|show-desktop|clear-while|close|bring-inside|(new|rename)-workspace|lead-|shape|undo|redo|pause|resume|apply-rules|open-start|desk-mode|use-desk)/,
    // The window comes along.
    Shift: /^(move-|exchange-with|put-on-workspace [^,]*$)/,
    // It is sized and placed; with Shift the smaller counterpart.
    Ctrl: /^(grow-|place-|put-back|centre|smaller|bigger|fill-rest|widen-|corner-pick|pick-board|offer-places|(save|recall|forget)-lineup)/,
    'Ctrl+Shift': /^(shrink-|nudge-|(inner|outer)-gap-|gaps-off)/,
    // Farther: monitors and apps; with Shift the window comes along, with Ctrl more than a window comes.
    Alt: /^(go-monitor|call-app|launch|choose-app|open-chosen)/,
    'Alt+Shift': /^(put-on-monitor|put-on-workspace .*, follow$)/,
    'Ctrl+Alt': /^(put-workspace-on-monitor|open-app)/,
  };

  it('means the same kind of change by the same modifiers, whatever is named', () => {
    const named = profileSchema.parse({
      ...OFFICE,
      desks: [DESK],
      apps: [{ id: 'post', letter: 'P' }],
    });
    for (const { more, text } of [...all, ...boundIn('whole', named)]) {
      if (text.startsWith('use-layout')) continue;
      expect(`${more}: ${text}`).toMatch(new RegExp(`^${more.replace('+', '\\+')}: `));
      expect(text).toMatch(KINDS[more]!);
    }
  });

  it('has opposite commands side by side, with the same modifiers', () => {
    const OPPOSITES = [
      ['focus-previous', 'focus-next'],
      ['move-earlier', 'move-later'],
      ['previous-layout', 'next-layout'],
      ['split-across', 'split-down'],
      ['pocket', 'call-back'],
      ['minimise', 'restore-last'],
      ['new-workspace', 'close-workspace'],
      ['lead-share-less', 'lead-share-more'],
      ['inner-gap-less', 'inner-gap-more'],
      ['outer-gap-less', 'outer-gap-more'],
      ['lead-count-less', 'lead-count-more'],
      ['smaller', 'bigger'],
      ['undo', 'redo'],
      ['pause', 'resume'],
      ['save-lineup', 'recall-lineup'],
      ['swap-with-lead', 'promote'],
      ['float-all', 'float'],
      ['stay-above', 'everywhere'],
      ['maximise', 'full-screen'],
      ['show-desktop', 'clear-while-pressed'],
    ];
    for (const [one, other] of OPPOSITES) {
      const [a, b] = [plain.get(one!)!, plain.get(other!)!];
      expect(b.more).toBe(a.more);
      const [from, to] = [a, b].map(({ code }) => middleOf(KEYBOARDS['ansi-100'], code)!);
      expect(Math.hypot(from!.x - to!.x, from!.y - to!.y)).toBeLessThanOrEqual(1.5);
    }
  });

  it('has each group of commands in one row', () => {
    const rowOf = (text: string) => middleOf(KEYBOARDS['ansi-100'], plain.get(text)!.code)!.y;
    const GROUPS = [
      [
        'float',
        'float-all',
        'stay-above',
        'everywhere',
        'maximise',
        'full-screen',
        'pocket',
        'call-back',
        'minimise',
        'restore-last',
      ],
      [
        'next-layout',
        'previous-layout',
        'split-across',
        'split-down',
        'turn-layout',
        'even-out',
        'swap-with-lead',
        'promote',
        'reset-layout',
      ],
      [
        'show-desktop',
        'clear-while-pressed',
        'close',
        'next-of-app',
        'bring-inside',
        'new-workspace',
        'close-workspace',
      ],
    ];
    const rows = GROUPS.map((group) => new Set(group.map(rowOf)));
    expect(rows.map(({ size }) => size)).toEqual([1, 1, 1]);
    expect(new Set(rows.flatMap((row) => [...row])).size).toBe(3);
  });

  it('places in one press: halves, quarters, thirds and two thirds along the longer side, the whole', () => {
    const places = all.flatMap(({ text, steps }) =>
      text.startsWith('place-at ') && steps === 1 ? [text.slice('place-at '.length)] : [],
    );
    expect(places.sort()).toEqual(
      [
        'left 1/2',
        'right 1/2',
        'upper 1/2',
        'lower 1/2',
        'left 1/2, upper 1/2',
        'right 1/2, upper 1/2',
        'left 1/2, lower 1/2',
        'right 1/2, lower 1/2',
        'first 1/3 of the longer side',
        'middle 1/3 of the longer side',
        'last 1/3 of the longer side',
        'first 2/3 of the longer side',
        'last 2/3 of the longer side',
        'the whole work area',
      ].sort(),
    );
    // The block of keys has the shape of a monitor.
    const at = (text: string) =>
      middleOf(KEYBOARDS['ansi-100'], plain.get(`place-at ${text}`)!.code)!;
    for (const upper of ['left 1/2, upper 1/2', 'upper 1/2', 'right 1/2, upper 1/2'])
      expect(at(upper).y).toBeLessThan(at('the whole work area').y);
    expect(at('left 1/2').x).toBeLessThan(at('the whole work area').x);
    expect(at('right 1/2').x).toBeGreaterThan(at('the whole work area').x);
  });

  it('has a key straight to each layout, with and without each strip', () => {
    const layouts = all.filter(({ text }) => text.startsWith('use-layout'));
    expect(layouts.map(({ text }) => text.slice('use-layout '.length))).toEqual([
      'lead',
      'middle',
      'columns',
      'rows',
      'grid',
      'halving',
      'split',
      'single, strip none',
      'single, strip tabs',
      'single, strip list',
      'cascade',
      'board',
      'free',
    ]);
  });
});

describe('whatever letters a person gives', () => {
  const letter = fc.constantFrom(...'ABCDEFGHIJKLMNOPQRSTUVWXYZ');
  const workspace = fc.oneof(
    letter,
    letter.map((each) => each.toLowerCase()),
    fc.nat(9).map(String),
  );
  const named = fc.record({
    workspaces: fc.uniqueArray(workspace, { maxLength: 20 }),
    letters: fc.array(letter, { maxLength: 20 }),
  });
  const withNames = ({ workspaces, letters }: { workspaces: string[]; letters: string[] }) =>
    profileSchema.parse({
      ...OFFICE,
      desks: [DESK],
      workspaces: workspaces.map((id) => ({ id })),
      apps: letters.map((each, i) => ({ id: `app${i}`, letter: each })),
      rules: [],
    });

  it.each(KEY_STARTERS)('every command of %s keeps a key, and no two have one', (id) => {
    fc.assert(
      fc.property(named, (names) => {
        const profile = { ...withNames(names), keys: { ...bare.keys, from: id } };
        const map = keyMap(profile);
        const texts = new Set(map.map(({ command }) => commandText(command!)));
        for (const { text } of boundIn(id)) expect(texts).toContain(text);
        expect(new Set(map.map(({ canonicalTrigger }) => canonicalTrigger)).size).toBe(map.length);
        // No whole trigger is the beginning of another.
        const signs = map.map(({ canonicalTrigger }) => canonicalTrigger);
        const begins = new Set(
          signs.flatMap((sign) => {
            const steps = sign.split(' ');
            return steps.slice(1).map((_, i) => steps.slice(0, i + 1).join(' '));
          }),
        );
        expect(signs.filter((sign) => begins.has(sign))).toEqual([]);
      }),
      { numRuns: 60 },
    );
  });

  it('each workspace and app of the whole starter has its keys', () => {
    fc.assert(
      fc.property(named, (names) => {
        const profile = withNames(names);
        const texts = new Set(keyMap(profile).map(({ command }) => commandText(command!)));
        for (const id of names.workspaces) {
          expect(texts).toContain(`go-workspace ${id}`);
          expect(texts).toContain(`put-on-workspace ${id}`);
          expect(texts).toContain(`put-on-workspace ${id}, follow`);
        }
        names.letters.forEach((_, i) => {
          expect(texts).toContain(`call-app app${i}`);
          expect(texts).toContain(`open-app app${i}`);
        });
      }),
    );
  });

  it('what is moved is told: from where, to where, and by what', () => {
    const profile = withNames({ workspaces: ['S', 's', '1'], letters: ['Q', 'Q'] });
    const moved = movedByLetters(profile, 'whole').map(
      ({ binding, from, by }) =>
        `${commandText(binding.command)}: ${from} → ${binding.keys}, ${by}`,
    );
    expect(moved).toEqual([
      'go-workspace s: Main+KeyS → Main+Space KeyS, workspace S',
      'put-on-workspace s: Main+Shift+KeyS → Main+Space Shift+KeyS, workspace S',
      'put-on-workspace s, follow: Main+Alt+Shift+KeyS → Main+Space Alt+Shift+KeyS, workspace S',
      'call-app app1: Main+Alt+KeyQ → Main+Space Alt+KeyQ, app app0',
      'open-app app1: Main+Ctrl+Alt+KeyQ → Main+Space Ctrl+Alt+KeyQ, app app0',
      // Behind Main Space, S is the other workspace: the next letter that is free.
      'next-layout: Main+KeyS → Main+Space KeyT, workspace S',
    ]);
    expect(movedByLetters(bare, 'whole')).toEqual([]);
  });
});
