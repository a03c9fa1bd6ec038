import {
  searchChanges,
  suggest,
  type ChangesFor,
  type ChangesFound,
  type ChangesProgress,
  type Suggestion,
  type SuggestFor,
} from '@sorn/core/keys';
import type { Profile } from '@sorn/core/model';
import { expose } from 'comlink';

const suggestWorker = {
  /** Keys for the commands of a profile at the least reach. */
  suggest: (profile: Profile, wanted: SuggestFor): Suggestion => suggest(profile, wanted),
  /** The best changes for each number of keys, with word of how far the search is. */
  changes(
    profile: Profile,
    wanted: ChangesFor,
    onProgress: (progress: ChangesProgress) => void,
  ): ChangesFound {
    const search = searchChanges(profile, wanted);
    for (let step = search.next(); ; step = search.next()) {
      if (step.done) return step.value;
      onProgress(step.value);
    }
  },
};

export type SuggestWorker = typeof suggestWorker;

expose(suggestWorker);
