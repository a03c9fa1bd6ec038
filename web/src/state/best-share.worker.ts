import { deskInForce } from '@sorn/core/desk';
import { arrange } from '@sorn/core/engine';
import type { Profile, Session } from '@sorn/core/model';
import { leverOf, searchBestShare, type BestShare, type Search } from '@sorn/core/simulate';
import { expose } from 'comlink';

let cancelled = false;

/** Lets messages in between two slices of work, so that a cancel arrives. */
const pause = () => new Promise((resolve) => setTimeout(resolve));

/** A slice of work lasts about a frame. */
const SLICE_MS = 16;

const bestShareWorker = {
  /** The best share of a workspace on a monitor; null when it was cancelled, or there is nothing to move. */
  async search(
    profile: Profile,
    session: Session,
    workspace: string,
    monitor: string,
    onProgress: (search: Search) => void,
  ): Promise<BestShare | null> {
    cancelled = false;
    const desk = deskInForce(profile, session);
    const lever = leverOf(session, arrange({ session, profile, desk }, workspace, monitor));
    if (!lever) return null;
    const search = searchBestShare(lever);
    let sliceEnds = performance.now() + SLICE_MS;
    for (let step = search.next(); ; step = search.next()) {
      if (step.done) return step.value;
      if (performance.now() < sliceEnds) continue;
      onProgress(step.value);
      await pause();
      if (cancelled) return null;
      sliceEnds = performance.now() + SLICE_MS;
    }
  },
  cancel() {
    cancelled = true;
  },
};

export type BestShareWorker = typeof bestShareWorker;

expose(bestShareWorker);
