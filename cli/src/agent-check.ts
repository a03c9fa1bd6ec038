import { commandOf } from '@sorn/host';
import { CHECKS, checkAgent } from '@sorn/link/checks';
import { agentProgram } from './agent-command.ts';
import { BadInput } from './input.ts';

/**
 * Holds an agent to the protocol, and prints each check with what came where it failed.
 *
 * @returns true where all passed
 * @throws BadInput where no check or no program is called so
 */
export async function checkAgentText(
  agent: string,
  {
    stimulus,
    only,
    patience = '1',
  }: { stimulus: string; only?: readonly string[]; patience?: string },
  print: (text: string) => void,
): Promise<boolean> {
  const program = commandOf(stimulus);
  if (!program) throw new BadInput([`--stimulus: ${stimulus}; expected a command line`]);
  const names = CHECKS.map(({ name }) => name);
  const unknown = only?.find((name) => !names.includes(name));
  if (unknown !== undefined)
    throw new BadInput([`--only: ${unknown}; expected one of ${names.join(', ')}`]);
  if (!(Number(patience) > 0))
    throw new BadInput([`--patience: ${patience}; expected a number above 0`]);
  const options = { ...(only && { only }), patience: Number(patience) };
  let passed = 0;
  let failed = 0;
  for await (const { name, expects, came } of checkAgent(agentProgram(agent), program, options)) {
    if (came === null) passed++;
    else failed++;
    print(came === null ? `✓ ${name}\n` : `✗ ${name}: expected ${expects}; came ${came}\n`);
  }
  print(`${passed} passed, ${failed} failed\n`);
  return failed === 0;
}
