import { Box, Grid } from '@chakra-ui/react';
import { useCallback, useState } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { Outlet, useLocation, useNavigate } from 'react-router';
import { simulatedOf } from '../state/per-profile.ts';
import { ProfileContext, useProfileStore, useProfileStoreApi } from '../state/profile-context.ts';
import { KeyStrip } from '../ui/KeyStrip.tsx';
import { Announcer } from './Announcer.tsx';
import { copyHere, useCopyAndPaste } from './copy-and-paste.ts';
import { LiveBar } from './LiveBar.tsx';
import { useLineAndSetting } from './line-and-setting.ts';
import { useLiveToggle } from './live-toggle.ts';
import { useMomentBack } from './moment-back.ts';
import { Notice } from './Notice.tsx';
import { Rail } from './Rail.tsx';
import type { PanelName } from './panel.ts';
import { PANELS } from './panels.ts';
import { SaveTrouble } from './SaveTrouble.tsx';
import { TopBar } from './TopBar.tsx';
import { giveKeptKeys } from '../ui/early-keys.ts';
import { TextButton } from '../ui/TextButton.tsx';
import { useColourMode } from '../ui/colour-mode.ts';
import { notice } from '../ui/notice.ts';
import { usePageKeys } from '../ui/page-keys.ts';
import { usePageTitle } from '../ui/page-title.ts';
import { VIEWS } from './views.ts';
import { useEngineToggle, useHistory } from '../state/history.ts';
import { useInspector } from '../ui/inspector.ts';
import { useScreen } from '../ui/screen.ts';

/** Where the parts stand: the rail at the left, or below the view where that is narrow. */
function frameOf({ isSmall, isNarrow }: { isSmall: boolean; isNarrow: boolean }) {
  if (isNarrow)
    return {
      templateColumns: 'minmax(0, 1fr)',
      templateRows: '44px auto minmax(0, 1fr) 46px 36px',
      templateAreas: '"bar" "trouble" "view" "rail" "keys"',
    };
  return {
    templateColumns: isSmall ? '48px minmax(0, 1fr)' : '72px minmax(0, 1fr)',
    templateRows: '44px auto minmax(0, 1fr) 36px',
    templateAreas: '"rail bar" "rail trouble" "rail view" "rail keys"',
  };
}

/** What every view stands in: rail, top bar, key strip, and the panels that lie over it. */
export function Frame() {
  const [panel, setPanel] = useState<PanelName | null>(null);
  const navigate = useNavigate();
  const toggleColours = useColourMode((colours) => colours.toggle);
  const { toggle: toggleInspector, giveWay } = useInspector();
  const { undo, redo } = useHistory();
  const screen = useScreen();
  const toggleEngine = useEngineToggle();
  const toggleLive = useLiveToggle();
  const lineAndSetting = useLineAndSetting(setPanel);
  const name = useProfileStore((state) => state.profile.name);
  // Asked at once; put away, it is asked again by the line below the bar.
  const isConflicting = useProfileStore((state) => state.conflicting !== null);
  const [asked, setAsked] = useState(isConflicting);
  if (asked !== isConflicting) {
    setAsked(isConflicting);
    setPanel(isConflicting ? 'conflicts' : null);
  }
  const { pathname } = useLocation();
  const takeBack = useMomentBack();
  const { word: view, path: viewPath } =
    VIEWS.find(({ path }) => pathname.endsWith(`/${path}`)) ?? {};
  usePageTitle(view === undefined ? name : `${view} · ${name}`);

  usePageKeys('frame', [
    ...VIEWS.map(({ path, word, digit }) => ({
      keys: [digit],
      label: word,
      minor: true,
      run: () => {
        giveWay();
        void navigate(path);
        if (path !== viewPath) takeBack(() => void navigate(pathname));
      },
    })),
    { keys: ['9'], label: 'profiles', minor: true, run: () => void navigate('/profiles') },
    {
      keys: ['z'],
      ctrl: true,
      shift: false,
      caps: ['Ctrl', 'Z'],
      label: 'undo',
      minor: true,
      run: undo,
    },
    {
      keys: ['z'],
      ctrl: true,
      shift: true,
      caps: ['Ctrl', 'Shift', 'Z'],
      label: 'redo',
      minor: true,
      run: redo,
    },
    { keys: ['y'], ctrl: true, caps: ['Ctrl', 'Y'], label: 'redo', minor: true, run: redo },
    {
      keys: [' '],
      ctrl: true,
      caps: ['Ctrl', 'Space'],
      label: 'pause and resume the engine',
      minor: true,
      run: toggleEngine,
    },
    ...(isConflicting
      ? [
          {
            keys: ['Enter'],
            ctrl: true,
            caps: ['Ctrl', 'Enter'],
            label: 'decide what conflicts',
            run: () => setPanel('conflicts'),
          },
        ]
      : []),
    {
      keys: ['l'],
      shift: true,
      caps: ['Shift', 'L'],
      label: 'simulated and live desk',
      minor: true,
      run: toggleLive,
    },
    // The browser itself has these two: what it copies and pastes is given to it.
    {
      keys: [],
      caps: ['Ctrl', 'C'],
      label: 'copy what is selected',
      minor: true,
      run: () => void copyHere(),
    },
    {
      keys: [],
      caps: ['Ctrl', 'V'],
      label: 'paste a board, layout, rule or key',
      minor: true,
      run: () => notice('Press Ctrl V: a browser gives a page what is pasted by that alone.'),
    },
    {
      keys: ['&'],
      label: 'share what is selected',
      minor: true,
      run: () => setPanel('slip'),
    },
    {
      keys: ['.'],
      ctrl: true,
      caps: ['Ctrl', '.'],
      label: 'from a setting to its line in the text, and back',
      minor: true,
      run: lineAndSetting,
    },
    { keys: ['!'], label: 'findings', minor: true, run: () => setPanel('checkup') },
    {
      keys: ['x'],
      label: 'cables, desks and modes',
      minor: true,
      run: () => setPanel('connections'),
    },
    {
      keys: ['\\'],
      label: screen.isSmall ? 'inspector' : 'inspector away and back',
      minor: !screen.isSmall,
      stays: true,
      run: toggleInspector,
    },
    {
      keys: ['.'],
      label: 'day and night',
      minor: true,
      run: () => {
        toggleColours();
        takeBack(toggleColours);
      },
    },
    { keys: [','], label: 'settings', minor: true, run: () => setPanel('settings') },
    {
      keys: ['k'],
      ctrl: true,
      caps: ['Ctrl', 'K'],
      label: 'find anything',
      run: () => setPanel('find'),
    },
    { keys: ['?'], label: 'all keys', stays: true, run: () => setPanel('keys') },
  ]);

  const askPaste = useCallback(() => setPanel('paste'), []);
  useCopyAndPaste(askPaste);

  const close = () => setPanel(null);
  const [panelFault, setPanelFault] = useState(false);
  if (panelFault && panel !== null) setPanelFault(false);
  return (
    <Grid {...frameOf(screen)} height="100dvh">
      <Box gridArea="rail" minW="0" minH="0">
        <Rail />
      </Box>
      <TopBar onPanel={setPanel} />
      <Box gridArea="trouble" minW="0">
        <SaveTrouble onPanel={setPanel} />
        <LiveBar hasKeys={!isConflicting} />
      </Box>
      <ViewOutlet path={viewPath} />
      <KeyStrip />
      <Announcer />
      <Notice />
      {panelFault && <PanelFault onClose={() => setPanelFault(false)} />}
      {(Object.keys(PANELS) as PanelName[]).map((each) => {
        const Panel = PANELS[each];
        const isOpen = panel === each;
        // A panel whose file cannot be had leaves the view as it is.
        return (
          <ErrorBoundary
            key={each}
            fallback={null}
            resetKeys={[isOpen]}
            onError={() => {
              close();
              setPanelFault(true);
              void giveKeptKeys();
            }}
          >
            <Panel isOpen={isOpen} onClose={close} onPanel={setPanel} />
          </ErrorBoundary>
        );
      })}
    </Grid>
  );
}

/** Views that are about what is kept: they have the profile as it is, whichever desk is shown. */
const OF_PROFILE = ['desk', 'trials', 'files'];

function ViewOutlet({ path }: { path: string | undefined }) {
  const shown = useProfileStoreApi();
  const isOfProfile = path !== undefined && OF_PROFILE.includes(path);
  return (
    <ProfileContext value={isOfProfile ? simulatedOf(shown) : shown}>
      <Outlet />
    </ProfileContext>
  );
}

/** Says over the view that a panel did not come. */
function PanelFault({ onClose }: { onClose: () => void }) {
  return (
    <Box
      role="alert"
      position="fixed"
      bottom="48px"
      right="16px"
      zIndex="10"
      bg="sheet"
      border="1.5px solid"
      borderColor="vermilion"
      px="14px"
      py="9px"
      fontSize="13px"
    >
      The panel could not be loaded from the server. Press its key again, or load the page again.{' '}
      <TextButton onClick={onClose}>Put this away</TextButton>
    </Box>
  );
}
