import { Box } from '@chakra-ui/react';
import { useNotice } from '../ui/notice.ts';

/** What a key just did, in the corner of the page; nothing waits for an answer there. */
export function Notice() {
  const text = useNotice((state) => state.text);
  return (
    <Box role="status" position="fixed" bottom="48px" right="16px" zIndex="10" maxW="420px">
      {text !== '' && (
        <Box
          bg="sheet"
          border="1.5px solid"
          borderColor="ink"
          px="14px"
          py="9px"
          fontSize="13px"
          overflowWrap="anywhere"
          data-notice
        >
          {text}
        </Box>
      )}
    </Box>
  );
}
