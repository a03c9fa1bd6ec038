/** At most so many news a second go to a page: more than are painted. */
const PER_SECOND = 60;
const LEAST_MS = 1_000 / PER_SECOND;

/**
 * Runs something soon after each call, at most sixty times a second: at once where a while has passed since the last
 * time, after whatever is being done.
 */
export function atMostSixty(run: () => void): { soon: () => void; stop: () => void } {
  let last = -Infinity;
  let timer: NodeJS.Timeout | NodeJS.Immediate | null = null;
  const now = () => {
    timer = null;
    last = performance.now();
    run();
  };
  return {
    soon() {
      if (timer) return;
      const wait = last + LEAST_MS - performance.now();
      timer = wait > 0 ? setTimeout(now, wait) : setImmediate(now);
    },
    stop() {
      clearTimeout(timer as NodeJS.Timeout);
      clearImmediate(timer as NodeJS.Immediate);
    },
  };
}
