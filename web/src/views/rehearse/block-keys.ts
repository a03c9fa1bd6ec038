import { pickingOf } from '@sorn/core/model';
import { deskInForce } from '@sorn/core/desk';
import { gridHere } from '@sorn/core/engine';
import { bindingText, boundAt, withBinding, withStandIn } from '@sorn/core/keys';
import { blockOf, type Block } from '@sorn/core/placing';
import { keysCaps, triggerOf } from '@sorn/core/values';
import { withBlockAsZone } from '@sorn/core/zones';
import { create } from 'zustand';
import type { Bench } from '../../data/bench-state.ts';

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
  code: string,
  keys: string,
  caps: readonly string[],
): boolean {
  const { session, profile } = bench;
  const waiting = useBlockKey.getState();
  const picking = pickingOf(session);
  if (picking?.kind !== 'corner-pick') {
    waiting.end();
    return false;
  }
  if (waiting.asks) {
    putOnKey(bench, waiting.asks, keys, caps, code === 'Escape');
    return true;
  }
  if (keys !== 'Equal' && keys !== 'Period') return false;
  const grid = gridHere({ session, profile, desk: deskInForce(profile, session) });
  const block = blockOf(grid, picking.typed);
  if (!block) {
    bench.note(caps, 'no block', 'type a letter or a digit of the grid first');
  } else if (keys === 'Period') {
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
  pressed: string,
  caps: readonly string[],
  isDropped: boolean,
) {
  const { end, say } = useBlockKey.getState();
  if (isDropped) {
    end();
    return;
  }
  const { profile } = bench;
  const { main } = profile.keys;
  const keys = withStandIn(pressed, profile);
  const name = keysCaps(keys, main).join(' ');
  if (triggerOf(keys).steps[0]!.modifiers.every((modifier) => modifier === 'Shift')) {
    say(`${caps.join(' ')} types something: press it with ${main}`);
    return;
  }
  const taken = boundAt(profile, keys);
  if (taken) {
    say(`${caps.join(' ')} does ${bindingText(taken)} already: press another`);
    return;
  }
  const { x, y } = block;
  bench.edit((now) => withBinding(now, { keys, command: { command: 'place-at', x, y } }));
  bench.done(caps, 'put the block on a key', name);
  end();
}
