import type { InStatement } from '@libsql/client';

/** True for a statement that changes nothing. */
export function isRead(statement: InStatement): boolean {
  const sql = typeof statement === 'string' ? statement : statement.sql;
  return /^\s*select\b/i.test(sql);
}
