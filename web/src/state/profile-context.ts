import { placeAndCheck, type Finding } from '@sorn/core/checkup';
import { deskInForce, type DeskInForce } from '@sorn/core/desk';
import { arrange, type Arranged, type Placement } from '@sorn/core/engine';
import type { Profile, Session } from '@sorn/core/model';
import { createContext, useContext } from 'react';
import { useStore, type StoreApi } from 'zustand';
import type { Bench } from './profile-state.ts';

export const BenchContext = createContext<StoreApi<Bench> | null>(null);

export function useBenchStore(): StoreApi<Bench> {
  const store = useContext(BenchContext);
  if (!store) throw new Error('no profile is open here');
  return store;
}

export function useBench<T>(select: (bench: Bench) => T): T {
  return useStore(useBenchStore(), select);
}

/** The desk as it stands, every window's placement on it, and what is wrong with those. */
export interface PlacedDesk {
  desk: DeskInForce;
  placements: readonly Placement[];
  findings: readonly Finding[];
  /** What each monitor shows: a workspace, divided. */
  shown: readonly Arranged[];
  /** That of the monitor with the focus. */
  focused: Arranged;
}

/** For all who draw the same session. */
const known = new WeakMap<Session, WeakMap<Profile, PlacedDesk>>();

export function placedDesk(profile: Profile, session: Session): PlacedDesk {
  const ofSession = known.get(session) ?? new WeakMap<Profile, PlacedDesk>();
  const drawn = ofSession.get(profile);
  if (drawn) return drawn;
  const desk = deskInForce(profile, session);
  const { placements, findings } = placeAndCheck(session, profile, desk);
  const shown = desk.monitors.map(({ id }) =>
    arrange({ session, profile, desk }, session.shown[id]!, id),
  );
  const focused = shown.find(({ monitor }) => monitor.id === session.focusMonitor)!;
  const placed = { desk, placements, findings, shown, focused };
  known.set(session, ofSession.set(profile, placed));
  return placed;
}

export function usePlacedDesk(): PlacedDesk {
  return useBench(({ profile, session }) => placedDesk(profile, session));
}
