import { reduce, type SessionEvent } from '@sorn/core/engine';
import type { Profile, Session } from '@sorn/core/model';
import { perProfile } from './per-profile.ts';

/** Something that is shown before it is done: what would become of every window. */
export interface Proposal {
  /** What would be done, in the imperative. */
  title: string;
  profile: Profile;
  session: Session;
  take: () => void;
}

interface ProposalState {
  proposal: Proposal | null;
  /** A change of what is connected. One that would change nothing is done at once: the log says why. */
  proposeEvent: (event: SessionEvent, title: string) => void;
  /**
   * A change of the profile.
   * @param then what is shown as if it had happened after it, and what is done once it is taken
   */
  proposeEdit: (
    change: (profile: Profile) => Profile,
    title: string,
    then?: { shown?: SessionEvent; taken?: () => void },
  ) => void;
  take: () => void;
  drop: () => void;
}

export const useProposal = perProfile<ProposalState>((set, get, store) => ({
  proposal: null,
  proposeEvent(event, title) {
    const { looking, lookAt, moments, profile, connect } = store.getState();
    // What is proposed begins at the present, whatever of the past is looked at.
    if (looking !== null) lookAt(moments.length - 1);
    const { session } = moments.at(-1)!;
    const after = reduce(session, event, profile).session;
    const take = () => connect(event, title);
    if (after === session) take();
    else set({ proposal: { title, profile, session: after, take } });
  },
  proposeEdit(change, title, then = {}) {
    const { profile: before, session: now, edit } = store.getState();
    const profile = change(before);
    const edited = reduce(now, { type: 'profile-edited', before }, profile).session;
    const session = then.shown ? reduce(edited, then.shown, profile).session : edited;
    const take = () => {
      edit(change);
      then.taken?.();
    };
    set({ proposal: { title, profile, session, take } });
  },
  take() {
    const { proposal } = get();
    set({ proposal: null });
    proposal?.take();
  },
  drop: () => set({ proposal: null }),
}));
