import { ChakraProvider } from '@chakra-ui/react';
import { profileSchema, sessionSchema, type Profile } from '@sorn/core/model';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render } from '@testing-library/react';
import userEvent, { type UserEvent } from '@testing-library/user-event';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import type { StoreApi } from 'zustand';
import { afterEach, vi } from 'vitest';
import { system } from '../shell/theme.ts';
import { ProfileContext } from '../state/profile-context.ts';
import type { ProfileStore } from '../state/profile-state.ts';
import { createProfileStore } from '../state/profile-store.ts';
import { PreviewContext } from '../ui/typed-preview.ts';
import { usePageKeyboard } from '../ui/page-keys.ts';

/** What the test's document has not got and a view asks for. It lays nothing out: every size is 0. */
vi.stubGlobal(
  'ResizeObserver',
  class {
    observe() {}
    unobserve() {}
    disconnect() {}
  },
);
// Its answers never come.
vi.stubGlobal(
  'Worker',
  class {
    addEventListener() {}
    removeEventListener() {}
    postMessage() {}
    terminate() {}
  },
);
window.matchMedia = (media) =>
  ({ media, matches: false, addEventListener() {}, removeEventListener() {} }) as never;
// As wide as a text in a typewriter's letters.
HTMLCanvasElement.prototype.getContext = (() => ({
  measureText: (text: string) => ({ width: 7 * text.length }),
})) as never;
Element.prototype.scrollIntoView = () => undefined;

afterEach(() => {
  cleanup();
  localStorage.clear();
});

function Page({ children }: { children: ReactNode }) {
  usePageKeyboard();
  return <ChakraProvider value={system}>{children}</ChakraProvider>;
}

/** Draws a part of the page that needs no profile; keys are pressed as a person would. */
export function draw(part: ReactNode): UserEvent {
  render(<Page>{part}</Page>);
  return userEvent.setup();
}

/** A view of a profile, without a server: nothing is saved. */
export interface DrawnView {
  user: UserEvent;
  store: StoreApi<ProfileStore>;
  /** The profile as it is now. */
  profile: () => Profile;
}

/** Draws a view of a profile, with the windows of a session. */
export function drawView(
  view: ReactNode,
  input: { profile: unknown; session?: unknown },
): DrawnView {
  const profile = profileSchema.parse(input.profile);
  const session = sessionSchema.parse(input.session ?? {});
  const store = createProfileStore(
    { id: 'desk', revision: 1, savedAt: '2026-03-02T08:00:00Z', profile },
    { revision: 1, session },
    'here',
  );
  const user = draw(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter>
        <ProfileContext value={store}>
          <PreviewContext value={store.getState().groupEdits}>{view}</PreviewContext>
        </ProfileContext>
      </MemoryRouter>
    </QueryClientProvider>,
  );
  return { user, store, profile: () => store.getState().profile };
}
