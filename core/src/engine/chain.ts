import type { Command, CommandBy } from '../commands/registry.ts';
import { commandsOfChain } from '../model/chain.ts';
import type { Profile } from '../model/profile.ts';
import type { Session } from '../model/session.ts';
import { withUndoStep } from './history.ts';
import { noop, type CommandContext, type Outcome } from './session.ts';

/** What happens in a chain: its commands, and what they change in the profile. */
type ChainEvent =
  { type: 'command'; command: Command } | { type: 'profile-edited'; before: Profile };

/**
 * Runs the commands of a chain one after another, each as if it had been given alone. Undo takes all of them back as
 * one step, where any of them is a step by itself. One that finds nothing to do does not keep the next from its own.
 *
 * @param reduce what takes a single command into a session
 */
export function runChain(
  { session, profile }: CommandContext,
  { chain: id }: CommandBy['chain'],
  reduce: (session: Session, event: ChainEvent, profile: Profile) => Outcome,
): Outcome {
  const commands = commandsOfChain(profile, id);
  if (!commands) return noop(session, `no chain is called ${id}`);
  let [now, kept] = [session, profile];
  const trace: Outcome['trace'] = [];
  const take = (event: ChainEvent) => {
    const outcome = reduce(now, event, kept);
    now = outcome.session;
    trace.push(...outcome.trace);
    return outcome.edit;
  };
  for (const command of commands) {
    const edit = take({ type: 'command', command });
    if (!edit) continue;
    const before = kept;
    kept = edit;
    take({ type: 'profile-edited', before });
  }
  const isStep = now.past !== session.past;
  return {
    session: isStep ? withUndoStep(session, now, 'chain') : now,
    trace,
    ...(kept !== profile && { edit: kept }),
  };
}

/** A command that is a chain. */
export function isChain(command: Command): command is CommandBy['chain'] {
  return command.command === 'chain';
}
