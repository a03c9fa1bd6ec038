import type { Problem } from '@sorn/api';
import type { Fault } from '@sorn/core/values';
import type { ErrorRequestHandler, Response } from 'express';
import type { Logger } from 'pino';
import { BadBackup } from './backup/bad-backup.ts';
import { databaseCode } from './storage/database-code.ts';
import { causeOf, isUnanswered } from './storage/unanswered.ts';

const TITLES = {
  'bad-request': [400, 'The request cannot be read'],
  'not-json': [400, 'The body is not JSON'],
  'needs-token': [401, 'Log in first'],
  'foreign-host': [403, 'Requests from elsewhere are refused'],
  'not-found': [404, 'There is no such thing'],
  'wrong-method': [405, 'This can only be read'],
  'not-now': [409, 'That cannot be done now'],
  stale: [412, 'Somebody else saved meanwhile'],
  'too-large': [413, 'The body is too large'],
  'wrong-type': [415, 'The body must be application/json'],
  invalid: [422, 'The content is not valid'],
  'bad-backup': [422, 'This is no backup that can be restored'],
  'needs-base': [428, 'A save must name the state it is based on'],
  'too-many-tries': [429, 'Too many tries'],
  unreadable: [500, 'What is kept cannot be read'],
  'read-only': [503, 'The database can only be read'],
  busy: [503, 'Another program writes to the database'],
  'not-kept': [503, 'The database cannot be used'],
  'not-answered': [504, 'The shared store does not answer'],
  'disk-full': [507, 'There is no room to save'],
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

const FULL: [ProblemKind, string] = [
  'disk-full',
  'The disk is full, or the database as large as it may be. Nothing was changed; make room and save again.',
];
const FORBIDDEN: [ProblemKind, string] = [
  'read-only',
  'The file, or its folder, may not be written to. Nothing was changed; allow it and save again.',
];

/** What of the database and of the disk a person can do something about, by the beginning of its code. */
const STORAGE: Record<string, [ProblemKind, string]> = {
  SQLITE_FULL: FULL,
  SQLITE_IOERR_WRITE: FULL,
  SQLITE_IOERR_SHMSIZE: FULL,
  ENOSPC: FULL,
  EDQUOT: FULL,
  EFBIG: FULL,
  SQLITE_READONLY: FORBIDDEN,
  SQLITE_CANTOPEN: [
    'read-only',
    'The file cannot be opened for writing. Nothing was changed; allow it and save again.',
  ],
  EACCES: FORBIDDEN,
  EPERM: FORBIDDEN,
  EROFS: FORBIDDEN,
  SQLITE_BUSY: ['busy', 'Nothing was changed; save again when it is done.'],
};

/** What express and its parsers throw; a `status` of 4xx says that the request was at fault. */
interface Thrown {
  type?: string;
  status?: number;
  message?: string;
  code?: string;
}

/** Turns what express and its parsers throw into problem documents; the log has the rest. */
export function problemHandler(log: Logger): ErrorRequestHandler {
  return (error: Thrown, _request, response, next) => {
    if (response.headersSent) {
      next(error);
      return;
    }
    if (error instanceof BadBackup) {
      const faults = error.lines.map((expected) => ({ path: '', found: 'the backup', expected }));
      sendProblem(response, 'bad-backup', error.lines[0]!, faults);
      return;
    }
    if (error.type === 'entity.too.large') {
      const detail = 'A profile or session may be 8 MiB at most, a backup 512 MiB.';
      sendProblem(response, 'too-large', detail);
      return;
    }
    if (error.type === 'entity.parse.failed') {
      sendProblem(response, 'not-json', error.message ?? 'it cannot be parsed');
      return;
    }
    if (error.status !== undefined && error.status >= 400 && error.status < 500) {
      sendProblem(response, 'bad-request', error.message ?? 'it cannot be read');
      return;
    }
    if (isUnanswered(error)) {
      log.warn({ because: causeOf(error) }, 'the shared store does not answer');
      const detail = 'What was sent may be saved, or not. It is kept here and tried again.';
      sendProblem(response, 'not-answered', detail);
      return;
    }
    const code = databaseCode(error) || (error.code ?? '');
    const known = Object.keys(STORAGE).find((each) => code.startsWith(each));
    const [kind, detail] = known ? STORAGE[known]! : [];
    log.error({ err: error, code }, kind ? TITLES[kind][1] : 'request failed');
    if (kind) sendProblem(response, kind, detail!);
    else sendProblem(response, 'not-kept', 'The server could not do this; its log says why.');
  };
}
