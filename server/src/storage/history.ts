import type { Revision } from '@sorn/api';
import { changeTexts, expiredRevisions } from '@sorn/core/files';
import { profileSchema } from '@sorn/core/model';
import { read } from '@sorn/core/values';
import { and, desc, eq, inArray, isNull, lt } from 'drizzle-orm';
import type { LibSQLDatabase } from 'drizzle-orm/libsql';
import { revisions } from './schema.ts';
import { untilAnswered } from './unanswered.ts';
import { keptProfile, type StoredText } from './store.ts';

export interface History {
  /** The saved states of a profile, newest first; null where there is no such profile. */
  list: (id: string, below: number, most: number) => Promise<Revision[] | null>;
  read: (id: string, revision: number) => Promise<StoredText | null>;
  /** Gives a state a name, or takes it away; false where there is no such state. */
  name: (id: string, revision: number, label: string | null) => Promise<boolean>;
  /** Deletes the revisions of one profile that the rule of retention gives up, and returns their number. */
  thin: (id: string) => Promise<number>;
}

const MOST_KNOWN = 2_000;

export function historyIn(db: LibSQLDatabase, now: () => Date = () => new Date()): History {
  /** Saved states never change, so neither does what changed between two of them. */
  const known = new Map<string, string[]>();

  function changesBetween(before: string, after: string, key: string): string[] {
    const found = known.get(key);
    if (found) return found;
    const old = read(profileSchema, JSON.parse(before));
    const young = read(profileSchema, JSON.parse(after));
    const texts =
      old.ok && young.ok
        ? changeTexts(old.value, young.value)
        : ['this state or the one before cannot be read by this version'];
    if (known.size >= MOST_KNOWN) known.clear();
    known.set(key, texts);
    return texts;
  }

  return {
    async list(id, below, most) {
      const rows = await db
        .select()
        .from(revisions)
        .where(and(eq(revisions.profile, id), lt(revisions.number, below)))
        .orderBy(desc(revisions.number))
        .limit(most + 1);
      if (rows.length === 0) {
        const [any] = await db
          .select({ number: revisions.number })
          .from(revisions)
          .where(eq(revisions.profile, id))
          .limit(1);
        return any ? [] : null;
      }
      return rows.slice(0, most).map(({ number, savedAt, label, content }, i) => {
        const before = rows[i + 1];
        const key = `${id} ${before?.number} ${number} ${savedAt}`;
        const same = rows.slice(i + 2).find((row) => row.content === content);
        return {
          revision: number,
          savedAt,
          ...(label !== null && { label }),
          changes: before ? changesBetween(before.content, content, key) : [],
          ...(same && before?.content !== content && { sameAs: same.number }),
        };
      });
    },

    async read(id, revision) {
      const [row] = await db
        .select()
        .from(revisions)
        .where(and(eq(revisions.profile, id), eq(revisions.number, revision)));
      return row ? keptProfile(row) : null;
    },

    async name(id, revision, label) {
      const { rowsAffected } = await untilAnswered(() =>
        db
          .update(revisions)
          .set({ label })
          .where(and(eq(revisions.profile, id), eq(revisions.number, revision))),
      );
      return rowsAffected === 1;
    },

    async thin(id) {
      const rows = await db
        .select({ number: revisions.number, savedAt: revisions.savedAt, label: revisions.label })
        .from(revisions)
        .where(eq(revisions.profile, id));
      const dated = rows.map(({ number, savedAt, label }) => ({
        number,
        savedAtMs: Date.parse(savedAt),
        isNamed: label !== null,
      }));
      const dropped = rows.length > 0 ? expiredRevisions(dated, now().getTime()) : [];
      // The name is asked for once more: one given since then stays.
      for (let at = 0; at < dropped.length; at += 500) {
        const some = inArray(revisions.number, dropped.slice(at, at + 500));
        await untilAnswered(() =>
          db.delete(revisions).where(and(eq(revisions.profile, id), some, isNull(revisions.label))),
        );
      }
      return dropped.length;
    },
  };
}
