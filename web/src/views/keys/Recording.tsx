import { Box, chakra, Flex } from '@chakra-ui/react';
import { KeyCap, KeyCaps } from '../../ui/KeyCap.tsx';
import { useProfileStore } from '../../state/profile-context.ts';
import { recordedCaps, useRecorder } from './recorder.ts';

/** Over the page while keys are recorded: what they are for, and what was pressed so far. */
export function Recording() {
  const asks = useRecorder((recorder) => recorder.asks);
  const keys = useRecorder((recorder) => recorder.keys);
  const { main, standIn } = useProfileStore((state) => state.profile.keys);
  if (asks === null) return null;
  return (
    <Box
      role="status"
      aria-label="Recording"
      position="fixed"
      top="96px"
      left="50%"
      transform="translateX(-50%)"
      zIndex="10"
      bg="sheet"
      border="2px solid"
      borderColor="vermilion"
      px="18px"
      py="12px"
      minW="380px"
      fontSize="13px"
    >
      <chakra.p fontWeight={650}>{asks}</chakra.p>
      <Flex minH="30px" align="center" gap="8px">
        {keys.length === 0 ? (
          <chakra.span color="slate">
            Press the keys. {standIn !== main && `${standIn} stands in for ${main}.`}
          </chakra.span>
        ) : (
          <>
            <KeyCaps caps={recordedCaps(keys, main)} />
            <chakra.span color="slate">a further press makes a sequence</chakra.span>
          </>
        )}
      </Flex>
      <chakra.p color="slate" fontSize="12px">
        <KeyCap>Esc</KeyCap> leaves it as it was
      </chakra.p>
    </Box>
  );
}
