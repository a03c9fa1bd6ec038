import type { Trial } from './trial.ts';

/** Something that an agent has to do right. */
export interface Check {
  name: string;
  /** What is expected, in a sentence. */
  expects: string;
  /** Null where it came; else what came in its place. */
  run: (trial: Trial) => Promise<string | null>;
}

/** Null where something holds; else what came. */
export function unless(holds: boolean, came: string | (() => string)): string | null {
  if (holds) return null;
  return typeof came === 'string' ? came : came();
}

/** A value as it came. */
export function shown(value: unknown): string {
  return value === undefined || value === null ? 'nothing' : JSON.stringify(value);
}
