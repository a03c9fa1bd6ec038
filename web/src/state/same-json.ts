/** The same as JSON, whatever the order of the fields. */
export function sameJson(a: unknown, b: unknown): boolean {
  return sorted(a) === sorted(b);
}

function sorted(value: unknown): string {
  return JSON.stringify(value, (_key, part: unknown) =>
    typeof part === 'object' && part !== null && !Array.isArray(part)
      ? Object.fromEntries(Object.entries(part).sort(([x], [y]) => (x < y ? -1 : 1)))
      : part,
  );
}
