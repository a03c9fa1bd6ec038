import { deskInForce, type DeskInForce } from '../desk/desk.ts';
import { computePlacements } from '../engine/placements.ts';
import type { Placement } from '../engine/placement.ts';
import type { Profile } from '../model/profile.ts';
import type { Session } from '../model/session.ts';
import { deskFindings } from './desk.ts';
import type { Finding } from './findings.ts';
import { unknownNames } from './unknown-names.ts';

/** Where every window is, and all that is wrong with the desk as it stands. */
export interface CheckedPlacements {
  /** One for each window, in session order. */
  placements: Placement[];
  findings: Finding[];
}

/** Places the windows of a session and checks what they stand on: names, monitors, and room for each window. */
export function checkPlacements(
  session: Session,
  profile: Profile,
  desk: DeskInForce = deskInForce(profile, session),
): CheckedPlacements {
  const { placements, findings } = computePlacements(session, profile, desk);
  const unknown = unknownNames(profile).map((name): Finding => ({ kind: 'unknown-name', ...name }));
  return { placements, findings: [...unknown, ...deskFindings(desk), ...findings] };
}
