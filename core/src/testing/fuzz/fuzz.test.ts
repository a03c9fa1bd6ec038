import fc from 'fast-check';
import { afterAll, describe, expect, it } from 'vitest';
import { COMMANDS } from '../../profile/command.ts';
import { profileSchema, type Profile } from '../../profile/schema.ts';
import { openSession } from '../../session/open.ts';
import { place } from '../../session/place.ts';
import { reduce, type SessionEvent } from '../../session/reduce.ts';
import { sessionSchema } from '../../session/schema.ts';
import type { Session } from '../../session/session.ts';
import { deepFrozen } from '../desk.ts';
import { anyDesk, anySession } from './desks.ts';
import { anyHappening } from './happenings.ts';

/** `npm run fuzz -- --seconds N --seed S` sets both; each property has its part of the time. */
const SEED = Number(process.env.FUZZ_SEED ?? 1);
const SECONDS = Number(process.env.FUZZ_SECONDS ?? 20);
const PROPERTIES = 3;

const counts = new Map<string, number>();
let events = 0;
let redone = 0;
const never = () => COMMANDS.filter((id) => !counts.has(id));
afterAll(() => {
  const missing = never().join(', ') || 'none';
  process.stdout.write(
    `\nfuzz: seed ${SEED}, ${events} events, ${redone} steps redone; commands that never ran: ${missing}\n`,
  );
});

interface Desk {
  session: Session;
  profile: Profile;
}

function begun(deskInput: unknown, sessionInput: unknown): Desk {
  const profile = deepFrozen(profileSchema.parse(deskInput));
  const { session } = openSession(sessionSchema.parse(sessionInput), profile);
  return { profile, session: deepFrozen(session) };
}

/** What a person sees of a desk, and the orders that decide what comes next. */
function seen({ session, profile }: Desk) {
  const orders = Object.entries(session.arrangements).flatMap(([key, { order, left }]) =>
    left || order.length === 0 ? [] : [[key, order] as const],
  );
  return {
    placements: place(session, profile).placements,
    orders: Object.fromEntries(orders.sort(([a], [b]) => (a < b ? -1 : 1))),
    shown: session.shown,
    focus: session.focus,
  };
}

/** Nothing is under way that ends when something else is done. */
function isCalm(session: Session): boolean {
  const { picking, previewing, switching, desktop, shaping, choosingMode, unplugged } = session;
  return [picking, previewing, switching, desktop, shaping, choosingMode, unplugged].every(
    (each) => each === undefined,
  );
}

/** Runs events on any desk, and looks after each. What goes in is frozen: a reducer that changes it throws. */
function holds(look: (desk: Desk) => void) {
  const ms = (SECONDS * 1000) / PROPERTIES;
  fc.assert(
    fc.property(
      anyDesk,
      anySession,
      fc.array(anyHappening, { maxLength: 25 }),
      (desk, given, list) => {
        let now = begun(desk, given);
        look(now);
        for (const event of list) {
          events++;
          if (event.type === 'command') {
            const { command } = event.command;
            counts.set(command, (counts.get(command) ?? 0) + 1);
          }
          now = { ...now, session: deepFrozen(reduce(now.session, event, now.profile).session) };
          look(now);
        }
      },
    ),
    { seed: SEED, numRuns: 1e9, interruptAfterTimeLimit: ms, markInterruptAsFailure: false },
  );
}

const command = (id: 'undo' | 'redo'): SessionEvent => ({
  type: 'command',
  command: { command: id },
});

describe('whatever happens on whatever desk', { timeout: SECONDS * 4_000 + 60_000 }, () => {
  it('nothing throws, and every window has a place', () => {
    holds(({ session, profile }) => {
      expect(place(session, profile).placements).toHaveLength(session.windows.length);
    });
  });

  it('the schema takes what the engine makes, unchanged', () => {
    holds(({ session }) => {
      const written = JSON.parse(JSON.stringify(session)) as unknown;
      expect(sessionSchema.parse(written)).toEqual(written);
    });
  });

  it('undo, then redo, is where one was', () => {
    holds(({ session, profile }) => {
      if (!isCalm(session) || session.past.length === 0) return;
      const undone = reduce(session, command('undo'), profile).session;
      if (undone === session) return;
      const again = reduce(undone, command('redo'), profile).session;
      redone++;
      expect(seen({ session: again, profile })).toEqual(seen({ session, profile }));
    });
  });

  it('every command was tried, and steps were redone', () => {
    expect(never()).toEqual([]);
    expect(redone).toBeGreaterThan(100);
  });
});
