import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { afterAll, describe, expect, it } from 'vitest';

const MAIN = fileURLToPath(new URL('../dist/main.js', import.meta.url));
const DEMO = fileURLToPath(new URL('../../demo/bulletin-desk.profile.json', import.meta.url));
const folder = mkdtempSync(join(tmpdir(), 'sorn-main-'));
afterAll(() => rmSync(folder, { recursive: true }));

const sorn = (...args: string[]) => spawn(process.execPath, [MAIN, ...args]);

/** How a run of the command line ended, and what it said went wrong. */
async function endOf(child: ChildProcess): Promise<{ code: number | null; said: string }> {
  let said = '';
  child.stderr!.on('data', (text: Buffer) => (said += text.toString()));
  const code = await new Promise<number | null>((resolve) => child.once('close', resolve));
  return { code, said };
}

describe('the command line', () => {
  it('ends quietly where nobody reads on', async () => {
    const child = sorn('export', DEMO, '--as', 'json');
    child.stdout.destroy();
    expect(await endOf(child)).toEqual({ code: 0, said: '' });
  });

  it('reads what has no end only so far as a file may be large', async () => {
    const child = sorn('check', '-');
    child.stdout.resume();
    child.stdin.on('error', () => undefined);
    const line = Buffer.from('# nothing\n'.repeat(10_000));
    const pour = () => {
      while (child.stdin.writable && child.stdin.write(line));
    };
    child.stdin.on('drain', pour);
    pour();
    const { code, said } = await endOf(child);
    expect([code, said]).toEqual([2, '-: larger than 16 MiB; expected a smaller file\n']);
    const device = sorn('check', '/dev/zero');
    device.stdout.resume();
    expect((await endOf(device)).said).toContain('larger than 16 MiB');
  });

  it('counts before it parses', async () => {
    const many = join(folder, 'many.yaml');
    const monitor = '- {id: m, width: 1, height: 1}\n';
    writeFileSync(many, `monitors:\n${monitor.repeat(450_000)}`);
    const child = sorn('check', many);
    child.stdout.resume();
    const { code, said } = await endOf(child);
    expect([code, said]).toEqual([2, expect.stringContaining('expected at most 150000')]);
  });
});
