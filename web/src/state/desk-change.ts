import type { Command } from '@sorn/core/commands';
import { deskInForce, monitorName } from '@sorn/core/desk';
import type { Profile, Session } from '@sorn/core/model';
import type { Mode } from '@sorn/core/values';
import { useMemo } from 'react';
import { useProfileStoreApi } from './profile-context.ts';
import { useProposal } from './proposal.ts';

export const MODE_WORDS: Record<Mode, { title: string; says: string }> = {
  extend: { title: 'Extend', says: 'each monitor shows its own windows' },
  mirror: { title: 'Mirror', says: 'all show what the primary shows' },
  one: { title: 'One only', says: 'the monitor with the focus is lit alone' },
};

/** The ids of the monitors that are connected, whether they are lit or not. */
export function pluggedIn(profile: Profile, session: Session): readonly string[] {
  if (session.unplugged) return [];
  const { monitors, others } = deskInForce(profile, session);
  return [...monitors, ...others].map(({ id }) => id);
}

/** Asks for a monitor to be unplugged, or plugged in: what would happen is shown first. */
export function useCable(): (monitor: string) => void {
  const store = useProfileStoreApi();
  const proposals = useProposal.use();
  return (id) => {
    const { profile, session } = store.getState();
    const now = pluggedIn(profile, session);
    const isIn = now.includes(id);
    const connected = isIn ? now.filter((other) => other !== id) : [...now, id];
    const name = monitorName(profile, id);
    proposals
      .getState()
      .proposeEvent(
        { type: 'monitors-changed', connected, byHand: true },
        isIn ? `Unplug ${name}` : `Plug in ${name}`,
      );
  };
}

/** Asks for another desk, or another mode of this one. */
export function useDeskChange() {
  const proposals = useProposal.use();
  return useMemo(() => {
    const propose = (command: Command, title: string) =>
      proposals.getState().proposeEvent({ type: 'command', command }, title);
    return {
      goTo: (desk: string, name: string) =>
        propose({ command: 'use-desk', desk }, `Go to the desk ${name}`),
      setMode: (mode: Mode) =>
        propose({ command: 'desk-mode', mode }, `Set the mode: ${MODE_WORDS[mode].title}`),
    };
  }, [proposals]);
}
