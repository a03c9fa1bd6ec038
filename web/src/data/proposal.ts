import { reduce, type SessionEvent } from '@sorn/core/engine';
import type { Profile, Session } from '@sorn/core/model';
import { create } from 'zustand';
import type { Bench } from './bench-state.ts';

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
  proposeEvent: (bench: Bench, event: SessionEvent, title: string) => void;
  /** A change of the profile. */
  proposeEdit: (bench: Bench, change: (profile: Profile) => Profile, title: string) => void;
  take: () => void;
  drop: () => void;
}

export const useProposal = create<ProposalState>((set, get) => ({
  proposal: null,
  proposeEvent(bench, event, title) {
    // What is proposed begins at the present, whatever of the past is looked at.
    if (bench.looking !== null) bench.lookAt(bench.moments.length - 1);
    const { profile, connect } = bench;
    const { session } = bench.moments.at(-1)!;
    const after = reduce(session, event, profile).session;
    const take = () => connect(event, title);
    if (after === session) take();
    else set({ proposal: { title, profile, session: after, take } });
  },
  proposeEdit(bench, change, title) {
    const profile = change(bench.profile);
    const event: SessionEvent = { type: 'profile-edited', before: bench.profile };
    const { session } = reduce(bench.session, event, profile);
    set({ proposal: { title, profile, session, take: () => bench.edit(change) } });
  },
  take() {
    const { proposal } = get();
    set({ proposal: null });
    proposal?.take();
  },
  drop: () => set({ proposal: null }),
}));
