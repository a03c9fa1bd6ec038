import { chakra } from '@chakra-ui/react';

const Beneath = chakra('span', {
  base: {
    position: 'absolute',
    zIndex: 1,
    top: '100%',
    right: 0,
    fontSize: '12px',
    px: '6px',
    width: 'max-content',
    maxWidth: '300px',
  },
});

/** Beneath a field: why what was typed cannot be taken. */
export function FieldFault({ id, children }: { id: string; children: string }) {
  return (
    <Beneath id={id} role="alert" bg="vermilion" color="petrol.contrast">
      {children}
    </Beneath>
  );
}

/** Beneath a field: what was understood of what is typed. */
export function FieldNote({ id, children }: { id: string; children: string }) {
  return (
    <Beneath id={id} role="status" bg="ink" color="sheet">
      {children}
    </Beneath>
  );
}
