import type { Fault, Profile, SessionInput } from '@sorn/core';

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
  let response: Response;
  try {
    response = await fetch(`/api${path}`, {
      method,
      headers: {
        ...(options.body !== undefined && { 'Content-Type': 'application/json' }),
        ...(options.base !== undefined && { 'If-Match': `"${options.base}"` }),
      },
      ...(options.body !== undefined && { body: JSON.stringify(options.body) }),
    });
  } catch {
    throw new ApiError(0, 'The server does not answer.');
  }
  if (response.status === 204) return undefined as T;
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

const at = (id: string) => `/profiles/${encodeURIComponent(id)}`;

export const api = {
  list: () => call<ProfileSummary[]>('GET', '/profiles'),
  create: (profile: unknown) => call<ProfileSummary>('POST', '/profiles', { body: { profile } }),
  createDemo: () => call<ProfileSummary>('POST', '/demo'),
  read: (id: string) => call<KeptProfile>('GET', at(id)),
  save: (id: string, profile: Profile, base: number) =>
    call<Saved>('PUT', at(id), { body: profile, base }),
  remove: (id: string, base: number) => call<undefined>('DELETE', at(id), { base }),
  readSession: (id: string) => call<KeptSession>('GET', `${at(id)}/session`),
  saveSession: (id: string, session: unknown, base: number) =>
    call<Saved>('PUT', `${at(id)}/session`, { body: session, base }),
};
