import type { Clock } from './clock.ts';

/** A window that asks so often in so short a time, against what it is told, fights. */
const FIGHT_ASKS = 6;
const FIGHT_MS = 2_000;

/** Which windows ask again and again for another place than they are given. */
export class Fights {
  private readonly asks = new Map<string, number[]>();
  private readonly clock: Clock;

  constructor(clock: Clock) {
    this.clock = clock;
  }

  /** A window asked against what it is told; true where it fights. */
  asked(window: string): boolean {
    const now = this.clock.now();
    const recent = [...(this.asks.get(window) ?? []).filter((at) => now - at < FIGHT_MS), now];
    this.asks.set(window, recent);
    return recent.length > FIGHT_ASKS;
  }

  gone(window: string): void {
    this.asks.delete(window);
  }
}
