import { sameJson } from './same-json.ts';

/** A value that is not saved, as far as its page knows. */
export interface Unsaved<T = unknown> {
  value: T;
  /** The revision that it goes on from. */
  base: number;
  /** Values that were sent on that base without an answer: the server may have saved one of them. */
  sent?: readonly T[] | undefined;
}

/** What was not saved when the page went away, kept in this browser until it is. */
export interface Draft {
  profile?: Unsaved | undefined;
  session?: Unsaved | undefined;
}

const keyOf = (id: string) => `sorn.draft.${id}`;

export function keepDraft(id: string, draft: Draft): void {
  if (!draft.profile && !draft.session) {
    localStorage.removeItem(keyOf(id));
    return;
  }
  try {
    localStorage.setItem(keyOf(id), JSON.stringify(draft));
  } catch {
    // The browser's store is full: the edits stay in the page, and the save state says they are not saved.
  }
}

export function readDraft(id: string): Draft | null {
  try {
    return JSON.parse(localStorage.getItem(keyOf(id)) ?? 'null') as Draft | null;
  } catch {
    return null;
  }
}

/**
 * The part of a draft that still has to be saved. A page that is closed during a save does not get the answer, so
 * the server may have one of the values that it sent; later edits are based on that one.
 */
export function stillUnsaved(
  draft: Unsaved | undefined,
  present: { revision: number; value: unknown },
): Unsaved | undefined {
  if (!draft || present.revision !== draft.base + 1) return draft;
  if (!draft.sent?.some((sent) => sameJson(sent, present.value))) return draft;
  if (sameJson(draft.value, present.value)) return undefined;
  return { value: draft.value, base: present.revision };
}
