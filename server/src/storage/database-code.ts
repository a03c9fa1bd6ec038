/** The code of a fault of the database, wherever in its causes it stands; empty for other faults. */
export function databaseCode(error: unknown): string {
  for (let at = error; at instanceof Error; at = at.cause) {
    const { code } = at as { code?: unknown };
    if (typeof code === 'string' && code.startsWith('SQLITE_')) return code;
  }
  return '';
}
