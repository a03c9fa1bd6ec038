import { withMainModifier } from '@sorn/core/keys';
import {
  machineMonitorOf,
  machineOf,
  withoutMachine,
  withoutMachineField,
  withoutMachineMain,
  type MachineField,
  type Profile,
} from '@sorn/core/model';
import type { Modifier } from '@sorn/core/values';
import { perProfile } from './per-profile.ts';
import { useProfileStore, useProfileStoreApi } from './profile-context.ts';

/** Whether edits of what a machine can have otherwise reach this machine alone, or every one. */
const useReach = perProfile<{ isHere: boolean }>(() => ({ isHere: false }), { isOfProfile: true });

/** What is otherwise on the machine that the page comes from, and how it becomes so. */
export function useMachine() {
  const store = useProfileStoreApi();
  const reach = useReach.use();
  const isHere = useReach((state) => state.isHere);
  const host = useProfileStore((state) => state.host);
  const profile = useProfileStore((state) => state.profile);
  const machine = machineOf(profile, host);
  const edit = (change: (profile: Profile) => Profile, merge = '') =>
    store.getState().edit(change, merge, reach.getState().isHere);
  return {
    host,
    /** As the profile has it; undefined where nothing is otherwise here. */
    machine,
    isHere,
    setHere: (next: boolean) => reach.setState({ isHere: next }),
    /** An edit that reaches as far as is chosen. */
    edit,
    /** True where a field of a monitor is otherwise here. */
    hasOwn: (monitor: string, field: MachineField) =>
      machineMonitorOf(profile, host, monitor)?.[field] !== undefined,
    setBack: (monitor: string, fields: readonly MachineField[]) =>
      edit((now) =>
        fields.reduce((former, field) => withoutMachineField(former, host, monitor, field), now),
      ),
    drop: (other: string) => edit((now) => withoutMachine(now, other)),
    hasOwnMain: machine?.main !== undefined,
    setMain(main: Modifier) {
      // On one machine it only stands for another modifier: what is bound stays as it is for all others.
      const isAlone = reach.getState().isHere || machine?.main !== undefined;
      edit((now) =>
        isAlone ? { ...now, keys: { ...now.keys, main } } : withMainModifier(now, main),
      );
    },
    setMainBack: () => edit((now) => withoutMachineMain(now, host)),
  };
}
