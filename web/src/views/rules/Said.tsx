import { chakra } from '@chakra-ui/react';
import type { Words } from '@sorn/core';

/** Words of which some are strong. */
export function Said({ words }: { words: readonly Words[] }) {
  return (
    <>
      {words.map(({ text, strong }, i) =>
        strong ? (
          <chakra.b key={i} fontWeight={650}>
            {text}
          </chakra.b>
        ) : (
          <span key={i}>{text}</span>
        ),
      )}
    </>
  );
}
