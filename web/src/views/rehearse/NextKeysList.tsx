import { Box, chakra, Flex } from '@chakra-ui/react';
import { keysCaps } from '@sorn/core/values';
import { memo } from 'react';
import { KeyCaps } from '../../ui/KeyCap.tsx';
import { useLive } from '../../state/live-store.ts';
import { useProfileStore } from '../../state/profile-context.ts';
import { followingLines, usePresses } from './presses.ts';

const MOST_SHOWN = 14;

/** Over the sheet while a layer is entered or a sequence has begun: which keys come next, and what they do. */
export const NextKeysList = memo(function WhatFollows() {
  const pressedHere = usePresses((presses) => presses.next);
  const pressedThere = useLive((live) => (live.isShown ? live.next : null));
  const captions = useProfileStore((state) => state.profile.keys);
  const next = pressedThere ?? pressedHere;
  if (!next) return null;
  const lines = pressedThere
    ? pressedThere.next.map(({ keys, ...line }) => ({ ...line, caps: keysCaps(keys, captions) }))
    : followingLines(pressedHere!, captions);
  return (
    <Box
      role="status"
      aria-label="What can follow"
      position="absolute"
      right="14px"
      top="14px"
      maxW="340px"
      bg="sheet"
      border="1.5px solid"
      borderColor="vermilion"
      px="12px"
      py="8px"
      fontSize="13px"
      pointerEvents="none"
      data-follows={next.of}
    >
      <chakra.p fontWeight={650} mb="4px">
        {next.of === 'layer' ? (
          <>Layer {next.name}</>
        ) : (
          <>
            After <KeyCaps caps={keysCaps(next.name, captions)} />
          </>
        )}
      </chakra.p>
      {lines.slice(0, MOST_SHOWN).map(({ id, caps, text }) => (
        <Flex key={id} gap="8px" align="center" minH="22px">
          <KeyCaps caps={caps} />
          <span>{text}</span>
        </Flex>
      ))}
      {lines.length > MOST_SHOWN && (
        <chakra.p color="slate">and {lines.length - MOST_SHOWN} more</chakra.p>
      )}
      {lines.length === 0 && <chakra.p color="slate">Nothing is bound in it.</chakra.p>}
      <Flex gap="8px" align="center" minH="22px" color="slate">
        <KeyCaps caps={['Esc']} />
        <span>leads home</span>
      </Flex>
    </Box>
  );
});
