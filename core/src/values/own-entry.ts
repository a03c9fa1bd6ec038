/**
 * The value that a record itself has under an id. An id can be a word such as `constructor`, which every object
 * inherits as a member.
 */
export function ownEntry<T>(
  record: Readonly<Record<string, T>> | undefined,
  id: string,
): T | undefined {
  return record !== undefined && Object.hasOwn(record, id) ? record[id] : undefined;
}
