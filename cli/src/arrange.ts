import { checkPlacements } from '@sorn/core/checkup';
import { openSession } from '@sorn/core/engine';
import { sessionSchema } from '@sorn/core/model';
import { BadInput, readInput, readProfile } from './input.ts';

/** `sorn arrange PROFILE SESSION`: where every window is, and the findings, as JSON. */
export function arrangeFiles(profileFile: string, sessionFile: string): string {
  if (profileFile === '-' && sessionFile === '-') {
    throw new BadInput(['-: standard input can be the profile or the session, not both']);
  }
  const profile = readProfile(profileFile);
  const opened = openSession(readInput(sessionFile, sessionSchema), profile);
  const { placements, findings } = checkPlacements(opened.session, profile);
  return `${JSON.stringify({ placements, findings: [...opened.findings, ...findings] }, null, 2)}\n`;
}
