import { createReadStream, createWriteStream } from 'node:fs';
import { rm } from 'node:fs/promises';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { BACKUPS, SETTINGS } from '@sorn/api';
import { read } from '@sorn/core/values';
import { Router, type Request, type Response } from 'express';
import type { ChangeEvents } from '../change-events.ts';
import { sendProblem } from '../problem.ts';
import { bodyOf } from '../body.ts';
import { serve } from '../serve.ts';
import type { Settings } from '../storage/server-settings.ts';
import type { Backups } from './backups.ts';
import { RETENTION_TEXT, type BackupFolder } from './folder.ts';

const ZIP = 'application/zip';
const MOST_BYTES = 512 * 1024 ** 2;

/** The routes of backups: one file with everything, those kept in the folder, and the way back. */
export function backupRoutes(
  backups: Backups,
  folder: BackupFolder,
  settings: Settings,
  changes: ChangeEvents,
): Router {
  const routes = Router();

  /**
   * Does something with the backup that is meant: the one sent, which lies in the folder meanwhile, or one of the folder
   * by its name.
   */
  async function withBackup(
    request: Request,
    response: Response,
    use: (path: string) => Promise<void>,
  ): Promise<void> {
    if (request.is(ZIP)) {
      await withFile('upload', async (path) => {
        if (await received(request, response, path)) await use(path);
      });
      return;
    }
    const body = read(BACKUPS.restore.body, request.body);
    if (!body.ok) {
      sendProblem(response, 'wrong-type', `Send a backup as ${ZIP}, or the name of one as JSON.`);
      return;
    }
    const path = await folder.pathOf(body.value.backup);
    if (path) await use(path);
    else sendProblem(response, 'not-found', `No backup is called ${body.value.backup}.`);
  }

  /** Gives a path for a file of the moment, which is deleted afterwards. */
  async function withFile(name: string, use: (path: string) => Promise<void>): Promise<void> {
    const path = await folder.pathBeside(name);
    try {
      await use(path);
    } finally {
      await rm(path, { force: true });
    }
  }

  async function sendFile(response: Response, path: string, name: string): Promise<void> {
    response.attachment(name).type(ZIP);
    await pipeline(createReadStream(path), response).catch((error: unknown) => {
      // Who asked for it went away: there is nobody to tell.
      if (!response.destroyed) throw error;
    });
  }

  serve(routes, BACKUPS.download, async (_request, response) => {
    const day = new Date().toISOString().slice(0, 10);
    await withFile('download', async (path) => {
      await backups.make(path);
      await sendFile(response, path, `sorn-${day}.zip`);
    });
  });

  serve(routes, BACKUPS.list, async (_request, response) => {
    response.json({ backups: await folder.list(), folder: folder.path, rule: RETENTION_TEXT });
  });

  serve(routes, BACKUPS.make, async (_request, response) => {
    response.status(201).json({ name: await backups.keep('asked') });
  });

  serve(routes, BACKUPS.file, async (request, response) => {
    const { name } = request.params;
    const path = await folder.pathOf(name);
    if (path) await sendFile(response, path, name);
    else sendProblem(response, 'not-found', `No backup is called ${name}.`);
  });

  serve(routes, BACKUPS.checkRestore, (request, response) =>
    withBackup(request, response, async (path) => {
      response.json(await backups.compare(path));
    }),
  );

  serve(routes, BACKUPS.restore, (request, response) =>
    withBackup(request, response, async (path) => {
      response.json(await backups.restore(path));
      changes.tellAll();
    }),
  );

  serve(routes, SETTINGS.read, async (_request, response) => {
    response.json(await settings.read());
  });

  serve(routes, SETTINGS.save, async (request, response) => {
    const next = bodyOf(SETTINGS.save, request, response);
    if (!next) return;
    await settings.save(next);
    response.json(next);
  });

  return routes;
}

/** Writes the body of a request into a file; false where it was refused, and the answer says why. */
async function received(request: Request, response: Response, path: string): Promise<boolean> {
  const encoding = request.headers['content-encoding'];
  if (encoding !== undefined && encoding !== 'identity') {
    sendProblem(response, 'wrong-type', `Send a backup as it is, not encoded as ${encoding}.`);
    return false;
  }
  let bytes = 0;
  const limited = new Transform({
    transform(part: Buffer, _encoding, done) {
      bytes += part.length;
      if (bytes <= MOST_BYTES) done(null, part);
      else done(Object.assign(new Error('too large'), { status: 413, type: 'entity.too.large' }));
    },
  });
  await pipeline(request, limited, createWriteStream(path, { mode: 0o600 }));
  return true;
}
