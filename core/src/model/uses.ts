import type { Session } from './session.ts';

/** How often keys did something: the keys as the profile writes them, and the command in words. */
export type Use = NonNullable<Session['uses']>[number];

/** Keys as the profile writes them, and in words the command that is bound to them. */
export type UsedBy = Pick<Use, 'keys' | 'command'>;

/** The session with one more use of a command by its keys. */
export function withUse(session: Session, { keys, command }: UsedBy): Session {
  const uses = session.uses ?? [];
  const at = uses.findIndex((use) => use.keys === keys && use.command === command);
  const { times } = uses[at] ?? { times: 0 };
  const use = { keys, command, times: times + 1 };
  return { ...session, uses: at < 0 ? [...uses, use] : uses.with(at, use) };
}

/** How often each command did something by any key, by the command in words. */
export function usesByCommand(uses: readonly Use[] = []): ReadonlyMap<string, number> {
  const counts = new Map<string, number>();
  for (const { command, times } of uses) counts.set(command, (counts.get(command) ?? 0) + times);
  return counts;
}

/** The session with a day counted as one on which keys were used, where it is not yet. */
export function withDayCounted(session: Session, today: string): Session {
  const { days = 0, last } = session.countedOn ?? {};
  return last === today ? session : { ...session, countedOn: { days: days + 1, last: today } };
}
