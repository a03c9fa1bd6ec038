import { chakra } from '@chakra-ui/react';

/** Beneath a field: why what was typed cannot be taken. */
export function FieldFault({ id, children }: { id: string; children: string }) {
  return (
    <chakra.span
      id={id}
      role="alert"
      position="absolute"
      zIndex="1"
      top="100%"
      right="0"
      bg="vermilion"
      color="petrol.contrast"
      fontSize="12px"
      px="6px"
      whiteSpace="nowrap"
    >
      {children}
    </chakra.span>
  );
}
