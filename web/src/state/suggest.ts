import type {
  ChangesFor,
  ChangesFound,
  ChangesProgress,
  Suggestion,
  SuggestFor,
} from '@sorn/core/keys';
import type { Profile } from '@sorn/core/model';
import { proxy, wrap, type Remote } from 'comlink';
import type { SuggestWorker } from './suggest.worker.ts';

/** An answer on its way from a worker of its own; `cancel` ends it, and nothing comes then. */
export interface Running<T> {
  answer: Promise<T>;
  cancel: () => void;
}

function running<T>(ask: (worker: Remote<SuggestWorker>) => Promise<T>): Running<T> {
  const worker = new Worker(new URL('./suggest.worker.ts', import.meta.url), { type: 'module' });
  const failed = new Promise<never>((_, reject) => {
    worker.addEventListener('error', () => reject(new Error('the worker could not be started')));
  });
  const answer = Promise.race([ask(wrap<SuggestWorker>(worker)), failed]).finally(() =>
    worker.terminate(),
  );
  return { answer, cancel: () => worker.terminate() };
}

/** New keys for every command of a device. */
export const suggestKeys = (profile: Profile, wanted: SuggestFor): Running<Suggestion> =>
  running((worker) => worker.suggest(profile, wanted));

/** The best changes for each number of keys. */
export const suggestChanges = (
  profile: Profile,
  wanted: ChangesFor,
  onProgress: (progress: ChangesProgress) => void,
): Running<ChangesFound> => running((worker) => worker.changes(profile, wanted, proxy(onProgress)));
