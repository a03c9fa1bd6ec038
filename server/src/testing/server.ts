import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pino } from 'pino';
import request from 'supertest';
import { createApp } from '../app.ts';
import { demoData } from '../demo.ts';
import { makeNews } from '../news.ts';
import { openDatabase, type OpenDatabase } from '../storage/open.ts';

export const PROFILE = { name: 'Desk', monitors: [{ id: 'm', width: 1920, height: 1080 }] };

/** The server on a database of its own, asked without a port. */
export interface TestServer {
  api: ReturnType<typeof request>;
  app: ReturnType<typeof createApp>;
  database: OpenDatabase;
  /** A folder that goes with the test; backups are in a folder in it. */
  folder: string;
  /** What was written into the log. */
  logged: string[];
  stop: () => void;
}

/** @param page folder of the built page; one with a title alone where left out */
export async function testServer(page?: string): Promise<TestServer> {
  const folder = mkdtempSync(join(tmpdir(), 'sorn-server-'));
  writeFileSync(join(folder, 'index.html'), '<title>Sorn</title>');
  const database = await openDatabase(join(folder, 'sorn.db'));
  const logged: string[] = [];
  const app = createApp({
    db: database.db,
    news: makeNews(),
    backups: join(folder, 'backups'),
    demo: demoData,
    log: pino({ level: 'warn' }, { write: (line) => void logged.push(line) }),
    hosts: ['127.0.0.1'],
    page: page ?? folder,
  });
  return {
    api: request(app),
    app,
    database,
    folder,
    logged,
    stop() {
      database.client.close();
      rmSync(folder, { recursive: true });
    },
  };
}
