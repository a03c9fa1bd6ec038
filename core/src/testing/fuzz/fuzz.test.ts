import fc from 'fast-check';
import { it } from 'vitest';
import { profileSchema, type Profile } from '../../profile/schema.ts';
import { openSession } from '../../session/open.ts';
import { place } from '../../session/place.ts';
import { reduce } from '../../session/reduce.ts';
import { sessionSchema } from '../../session/schema.ts';
import type { Session } from '../../session/session.ts';
import { deepFrozen } from '../desk.ts';
import { anyDesk, anySession } from './desks.ts';
import { anyHappening } from './happenings.ts';

const SEED = Number(process.env.FUZZ_SEED ?? 1);
const MS = Number(process.env.FUZZ_SECONDS ?? 20) * 1000;
const what = process.env.FUZZ_WHAT ?? 'throws';

function begin(deskInput: object, sessionInput: object) {
  const profile = deepFrozen(profileSchema.parse(deskInput));
  const { session } = openSession(sessionSchema.parse(sessionInput), profile);
  return { profile, session: deepFrozen(session) };
}
export const view = (session: Session, profile: Profile) => ({
  placements: place(session, profile).placements,
  orders: Object.fromEntries(
    Object.entries(session.arrangements)
      .filter(([, a]) => !a.left && a.order.length)
      .map(([k, a]) => [k, a.order]),
  ),
  shown: session.shown,
  focus: session.focus,
});
const calm = (s: Session) =>
  !s.picking &&
  !s.previewing &&
  !s.switching &&
  !s.desktop &&
  !s.shaping &&
  !s.choosingMode &&
  !s.unplugged;
let events = 0;
it('fuzz', () => {
  const checks: Record<string, (session: Session, profile: Profile) => void> = {
    throws: (session, profile) => void place(session, profile),
    schema: (session) => {
      const back = sessionSchema.safeParse(JSON.parse(JSON.stringify(session)));
      if (!back.success)
        throw new Error('schema: ' + JSON.stringify(back.error.issues.slice(0, 3)));
    },
    reopen: (session, profile) => {
      const back = sessionSchema.safeParse(JSON.parse(JSON.stringify(session)));
      if (!back.success || !calm(session)) return;
      const again = openSession(back.data, profile).session;
      const [a, b] = [view(session, profile), view(again, profile)].map((v) =>
        JSON.stringify({ ...v, orders: 0 }),
      );
      if (a !== b) throw new Error(`reopen\n${a}\n${b}`);
    },
    undo: (session, profile) => {
      const undone = reduce(
        session,
        { type: 'command', command: { command: 'undo' } },
        profile,
      ).session;
      if (undone === session || undone.past.length >= session.past.length) return;
      const redone = reduce(
        undone,
        { type: 'command', command: { command: 'redo' } },
        profile,
      ).session;
      // What lasts only until something else is done has ended.
      const settled = reduce(session, { type: 'command', command: { command: 'undo' } }, profile);
      void settled;
      if (!calm(session)) return;
      const [a, b] = [view(session, profile), view(redone, profile)].map((v) => JSON.stringify(v));
      if (a !== b) throw new Error(`undo/redo of ${session.past.at(-1)?.command}\n${a}\n${b}`);
    },
  };
  fc.assert(
    fc.property(
      anyDesk,
      anySession,
      fc.array(anyHappening, { maxLength: 25 }),
      (desk, given, list) => {
        const begun = begin(desk, given);
        let { session } = begun;
        checks[what]!(session, begun.profile);
        for (const event of list) {
          events++;
          session = deepFrozen(reduce(session, event, begun.profile).session);
          checks[what]!(session, begun.profile);
        }
      },
    ),
    { seed: SEED, numRuns: 1e9, interruptAfterTimeLimit: MS, endOnFailure: false },
  );
  console.log(events, 'events');
}, 10_000_000);
