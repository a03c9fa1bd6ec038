import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { openArchive } from '@sorn/server';
import { profileSchema, sessionSchema, type Profile } from '@sorn/core/model';
import { afterAll, describe, expect, it } from 'vitest';
import { startServer, temporaryFolder, type RunningServer } from '../desk/server.ts';

const folder = temporaryFolder();
afterAll(folder.remove);

/** Kills in all, each of the four things under way at a quarter of them: a tenth of the 200 of `npm run kills`. */
const KILLS = Number(process.env['KILLS'] ?? 20);
/** Backups that are read back at the end, the newest. */
const READ_BACK = 12;
/** How long each may go on before the kill: more than once it is done whole, mostly it is not. */
const MOST_MS = { save: 45, import: 60, backup: 160, restore: 320 };
const AT = '/api/profiles/bulletin-desk';

/** A repeatable stand-in for chance (linear congruential generator, constants of Numerical Recipes). */
function chance(seed: number): () => number {
  let state = seed;
  return () => (state = (Math.imul(state, 1664525) + 1013904223) >>> 0) / 2 ** 32;
}

/** What is known of what the server has to have: a state is told by a number in it. */
interface Known {
  /** States that were answered, by revision, since the last restore that was answered. */
  answered: Map<number, number>;
  revision: number;
  session: number;
  state: number;
}

interface Kept {
  revision: number;
  profile: Profile;
}

describe('killing the server in the middle of what it does', () => {
  it('loses nothing that was answered, and keeps no half of anything', async () => {
    const next = chance(4680);
    const file = join(folder.path, 'crash.db');
    let server = await startServer(file, { demo: true });
    const first = (await (await fetch(server.url + AT)).json()) as Kept;
    const { session } = (await (await fetch(`${server.url}${AT}/session`)).json()) as {
      session: { windows: { title: string }[] };
    };
    const known: Known = { answered: new Map(), revision: 1, session: 1, state: 0 };
    const done = { save: 0, import: 0, backup: 0, restore: 0 };
    const interrupted = { save: 0, import: 0, backup: 0, restore: 0 };

    const put = (path: string, base: number, body: unknown) =>
      fetch(server.url + path, {
        method: 'PUT',
        headers: { 'Content-Type': 'application/json', 'If-Match': `"${base}"` },
        body: JSON.stringify(body),
      });
    const profileOf = (state: number, rules = first.profile.rules) => ({
      ...first.profile,
      name: `State ${state}`,
      rules,
    });
    async function saveProfile(profile: object): Promise<void> {
      const state = ++known.state;
      const answer = await put(AT, known.revision, {
        profile: { ...profile, name: `State ${state}` },
      });
      expect(answer.status).toBe(200);
      known.revision++;
      known.answered.set(known.revision, state);
    }
    const acts = {
      async save() {
        await saveProfile(profileOf(known.state + 1));
        const windows = session.windows.map((window) => ({
          ...window,
          title: `S ${known.session + 1}`,
        }));
        const answer = await put(`${AT}/session`, known.session, { ...session, windows });
        expect(answer.status).toBe(200);
        known.session++;
      },
      // What is brought in from a file comes to the server as a save of much at once.
      import: () => {
        const [rule] = first.profile.rules;
        const many = Array.from({ length: 400 }, (_, i) => ({ ...rule!, id: `brought-${i}` }));
        return saveProfile(profileOf(known.state + 1, [...first.profile.rules, ...many]));
      },
      async backup() {
        const answer = await fetch(`${server.url}/api/backups`, { method: 'POST' });
        expect(answer.status).toBe(201);
      },
      async restore() {
        const { backups } = (await (await fetch(`${server.url}/api/backups`)).json()) as {
          backups: { name: string }[];
        };
        const backup = backups[Math.floor(next() * Math.min(3, backups.length))];
        if (!backup) return;
        const answer = await fetch(`${server.url}/api/restore`, {
          method: 'POST',
          headers: { 'Content-Type': 'application/json' },
          body: JSON.stringify({ backup: backup.name }),
        });
        expect(answer.status).toBe(200);
        known.answered.clear();
        const kept = (await (await fetch(server.url + AT)).json()) as Kept;
        const stands = (await (await fetch(`${server.url}${AT}/session`)).json()) as {
          revision: number;
        };
        known.revision = kept.revision;
        known.session = stands.revision;
      },
    };
    const names = Object.keys(acts) as (keyof typeof acts)[];

    for (let kill = 0; kill < KILLS; kill++) {
      const name = names[kill % names.length]!;
      let isDead = false;
      const working = (async () => {
        while (!isDead) {
          try {
            await acts[name]();
            done[name]++;
          } catch (error) {
            if (!isDead && !(error instanceof TypeError)) throw error;
            interrupted[name]++;
            return;
          }
        }
      })();
      let isOver = false;
      void working.catch(() => undefined).then(() => (isOver = true));
      // The first of each kind is done once at least: what it does is known to be possible.
      while (kill < names.length && done[name] === 0 && !isOver)
        await new Promise((resolve) => setTimeout(resolve, 10));
      await new Promise((resolve) => setTimeout(resolve, next() * MOST_MS[name]));
      await server.kill();
      isDead = true;
      await working;
      server = await startServer(file);
      await stands(server, known, name, join(folder.path, 'backups'));
    }
    await server.stop();

    for (const name of names) {
      expect(done[name], name).toBeGreaterThan(0);
      // The kills did come in the middle of it, not between.
      expect(interrupted[name], name).toBeGreaterThan(KILLS / names.length / 3);
    }
    const backups = join(folder.path, 'backups');
    for (const name of readdirSync(backups)
      .filter((each) => each.endsWith('.zip'))
      .sort()
      .slice(-READ_BACK))
      expect((await namesIn(join(backups, name))).length).toBeGreaterThan(0);
  }, 1_800_000);
});

/** What is there is whole, and has everything that was answered; then it is what is known. */
async function stands(
  server: RunningServer,
  known: Known,
  during: string,
  backups: string,
): Promise<void> {
  const read = async <T>(path: string) => {
    const answer = await fetch(server.url + path);
    expect(answer.status).toBe(200);
    return (await answer.json()) as T;
  };
  const kept = await read<Kept>(AT);
  profileSchema.parse(kept.profile);
  const { revision, session } = await read<{
    revision: number;
    session: { windows: { title: string }[] };
  }>(`${AT}/session`);
  sessionSchema.parse(session);
  expect(new Set(session.windows.map(({ title }) => title)).size).toBeOneOf([
    1,
    session.windows.length,
  ]);
  const { revisions } = await read<{ revisions: { revision: number }[] }>(`${AT}/revisions`);
  const there = new Set(revisions.map((each) => each.revision));
  const newest = [...known.answered].slice(-20);
  const [last] = newest.slice(-1);
  const isKept = async () => {
    if (!last || !there.has(last[0])) return !last;
    const answered = await read<Kept>(`${AT}/revisions/${last[0]}`);
    return answered.profile.name === `State ${last[1]}`;
  };
  if (during === 'restore') {
    // A restore that was not answered happened or did not: what was answered before it is here or in a backup.
    expect((await isKept()) || (await isInBackup(backups, `State ${last![1]}`))).toBe(true);
    known.answered.clear();
  } else {
    expect(kept.revision - known.revision).toBeOneOf([0, 1]);
    expect(revision - known.session).toBeOneOf([0, 1]);
    for (const [number] of newest) expect(there).toContain(number);
    expect(await isKept()).toBe(true);
  }
  known.revision = kept.revision;
  known.session = revision;
}

/** True where a state is in one of the backups made before the latest restores. */
async function isInBackup(folder: string, name: string): Promise<boolean> {
  const files = readdirSync(folder).filter((file) => file.endsWith('-before-restore.zip'));
  for (const file of files.sort().slice(-6))
    if ((await namesIn(join(folder, file))).includes(name)) return true;
  return false;
}

/** The names of the states in a backup, which is whole. */
async function namesIn(path: string): Promise<string[]> {
  const archive = await openArchive(path);
  const names: string[] = [];
  for await (const row of archive.rows()) if (row.kind === 'revision') names.push(row.name);
  archive.close();
  return names;
}
