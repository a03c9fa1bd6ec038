import { chakra, Flex } from '@chakra-ui/react';
import { REACHES, type Reach } from '@sorn/core/tiling';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { Section } from '../../ui/Section.tsx';
import { Choice } from '../../ui/SettingRow.tsx';
import type { DeskLayout } from '../../state/profile-context.ts';

const TEXTS: Record<Reach, string> = {
  profile: 'Everything',
  monitor: 'Monitor',
  workspace: 'Workspace',
  'workspace-on-monitor': 'Only here',
};

/** How far an edit reaches: everything, this monitor, this workspace, or this workspace on this monitor. */
export function ReachChoice(props: {
  deskLayout: DeskLayout;
  reach: Reach;
  onReach: (reach: Reach) => void;
}) {
  const { workspace, monitor } = props.deskLayout.focused;
  const meaning: Record<Reach, string> = {
    profile: 'An edit reaches every place that has no setting of its own.',
    monitor: `An edit reaches ${monitor.name}, whatever it shows.`,
    workspace: `An edit reaches workspace ${workspace}, wherever it is.`,
    'workspace-on-monitor': `An edit reaches workspace ${workspace} on ${monitor.name} alone.`,
  };
  return (
    <Section
      title="Set for"
      note={
        <Flex as="span" display="inline-flex" gap="6px">
          <KeyCap>S</KeyCap>
        </Flex>
      }
    >
      <Choice
        label="How far an edit reaches"
        value={props.reach}
        options={[...REACHES].reverse().map((value) => ({ value, text: TEXTS[value] }))}
        onChange={props.onReach}
      />
      <chakra.p fontSize="12px" color="slate" mt="6px">
        {meaning[props.reach]} A value that comes from a closer place is changed there.
      </chakra.p>
    </Section>
  );
}
