import { suggest, type Suggestion, type SuggestFor } from '@sorn/core/keys';
import type { Profile } from '@sorn/core/model';
import { expose } from 'comlink';

const suggestWorker = {
  /** Keys for the commands of a profile at the least reach. */
  suggest: (profile: Profile, wanted: SuggestFor): Suggestion => suggest(profile, wanted),
};

export type SuggestWorker = typeof suggestWorker;

expose(suggestWorker);
