import { chakra, CloseButton, Dialog, Portal } from '@chakra-ui/react';
import { useLayoutEffect, useRef, type ReactNode, type RefObject } from 'react';

const TAKES_FOCUS = ['input', 'select', 'textarea', 'button', 'a[href]', '[tabindex]']
  .map(
    (element) =>
      `${element}:not([tabindex="-1"], [disabled], [type=hidden], [type=radio]:not(:checked))`,
  )
  .join();

interface PanelProps {
  title: string;
  isOpen: boolean;
  onClose: () => void;
  width?: string;
  /** The body itself takes the focus, so that arrow keys scroll it: for a panel that is only read. */
  isRead?: boolean;
  children: ReactNode;
}

/**
 * A panel over the page; Escape puts it away. It is gone in the step that closes it: a dialog that closes
 * in steps of its own would take the focus back from what it opened.
 */
export function Panel(props: PanelProps) {
  return props.isOpen && <OpenPanel {...props} />;
}

function OpenPanel(props: PanelProps) {
  const body = useRef<HTMLDivElement>(null);
  const from = useRef<HTMLElement>(null);
  return (
    <Dialog.Root
      {...(props.isRead && { initialFocusEl: () => body.current })}
      finalFocusEl={() => from.current}
      open
      onOpenChange={({ open }) => {
        if (!open) props.onClose();
      }}
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
            <FocusAtOnce fromRef={from} />
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

/** Takes the focus into a panel before the browser draws it: the dialog does so later, and a quick hand types meanwhile. */
function FocusAtOnce(props: { fromRef: RefObject<HTMLElement | null> }) {
  const { fromRef } = props;
  const here = useRef<HTMLSpanElement>(null);
  useLayoutEffect(() => {
    const panel = here.current?.closest('[role=dialog]');
    const { activeElement } = document;
    if (!panel || panel.contains(activeElement)) return;
    fromRef.current = activeElement instanceof HTMLElement ? activeElement : null;
    panel.querySelector<HTMLElement>(TAKES_FOCUS)?.focus({ preventScroll: true });
  }, [fromRef]);
  return <span ref={here} hidden />;
}

/** Keys of a panel for as long as it is there, but while something is typed. The answer tells that a key was one. */
export function usePanelKeys(onKey: (key: string) => boolean): void {
  const newest = useRef(onKey);
  // At once, not after the panel was painted: a quick hand has pressed the next key by then.
  useLayoutEffect(() => {
    newest.current = onKey;
  });
  useLayoutEffect(() => {
    function onKeyDown(event: KeyboardEvent) {
      const { target, key } = event;
      const isField = target instanceof Element && target.closest('input:not([type=file]), select');
      if (isField || event.ctrlKey || event.altKey || event.metaKey) return;
      if (!newest.current(key.toLowerCase())) return;
      event.preventDefault();
      event.stopPropagation();
    }
    addEventListener('keydown', onKeyDown, { capture: true });
    return () => removeEventListener('keydown', onKeyDown, { capture: true });
  }, []);
}
