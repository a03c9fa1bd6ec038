import { PROFILES, type Saved } from '@sorn/api';
import type { Profile, SessionInput } from '@sorn/core/model';
import { Router, type Request, type Response } from 'express';
import { bodyOf } from './body.ts';
import { storedProfile, storedSession } from './stored-readers.ts';
import type { ChangeEvents } from './change-events.ts';
import { sendProblem } from './problem.ts';
import { serve } from './serve.ts';
import type { Stale, Store } from './storage/store.ts';

const etag = (revision: number) => `"${revision}"`;

/** The state that a save says it is based on; undefined when the header is missing or no state of ours. */
function baseOf(request: Request): number | undefined {
  const match = /^"(\d+)"$/.exec(request.get('if-match') ?? '');
  return match ? Number(match[1]) : undefined;
}

function answerSave(response: Response, saved: Saved | 'removed' | Stale | null, id: string): void {
  if (saved === null) {
    sendProblem(response, 'not-found', `No profile is called ${id}.`);
  } else if (saved === 'removed') {
    response.status(204).end();
  } else if ('stale' in saved) {
    response.set('ETag', etag(saved.present));
    sendProblem(response, 'stale', `The present revision is ${saved.present}.`);
  } else {
    response.set('ETag', etag(saved.revision)).json(saved);
  }
}

function needsBase(request: Request, response: Response): number | undefined {
  const base = baseOf(request);
  if (base === undefined) {
    sendProblem(response, 'needs-base', 'Send If-Match with the ETag of the state you changed.');
  }
  return base;
}

/** The routes under /api: profiles, each with its session. */
export function profileRoutes(
  store: Store,
  demo: () => { profile: Profile; session: SessionInput },
  changes: ChangeEvents,
  /** Keeps everything as a backup. */
  keepAll: () => Promise<unknown>,
): Router {
  const routes = Router();
  serve(routes, PROFILES.list, async (_request, response) => {
    response.json(await store.list());
  });

  serve(routes, PROFILES.create, async (request, response) => {
    const body = bodyOf(PROFILES.create, request, response);
    if (!body) return;
    const created = await store.create(body.profile, body.session, body.text);
    response.status(201).location(`/api/profiles/${created.id}`).json(created);
  });

  serve(routes, PROFILES.createDemo, async (_request, response) => {
    const { profile, session } = demo();
    const created = await store.create(profile, session);
    response.status(201).location(`/api/profiles/${created.id}`).json(created);
  });

  serve(routes, PROFILES.read, async (request, response) => {
    const { id } = request.params;
    const kept = await store.readProfile(id);
    if (!kept) {
      sendProblem(response, 'not-found', `No profile is called ${id}.`);
      return;
    }
    const { content, revision, ...rest } = kept;
    const profile = storedProfile(content, response);
    if (!profile) return;
    response.set('ETag', etag(revision)).json({ id, revision, ...rest, profile });
  });

  serve(routes, PROFILES.save, async (request, response) => {
    const base = needsBase(request, response);
    if (base === undefined) return;
    const body = bodyOf(PROFILES.save, request, response);
    if (!body) return;
    const { id } = request.params;
    const saved = await store.saveProfile(id, body.profile, base, body.text);
    answerSave(response, saved, id);
    if (saved && 'revision' in saved) changes.tell(id, { profile: saved.revision });
  });

  serve(routes, PROFILES.remove, async (request, response) => {
    const base = needsBase(request, response);
    if (base === undefined) return;
    const { id } = request.params;
    // What is deleted can be had again.
    if ((await store.revisionOf(id)) === base) await keepAll();
    answerSave(response, await store.remove(id, base), id);
  });

  serve(routes, PROFILES.readSession, async (request, response) => {
    const { id } = request.params;
    const kept = await store.readSession(id);
    if (!kept) {
      sendProblem(response, 'not-found', `No profile is called ${id}.`);
      return;
    }
    const { content, revision, savedAt } = kept;
    const session = content && storedSession(content, response);
    if (session === undefined) return;
    const body = session ? { revision, savedAt, session } : { revision };
    response.set('ETag', etag(revision)).json(body);
  });

  serve(routes, PROFILES.saveSession, async (request, response) => {
    const base = needsBase(request, response);
    if (base === undefined) return;
    const session = bodyOf(PROFILES.saveSession, request, response);
    if (!session) return;
    const { id } = request.params;
    const saved = await store.saveSession(id, session, base);
    answerSave(response, saved, id);
    if (saved && 'revision' in saved) changes.tell(id, { session: saved.revision });
  });

  return routes;
}
