import { Flex } from '@chakra-ui/react';
import { useMemo, type ReactNode } from 'react';
import { createStore } from 'zustand';
import { ProfileContext, deskLayout, useProfileStoreApi } from '../state/profile-context.ts';
import type { DeskState } from './moves.ts';
import { Sheet } from './Sheet.tsx';
import type { Viewport } from './viewport.ts';

/** The sheet of a desk that is not the one in use: it says what it shows, has no keys and does not move. */
export function StillSheet(props: {
  state: DeskState;
  title: string;
  marks?: (view: Viewport) => ReactNode;
  /** The monitors alone, without windows. */
  isPlan?: boolean;
}) {
  const { state, title, marks, isPlan = false } = props;
  const { profile, session } = state;
  const store = useProfileStoreApi();
  const own = useMemo(
    () => createStore(() => ({ ...store.getState(), profile, session, openedWith: [] })),
    [store, profile, session],
  );
  if (session.unplugged) {
    return (
      <Flex align="center" justify="center" px="32px" textAlign="center" color="slate">
        No monitor would be connected. The session would wait as it is, and go on when one is
        plugged in.
      </Flex>
    );
  }
  return (
    <ProfileContext.Provider value={own}>
      <Sheet
        deskLayout={deskLayout(profile, session)}
        still={title}
        isPlan={isPlan}
        {...(marks && { marks })}
      />
    </ProfileContext.Provider>
  );
}
