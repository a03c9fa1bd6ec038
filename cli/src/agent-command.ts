import { standInCommand } from '@sorn/desk-stand-in';
import { agentCommand } from '@sorn/host';
import { x11Command } from '@sorn/x11';
import { BadInput } from './input.ts';

/** The program of an agent and its arguments. Throws BadInput where there is none of that name. */
export function agentProgram(agent: string): string[] {
  const command = agentCommand(agent, { 'stand-in': standInCommand, x11: x11Command });
  if (typeof command === 'string') throw new BadInput([command]);
  return command;
}
