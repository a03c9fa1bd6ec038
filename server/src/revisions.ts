import { PROFILES } from '@sorn/api';
import { RETENTION_TEXT } from '@sorn/core/files';
import { whole as wholeNumber } from '@sorn/core/values';
import { Router } from 'express';
import type { ChangeEvents } from './change-events.ts';
import { sendProblem } from './problem.ts';
import { storedProfile } from './stored-readers.ts';
import { bodyOf } from './body.ts';
import { serve } from './serve.ts';
import type { History } from './storage/history.ts';

const MOST = 50;
const numberSchema = wholeNumber(1, 1_000_000_000);

/** The routes of what was saved before: the list, one of them, and its name. */
export function revisionRoutes(history: History, changes: ChangeEvents): Router {
  const routes = Router();

  serve(routes, PROFILES.revisions, async (request, response) => {
    const { id } = request.params;
    const below = Number(request.query['below'] ?? Number.MAX_SAFE_INTEGER);
    const list = await history.list(id, Number.isInteger(below) ? below : 0, MOST);
    if (!list) sendProblem(response, 'not-found', `No profile is called ${id}.`);
    else response.json({ revisions: list, rule: RETENTION_TEXT, most: MOST });
  });

  serve(routes, PROFILES.revision, async (request, response) => {
    const { id, number } = request.params;
    const wanted = numberSchema.safeParse(Number(number));
    const kept = wanted.success ? await history.read(id, wanted.data) : null;
    if (!kept) {
      sendProblem(response, 'not-found', `${id} has no revision ${number}.`);
      return;
    }
    const { content, ...rest } = kept;
    const profile = storedProfile(content, response);
    if (profile) response.json({ id, ...rest, profile });
  });

  serve(routes, PROFILES.nameRevision, async (request, response) => {
    const { id, number } = request.params;
    const body = bodyOf(PROFILES.nameRevision, request, response);
    if (!body) return;
    const wanted = numberSchema.safeParse(Number(number));
    const label = body.label.trim() || null;
    const isThere = wanted.success && (await history.name(id, wanted.data, label));
    if (!isThere) sendProblem(response, 'not-found', `${id} has no revision ${number}.`);
    else {
      changes.tell(id, {});
      response.status(204).end();
    }
  });

  return routes;
}
