import isEqual from 'fast-deep-equal';

/** The same as JSON, whatever the order of the fields: a field without a value is none. */
export function sameJson(a: unknown, b: unknown): boolean {
  return isEqual(plain(a), plain(b));
}

const plain = (value: unknown): unknown =>
  value === undefined ? undefined : JSON.parse(JSON.stringify(value));
