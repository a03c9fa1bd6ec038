import {
  arrange,
  deskInForce,
  place,
  type Arranged,
  type DeskInForce,
  type Finding,
  type Placement,
} from '@sorn/core';
import { createContext, useContext, useMemo } from 'react';
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

export function usePlacedDesk(): PlacedDesk {
  const profile = useBench((bench) => bench.profile);
  const session = useBench((bench) => bench.session);
  const openedWith = useBench((bench) => bench.openedWith);
  return useMemo(() => {
    const desk = deskInForce(profile, session);
    const { placements, findings } = place(session, profile, desk);
    const monitor = session.focusMonitor;
    const focused = arrange({ session, profile, desk }, session.shown[monitor]!, monitor);
    return { desk, placements, findings: [...openedWith, ...findings], focused };
  }, [profile, session, openedWith]);
}
