/**
 * What a record has under an id of its own. Ids are a person's words: one such as `constructor` is no member that
 * every object has.
 */
export function ownEntry<T>(
  record: Readonly<Record<string, T>> | undefined,
  id: string,
): T | undefined {
  return record !== undefined && Object.hasOwn(record, id) ? record[id] : undefined;
}
