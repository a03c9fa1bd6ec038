import type { Fault } from '@sorn/core';
import type { ErrorRequestHandler, Response } from 'express';
import type { Logger } from 'pino';
import { BadBackup } from './backup/archive.ts';
import { databaseCode } from './storage/database-code.ts';

/** What an RFC 9457 problem document says; `faults` is Sorn's own member. */
interface Problem {
  type: string;
  title: string;
  status: number;
  detail: string;
  faults?: Fault[];
}

const TITLES = {
  'not-found': [404, 'There is no such thing'],
  'not-json': [400, 'The body is not JSON'],
  'wrong-type': [415, 'The body must be application/json'],
  'too-large': [413, 'The body is too large'],
  invalid: [422, 'The content is not valid'],
  'needs-base': [428, 'A save must name the state it is based on'],
  stale: [412, 'Somebody else saved meanwhile'],
  'foreign-host': [403, 'Requests from elsewhere are refused'],
  unreadable: [500, 'What is kept cannot be read'],
  'disk-full': [507, 'There is no room to save'],
  'read-only': [503, 'The database can only be read'],
  busy: [503, 'Another program writes to the database'],
  'bad-backup': [422, 'This is no backup that can be restored'],
  'not-kept': [503, 'The database cannot be used'],
} as const;
export type ProblemKind = keyof typeof TITLES;

export function sendProblem(
  response: Response,
  kind: ProblemKind,
  detail: string,
  faults?: Fault[],
): void {
  const [status, title] = TITLES[kind];
  const problem: Problem = {
    type: `urn:sorn:problem:${kind}`,
    title,
    status,
    detail,
    ...(faults && { faults }),
  };
  response.status(status).type('application/problem+json').send(JSON.stringify(problem));
}

/** What of the database a person can do something about, by the beginning of its code. */
const DATABASE: Record<string, [ProblemKind, string]> = {
  SQLITE_FULL: [
    'disk-full',
    'The disk is full, or the database as large as it may be. Nothing was changed; make room and save again.',
  ],
  SQLITE_READONLY: [
    'read-only',
    'The file, or its folder, may not be written to. Nothing was changed; allow it and save again.',
  ],
  SQLITE_CANTOPEN: [
    'read-only',
    'The file cannot be opened for writing. Nothing was changed; allow it and save again.',
  ],
  SQLITE_BUSY: ['busy', 'Nothing was changed; save again when it is done.'],
};

/** Turns what express and its parsers throw into problem documents; the log has the rest. */
export function problemHandler(log: Logger): ErrorRequestHandler {
  return (error: { type?: string; message?: string }, _request, response, next) => {
    if (response.headersSent) {
      next(error);
      return;
    }
    if (error instanceof BadBackup) {
      const faults = error.lines.map((right) => ({ path: '', found: 'the backup', right }));
      sendProblem(response, 'bad-backup', error.lines[0]!, faults);
      return;
    }
    switch (error.type) {
      case 'entity.parse.failed':
        sendProblem(response, 'not-json', error.message ?? 'it cannot be parsed');
        return;
      case 'entity.too.large':
        sendProblem(
          response,
          'too-large',
          'A profile or session may be 8 MiB at most, a backup 512 MiB.',
        );
        return;
      case 'charset.unsupported':
      case 'encoding.unsupported':
      case 'request.aborted':
      case 'request.size.invalid':
        sendProblem(response, 'not-json', error.message ?? 'it cannot be read');
        return;
      default: {
        const code = databaseCode(error);
        const known = Object.keys(DATABASE).find((each) => code.startsWith(each));
        const [kind, detail] = known ? DATABASE[known]! : [];
        log.error({ err: error, code }, kind ? TITLES[kind][1] : 'request failed');
        if (kind) {
          sendProblem(response, kind, detail!);
          return;
        }
        sendProblem(response, 'not-kept', 'The server could not do this; its log says why.');
      }
    }
  };
}
