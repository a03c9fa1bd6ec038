import type { Profile } from '../model/profile.ts';
import { isSame } from './differences.ts';
import { mergeProfiles } from './merge-profiles.ts';
import type { Conflict, Decisions } from './merge.ts';
import {
  editedProfileFiles,
  readProfileFiles,
  type FileFault,
  type FileText,
} from './profile-files.ts';

/** What a profile that lives in files and its saved state need, to be the same again. */
export type FileStep =
  /** Nothing is written anywhere until the files can be read. */
  | { kind: 'faults'; faults: FileFault[] }
  /** Both changed the same: nothing is written until a person has decided. */
  | { kind: 'conflicts'; conflicts: Conflict[]; theirs: Profile }
  /** These files would lose their comments: they are not written until a person has agreed. */
  | { kind: 'asks'; anew: string[] }
  /** What both are now, with texts in the order of the files; theirs: what the files said until then. */
  | { kind: 'same'; profile: Profile; texts: string[]; theirs: Profile };

export interface FileStepInput {
  /** The file that is named, then those that it includes. */
  files: readonly FileText[];
  /** What both were when they were the same last; null where that is not known. */
  base: Profile | null;
  /** What is saved. */
  stored: Profile;
  decided?: Decisions;
  /** Files may be written anew. */
  mayWriteAnew?: boolean;
}

/**
 * Brings the files of a profile and its saved state together, field by field: what only one of them changed is as that
 * one has it. Mine is what is saved, theirs what the files say.
 */
export function fileStep({ files, base, stored, decided, mayWriteAnew }: FileStepInput): FileStep {
  const read = readProfileFiles(files);
  if (!read.ok) return { kind: 'faults', faults: read.faults };
  const theirs = read.profile;
  const { value: profile, conflicts } = mergeProfiles(base, stored, theirs, decided);
  if (conflicts.length > 0) return { kind: 'conflicts', conflicts, theirs };
  if (isSame(theirs, profile))
    return { kind: 'same', profile, texts: files.map(({ text }) => text), theirs };
  const { texts, anew } = editedProfileFiles(read.parts, theirs, profile);
  if (anew.length > 0 && !mayWriteAnew) return { kind: 'asks', anew };
  return { kind: 'same', profile, texts, theirs };
}
