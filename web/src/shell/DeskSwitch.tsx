import { chakra } from '@chakra-ui/react';
import { useLive } from '../state/live-store.ts';
import { useProfileStoreApi } from '../state/profile-context.ts';
import { useScreen } from '../ui/screen.ts';
import { useLiveToggle } from './live-toggle.ts';

/** How the live desk is, where that is not simply well. */
const STATES: Readonly<Record<string, string>> = {
  waiting: 'waits for its agent',
  stopped: 'agent stopped',
  out: 'out of the way',
};

/** Which desk is shown, the simulated one or the live one, and by whom that is arranged; a press shows the other. */
export function DeskSwitch() {
  const { id } = useProfileStoreApi().getState();
  const agent = useLive(({ about }) => about?.agent?.name ?? null);
  const state = useLive(({ about }) => about?.state ?? null);
  const held = useLive(({ about }) => about?.held ?? null);
  const isShown = useLive((live) => live.isShown);
  const isElsewhere = useLive(({ profile }) => profile !== null && profile !== id);
  const toggle = useLiveToggle();
  const isSmall = useScreen((screen) => screen.isSmall);
  const trouble = state === null ? undefined : STATES[state];
  // In little room it is told which one, no more; the key goes on.
  const whole = isShown ? `Live · ${agent ?? 'no agent yet'}` : 'Simulated';
  const text = isSmall && isShown ? 'Live' : whole;
  const waits = isShown ? 'edits wait' : 'the live desk waits';
  const beside = isShown && trouble ? trouble : held !== null ? waits : undefined;
  const title =
    state === null
      ? 'No desk is live: Desk, Live says how (Shift L)'
      : isShown
        ? 'Show the simulated desk (Shift L)'
        : `Show the live desk${isElsewhere ? ', by another profile' : ''} (Shift L)`;
  if (isSmall && !isShown) return null;
  return (
    <chakra.button
      type="button"
      fontSize="13px"
      fontWeight={isShown ? 650 : 400}
      whiteSpace="nowrap"
      cursor="pointer"
      px="7px"
      height="22px"
      borderWidth="1px"
      borderStyle={isShown ? 'solid' : 'dashed'}
      borderRadius="edge"
      borderColor={beside ? 'vermilion' : isShown ? 'petrol' : 'hairline'}
      color={beside ? 'vermilion' : isShown ? 'petrol' : 'slate'}
      aria-keyshortcuts="Shift+L"
      title={beside === undefined ? title : `${beside}. ${title}`}
      data-desk-shown={isShown ? 'live' : 'simulated'}
      data-live-state={state ?? 'none'}
      onClick={toggle}
    >
      {text}
      {beside !== undefined && !isSmall && <chakra.span fontWeight={400}>: {beside}</chakra.span>}
    </chakra.button>
  );
}
