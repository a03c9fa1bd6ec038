import { FILES, type ProfileFileState } from '@sorn/api';
import { Router, type Response } from 'express';
import { bodyOf } from '../body.ts';
import { sendProblem } from '../problem.ts';
import { serve } from '../serve.ts';
import type { ProfileFiles } from './profile-files.ts';

/** The routes of profiles that live in files. */
export function profileFileRoutes(files: ProfileFiles): Router {
  const routes = Router();
  const answer = (response: Response, done: ProfileFileState | string) => {
    if (typeof done === 'string') sendProblem(response, 'not-now', done);
    else response.json(done);
  };

  serve(routes, FILES.list, (_request, response) => {
    response.json({ files: files.states(), folders: [...files.folders] });
  });

  serve(routes, FILES.keep, async (request, response) => {
    const body = bodyOf(FILES.keep, request, response);
    if (body) answer(response, await files.keep(request.params.id, body.path));
  });

  serve(routes, FILES.release, async (request, response) => {
    const why = await files.release(request.params.id);
    if (why === null) response.status(204).end();
    else sendProblem(response, 'not-now', why);
  });

  serve(routes, FILES.decide, async (request, response) => {
    const body = bodyOf(FILES.decide, request, response);
    if (!body) return;
    const decided = new Map(Object.entries(body.decided));
    answer(response, await files.decide(request.params.id, decided));
  });

  serve(routes, FILES.writeAnew, async (request, response) => {
    answer(response, await files.writeAnew(request.params.id));
  });

  return routes;
}
