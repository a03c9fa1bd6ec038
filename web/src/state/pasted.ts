import { create } from 'zustand';
import type { ChosenFile } from './chosen-file.ts';

/** What was pasted, and whether it is asked about. */
export const usePasted = create<{ pasted: ChosenFile | null }>(() => ({ pasted: null }));
