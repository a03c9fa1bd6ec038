import { spawn, spawnSync } from 'node:child_process';
import {
  chmodSync,
  chownSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  rmSync,
  statSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { afterAll, describe, expect, it } from 'vitest';

const MAIN = fileURLToPath(new URL('../dist/main.js', import.meta.url));
const folder = mkdtempSync(join(tmpdir(), 'sorn-start-'));
afterAll(() => rmSync(folder, { recursive: true }));
const isRoot = process.getuid?.() === 0;
const NOBODY = 65_534;
/** Root may write everywhere: it becomes somebody else, where that one can read what was built. */
const canBeRefused =
  !isRoot ||
  spawnSync(process.execPath, ['-e', `require('node:fs').readFileSync(${JSON.stringify(MAIN)})`], {
    uid: NOBODY,
    gid: NOBODY,
  }).status === 0;

interface Ended {
  code: number | null;
  said: string;
}

/** Starts the server; ends it once it says where it is. Tells what it said and how it ended. */
function started(args: readonly string[], asNobody = false): Promise<Ended> {
  const child = spawn(process.execPath, [MAIN, '--port', '0', ...args], {
    ...(asNobody && isRoot && { uid: NOBODY, gid: NOBODY }),
  });
  return new Promise((resolve) => {
    let said = '';
    const hear = (text: Buffer) => {
      said += text.toString();
      if (said.includes('Its data is in')) child.kill('SIGTERM');
    };
    child.stdout.on('data', hear);
    child.stderr.on('data', hear);
    child.once('close', (code) => resolve({ code, said }));
  });
}

describe('starting the server', () => {
  it('says its address as it stands in a URL, and ends when it is told to', async () => {
    const file = join(folder, 'six.db');
    const { code, said } = await started(['--host', '::1', '--data', file]);
    expect([code, said]).toEqual([0, expect.stringMatching(/^Sorn is at http:\/\/\[::1\]:\d+\n/)]);
    expect((statSync(file).mode & 0o777).toString(8)).toBe('600');
    expect(existsSync(`${file}-wal`)).toBe(false);
  });

  it('opens to others with a token alone, and says where that is', async () => {
    const open = ['--host', '0.0.0.0', '--data', join(folder, 'open.db')];
    const refused = await started(open);
    expect(refused).toEqual({ code: 1, said: expect.stringContaining('--token-file FILE') });
    expect(existsSync(join(folder, 'open.db'))).toBe(false);
    const token = join(folder, 'token');
    const letIn = await started([...open, '--token-file', token]);
    expect(letIn).toEqual({ code: 0, said: expect.stringContaining(`is in ${token}`) });
    expect((statSync(token).mode & 0o777).toString(8)).toBe('600');
  });

  it.skipIf(!canBeRefused)('says that a folder cannot be written to', async () => {
    const readOnly = join(folder, 'read-only');
    mkdirSync(readOnly);
    chmodSync(folder, 0o755);
    const file = join(readOnly, 'sorn.db');
    if (isRoot) {
      // Somebody else's, with a database in it that was made before.
      await started(['--data', file]);
      chownSync(file, NOBODY, NOBODY);
    }
    chmodSync(readOnly, 0o555);
    const { code, said } = await started(['--data', file], true);
    chmodSync(readOnly, 0o755);
    expect([code, said]).toEqual([1, expect.stringContaining('Nothing can be saved')]);
    expect(said).toContain(readOnly);
    expect(said.split('\n')).toHaveLength(2);
  });

  it.each([[''], [':memory:']])('does not keep data in %s', async (data) => {
    expect(await started(['--data', data])).toEqual({
      code: 1,
      said: expect.stringContaining('expected a file; nothing is kept in memory'),
    });
  });

  it('says what to do where a shared store does not answer', async () => {
    expect(await started(['--data', 'http://127.0.0.1:9'])).toEqual({
      code: 1,
      said: expect.stringMatching(/shared store .* does not answer: .*Start again when it does/),
    });
  });
});
