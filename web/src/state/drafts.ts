import { sameJson } from './same-json.ts';

/** A value that is not saved, as far as its page knows. */
export interface Unsaved<T = unknown> {
  value: T;
  /** The revision that it goes on from. */
  base: number;
  /** What was sent on that ground without an answer: the server may have one of these. */
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
 * What is still to be saved of a draft. A page that goes away while a save is under way does not hear its answer:
 * what the server has then is one of the values that the page sent, and what was done after it goes on from there.
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
