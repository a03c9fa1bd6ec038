import type { Command } from '@sorn/core/commands';
import { NOTHING_TO_DO, openSession, reduce, type Reason } from '@sorn/core/engine';
import { ownTextSchema, type OwnText } from '@sorn/core/files';
import { NO_EFFORT, withEffort, withPresses } from '@sorn/core/keys';
import {
  asWritten,
  profileOn,
  profileSchema,
  sessionSchema,
  withDayCounted,
  type Profile,
  type Session,
} from '@sorn/core/model';
import { pressesIn } from '@sorn/core/values';
import isEqual from 'fast-deep-equal';
import { createStore, type StoreApi } from 'zustand';
import type { StoredProfile, StoredSession } from '@sorn/api';
import type { ProfileStore } from './profile-state.ts';
import { commandOf, doesSomething, doneBetween } from './command-effect.ts';
import { readDraft, stillUnsaved, type Draft } from './drafts.ts';
import { beginRecord } from './desk-record.ts';
import { listen } from './listen.ts';
import { savingOf, type ProfileDocument } from './saving.ts';
import { withMoment, type Moment } from './moments.ts';

const MERGE_MS = 1200;
const MOST_EDITS = 200;
const MOST_LOG = 200;
const NOTHING_CAME: readonly string[] = [];
const ANOTHER_WINDOW = 'another window';

/** The day of a moment where the person is, as 2026-11-13. */
const dayOf = (at: Date) => at.toLocaleDateString('sv-SE');

function draftOf(kept: StoredProfile, { revision, session }: StoredSession): Draft {
  const draft = readDraft(kept.id);
  const document = { profile: kept.profile, text: kept.text ?? null };
  return {
    profile: stillUnsaved(draft?.profile, { revision: kept.revision, value: document }),
    session: stillUnsaved(draft?.session, { revision, value: session }),
  };
}

/**
 * Makes the store of a profile from what the server keeps, and from edits that an earlier visit could not save.
 * @param host the name of the server's machine
 */
export function createProfileStore(
  kept: StoredProfile,
  keptSession: StoredSession,
  host: string,
): StoreApi<ProfileStore> {
  const { id } = kept;
  const draft = draftOf(kept, keptSession);
  const unsaved = draft.profile?.value as Partial<ProfileDocument> | undefined;
  // An earlier Sorn kept the profile alone.
  const draftProfile = profileSchema.safeParse(unsaved?.profile ?? unsaved);
  const draftText = ownTextSchema.safeParse(unsaved?.text);
  const draftSession = sessionSchema.safeParse(draft.session?.value);
  const written = draftProfile.success ? draftProfile.data : kept.profile;
  const profile = profileOn(written, host);
  const input = draftSession.success
    ? draftSession.data
    : (keptSession.session ?? sessionSchema.parse({}));
  const opened = openSession(input, profile);
  const isFirst = !draftSession.success && keptSession.session === undefined;
  if (isFirst && profile.start.length > 0) {
    const start = { type: 'command', command: { command: 'open-start' } } as const;
    opened.session = reduce(opened.session, start, profile).session;
  }

  let lastMerge = { word: '', at: 0 };
  /**
   * Edits that are one step until their group ends, and are not saved before: `before` is how all was then, and
   * `moment` the last one that came of them.
   */
  let group: {
    isBegun: boolean;
    before: Pick<ProfileStore, 'past' | 'future' | 'moments' | 'session' | 'looking'>;
    moment: Moment | null;
  } | null = null;
  const store = createStore<ProfileStore>((set, get) => {
    const saving = savingOf({
      kept,
      keptSession,
      draft,
      get,
      set,
      withProfile,
    });
    const { savers, rememberUnsaved, resolveConflicts, takeSession, onServerEvent, serverProfile } =
      saving;

    /** The desk as it is, whatever is looked at. */
    const present = () => get().moments.at(-1)!.session;

    /** What the store holds once the desk is as it is in a session. */
    function taken(becomes: Session, text: string): Partial<ProfileStore> {
      if (becomes === present()) return { session: becomes, looking: null };
      const isUsed = becomes.uses !== present().uses;
      const session = isUsed ? withDayCounted(becomes, dayOf(new Date())) : becomes;
      savers.session.offer(session);
      return { session, looking: null, moments: withMoment(get().moments, session, text) };
    }

    /** The log with a line more. */
    function logged(
      caps: readonly string[],
      text: string,
      trace: readonly Reason[],
      command?: Command,
    ) {
      const { log } = get();
      const number = (log.at(-1)?.number ?? 0) + 1;
      const entry = { number, at: new Date(), caps, text, trace, ...(command && { command }) };
      return { log: [...log, entry].slice(-MOST_LOG) };
    }

    /** What the store holds once the profile is another: it, and the desk as it becomes by that. */
    function withProfile(nextWritten: Profile, text: string) {
      const { profile: before, moments } = get();
      const next = profileOn(nextWritten, host);
      const isSameDesk = (['monitors', 'desks', 'workspaces'] as const).every(
        (part) => before[part] === next[part],
      );
      // Former moments stand on monitors and workspaces that may be gone.
      const stillValid = isSameDesk ? moments : moments.slice(-1);
      const { session } = reduce(present(), { type: 'profile-edited', before }, next);
      return {
        profile: next,
        written: nextWritten,
        session,
        looking: null,
        moments: withMoment(stillValid, session, text),
      };
    }

    /** Takes another profile, with whatever else becomes other by that: all who listen are told once. */
    function takeProfile(next: Profile, text: OwnText | null, others: Partial<ProfileStore>) {
      const before = present();
      const becomes = withProfile(next, 'profile edited');
      set({ ...others, ...becomes, text, remoteChanges: NOTHING_CAME });
      if (group) {
        group.moment = becomes.moments.at(-1) ?? null;
        return;
      }
      savers.profile.offer({ profile: next, text });
      if (becomes.session !== before) savers.session.offer(becomes.session);
    }

    /** Goes back or forth by one edit. A step that is not the session's last any more is passed over. */
    function travel(from: 'past' | 'future', to: 'past' | 'future', command: 'undo' | 'redo') {
      const former = get()[from].at(-1);
      if (!former) return;
      lastMerge = { word: '', at: 0 };
      const rest = { [from]: get()[from].slice(0, -1) };
      if ('written' in former) {
        const { written: now, text } = get();
        const others = { ...rest, [to]: [...get()[to], { written: now, text }] };
        takeProfile(former.written, former.text, others);
        return;
      }
      set(rest);
      if (present()[from].at(-1) !== former.step) {
        travel(from, to, command);
        return;
      }
      get().run({ command });
      const step = present()[to].at(-1);
      if (step) set({ [to]: [...get()[to], { step }] });
    }

    return {
      id,
      host,
      profile,
      written,
      text: draftText.success ? draftText.data : (kept.text ?? null),
      conflicting: null,
      file: null,
      sharedStore: null,
      remoteChanges: NOTHING_CAME,
      remoteSource: ANOTHER_WINDOW,
      session: opened.session,
      moments: withMoment([], opened.session, 'opened'),
      looking: null,
      effort: NO_EFFORT,
      past: [],
      future: [],
      log: [],
      openedWith: opened.findings,
      saves: {
        profile: { kind: 'saved', revision: kept.revision },
        session: { kind: 'saved', revision: keptSession.revision },
      },

      happen(event, caps = [], text = event.type, isRepeat = false) {
        record.event(event);
        const before = present();
        const outcome = reduce(before, event, get().profile);
        const command = commandOf(event, before);
        const isDone = doesSomething(before, outcome.session);
        const isByKey = caps.length > 0 || event.type === 'key-released';
        // All at once: whoever listens to the store does so once for a key.
        set({
          ...logged(caps, text, outcome.trace, 'command' in event ? event.command : undefined),
          ...(isByKey && {
            // A key that repeats by itself is no press, and what it does more nobody would do by pointer.
            effort: isRepeat
              ? get().effort
              : withEffort(
                  get().effort,
                  pressesIn(caps),
                  command,
                  isDone ? doneBetween(before, outcome.session, get().profile) : null,
                ),
          }),
          ...taken(outcome.session, text),
        });
        const { edit } = outcome;
        if (edit) get().edit(() => edit);
      },
      lookAt(moment) {
        const { moments } = get();
        const at = Math.min(moments.length - 1, Math.max(0, moment));
        const { session: shown } = moments[at]!;
        set({ session: shown, looking: at === moments.length - 1 ? null : at });
      },
      goOnFromHere() {
        const { looking, moments } = get();
        if (looking === null) return;
        const from = moments[looking]!;
        const { uses, countedOn } = present();
        record.jump();
        const decided = `the desk as it was after ${from.text}`;
        set({
          ...logged([], 'go on from here', [{ decided, because: 'chosen on the time line' }]),
          // What was used stays used.
          ...taken(
            { ...from.session, ...(uses && { uses }), ...(countedOn && { countedOn }) },
            `back to ${from.text}`,
          ),
        });
      },
      note(caps, text, because, decided = NOTHING_TO_DO) {
        set({
          ...logged(caps, text, [{ decided, because }]),
          effort: withPresses(get().effort, pressesIn(caps)),
        });
      },
      run(command, caps, text = command.command) {
        get().happen({ type: 'command', command }, caps, text);
      },
      edit(change, merge, isHere) {
        const { profile: here } = get();
        get().editWritten((before) => asWritten(before, here, change(here), host, isHere), merge);
      },
      editWritten(change, merge = '', text = get().text ?? undefined) {
        const { written: before, text: formerText } = get();
        const next = change(before);
        const isSameText = text === (formerText ?? undefined);
        if (isSameText && isEqual(next, before)) return;
        const now = Date.now();
        const isSoon = merge !== '' && merge === lastMerge.word && now - lastMerge.at < MERGE_MS;
        const merges = group ? group.isBegun : isSoon;
        if (group) group.isBegun = true;
        lastMerge = { word: merge, at: now };
        const past = merges
          ? get().past
          : [...get().past, { written: before, text: formerText }].slice(-MOST_EDITS);
        takeProfile(next, text ?? null, { past, future: [] });
      },
      connect(event, text) {
        const before = present();
        get().happen(event, [], text);
        const step = present().past.at(-1);
        if (step && step !== before.past.at(-1))
          set({ past: [...get().past, { step }], future: [] });
      },
      groupEdits() {
        const { past: formerEdits, future, moments, session, looking } = get();
        const before = { past: formerEdits, future, moments, session, looking };
        const own: typeof group = { isBegun: false, before, moment: null };
        group = own;
        return (isDropped) => {
          if (group !== own) return;
          group = null;
          lastMerge = { word: '', at: 0 };
          if (!own.isBegun) return;
          const former = get().past.at(-1);
          if (!isDropped || !former || !('written' in former)) {
            savers.profile.offer({ profile: get().written, text: get().text });
            if (present() !== before.moments.at(-1)!.session) savers.session.offer(present());
            return;
          }
          // Where nothing else happened meanwhile, the desk is as it was, too.
          const isAlone = get().moments.at(-1) === own.moment;
          if (isAlone) {
            const { written: back, text } = former;
            set({ ...before, written: back, profile: profileOn(back, host), text });
          } else {
            const past = get().past.slice(0, -1);
            takeProfile(former.written, former.text, { past, future: before.future });
          }
        };
      },
      undoEdit: () => travel('past', 'future', 'undo'),
      redoEdit: () => travel('future', 'past', 'redo'),
      resolveConflicts,
      keepMine() {
        const { session: state } = get().saves;
        if (state.kind !== 'stale' || state.present === null) return;
        savers.session.offer(present());
        savers.session.rebase(state.present);
      },
      takeTheirs() {
        savers.session.drop();
        rememberUnsaved();
        void takeSession();
      },
      takeOver(from, text) {
        const { session } = openSession(sessionSchema.parse(from), get().profile);
        record.jump();
        const decided = 'the simulated desk stands as it does';
        set({ ...logged([], text, [{ decided, because: text }]), ...taken(session, text) });
      },
      serverProfile,
      putRemoteAway: () => set({ remoteChanges: NOTHING_CAME }),
      open(live) {
        addEventListener('pagehide', rememberUnsaved);
        const stopListening = listen(
          id,
          (event) => void onServerEvent(event),
          live,
          (file) => set({ file: file.state === 'released' ? null : file }),
          (sharedStore) => set({ sharedStore }),
        );
        if (draftProfile.success)
          savers.profile.offer({ profile: get().written, text: get().text });
        if (draftSession.success) savers.session.offer(opened.session);
        return () => {
          stopListening();
          removeEventListener('pagehide', rememberUnsaved);
          rememberUnsaved();
          for (const saver of Object.values(savers)) void saver.flush().finally(saver.stop);
        };
      },
    };
  });
  const record = beginRecord(store);
  return store;
}
