import { Box, chakra, Flex } from '@chakra-ui/react';
import { roleText, monitorName, ROLES } from '@sorn/core/desk';
import type { Profile } from '@sorn/core/model';
import { useState } from 'react';
import { Section } from '../../ui/Section.tsx';
import { Select } from '../../ui/Select.tsx';
import { TextField } from '../../ui/TextField.tsx';
import { useProfileStore, type DeskLayout } from '../../state/profile-context.ts';
import type { DeskEdits } from './edits.ts';

/** The home of each workspace, by name or by role, and where that is now. */
export function Homes({ deskLayout, edits }: { deskLayout: DeskLayout; edits: DeskEdits }) {
  const profile = useProfileStore((state) => state.profile);
  return (
    <Section title="Homes" note="by name, or by role for any desk">
      {profile.workspaces.length === 0 && (
        <chakra.p fontSize="12px" color="slate">
          The profile names no workspaces: each monitor has one, called by a number.
        </chakra.p>
      )}
      {profile.workspaces.map((workspace) => (
        <Home key={workspace.id} workspace={workspace} deskLayout={deskLayout} edits={edits} />
      ))}
    </Section>
  );
}

/** Stands in the list for a home that is typed. */
const TYPED = '…';

function Home(props: {
  workspace: Profile['workspaces'][number];
  deskLayout: DeskLayout;
  edits: DeskEdits;
}) {
  const { deskLayout, edits } = props;
  const { id, name, monitor: home = '' } = props.workspace;
  const profile = useProfileStore((state) => state.profile);
  const [isTyping, setTyping] = useState(false);
  const now = deskLayout.desk.workspaces.find((workspace) => workspace.id === id);
  const roles = [...ROLES, ...edits.monitors.map((_, i) => `from-left-${i + 1}`)];
  const options = [
    { value: '', text: 'the primary (not set)' },
    ...profile.monitors.map((each) => ({ value: each.id, text: each.name ?? each.id })),
    ...roles.map((role) => ({ value: role, text: roleText(role) })),
    { value: TYPED, text: 'a name like …' },
  ];
  const isTyped = isTyping || !options.some(({ value }) => value === home);
  return (
    <Box py="3px" data-home={id}>
      <Flex align="center" gap="8px">
        <chakra.span fontFamily="mono" fontSize="12px" fontWeight={600} width="18px">
          {id}
        </chakra.span>
        <chakra.span fontSize="13px" flex="1" minW="0" truncate>
          {name === id ? '' : name}
        </chakra.span>
        <Select
          label={`Home of workspace ${id}`}
          value={isTyped ? TYPED : home}
          options={options}
          onChange={(which) => {
            setTyping(which === TYPED);
            if (which !== TYPED) edits.setHome(id, which);
          }}
        />
      </Flex>
      {isTyped && (
        <Box pl="26px">
          <TextField
            label={`Name of the home of workspace ${id}`}
            value={home}
            placeholder="a name or id; * and ? stand for any text, any character"
            onChange={(which) => {
              setTyping(false);
              edits.setHome(id, which);
            }}
          />
        </Box>
      )}
      {now && now.monitor !== home && (
        <chakra.p fontSize="12px" color="slate" pl="26px">
          now on {monitorName(profile, now.monitor)}: {now.because}
        </chakra.p>
      )}
    </Box>
  );
}
