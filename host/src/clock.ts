/** Time as the host sees it: real, or a test's. */
export interface Clock {
  /** Milliseconds that only go forward. */
  now(): number;
  /** Runs something later; returns what cancels it. */
  after(ms: number, run: () => void): () => void;
}

export const REAL_CLOCK: Clock = {
  now: () => performance.now(),
  after(ms, run) {
    const timer = setTimeout(run, ms);
    return () => clearTimeout(timer);
  },
};
