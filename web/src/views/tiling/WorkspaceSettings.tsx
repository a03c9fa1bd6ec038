import { chakra, Flex } from '@chakra-ui/react';
import { EMPTY_WORKSPACES, WORKSPACES_ARE, type Profile } from '@sorn/core/model';
import { Section } from '../../ui/Section.tsx';
import { Choice } from '../../ui/SettingRow.tsx';
import { useProfileStore, useProfileStoreApi } from '../../state/profile-context.ts';

/** Whether monitors have workspaces of their own, and what becomes of empty ones. For the whole profile. */
export function WorkspaceSettings() {
  const { workspacesAre, emptyWorkspaces } = useProfileStore((state) => state.profile.tiling);
  const store = useProfileStoreApi();
  const set = (patch: Partial<Profile['tiling']>) =>
    store.getState().edit((profile) => ({ ...profile, tiling: { ...profile.tiling, ...patch } }));
  return (
    <Section title="Workspaces" note="for everything">
      <Flex direction="column" gap="6px">
        <Choice
          label="Workspaces are"
          value={workspacesAre}
          options={WORKSPACES_ARE.map((value) => ({ value, text: value.replace('-', ' ') }))}
          onChange={(value) => set({ workspacesAre: value })}
        />
        <chakra.p fontSize="12px" color="slate">
          {workspacesAre === 'joined'
            ? 'All monitors are switched together; a window’s monitor decides where it is.'
            : 'Each monitor shows one of its own; a workspace decides its windows’ monitor.'}
        </chakra.p>
        <Choice
          label="Empty workspaces are"
          value={emptyWorkspaces}
          options={EMPTY_WORKSPACES.map((value) => ({ value, text: `${value} when empty` }))}
          onChange={(value) => set({ emptyWorkspaces: value })}
        />
      </Flex>
    </Section>
  );
}
