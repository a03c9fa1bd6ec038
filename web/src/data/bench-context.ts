import {
  arrange,
  deskInForce,
  place,
  type Arranged,
  type DeskInForce,
  type Finding,
  type Placement,
  type Profile,
  type Session,
} from '@sorn/core';
import { createContext, useContext } from 'react';
import { useStore, type StoreApi } from 'zustand';
import type { Bench } from './bench.ts';

export const BenchContext = createContext<StoreApi<Bench> | null>(null);

export function useBenchStore(): StoreApi<Bench> {
  const store = useContext(BenchContext);
  if (!store) throw new Error('no profile is open here');
  return store;
}

export function useBench<T>(select: (bench: Bench) => T): T {
  return useStore(useBenchStore(), select);
}

/** The desk as it stands, every window's placement on it, and what is wrong with that. */
export interface PlacedDesk {
  desk: DeskInForce;
  placements: readonly Placement[];
  findings: readonly Finding[];
  /** What has the focus: a workspace on a monitor, divided. */
  focused: Arranged;
}

/** The newest one, for all who draw the same session. */
let newest: { profile: Profile; session: Session; placed: PlacedDesk } | null = null;

function placedDesk(
  profile: Profile,
  session: Session,
  openedWith: readonly Finding[],
): PlacedDesk {
  if (newest?.profile === profile && newest.session === session) return newest.placed;
  const desk = deskInForce(profile, session);
  const { placements, findings } = place(session, profile, desk);
  const monitor = session.focusMonitor;
  const focused = arrange({ session, profile, desk }, session.shown[monitor]!, monitor);
  const placed = { desk, placements, findings: [...openedWith, ...findings], focused };
  newest = { profile, session, placed };
  return placed;
}

export function usePlacedDesk(): PlacedDesk {
  return useBench(({ profile, session, openedWith }) => placedDesk(profile, session, openedWith));
}
