import { BadBackup } from '../backup/bad-backup.ts';
import { databaseCode } from '../storage/database-code.ts';
import type { Answered } from './thread.ts';

/** The default function of a module that runs in a thread: a fault is answered, not thrown. */
export function working<Asked, Done>(
  work: (asked: Asked) => Promise<Done>,
): (asked: Asked) => Promise<Answered<Done>> {
  return async (asked) => {
    try {
      return { value: await work(asked) };
    } catch (error) {
      const { message, code } = error as NodeJS.ErrnoException;
      return {
        fault: {
          message,
          ...(error instanceof BadBackup && { lines: error.lines }),
          code: databaseCode(error) || (code ?? ''),
        },
      };
    }
  };
}
