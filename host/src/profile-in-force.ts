import { mergeProfiles, conflictId } from '@sorn/core/files';
import { keyMap } from '@sorn/core/keys';
import type { Profile } from '@sorn/core/model';
import isEqual from 'fast-deep-equal';
import type { Clock } from './clock.ts';
import type { ProfileEdit } from './record.ts';

/** What can cost a person the keyboard or a monitor: an edit of these is asked about. Machines may have both otherwise. */
const ASKED = ['keys', 'desks', 'monitors', 'machines'] as const;
type AskedPart = (typeof ASKED)[number];

/** How long a person has to keep an edit before it is taken back. */
const KEEP_MS = 15_000;

/** Edits that are taken back where nobody keeps them. */
export interface KeepQuestion {
  parts: AskedPart[];
  /** Milliseconds until they are taken back. */
  left: number;
}

interface Ways {
  /** The desk is arranged by it from now on. */
  apply: (profile: Profile) => void;
  /** Why a profile is not taken over; null where one was. */
  refused: (because: string | null) => void;
  /** An edit that nobody kept was taken back: the profile without it. */
  takenBack: (profile: Profile, before: Profile) => void;
  /** What is asked, or waited for, is otherwise. */
  changed: () => void;
}

/**
 * The profile that a live desk is arranged by: as it is saved, as it is while a figure is typed, or as it was when the
 * desk was told to wait.
 */
export class ProfileInForce {
  private saved: Profile;
  private typed: Profile | null = null;
  /** As it is saved while the desk goes by an older one; undefined while it does not wait. */
  private waiting: Profile | null | undefined;
  private readonly unkept: ProfileEdit[] = [];
  private endsAt = 0;
  private cancelTimer: (() => void) | null = null;
  private cancelTyping: (() => void) | null = null;
  private readonly clock: Clock;
  private readonly ways: Ways;

  /** @param unkept what an earlier run asked about, and nobody answered: it is asked again */
  constructor(profile: Profile, clock: Clock, ways: Ways, unkept: readonly ProfileEdit[] = []) {
    this.saved = profile;
    this.clock = clock;
    this.ways = ways;
    this.unkept.push(...unkept);
    if (unkept.length > 0) this.wait();
  }

  /** What nobody has kept yet, oldest first. */
  get asked(): readonly ProfileEdit[] {
    return this.unkept;
  }

  get now(): Profile {
    return this.typed ?? this.saved;
  }

  get question(): KeepQuestion | null {
    const [first] = this.unkept;
    if (!first) return null;
    const parts = differing(first.before, this.unkept.at(-1)!.after);
    return { parts, left: Math.max(0, Math.round(this.endsAt - this.clock.now())) };
  }

  /** Whether edits wait until the person says that they apply, and whether there are any. */
  get held(): 'nothing' | 'edits' | null {
    if (this.waiting === undefined) return null;
    return this.waiting && !isEqual(this.waiting, this.saved) ? 'edits' : 'nothing';
  }

  get isHeld(): boolean {
    return this.waiting !== undefined;
  }

  /**
   * Takes an edited profile over; null, or why not: one without a key that pauses could not be got rid of by its own
   * keys.
   *
   * @param isAsked an edit of keys, desks or monitors is taken back unless a person keeps it
   */
  save(next: Profile, isAsked: boolean): string | null {
    if (this.waiting !== undefined) {
      this.waiting = next;
      this.typed = null;
      this.ways.changed();
      return null;
    }
    const because = this.whyNot(next);
    if (because !== null) return because;
    const before = this.saved;
    this.saved = next;
    this.typed = null;
    if (isAsked) this.ask({ before, after: next });
    this.ways.apply(next);
    return null;
  }

  /** Goes by a profile while a figure is typed into it; null where that is over. */
  show(typed: Profile | null): string | null {
    if (this.isHeld || (typed === null && this.typed === null)) return null;
    const because = typed && this.whyNot(typed);
    if (because !== null) return because;
    this.typed = typed;
    this.cancelTyping?.();
    // A page that went away types no more.
    this.cancelTyping = typed && this.clock.after(KEEP_MS, () => void this.show(null));
    this.ways.apply(this.now);
    return null;
  }

  /** Waits with edits, or goes on by what was saved meanwhile. */
  hold(isHeld: boolean): void {
    if (isHeld === this.isHeld) return;
    if (isHeld) {
      this.show(null);
      this.waiting = null;
      this.ways.changed();
      return;
    }
    const { waiting } = this;
    this.waiting = undefined;
    if (waiting && !isEqual(waiting, this.saved)) this.save(waiting, true);
    this.ways.changed();
  }

  /** Drops the edits that wait; what the desk goes by, to be saved in their place. */
  dropHeld(): Profile {
    this.waiting = undefined;
    this.ways.changed();
    return this.saved;
  }

  /** A command on the desk changed the profile: what is saved is its own to keep. */
  changedByCommand(next: Profile): void {
    this.saved = next;
    this.typed = null;
  }

  /** The person keeps what is asked about. */
  keep(): void {
    this.unkept.length = 0;
    this.cancelTimer?.();
    this.ways.changed();
  }

  /** Takes back what is asked about, and that alone: what else was edited meanwhile stays. */
  takeBack(): void {
    if (this.unkept.length === 0) return;
    const before = this.saved;
    let profile = before;
    for (const edit of this.unkept.reverse()) profile = without(profile, edit);
    this.keep();
    this.saved = profile;
    this.typed = null;
    this.ways.apply(profile);
    this.ways.takenBack(profile, before);
  }

  stop(): void {
    this.cancelTimer?.();
    this.cancelTyping?.();
  }

  private ask(edit: ProfileEdit): void {
    if (differing(edit.before, edit.after).length === 0) return;
    this.unkept.push(edit);
    // What was undone by hand needs no question.
    if (differing(this.unkept[0]!.before, edit.after).length === 0) {
      this.keep();
      return;
    }
    this.wait();
    this.ways.changed();
  }

  private wait(): void {
    this.cancelTimer?.();
    this.endsAt = this.clock.now() + KEEP_MS;
    this.cancelTimer = this.clock.after(KEEP_MS, () => this.takeBack());
  }

  private whyNot(next: Profile): string | null {
    const because =
      pauses(this.saved) && !pauses(next)
        ? 'no key pauses the engine any more; expected a binding of pause'
        : null;
    this.ways.refused(because);
    return because;
  }
}

const pauses = (profile: Profile) =>
  keyMap(profile).some(({ command }) => command?.command === 'pause');

function differing(before: Profile, after: Profile): AskedPart[] {
  return ASKED.filter((part) => !isEqual(before[part], after[part]));
}

/** A profile without an edit; where somebody changed the same since, theirs stays. */
function without(profile: Profile, { before, after }: ProfileEdit): Profile {
  const { conflicts } = mergeProfiles(after, before, profile);
  const theirs = conflicts.map((conflict) => [conflictId(conflict), 'theirs'] as const);
  return mergeProfiles(after, before, profile, new Map(theirs)).value;
}
