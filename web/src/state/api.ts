import type { OwnText } from '@sorn/core/files';
import type { Profile, SessionInput } from '@sorn/core/model';
import type { Fault } from '@sorn/core/values';

export interface ProfileSummary {
  id: string;
  name: string;
  revision: number;
  savedAt: string;
}

export interface KeptProfile {
  id: string;
  revision: number;
  savedAt: string;
  profile: Profile;
  /** What the person wrote as text. */
  text?: OwnText;
}

export interface KeptSession {
  revision: number;
  session?: SessionInput;
}

export interface Saved {
  revision: number;
  savedAt: string;
}

/** A request the server refused, or that did not reach it (status 0). */
export class ApiError extends Error {
  readonly status: number;
  readonly faults: readonly Fault[];

  constructor(status: number, message: string, faults: readonly Fault[] = []) {
    super(message);
    this.status = status;
    this.faults = faults;
  }
}

async function call<T>(
  method: string,
  path: string,
  options: { body?: unknown; base?: number } = {},
) {
  const { body, base } = options;
  const isFile = body instanceof Blob;
  let response: Response;
  try {
    response = await fetch(`/api${path}`, {
      method,
      headers: {
        ...(body !== undefined && { 'Content-Type': isFile ? body.type : 'application/json' }),
        ...(base !== undefined && { 'If-Match': `"${base}"` }),
      },
      ...(body !== undefined && { body: isFile ? body : JSON.stringify(body) }),
    });
  } catch {
    throw new ApiError(0, 'The server does not answer.');
  }
  if (response.status === 204) return undefined as T;
  if (response.status === 401) logIn();
  const answer: unknown = await response.json().catch(() => ({}));
  if (response.ok) return answer as T;
  const problem = answer as { title?: string; detail?: string; faults?: Fault[] };
  const text = [problem.title, problem.detail].filter(Boolean).join(': ');
  throw new ApiError(
    response.status,
    text || `The server answered ${response.status}.`,
    problem.faults,
  );
}

/** Goes to the login page, and from there back to where one is. What was edited is kept as a draft meanwhile. */
function logIn(): void {
  const { pathname, search } = window.location;
  window.location.assign(`/login?next=${encodeURIComponent(pathname + search)}`);
}

const at = (id: string) => `/profiles/${encodeURIComponent(id)}`;

/** One saved state in the list of them. */
export interface Revision {
  revision: number;
  savedAt: string;
  label?: string;
  /** What changed since the one before that is kept, in words. */
  changes: string[];
  /** An earlier state that was just the same. */
  sameAs?: number;
}

export interface RevisionList {
  revisions: Revision[];
  /** How saved states grow fewer with age, in words. */
  rule: string;
  /** How many are told at once. */
  most: number;
}

/** A backup in the server's folder. */
export interface BackupFile {
  name: string;
  why: 'start' | 'asked' | 'before-restore' | 'before-delete';
  madeAt: string;
  bytes: number;
}

export interface BackupList {
  backups: BackupFile[];
  folder: string;
  /** How many are kept, in words. */
  rule: string;
}

/** What a restore would do to one profile, or did. */
export interface Replaced {
  id: string;
  name: string;
  here: { revision: number; savedAt: string } | null;
  backup: { revision: number; savedAt: string; revisions: number } | null;
  isSame: boolean;
}

export interface Restoring {
  madeAt: string;
  profiles: Replaced[];
}

export interface ServerSettings {
  backupsAtStart: number;
}

/** What is saved elsewhere, as it is told: the revision of what is new. */
export interface News {
  profile?: number;
  session?: number;
}

const meant = (backup: Blob | string) =>
  typeof backup === 'string' ? { backup } : new Blob([backup], { type: 'application/zip' });

export const newsOf = (id: string) => `/api${at(id)}/news`;

export const api = {
  list: () => call<ProfileSummary[]>('GET', '/profiles'),
  create: (profile: unknown) => call<ProfileSummary>('POST', '/profiles', { body: { profile } }),
  createDemo: () => call<ProfileSummary>('POST', '/demo'),
  read: (id: string) => call<KeptProfile>('GET', at(id)),
  save: (id: string, profile: Profile, base: number, text?: OwnText) =>
    call<Saved>('PUT', at(id), { body: { profile, ...(text && { text }) }, base }),
  remove: (id: string, base: number) => call<undefined>('DELETE', at(id), { base }),
  readSession: (id: string) => call<KeptSession>('GET', `${at(id)}/session`),
  revisions: (id: string, below?: number) =>
    call<RevisionList>('GET', `${at(id)}/revisions${below === undefined ? '' : `?below=${below}`}`),
  nameRevision: (id: string, revision: number, label: string) =>
    call<undefined>('PUT', `${at(id)}/revisions/${revision}/name`, { body: { label } }),
  backups: () => call<BackupList>('GET', '/backups'),
  makeBackup: () => call<{ name: string }>('POST', '/backups'),
  /** A backup as a file, or one of the folder by its name. */
  checkRestore: (backup: Blob | string) =>
    call<Restoring>('POST', '/restore/check', { body: meant(backup) }),
  restore: (backup: Blob | string) =>
    call<Restoring & { before: string }>('POST', '/restore', { body: meant(backup) }),
  settings: () => call<ServerSettings>('GET', '/settings'),
  saveSettings: (settings: ServerSettings) =>
    call<ServerSettings>('PUT', '/settings', { body: settings }),
  revision: (id: string, revision: number) =>
    call<KeptProfile>('GET', `${at(id)}/revisions/${revision}`),
  saveSession: (id: string, session: unknown, base: number) =>
    call<Saved>('PUT', `${at(id)}/session`, { body: session, base }),
};
