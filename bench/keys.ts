import {
  openSession,
  place,
  profileSchema,
  reduce,
  sessionSchema,
  type Command,
  type Session,
} from '@sorn/core';
import { timingOf, timingText } from './measure.ts';

const PRESSES = 4000;
const WARM = 800;

const ROUND: readonly Command[] = (
  [
    'focus-right',
    'focus-down',
    'move-left',
    'lead-share-more',
    'grow-down',
    'swap-with-lead',
    'float',
    'focus-next',
    'float',
    'lead-share-less',
    'even-out',
    'undo',
  ] as const
).map((command) => ({ command }));

/** Prints the time from a key press to the placements of all windows: reduce, then place. */
export function benchKeys(): void {
  process.stdout.write('\nKey press → placements (median, 10th – 90th percentile)\n');
  for (const [windows, monitors] of [
    [30, 3],
    [200, 4],
  ] as const) {
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
    const times: number[] = [];
    for (let i = 0; i < PRESSES + WARM; i++) {
      const start = performance.now();
      session = reduce(
        session,
        { type: 'command', command: ROUND[i % ROUND.length]! },
        profile,
      ).session;
      const { placements } = place(session, profile);
      const end = performance.now();
      if (placements.length !== windows) throw new Error('a window was lost');
      if (i >= WARM) times.push((end - start) * 1000);
    }
    const sorted = [...times].sort((a, b) => a - b);
    const p99 = sorted[Math.floor(sorted.length * 0.99)]!;
    process.stdout.write(
      `${String(windows).padStart(6)} windows on ${monitors} monitors   ${timingText(timingOf(times))}, 99th percentile ${p99.toFixed(0)} µs\n`,
    );
  }
}
