import { interactionOf } from '@sorn/core/model';
import { chakra, Flex } from '@chakra-ui/react';
import { MODES } from '@sorn/core/values';
import { MODE_WORDS } from '../../state/desk-change.ts';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { useProfileStore } from '../../state/profile-context.ts';
import { SheetOverlay } from './SheetOverlay.tsx';

/** The modes that desk-mode goes through while its key is held. */
export function ModeList() {
  const chosen = useProfileStore((state) => interactionOf(state.session, 'choosing-mode')?.mode);
  if (!chosen) return null;
  return (
    <SheetOverlay
      head={
        <Flex align="center" gap="8px" fontSize="13px">
          <chakra.span flex="1">Release or Enter takes it</chakra.span>
          <KeyCap>Esc</KeyCap>
          <span>drops it</span>
        </Flex>
      }
    >
      <chakra.ul role="listbox" aria-label="Modes of the desk" py="4px">
        {MODES.map((mode) => (
          <chakra.li
            key={mode}
            role="option"
            aria-selected={mode === chosen}
            px="14px"
            py="6px"
            fontSize="13px"
            borderLeft="4px solid"
            borderColor={mode === chosen ? 'vermilion' : 'transparent'}
            bg={mode === chosen ? 'petrol.wash' : 'transparent'}
          >
            <chakra.span fontWeight={mode === chosen ? 650 : 400} mr="10px">
              {MODE_WORDS[mode].title}
            </chakra.span>
            <chakra.span color="slate" fontSize="12px">
              {MODE_WORDS[mode].says}
            </chakra.span>
          </chakra.li>
        ))}
      </chakra.ul>
    </SheetOverlay>
  );
}
