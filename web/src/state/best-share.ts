import type { Profile, Session } from '@sorn/core/model';
import type { BestShare, Search } from '@sorn/core/simulate';
import { proxy, wrap } from 'comlink';
import type { BestShareWorker } from './best-share.worker.ts';

/** A search under way in a worker of its own. */
export interface RunningSearch {
  /** Null when it was cancelled; rejected when the worker could not be started. */
  answer: Promise<BestShare | null>;
  cancel: () => void;
}

/** Searches the best share of a workspace on a monitor, beside the page. */
export function searchBestShare(
  profile: Profile,
  session: Session,
  workspace: string,
  monitor: string,
  onProgress: (search: Search) => void,
): RunningSearch {
  const worker = new Worker(new URL('./best-share.worker.ts', import.meta.url), { type: 'module' });
  const remote = wrap<BestShareWorker>(worker);
  const failed = new Promise<never>((_, reject) => {
    worker.addEventListener('error', () => reject(new Error('the worker could not be started')));
  });
  const answer = Promise.race([
    remote.search(profile, session, workspace, monitor, proxy(onProgress)),
    failed,
  ]).finally(() => worker.terminate());
  return { answer, cancel: () => void remote.cancel() };
}
