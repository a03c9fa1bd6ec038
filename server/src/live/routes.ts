import { LIVE } from '@sorn/api';
import { Router, type Response } from 'express';
import { sendProblem } from '../problem.ts';
import { bodyOf } from '../body.ts';
import { serve } from '../serve.ts';
import type { LiveServer } from './live-server.ts';
import { atMostSixty } from './at-most-sixty.ts';

/** So often it is looked whether something is otherwise, when nothing happens any more. */
const AGAIN_MS = 500;

/** POST /live: what a page asks of the live desk. */
export function liveRoutes(live: LiveServer | null): Router {
  const routes = Router();
  serve(routes, LIVE.ask, async (request, response) => {
    const asked = bodyOf(LIVE.ask, request, response);
    if (!asked) return;
    if (!live) {
      sendProblem(response, 'not-found', 'No desk is live: Sorn was started without --agent.');
      return;
    }
    const done = await live.ask(asked);
    if (typeof done === 'string') sendProblem(response, 'not-now', `${done}.`);
    else response.json({ reasons: [...done] });
  });
  return routes;
}

/**
 * Tells a page that listens to a profile of the live desk, too: all of it first, then what is otherwise, at most sixty
 * times a second. A page that does not keep up is told less often, and of the newest.
 *
 * @returns what ends it
 */
export function tellOfLive(live: LiveServer, id: string, response: Response): () => void {
  const told = live.told();
  const say = (event: string, data: unknown) =>
    response.write(`event: ${event}\ndata: ${JSON.stringify(data)}\n\n`);
  const news = atMostSixty(() => {
    if (response.writableNeedDrain) return;
    const now = told.news();
    if (!now) return;
    // A page of another profile is told that there is one, and how it is.
    const { profile, about } = now;
    if (id === live.id) say('live', now);
    else if (about) say('live', { profile, about });
  });
  // The last round is told of, too, when nothing else happens any more.
  const times = setInterval(news.soon, AGAIN_MS);
  const ends = [
    live.onChange(news.soon),
    live.onPicture((picture) => {
      if (id === live.id && !response.writableNeedDrain) say('picture', picture);
    }),
    news.stop,
    () => clearInterval(times),
  ];
  response.on('drain', news.soon);
  news.soon();
  return () => {
    for (const end of ends) end();
  };
}
