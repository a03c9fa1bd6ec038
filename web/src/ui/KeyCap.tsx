import type { ComponentProps } from 'react';
import { chakra } from '@chakra-ui/react';
import { THEN } from '@sorn/core/values';
import { WithArrows } from './arrows.tsx';

const Cap = chakra('kbd', {
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

/** A key as it is pressed. */
export function KeyCap({
  children,
  ...style
}: Omit<ComponentProps<typeof Cap>, 'children'> & { children: string | number | undefined }) {
  return (
    <Cap {...style}>
      <WithArrows text={String(children ?? '')} />
    </Cap>
  );
}

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
