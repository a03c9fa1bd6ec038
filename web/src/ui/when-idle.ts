import { useEffect, useState } from 'react';

/** What waits for a moment with nothing else to do waits at most so long. */
const AT_MOST_MS = 300;

/** A value as it was the last time there was nothing else to do: what takes long to draw holds no key up. */
export function useWhenIdle<T>(value: T): T {
  const [settled, setSettled] = useState(value);
  useEffect(() => {
    const asked = requestIdleCallback(() => setSettled(() => value), { timeout: AT_MOST_MS });
    return () => cancelIdleCallback(asked);
  }, [value]);
  return settled;
}
