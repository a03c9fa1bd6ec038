import { ChakraProvider } from '@chakra-ui/react';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { useEffect, type ReactNode } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { BrowserRouter, Navigate, Route, Routes, useParams } from 'react-router';
import { ApiError } from '../state/api.ts';
import { useColourMode } from '../ui/colour-mode.ts';
import { Fault, Guarded, WayOn } from '../ui/Fault.tsx';
import { OpenProfile } from './OpenProfile.tsx';
import { Start } from './Start.tsx';
import { usePageKeyboard } from '../ui/page-keys.ts';
import { system } from './theme.ts';
import { fetchWhenIdle } from './lazy-part.tsx';
import { PANELS } from './panels.ts';
import { BeginView, ProfilesView, VIEWS } from './views.ts';

/** What a route shows, guarded; each by itself, so that a fault of one does not outlast it. */
function screen(name: string, title: string, wayOn: ReactNode, shown: ReactNode) {
  return (
    <Guarded key={name} title={title} wayOn={wayOn}>
      {shown}
    </Guarded>
  );
}

const PAGE_FAULT = 'This page met a fault';
const toProfiles = <WayOn to="/profiles">Choose a profile</WayOn>;
const toBegin = <WayOn to="/begin">Begin a new profile</WayOn>;
const toOthers = <WayOn to="/profiles">Choose another profile</WayOn>;

function Screens() {
  return (
    <Routes>
      <Route path="/" element={screen('start', PAGE_FAULT, toProfiles, <Start />)} />
      <Route
        path="/profiles"
        element={screen('profiles', 'The profiles cannot be shown', toBegin, <ProfilesView />)}
      />
      <Route path="/begin" element={screen('begin', PAGE_FAULT, toProfiles, <BeginView />)} />
      <Route path="/:id" element={screen('profile', PAGE_FAULT, toProfiles, <ProfileById />)}>
        <Route index element={<Navigate to="tiling" replace />} />
        {VIEWS.map(({ path, View }) => (
          // Where a view meets a fault, the frame goes on, and with it the ways to the others.
          <Route
            key={path}
            path={path}
            element={screen(path, 'This view met a fault', toOthers, <View />)}
          />
        ))}
        <Route path="*" element={<Navigate to=".." replace />} />
      </Route>
      <Route path="*" element={<Navigate to="/" replace />} />
    </Routes>
  );
}

/** Each profile has a store of its own, so that no state of the former one remains. */
function ProfileById() {
  const { id = '' } = useParams();
  return <OpenProfile key={id} id={id} />;
}

const queries = new QueryClient({
  defaultOptions: {
    queries: {
      // Another try helps where there was no answer, not where it is a refusal.
      retry: (tries, error) => tries < 1 && error instanceof ApiError && error.status === 0,
      refetchOnWindowFocus: false,
    },
  },
});

export function App() {
  useColourMode();
  usePageKeyboard();
  useEffect(() => fetchWhenIdle([...VIEWS.map(({ View }) => View), ...Object.values(PANELS)]), []);
  return (
    <ChakraProvider value={system}>
      <QueryClientProvider client={queries}>
        <ErrorBoundary
          fallbackRender={({ error, resetErrorBoundary }) => (
            <Fault
              title="This page met a fault"
              text={error instanceof Error ? error.message : String(error)}
              onAgain={resetErrorBoundary}
            />
          )}
        >
          {/* At once: a key that goes to a view and the next one, for that view, can be a moment apart. */}
          <BrowserRouter useTransitions={false}>
            <Screens />
          </BrowserRouter>
        </ErrorBoundary>
      </QueryClientProvider>
    </ChakraProvider>
  );
}
