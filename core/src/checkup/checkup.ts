import { deskInForce } from '../desk/desk.ts';
import { parentApp } from '../engine/rule-effects.ts';
import { factsOf } from '../engine/ruling.ts';
import type { Profile } from '../model/profile.ts';
import type { Session } from '../model/session.ts';
import { matchingRules } from '../rules/decide.ts';
import { checkProfile, type ProfileFinding } from './profile.ts';

/**
 * All findings about a profile while a session runs. A rule that an open window matches is not reported as dead,
 * even where no window known from the apps matches it.
 */
export function checkup(profile: Profile, session: Session): readonly ProfileFinding[] {
  const findings = checkProfile(profile);
  if (!findings.some(({ kind }) => kind === 'rule-unmatched')) return findings;
  const desk = deskInForce(profile, session);
  const matched = new Set<string>();
  for (const window of session.windows) {
    const facts = factsOf({ desk }, window, window, parentApp(session.windows, window.parent));
    for (const at of matchingRules(profile.rules, facts)) matched.add(profile.rules[at]!.id);
  }
  return findings.filter(
    (finding) => finding.kind !== 'rule-unmatched' || !matched.has(finding.rule),
  );
}
