import {
  blockOf,
  chordCaps,
  commandText,
  bindingFor,
  starterKeys,
  withBlockAsZone,
  withPlaceOnKey,
  type Block,
  type Chord,
} from '@sorn/core';
import { create } from 'zustand';
import type { Bench } from '../../data/bench.ts';

interface BlockKey {
  /** A block that waits for the key it is to be put on. */
  asks: Block | null;
  /** Why the last chord could not be taken. */
  says: string;
  ask: (block: Block) => void;
  say: (says: string) => void;
  end: () => void;
}

/** A block of the corner pick on its way to a key of its own. */
export const useBlockKey = create<BlockKey>((set) => ({
  asks: null,
  says: '',
  ask: (asks) => set({ asks, says: '' }),
  say: (says) => set({ says }),
  end: () => set({ asks: null, says: '' }),
}));

/**
 * What the page itself does with keys while a corner pick is open: = keeps the block as a zone, . puts it on the
 * key pressed next. True where the key was for that.
 */
export function takeBlockKey(
  bench: Bench,
  event: KeyboardEvent,
  chord: Chord,
  caps: readonly string[],
): boolean {
  const { session, profile } = bench;
  const waiting = useBlockKey.getState();
  if (session.picking?.by !== 'corner') {
    waiting.end();
    return false;
  }
  if (waiting.asks) {
    putOnKey(bench, waiting.asks, chord, caps, event.code === 'Escape');
    return true;
  }
  const isBare = chord.modifiers.length === 0;
  if (!isBare || (event.code !== 'Equal' && event.code !== 'Period')) return false;
  const grid = profile.placing.cornerPick;
  const block = blockOf(grid, session.picking.typed);
  if (!block) {
    bench.note(caps, 'no block', 'type a letter or a digit of the grid first');
  } else if (event.code === 'Period') {
    waiting.ask(block);
  } else {
    const saved = withBlockAsZone(profile, grid, block);
    bench.edit(() => saved.profile);
    bench.done(caps, 'keep the block as a zone', `${saved.zone} of the board ${saved.board}`);
  }
  return true;
}

function putOnKey(
  bench: Bench,
  block: Block,
  chord: Chord,
  caps: readonly string[],
  isDropped: boolean,
) {
  const { end, say } = useBlockKey.getState();
  if (isDropped) {
    end();
    return;
  }
  const { profile } = bench;
  const name = chordCaps(chord).join(' ');
  if (!chord.modifiers.some((modifier) => modifier !== 'Shift')) {
    say(`${name} types something: press it with ${profile.keys.main}`);
    return;
  }
  const { main, standIn } = profile.keys;
  const modifiers = chord.modifiers.includes(main)
    ? chord.modifiers
    : chord.modifiers.map((each) => (each === standIn ? main : each));
  const taken = bindingFor(starterKeys(profile), chord, profile.keys);
  if (taken) {
    say(`${name} does ${commandText(taken.command)} already: press another`);
    return;
  }
  bench.edit((now) => withPlaceOnKey(now, { modifiers, code: chord.code }, block));
  bench.done(caps, 'put the block on a key', name);
  end();
}
