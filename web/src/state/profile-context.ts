import { checkPlacements, type Finding } from '@sorn/core/checkup';
import { deskInForce, lengthScaleOf, type DeskInForce, type DeskMonitor } from '@sorn/core/desk';
import { arrange, type ArrangedWorkspace, type Placement } from '@sorn/core/engine';
import type { Profile, Session } from '@sorn/core/model';
import type { LengthScale } from '@sorn/core/values';
import { createContext, useContext } from 'react';
import { useStore, type StoreApi } from 'zustand';
import type { ProfileStore } from './profile-state.ts';

export const ProfileContext = createContext<StoreApi<ProfileStore> | null>(null);

export function useProfileStoreApi(): StoreApi<ProfileStore> {
  const store = useContext(ProfileContext);
  if (!store) throw new Error('no profile is open here');
  return store;
}

export function useProfileStore<T>(select: (state: ProfileStore) => T): T {
  return useStore(useProfileStoreApi(), select);
}

/** The desk as it stands, every window's placement on it, and what is wrong with those. */
export interface DeskLayout {
  desk: DeskInForce;
  placements: readonly Placement[];
  findings: readonly Finding[];
  /** What each monitor shows: a workspace, divided. */
  shown: readonly ArrangedWorkspace[];
  /** That of the monitor with the focus. */
  focused: ArrangedWorkspace;
}

/** For all who draw the same session. */
const known = new WeakMap<Session, WeakMap<Profile, DeskLayout>>();

export function deskLayout(profile: Profile, session: Session): DeskLayout {
  const ofSession = known.get(session) ?? new WeakMap<Profile, DeskLayout>();
  const drawn = ofSession.get(profile);
  if (drawn) return drawn;
  const desk = deskInForce(profile, session);
  const { placements, findings } = checkPlacements(session, profile, desk);
  const shown = desk.monitors.map(({ id }) =>
    arrange({ session, profile, desk }, session.shown[id]!, id),
  );
  const focused = shown.find(({ monitor }) => monitor.id === session.focusMonitor)!;
  const layout = { desk, placements, findings, shown, focused };
  known.set(session, ofSession.set(profile, layout));
  return layout;
}

export function useDeskLayout(): DeskLayout {
  return useProfileStore(({ profile, session }) => deskLayout(profile, session));
}

/** By what lengths on a monitor can be given. */
export function useLengthScale(monitor: DeskMonitor): LengthScale {
  const own = useProfileStore((state) =>
    state.profile.monitors.find(({ id }) => id === monitor.id),
  );
  return lengthScaleOf(own, monitor);
}
