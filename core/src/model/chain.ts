import type { z } from 'zod';
import { argumentAskedFor, commandSchema } from '../commands/command.ts';
import { definitionOf, type Command } from '../commands/registry.ts';
import { fields, idField, listOf, textField } from '../values/fields.ts';

/** The most commands of a chain, and of what one comes to with those in it. */
export const MOST_IN_CHAIN = 20;
const MOST_IN_ALL = 200;

/**
 * True for commands that can be a part of a chain: such as end by themselves and say all they need. Undo and redo are
 * none, as a chain is one step for them.
 */
export function isChainable(command: Command): boolean {
  const { lasts, hasFixedKeys, needsTyping, travels } = definitionOf(command.command);
  const endsAlone = !lasts && !hasFixedKeys && !needsTyping && !travels;
  return endsAlone && argumentAskedFor(command) === null;
}

const chainedField = commandSchema.refine(isChainable, {
  error: 'a command that says all it needs and ends by itself; undo and redo are none',
});

/** Commands done one after another as one step. */
export const chainSchema = fields({
  id: idField,
  name: textField.exactOptional(),
  commands: listOf(chainedField, 'commands', MOST_IN_CHAIN).min(1, {
    error: 'at least one command',
  }),
});
export type Chain = z.output<typeof chainSchema>;

/** The chains of what is looked through. */
type Chains = Readonly<{ chains: readonly Chain[] }>;

/** The way of a chain back to itself, by their ids: a, b, a. Null where it comes to an end. */
export function loopOf({ chains }: Chains, id: string): readonly string[] | null {
  const dead = new Set<string>();
  const go = (at: string, way: readonly string[]): readonly string[] | null => {
    if (way.includes(at)) return at === id ? [...way, at] : null;
    if (dead.has(at)) return null;
    for (const command of chains.find((chain) => chain.id === at)?.commands ?? []) {
      const loop = command.command === 'chain' ? go(command.chain, [...way, at]) : null;
      if (loop) return loop;
    }
    dead.add(at);
    return null;
  };
  return go(id, []);
}

/** What a chain comes to, with the chains in it in full; null where there is none of that id. */
export function commandsOfChain({ chains }: Chains, id: string): readonly Command[] | null {
  if (!chains.some((chain) => chain.id === id)) return null;
  const all: Command[] = [];
  const go = (at: string, way: readonly string[]): void => {
    for (const command of chains.find((chain) => chain.id === at)?.commands ?? []) {
      if (command.command !== 'chain') {
        if (all.length < MOST_IN_ALL) all.push(command);
      } else if (!way.includes(command.chain)) go(command.chain, [...way, command.chain]);
    }
  };
  go(id, [id]);
  return all;
}
