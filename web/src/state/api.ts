import {
  BACKUPS,
  FILES,
  LIVE,
  MACHINE,
  pathOf,
  problemSchema,
  PROFILES,
  SETTINGS,
  type Answer,
  type LiveRequest,
  type Parameters,
  type Route,
  type ServerSettings,
} from '@sorn/api';
import type { Decisions, OwnText } from '@sorn/core/files';
import type { Profile, Session } from '@sorn/core/model';
import { read, type Fault } from '@sorn/core/values';

/** A request the server refused, or that did not reach it (status 0), or an answer that is not what it should be. */
export class ApiError extends Error {
  readonly status: number;
  readonly faults: readonly Fault[];

  constructor(status: number, message: string, faults: readonly Fault[] = []) {
    super(message);
    this.status = status;
    this.faults = faults;
  }
}

interface Options<R extends Route> {
  parameters: Parameters<R['path']>;
  query?: Record<string, string | number>;
  /** What is sent as JSON, or a file. */
  body?: unknown;
  /** The state that a save is based on. */
  base?: number;
}

/** Asks something of the server. Its answer is checked: what is not as the contract has it is refused with its path. */
async function call<R extends Route>(route: R, options: Options<R>): Promise<Answer<R>> {
  const { parameters, query, body, base } = options;
  const isFile = body instanceof Blob;
  const asked = query
    ? `?${new URLSearchParams(Object.entries(query).map(([a, b]) => [a, String(b)]))}`
    : '';
  let response: Response;
  try {
    response = await fetch(`/api${pathOf(route, parameters)}${asked}`, {
      method: route.method,
      headers: {
        ...(body !== undefined && { 'Content-Type': isFile ? body.type : 'application/json' }),
        ...(base !== undefined && { 'If-Match': `"${base}"` }),
      },
      ...(body !== undefined && { body: isFile ? body : JSON.stringify(body) }),
    });
  } catch {
    throw new ApiError(0, 'The server does not answer.');
  }
  if (response.status === 401) logIn();
  if (!response.ok) throw await problemIn(response);
  if (!route.answer) return undefined as Answer<R>;
  const text = await response.text();
  const answer = read(route.answer, jsonIn(text));
  if (answer.ok) return answer.value as Answer<R>;
  const { path, found, expected } = answer.faults[0]!;
  throw new ApiError(
    response.status,
    `The server answered what this page does not know: ${path || 'the answer'} is ${found}; expected ${expected}.`,
    answer.faults,
  );
}

/** What a text says as JSON; undefined where it is none. */
export function jsonIn(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}

async function problemIn(response: Response): Promise<ApiError> {
  const { status } = response;
  const problem = problemSchema.safeParse(jsonIn(await response.text()));
  if (!problem.success) return new ApiError(status, `The server answered ${status}.`);
  const { title, detail, faults } = problem.data;
  return new ApiError(status, `${title}: ${detail}`, faults);
}

/** Goes to the login page, which returns here. Unsaved edits are kept as a draft meanwhile. */
function logIn(): void {
  const { pathname, search } = window.location;
  window.location.assign(`/login?next=${encodeURIComponent(pathname + search)}`);
}

const NONE = {};
const meant = (backup: Blob | string) =>
  typeof backup === 'string' ? { backup } : new Blob([backup], { type: 'application/zip' });

/** The address of the events about a profile that other pages save. */
export const changeEventsUrl = (id: string) => `/api${pathOf(PROFILES.changes, { id })}`;

export const api = {
  list: () => call(PROFILES.list, { parameters: NONE }),
  create: (profile: unknown, text?: OwnText) =>
    call(PROFILES.create, { parameters: NONE, body: { profile, ...(text && { text }) } }),
  createDemo: () => call(PROFILES.createDemo, { parameters: NONE }),
  read: (id: string) => call(PROFILES.read, { parameters: { id } }),
  save: (id: string, profile: Profile, base: number, text?: OwnText) =>
    call(PROFILES.save, { parameters: { id }, body: { profile, ...(text && { text }) }, base }),
  remove: (id: string, base: number) => call(PROFILES.remove, { parameters: { id }, base }),
  readSession: (id: string) => call(PROFILES.readSession, { parameters: { id } }),
  saveSession: (id: string, session: Session, base: number) =>
    call(PROFILES.saveSession, { parameters: { id }, body: session, base }),
  revisions: (id: string, below?: number) =>
    call(PROFILES.revisions, {
      parameters: { id },
      ...(below !== undefined && { query: { below } }),
    }),
  revision: (id: string, revision: number) =>
    call(PROFILES.revision, { parameters: { id, number: String(revision) } }),
  nameRevision: (id: string, revision: number, label: string) =>
    call(PROFILES.nameRevision, {
      parameters: { id, number: String(revision) },
      body: { label },
    }),
  machine: () => call(MACHINE.read, { parameters: NONE }),
  files: () => call(FILES.list, { parameters: NONE }),
  keepInFile: (id: string, path: string) =>
    call(FILES.keep, { parameters: { id }, body: { path } }),
  releaseFile: (id: string) => call(FILES.release, { parameters: { id } }),
  decideFile: (id: string, decided: Decisions) =>
    call(FILES.decide, { parameters: { id }, body: { decided: Object.fromEntries(decided) } }),
  writeFileAnew: (id: string) => call(FILES.writeAnew, { parameters: { id } }),
  backups: () => call(BACKUPS.list, { parameters: NONE }),
  makeBackup: () => call(BACKUPS.make, { parameters: NONE }),
  /** A backup as a file, or one of the folder by its name. */
  checkRestore: (backup: Blob | string) =>
    call(BACKUPS.checkRestore, { parameters: NONE, body: meant(backup) }),
  restore: (backup: Blob | string) =>
    call(BACKUPS.restore, { parameters: NONE, body: meant(backup) }),
  askLive: (request: LiveRequest) => call(LIVE.ask, { parameters: NONE, body: request }),
  settings: () => call(SETTINGS.read, { parameters: NONE }),
  saveSettings: (settings: ServerSettings) =>
    call(SETTINGS.save, { parameters: NONE, body: settings }),
};
