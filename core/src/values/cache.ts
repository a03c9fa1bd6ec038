/**
 * A function that caches its results for the few keys it was called with last. Most keys live for one step of the
 * engine, so a short list is cheaper than a map by weak keys.
 *
 * @param slots the number of results that are kept in memory
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

type Path = readonly PropertyKey[];

/**
 * A function of immutable plain data that caches its results. A cached result is returned again when every value
 * that the function read is still the same; the reads are recorded, not declared. A list counts as one value.
 *
 * @param slots the number of results that are kept
 * @param find must not keep its argument or objects in it beyond the call, except entries of lists
 */
export function keptByFields<T extends object, V>(
  slots: number,
  find: (whole: T) => V,
): (whole: T) => V {
  const kept: { whole: T; read: ReadonlyMap<string, [Path, unknown]>; value: V }[] = [];
  return (whole) => {
    const at = kept.findIndex(({ whole: before, read }) => {
      if (before === whole) return true;
      for (const [path, was] of read.values()) if (valueAt(whole, path) !== was) return false;
      return true;
    });
    const [found] = at >= 0 ? kept.splice(at, 1) : [];
    if (found) {
      kept.unshift(found);
      return found.value;
    }
    const read = new Map<string, [Path, unknown]>();
    const value = find(
      watched(whole, [], (path, was) => read.set(path.map(String).join(' '), [path, was])),
    );
    kept.unshift({ whole, read, value });
    kept.length = Math.min(kept.length, slots);
    return value;
  };
}

function valueAt(whole: unknown, path: Path): unknown {
  return path.reduce((at, name) => (at as Record<PropertyKey, unknown> | undefined)?.[name], whole);
}

const isFields = (value: unknown): value is object =>
  typeof value === 'object' && value !== null && Object.getPrototypeOf(value) === Object.prototype;

/** A proxy that records which values of an object are read, and which values of the objects in it. */
function watched<T extends object>(
  whole: T,
  path: Path,
  onRead: (path: Path, was: unknown) => void,
): T {
  const parts = new Map<PropertyKey, object>();
  function take(name: PropertyKey): unknown {
    const value = Reflect.get(whole, name) as unknown;
    if (!isFields(value)) {
      onRead([...path, name], value);
      return value;
    }
    const part = parts.get(name) ?? watched(value, [...path, name], onRead);
    parts.set(name, part);
    return part;
  }
  // Of an object that is frozen a proxy may not give anything else: what is behind it is empty.
  return new Proxy({} as T, {
    get: (_empty, name) => take(name),
    has(_empty, name) {
      onRead([...path, name], Reflect.get(whole, name));
      return Reflect.has(whole, name);
    },
    ownKeys() {
      // Whoever goes through all fields depends on the whole.
      onRead(path, whole);
      return Reflect.ownKeys(whole);
    },
    getOwnPropertyDescriptor(_empty, name) {
      const own = Reflect.getOwnPropertyDescriptor(whole, name);
      return own && { value: take(name), enumerable: true, configurable: true, writable: false };
    },
  });
}
