import { deskInForce } from '../desk/desk.ts';
import type { Profile } from '../model/profile.ts';
import type { Session } from '../model/session.ts';
import { decide } from '../rules/decide.ts';
import { parentApp } from './rule-effects.ts';
import { factsOf } from './ruling.ts';
import { windowOf } from './session.ts';

/**
 * Tells whether the rules, as they are now and with the title the window has now, say that no picture is made of a
 * window. True of one that is not there.
 */
export function isPrivate(profile: Profile, session: Session, id: string): boolean {
  const window = windowOf(session, id);
  if (!window) return true;
  const desk = deskInForce(profile, session);
  const facts = factsOf({ desk }, window, window, parentApp(session.windows, window.parent));
  return decide(profile.rules, facts).private?.rule.then.private === true;
}
