import { chakra, Flex } from '@chakra-ui/react';
import { startChanged, type Start } from '@sorn/core/model';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { Section } from '../../ui/Section.tsx';
import { Select } from '../../ui/Select.tsx';
import { TextButton } from '../../ui/TextButton.tsx';
import { useProfileStore, useProfileStoreApi } from '../../state/profile-context.ts';

const BY_RULES = '';

/** The apps that open when a session begins, in their order, and on which workspace. */
export function StartList({ onAdd }: { onAdd: (() => void) | null }) {
  const start = useProfileStore((state) => state.profile.start);
  const apps = useProfileStore((state) => state.profile.apps);
  const workspaces = useProfileStore((state) => state.profile.workspaces);
  const store = useProfileStoreApi();
  const change = (at: number, next: (start: Start) => Start | null) =>
    store.getState().edit((profile) => startChanged(profile, at, next));
  return (
    <Section title="At the start" note="opened in this order by open-start">
      {start.length === 0 && (
        <chakra.p fontSize="12px" color="slate">
          Nothing opens by itself yet.
        </chakra.p>
      )}
      <chakra.ol maxHeight="220px" overflowY="auto">
        {start.map((entry, at) => {
          const name = apps.find(({ id }) => id === entry.app)?.name ?? entry.app;
          return (
            <Flex
              as="li"
              key={`${entry.app} ${at}`}
              align="center"
              gap="8px"
              minH="28px"
              data-start={entry.app}
            >
              <chakra.span fontSize="13px" flex="1" truncate>
                {name}
              </chakra.span>
              <Select
                label={`Workspace of ${name} at the start`}
                value={entry.workspace ?? BY_RULES}
                options={[
                  { value: BY_RULES, text: 'as rules say' },
                  ...workspaces.map(({ id, name: called }) => ({
                    value: id,
                    text: called ? `${id} ${called}` : id,
                  })),
                ]}
                onChange={(workspace) =>
                  change(at, ({ workspace: _former, ...rest }) =>
                    workspace === BY_RULES ? rest : { ...rest, workspace },
                  )
                }
              />
              <TextButton
                label={`Do not open ${name} at the start`}
                onClick={() => change(at, () => null)}
              >
                take out
              </TextButton>
            </Flex>
          );
        })}
      </chakra.ol>
      {onAdd && (
        <Flex mt="6px" gap="8px" fontSize="12px" color="slate">
          <KeyCap>B</KeyCap> <TextButton onClick={onAdd}>add the selected app</TextButton>
          <KeyCap>E</KeyCap> earlier <KeyCap>L</KeyCap> later
        </Flex>
      )}
    </Section>
  );
}
