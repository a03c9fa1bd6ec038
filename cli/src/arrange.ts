import { checkPlacements } from '@sorn/core/checkup';
import { openSession } from '@sorn/core/engine';
import { sessionSchema } from '@sorn/core/model';
import { BadInput, readInput, readProfileOn } from './input.ts';

/** `sorn arrange PROFILE SESSION`: where every window is, and the findings, as JSON, on a machine or this one. */
export function arrangeFiles(profileFile: string, sessionFile: string, machine?: string): string {
  if (profileFile === '-' && sessionFile === '-') {
    throw new BadInput(['-: standard input can be the profile or the session, not both']);
  }
  const profile = readProfileOn(profileFile, machine);
  const opened = openSession(readInput(sessionFile, sessionSchema), profile);
  const { placements, findings } = checkPlacements(opened.session, profile);
  return `${JSON.stringify({ placements, findings: [...opened.findings, ...findings] }, null, 2)}\n`;
}
