import { Box, chakra, Flex, VisuallyHidden } from '@chakra-ui/react';
import { NOTHING_TO_DO } from '@sorn/core/engine';
import { THEN } from '@sorn/core/values';
import { memo } from 'react';
import { useProfileStore } from '../../state/profile-context.ts';
import type { LogEntry } from '../../state/profile-state.ts';

/** What came of an entry, for a person: why nothing was done, or what was. */
function reasonOf({ trace }: LogEntry): { text: string; isRefusal: boolean } | null {
  const reason = trace.find(({ minor }) => !minor);
  if (!reason) return null;
  const { decided, because } = reason;
  const isRefusal = decided === NOTHING_TO_DO;
  return { text: isRefusal ? because : `${decided}: ${because}`, isRefusal };
}

/** The key pressed last, large, with what it did, and below why that, or why nothing. It is read aloud. */
export const LastKey = memo(function LastKey() {
  const last = useProfileStore((state) => state.log.findLast(({ caps }) => caps.length > 0));
  const reason = last && reasonOf(last);
  return (
    <Box position="absolute" top="8px" left="246px" pointerEvents="none">
      {last && <Echo entry={last} />}
      <chakra.p
        role="status"
        mt="2px"
        // Its first line is above the tab of the topmost monitor.
        maxW="440px"
        width="fit-content"
        bg="sheet"
        fontSize="12px"
        lineHeight="16px"
        fontWeight={reason?.isRefusal ? 600 : 400}
        color={reason?.isRefusal ? 'vermilion' : 'slate'}
        data-last-reason={reason?.isRefusal ? 'refusal' : 'done'}
      >
        {reason && (
          <>
            <VisuallyHidden>{`${last.text}: `}</VisuallyHidden>
            {reason.text}
          </>
        )}
      </chakra.p>
    </Box>
  );
});

function Echo({ entry: last }: { entry: LogEntry }) {
  return (
    <Flex align="center" gap="8px" aria-hidden data-last-key>
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
}
