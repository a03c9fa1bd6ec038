import { openSession } from '@sorn/core/engine';
import { changeTexts, isSame, type Decisions, type OwnText } from '@sorn/core/files';
import { fileName } from './file-state.ts';
import type { Profile, Session } from '@sorn/core/model';
import type { StoredProfile, StoredSession, ChangeEvent } from '@sorn/api';
import { api } from './api.ts';
import { autosaver, type Autosaver, type SaveState } from './autosave.ts';
import type { ProfileStore, UndoEntry } from './profile-state.ts';
import { keepDraft, type Draft } from './drafts.ts';
import { withMoment } from './moments.ts';
import {
  formerWithTheirs,
  resolveConflicts,
  mergeRemote,
  type RemoteMerge,
} from './remote-merge.ts';

type Kind = 'profile' | 'session';

/** What is saved of a profile together: it, and what the person wrote as text. */
export interface ProfileDocument {
  profile: Profile;
  text: OwnText | null;
}

/** What saving reads of a store, and changes in it. */
interface SyncDependencies {
  kept: StoredProfile;
  keptSession: StoredSession;
  draft: Draft;
  get: () => ProfileStore;
  set: (part: Partial<ProfileStore>) => void;
  /** What the store holds once its profile is another. */
  withProfile: (next: Profile, text: string) => Partial<ProfileStore>;
}

interface Saving {
  savers: { profile: Autosaver<ProfileDocument>; session: Autosaver<Session> };
  /** Keeps in the browser what is not saved. */
  rememberUnsaved: () => void;
  resolveConflicts: (decided: Decisions) => void;
  takeSession: () => Promise<void>;
  onServerEvent: (event: ChangeEvent) => Promise<void>;
  /** The profile as the server has it, as far as it was heard of. */
  serverProfile: () => Profile;
}

const staleAt = (revision: number, present: number): SaveState => ({
  kind: 'stale',
  revision,
  present,
});

/** Saves what is done in a store, and merges what others saved of the same profile. */
export function savingOf({
  kept,
  keptSession,
  draft,
  get,
  set,
  withProfile,
}: SyncDependencies): Saving {
  const { id } = kept;
  const report = (kind: Kind) => (state: SaveState) => {
    set({ saves: { ...get().saves, [kind]: state } });
    if (state.kind === 'failed' || state.kind === 'saved') rememberUnsaved();
    // Somebody else saved the profile: what they changed and what was changed here go together.
    if (kind === 'profile' && state.kind === 'stale') void mergeRemoteProfile();
  };
  /** What the server has, as far as it was heard of. */
  let known = { revision: kept.revision, profile: kept.profile };
  let sentText = kept.text ?? null;
  const savers: Saving['savers'] = {
    profile: autosaver(
      {
        base: draft.profile?.base ?? kept.revision,
        sent: draft.profile?.sent as ProfileDocument[] | undefined,
      },
      async ({ profile: value, text }, base) => {
        const isNew = text !== null && text !== sentText;
        const saved = await api.save(id, value, base, isNew ? text : undefined);
        known = { revision: saved.revision, profile: value };
        sentText = text;
        return saved;
      },
      async () => {
        const present = await api.read(id);
        const { revision, profile: value, text = null } = present;
        return { revision, value: { profile: value, text } };
      },
      report('profile'),
    ),
    session: autosaver(
      {
        base: draft.session?.base ?? keptSession.revision,
        sent: draft.session?.sent as Session[] | undefined,
      },
      (value, base) => api.saveSession(id, value, base),
      async () => {
        const present = await api.readSession(id);
        return { revision: present.revision, value: present.session };
      },
      report('session'),
    ),
  };

  function rememberUnsaved() {
    const unsavedProfile = savers.profile.pending();
    const unsavedSession = savers.session.pending();
    keepDraft(id, {
      ...(unsavedProfile && { profile: unsavedProfile }),
      ...(unsavedSession && { session: unsavedSession }),
    });
  }

  let isMerging = false;
  /** The newest revision that the server told of: it may be told of while an earlier one is read or decided about. */
  let heard = kept.revision;
  async function mergeRemoteProfile() {
    if (isMerging || get().conflicting) return;
    isMerging = true;
    await savers.profile.idle();
    savers.profile.hold();
    const dependencies = () => ({
      known,
      base: savers.profile.base(),
      mine: get().written,
      sent: (savers.profile.pending()?.sent ?? []).map((each) => each.profile),
    });
    const merge = await mergeRemote(id, dependencies).finally(() => (isMerging = false));
    if (!merge) savers.profile.rebase(savers.profile.base());
    else if (merge.conflicts.length > 0) {
      const { base, theirs, conflicts } = merge;
      const saves = { ...get().saves, profile: staleAt(savers.profile.base(), theirs.revision) };
      set({ conflicting: { base, theirs, conflicts }, saves });
    } else acceptAll(merge, merge.value);
  }

  /** Takes what somebody else saved, and then what was saved since it was read. */
  function acceptAll(merge: Pick<RemoteMerge, 'base' | 'theirs'>, value: Profile) {
    accept(merge, value);
    if (heard > savers.profile.base()) void mergeRemoteProfile();
  }

  /** Makes what somebody else saved the base of everything here. */
  function accept({ base, theirs }: Pick<RemoteMerge, 'base' | 'theirs'>, value: Profile) {
    const mine = get().written;
    const carried = (former: readonly UndoEntry[]) =>
      former.map((each) =>
        'written' in each
          ? { ...each, written: formerWithTheirs(each.written, { base, theirs }) }
          : each,
      );
    const isOwnText = get().text !== sentText;
    const text = isOwnText ? get().text : (theirs.text ?? null);
    if (!isOwnText) sentText = text;
    const remoteChanges = changeTexts(mine, value);
    set({ past: carried(get().past), future: carried(get().future), conflicting: null, text });
    known = { revision: theirs.revision, profile: theirs.profile };
    // What is told of it decides nothing: whatever differs is taken over.
    if (!isSame(value, mine)) {
      // Whoever changed the profile saves the desk as it became by that.
      set({ remoteChanges, ...withProfile(value, 'profile changed elsewhere') });
    }
    savers.profile.drop();
    if (!isSame(value, theirs.profile) || isOwnText) savers.profile.offer({ profile: value, text });
    savers.profile.rebase(theirs.revision);
  }

  /** The desk as somebody else left it; what is done to it here goes on from there. */
  async function takeRemoteSession() {
    const theirs = await api.readSession(id).catch(() => null);
    if (!theirs?.session || theirs.revision <= savers.session.base()) return;
    if (savers.session.pending()) return;
    const { session } = openSession(theirs.session, get().profile);
    set({
      session,
      looking: null,
      moments: withMoment(get().moments, session, 'changed elsewhere'),
    });
    savers.session.rebase(theirs.revision);
  }

  async function onServerEvent({ profile: saved = 0, session: stands = 0, file }: ChangeEvent) {
    await Promise.all([savers.profile.idle(), savers.session.idle()]);
    heard = Math.max(heard, saved);
    if (saved > savers.profile.base()) {
      set({ remoteSource: file === undefined ? 'another window' : fileName(file) });
      await mergeRemoteProfile();
    }
    if (stands > savers.session.base()) await takeRemoteSession();
  }

  return {
    savers,
    rememberUnsaved,
    resolveConflicts(decided) {
      const { conflicting, written: mine } = get();
      if (conflicting) acceptAll(conflicting, resolveConflicts(mine, conflicting, decided));
    },
    takeSession: takeRemoteSession,
    onServerEvent,
    serverProfile: () => known.profile,
  };
}
