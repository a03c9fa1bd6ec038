import type { SharedState } from '@sorn/api';
import { max } from 'drizzle-orm';
import type { LibSQLDatabase } from 'drizzle-orm/libsql';
import type { Logger } from 'pino';
import type { ChangeEvents } from '../change-events.ts';
import { revisions, sessions } from './schema.ts';
import { causeOf } from './unanswered.ts';
import type { SharedStore } from './shared.ts';

/** So often a shared store is asked what other servers saved: while something happens, and while nothing does. */
const EVERY_MS = 2_000;
const IDLE_MS = 10_000;
/** Nothing was saved for so long. */
const QUIET_MS = 60_000;

/** The newest numbers of each profile and its session. */
type Numbers = ReadonlyMap<string, { profile: number; session: number }>;

/** What is known of a shared store. */
export interface SharedWatch {
  state: () => SharedState;
  /** The answer ends the listening. */
  onChange: (listener: (state: SharedState) => void) => () => void;
  end: () => void;
}

/**
 * Asks a shared store again and again what other servers saved, and tells those who look at it. What this server saved itself is told
 * once more, which changes nothing. Once it answers again all is told anew: who was told before may not have been able to read it.
 */
export function watchShared(
  { url }: SharedStore,
  db: LibSQLDatabase,
  changes: ChangeEvents,
  log: Logger,
): SharedWatch {
  const listeners = new Set<(state: SharedState) => void>();
  let state: SharedState = { host: new URL(url).host, isAway: false };
  let known: Numbers | null = null;
  let changedAt = Date.now();
  let isEnded = false;
  let timer: NodeJS.Timeout | undefined;

  async function look(): Promise<void> {
    try {
      const now = await numbersIn(db);
      if (known && tellDifference(known, now, changes)) changedAt = Date.now();
      known = now;
      if (state.isAway) changes.tellAll();
      tell(false);
    } catch (error) {
      // Once, however long it is away.
      if (!state.isAway) log.warn({ because: causeOf(error) }, 'the shared store does not answer');
      tell(true);
    }
    if (isEnded) return;
    const isBusy = state.isAway || Date.now() - changedAt < QUIET_MS;
    timer = setTimeout(() => void look(), isBusy ? EVERY_MS : IDLE_MS);
    timer.unref();
  }
  function tell(isAway: boolean): void {
    if (state.isAway === isAway) return;
    state = { ...state, isAway };
    for (const listener of listeners) listener(state);
  }
  void look();
  return {
    state: () => state,
    onChange(listener) {
      listeners.add(listener);
      return () => void listeners.delete(listener);
    },
    end() {
      isEnded = true;
      clearTimeout(timer);
    },
  };
}

async function numbersIn(db: LibSQLDatabase): Promise<Numbers> {
  const [profiles, desks] = await db.batch([
    db
      .select({ id: revisions.profile, number: max(revisions.number) })
      .from(revisions)
      .groupBy(revisions.profile),
    db.select({ id: sessions.profile, number: sessions.number }).from(sessions),
  ]);
  const session = new Map(desks.map(({ id, number }) => [id, number]));
  return new Map(
    profiles.map(({ id, number }) => [id, { profile: number ?? 0, session: session.get(id) ?? 0 }]),
  );
}

/** True where anything is otherwise. */
function tellDifference(before: Numbers, now: Numbers, changes: ChangeEvents): boolean {
  let isOtherwise = before.size !== now.size;
  for (const [id, { profile, session }] of now) {
    const former = before.get(id);
    if (former?.profile === profile && former.session === session) continue;
    isOtherwise = true;
    changes.tell(id, { profile, session });
  }
  return isOtherwise;
}
