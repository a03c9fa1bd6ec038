import type { KeyCommand } from '../commands/registry.ts';
import type { Profile } from './profile.ts';

/** The profile with every command in it changed: those of bindings and marks, in chains and in menus. */
export function withCommands(
  profile: Profile,
  change: <C extends KeyCommand>(command: C) => C,
): Profile {
  return {
    ...profile,
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
