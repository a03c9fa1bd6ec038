import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import type { StatementRequest } from '../storage/statements-worker.ts';
import { startThread } from './thread.ts';

describe('a thread', () => {
  it('that cannot start is told: nobody waits for it', async () => {
    // Its module alone takes more memory.
    const thread = startThread('@sorn/server/backup-worker', { data: {}, idleMs: 1, megabytes: 2 });
    await expect(thread.ask({})).rejects.toThrow();
  });

  it('ends after what it was asked, though it was only starting then', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'sorn-thread-'));
    const data = { file: join(folder, 'x.db') };
    const thread = startThread<StatementRequest, unknown>('@sorn/server/statements-worker', {
      data,
      idleMs: 60_000,
      megabytes: 64,
    });
    const asked = thread.ask({ kind: 'execute', statement: 'SELECT 1 AS one' });
    const closed = thread.ask({ kind: 'close' });
    await thread.end();
    await expect(asked).resolves.toMatchObject([{ rows: [[1]] }]);
    await closed;
    rmSync(folder, { recursive: true });
  });

  it('tells the code of a fault', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'sorn-thread-'));
    const data = { file: join(folder, 'x.db') };
    const thread = startThread<StatementRequest, unknown>('@sorn/server/statements-worker', {
      data,
      megabytes: 64,
    });
    const asked = thread.ask({ kind: 'execute', statement: 'SELECT * FROM birds' });
    await expect(asked).rejects.toMatchObject({ code: 'SQLITE_ERROR' });
    await thread.ask({ kind: 'close' });
    await thread.end();
    rmSync(folder, { recursive: true });
  });
});
