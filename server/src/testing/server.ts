import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import express from 'express';
import { pino } from 'pino';
import request from 'supertest';
import { createApp, type AppOptions } from '../app.ts';
import { backupsOf, type Backups } from '../backup/backups.ts';
import { backupsHere } from './plain-backups.ts';
import { heldToContract } from './contract.ts';
import { demoData } from '../demo.ts';
import { makeChangeEvents, type ChangeEvents } from '../change-events.ts';
import { openProfileFiles } from '../profile-files/profile-files.ts';
import { openDatabase, openSharedDatabase, type OpenDatabase } from '../storage/open.ts';
import { watchShared } from '../storage/shared-news.ts';
import type { SharedStore } from '../storage/shared.ts';

export const PROFILE = { name: 'Desk', monitors: [{ id: 'm', width: 1920, height: 1080 }] };

/** The server on a database of its own, asked without a port. */
export interface TestServer {
  api: ReturnType<typeof request>;
  app: ReturnType<typeof createApp>;
  database: OpenDatabase;
  backups: Backups;
  changes: ChangeEvents;
  /** A folder that goes with the test; backups are in a folder in it. */
  folder: string;
  /** The database in it. */
  file: string;
  /** What was written into the log. */
  logged: string[];
  stop: () => Promise<void>;
}

interface TestOptions extends Partial<Pick<AppOptions, 'page' | 'token' | 'hosts'>> {
  /** Backups are made in a thread, as by the real server. */
  threads?: boolean;
  /** Files in which profiles live, and folders in which they may be kept. */
  paths?: readonly string[];
  folders?: readonly string[];
  /** What is kept is in a store that several servers share. */
  shared?: SharedStore;
}

/**
 * @param page folder of the built page; one with a title alone where left out
 * @param folder where everything lies; a new one where left out, which goes with the test
 */
export async function testServer(
  {
    page,
    token,
    hosts = { names: [], byAddress: false },
    threads = false,
    paths = [],
    folders = [],
    shared,
  }: TestOptions = {},
  folder = mkdtempSync(join(tmpdir(), 'sorn-server-')),
): Promise<TestServer> {
  writeFileSync(join(folder, 'index.html'), '<title>Sorn</title>');
  const file = join(folder, 'sorn.db');
  const database = shared ? await openSharedDatabase(shared) : await openDatabase(file);
  const keptIn = join(folder, 'backups');
  const place = shared ?? { file };
  const backups = threads ? backupsOf(place, keptIn) : backupsHere(place, keptIn);
  const logged: string[] = [];
  const log = pino({ level: 'warn' }, { write: (line) => void logged.push(line) });
  const changes = makeChangeEvents();
  const watch = shared ? watchShared(shared, database.db, changes, log) : null;
  const files = await openProfileFiles({
    db: database.db,
    changes,
    log,
    paths,
    folders,
    mustLook: false,
  });
  const app = createApp({
    db: database.db,
    changes,
    backups,
    folder: join(folder, 'backups'),
    demo: demoData,
    machine: 'here',
    log,
    hosts,
    ...(token !== undefined && { token }),
    live: null,
    shared: watch,
    files,
    page: page ?? folder,
  });
  return {
    api: request(express().use(heldToContract, app)),
    app,
    database,
    backups,
    folder,
    file,
    logged,
    changes,
    async stop() {
      watch?.end();
      await files.end();
      await Promise.all([database.close(), backups.end()]);
      rmSync(folder, { recursive: true });
    },
  };
}
