import { perProfile } from './per-profile.ts';

interface TextGoal {
  /** The path of a field that the cursor is to go to in the profile's text: "apps[0].icon". */
  path: string | null;
  /** The path of what the cursor is at; null where the text is not shown. */
  cursor: (() => string) | null;
  goTo: (path: string) => void;
  reached: () => void;
}

/** Where the cursor of the profile's text is, and where it is to go as soon as the text is shown. */
export const useTextGoal = perProfile<TextGoal>((set) => ({
  path: null,
  cursor: null,
  goTo: (path) => set({ path }),
  reached: () => set({ path: null }),
}));
