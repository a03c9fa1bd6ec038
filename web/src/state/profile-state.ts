import type { Command } from '@sorn/core/commands';
import type { openSession, Reason, SessionEvent } from '@sorn/core/engine';
import type { Decisions, OwnText } from '@sorn/core/files';
import type { Effort } from '@sorn/core/keys';
import type { Profile, Session, SessionInput } from '@sorn/core/model';
import type { SaveState } from './autosave.ts';
import type { ProfileFileState, SharedState } from '@sorn/api';
import type { LiveListener } from './listen.ts';
import type { Moment } from './moments.ts';
import type { Conflicting } from './remote-merge.ts';

/** One line of the log: what was asked for, by which keys, and what came of it. */
export interface LogEntry {
  number: number;
  at: Date;
  caps: readonly string[];
  /** The command in words. */
  text: string;
  /** The command itself, where it was one. */
  command?: Command;
  trace: readonly Reason[];
}

/** What undo outside Rehearse goes back to: the profile as it was, or the session before a step. */
export type UndoEntry =
  { written: Profile; text: OwnText | null } | { step: Session['past'][number] };

/** The profile that is open: what is wanted, what is there, and how far both are saved. */
export interface ProfileStore {
  id: string;
  /** The host name of the machine that the server is on. */
  host: string;
  /** The profile as it holds on that machine: all that is computed and drawn goes by it. */
  profile: Profile;
  /** The profile as it is saved and exported, with what is otherwise on some machines. */
  written: Profile;
  /** What the person wrote last as text, perhaps older than the profile: comments are in it. */
  text: OwnText | null;
  /** Edits made here and elsewhere that conflict. Nothing is saved until somebody decides. */
  conflicting: Conflicting | null;
  /** The file that the profile lives in, and how it is; null where it lives in none. */
  file: ProfileFileState | null;
  /** The store that several servers share, and whether it answers; null where everything is in a file. */
  sharedStore: SharedState | null;
  /** What somebody else changed, in words, since the last edit here. */
  remoteChanges: readonly string[];
  /** Where it was changed: "another window", or the name of a file. */
  remoteSource: string;
  /** The desk as it is shown: as it is, or while the time line is looked through, as it was. */
  session: Session;
  /** How the desk stood after each thing that happened in this visit, the present last. */
  moments: readonly Moment[];
  /** The moment that is looked at; null at the present. */
  looking: number | null;
  /** What was done by keys in this visit. */
  effort: Effort;
  /** Former and undone edits, oldest first. */
  past: readonly UndoEntry[];
  future: readonly UndoEntry[];
  log: readonly LogEntry[];
  saves: Readonly<Record<'profile' | 'session', SaveState>>;
  /** Findings about parts of the session's file that had to be changed when it was opened. */
  openedWith: ReturnType<typeof openSession>['findings'];

  /** @param isRepeat of a key that is held and repeats by itself */
  happen: (
    event: SessionEvent,
    caps?: readonly string[],
    text?: string,
    isRepeat?: boolean,
  ) => void;
  run: (command: Command, caps?: readonly string[], text?: string) => void;
  /** Something done outside Rehearse to what is connected: undo there takes it back as it does an edit. */
  connect: (event: SessionEvent, text: string) => void;
  /** Shows the desk as it stood at a moment; at the last one the present goes on. */
  lookAt: (moment: number) => void;
  /** The desk as it stands elsewhere, from now on. */
  takeOver: (session: SessionInput | Session, text: string) => void;
  /** Goes on from the moment that is looked at. What happened after it stays in the time line. */
  goOnFromHere: () => void;
  /** Writes a line into the log without anything happening on the desk. */
  note: (caps: readonly string[], text: string, because: string, decided?: string) => void;
  /**
   * Changes the profile as it holds on this machine. Edits with the same `merge` word, close after each other, are one
   * step of undo.
   *
   * @param isHere what a machine can have otherwise becomes so on this one alone; what it has so already always does
   */
  edit: (change: (profile: Profile) => Profile, merge?: string, isHere?: boolean) => void;
  /** Changes the profile as it is written: by what a file or a text says, or to what it was. */
  editWritten: (change: (written: Profile) => Profile, merge?: string, text?: OwnText) => void;
  /** All edits from now until the answer is called are one step of undo; with `true` it takes them back. */
  groupEdits: () => (isDropped: boolean) => void;
  undoEdit: () => void;
  redoEdit: () => void;
  /** Decides conflicts, by their ids; what is not decided stays as it is here. */
  resolveConflicts: (decided: Decisions) => void;
  /** After somebody else saved the desk: keeps what is here, in the place of theirs. */
  keepMine: () => void;
  /** After somebody else saved the desk: takes theirs. */
  takeTheirs: () => void;
  /** Begins to keep what is unsaved through a visit's end; the answer saves what waits and ends that. */
  open: (live: LiveListener) => () => void;
  /** The profile as the server has it, as far as it was heard of. */
  serverProfile: () => Profile;
  /** What somebody else changed was read. */
  putRemoteAway: () => void;
}
