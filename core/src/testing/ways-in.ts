/** The ways to every value inside data and to the data themselves: names of fields, and places in lists. */
export function waysIn(value: unknown, way: Way = []): Way[] {
  if (typeof value !== 'object' || value === null) return [way];
  const entries: [string | number, unknown][] = Array.isArray(value)
    ? value.map((each, i) => [i, each])
    : Object.entries(value);
  return [way, ...entries.flatMap(([step, each]) => waysIn(each, [...way, step]))];
}

export type Way = (string | number)[];
