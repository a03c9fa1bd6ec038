import { createClient, type Client, type InStatement } from '@libsql/client/http';
import { isRead } from './is-read.ts';
import { untilAnswered } from './unanswered.ts';

/** A database that several servers share, reached over the network by the open protocol of libSQL (Hrana over HTTP). */
export interface SharedStore {
  /** http(s):// or libsql:// */
  url: string;
  /** What the store lets in; where left out, it lets in everybody. */
  token?: string;
}

/** How long one request may take. */
const REQUEST_MS = 8_000;

/**
 * A client of a shared store. A question that only reads is asked again where no answer comes; what writes is not: whoever
 * wrote has to look whether it arrived.
 */
export function openShared({ url, token }: SharedStore): Client {
  const client = createClient({
    url,
    ...(token !== undefined && { authToken: token }),
    fetch: (request: Request) => fetch(request, { signal: AbortSignal.timeout(REQUEST_MS) }),
  });
  const execute = client.execute.bind(client) as (
    statement: InStatement | string,
    args?: unknown,
  ) => ReturnType<Client['execute']>;
  const batch = client.batch.bind(client);
  return Object.assign(client, {
    execute: (statement: InStatement | string, args?: unknown) =>
      isRead(statement) ? untilAnswered(() => execute(statement, args)) : execute(statement, args),
    batch: (statements: InStatement[], mode?: 'write' | 'read' | 'deferred') =>
      statements.every(isRead)
        ? untilAnswered(() => batch(statements, mode))
        : batch(statements, mode),
  });
}
