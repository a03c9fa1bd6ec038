import type { Command, KeyCommand } from '../commands/registry.ts';
import type { Profile } from './profile.ts';
import type { Trial, TrialStep } from './trial.ts';

/** The profile with every command in it changed: those of bindings and marks, in chains, in menus and in trials. */
export function withCommands(
  profile: Profile,
  change: <C extends KeyCommand>(command: C) => C,
): Profile {
  return {
    ...withTrialSteps(profile, (step) => {
      if ('command' in step) return { ...step, ...change<Command>(step) };
      return 'hold' in step ? { ...step, hold: change(step.hold) } : step;
    }),
    chains: profile.chains.map((chain) => ({ ...chain, commands: chain.commands.map(change) })),
    menus: profile.menus.map((menu) => ({
      ...menu,
      entries: menu.entries.map((entry) => ({ ...entry, command: change(entry.command) })),
    })),
    keys: {
      ...profile.keys,
      bindings: profile.keys.bindings.map((binding) => ({
        ...binding,
        ...(binding.command && { command: change(binding.command) }),
        ...(binding.release && { release: change(binding.release) }),
      })),
      marks: profile.keys.marks.map((mark) => ({ ...mark, command: change(mark.command) })),
    },
  };
}

/** The profile with every step of its trials changed, also those that come in any order. */
export function withTrialSteps(
  profile: Profile,
  change: <S extends TrialStep>(step: S) => S,
): Profile {
  const changed = (step: TrialStep): TrialStep =>
    'anyOrder' in step ? { anyOrder: step.anyOrder.map(change) } : change(step);
  return {
    ...profile,
    trials: profile.trials.map((trial) => ({ ...trial, steps: trial.steps.map(changed) })),
  };
}

/** The profile with how the desk stands at the beginning of each trial changed. */
export function withBeginnings(
  profile: Profile,
  change: (session: Trial['session']) => Trial['session'],
): Profile {
  const trials = profile.trials.map((trial) => ({ ...trial, session: change(trial.session) }));
  return { ...profile, trials };
}
