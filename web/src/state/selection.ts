import type { KeyCommand } from '@sorn/core/commands';
import { perProfile } from './per-profile.ts';

/** What is selected across views: Rehearse can make a rule that the Rules view goes on with. */
interface Selection {
  rule: string | null;
  /** A binding, by its id in the map. */
  binding: string | null;
  /** A command that keys are to be recorded for, as soon as the Keys view is there. */
  toBind: KeyCommand | null;
  /** A trial, by its id. */
  trial: string | null;
  /** A monitor of the desk, by its id. */
  monitor: string | null;
  /** A zone board, by its id. */
  board: string | null;
  takeMonitor: (id: string | null) => void;
  takeBoard: (id: string | null) => void;
  takeRule: (id: string) => void;
  takeTrial: (id: string) => void;
  takeBinding: (id: string) => void;
  bind: (command: KeyCommand | null) => void;
}

export const useSelection = perProfile<Selection>(
  (set) => ({
    rule: null,
    binding: null,
    toBind: null,
    trial: null,
    monitor: null,
    board: null,
    takeMonitor: (monitor) => set({ monitor }),
    takeBoard: (board) => set({ board }),
    takeTrial: (trial) => set({ trial }),
    takeRule: (rule) => set({ rule }),
    takeBinding: (binding) => set({ binding }),
    bind: (toBind) => set({ toBind }),
  }),
  { isOfProfile: true },
);
