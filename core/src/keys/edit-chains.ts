import type { Command, KeyCommand } from '../commands/registry.ts';
import { loopOf, type Chain } from '../model/chain.ts';
import { withCommands } from '../model/commands-of.ts';
import type { Menu } from '../model/menu.ts';
import type { Profile } from '../model/profile.ts';

/** The lists of commands that a person makes, and what the command is called that goes to one of them. */
const GIVEN_BY = { chains: 'chain', menus: 'menu' } as const;
export type CommandLists = keyof typeof GIVEN_BY;
type ListOf<K extends CommandLists> = K extends 'chains' ? Chain : Menu;

/** The command that does a chain, or opens a menu. */
export function commandOfList(of: CommandLists, id: string): Command {
  const name = GIVEN_BY[of];
  return { command: name, [name]: id } as unknown as Command;
}

/** An id made of a name: small letters, digits and hyphens; one that no other of the list has. */
function idFor(lists: readonly { id: string }[], name: string, own: string | null): string {
  const plain = name
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 60);
  const taken = new Set(lists.map(({ id }) => id).filter((id) => id !== own));
  const first = plain === '' ? 'list' : plain;
  for (let n = 1; ; n++) {
    const id = n === 1 ? first : `${first}-${n}`;
    if (!taken.has(id)) return id;
  }
}

/** The profile with one more chain. */
export function withNewChain(
  profile: Profile,
  name: string,
  commands: readonly Command[],
): { profile: Profile; id: string } {
  const id = idFor(profile.chains, name, null);
  const chain: Chain = { id, name, commands: [...commands] };
  return { profile: { ...profile, chains: [...profile.chains, chain] }, id };
}

/** The profile with one more menu, without entries. */
export function withNewMenu(profile: Profile, name: string): { profile: Profile; id: string } {
  const id = idFor(profile.menus, name, null);
  return { profile: { ...profile, menus: [...profile.menus, { id, name, entries: [] }] }, id };
}

/** The profile with a chain or a menu changed; its id stays. */
export function withListChanged<K extends CommandLists>(
  profile: Profile,
  of: K,
  id: string,
  change: (list: ListOf<K>) => ListOf<K>,
): Profile {
  const lists = profile[of] as unknown as readonly ListOf<K>[];
  return { ...profile, [of]: lists.map((list) => (list.id === id ? change(list) : list)) };
}

/** The profile without a chain or a menu, and without the keys for it; what else names it is found by the checkup. */
export function withoutList(profile: Profile, of: CommandLists, id: string): Profile {
  const goes = (command: KeyCommand | undefined) => command !== undefined && isFor(command, of, id);
  const bindings = profile.keys.bindings.filter(
    ({ command, release }) => !goes(command) && !goes(release),
  );
  const lists = (profile[of] as readonly { id: string }[]).filter((list) => list.id !== id);
  return { ...profile, [of]: lists, keys: { ...profile.keys, bindings } };
}

/** The profile with a chain or a menu called otherwise, and everything that names it. */
export function withListNamed(
  profile: Profile,
  of: CommandLists,
  id: string,
  name: string,
): { profile: Profile; id: string } {
  const next = idFor(profile[of], name, id);
  const named = withListChanged(profile, of, id, (list) => ({ ...list, id: next, name }));
  const renamed = withCommands(named, (command) =>
    isFor(command, of, id) ? { ...command, [GIVEN_BY[of]]: next } : command,
  );
  return { profile: renamed, id: next };
}

function isFor(command: KeyCommand, of: CommandLists, id: string): boolean {
  const name = GIVEN_BY[of];
  return command.command === name && (command as unknown as Record<string, unknown>)[name] === id;
}

/** True where a command can be put into a chain without leading back to it. */
export function endsIn(profile: Profile, id: string, command: Command): boolean {
  const longer = withListChanged(profile, 'chains', id, (chain) => ({
    ...chain,
    commands: [...chain.commands, command],
  }));
  return loopOf(longer, id) === null;
}

const LETTERS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ1234567890';

/** The letter for one more entry of a menu: the first of some words that is free, else the first free one. */
export function letterFor({ entries }: Menu, words: string): string | null {
  const taken = new Set(entries.map(({ letter }) => letter));
  const own = [...words.toUpperCase()].filter((each) => LETTERS.includes(each));
  return [...own, ...LETTERS].find((each) => !taken.has(each)) ?? null;
}
