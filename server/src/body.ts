import type { Route } from '@sorn/api';
import { read } from '@sorn/core/values';
import type { Request, Response } from 'express';
import type { z } from 'zod';
import { sendProblem } from './problem.ts';

type Body<R extends Route> = R['body'] extends z.ZodType ? z.output<R['body']> : never;

/** Reads the body of a route, or answers with every fault in it. */
export function bodyOf<R extends Route<string, z.ZodType>>(
  { body: schema }: R,
  request: Request,
  response: Response,
): Body<R> | undefined {
  if (!request.is('application/json')) {
    sendProblem(response, 'wrong-type', 'Send the profile or session as application/json.');
    return undefined;
  }
  const result = read(schema, request.body);
  if (result.ok) return result.value as Body<R>;
  const first = result.faults[0]!;
  sendProblem(
    response,
    'invalid',
    `${first.path || 'The body'} is ${first.found}; expected ${first.expected}.`,
    result.faults,
  );
  return undefined;
}
