import { once } from 'node:events';
import { Worker } from 'node:worker_threads';
import { computePlacements, openSession, reduce } from '@sorn/core/engine';
import {
  profileSchema,
  sessionSchema,
  trialSchema,
  type Profile,
  type Trial,
} from '@sorn/core/model';
import { tryTrial } from '@sorn/core/simulate';

const PROFILE = profileSchema.parse({
  monitors: [0, 1, 2].map((i) => ({ id: `m${i}`, width: 2560, height: 1440 })),
  workspaces: ['A', 'B', 'C'].map((id, i) => ({ id, monitor: `m${i}` })),
  apps: Array.from({ length: 7 }, (_, i) => ({ id: `app${i}` })),
  tiling: { gaps: { inner: 10, outer: 6 } },
});
const open = (i: number) => ({ command: 'open-app', app: `app${i}` });

/** Twelve steps, five of them in any order, on three monitors with nine windows. */
export const TWELVE: Trial = trialSchema.parse({
  id: 'twelve',
  session: {
    windows: Array.from({ length: 9 }, (_, i) => ({ id: `w${i}`, workspace: 'ABC'[i % 3] })),
  },
  steps: [
    { anyOrder: [open(0), open(1), open(2), open(3), open(4)] },
    'focus-left',
    'swap-with-lead',
    'lead-share-more',
    'float',
    'float',
    { command: 'put-on-workspace', which: 'B' },
    'undo',
    { expect: { window: 'app0', workspace: 'A' } },
    { expect: { every: 'in-reach' } },
  ],
});
const SEVEN: Trial = trialSchema.parse({
  id: 'seven',
  steps: [
    { anyOrder: Array.from({ length: 7 }, (_, i) => open(i)) },
    { expect: { window: 'app0', is: 'lead' } },
  ],
});

export function tried(trial: Trial): { tries: number; ms: number; firstMs: number } {
  const begins = performance.now();
  let firstMs = 0;
  const tries = tryTrial(PROFILE, trial);
  for (;;) {
    const { done, value } = tries.next();
    if (done) return { tries: value.tries, ms: performance.now() - begins, firstMs };
    if (firstMs === 0 && value.first) firstMs = performance.now() - begins;
  }
}

/** The same steps in the order in which they are written, with nothing but reduce and placements, a desk each time. */
function plainly(profile: Profile, tries: number): number {
  const steps = TWELVE.steps.flatMap((step) =>
    'anyOrder' in step ? step.anyOrder : 'expect' in step ? [] : [step],
  );
  const begins = performance.now();
  for (let i = 0; i < tries; i++) {
    let { session } = openSession(sessionSchema.parse(TWELVE.session), profile);
    for (const step of steps) {
      if (!('command' in step)) continue;
      session = reduce(session, { type: 'command', command: step }, profile).session;
      computePlacements(session, profile);
    }
  }
  return performance.now() - begins;
}

/** Tries of trials: how many a second in one thread, beside reduce and placements of the same steps, and in two. */
export async function benchTrials(): Promise<void> {
  process.stdout.write('\nTrials, in one thread\n');
  tried(TWELVE);
  plainly(PROFILE, 120);
  for (let run = 0; run < 3; run++) {
    const { tries, ms } = tried(TWELVE);
    const plain = plainly(PROFILE, tries);
    process.stdout.write(
      `12 steps on 3 monitors: ${Math.round((tries / ms) * 1000)} tries a second, ${(ms / plain).toFixed(2)} × plain reduce and placements\n`,
    );
  }
  const { tries, ms, firstMs } = tried(SEVEN);
  process.stdout.write(
    `${tries} orders of 7 apps: ${(ms / 1000).toFixed(2)} s; the first that fails after ${firstMs.toFixed(0)} ms\n`,
  );
  const { count, seconds } = await inTwoThreads();
  process.stdout.write(
    `in two threads: ${Math.round(count / seconds)} tries of 12 steps a second\n`,
  );
}

/** How many tries two threads do at once, and in how many seconds. */
async function inTwoThreads(): Promise<{ count: number; seconds: number }> {
  const url = new URL('./trials-worker.js', import.meta.url);
  const workers = [new Worker(url), new Worker(url)];
  await Promise.all(workers.map((worker) => once(worker, 'message')));
  const begins = performance.now();
  const counts = await Promise.all(
    workers.map(async (worker) => {
      worker.postMessage('go');
      const [count] = (await once(worker, 'message')) as [number];
      return count;
    }),
  );
  const seconds = (performance.now() - begins) / 1000;
  await Promise.all(workers.map((worker) => worker.terminate()));
  return { count: counts.reduce((sum, count) => sum + count, 0), seconds };
}
