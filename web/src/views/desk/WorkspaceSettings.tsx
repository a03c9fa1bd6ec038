import { chakra, Flex } from '@chakra-ui/react';
import {
  EMPTY_WORKSPACES,
  MISSING_WORKSPACES,
  WORKSPACES_ARE,
  type Profile,
} from '@sorn/core/model';
import { Section } from '../../ui/Section.tsx';
import { Choice } from '../../ui/SettingRow.tsx';
import { useProfileStore, useProfileStoreApi } from '../../state/profile-context.ts';

const MISSING_WORDS = { made: 'makes it', refused: 'does nothing' } as const;

/** What holds for all workspaces of the profile. */
export function WorkspaceSettings() {
  const { workspacesAre, emptyWorkspaces, missingWorkspaces } = useProfileStore(
    (state) => state.profile.tiling,
  );
  const store = useProfileStoreApi();
  const set = (patch: Partial<Profile['tiling']>) =>
    store.getState().edit((profile) => ({ ...profile, tiling: { ...profile.tiling, ...patch } }));
  return (
    <Section title="All workspaces">
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
        <chakra.p fontSize="13px" mt="4px">
          Going to a letter or digit that no workspace has
        </chakra.p>
        <Choice
          label="Missing workspaces are"
          value={missingWorkspaces}
          options={MISSING_WORKSPACES.map((value) => ({ value, text: MISSING_WORDS[value] }))}
          onChange={(value) => set({ missingWorkspaces: value })}
        />
      </Flex>
    </Section>
  );
}
