import { chakra } from '@chakra-ui/react';
import { THEN } from '@sorn/core/values';

export const KeyCap = chakra('kbd', {
  base: {
    display: 'inline-block',
    fontFamily: 'mono',
    fontSize: '11px',
    fontStretch: '88%',
    fontWeight: 500,
    lineHeight: '18px',
    px: '5px',
    border: '1px solid',
    borderColor: 'hairline',
    borderBottomWidth: '2px',
    borderRadius: 'edge',
    bg: 'sheet',
    color: 'ink',
    whiteSpace: 'nowrap',
  },
});

/** A row of key caps, pressed together; “then” stands between the presses of a sequence. */
export function KeyCaps({ caps }: { caps: readonly string[] }) {
  return (
    <chakra.span display="inline-flex" gap="3px" alignItems="center">
      {caps.map((cap, i) =>
        cap === THEN ? (
          <chakra.span key={i} color="slate" fontSize="12px" px="1px">
            {THEN}
          </chakra.span>
        ) : (
          <KeyCap key={i}>{cap}</KeyCap>
        ),
      )}
    </chakra.span>
  );
}
