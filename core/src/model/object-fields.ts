/** Some fields of an object, as far as they are there. */
export function picked<T extends object, F extends keyof T>(
  value: T,
  fields: readonly F[],
): Partial<Pick<T, F>> {
  const there = fields.filter((field) => value[field] !== undefined);
  return Object.fromEntries(there.map((field) => [field, value[field]])) as Partial<Pick<T, F>>;
}

/** An object but for some fields. */
export function without<T extends object>(value: T, fields: readonly (keyof T)[]): T {
  const kept = Object.entries(value).filter(([field]) => !fields.includes(field as keyof T));
  return Object.fromEntries(kept) as T;
}
