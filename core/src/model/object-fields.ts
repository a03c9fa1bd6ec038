/** Some fields of an object, as far as they are there. */
export function picked<T extends object, F extends keyof T>(
  value: T,
  fields: readonly F[],
): Partial<Pick<T, F>> {
  const there = fields.filter((field) => value[field] !== undefined);
  return Object.fromEntries(there.map((field) => [field, value[field]])) as Partial<Pick<T, F>>;
}

/** An object but for some fields: the object itself where it has none of them. */
export function without<T extends object>(value: T, fields: readonly (keyof T)[]): T {
  if (!fields.some((field) => field in value)) return value;
  const kept: Partial<T> = {};
  for (const field of Object.keys(value) as (keyof T)[])
    if (!fields.includes(field)) kept[field] = value[field];
  return kept as T;
}
