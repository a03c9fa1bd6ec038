import type { SessionEvent } from '@sorn/core/engine';
import type { KeyInput } from '@sorn/core/keys';
import type { Session } from '@sorn/core/model';
import type { Recorded } from '@sorn/core/simulate';
import type { StoreApi } from 'zustand';
import type { ProfileStore } from './profile-state.ts';

/** Older things that happened are forgotten. */
const MOST_RECORDED = 3_000;

/** What happened on a simulated desk in this visit, so that it can be kept as a trial. */
export interface DeskRecord {
  /** Something happens at the keys; what `follow` does comes of it, and is no thing of its own. */
  press: (input: KeyInput, follow: () => void) => void;
  /** Something else happens. */
  event: (event: SessionEvent) => void;
  /** The desk is another one than what happened made it: nothing before can be kept together with what comes. */
  jump: () => void;
  /** What happened since the desk stood so; null where that is not known any more. */
  since: (session: Session) => readonly Recorded[] | null;
}

const records = new WeakMap<StoreApi<ProfileStore>, DeskRecord>();

/** The record of a desk: of one that is live there is none. */
export function recordOf(store: StoreApi<ProfileStore>): DeskRecord | null {
  return records.get(store) ?? null;
}

/** Begins the record of a desk. */
export function beginRecord(store: StoreApi<ProfileStore>): DeskRecord {
  let recorded: Recorded[] = [];
  let forgotten = 0;
  let isPressed = false;
  /** How many things had happened when the desk stood so. */
  const counts = new WeakMap<Session, number>();
  const add = (each: Recorded) => {
    recorded.push(each);
    const over = recorded.length - MOST_RECORDED;
    if (over <= 0) return;
    recorded = recorded.slice(over);
    forgotten += over;
  };
  const mark = ({ moments }: ProfileStore) => {
    const last = moments.at(-1)?.session;
    if (last && !counts.has(last)) counts.set(last, forgotten + recorded.length);
  };
  store.subscribe((now, before) => {
    if (now.moments !== before.moments) mark(now);
  });
  mark(store.getState());
  const record: DeskRecord = {
    press(input, follow) {
      add({ input });
      isPressed = true;
      try {
        follow();
      } finally {
        isPressed = false;
      }
    },
    event(event) {
      if (!isPressed) add({ event });
    },
    jump() {
      // Sessions of before are counted below what is forgotten now.
      forgotten += recorded.length + 1;
      recorded = [];
    },
    since(session) {
      const count = counts.get(session);
      return count === undefined || count < forgotten ? null : recorded.slice(count - forgotten);
    },
  };
  records.set(store, record);
  return record;
}
