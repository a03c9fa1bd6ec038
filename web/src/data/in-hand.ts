import { create } from 'zustand';

/** What is in hand across views: Rehearse can make a rule that the Rules view goes on with. */
interface InHand {
  rule: string | null;
  takeRule: (id: string) => void;
}

export const useInHand = create<InHand>((set) => ({
  rule: null,
  takeRule: (rule) => set({ rule }),
}));
