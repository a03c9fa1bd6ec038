import { readFileSync } from 'node:fs';
import { profileSchema, sessionSchema, type Profile, type SessionInput } from '@sorn/core/model';

const FOLDER = new URL('../../demo/', import.meta.url);

function readJson(name: string): unknown {
  return JSON.parse(readFileSync(new URL(name, FOLDER), 'utf8'));
}

/** The demo that ships with Sorn: the profile "Bulletin desk" and its windows in the morning. */
export function demoData(): { profile: Profile; session: SessionInput } {
  return {
    profile: profileSchema.parse(readJson('bulletin-desk.profile.json')),
    session: sessionSchema.parse(readJson('bulletin-desk.session.json')),
  };
}
