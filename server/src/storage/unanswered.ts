import { setTimeout as pause } from 'node:timers/promises';
import { databaseCode } from './database-code.ts';

/** Waits before something is asked again. */
const WAITS_MS = [100, 400, 1_500];

/**
 * True for a fault that says nothing of whether a statement was done: the store over the network was not reached, or its answer
 * was lost. A database file always answers.
 */
export function isUnanswered(error: unknown): boolean {
  if (databaseCode(error) !== '') return false;
  for (let at = error; at instanceof Error; at = at.cause) {
    const { code, name, message } = at as Error & { code?: unknown };
    if (
      typeof code === 'string' &&
      /^(SERVER_ERROR$|UNKNOWN$|HRANA_|ECONN|UND_ERR_|ETIMEDOUT$)/.test(code)
    )
      return true;
    if (['TimeoutError', 'AbortError'].includes(name)) return true;
    if (name === 'TypeError' && /fetch failed|terminated/.test(message)) return true;
    if (name === 'SyntaxError' && /JSON/.test(message)) return true;
  }
  return false;
}

/** Why there was no answer, for the log: the cause alone, without what was asked, in which a whole profile may stand. */
export function causeOf(error: unknown): string {
  let at = error;
  while (at instanceof Error && at.cause instanceof Error) at = at.cause;
  return at instanceof Error ? at.message : String(at);
}

/**
 * Does something again while its answer is lost, a few times.
 * @param run is told whether it was tried before, and may have been done then
 */
export async function untilAnswered<T>(run: (isAgain: boolean) => Promise<T>): Promise<T> {
  for (let tries = 0; ; tries++) {
    try {
      return await run(tries > 0);
    } catch (error) {
      if (tries === WAITS_MS.length || !isUnanswered(error)) throw error;
      await pause(WAITS_MS[tries]);
    }
  }
}
