import { openSession, computePlacements, reduce, type SessionEvent } from '@sorn/core/engine';
import { profileSchema, sessionSchema, type Session } from '@sorn/core/model';

/**
 * Commands as a person gives them in turn: going, moving, sizing, floating, and taking back. What floats goes back
 * into its tile, so that the desk stays tiled however often the round is run.
 */
const ROUND: readonly SessionEvent[] = (
  [
    'focus-right',
    'focus-down',
    'move-left',
    'lead-share-more',
    'grow-down',
    'swap-with-lead',
    'focus-next',
    'float',
    'nudge-left',
    'float',
    'lead-share-less',
    'undo',
  ] as const
).map((command) => ({ type: 'command', command: { command } }));

/** A desk of windows that takes one command after another; each call is one key press to the placements. */
export function keyPresses(windows: number, monitors: number): () => void {
  const profile = profileSchema.parse({
    monitors: Array.from({ length: monitors }, (_, i) => ({
      id: `m${i}`,
      width: 3440,
      height: 1440,
    })),
    tiling: { gaps: { inner: 10, outer: 6 } },
  });
  const input = sessionSchema.parse({
    windows: Array.from({ length: windows }, (_, i) => ({
      id: `w${i}`,
      monitor: `m${i % monitors}`,
      min: { width: 40, height: 20 },
    })),
  });
  let session: Session = openSession(input, profile).session;
  let next = 0;
  return () => {
    session = reduce(session, ROUND[next++ % ROUND.length]!, profile).session;
    const { placements } = computePlacements(session, profile);
    if (placements.filter(({ tile }) => tile).length < windows - 1)
      throw new Error('the desk is no longer tiled');
  };
}
