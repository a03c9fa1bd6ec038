import { existsSync } from 'node:fs';
import { dirname, resolve } from 'node:path';
import { homedir } from 'node:os';
import type { ProfileFileState } from '@sorn/api';
import {
  fileOf,
  formatOf,
  readProfileFiles,
  writeText,
  whyNot,
  type Decisions,
} from '@sorn/core/files';
import { profileSchema } from '@sorn/core/model';
import type { LibSQLDatabase } from 'drizzle-orm/libsql';
import type { Logger } from 'pino';
import type { ChangeEvents } from '../change-events.ts';
import { storeIn } from '../storage/store.ts';
import { fileBasesIn } from './bases.ts';
import { isWithin, readDisk, writeDisk } from './disk.ts';
import { gatherFiles, shownPath } from './gather.ts';
import { ProfileFile } from './profile-file.ts';

export interface ProfileFilesOptions {
  db: LibSQLDatabase;
  /** The host name of this machine, where several share the database. */
  machine?: string;
  changes: ChangeEvents;
  log: Logger;
  /** Files that were named at the start, absolute. */
  paths: readonly string[];
  /** Folders that were named at the start, absolute: a profile may be kept there, and included from there. */
  folders: readonly string[];
  mustLook: boolean;
  /** How a file is now: for the terminal. */
  onState?: (state: ProfileFileState, before: ProfileFileState | null) => void;
}

/** The profiles that live in files. */
export interface ProfileFiles {
  states: () => ProfileFileState[];
  /** The folders in which a profile may be kept, as they are told. */
  folders: readonly string[];
  onChange: (listener: (state: ProfileFileState) => void) => () => void;
  /** Sentences are what cannot be done, and why. */
  decide: (id: string, decided: Decisions) => Promise<ProfileFileState | string>;
  writeAnew: (id: string) => Promise<ProfileFileState | string>;
  keep: (id: string, path: string) => Promise<ProfileFileState | string>;
  release: (id: string) => Promise<string | null>;
  end: () => Promise<void>;
}

/** Takes up the files that were named, and those in which the page keeps profiles. */
export async function openProfileFiles(options: ProfileFilesOptions): Promise<ProfileFiles> {
  const { db, changes, log, folders, mustLook } = options;
  const store = storeIn(db);
  const bases = fileBasesIn(db, options.machine);
  const files = new Map<string, ProfileFile>();
  const listeners = new Set<(state: ProfileFileState) => void>();

  async function open(path: string, isKept: boolean, id: string | null): Promise<ProfileFile> {
    const file = new ProfileFile({
      path,
      folders,
      mustLook,
      isKept,
      store,
      bases,
      changes,
      onState(state, before) {
        options.onState?.(state, before);
        for (const listener of listeners) listener(state);
      },
      onError: (error) => log.error({ err: error, path }, 'a file of a profile'),
    });
    files.set(path, file);
    await file.begin(id);
    return file;
  }
  const inFolders = (path: string) => folders.some((folder) => isWithin(dirname(path), folder));
  const kept = (await bases.kept()).filter(inFolders);
  for (const path of new Set([...options.paths, ...kept])) {
    await open(path, !options.paths.includes(path), null);
  }
  const fileOfProfile = (id: string) =>
    [...files.values()].find(({ state }) => state.profile === id);
  const NONE = 'This profile lives in no file.';

  return {
    states: () => [...files.values()].map(({ state }) => state),
    folders: folders.map(shownPath),
    onChange(listener) {
      listeners.add(listener);
      return () => void listeners.delete(listener);
    },
    async decide(id, decided) {
      const file = fileOfProfile(id);
      await file?.decide(decided);
      return file?.state ?? NONE;
    },
    async writeAnew(id) {
      const file = fileOfProfile(id);
      await file?.writeAnew();
      return file?.state ?? NONE;
    },
    async keep(id, given) {
      const path = resolve(given.replace(/^~(?=\/)/, homedir()));
      const stored = await store.readProfile(id);
      if (!stored) return `No profile is called ${id}.`;
      const known = fileOfProfile(id);
      if (known) return `It lives in ${known.state.path} already.`;
      if (!inFolders(path) && !options.paths.includes(path))
        return folders.length === 0
          ? 'No folder was named at the start: start Sorn with --folder FOLDER.'
          : `${shownPath(path)} is outside; expected a file in ${folders.map(shownPath).join(' or ')}.`;
      const format = formatOf(path);
      if (!format) return `${shownPath(path)} has no ending; expected .yaml, .toml or .json.`;
      const other = files.get(path);
      if (other?.state.profile)
        return `${shownPath(path)} has another profile, ${other.state.profile}.`;
      const profile = profileSchema.parse(JSON.parse(stored.content));
      if (existsSync(path)) {
        const why = whyNotOver(path, folders);
        if (why !== null) return why;
      } else {
        const because = whyNot(profile, format);
        if (because !== null) return `${because}.`;
        const own = stored.text?.format === format ? stored.text.content : null;
        try {
          writeDisk(path, own ?? writeText(fileOf(profile), format), null);
        } catch (error) {
          return `${shownPath(path)} cannot be written: ${(error as Error).message}.`;
        }
      }
      await other?.end();
      return (await open(path, true, id)).state;
    },
    async release(id) {
      const file = fileOfProfile(id);
      const found = [...files].find(([, each]) => each === file);
      if (!file || !found) return NONE;
      if (options.paths.includes(found[0]))
        return 'It was named at the start: start Sorn without it.';
      await file.end();
      await bases.drop(found[0]);
      files.delete(found[0]);
      const gone = { ...file.state, state: 'released' as const };
      for (const listener of listeners) listener(gone);
      return null;
    },
    async end() {
      await Promise.all([...files.values()].map((file) => file.end()));
    },
  };
}

/** What is no profile is never written over; what is one is brought together with the one here. */
function whyNotOver(path: string, folders: readonly string[]): string | null {
  const there = readDisk(path);
  if (!('text' in there)) return `${shownPath(path)}: ${there.because}.`;
  const gathered = gatherFiles(path, folders);
  const isProfile = 'files' in gathered && readProfileFiles(gathered.files).ok;
  return isProfile ? null : `${shownPath(path)} is there, and is no profile; it is left as it is.`;
}
