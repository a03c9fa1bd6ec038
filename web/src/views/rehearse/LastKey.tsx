import { chakra, Flex } from '@chakra-ui/react';
import { THEN } from '@sorn/core/values';
import { memo } from 'react';
import { useProfileStore } from '../../state/profile-context.ts';

/** The key pressed last, large, with what it did. */
export const LastKey = memo(function LastKey() {
  const last = useProfileStore((state) => state.log.findLast(({ caps }) => caps.length > 0));
  if (!last) return null;
  return (
    <Flex
      position="absolute"
      top="14px"
      left="246px"
      align="center"
      gap="8px"
      pointerEvents="none"
      aria-hidden
      data-last-key
    >
      {last.caps.map((cap, i) =>
        cap === THEN ? (
          <chakra.span key={i} fontSize="14px" bg="sheet" px="2px">
            {THEN}
          </chakra.span>
        ) : (
          <chakra.kbd
            key={i}
            fontFamily="mono"
            fontSize="16px"
            fontStretch="88%"
            fontWeight={600}
            px="10px"
            lineHeight="30px"
            border="1px solid"
            borderBottomWidth="2px"
            borderColor="ink"
            borderRadius="edge"
            bg="sheet"
          >
            {cap}
          </chakra.kbd>
        ),
      )}
      <chakra.span fontSize="14px" bg="sheet" px="4px">
        {last.text}
      </chakra.span>
    </Flex>
  );
});
