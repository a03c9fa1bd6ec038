import { Flex } from '@chakra-ui/react';
import { KeyCaps } from './KeyCap.tsx';
import { ANSWERS, useKeyRegister, type PageKey } from './keys.ts';

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
      gridColumn="-2 / -1"
      gridRow="-2 / -1"
      align="center"
      gap="18px"
      px="14px"
      borderTop="1px solid"
      borderColor="hairline"
      overflow="hidden"
    >
      {shown.map((key) => (
        <Flex key={key.label} align="center" gap="7px" fontSize="13px" color="slate" flexShrink="0">
          <KeyCaps caps={capsOf(key)} />
          {key.label}
        </Flex>
      ))}
    </Flex>
  );
}

export function capsOf(key: PageKey): readonly string[] {
  return (
    key.caps ?? key.keys.slice(0, 1).map((name) => (name.length === 1 ? name.toUpperCase() : name))
  );
}
