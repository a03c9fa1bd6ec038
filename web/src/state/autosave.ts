import type { Saved } from '@sorn/api';
import { ApiError } from './api.ts';
import type { Unsaved } from './drafts.ts';
import { sameJson } from './same-json.ts';

/** How far a document is saved. */
export type SaveState =
  | { kind: 'saved'; revision: number }
  | { kind: 'waiting' | 'saving'; revision: number }
  | { kind: 'failed'; revision: number; message: string; retryInMs: number }
  | { kind: 'stale'; revision: number; present: number | null };

/** What the server has. */
export interface Present {
  revision: number;
  value: unknown;
}

export interface Autosaver<T> {
  /** A new value to save, soon. */
  offer: (value: T) => void;
  /** Saves at once what waits. */
  flush: () => Promise<void>;
  /** What is not saved yet. */
  pending: () => Unsaved<T> | null;
  /** The revision that is known to be the server's. */
  base: () => number;
  /** Waits until no save is under way. */
  idle: () => Promise<void>;
  /** Sends nothing until what somebody else saved is taken in. */
  hold: () => void;
  /** What somebody else saved was taken in: it is the base of what is saved from now on. */
  rebase: (base: number) => void;
  /** Forgets what waits. */
  drop: () => void;
  stop: () => void;
}

const QUIET_MS = 350;
const FIRST_RETRY_MS = 1000;
const LAST_RETRY_MS = 30_000;

/**
 * Saves the newest value a moment after the last change, one save at a time, each based on the one
 * before. A failed save keeps the value and tries again, later each time; a stale one waits for a decision.
 *
 * @param start the revision that is known to be the server's, and what an earlier visit sent on its ground
 * without an answer
 * @param save sends a value, based on a revision; throws ApiError
 * @param readPresent reads what the server has, after a save was refused as stale
 */
export function autosaver<T>(
  start: Pick<Unsaved<T>, 'base' | 'sent'>,
  save: (value: T, base: number) => Promise<Saved>,
  readPresent: () => Promise<Present>,
  report: (state: SaveState) => void,
): Autosaver<T> {
  let revision = start.base;
  let waiting: { value: T } | null = null;
  let sending: Promise<void> | null = null;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let retryMs = FIRST_RETRY_MS;
  let isStale = false;
  let stopped = false;
  /** Values that were sent and perhaps saved: the request or its answer was lost. */
  const unanswered = new Set((start.sent ?? []).map((value) => ({ value })));

  function later(delayMs: number) {
    clearTimeout(timer);
    if (!stopped) timer = setTimeout(() => void send(), delayMs);
  }

  async function send(): Promise<void> {
    if (sending || !waiting || isStale) return sending ?? undefined;
    clearTimeout(timer);
    const sent = waiting;
    unanswered.add(sent);
    report({ kind: 'saving', revision });
    sending = save(sent.value, revision).then(
      (saved) => arrived(sent, saved.revision),
      (error: unknown) => refused(sent, error),
    );
    await sending;
    sending = null;
  }

  function arrived(sent: { value: T }, at: number) {
    revision = at;
    retryMs = FIRST_RETRY_MS;
    unanswered.clear();
    if (waiting === sent) waiting = null;
    report({ kind: waiting ? 'waiting' : 'saved', revision });
    if (waiting) later(0);
  }

  async function refused(sent: { value: T }, error: unknown) {
    if (error instanceof ApiError && error.status === 412) {
      const present = await readPresent().catch(() => null);
      // A save of our own whose answer got lost is nobody else's, whichever of them it was.
      const own = [...unanswered].find(({ value }) => sameJson(present?.value, value));
      if (own && present?.revision === revision + 1) {
        arrived(own, present.revision);
        return;
      }
      isStale = true;
      report({ kind: 'stale', revision, present: present?.revision ?? null });
      return;
    }
    // Whether it arrived is not known where nothing answered, the server (0) or the store behind it (504).
    if (error instanceof ApiError && ![0, 504].includes(error.status)) unanswered.delete(sent);
    const message = error instanceof Error ? error.message : String(error);
    report({ kind: 'failed', revision, message, retryInMs: retryMs });
    later(retryMs);
    retryMs = Math.min(retryMs * 2, LAST_RETRY_MS);
  }

  return {
    offer(value) {
      waiting = { value };
      if (isStale) return;
      if (retryMs === FIRST_RETRY_MS) {
        report({ kind: 'waiting', revision });
        later(QUIET_MS);
      }
    },
    async flush() {
      while (waiting && !isStale && !stopped) {
        const before = waiting;
        await send();
        if (waiting === before) return;
      }
    },
    pending() {
      if (!waiting) return null;
      return {
        value: waiting.value,
        base: revision,
        sent: [...unanswered].map(({ value }) => value),
      };
    },
    base: () => revision,
    async idle() {
      while (sending) await sending;
    },
    hold() {
      isStale = true;
      clearTimeout(timer);
    },
    rebase(present) {
      isStale = false;
      revision = present;
      unanswered.clear();
      report({ kind: waiting ? 'waiting' : 'saved', revision });
      if (waiting) later(0);
    },
    drop() {
      waiting = null;
    },
    stop() {
      stopped = true;
      clearTimeout(timer);
    },
  };
}
