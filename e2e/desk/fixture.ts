import type { Browser } from 'playwright-core';
import { afterAll, beforeAll } from 'vitest';
import { launch } from './browser.ts';
import { startServer, temporaryFolder, type RunningServer } from './server.ts';

/** What a file of tests works with: a server on a database of its own, and a browser. */
export interface Fixture {
  server: RunningServer;
  browser: Browser;
  folder: string;
}

/** Starts a server and a browser before a file's tests, and ends both after them. */
export function fixture(options: { demo?: boolean; file?: string } = {}): Fixture {
  const folder = temporaryFolder();
  const running = { folder: folder.path } as Fixture;
  beforeAll(async () => {
    running.server = await startServer(`${folder.path}/${options.file ?? 'sorn.db'}`, options);
    running.browser = await launch();
  });
  afterAll(async () => {
    await running.browser?.close();
    await running.server?.stop();
    folder.remove();
  });
  return running;
}
