import type { Check } from './check.ts';
import { GREETING } from './greeting.ts';
import { KEYS } from './keys.ts';
import { ROUNDS } from './rounds.ts';
import { NotRun, Stimulus, Trial } from './trial.ts';
import { WINDOWS } from './windows.ts';

/** Everything that an agent has to do right. */
export const CHECKS: readonly Check[] = [...GREETING, ...WINDOWS, ...ROUNDS, ...KEYS];

/** How a check went: what was expected, and what came where it failed. */
export interface Checked {
  name: string;
  expects: string;
  /** Null where it passed. */
  came: string | null;
}

/**
 * Holds an agent to the protocol: each check starts it anew. A check that could not be run has failed.
 *
 * @param agent its program and arguments
 * @param stimulus a program that opens windows and presses keys where the agent is
 * @param options the names of the checks, all where left out; and how many times as long as usual is waited
 */
export async function* checkAgent(
  agent: readonly string[],
  stimulus: readonly string[],
  { only, patience = 1 }: { only?: readonly string[]; patience?: number } = {},
): AsyncGenerator<Checked> {
  const there = new Stimulus(stimulus);
  try {
    for (const { name, expects, run } of CHECKS) {
      if (only && !only.includes(name)) continue;
      yield { name, expects, came: await outcome(new Trial(agent, there, patience), run) };
    }
  } finally {
    there.end();
  }
}

async function outcome(trial: Trial, run: Check['run']): Promise<string | null> {
  try {
    return await run(trial);
  } catch (error) {
    if (error instanceof NotRun) return `it could not be run: ${error.message}`;
    throw error;
  } finally {
    await trial.end().catch(() => undefined);
  }
}
