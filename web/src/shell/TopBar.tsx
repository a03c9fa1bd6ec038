import { countText } from '@sorn/core/values';
import { chakra, Flex, IconButton } from '@chakra-ui/react';
import { ChevronDown, Moon, Redo2, Search, Settings2, Sun, Undo2 } from 'lucide-react';
import { Link } from 'react-router';
import { findingCount, useFindings } from '../state/findings.ts';
import { useProfileStore, useDeskLayout } from '../state/profile-context.ts';
import { useTrialWatch } from '../state/trial-watch.ts';
import { FILE_STATES, fileTitle } from '../state/file-state.ts';
import { useViewPages } from '../state/view-pages.ts';
import { MODE_WORDS } from '../state/desk-change.ts';
import { useColourMode } from '../ui/colour-mode.ts';
import { useEngineToggle, useHistory } from '../state/history.ts';
import type { PanelName } from './panel.ts';
import { useScreen } from '../ui/screen.ts';
import { KeyCaps } from '../ui/KeyCap.tsx';
import { DeskSwitch } from './DeskSwitch.tsx';
import { SaveStateText } from './SaveStateText.tsx';

const BarButton = chakra(IconButton, {
  base: {
    minW: '28px',
    height: '28px',
    borderRadius: 'edge',
    color: 'slate',
    _hover: { color: 'ink' },
  },
});

// What changes with every key stands apart, so that the rest of the bar is not drawn again.

/** A desk's name, told to be one where it does not say so itself. */
function called(name: string): string {
  return /\bdesk\b/i.test(name) ? name : `${name} desk`;
}

function DeskName({ onPanel }: { onPanel: (panel: PanelName) => void }) {
  const { desk } = useDeskLayout();
  const isUnplugged = useProfileStore((state) => state.session.unplugged === true);
  const own = isUnplugged ? 'No monitor' : desk.desk === null ? desk.name : called(desk.name);
  const isPlain = desk.mode === 'extend' || isUnplugged;
  const name = isPlain ? own : `${own}, ${MODE_WORDS[desk.mode].title.toLowerCase()}`;
  return (
    <chakra.button
      type="button"
      display="flex"
      alignItems="center"
      gap="6px"
      fontSize="13px"
      color={isUnplugged ? 'vermilion' : 'slate'}
      whiteSpace="nowrap"
      cursor="pointer"
      aria-keyshortcuts="x"
      aria-label={`${name}: cables, desks and modes`}
      title={`${isUnplugged ? 'Plug one in' : desk.because} (X)`}
      data-desk={isUnplugged ? 'none' : (desk.desk ?? 'made-up')}
      onClick={() => onPanel('connections')}
    >
      {name}
      <ChevronDown size={13} aria-hidden />
    </chakra.button>
  );
}

function FindingsCount({ onPanel }: { onPanel: (panel: PanelName) => void }) {
  const findings = useFindings();
  const found = findings && findingCount(findings);
  const text =
    found === null ? 'Findings …' : found === 0 ? 'No findings' : countText(found, 'finding');
  return (
    <chakra.button
      type="button"
      fontSize="13px"
      fontWeight={600}
      whiteSpace="nowrap"
      cursor="pointer"
      color={found ? 'vermilion' : 'slate'}
      aria-keyshortcuts="!"
      title="Findings (!)"
      onClick={() => onPanel('checkup')}
    >
      {text}
    </chakra.button>
  );
}

/** How many trials hold: those that are as they are written at once, in all their variations a moment later. */
function TrialsHeld() {
  const held = useTrialWatch((watch) => watch.held);
  const isWatching = useTrialWatch((watch) => watch.isWatching);
  const isFailing = held !== null && held.held < held.of;
  return (
    <chakra.span
      fontSize="13px"
      fontWeight={600}
      whiteSpace="nowrap"
      color={isFailing ? 'vermilion' : 'slate'}
      // On a narrow page the rail leads there, too.
      css={{ '@media (max-width: 1040px)': { display: 'none' } }}
      data-trials-held={held ? `${held.held} of ${held.of}` : ''}
      data-watching={isWatching}
    >
      <Link to="trials" title="Trials that hold (7)" aria-keyshortcuts="7">
        {held ? `Trials ${held.held} of ${held.of}` : 'Trials …'}
      </Link>
    </chakra.span>
  );
}

/** The file that the profile lives in, where there is room; what is wrong with it is told below the bar. */
function FileTitle() {
  const file = useProfileStore((state) => state.file);
  const pages = useViewPages.use();
  if (!file) return null;
  const { isTrouble } = FILE_STATES[file.state];
  return (
    <chakra.span
      fontSize="13px"
      fontWeight={isTrouble ? 600 : 400}
      minW="0"
      maxW="220px"
      truncate
      color={isTrouble ? 'vermilion' : 'slate'}
      css={{ '@media (max-width: 1240px)': { display: 'none' } }}
      data-file-title={file.state}
    >
      <Link to="files" title={file.path} onClick={() => pages.getState().show('files', 'file')}>
        {fileTitle(file)}
      </Link>
    </chakra.span>
  );
}

/** The shared store that everything is kept in, where there is room. */
function StoreTitle() {
  const shared = useProfileStore((state) => state.sharedStore);
  if (!shared) return null;
  return (
    <chakra.span
      fontSize="13px"
      fontWeight={shared.isAway ? 600 : 400}
      minW="0"
      maxW="220px"
      truncate
      color={shared.isAway ? 'vermilion' : 'slate'}
      css={{ '@media (max-width: 1240px)': { display: 'none' } }}
      title="Kept in a store that several machines share"
      data-store={shared.isAway ? 'away' : 'there'}
    >
      {shared.isAway ? `${shared.host} is away` : `in ${shared.host}`}
    </chakra.span>
  );
}

/** Whether the engine runs; a press pauses or resumes it. */
function EngineState() {
  const isPaused = useProfileStore((state) => state.session.paused !== undefined);
  const isSmall = useScreen((screen) => screen.isSmall);
  const toggle = useEngineToggle();
  return (
    <chakra.button
      type="button"
      display="flex"
      alignItems="center"
      gap="7px"
      fontSize="13px"
      fontWeight={600}
      cursor="pointer"
      color={isPaused ? 'vermilion' : 'petrol'}
      aria-label={isPaused ? 'Paused: resume the engine' : 'Running: pause the engine'}
      title={`${isPaused ? 'Resume' : 'Pause'} (Ctrl Space)`}
      data-engine={isPaused ? 'paused' : 'running'}
      onClick={toggle}
    >
      {/* Shape and colour both tell: a block while it runs, two bars while it waits. */}
      <chakra.svg width="9px" height="9px" fill="currentColor" aria-hidden>
        {isPaused ? <path d="M0 0h3v9h-3ZM6 0h3v9h-3Z" /> : <path d="M0 0h9v9h-9Z" />}
      </chakra.svg>
      <chakra.span {...(isSmall && { srOnly: true })}>
        {isPaused ? 'Paused' : 'Running'}
      </chakra.span>
    </chakra.button>
  );
}

export function TopBar({ onPanel }: { onPanel: (panel: PanelName) => void }) {
  const name = useProfileStore((state) => state.profile.name);
  const { mode, toggle } = useColourMode();
  const { isSmall, isNarrow } = useScreen();
  const { undo, redo, canUndo, canRedo } = useHistory();
  const buttons = [
    { label: 'Undo', title: 'Undo (Ctrl Z)', Icon: Undo2, onClick: undo, disabled: !canUndo },
    { label: 'Redo', title: 'Redo (Ctrl Shift Z)', Icon: Redo2, onClick: redo, disabled: !canRedo },
    {
      label: mode === 'day' ? 'Night' : 'Day',
      title: 'Day and night (.)',
      Icon: mode === 'day' ? Moon : Sun,
      onClick: toggle,
    },
    {
      label: 'Settings',
      title: 'Settings (,)',
      Icon: Settings2,
      onClick: () => onPanel('settings'),
    },
  ];
  return (
    <Flex
      as="header"
      gridArea="bar"
      align="center"
      gap={isNarrow ? '8px' : '14px'}
      px={isNarrow ? '8px' : '14px'}
      minW="0"
    >
      <chakra.p fontSize="13px" fontWeight={650} minW="0" truncate>
        <Link to="/profiles" title="Profiles (9)">
          {name}
        </Link>
      </chakra.p>
      {!isNarrow && <DeskSwitch />}
      {!isNarrow && <DeskName onPanel={onPanel} />}
      <EngineState />
      <chakra.span flex="1" />
      {!isSmall && <TrialsHeld />}
      <FindingsCount onPanel={onPanel} />
      <FileTitle />
      <StoreTitle />
      <SaveStateText isShort={isNarrow} />
      <Flex>
        {buttons.map(({ label, title, Icon, onClick, disabled = false }) => (
          <BarButton
            key={label}
            variant="ghost"
            aria-label={label}
            title={title}
            disabled={disabled}
            onClick={onClick}
          >
            <Icon size={16} />
          </BarButton>
        ))}
      </Flex>
      <chakra.button
        type="button"
        display="flex"
        alignItems="center"
        justifyContent={isSmall ? 'center' : 'space-between'}
        gap="18px"
        width={isSmall ? '32px' : '190px'}
        flexShrink="0"
        height="28px"
        px={isSmall ? '0' : '10px'}
        border="1px solid"
        borderColor="hairline"
        borderRadius="edge"
        bg="sheet"
        color="slate"
        fontSize="13px"
        cursor="pointer"
        whiteSpace="nowrap"
        title="Find anything (Ctrl K)"
        onClick={() => onPanel('find')}
      >
        {isSmall && <Search size={15} aria-hidden />}
        <chakra.span {...(isSmall && { srOnly: true })}>Find anything</chakra.span>
        {!isSmall && <KeyCaps caps={['Ctrl', 'K']} />}
      </chakra.button>
    </Flex>
  );
}
