import { checkup, groupedFindings, type Finding } from '@sorn/core/checkup';
import { whenIdle } from '../ui/when-idle.ts';
import { perProfile } from './per-profile.ts';
import { deskLayout } from './profile-context.ts';

/** A checkup waits at most so long for a moment in which there is nothing else to do. */
const AT_MOST_MS = 400;

interface Checkup {
  /** Null until the profile was looked through. */
  found: readonly Finding[] | null;
}

/**
 * Everything that is wrong with the desk and the profile, each thing once. Of a large profile that takes a while: it is
 * looked through when what was changed is drawn, and no key is held up.
 */
const useCheckup = perProfile<Checkup>((set, _get, store) => {
  let isAsked = false;
  function look() {
    isAsked = false;
    const { profile, session, openedWith } = store.getState();
    const { findings } = deskLayout(profile, session);
    set({ found: distinct([...openedWith, ...findings, ...checkup(profile, session)]) });
  }
  function lookSoon() {
    if (isAsked) return;
    isAsked = true;
    whenIdle(look, AT_MOST_MS);
  }
  store.subscribe((now, before) => {
    if (now.profile !== before.profile || now.session !== before.session) lookSoon();
  });
  lookSoon();
  return { found: null };
});

/** What is wrong, as far as it was looked for; null at first. */
export function useFindings(): readonly Finding[] | null {
  return useCheckup(({ found }) => found);
}

/** In how many sentences findings are told. */
export function findingCount(findings: readonly Finding[]): number {
  return groupedFindings(findings, (id) => id).length;
}

function distinct(findings: readonly Finding[]): Finding[] {
  return [...new Map(findings.map((finding) => [JSON.stringify(finding), finding])).values()];
}
