import { create } from 'zustand';

const SHOWN_MS = 6_000;
let timer: ReturnType<typeof setTimeout> | undefined;

/** A sentence about what a key just did, where the view itself shows nothing of it. */
export const useNotice = create<{ text: string }>(() => ({ text: '' }));

export function putAwayNotice(): void {
  clearTimeout(timer);
  useNotice.setState({ text: '' });
}

/** Says it in a corner of the page for a while, in the place of what was said before. */
export function notice(text: string): void {
  clearTimeout(timer);
  useNotice.setState({ text });
  timer = setTimeout(putAwayNotice, SHOWN_MS);
}
