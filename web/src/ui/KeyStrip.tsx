import { Flex } from '@chakra-ui/react';
import { KeyCaps } from './KeyCap.tsx';
import { ANSWERS, useKeyRegister, type PageKey } from './page-keys.ts';

/** The keys that work now. While the sheet has the keyboard, the group named `sheet-keys` alone. */
export function KeyStrip() {
  const groups = useKeyRegister((register) => register.groups);
  const given = useKeyRegister((register) => register.given);
  const inOrder = [...groups].sort(([a], [b]) => Number(a === 'frame') - Number(b === 'frame'));
  const shown = inOrder
    .filter(([name]) =>
      groups.has(ANSWERS) ? name === ANSWERS : (name === 'sheet-keys') === given,
    )
    .flatMap(([, keys]) => keys)
    .filter(({ minor }) => !minor);
  return (
    <Flex
      as="footer"
      aria-label="Keys that work now"
      gridArea="keys"
      gap="18px"
      px="14px"
      borderTop="1px solid"
      borderColor="hairline"
      overflow="hidden"
    >
      {/* What has no room goes to a line out of sight, rather than be cut; the list of all keys has it. */}
      <Flex flex="1" wrap="wrap" columnGap="18px" height="35px" overflow="hidden">
        {shown
          .filter(({ stays }) => !stays)
          .map((key) => (
            <StripKey key={key.label} of={key} />
          ))}
      </Flex>
      {shown
        .filter(({ stays }) => stays)
        .map((key) => (
          <StripKey key={key.label} of={key} />
        ))}
    </Flex>
  );
}

function StripKey({ of }: { of: PageKey }) {
  return (
    <Flex
      align="center"
      gap="7px"
      height="35px"
      fontSize="13px"
      color="slate"
      whiteSpace="nowrap"
      flexShrink="0"
    >
      <KeyCaps caps={capsOf(of)} />
      {of.label}
    </Flex>
  );
}

export function capsOf(key: PageKey): readonly string[] {
  return (
    key.caps ?? key.keys.slice(0, 1).map((name) => (name.length === 1 ? name.toUpperCase() : name))
  );
}
