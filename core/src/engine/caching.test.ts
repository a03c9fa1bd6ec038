import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Command } from '../commands/registry.ts';
import { profileSchema } from '../model/profile.ts';
import { sessionSchema } from '../model/session.ts';
import { OFFICE } from '../testing/desk.ts';
import { LAYOUT_KINDS } from '../values/layout.ts';
import { openSession } from './open.ts';
import { computePlacements } from './placements.ts';
import { reduce, type SessionEvent } from './reduce.ts';

const plain = [
  ...[
    'lead-share-more',
    'lead-share-less',
    'lead-count-more',
    'grow-right',
    'grow-down',
    'even-out',
  ],
  ...['move-left', 'move-right', 'swap-with-lead', 'focus-next', 'focus-right', 'undo', 'redo'],
  ...['float', 'nudge-left', 'minimise', 'restore-last', 'maximise', 'full-screen', 'everywhere'],
  ...['place-left', 'put-back', 'split-down', 'next-layout', 'reset-layout'],
].map((command) => ({ command }) as Command);
const anyEvent: fc.Arbitrary<SessionEvent> = fc
  .oneof(
    { weight: 4, arbitrary: fc.constantFrom(...plain) },
    { weight: 2, arbitrary: fc.constantFrom(...plain.slice(6, 10)) },
    fc
      .constantFrom(...LAYOUT_KINDS)
      .map((kind): Command => ({ command: 'use-layout', layout: { kind } })),
    fc.constantFrom('next', 'B').map((which): Command => ({ command: 'go-workspace', which })),
  )
  .map((command) => ({ type: 'command', command }));
/** What a person sets while windows stand. */
const anyTiling = fc.record({
  layout: fc
    .constantFrom('lead' as const, 'columns' as const, 'rows' as const)
    .map((kind) => ({ kind })),
  gaps: fc.record({ inner: fc.nat(40), outer: fc.nat(60), dropWhenAlone: fc.boolean() }),
  whenTooSmall: fc.constantFrom('squeeze' as const, 'float' as const, 'stack' as const),
});

describe('what is kept from step to step', () => {
  it('is what would be found anew', () => {
    fc.assert(
      fc.property(
        fc.array(fc.oneof({ weight: 4, arbitrary: anyEvent }, anyTiling), { maxLength: 30 }),
        fc.array(fc.nat(900), { minLength: 3, maxLength: 6 }),
        (steps, widths) => {
          let profile = profileSchema.parse(OFFICE);
          const windows = widths.map((width, i) => ({
            id: `w${i}`,
            workspace: 'B',
            min: { width: width + 1, height: 100 },
          }));
          let { session } = openSession(sessionSchema.parse({ windows }), profile);
          for (const step of steps) {
            const before = profile;
            if (!('type' in step)) profile = profileSchema.parse({ ...OFFICE, tiling: step });
            const event = 'type' in step ? step : ({ type: 'profile-edited', before } as const);
            const fresh = reduce(structuredClone(session), event, structuredClone(profile));
            ({ session } = reduce(session, event, profile));
            expect(session).toEqual(fresh.session);
            const anew = computePlacements(structuredClone(session), structuredClone(profile));
            expect(computePlacements(session, profile)).toEqual(anew);
          }
        },
      ),
      { numRuns: 400 },
    );
  });
});
