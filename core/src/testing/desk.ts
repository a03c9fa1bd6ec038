import type { Command } from '../commands/registry.ts';

import { deskInForce, type DeskInForce } from '../desk/desk.ts';
import { openSession } from '../engine/open.ts';
import { checkPlacements, type CheckedPlacements } from '../checkup/placements.ts';
import type { Placement } from '../engine/placement.ts';
import { reduce, type SessionEvent } from '../engine/reduce.ts';
import type { Reason } from '../engine/session.ts';
import { profileSchema, type Profile } from '../model/profile.ts';
import { sessionSchema, type Session } from '../model/session.ts';

/** A desk to run tests on: what was done to it, and where its windows are. */
export interface TestDesk {
  profile: Profile;
  session: Session;
  desk: DeskInForce;
  trace: readonly Reason[];
  /** Runs plain commands by their ids, others as they are. */
  run: (...commands: (Command | Command['command'])[]) => TestDesk;
  event: (event: SessionEvent) => TestDesk;
  /** The profile is edited to this. */
  edited: (profile: Profile) => TestDesk;
  /** Exactly these monitors are connected now. */
  plug: (...monitors: string[]) => TestDesk;
  /** Windows as "x,y w×h", by id. */
  shapes: () => Record<string, string>;
  at: (id: string) => Placement;
  placed: () => CheckedPlacements;
}

export function testDesk(profileInput: unknown, sessionInput: unknown = {}): TestDesk {
  const profile = profileSchema.parse(profileInput);
  const { session } = openSession(sessionSchema.parse(sessionInput), profile);
  return deskOf(profile, session, []);
}

function deskOf(profile: Profile, session: Session, trace: readonly Reason[]): TestDesk {
  const event = (happening: SessionEvent) => {
    const outcome = reduce(deepFrozen(session), happening, deepFrozen(profile));
    const { edit, trace: told } = outcome;
    if (!edit) return deskOf(profile, outcome.session, told);
    // Whoever keeps the profile takes over what an event edits.
    const edited = { type: 'profile-edited' as const, before: profile };
    return deskOf(edit, reduce(outcome.session, edited, deepFrozen(edit)).session, told);
  };
  const placed = () => checkPlacements(session, profile);
  return {
    profile,
    session,
    desk: deskInForce(profile, session),
    trace,
    event,
    edited(next) {
      const happening = { type: 'profile-edited' as const, before: profile };
      const outcome = reduce(deepFrozen(session), happening, deepFrozen(next));
      return deskOf(next, outcome.session, outcome.trace);
    },
    plug: (...connected) => event({ type: 'monitors-changed', connected }),
    run: (...commands) =>
      commands.reduce<TestDesk>(
        (desk, command) => {
          const whole = typeof command === 'string' ? ({ command } as Command) : command;
          return desk.event({ type: 'command', command: whole });
        },
        deskOf(profile, session, trace),
      ),
    shapes: () => Object.fromEntries(placed().placements.map((p) => [p.id, shapeText(p)])),
    placed,
    at: (id) => placed().placements.find((placement) => placement.id === id)!,
  };
}

function shapeText({ x, y, width, height }: Placement): string {
  return `${x},${y} ${width}×${height}`;
}

/** The value itself, made unchangeable all the way down: a reducer that mutates its input throws. */
export function deepFrozen<T>(value: T): T {
  if (typeof value === 'object' && value !== null && !Object.isFrozen(value)) {
    Object.freeze(value);
    Object.values(value).forEach(deepFrozen);
  }
  return value;
}

/** The demo's three monitors as they stand on the Office desk. */
export const OFFICE = {
  monitors: [
    { id: 'wide', x: 0, y: 0, width: 3440, height: 1440, reserved: { top: 28 } },
    { id: 'tall', x: 3440, y: -560, width: 1440, height: 2560 },
    {
      id: 'lap',
      x: 280,
      y: 1440,
      width: 2880,
      height: 1800,
      scale: 2,
      reserved: { top: 24, bottom: 40 },
    },
  ],
  workspaces: [
    { id: 'B', monitor: 'wide' },
    { id: '1', monitor: 'wide' },
    { id: 'S', monitor: 'tall' },
    { id: 'R', monitor: 'lap' },
  ],
  apps: [
    { id: 'pitreader', name: 'Pit Reader' },
    { id: 'shell', name: 'Shell' },
    {
      id: 'picker',
      name: 'Picker',
      resizable: false,
      preferred: { width: 300, height: 360 },
    },
  ],
  rules: [
    { id: 'picker', when: { all: [{ of: 'app', is: 'picker' }] }, then: { held: 'floating' } },
  ],
  boards: [
    {
      id: 'five',
      columns: [1, 2, 1],
      rows: [2, 1],
      zones: [
        { name: 'left', columns: [1, 1], rows: [1, 2] },
        { name: 'middle', columns: [2, 2], rows: [1, 1] },
        { name: 'low', columns: [2, 3], rows: [2, 2] },
        { name: 'right', columns: [3, 3], rows: [1, 1] },
        { name: 'over', columns: [1, 2], rows: [1, 1] },
      ],
      for: { leastAspect: 1.2 },
    },
    {
      id: 'pages',
      rows: [1, 1],
      zones: [
        { name: 'upper', columns: [1, 1], rows: [1, 1] },
        { name: 'lower', columns: [1, 1], rows: [2, 2] },
      ],
      for: { turned: true },
    },
  ],
  tiling: { gaps: { inner: 10, outer: 6 }, layout: { kind: 'lead', leadShare: 0.58 } },
};

export function windows(...ids: string[]) {
  return { windows: ids.map((id) => ({ id })) };
}
