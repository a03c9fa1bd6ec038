/** How long the desktop took for the rounds of late, in milliseconds. */
export interface Latency {
  /** From what happened to what was told of it. */
  decided: Spread;
  /** From what was told until every window stood there. */
  done: Spread;
  /** Both together of each of the last rounds, the newest last. */
  last: number[];
}

interface Spread {
  median: number;
  /** 99 of 100 took no longer. */
  most: number;
}

const KEPT = 200;
const SHOWN = 60;

/** How long rounds took, of the last two hundred. */
export class Latencies {
  private readonly rounds: { decided: number; done: number }[] = [];

  add(decided: number, done: number): void {
    this.rounds.push({ decided, done });
    if (this.rounds.length > KEPT) this.rounds.shift();
  }

  /** Null before the first round. */
  get now(): Latency | null {
    const { rounds } = this;
    if (rounds.length === 0) return null;
    return {
      decided: spread(rounds.map(({ decided }) => decided)),
      done: spread(rounds.map(({ done }) => done)),
      last: rounds.slice(-SHOWN).map(({ decided, done }) => hundredths(decided + done)),
    };
  }
}

function spread(times: readonly number[]): Spread {
  const sorted = [...times].sort((a, b) => a - b);
  // Nearest rank.
  const at = (share: number) => sorted[Math.max(0, Math.ceil(share * sorted.length) - 1)]!;
  return { median: hundredths(at(0.5)), most: hundredths(at(0.99)) };
}

const hundredths = (ms: number) => Math.round(ms * 100) / 100;
