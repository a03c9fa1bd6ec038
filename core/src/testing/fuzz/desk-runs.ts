import { interactionOf, pickingOf } from '../../model/interaction.ts';
import type { Command } from '../../commands/registry.ts';
import fc from 'fast-check';

import { openSession } from '../../engine/open.ts';
import { computePlacements } from '../../engine/placements.ts';
import { reduce, type SessionEvent } from '../../engine/reduce.ts';
import { profileSchema, type Profile } from '../../model/profile.ts';
import { sessionSchema, type Session } from '../../model/session.ts';
import { deepFrozen } from '../desk.ts';
import { anyDesk, anySession } from './desks.ts';
import { anyHappening } from './events.ts';

/** `npm run fuzz -- --seconds N --seed S` sets both; each property has its part of the time. */
export const SEED = Number(process.env['FUZZ_SEED'] ?? 1);
export const SECONDS = Number(process.env['FUZZ_SECONDS'] ?? 20);
const PROPERTIES = 10;
/** What one property may take until vitest gives it up: its last made-up desk, and making a fault's case short. */
export const TIMEOUT = { timeout: SECONDS * 8_000 + 90_000 };

/** How many events happened in all properties of a file. */
export const events = { count: 0 };

export interface Desk {
  session: Session;
  profile: Profile;
}

function begun(deskInput: unknown, sessionInput: unknown): Desk {
  const profile = deepFrozen(profileSchema.parse(deskInput));
  const { session } = openSession(sessionSchema.parse(sessionInput), profile);
  return { profile, session: deepFrozen(session) };
}

/** The desk after an event. What goes in is frozen: a reducer that changes it throws. */
export function after({ session, profile }: Desk, event: SessionEvent): Desk {
  events.count++;
  const outcome = reduce(session, event, profile);
  if (!outcome.edit) return { profile, session: deepFrozen(outcome.session) };
  // What a command makes of a profile, its own schema reads again as it is.
  const edit = deepFrozen(profileSchema.parse(structuredClone(outcome.edit)));
  const edited = reduce(outcome.session, { type: 'profile-edited', before: profile }, edit);
  return { profile: edit, session: deepFrozen(edited.session) };
}

export function commanded(desk: Desk, command: Command): Desk {
  return after(desk, { type: 'command', command });
}

/** Without a time asked for, as in `npm test`, a run tries the same desks on every machine: at most so many a part. */
const MOST_DESKS = process.env['FUZZ_SECONDS'] === undefined ? 300 : 1e9;
/** So few desks that one run takes a moment: for trying many changes of core, where not all has to be met. */
const FEW = process.env['FUZZ_FEW'];
export const isFew = FEW !== undefined;
/** A property goes on past its part of the time, up to so many parts, until what is to be covered is. */
const MOST_PARTS = 12;

/**
 * Runs events on any desk, and looks at it before the first one and after each.
 * @param isCovered whether all that the property is to meet was met
 */
export function holds(
  look: (desk: Desk, event: SessionEvent | null) => void,
  isCovered: () => boolean = () => true,
) {
  const property = fc.property(
    anyDesk,
    anySession,
    fc.array(anyHappening, { maxLength: 25 }),
    (desk, given, list) => {
      let now = begun(desk, given);
      look(now, null);
      for (const event of list) {
        now = after(now, event);
        look(now, event);
      }
    },
  );
  for (let part = 0; part === 0 || (part < MOST_PARTS && !isFew && !isCovered()); part++)
    fc.assert(property, onePart(part));
}

/** How one part of a property runs: with a seed of its own, for its part of the time. */
export function onePart(part: number) {
  return {
    seed: SEED + part * 1_000_003,
    numRuns: FEW === undefined ? MOST_DESKS : Number(FEW),
    interruptAfterTimeLimit: (SECONDS * 1000) / PROPERTIES,
    markInterruptAsFailure: false,
  };
}

/** What a person sees of a desk, and the orders that decide what comes next. */
export function seen({ session, profile }: Desk) {
  const lives = new Map<string, Set<string>>();
  for (const { id, workspace, monitor, pocketedFrom } of session.windows)
    for (const at of [{ workspace, monitor }, pocketedFrom ?? { workspace, monitor }])
      lives.set(id, (lives.get(id) ?? new Set()).add(`${at.workspace}/${at.monitor}`));
  const orders = Object.entries(session.arrangements).flatMap(([key, { order }]) => {
    const here = order.filter((id) => lives.get(id)?.has(key));
    return here.length === 0 ? [] : [[key, here] as const];
  });
  return {
    placements: computePlacements(session, profile).placements,
    orders: Object.fromEntries(orders.sort(([a], [b]) => (a < b ? -1 : 1))),
    shown: session.shown,
    focus: session.focus,
    focusMonitor: session.focusMonitor,
    // What call-back and restore-last bring next.
    pocket: session.pocket ?? [],
    minimised: session.minimised ?? [],
  };
}

/** What can be under way, and ends when something else is done. */
export const UNDER_WAY = {
  offer: (session) => pickingOf(session)?.kind === 'offer',
  'board pick': (session) => pickingOf(session)?.kind === 'board-pick',
  'corner pick': (session) => pickingOf(session)?.kind === 'corner-pick',
  preview: ({ interaction }) => interaction?.kind === 'previewing',
  switching: ({ interaction }) => interaction?.kind === 'switching',
  shaping: ({ interaction }) => interaction?.kind === 'shaping',
  'choosing a mode': ({ interaction }) => interaction?.kind === 'choosing-mode',
  'choosing an app': ({ interaction }) => interaction?.kind === 'choosing-app',
  'bare desktop': (session) => interactionOf(session, 'bare-desktop')?.whilePressed === false,
  'bare desktop while pressed': (session) =>
    interactionOf(session, 'bare-desktop')?.whilePressed === true,
  unplugged: ({ unplugged }) => unplugged !== undefined,
  pause: ({ paused }) => paused !== undefined,
} satisfies Record<string, (session: Session) => boolean>;
export type UnderWay = keyof typeof UNDER_WAY;

function underWay(session: Session): UnderWay[] {
  return (Object.keys(UNDER_WAY) as UnderWay[]).filter((kind) => UNDER_WAY[kind](session));
}

/** Nothing is under way; a pause may be. */
export function isCalm(session: Session): boolean {
  return underWay(session).every((kind) => kind === 'pause');
}

/** How often each of some things happened, printed at the end of a file. */
export class Tally {
  private readonly counts = new Map<string, number>();
  constructor(private readonly all: readonly string[]) {}
  count(name: string): void {
    this.counts.set(name, (this.counts.get(name) ?? 0) + 1);
  }
  of(name: string): number {
    return this.counts.get(name) ?? 0;
  }
  never(): string[] {
    return this.all.filter((name) => !this.counts.has(name));
  }
  /** The one that happened least often. */
  least<Name extends string>(names: readonly Name[]): Name {
    return names.reduce((a, b) => (this.of(b) < this.of(a) ? b : a));
  }
  text(): string {
    return this.all.map((name) => `${name} ${this.of(name)}`).join(', ');
  }
}
