import { Bench } from 'tinybench';

/** Median and spread (10th to 90th percentile) of some durations, in microseconds. */
export interface Timing {
  median: number;
  low: number;
  high: number;
}

export function timingOf(durationsUs: readonly number[]): Timing {
  const sorted = [...durationsUs].sort((a, b) => a - b);
  const at = (share: number) =>
    sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]!;
  return { median: at(0.5), low: at(0.1), high: at(0.9) };
}

/**
 * Runs contenders in turn, round after round, so that whatever slows the machine slows all of them.
 * @param passes how many passes one call of a contender makes
 * @returns time per pass of each
 */
export async function interleaved(
  contenders: Readonly<Record<string, () => void>>,
  passes: number,
  rounds: number,
): Promise<Record<string, Timing>> {
  const times: Record<string, number[]> = {};
  for (let round = 0; round <= rounds; round++) {
    for (const [name, run] of Object.entries(contenders)) {
      const bench = new Bench({ time: 12, iterations: 3, warmup: false, throws: true });
      bench.add(name, run);
      const [task] = await bench.run();
      const result = task!.result;
      if (!('latency' in result)) throw new Error(`${name} gave no timing`);
      // The first round only warms up.
      if (round > 0) (times[name] ??= []).push((result.latency.p50 * 1000) / passes);
    }
  }
  return Object.fromEntries(Object.entries(times).map(([name, list]) => [name, timingOf(list)]));
}

function microseconds(value: number): string {
  return value >= 1000
    ? `${(value / 1000).toFixed(2)} ms`
    : `${value.toFixed(value < 10 ? 2 : 1)} µs`;
}

export function timingText({ median, low, high }: Timing): string {
  return `${microseconds(median)} (${microseconds(low)} – ${microseconds(high)})`;
}
