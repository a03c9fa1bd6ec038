import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { chromium, type Page } from 'playwright-core';

const SERVER = fileURLToPath(new URL('../../server/dist/main.js', import.meta.url));

/** Gives a page of 1280 × 800, and the URL of a server on a database of its own; both end after it. */
export async function withPage(
  browserPath: string,
  run: (page: Page, url: string) => Promise<void>,
): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'sorn-bench-'));
  const server = spawn(process.execPath, [SERVER, '--data', join(folder, 'b.db'), '--port', '0'], {
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const url = await new Promise<string>((resolve, reject) => {
    server.stdout.on('data', (data) => {
      const found = /http:\/\/\S+/.exec(String(data));
      if (found) resolve(found[0]);
    });
    server.once('close', () => reject(new Error('the server did not start')));
  });
  const browser = await chromium.launch({
    executablePath: browserPath,
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  });
  try {
    await run(await browser.newPage({ viewport: { width: 1280, height: 800 } }), url);
  } finally {
    await browser.close();
    server.kill();
    rmSync(folder, { recursive: true, force: true });
  }
}
