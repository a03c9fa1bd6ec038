import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { boundAt } from '../keys/edit.ts';
import { nearestFree } from '../keys/free-keys.ts';
import { profileSchema, type Profile } from '../model/profile.ts';
import { does, enter, profileWith } from '../testing/keys.ts';
import { quickFixesFor } from './quick-fixes.ts';
import { checkKeys } from './keys.ts';

const LAYERS = ['stay', 'one', 'while'];
const anyBinding = fc.record({
  keys: fc.constantFrom(
    ...['Main+KeyA', 'Main+KeyA KeyB', 'Meta+KeyA', 'KeyB', 'Ctrl+KeyC', 'Alt+Tab', 'tap KeyB'],
    ...['Main+KeyJ', 'Main+KeyL', 'Button4', 'Ctrl+Button5', 'Button30', 'Main+F24', 'Caps+KeyU'],
  ),
  command: fc.constantFrom(
    ...['focus-left', 'focus-right', 'pocket', 'call-back', 'minimise', 'find-window'].map(does),
    ...LAYERS.map(enter),
    does('leave-layer'),
  ),
  in: fc.constantFrom('base', 'base', ...LAYERS),
});
const anyMap = fc.array(anyBinding, { maxLength: 10 }).map((bindings) =>
  profileWith(
    bindings.map(({ in: layer, ...rest }) => ({ ...rest, ...(layer !== 'base' && { in: layer }) })),
    {
      bundles: [{ id: 'Caps', hold: 'CapsLock', modifiers: ['Ctrl', 'Alt'] }],
      devices: [
        { id: 'k', board: 'ansi-80' },
        { id: 'm', buttons: 12, modifiers: false, atOnce: 'one' },
      ],
    },
  ),
);

/** What a finding is about, whatever it is called by. */
const same = (profile: Profile) =>
  checkKeys(profile).map(({ kind, about, layer }) => `${kind} ${layer ?? ''} ${about.join(' ')}`);

describe('quick fixes of any map', () => {
  it('end what they are for, and give a profile as the schema has it', () => {
    fc.assert(
      fc.property(anyMap, (profile) => {
        const findings = checkKeys(profile);
        const told = same(profile);
        findings.forEach((finding, i) => {
          const ways = quickFixesFor(profile, finding);
          expect(ways.length, finding.text).toBeGreaterThan(0);
          for (const { profile: next, says } of ways) {
            expect(profileSchema.parse(next)).toEqual(next);
            expect(same(next), says).not.toContain(told[i]);
          }
        });
      }),
      { numRuns: 150 },
    );
  });

  it('taken one after the other, always the first way, leave nothing to be found', () => {
    fc.assert(
      fc.property(anyMap, (start) => {
        let profile = start;
        // Each of them may bring a binding that something else is about: there is an end to it.
        for (let taken = 0; taken < 60; taken++) {
          const [finding] = checkKeys(profile);
          if (!finding) return;
          profile = quickFixesFor(profile, finding)[0]!.profile;
        }
        throw new Error(JSON.stringify(checkKeys(profile)));
      }),
      { numRuns: 100 },
    );
  });

  it('move keys only to free ones', () => {
    fc.assert(
      fc.property(
        anyMap,
        fc.constantFrom('Main+KeyA', 'KeyB', 'Alt+Tab', 'Button4'),
        (profile, keys) => {
          const free = nearestFree(profile, { keys, layer: 'base' });
          if (free === null) return;
          expect(boundAt(profile, free)).toBeNull();
          expect(['Alt+Tab', 'Ctrl+KeyC', 'F9', 'Escape']).not.toContain(free);
        },
      ),
    );
  });
});
