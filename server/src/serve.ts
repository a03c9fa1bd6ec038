import type { Answer, Parameters, Route } from '@sorn/api';
import type { Request, Response, Router } from 'express';

const METHODS = { GET: 'get', POST: 'post', PUT: 'put', DELETE: 'delete' } as const;

/** Answers a route of the contract. What is answered as JSON is held to it by type. */
export function serve<R extends Route>(
  router: Router,
  route: R,
  handle: (
    request: Request<Parameters<R['path']>>,
    response: Response<Answer<R>>,
  ) => void | Promise<void>,
): void {
  router[METHODS[route.method]](route.path, (request, response) =>
    handle(request as unknown as Request<Parameters<R['path']>>, response),
  );
}
