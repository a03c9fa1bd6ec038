import { chakra, ChakraProvider } from '@chakra-ui/react';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { lazy, Suspense, type ReactNode } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { createBrowserRouter, Navigate, RouterProvider, useParams } from 'react-router';
import { BeginView } from '../views/begin/BeginView.tsx';
import { DeskView } from '../views/desk/DeskView.tsx';
import { ProfilesView } from '../views/profiles/ProfilesView.tsx';
import { RehearseView } from '../views/rehearse/RehearseView.tsx';
import { TilingView } from '../views/tiling/TilingView.tsx';
import { ZonesView } from '../views/zones/ZonesView.tsx';
import { useColourMode } from '../ui/colour-mode.ts';
import { Fault, RouteFault, WayOn } from '../ui/Fault.tsx';
import { OpenProfile } from './OpenProfile.tsx';
import { Start } from './Start.tsx';
import { usePageKeyboard } from '../ui/page-keys.ts';
import { system } from './theme.ts';

// Its tables and forms are not needed before it is.
const RulesView = lazy(async () => ({
  default: (await import('../views/rules/RulesView.tsx')).RulesView,
}));

const KeysView = lazy(async () => ({
  default: (await import('../views/keys/KeysView.tsx')).KeysView,
}));

const FilesView = lazy(async () => ({
  default: (await import('../views/files/FilesView.tsx')).FilesView,
}));

const pageFault = (
  <RouteFault title="This page met a fault">
    <WayOn to="/profiles">Choose a profile</WayOn>
  </RouteFault>
);
const profilesFault = (
  <RouteFault title="The profiles cannot be shown">
    <WayOn to="/begin">Begin a new profile</WayOn>
  </RouteFault>
);

/** A view in the frame: where it meets a fault, the frame goes on, and with it the ways to the others. */
const view = (path: string, element: ReactNode) => ({
  path,
  element: <Suspense fallback={<Loading />}>{element}</Suspense>,
  errorElement: (
    <RouteFault title="This view met a fault">
      <WayOn to="/profiles">Choose another profile</WayOn>
    </RouteFault>
  ),
});

const router = createBrowserRouter([
  { path: '/', element: <Start />, errorElement: pageFault },
  { path: '/profiles', element: <ProfilesView />, errorElement: profilesFault },
  { path: '/begin', element: <BeginView />, errorElement: pageFault },
  {
    path: '/:id',
    element: <ProfileById />,
    errorElement: pageFault,
    children: [
      { index: true, element: <Navigate to="tiling" replace /> },
      view('desk', <DeskView />),
      view('tiling', <TilingView />),
      view('zones', <ZonesView />),
      view('rules', <RulesView />),
      view('keys', <KeysView />),
      view('rehearse', <RehearseView />),
      view('files', <FilesView />),
      { path: '*', element: <Navigate to=".." replace /> },
    ],
  },
  { path: '*', element: <Navigate to="/" replace /> },
]);

/** In the place of a view that is on its way; it is there in a moment. */
function Loading() {
  return (
    <chakra.p role="status" p="24px" color="slate">
      Loading…
    </chakra.p>
  );
}

/** Another profile is another bench: nothing of the former one stays. */
function ProfileById() {
  const { id = '' } = useParams();
  return <OpenProfile key={id} id={id} />;
}

const queries = new QueryClient({
  defaultOptions: { queries: { retry: 1, refetchOnWindowFocus: false } },
});

export function App() {
  useColourMode();
  usePageKeyboard();
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
          <RouterProvider router={router} />
        </ErrorBoundary>
      </QueryClientProvider>
    </ChakraProvider>
  );
}
