import { perProfile } from './per-profile.ts';

/** What is selected across views: Rehearse can make a rule that the Rules view goes on with. */
interface Selection {
  rule: string | null;
  /** A binding, by its id in the map. */
  binding: string | null;
  takeRule: (id: string) => void;
  takeBinding: (id: string) => void;
}

export const useSelection = perProfile<Selection>((set) => ({
  rule: null,
  binding: null,
  takeRule: (rule) => set({ rule }),
  takeBinding: (binding) => set({ binding }),
}));
