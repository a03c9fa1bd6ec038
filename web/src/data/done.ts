import type { CommandId } from '@sorn/core/commands';
import type { SessionEvent } from '@sorn/core/engine';
import type { Session } from '@sorn/core/model';

/** The command that an event carries out: with a key that is let go, the one it held. */
export function commandOf(event: SessionEvent, { previewing }: Session): CommandId | null {
  if (event.type === 'command' || event.type === 'key-held') return event.command.command;
  const held = event.type === 'key-released' && event.taken ? previewing?.command : undefined;
  return (held as CommandId | undefined) ?? null;
}

/** False where a key only typed into a choice, or outlined what its release would do. */
export function doesSomething(before: Session, after: Session): boolean {
  const fields = new Set([...Object.keys(before), ...Object.keys(after)]) as Set<keyof Session>;
  for (const steering of ['picking', 'previewing', 'uses'] as const) fields.delete(steering);
  return [...fields].some((field) => before[field] !== after[field]);
}
