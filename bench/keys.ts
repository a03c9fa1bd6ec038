import { Worker } from 'node:worker_threads';
import { timingOf, timingText, type Timing } from './measure.ts';
import { keyPresses } from './steps.ts';

const PRESSES = 4000;
const WARM = 800;

/** Prints how many whole steps one worker makes, and the time from a key press to all placements. */
export async function benchKeys(): Promise<void> {
  process.stdout.write('\nKey press → placements of all windows: reduce, then place\n');
  const { sorn, yoga } = await inWorker();
  const perSecond = Math.round(1e6 / sorn!.median);
  process.stdout.write(
    `    30 windows on 3 monitors, one worker   ${timingText(sorn!)}: ${perSecond.toLocaleString('en')} steps a second\n` +
      `        yoga-layout, only laying out 30     ${timingText(yoga!)}   ${(yoga!.median / sorn!.median).toFixed(1)} × a whole step\n`,
  );
  const press = keyPresses(200, 4);
  const times: number[] = [];
  for (let i = 0; i < PRESSES + WARM; i++) {
    const start = performance.now();
    press();
    const end = performance.now();
    if (i >= WARM) times.push((end - start) * 1000);
  }
  const p99 = [...times].sort((a, b) => a - b)[Math.floor(times.length * 0.99)]!;
  process.stdout.write(
    `   200 windows on 4 monitors               ${timingText(timingOf(times))}, 99th percentile ${p99.toFixed(0)} µs\n`,
  );
}

function inWorker(): Promise<Record<string, Timing>> {
  const worker = new Worker(new URL('./steps-worker.js', import.meta.url));
  return new Promise((resolve, reject) => {
    worker.once('message', resolve);
    worker.once('error', reject);
  });
}
