import { Box, chakra, Flex } from '@chakra-ui/react';
import { nearness } from '@sorn/core/engine';
import { ruleOfAppInZone } from '@sorn/core/rules';
import { useProfileStore } from '../../state/profile-context.ts';
import { FinderList } from '../../ui/FinderList.tsx';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { Panel } from '../../ui/Panel.tsx';
import { TextButton } from '../../ui/TextButton.tsx';
import type { ZoneEdits } from './edits.ts';

/** The apps that a rule has always in the selected zone. */
export function AppsInZone(props: { zone: string; edits: ZoneEdits; onAdd: () => void }) {
  const { zone, edits } = props;
  const apps = useAppsInZone(zone, edits).filter(({ isHere }) => isHere);
  return (
    <Flex align="center" gap="8px" wrap="wrap" fontSize="13px" mt="6px">
      <span>Always here</span>
      <KeyCap>A</KeyCap>
      <Box flex="1" />
      {apps.map(({ id, name }) => (
        <Flex key={id} gap="4px" data-always-here={id}>
          {name}
          <TextButton label={`${name} no longer always here`} onClick={() => edits.toggleApp(id)}>
            drop
          </TextButton>
        </Flex>
      ))}
      <TextButton onClick={props.onAdd}>{apps.length === 0 ? 'an app' : 'another'}</TextButton>
    </Flex>
  );
}

/** The apps of the profile, and whether a rule has them always in a zone. */
function useAppsInZone(zone: string, edits: ZoneEdits) {
  const profile = useProfileStore((state) => state.profile);
  return profile.apps.map(({ id, name = id, title = '' }) => ({
    id,
    name,
    title,
    isHere: ruleOfAppInZone(profile, id, zone, edits.where) !== null,
  }));
}

/** A list of apps that narrows as a name is typed: the chosen one is always in the zone, or no longer. */
export function ChooseApp(props: {
  isOpen: boolean;
  onClose: () => void;
  zone: string;
  edits: ZoneEdits;
}) {
  return (
    <Panel title={`Always in ${props.zone}`} isOpen={props.isOpen} onClose={props.onClose}>
      <Apps {...props} />
    </Panel>
  );
}

function Apps({ zone, edits, onClose }: { zone: string; edits: ZoneEdits; onClose: () => void }) {
  const apps = useAppsInZone(zone, edits);
  const lines = apps.map(({ id, name, title, isHere }) => ({
    words: `${name} ${id} ${title}`,
    content: (
      <>
        {name}
        <chakra.span color="slate" ml="auto" fontSize="12px">
          {isHere ? 'is always here: takes the rule away' : ''}
        </chakra.span>
      </>
    ),
    take() {
      onClose();
      edits.toggleApp(id);
    },
  }));
  return (
    <FinderList
      label="Apps"
      placeholder="Type some of the app’s name"
      empty="No app is called that. Rules has the apps (4, then P)."
      lines={lines}
      nearness={nearness}
    />
  );
}
