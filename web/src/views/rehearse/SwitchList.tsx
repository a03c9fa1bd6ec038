import { interactionOf } from '@sorn/core/model';
import { chakra, Flex } from '@chakra-ui/react';
import { memo } from 'react';
import { windowName } from '@sorn/core/engine';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { useProfileStore } from '../../state/profile-context.ts';
import { ListOverSheet } from './ListOverSheet.tsx';

/** The windows that switch-window goes through, most recent first, while its key is held. */
export const SwitchList = memo(function SwitchList() {
  const switching = useProfileStore((state) => interactionOf(state.session, 'switching'));
  const session = useProfileStore((state) => state.session);
  const profile = useProfileStore((state) => state.profile);
  if (!switching) return null;
  const lines = switching.among.flatMap((id) => {
    const window = session.windows.find((each) => each.id === id);
    if (!window) return [];
    const app = profile.apps.find((each) => each.id === window.app);
    const name = windowName(profile, window);
    const detail = [window.title, `workspace ${window.workspace}`].filter(Boolean).join(' · ');
    return [{ id, name, detail, balloon: app?.balloon ?? name.slice(0, 2), hue: app?.hue ?? 0 }];
  });
  return (
    <ListOverSheet
      id="switching"
      label="Windows, most recent first"
      lines={lines}
      chosen={switching.at}
      empty=""
      head={
        <Flex align="center" gap="8px" fontSize="13px">
          <chakra.span flex="1">Release takes it</chakra.span>
          <KeyCap>Esc</KeyCap>
          <span>drops it</span>
        </Flex>
      }
    />
  );
});
