import { create } from 'zustand';
import { persist } from 'zustand/middleware';

interface AllowedLines {
  lines: readonly string[];
  allow: (line: string) => void;
}

/**
 * The command lines that the person typed on this machine, or allowed when a key first asked for one. Another's file does
 * not bring the permission with it: it is kept in this browser, and in no profile.
 */
export const useAllowedLines = create<AllowedLines>()(
  persist(
    (set, get) => ({
      lines: [],
      allow(line) {
        if (!get().lines.includes(line)) set({ lines: [...get().lines, line] });
      },
    }),
    { name: 'sorn.lines' },
  ),
);
