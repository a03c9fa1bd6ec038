import { fields, read, textFieldOf } from '@sorn/core';
import { raw, Router, type Request, type Response } from 'express';

import type { News } from '../news.ts';
import { sendProblem } from '../problem.ts';
import { bodyBy } from '../profiles.ts';
import type { Settings } from '../storage/server-settings.ts';
import { serverSettingsSchema } from '../storage/server-settings.ts';
import type { Backups } from './backups.ts';
import type { BackupFolder } from './folder.ts';

const ZIP = 'application/zip';
const fromFolderSchema = fields({ backup: textFieldOf(200) });

/** The routes of backups: one file with everything, those kept in the folder, and the way back. */
export function backupRoutes(
  backups: Backups,
  folder: BackupFolder,
  settings: Settings,
  news: News,
): Router {
  const routes = Router();
  const bytes = raw({ type: ZIP, limit: '512mb' });

  /** The backup that is meant: the one sent, or one of the folder by its name. */
  async function meant(request: Request, response: Response): Promise<Uint8Array | null> {
    if (Buffer.isBuffer(request.body)) return request.body;
    const body = read(fromFolderSchema, request.body);
    if (!body.ok) {
      sendProblem(response, 'wrong-type', `Send a backup as ${ZIP}, or the name of one as JSON.`);
      return null;
    }
    const kept = await folder.read(body.value.backup);
    if (!kept) sendProblem(response, 'not-found', `No backup is called ${body.value.backup}.`);
    return kept;
  }

  routes.get('/backup', async (_request, response) => {
    const made = await backups.make();
    const day = new Date().toISOString().slice(0, 10);
    response.attachment(`sorn-${day}.zip`).type(ZIP).send(Buffer.from(made));
  });

  routes.get('/backups', async (_request, response) => {
    response.json({ backups: await folder.list(), folder: folder.path });
  });

  routes.post('/backups', async (_request, response) => {
    response.status(201).json({ name: await backups.keep('asked') });
  });

  routes.get('/backups/:name', async (request, response) => {
    const { name } = request.params;
    const kept = await folder.read(name);
    if (kept) response.attachment(name).type(ZIP).send(Buffer.from(kept));
    else sendProblem(response, 'not-found', `No backup is called ${name}.`);
  });

  routes.post('/restore/check', bytes, async (request, response) => {
    const backup = await meant(request, response);
    if (backup) response.json(await backups.compare(backup));
  });

  routes.post('/restore', bytes, async (request, response) => {
    const backup = await meant(request, response);
    if (!backup) return;
    response.json(await backups.restore(backup));
    news.tellAll();
  });

  routes.get('/settings', async (_request, response) => {
    response.json(await settings.read());
  });

  routes.put('/settings', async (request, response) => {
    const next = bodyBy(serverSettingsSchema, request, response);
    if (!next) return;
    await settings.save(next);
    response.json(next);
  });

  return routes;
}
