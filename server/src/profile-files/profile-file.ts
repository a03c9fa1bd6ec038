import { statSync } from 'node:fs';
import { dirname } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import type { ProfileFileState } from '@sorn/api';
import { fileStep, readProfileFiles, type Decisions, type FileStep } from '@sorn/core/files';
import { profileSchema, type Profile } from '@sorn/core/model';
import { watch } from 'chokidar';
import isEqual from 'fast-deep-equal';
import type { ChangeEvents } from '../change-events.ts';
import type { Store } from '../storage/store.ts';
import type { FileBase, FileBases } from './bases.ts';
import { isSilent, realPath, tidyBeside, writeDisk } from './disk.ts';
import { gatherFiles, shownPath, type Gathered } from './gather.ts';

/** An editor writes in several steps: a file is read when it was left alone for so long. */
const SETTLED_MS = 150;
/** However often a file changes, it is read at least this often. */
const LONGEST_MS = 300;
/** What is wrong with a file is looked at again after so long, before it is told. */
const DOUBT_MS = 150;
/** A file is written at most once in so long. */
const WRITE_MS = 1_000;
/** So often a file is looked at, should its drive not have told of a change. */
const LOOK_MS = 2_000;
/** On a drive that tells of none. */
const LOOK_SILENT_MS = 250;
/** So often a file that is being written is waited for. */
const MOST_WAITS = 12;
/** So often a save or a write is tried again that somebody else was quicker than. */
const AGAIN_MS = 60;

export interface ProfileFileOptions {
  /** The file, absolute. */
  path: string;
  /** Folders that files may be included from, beside that of the file. */
  folders: readonly string[];
  /** Changes are looked for: nothing tells of them. */
  mustLook: boolean;
  /** It was kept in the page, and is taken up at the next start. */
  isKept: boolean;
  store: Store;
  bases: FileBases;
  changes: ChangeEvents;
  onState: (state: ProfileFileState, before: ProfileFileState | null) => void;
  onError: (error: unknown) => void;
}

/** A profile that lives in a file: what is edited here is written there, and what is written there is a revision here. */
export class ProfileFile {
  state: ProfileFileState;
  private readonly options: ProfileFileOptions;
  private base: FileBase | null = null;
  private id: string | null = null;
  private timer: NodeJS.Timeout | undefined;
  private dueAt = Infinity;
  private firstChangeAt = 0;
  private running: Promise<void> | null = null;
  private isAgain = false;
  private isEnded = false;
  private writtenAt = -Infinity;
  private decided: Decisions | undefined;
  private mayWriteAnew = false;
  private stopListening: (() => void) | null = null;
  private stopListeningToAll: (() => void) | null = null;
  private files: readonly string[] = [];
  /** The files, and the folders they are in: an editor may put another file in the place. */
  private watched = new Set<string>();
  private seen = '';
  /** The files as they were when they had been left alone, and those that may still be written. */
  private settled = '';
  private settling = { marks: '', since: 0 };
  /** What editors wrote on into files that were replaced meanwhile, and what those said before, oldest first. */
  private lates: readonly Late[] = [];
  /** The texts of the files when what is here and there was the same last. */
  private together: readonly string[] = [];
  /** What was wrong when it was looked at last. */
  private doubted: Told | null = null;
  private readonly watcher;
  private readonly looks: NodeJS.Timeout;

  constructor(options: ProfileFileOptions) {
    this.options = options;
    const { path, mustLook } = options;
    this.state = {
      path: shownPath(path),
      profile: null,
      isKept: options.isKept,
      state: 'waits',
      at: timestamp(),
    };
    tidyBeside(path);
    this.watcher = watch([], {
      ignoreInitial: true,
      depth: 0,
      ignored: (each) => !this.watched.has(each),
    });
    this.watcher.on('all', () => this.changed());
    this.watcher.on('error', (error) => options.onError(error));
    this.follow([path]);
    const every = mustLook || isSilent(path) ? LOOK_SILENT_MS : LOOK_MS;
    this.looks = setInterval(() => this.look(), every);
    this.looks.unref();
  }

  /** Reads it for the first time. */
  async begin(id: string | null = null): Promise<void> {
    const { path, bases, store, changes } = this.options;
    this.base = await bases.read(path);
    // A profile that was deleted meanwhile comes in anew.
    if (this.base && (await store.revisionOf(this.base.id)) === null) this.base = null;
    // A restored backup may have all otherwise.
    this.stopListeningToAll = changes.onAll(() => this.soon(0));
    this.listenTo(id ?? this.base?.id ?? null);
    await this.sync();
  }

  /** What a person decided about edits that do not go together. */
  async decide(decided: Decisions): Promise<void> {
    this.decided = decided;
    await this.syncSettled();
    this.decided = undefined;
  }

  /** A person agreed that comments are lost. */
  async writeAnew(): Promise<void> {
    this.mayWriteAnew = true;
    await this.syncSettled();
    this.mayWriteAnew = false;
  }

  /** What a person asked for is done at once, but for a file that is being written. */
  private async syncSettled(): Promise<void> {
    for (let tries = 0; tries < MOST_WAITS && !this.isSettled(this.marks()); tries++)
      await pause(SETTLED_MS);
    await this.sync();
  }

  async end(): Promise<void> {
    this.isEnded = true;
    clearTimeout(this.timer);
    clearInterval(this.looks);
    this.stopListening?.();
    this.stopListeningToAll?.();
    await this.watcher.close();
    await this.running;
  }

  /** All that is to be done now is done, in one round or several. */
  async sync(): Promise<void> {
    if (this.isEnded) return;
    if (this.running) {
      this.isAgain = true;
      return this.running;
    }
    clearTimeout(this.timer);
    this.dueAt = Infinity;
    this.running = (async () => {
      try {
        do {
          this.isAgain = false;
          await this.round();
        } while (this.isAgain && !this.isEnded);
      } catch (error) {
        this.options.onError(error);
        this.soon(WRITE_MS);
      } finally {
        this.running = null;
      }
    })();
    return this.running;
  }

  private listenTo(id: string | null): void {
    this.id = id;
    this.stopListening?.();
    this.stopListening =
      id === null
        ? null
        : this.options.changes.listen(id, ({ profile }) => {
            if (profile !== undefined) this.soon(0);
          });
  }

  private changed(): void {
    const now = Date.now();
    if (this.firstChangeAt === 0) this.firstChangeAt = now;
    const left = this.firstChangeAt + LONGEST_MS - now;
    this.dueAt = Infinity;
    this.soon(Math.max(0, Math.min(SETTLED_MS, left)));
  }

  private soon(ms: number): void {
    const at = Date.now() + ms;
    if (this.isEnded || at >= this.dueAt) return;
    this.dueAt = at;
    clearTimeout(this.timer);
    this.timer = setTimeout(() => {
      this.dueAt = Infinity;
      this.firstChangeAt = 0;
      void this.sync();
    }, ms);
  }

  /** Something is otherwise than when it was looked at last, though nothing told of it. */
  private look(): void {
    const now = this.marks();
    if (now !== this.seen) this.changed();
    this.seen = now;
  }

  /** Watches files, where they are links what these lead to, and their folders: an editor puts another file in the place. */
  private follow(paths: readonly string[]): void {
    const files = paths.flatMap((path) => [path, realPath(path)]);
    const next = new Set([...files, ...files.map((each) => dirname(each))]);
    const isNew = [...next].some((each) => !this.watched.has(each));
    this.files = [...new Set(files)];
    this.watched = next;
    if (isNew) this.watcher.add([...next]);
  }

  private tell(state: Told): void {
    const before = this.state;
    const { path, isKept } = before;
    const next = { path, profile: this.id, isKept, ...state, at: timestamp() };
    const isNews = !isEqual({ ...before, at: '' }, { ...next, at: '' });
    this.state = next;
    if (isNews || state.state === 'same') this.options.onState(next, before);
  }

  /** An editor empties a file, or takes it away, before it writes it: what is wrong is told once it stays so. */
  private tellTrouble(state: Told): void {
    const isSure = this.state.state === 'waits' || isEqual(state, this.doubted);
    this.doubted = state;
    if (isSure) this.tell(state);
    else this.soon(DOUBT_MS);
  }

  /** False while somebody may be writing: half a text can be right by itself, and would be taken for the whole. */
  private isSettled(marks: string): boolean {
    if (marks === this.settled || this.state.state === 'waits') {
      this.settled = marks;
      return true;
    }
    if (marks !== this.settling.marks) this.settling = { marks, since: Date.now() };
    if (Date.now() - this.settling.since < SETTLED_MS) return false;
    this.settled = marks;
    return true;
  }

  /** What shows that one of the files is another one. */
  private marks(): string {
    return this.files.map(markOf).join();
  }

  private async round(): Promise<void> {
    const { path, folders, store } = this.options;
    // Before they are read: what is written meanwhile shows.
    const marks = this.marks();
    const gathered = gatherFiles(path, folders);
    if ('trouble' in gathered) {
      const { state, because } = gathered.trouble;
      this.tellTrouble({ state, because });
      return;
    }
    if ('faults' in gathered) {
      this.tellTrouble({ state: 'faults', faults: [...gathered.faults] });
      return;
    }
    const { files } = gathered;
    this.follow(files.map((file) => file.path));
    if (!this.isSettled(marks)) {
      this.soon(SETTLED_MS);
      return;
    }
    if (this.id === null) {
      await this.bringIn(files);
      return;
    }
    const kept = await store.readProfile(this.id);
    if (!kept) {
      this.tell({ state: 'deleted' });
      return;
    }
    const stored = profileSchema.parse(JSON.parse(kept.content));
    // What the files say now comes first: it is read nowhere else.
    const isNews = files.some(({ text }, i) => text !== this.together[i]);
    const late = isNews ? undefined : this.lates[0];
    const base = late?.base ?? this.base?.profile ?? null;
    const step = fileStep({
      files: files.map((file) => (file.path === late?.path ? { ...file, text: late.text } : file)),
      base,
      stored,
      ...(this.decided && { decided: this.decided }),
      mayWriteAnew: this.mayWriteAnew,
    });
    if (step.kind === 'faults' && late) {
      // Half a text, which nobody will go on with: the file itself is whole.
      this.lates = this.lates.slice(1);
      this.soon(0);
    } else if (step.kind === 'faults') this.tellTrouble({ state: 'faults', faults: step.faults });
    else if (step.kind === 'conflicts')
      this.tell({
        state: 'conflicts',
        theirs: step.theirs,
        base,
        conflicts: step.conflicts.map((each) => ({ ...each, path: [...each.path] })),
      });
    else if (step.kind === 'asks') this.tell({ state: 'asks', anew: step.anew });
    else if (await this.make(files, step, { ...kept, profile: stored }, late !== undefined)) {
      if (late) this.lates = this.lates.slice(1);
      if (this.lates.length > 0) this.soon(0);
    }
  }

  /** Saves what is new here, and writes what is new there; true where both are the same then. */
  private async make(
    files: Files,
    { profile, texts, theirs }: Extract<FileStep, { kind: 'same' }>,
    stored: { profile: Profile; revision: number; text?: { content: string } },
    isLate: boolean,
  ): Promise<boolean> {
    const { store, changes } = this.options;
    const id = this.id!;
    const [text] = texts;
    const isText = texts.length === 1 && stored.text?.content !== text;
    const isFromFile = !isEqual(profile, stored.profile) || (isText && text === files[0]!.text);
    if (isFromFile) {
      const own = texts.length === 1 ? { format: files[0]!.format, content: text! } : undefined;
      const saved = await store.saveProfile(id, profile, stored.revision, own);
      if (!saved || 'stale' in saved) {
        this.soon(AGAIN_MS);
        return false;
      }
      changes.tell(id, { profile: saved.revision, file: this.state.path });
    }
    const due = files.flatMap((file, i) =>
      file.text === texts[i] ? [] : [{ ...file, next: texts[i]! }],
    );
    // What the files say is part of what is saved: from now on both began from it, whenever the rest is written.
    if (!isLate) await this.setBase(theirs);
    const wait = this.writtenAt + WRITE_MS - Date.now();
    // A person who decided is not asked the same again.
    const isAsked = this.decided !== undefined || this.mayWriteAnew;
    if (due.length > 0 && wait > 0 && !isAsked) {
      this.soon(wait);
      return false;
    }
    const formerly = this.base?.profile;
    try {
      for (const { path, text: expected, next } of due) {
        this.writtenAt = Date.now();
        const onLate = (text: string) => {
          if (this.isEnded || !formerly) return;
          this.lates = [...this.lates, { path, text, base: formerly }];
          this.soon(0);
        };
        if (!writeDisk(path, next, expected, onLate)) {
          this.soon(AGAIN_MS);
          return false;
        }
      }
      if (due.length > 0) this.settled = this.marks();
    } catch (error) {
      this.tell({ state: 'not-written', because: (error as Error).message });
      this.soon(LOOK_MS);
      return false;
    }
    await this.bothAre(profile, texts);
    return true;
  }

  private async bothAre(profile: Profile, texts: readonly string[]): Promise<void> {
    await this.setBase(profile);
    this.seen = this.marks();
    this.together = texts;
    this.doubted = null;
    this.tell({ state: 'same' });
  }

  /** Keeps what both began from. */
  private async setBase(profile: Profile): Promise<void> {
    const { path, bases, isKept } = this.options;
    if (isEqual(this.base?.profile, profile) && this.base?.id === this.id) return;
    this.base = { id: this.id!, profile, isKept };
    await bases.save(path, this.base);
  }

  /** A file that has no profile yet becomes one. */
  private async bringIn(files: Files): Promise<void> {
    const read = readProfileFiles(files);
    if (!read.ok) {
      this.tellTrouble({ state: 'faults', faults: read.faults });
      return;
    }
    const own =
      files.length === 1 ? { format: files[0]!.format, content: files[0]!.text } : undefined;
    const { id } = await this.options.store.create(read.profile, undefined, own);
    this.listenTo(id);
    await this.bothAre(
      read.profile,
      files.map(({ text }) => text),
    );
  }
}

/** What an editor wrote into a file after another one took its place. */
interface Late {
  path: string;
  text: string;
  /** What the replaced file said. */
  base: Profile;
}

type Told = Omit<ProfileFileState, 'path' | 'profile' | 'isKept' | 'at'>;
type Files = Extract<Gathered, { files: unknown }>['files'];

const timestamp = () => new Date().toISOString();

/** What shows that a file is another one than it was. */
function markOf(path: string): string {
  try {
    const { mtimeMs, ctimeMs, size, ino } = statSync(path);
    return `${mtimeMs} ${ctimeMs} ${size} ${ino}`;
  } catch {
    return '';
  }
}
