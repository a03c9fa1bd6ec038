import { afterAll, describe, expect, it } from 'vitest';
import { startServer, temporaryFolder } from '../desk/server.ts';

const folder = temporaryFolder();
afterAll(folder.remove);

const ROUNDS = 30;
const MOST_SAVES_BEFORE_THE_KILL = 6;
const MOST_MS_MORE = 12;

/** A repeatable stand-in for chance (linear congruential generator, constants of Numerical Recipes). */
function chance(seed: number): () => number {
  let state = seed;
  return () => (state = (Math.imul(state, 1664525) + 1013904223) >>> 0) / 2 ** 32;
}

interface Document {
  path: string;
  /** The newest state that was answered with success. */
  answered: number;
  body: (number: number) => object;
  numberIn: (read: Record<string, unknown>) => unknown;
}

describe('killing the server in the middle of saves', () => {
  it('loses nothing that was answered, and keeps no half of anything', async () => {
    const next = chance(4680);
    const file = `${folder.path}/crash.db`;
    let server = await startServer(file, { demo: true });
    const at = '/api/profiles/bulletin-desk';
    const { profile } = (await (await fetch(server.url + at)).json()) as { profile: object };
    const { session } = (await (await fetch(`${server.url}${at}/session`)).json()) as {
      session: { windows: { title: string }[] };
    };
    const documents: Document[] = [
      {
        path: at,
        answered: 1,
        body: (number) => ({ ...profile, name: `State ${number}` }),
        numberIn: (read) => (read['profile'] as { name: string }).name,
      },
      {
        path: `${at}/session`,
        answered: 1,
        body: (number) => ({
          ...session,
          windows: session.windows.map((window) => ({ ...window, title: `State ${number}` })),
        }),
        numberIn: (read) => {
          const { windows } = read['session'] as typeof session;
          return new Set(windows.map(({ title }) => title)).size === 1 && windows[0]!.title;
        },
      },
    ];

    let kills = 0;
    let saves = 0;
    let unanswered = 0;
    for (let round = 0; round < ROUNDS; round++) {
      let running = true;
      // Killed after some answers and a moment more: while another save is being sent, written or answered.
      const enough = saves + 1 + Math.floor(next() * MOST_SAVES_BEFORE_THE_KILL);
      let tell: () => void;
      const saved = new Promise<void>((resolve) => (tell = resolve));
      const saving = documents.map(async (document) => {
        while (running) {
          const number = document.answered + 1;
          const answer = await fetch(server.url + document.path, {
            method: 'PUT',
            headers: { 'Content-Type': 'application/json', 'If-Match': `"${document.answered}"` },
            body: JSON.stringify(document.body(number)),
          }).catch(() => null);
          if (!answer) {
            unanswered++;
            return;
          }
          expect(answer.status).toBe(200);
          document.answered = number;
          if (++saves >= enough) tell();
        }
      });
      await saved;
      await new Promise((resolve) => setTimeout(resolve, next() * MOST_MS_MORE));
      await server.kill();
      kills++;
      running = false;
      await Promise.all(saving);

      server = await startServer(file);
      for (const document of documents) {
        const answer = await fetch(server.url + document.path);
        const read = (await answer.json()) as Record<string, unknown>;
        const revision = read['revision'] as number;
        // At most the one save whose answer did not get through is there beyond those answered.
        expect(revision - document.answered).toBeOneOf([0, 1]);
        if (revision > 1) expect(document.numberIn(read)).toBe(`State ${revision}`);
        document.answered = revision;
      }
    }
    await server.stop();
    expect(kills).toBe(ROUNDS);
    expect(saves).toBeGreaterThanOrEqual(ROUNDS);
    // The kills did come in the middle of saves, not between them.
    expect(unanswered).toBeGreaterThan(ROUNDS / 2);
  }, 600_000);
});
