/** What was not saved when the page went away, kept in this browser until it is. */
export interface Draft {
  profile?: { value: unknown; base: number };
  session?: { value: unknown; base: number };
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
