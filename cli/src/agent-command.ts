import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { commandOf } from '@sorn/host';
import { BadInput } from './input.ts';

/** The program of an agent and its arguments: of one that ships with Sorn by its name, or of a command line. */
export function agentCommand(agent: string): string[] {
  if (agent === 'stand-in') return [process.execPath, standInMain()];
  const command = commandOf(agent);
  if (command) return command;
  throw new BadInput([`--agent: ${agent}; expected stand-in, or a command line`]);
}

function standInMain(): string {
  return join(dirname(fileURLToPath(import.meta.resolve('@sorn/desk-stand-in'))), 'main.js');
}
