import { useEffect, useState } from 'react';

/** The delay in browsers that do not report idle time. */
const SOON_MS = 60;

/**
 * Runs something when there is nothing else to do.
 *
 * @param atMostMs it waits no longer for that; for ever where left out
 * @returns calls it off
 */
export function whenIdle(run: () => void, atMostMs?: number): () => void {
  if (typeof requestIdleCallback !== 'function') {
    const timer = setTimeout(run, SOON_MS);
    return () => clearTimeout(timer);
  }
  const asked = requestIdleCallback(run, atMostMs === undefined ? {} : { timeout: atMostMs });
  return () => cancelIdleCallback(asked);
}

/** What waits for a moment with nothing else to do waits at most so long. */
const AT_MOST_MS = 300;

/** A value as it was the last time there was nothing else to do: what takes long to draw holds no key up. */
export function useWhenIdle<T>(value: T): T {
  const [settled, setSettled] = useState(value);
  useEffect(() => whenIdle(() => setSettled(() => value), AT_MOST_MS), [value]);
  return settled;
}
