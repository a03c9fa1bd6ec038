import { Box, chakra } from '@chakra-ui/react';
import { rulesWhy, whyHere, windowName } from '@sorn/core/engine';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { Reasons } from '../../ui/Reasons.tsx';
import { Section } from '../../ui/Section.tsx';
import { TextButton } from '../../ui/TextButton.tsx';
import { useProfileStore, type DeskLayout } from '../../state/profile-context.ts';

/** Why a window is here: how it is held, where, and how large, each with what decided it. */
export function WindowReasons(props: {
  deskLayout: DeskLayout;
  id: string | undefined;
  onRule: (id: string) => void;
}) {
  const { deskLayout, id, onRule } = props;
  const session = useProfileStore((state) => state.session);
  const profile = useProfileStore((state) => state.profile);
  const window = session.windows.find((each) => each.id === id);
  if (!window) {
    return (
      <Section title="Why is this here?" note={<KeyCap>Y</KeyCap>}>
        <chakra.p fontSize="12px" color="slate">
          No window has the focus. The key asks about one after another.
        </chakra.p>
      </Section>
    );
  }
  const context = { session, profile, desk: deskLayout.desk };
  const reasons = whyHere(context, window.id);
  // Defaults are told in the Rules view.
  const ruled = rulesWhy(context, window.id).filter(({ because }) => because !== 'default');
  return (
    <Section title={`Why is ${windowName(profile, window)} here?`} note={<KeyCap>Y</KeyCap>}>
      <Reasons reasons={reasons} data={{ 'data-why': window.id }} />
      {ruled.length > 0 && (
        <Box mt="10px" pt="8px" borderTop="1px solid" borderColor="hairline">
          <Reasons reasons={ruled} data={{ 'data-rules-why': window.id }} />
        </Box>
      )}
      <chakra.p mt="8px" fontSize="12px" color="slate">
        <KeyCap>;</KeyCap>{' '}
        <TextButton onClick={() => onRule(window.id)}>make a rule from this window</TextButton>
      </chakra.p>
    </Section>
  );
}
