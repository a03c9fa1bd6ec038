import { chakra, CloseButton, Dialog, Portal } from '@chakra-ui/react';
import { useRef, type ReactNode } from 'react';

/** A panel over the page; Escape puts it away. */
export function Panel(props: {
  title: string;
  isOpen: boolean;
  onClose: () => void;
  width?: string;
  /** The body itself takes the focus, so that arrow keys scroll it: for a panel that is only read. */
  isRead?: boolean;
  children: ReactNode;
}) {
  const body = useRef<HTMLDivElement>(null);
  return (
    <Dialog.Root
      {...(props.isRead && { initialFocusEl: () => body.current })}
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
            <Dialog.Body ref={body} px="20px" pb="20px" {...(props.isRead && { tabIndex: 0 })}>
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
