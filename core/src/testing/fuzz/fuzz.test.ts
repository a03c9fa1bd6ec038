import { COMMANDS } from '../../commands/registry.ts';
import fc from 'fast-check';
import { afterAll, describe, expect, it } from 'vitest';

import { computePlacements } from '../../engine/placements.ts';
import type { SessionEvent } from '../../engine/reduce.ts';
import { sessionSchema, windowSchema } from '../../model/session.ts';
import {
  isFew,
  after,
  commanded,
  events,
  holds,
  isCalm,
  SEED,
  seen,
  Tally,
  TIMEOUT,
  UNDER_WAY,
  type Desk,
  type UnderWay,
} from './desk-runs.ts';
import { commandFor } from './events.ts';

const ran = new Tally(COMMANDS);
const KINDS = Object.keys(UNDER_WAY) as UnderWay[];
/** What begins each thing that can be under way. */
const BEGINNINGS: Readonly<Record<UnderWay, SessionEvent | readonly SessionEvent[]>> = {
  offer: [
    ...['x1', 'x2'].map((id): SessionEvent => ({
      type: 'window-opened',
      window: windowSchema.parse({ id, held: 'tiled' }),
    })),
    { type: 'command', command: { command: 'place-left' } },
    { type: 'command', command: { command: 'offer-places' } },
  ],
  'board pick': { type: 'command', command: { command: 'pick-board' } },
  'corner pick': { type: 'command', command: { command: 'corner-pick' } },
  preview: { type: 'key-pressed', command: { command: 'place-left' } },
  switching: { type: 'key-pressed', command: { command: 'switch-window' } },
  shaping: { type: 'command', command: { command: 'shape' } },
  'choosing a mode': { type: 'command', command: { command: 'desk-mode' } },
  'choosing an app': { type: 'command', command: { command: 'choose-app' } },
  'bare desktop': { type: 'command', command: { command: 'show-desktop' } },
  'bare desktop while pressed': {
    type: 'key-pressed',
    command: { command: 'clear-while-pressed' },
  },
  unplugged: { type: 'monitors-changed', connected: [], byHand: false },
  pause: { type: 'command', command: { command: 'pause' } },
};
const begun = new Tally(KINDS);
const pairsOf = (kind: UnderWay) => COMMANDS.map((command) => `${kind} ${command}`);
const from = new Tally(KINDS.flatMap(pairsOf));
let redone = 0;
afterAll(() => {
  const least = from.least(KINDS.flatMap(pairsOf));
  process.stdout.write(
    [
      `\nfuzz: seed ${SEED}, ${events.count} events, ${redone} steps redone`,
      `commands: ${ran.text()}`,
      `least often from what was under way: ${least} ${from.of(least)}`,
      `never: ${[...ran.never(), ...from.never()].join(', ') || 'none'}\n`,
    ].join('\n'),
  );
});

function haveTheirPlaces({ session, profile }: Desk) {
  expect(computePlacements(session, profile).placements).toHaveLength(session.windows.length);
  // What floats stands somewhere of its own, which the session keeps.
  for (const { id, held, standing, placing } of session.windows)
    if (held === 'floating' && !placing && !standing) throw new Error(`${id} stands nowhere`);
}

function soundly(desk: Desk) {
  const { session } = desk;
  haveTheirPlaces(desk);
  const written = JSON.parse(JSON.stringify(session)) as unknown;
  expect(sessionSchema.parse(written)).toEqual(written);
}

describe('whatever happens on whatever desk', TIMEOUT, () => {
  it('nothing throws, and every window has a place', () => {
    holds(
      (desk, event) => {
        if (event?.type === 'command') ran.count(event.command.command);
        haveTheirPlaces(desk);
      },
      () => ran.never().length === 0,
    );
  });

  it('the schema takes what the engine makes, unchanged', () => {
    holds(({ session }) => {
      const written = JSON.parse(JSON.stringify(session)) as unknown;
      expect(sessionSchema.parse(written)).toEqual(written);
    });
  });

  it('undo, then redo, is where one was', () => {
    holds(
      (desk) => {
        if (!isCalm(desk.session) || desk.session.past.length === 0) return;
        const undone = commanded(desk, { command: 'undo' });
        if (undone.session === desk.session) return;
        redone++;
        expect(seen(commanded(undone, { command: 'redo' }))).toEqual(seen(desk));
      },
      () => redone > 100,
    );
  });

  it('each command goes on soundly from whatever is under way', () => {
    holds(
      (desk) => {
        if (!isCalm(desk.session)) return;
        // What was gone on from least often, of that what was tried least often: not each begins on every desk.
        const rarest = (kind: UnderWay) => from.of(from.least(pairsOf(kind)));
        const least = Math.min(...KINDS.map(rarest));
        const kind = begun.least(KINDS.filter((each) => rarest(each) === least));
        begun.count(kind);
        const going = [BEGINNINGS[kind]].flat().reduce(after, desk);
        if (!UNDER_WAY[kind](going.session)) return;
        for (let i = 0; i < 30; i++) {
          const next = from.least(pairsOf(kind));
          from.count(next);
          const id = COMMANDS.find((command) => next === `${kind} ${command}`)!;
          const [command] = fc.sample(commandFor(id), { numRuns: 1, seed: i });
          const done = commanded(going, command!);
          soundly(done);
          // The key that it was done with comes up after it.
          soundly(after(done, { type: 'key-released', taken: true }));
        }
      },
      () => from.never().length === 0,
    );
  });

  it.skipIf(isFew)(
    'every command was tried, from everything that can be under way, and steps were redone',
    () => {
      expect([...ran.never(), ...from.never()]).toEqual([]);
      expect(redone).toBeGreaterThan(100);
    },
  );
});
