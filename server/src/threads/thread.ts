import { createRequire } from 'node:module';
import { Piscina } from 'piscina';
import { BadBackup } from '../backup/bad-backup.ts';

/** What a thread answers: what its work came to, or the fault as plain data (an Error loses its code on the way). */
export type Answered<T> = { value: T } | { fault: SentFault };

interface SentFault {
  message: string;
  code?: string;
  /** The lines of a BadBackup. */
  lines?: readonly string[];
}

/** A fault that happened in a thread: the code is that of the database or of the operating system. */
class ThreadFault extends Error {
  readonly code: string;

  constructor(message: string, code: string) {
    super(message);
    this.code = code;
  }
}

/** A thread of its own, which does one piece of work after another. */
export interface Thread<Asked, Done> {
  /** @throws BadBackup, or an Error with the code of the fault */
  ask: (asked: Asked) => Promise<Done>;
  /** Ends the thread, after what it was asked. */
  end: () => Promise<void>;
}

export interface ThreadOptions {
  /** What the thread is told at its start. */
  data: unknown;
  /** Idle for so long, it ends; the next piece of work starts it again. Without: it stays. */
  idleMs?: number;
  /** The most memory that its values may take. */
  megabytes: number;
}

/** The limit for new values of a thread; the usual 48 MB would be most of its memory. */
const YOUNG_MEGABYTES = 3;

const { resolve } = createRequire(import.meta.url);

/**
 * Starts a module in a thread, where nothing it does can keep the server from answering.
 * @param module path that this package exports; its default function is made by `working`
 */
export function startThread<Asked, Done>(
  module: `@sorn/server/${string}`,
  { data, idleMs, megabytes }: ThreadOptions,
): Thread<Asked, Done> {
  const pool = new Piscina({
    filename: resolve(module),
    workerData: data,
    minThreads: idleMs === undefined ? 1 : 0,
    maxThreads: 1,
    // What this process was started with is not for what was built.
    execArgv: [],
    ...(idleMs !== undefined && { idleTimeout: idleMs }),
    resourceLimits: {
      maxOldGenerationSizeMb: megabytes,
      maxYoungGenerationSizeMb: YOUNG_MEGABYTES,
    },
  });
  // A thread that cannot start is told of here alone: nothing waits for it for ever.
  const waiting = new Set<(error: Error) => void>();
  pool.on('error', (error: Error) => {
    for (const giveUp of waiting) giveUp(error);
  });
  const underWay = new Set<Promise<unknown>>();
  const run = (asked: Asked) => {
    const done = new Promise<Answered<Done>>((resolve, reject) => {
      waiting.add(reject);
      void (pool.run(asked) as Promise<Answered<Done>>)
        .then(resolve, reject)
        .finally(() => waiting.delete(reject));
    });
    underWay.add(done);
    void done.catch(() => undefined).finally(() => underWay.delete(done));
    return done;
  };
  return {
    async ask(asked) {
      const answered = await run(asked);
      if ('value' in answered) return answered.value;
      const { message, code, lines } = answered.fault;
      throw lines ? new BadBackup(...lines) : new ThreadFault(message, code ?? '');
    },
    async end() {
      // A thread that is only starting counts as idle for the pool, and a native module that is ended while it loads
      // takes the process with it.
      while (underWay.size > 0) await Promise.allSettled(underWay);
      await pool.close();
    },
  };
}
