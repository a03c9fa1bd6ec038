import { PROFILES, type ChangeEvent as Told } from '@sorn/api';
import { Router } from 'express';
import { serve } from './serve.ts';
import type { Store } from './storage/store.ts';

/** Tells those who look at a profile what others save of it. */
export interface ChangeEvents {
  tell: (id: string, told: Told) => void;
  /** The answer ends the listening. */
  listen: (id: string, hear: (told: Told) => void) => () => void;
  /** All that is kept may be other than it was. */
  tellAll: () => void;
  onAll: (hear: () => void) => () => void;
  /** The server ends: listeners are told, so that they come back a while later. */
  end: () => void;
  onEnd: (hear: () => void) => () => void;
}

export function changeEvents(): ChangeEvents {
  const listeners = new Set<{ id: string; hear: (told: Told) => void }>();
  const all = new Set<() => void>();
  const ends = new Set<() => void>();
  const heardBy = (set: Set<() => void>) => (hear: () => void) => {
    set.add(hear);
    return () => void set.delete(hear);
  };
  return {
    tell(id, told) {
      for (const listener of listeners) if (listener.id === id) listener.hear(told);
    },
    listen(id, hear) {
      const listener = { id, hear };
      listeners.add(listener);
      return () => void listeners.delete(listener);
    },
    tellAll() {
      for (const hear of all) hear();
    },
    onAll: heardBy(all),
    end() {
      for (const hear of ends) hear();
    },
    onEnd: heardBy(ends),
  };
}

/** A line now and then keeps the connection from being taken for a dead one. */
const ALIVE_MS = 20_000;
const RETRY_MS = 3_000;

/** GET /profiles/:id/news: server-sent events, one for each save of the profile or its session. */
export function changeEventRoutes(store: Store, news: ChangeEvents): Router {
  const routes = Router();
  serve(routes, PROFILES.news, async (request, response) => {
    const { id } = request.params;
    response.writeHead(200, { 'Content-Type': 'text/event-stream' });
    response.write(`retry: ${RETRY_MS}\n\n`);
    const say = (told: Told) => response.write(`data: ${JSON.stringify(told)}\n\n`);
    // What is there, at the beginning and after everything may have changed: nothing is missed in between.
    const sayPresent = async () => {
      const [profile, session] = await Promise.all([store.revisionOf(id), store.readSession(id)]);
      say({ profile: profile ?? 0, session: session?.revision ?? 0 });
    };
    const deaf = news.listen(id, say);
    const deafToAll = news.onAll(() => void sayPresent().catch(() => response.end()));
    const deafToEnd = news.onEnd(() => response.end('event: closing\ndata: {}\n\n'));
    const alive = setInterval(() => response.write(':\n\n'), ALIVE_MS);
    response.on('close', () => {
      deaf();
      deafToAll();
      deafToEnd();
      clearInterval(alive);
    });
    await sayPresent();
  });
  return routes;
}
