import { Flex } from '@chakra-ui/react';
import { ruleFromWindow } from '@sorn/core/engine';
import { monitorName } from '@sorn/core/desk';
import { ruleSentence, textOf, withMonitorNames, withNewRule } from '@sorn/core/rules';
import { useCallback, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { ViewLayout } from '../../sheet/ViewLayout.tsx';
import { usePageKeys, type PageKey } from '../../ui/page-keys.ts';
import { useProfileStore, useProfileStoreApi, useDeskLayout } from '../../state/profile-context.ts';
import { useLive } from '../../state/live-store.ts';
import { useProposal } from '../../state/proposal.ts';
import { useSelection } from '../../state/selection.ts';
import { Sheet } from '../../sheet/Sheet.tsx';
import type { Viewport } from '../../sheet/viewport.ts';
import { AppList } from './AppList.tsx';
import { ChainFromLog } from './ChainFromLog.tsx';
import { Guide } from './Guide.tsx';
import { KeepTrial } from './KeepTrial.tsx';
import { KeyboardOwner } from './KeyboardOwner.tsx';
import { LastKey } from './LastKey.tsx';
import { LineQuestion } from './LineQuestion.tsx';
import { LiveLine } from './LiveLine.tsx';
import { Log } from './Log.tsx';
import { ChooseAppList } from './ChooseAppList.tsx';
import { ModeList } from './ModeList.tsx';
import { Picker } from './Picker.tsx';
import { PickPanel, useRoomForBoards } from './PickPanel.tsx';
import { OneAtATime } from './OneAtATime.tsx';
import { PlacingMarks } from './PlacingMarks.tsx';
import { TimeSaved } from './TimeSaved.tsx';
import { SwitchList } from './SwitchList.tsx';
import { TimeLine } from './TimeLine.tsx';
import { NextKeysList } from './NextKeysList.tsx';
import { UnknownApps } from './UnknownApps.tsx';
import { WindowReasons } from './WindowReasons.tsx';
import { useFullScreen } from './full-screen.ts';
import { WindowPull } from './WindowPull.tsx';
import { useSheetKeyboard } from './sheet-keyboard.ts';

const placingMarks = (view: Viewport) => <PlacingMarks view={view} />;
const pickPanel = (view: Viewport) => <PickPanel view={view} />;

/** The profile in use: real key presses run the commands, and the simulated windows arrange themselves. */
export function RehearseView() {
  const deskLayout = useDeskLayout();
  const store = useProfileStoreApi();
  const selected = useSelection.use();
  const proposals = useProposal.use();
  const navigate = useNavigate();
  const apps = useProfileStore((state) => state.profile.apps);
  const place = useRef<HTMLDivElement>(null);
  const roomForBoards = useRoomForBoards();
  const keyboard = useSheetKeyboard(place);
  const fullScreen = useFullScreen(place);
  const isLive = useLive((live) => live.isShown);
  const { rehearse } = useLive.use().getState();
  const giveInFull = async () => {
    if (await fullScreen.enter()) keyboard.give();
  };
  const session = useProfileStore((state) => state.session);
  const isPast = useProfileStore((state) => state.looking !== null);
  const [asked, setAsked] = useState<{ id: string; focus: string | undefined } | null>(null);
  // What was asked about stays until the focus goes elsewhere.
  const about = asked && asked.focus === session.focus ? asked.id : session.focus;
  const chooseWindow = useCallback(
    (id: string) => store.getState().happen({ type: 'window-focused', id }, [], 'pointer'),
    [store],
  );
  const askNext = (by: 1 | -1) => {
    const ids = session.windows.map(({ id }) => id);
    const at = ids.indexOf(about ?? '');
    const id = ids[(at + by + ids.length) % ids.length];
    if (id !== undefined) setAsked({ id, focus: session.focus });
  };

  const makeRule = (id: string) => {
    const { profile } = store.getState();
    const like = ruleFromWindow({ session, profile, desk: deskLayout.desk }, id);
    if (!like) return;
    // Before all others: it is what the person wants of this very window.
    const made = withNewRule(profile, like, null);
    const rule = withMonitorNames({ ...like, id: made.id }, (of) => monitorName(profile, of));
    // Shown with all open windows following the rules: what it says of others is seen before it is kept.
    proposals
      .getState()
      .proposeEdit(
        () => made.profile,
        `Make the rule “${textOf(ruleSentence(rule)).replace(/\.$/, '')}”, shown as open windows would follow it`,
        {
          shown: { type: 'command', command: { command: 'apply-rules' } },
          taken() {
            selected.getState().takeRule(made.id);
            void navigate('../rules', { relative: 'path' });
          },
        },
      );
  };

  // On the real desk its own keyboard counts.
  const ownKeys: PageKey[] = [
    {
      keys: ['Enter'],
      shift: true,
      caps: ['Shift', 'Enter'],
      label: 'the same in full screen, where more keys come through',
      minor: true,
      run: () => void giveInFull(),
    },
    {
      keys: ['Enter'],
      shift: false,
      caps: ['Enter'],
      label: isPast ? 'go on from here' : 'give the keyboard to the sheet',
      run: keyboard.give,
    },
    // The frame has this key for every view; here it is what is tried.
    { keys: [], caps: ['X'], label: 'cables and desks', summary: true, run: () => undefined },
  ];
  const liveKeys: PageKey[] = [
    {
      keys: ['r'],
      shift: true,
      caps: ['Shift', 'R'],
      label: 'rehearse this',
      run: () => void rehearse(),
    },
  ];
  usePageKeys('Rehearse', [
    ...(isLive ? liveKeys : ownKeys),
    {
      keys: ['y'],
      shift: false,
      label: 'why is this here? of the next window',
      run: () => askNext(1),
    },
    {
      keys: [';'],
      label: 'make a rule from it',
      run: () => {
        if (about !== undefined) makeRule(about);
      },
    },
    {
      keys: ['y'],
      shift: true,
      caps: ['Shift', 'Y'],
      label: 'why: the window before',
      minor: true,
      run: () => askNext(-1),
    },
    ...apps
      .filter(({ letter }) => letter !== undefined)
      .map(({ id, name, letter }) => ({
        keys: [letter!],
        label: `open ${name ?? id}`,
        minor: true,
        run: () =>
          store.getState().run({ command: 'open-app', app: id }, [letter!], `open-app ${id}`),
      })),
  ]);

  return (
    <ViewLayout
      name="Rehearse"
      inspector={
        <>
          {isLive ? <UnknownApps /> : <Guide />}
          {!isLive && <AppList />}
          <OneAtATime deskLayout={deskLayout} />
          <WindowReasons deskLayout={deskLayout} id={about} onRule={makeRule} />
          {!isLive && <TimeSaved />}
          <Log />
          {/* What is done there is done elsewhere: what happens comes first. */}
          {isLive && (
            <>
              <AppList />
              <TimeSaved />
            </>
          )}
        </>
      }
    >
      <Flex direction="column" height="100%">
        {/* A click gives the sheet the keyboard; by key, Enter does. */}
        <Flex
          ref={place}
          direction="column"
          flex="1"
          minH="0"
          // Its frame lies over the time line's edge.
          zIndex="1"
          outline="2px solid"
          outlineColor={keyboard.isGiven ? 'vermilion' : 'transparent'}
          data-keyboard={keyboard.isGiven ? 'sheet' : 'page'}
          {...(!isLive && { onClick: keyboard.give })}
        >
          {isLive ? (
            <LiveLine />
          ) : (
            <KeyboardOwner isGiven={keyboard.isGiven} locked={fullScreen.locked} />
          )}
          <WindowPull>
            <Sheet
              deskLayout={deskLayout}
              onWindow={chooseWindow}
              marks={placingMarks}
              notes={pickPanel}
              room={roomForBoards}
            />
            <LastKey />
            <Picker />
            <SwitchList />
            <ModeList />
            <ChooseAppList />
            <NextKeysList />
          </WindowPull>
        </Flex>
        <TimeLine />
        <ChainFromLog />
        {!isLive && <KeepTrial />}
        <LineQuestion />
      </Flex>
    </ViewLayout>
  );
}
