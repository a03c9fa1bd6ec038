import { readFileSync, renameSync, writeFileSync } from 'node:fs';
import {
  profileSchema,
  sessionSchema,
  type Profile,
  type Session,
  type SessionInput,
} from '@sorn/core/model';
import type { LinkHints, LinkRect } from '@sorn/link';
import { z } from 'zod';

/** What is kept of a live desk between two runs: after any crash windows are adopted as they were. */
export interface LiveRecord {
  session: SessionInput | Session;
  /** By the id of a window in the session: by what it is found again, and where it was before the engine came. */
  windows: Record<string, RecordedWindow>;
  /** What was seen of the sizes of windows, by app. */
  learned: Record<string, LinkHints>;
  /** The engine is out of the way: every window is where it was before it came. */
  isOut: boolean;
  /** Command lines that a person confirmed. */
  allowed?: readonly string[];
  /** Edits of the profile that nobody has kept yet. */
  unkept?: readonly ProfileEdit[];
}

/** The profile before an edit and after it. */
export interface ProfileEdit {
  before: Profile;
  after: Profile;
}
interface RecordedWindow {
  app?: string;
  title?: string;
  /** The id of the app that it was launched as. */
  launchedAs?: string;
  before: LinkRect;
}

const rect = z.object({ x: z.int(), y: z.int(), width: z.int(), height: z.int() });
const size = z.object({ width: z.int(), height: z.int() });
const recordSchema = z.object({
  session: sessionSchema,
  windows: z.record(
    z.string(),
    z.object({
      app: z.string().exactOptional(),
      title: z.string().exactOptional(),
      launchedAs: z.string().exactOptional(),
      before: rect,
    }),
  ),
  learned: z.record(
    z.string(),
    z.object({
      min: size.exactOptional(),
      max: size.exactOptional(),
      increment: size.exactOptional(),
      base: size.exactOptional(),
      aspect: size.exactOptional(),
    }),
  ),
  isOut: z.boolean(),
  allowed: z.array(z.string()).exactOptional(),
  unkept: z.array(z.object({ before: profileSchema, after: profileSchema })).exactOptional(),
});

/** Where the record of a live desk is kept. */
export interface RecordStore {
  /** What was kept; null where nothing was, or a sentence where it cannot be read. */
  read(): LiveRecord | string | null;
  /** Null, or a sentence where it cannot be kept. */
  write(record: LiveRecord): string | null;
}

/** A file that is replaced as a whole, so that a crash in the middle leaves the one before. */
export function recordFile(path: string): RecordStore {
  return {
    read() {
      let text: string;
      try {
        text = readFileSync(path, 'utf8');
      } catch {
        return null;
      }
      try {
        const record = recordSchema.parse(JSON.parse(text));
        return record as LiveRecord;
      } catch {
        // What cannot be read may be worth a look by a person.
        renameSync(path, `${path}.unreadable`);
        return `${path} could not be read; it is kept as ${path}.unreadable, and the desk begins anew`;
      }
    },
    write(record) {
      const beside = `${path}.new`;
      try {
        // Titles of windows are in it: it is its owner's alone.
        writeFileSync(beside, JSON.stringify(record), { mode: 0o600 });
        renameSync(beside, path);
        return null;
      } catch (error) {
        return `the desk cannot be kept in ${path}: ${(error as Error).message}`;
      }
    },
  };
}
