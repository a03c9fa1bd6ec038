import { PROFILES, type ChangeEvent } from '@sorn/api';
import { Router } from 'express';
import { serve } from './serve.ts';
import type { Store } from './storage/store.ts';

/** Tells those who look at a profile what others save of it. */
export interface ChangeEvents {
  tell: (id: string, event: ChangeEvent) => void;
  /** The answer ends the listening. */
  listen: (id: string, listener: (event: ChangeEvent) => void) => () => void;
  /** All that is kept may be other than it was. */
  tellAll: () => void;
  onAll: (listener: () => void) => () => void;
  /** The server ends: listeners are told, so that they come back a while later. */
  end: () => void;
  onEnd: (listener: () => void) => () => void;
}

export function makeChangeEvents(): ChangeEvents {
  const listeners = new Set<{ id: string; listener: (event: ChangeEvent) => void }>();
  const all = new Set<() => void>();
  const ends = new Set<() => void>();
  const addTo = (set: Set<() => void>) => (listener: () => void) => {
    set.add(listener);
    return () => void set.delete(listener);
  };
  return {
    tell(id, event) {
      for (const entry of listeners) if (entry.id === id) entry.listener(event);
    },
    listen(id, listener) {
      const entry = { id, listener };
      listeners.add(entry);
      return () => void listeners.delete(entry);
    },
    tellAll() {
      for (const listener of all) listener();
    },
    onAll: addTo(all),
    end() {
      for (const listener of ends) listener();
    },
    onEnd: addTo(ends),
  };
}

/** A line now and then keeps the connection from being taken for a dead one. */
const ALIVE_MS = 20_000;
const RETRY_MS = 3_000;

/** GET /profiles/:id/changes: server-sent events, one for each save of the profile or its session. */
export function changeEventRoutes(store: Store, changes: ChangeEvents): Router {
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
    const alive = setInterval(() => response.write(':\n\n'), ALIVE_MS);
    response.on('close', () => {
      stopListening();
      stopListeningToAll();
      stopListeningToEnd();
      clearInterval(alive);
    });
    await sayPresent();
  });
  return routes;
}
