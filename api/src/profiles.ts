import { ownTextSchema } from '@sorn/core/files';
import { profileSchema, sessionSchema, type Profile, type SessionInput } from '@sorn/core/model';
import { fields, textField, textOf } from '@sorn/core/values';
import { z } from 'zod';
import { route } from './route.ts';

// Interfaces have names: the whole type of a profile would be written into the type of each route.
/* eslint-disable @typescript-eslint/no-empty-object-type */
interface AnyProfile extends Profile {}
interface AnySession extends SessionInput {}
/* eslint-enable @typescript-eslint/no-empty-object-type */
const profileField: z.ZodType<AnyProfile> = profileSchema;
const sessionField: z.ZodType<AnySession> = sessionSchema;

/** The number of a saved state, counted from 1; 0 is none yet. */
export const revisionField = z.int({ error: 'a whole number' }).min(0, { error: 'at least 0' });
/** A moment, as ISO 8601 has it. */
export const momentField = z.string({ error: 'a time' });

const summarySchema = fields({
  id: z.string(),
  name: textField,
  revision: revisionField,
  savedAt: momentField,
});
/** A profile in the list of them. */
export type ProfileSummary = z.output<typeof summarySchema>;

const storedProfileSchema = fields({
  id: z.string(),
  revision: revisionField,
  savedAt: momentField,
  profile: profileField,
  /** What the person wrote as text. */
  text: ownTextSchema.exactOptional(),
  /** The name that was given to this state. */
  label: z.string().exactOptional(),
});
/** A profile as it is, or was, saved. */
export type StoredProfile = z.output<typeof storedProfileSchema>;

const storedSessionSchema = fields({
  revision: revisionField,
  savedAt: momentField.exactOptional(),
  /** Left out while none was saved. */
  session: sessionField.exactOptional(),
});
export type StoredSession = z.output<typeof storedSessionSchema>;

const savedSchema = fields({ revision: revisionField, savedAt: momentField });
/** What became of a save: the number of the state that it made. */
export type Saved = z.output<typeof savedSchema>;

const revisionSchema = fields({
  revision: revisionField,
  savedAt: momentField,
  label: z.string().exactOptional(),
  /** What changed since the one before that is still there, in words; of the first one nothing. */
  changes: z.array(z.string()),
  /** An earlier state that was just the same: it was gone back to. */
  sameAs: revisionField.exactOptional(),
});
/** One saved state in the list of them. */
export type Revision = z.output<typeof revisionSchema>;

const revisionListSchema = fields({
  /** Newest first. */
  revisions: z.array(revisionSchema),
  /** How saved states grow fewer with age, in words. */
  rule: z.string(),
  /** The most that one answer lists. */
  most: z.int(),
});
export type RevisionList = z.output<typeof revisionListSchema>;

/** An event for those who listen to a profile: which revision another page has saved. */
export const changeEventSchema = fields({
  profile: revisionField.exactOptional(),
  session: revisionField.exactOptional(),
  /** The file that the profile was changed in. */
  file: z.string().exactOptional(),
});
export type ChangeEvent = z.output<typeof changeEventSchema>;

/** A save names the state it is based on as `If-Match`; where that is not the present one any more, it is refused (412). */
export const PROFILES = {
  list: route('GET', '/profiles', { answer: z.array(summarySchema) }),
  create: route('POST', '/profiles', {
    body: fields({
      profile: profileField,
      session: sessionField.exactOptional(),
      text: ownTextSchema.exactOptional(),
    }),
    answer: summarySchema,
  }),
  createDemo: route('POST', '/demo', { answer: summarySchema }),
  read: route('GET', '/profiles/:id', { answer: storedProfileSchema }),
  save: route('PUT', '/profiles/:id', {
    // The text where it is newer than what is kept.
    body: fields({ profile: profileField, text: ownTextSchema.exactOptional() }),
    answer: savedSchema,
  }),
  remove: route('DELETE', '/profiles/:id'),
  readSession: route('GET', '/profiles/:id/session', { answer: storedSessionSchema }),
  saveSession: route('PUT', '/profiles/:id/session', { body: sessionField, answer: savedSchema }),
  /** Only revisions older than the number in the query `below`. */
  revisions: route('GET', '/profiles/:id/revisions', { answer: revisionListSchema }),
  revision: route('GET', '/profiles/:id/revisions/:number', { answer: storedProfileSchema }),
  nameRevision: route('PUT', '/profiles/:id/revisions/:number/name', {
    body: fields({ label: textOf(80) }),
  }),
  /** Server-sent events, each as `changeEventSchema` has it. */
  changes: route('GET', '/profiles/:id/changes'),
} as const;
