import type { Placement } from '@sorn/core/engine';
import { play, scriptSchema, type Played } from '@sorn/core/simulate';
import { BadInput, readInput, readProfileOn } from './input.ts';

/** What came of a script, printed, and whether every `same` of it held. */
export interface PlayedScript {
  text: string;
  isSame: boolean;
}

/** `sorn play PROFILE SCRIPT`: placements, findings and reasons after each step, as JSON or as text. */
export function playFiles(
  profileFile: string,
  scriptFile: string,
  asText = false,
  machine?: string,
): PlayedScript {
  if (profileFile === '-' && scriptFile === '-') {
    throw new BadInput(['-: standard input can be the profile or the script, not both']);
  }
  const profile = readProfileOn(profileFile, machine);
  const steps = play(profile, readInput(scriptFile, scriptSchema));
  return {
    text: asText ? steps.map(paragraph).join('\n') : `${JSON.stringify({ steps }, null, 2)}\n`,
    isSame: steps.every(({ differences }) => !differences),
  };
}

function paragraph({ step, reasons, placements, findings, differences }: Played): string {
  return [
    step,
    ...reasons.map(
      ({ about, decided, because }) =>
        `  ${about === undefined ? '' : `${about}: `}${decided} (${because})`,
    ),
    ...placements.map((placement) => `    ${placementText(placement)}`),
    ...findings.map((finding) => `  finding: ${JSON.stringify(finding)}`),
    ...(differences ?? []).map((difference) => `  not the same: ${difference}`),
    '',
  ].join('\n');
}

function placementText(placement: Placement): string {
  const { id, monitor, workspace, held, shown, state } = placement;
  const { x, y, width, height } = placement;
  const how = [held, state, shown ? undefined : 'not shown'].filter(Boolean).join(', ');
  return `${id} ${x},${y} ${width}×${height} on ${monitor}, workspace ${workspace}, ${how}`;
}
