import {
  besideMonitor,
  besideOf,
  matchMonitor,
  steppedTo,
  turnedBy90,
  withDesk,
  withDeskWritten,
  withEntry,
  withMonitorOnDesk,
  withNewDesk,
  withoutDesk,
  withoutMonitorOnDesk,
  type DeskMonitor,
} from '@sorn/core/desk';
import type { Desk, DeskEntry, Monitor, Profile } from '@sorn/core/model';
import type { Direction } from '@sorn/core/values';
import { useProfileStoreApi, type DeskLayout } from '../../state/profile-context.ts';
import { useMachine } from '../../state/machine.ts';
import { useProposal } from '../../state/proposal.ts';

/** Pixels an arrow key moves a monitor, and how near an edge must be to be met. */
const STEP = 40;
const NEAR = 24;

/** What the Desk view changes: the desk in force, written down first where it was made up. */
export type DeskEdits = ReturnType<typeof useDeskEdits>;

export function useDeskEdits({ desk }: DeskLayout) {
  const store = useProfileStoreApi();
  const proposals = useProposal.use();
  const machine = useMachine();
  const { edit } = machine;
  /** The profile with this desk in it, changed. */
  const onDesk = (change: (profile: Profile, desk: string) => Profile) => (profile: Profile) => {
    const written = withDeskWritten(profile, desk);
    return change(written.profile, written.desk);
  };
  const monitors = [...desk.monitors, ...desk.others];
  const others = (id: string) => monitors.filter((monitor) => monitor.id !== id);

  function setEntry(id: string, patch: Partial<DeskEntry>, merge = '') {
    edit(
      onDesk((profile, on) => withEntry(profile, on, id, patch)),
      merge && `${merge} ${id}`,
    );
  }

  return {
    monitors,
    machine,
    setEntry,
    /** By a step that meets edges, or by one pixel that does not. */
    step(monitor: DeskMonitor, direction: Direction, isFine: boolean) {
      const to = isFine
        ? steppedTo(monitor, direction, 1, [], 0)
        : steppedTo(monitor, direction, STEP, others(monitor.id), NEAR);
      setEntry(monitor.id, to, 'move');
    },
    /** To a side of the monitor that stands nearest, edge to edge. */
    putBeside(monitor: DeskMonitor, side: Direction) {
      const all = others(monitor.id);
      const other = besideMonitor(monitor, monitors) ?? all[0];
      if (other) setEntry(monitor.id, besideOf(monitor, other, side, all), 'beside');
    },
    turn: (monitor: DeskMonitor) => setEntry(monitor.id, turnedBy90(monitor)),
    setDesk(change: (desk: Desk) => Desk) {
      edit(onDesk((profile, on) => withDesk(profile, on, change)));
    },
    setMonitor(id: string, change: (monitor: Monitor) => Monitor, merge = '') {
      edit(
        (profile) => ({
          ...profile,
          monitors: profile.monitors.map((each) => (each.id === id ? change(each) : each)),
        }),
        merge && `${merge} ${id}`,
      );
    },
    /** Puts a monitor on the desk; on a desk that is in use it is plugged in with that. */
    add(monitor: Monitor) {
      edit(onDesk((profile, on) => withMonitorOnDesk(profile, on, monitor, monitors)));
      const { profile, session, happen } = store.getState();
      const connected = [...new Set([...monitors.map(({ id }) => id), monitor.id])];
      const isThere = profile.monitors.some(({ id }) => id === monitor.id);
      if (session.connected && isThere) happen({ type: 'monitors-changed', connected });
    },
    known: (device: Parameters<typeof matchMonitor>[1]) =>
      matchMonitor(store.getState().profile.monitors, device),
    takeOff({ id, name }: DeskMonitor) {
      // A desk is what is connected: where that was told by cables, this one is pulled.
      if (store.getState().session.connected && monitors.length > 1) {
        const connected = others(id).map((each) => each.id);
        proposals
          .getState()
          .proposeEvent({ type: 'monitors-changed', connected, byHand: true }, `Unplug ${name}`);
        return;
      }
      proposals.getState().proposeEdit(
        onDesk((profile, on) => withoutMonitorOnDesk(profile, on, id)),
        `Take ${name} off this desk`,
      );
    },
    /** A desk more, with what stands here; goes there. */
    addDesk() {
      const { profile, connect } = store.getState();
      const names = profile.desks.map(({ name }) => name);
      let number = profile.desks.length + 1;
      while (names.includes(`Desk ${number}`)) number++;
      const made = withNewDesk(profile, `Desk ${number}`, monitors);
      edit(() => made.profile);
      connect(
        { type: 'command', command: { command: 'use-desk', desk: made.desk } },
        `go to Desk ${number}`,
      );
    },
    dropDesk(id: string, name: string) {
      proposals
        .getState()
        .proposeEdit((profile) => withoutDesk(profile, id), `Delete the desk ${name}`);
    },
    setWrap(pastLastMonitor: Profile['tiling']['pastLastMonitor']) {
      edit((profile) => ({ ...profile, tiling: { ...profile.tiling, pastLastMonitor } }));
    },
  };
}
