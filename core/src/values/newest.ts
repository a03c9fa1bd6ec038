/**
 * A function that keeps what it found for the few keys it was asked about last. Keys that live for one step of the
 * engine are held in a short list: a map by weak keys would cost more than it spares, and burden the collector.
 *
 * @param slots so many are kept, and held in memory until others take their place
 */
export function keptNewest<K extends object, V>(slots: number, find: (key: K) => V): (key: K) => V {
  const keys: K[] = [];
  const values: V[] = [];
  let oldest = 0;
  return (key) => {
    const at = keys.indexOf(key);
    if (at >= 0) return values[at]!;
    const value = find(key);
    keys[oldest] = key;
    values[oldest] = value;
    oldest = (oldest + 1) % slots;
    return value;
  };
}
