import { PROFILES, type ChangeEvent, type ProfileFileState, type SharedState } from '@sorn/api';
import { Router } from 'express';
import type { ChangeEvents } from './change-events.ts';
import type { LiveServer } from './live/live-server.ts';
import { tellOfLive } from './live/routes.ts';
import type { ProfileFiles } from './profile-files/profile-files.ts';
import { serve } from './serve.ts';
import type { SharedWatch } from './storage/shared-news.ts';
import type { Store } from './storage/store.ts';

/** A line now and then keeps the connection from being taken for a dead one. */
const ALIVE_MS = 20_000;
const RETRY_MS = 3_000;

/** GET /profiles/:id/changes: server-sent events, one for each save of the profile or its session, and news of its file, the live desk and a shared store. */
export function changeEventRoutes(
  store: Store,
  changes: ChangeEvents,
  live: LiveServer | null,
  files: ProfileFiles,
  shared: SharedWatch | null,
): Router {
  const routes = Router();
  serve(routes, PROFILES.changes, async (request, response) => {
    const { id } = request.params;
    response.writeHead(200, { 'Content-Type': 'text/event-stream' });
    response.write(`retry: ${RETRY_MS}\n\n`);
    const say = (event: ChangeEvent) => response.write(`data: ${JSON.stringify(event)}\n\n`);
    // What is there, at the beginning and after everything may have changed: nothing is missed in between.
    const sayPresent = async () => {
      const [profile, session] = await Promise.all([store.revisionOf(id), store.readSession(id)]);
      say({ profile: profile ?? 0, session: session?.revision ?? 0 });
    };
    const stopListening = changes.listen(id, say);
    const stopListeningToAll = changes.onAll(() => void sayPresent().catch(() => response.end()));
    const stopListeningToEnd = changes.onEnd(() => response.end('event: closing\ndata: {}\n\n'));
    const sayFile = (state: ProfileFileState) =>
      state.profile === id && response.write(`event: file\ndata: ${JSON.stringify(state)}\n\n`);
    const stopFiles = files.onChange(sayFile);
    for (const state of files.states()) sayFile(state);
    const sayStore = (state: SharedState) =>
      response.write(`event: store\ndata: ${JSON.stringify(state)}\n\n`);
    const stopStore = shared?.onChange(sayStore);
    if (shared) sayStore(shared.state());
    const stopLive = live && tellOfLive(live, id, response);
    const alive = setInterval(() => response.write(':\n\n'), ALIVE_MS);
    response.on('close', () => {
      stopListening();
      stopListeningToAll();
      stopListeningToEnd();
      stopLive?.();
      stopFiles();
      stopStore?.();
      clearInterval(alive);
    });
    await sayPresent();
  });
  return routes;
}
