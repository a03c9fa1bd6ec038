import { suggest, type Profile, type Suggestion, type SuggestFor } from '@sorn/core';
import { expose } from 'comlink';

const suggestWorker = {
  /** Keys for the commands of a profile at the least reach. */
  suggest: (profile: Profile, wanted: SuggestFor): Suggestion => suggest(profile, wanted),
};

export type SuggestWorker = typeof suggestWorker;

expose(suggestWorker);
