import { chakra, CloseButton, Dialog, Portal } from '@chakra-ui/react';
import type { ReactNode } from 'react';

/** A panel over the page; Escape puts it away. */
export function Panel(props: {
  title: string;
  isOpen: boolean;
  onClose: () => void;
  width?: string;
  children: ReactNode;
}) {
  return (
    <Dialog.Root
      open={props.isOpen}
      onOpenChange={({ open }) => {
        if (!open) props.onClose();
      }}
      lazyMount
      unmountOnExit
      motionPreset="none"
      scrollBehavior="inside"
    >
      <Portal>
        <Dialog.Backdrop bg="shade" />
        <Dialog.Positioner>
          <Dialog.Content
            width={props.width ?? '560px'}
            maxW="92vw"
            bg="sheet"
            color="ink"
            borderRadius="edge"
            border="1.5px solid"
            borderColor="ink"
            shadow="none"
          >
            <Dialog.Header px="20px" pt="16px" pb="8px">
              <Dialog.Title asChild>
                <chakra.h2 fontSize="15px" fontWeight={650}>
                  {props.title}
                </chakra.h2>
              </Dialog.Title>
            </Dialog.Header>
            <Dialog.Body px="20px" pb="20px">
              {props.children}
            </Dialog.Body>
            <Dialog.CloseTrigger asChild>
              <CloseButton size="xs" borderRadius="edge" />
            </Dialog.CloseTrigger>
          </Dialog.Content>
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  );
}
