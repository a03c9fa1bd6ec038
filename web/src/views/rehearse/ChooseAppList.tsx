import { chakra, Flex } from '@chakra-ui/react';
import { chosenApp } from '@sorn/core/engine';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { useProfileStore } from '../../state/profile-context.ts';
import { ListOverSheet } from './ListOverSheet.tsx';

/** The apps that choose-app goes through, until one is opened or dropped. */
export function ChooseAppList() {
  const at = useProfileStore((state) => chosenApp(state)?.at);
  const apps = useProfileStore((state) => state.profile.apps);
  if (at === undefined) return null;
  return (
    <ListOverSheet
      id="choosing-app"
      label="Apps to open"
      lines={apps.map(({ id, name = id, balloon = id.slice(0, 2), hue = 0 }) => ({
        id,
        name,
        detail: '',
        balloon,
        hue,
      }))}
      chosen={at}
      empty=""
      head={
        <Flex align="center" gap="8px" fontSize="13px">
          <chakra.span flex="1">open-chosen or Enter opens it</chakra.span>
          <KeyCap>Esc</KeyCap>
          <span>drops it</span>
        </Flex>
      }
    />
  );
}
