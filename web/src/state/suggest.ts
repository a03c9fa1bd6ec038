import type { Suggestion, SuggestFor } from '@sorn/core/keys';
import type { Profile } from '@sorn/core/model';
import { wrap } from 'comlink';
import type { SuggestWorker } from './suggest.worker.ts';

/** A suggestion on its way from a worker of its own; `cancel` ends it, and nothing comes then. */
export function suggestKeys(
  profile: Profile,
  wanted: SuggestFor,
): { answer: Promise<Suggestion>; cancel: () => void } {
  const worker = new Worker(new URL('./suggest.worker.ts', import.meta.url), { type: 'module' });
  const failed = new Promise<never>((_, reject) => {
    worker.addEventListener('error', () => reject(new Error('the worker could not be started')));
  });
  const found = wrap<SuggestWorker>(worker).suggest(profile, wanted);
  const answer = Promise.race([found, failed]).finally(() => worker.terminate());
  return { answer, cancel: () => worker.terminate() };
}
