import { checkProfile, findingText } from '@sorn/core/checkup';
import { monitorName } from '@sorn/core/desk';
import { readProfileOn } from './input.ts';

/** What a profile's check came to, printed, and whether nothing was found. */
export interface Checked {
  text: string;
  isSound: boolean;
}

/** `sorn check PROFILE`: what is wrong with its desks and the names in it, as JSON or one line each. */
export function checkFile(profileFile: string, asText = false, machine?: string): Checked {
  const profile = readProfileOn(profileFile, machine);
  const findings = checkProfile(profile);
  const lines = findings.map((finding) => findingText(finding, (id) => monitorName(profile, id)));
  return {
    text: asText
      ? `${lines.join('\n') || 'Nothing found.'}\n`
      : `${JSON.stringify({ findings: findings.map((finding, i) => ({ ...finding, text: lines[i] })) }, null, 2)}\n`,
    isSound: findings.length === 0,
  };
}
