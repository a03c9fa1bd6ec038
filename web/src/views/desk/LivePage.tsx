import type { LiveAbout, LiveLatency } from '@sorn/api';
import { Box, chakra, Flex, Grid } from '@chakra-ui/react';
import { withMonitorKnownAs } from '@sorn/core/desk';
import { countText } from '@sorn/core/values';
import { useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { Sheet } from '../../sheet/Sheet.tsx';
import { ViewLayout } from '../../sheet/ViewLayout.tsx';
import { useLive } from '../../state/live-store.ts';
import {
  ProfileContext,
  useDeskLayout,
  useProfileStore,
  useProfileStoreApi,
} from '../../state/profile-context.ts';
import { KeyCap, KeyCaps } from '../../ui/KeyCap.tsx';
import { selectingKeys, usePageKeys } from '../../ui/page-keys.ts';
import { Section } from '../../ui/Section.tsx';
import { TextButton } from '../../ui/TextButton.tsx';

type RealMonitor = LiveAbout['monitors'][number];
const NONE: readonly RealMonitor[] = [];

const STATE_WORDS: Record<LiveAbout['state'], string> = {
  running: 'it arranges the windows',
  paused: 'the engine is paused',
  out: 'out of the way: windows are where they were',
  waiting: 'not there; it is started again',
  stopped: 'stopped by hand',
};

/** What the agent can, in words. */
const CAN_WORDS: Readonly<Record<string, string>> = {
  keys: 'listens for keys',
  'keys-whole': 'takes the whole keyboard',
  buttons: 'mouse buttons',
  above: 'windows above others',
  'full-screen': 'full screen',
  launch: 'launches apps',
  close: 'closes windows',
  border: 'draws the focus frame',
  identify: 'monitors show themselves',
  pictures: 'pictures of windows',
  workspaces: 'tells panels of workspaces',
};

/** The live desk: who arranges it, its monitors beside the profile's, how long it takes, and the ways in and out. */
export function LivePage({ pages, onOther }: { pages: ReactNode; onOther: () => void }) {
  const live = useLive((state) => state.store);
  const about = useLive((state) => state.about);
  const monitors = about?.monitors ?? NONE;
  const [chosen, setChosen] = useState<string | null>(null);
  const monitor = monitors.find(({ name }) => name === chosen) ?? monitors[0] ?? null;
  const ways = useWays(about, monitor);
  const goTo = (by: 1 | -1) => {
    const next = monitors[(monitor ? monitors.indexOf(monitor) : 0) + by];
    if (next) setChosen(next.name);
  };
  usePageKeys('Live', [
    ...selectingKeys(goTo),
    ...ways.map(({ key, label, run }) => ({ keys: [key], label, run })),
    { keys: ['w'], label: 'monitors', minor: true, run: onOther },
  ]);
  return (
    <ViewLayout
      name="Live"
      inspector={
        <>
          {pages}
          {about ? (
            <>
              <Agent about={about} ways={ways} />
              <Times />
              <LiveFindings findings={about.findings} />
            </>
          ) : (
            <NoAgent />
          )}
        </>
      }
    >
      <Flex direction="column" height="100%">
        <Flex flex="1" minH="0" direction="column">
          {live ? (
            <ProfileContext value={live}>
              <LiveSheet />
            </ProfileContext>
          ) : (
            <LiveSheet />
          )}
        </Flex>
        {about && (
          <MonitorList monitors={monitors} chosen={monitor} ways={ways} onChoose={setChosen} />
        )}
      </Flex>
    </ViewLayout>
  );
}

function LiveSheet() {
  return <Sheet deskLayout={useDeskLayout()} />;
}

interface Way {
  key: string;
  label: string;
  /** What the button says. */
  text: string;
  of: 'agent' | 'monitor';
  run: () => void;
}

/** What can be done with the live desk from here, each by one key. */
function useWays(about: LiveAbout | null, monitor: RealMonitor | null): Way[] {
  const live = useLive.use();
  const store = useProfileStoreApi();
  const navigate = useNavigate();
  const { ask } = live.getState();
  if (!about) return [];
  const { state, hasPictures, agent } = about;
  const can = (what: string) => agent?.can.includes(what) === true;
  const isStopped = state === 'stopped';
  const isOut = state === 'out';
  /** The profile's next monitor is taken for the one that is selected. */
  function matchNext() {
    if (!monitor) return;
    const ids = store.getState().profile.monitors.map(({ id }) => id);
    const next = ids[(ids.indexOf(monitor.id) + 1) % ids.length];
    if (next === undefined) return;
    store.getState().edit((profile) => withMonitorKnownAs(profile, next, monitor.device));
  }
  const ways: (Way | null)[] = [
    {
      key: 's',
      label: 'stop or start the agent',
      text: isStopped ? 'Start the agent' : 'Stop the agent; it shows every window first',
      of: 'agent',
      run: () => void ask({ ask: isStopped ? 'start' : 'stop' }),
    },
    isStopped || state === 'waiting'
      ? null
      : {
          key: 'o',
          label: 'the way out and back',
          text: isOut
            ? 'Let the engine come back'
            : 'The way out: every window where it was before',
          of: 'agent',
          run: () => void ask({ ask: 'out' }),
        },
    {
      key: 'r',
      label: 'rehearse this',
      text: 'Rehearse this: take it over into the simulated desk',
      of: 'agent',
      run() {
        void live
          .getState()
          .rehearse()
          .then(() => navigate('../rehearse', { relative: 'path' }));
      },
    },
    can('pictures')
      ? {
          key: 'p',
          label: 'pictures of windows',
          text: hasPictures
            ? 'Show no pictures of windows any more'
            : 'Show pictures of windows; none is kept',
          of: 'agent',
          run: () => void ask({ ask: 'pictures', isOn: !hasPictures }),
        }
      : null,
    monitor && {
      key: 'm',
      label: 'match by hand',
      text: 'is the next monitor of the profile',
      of: 'monitor',
      run: matchNext,
    },
    monitor && can('identify')
      ? {
          key: 'i',
          label: 'which one is it',
          text: 'shows its name on itself',
          of: 'monitor',
          run: () => void ask({ ask: 'identify', monitor: monitor.name }),
        }
      : null,
  ];
  return ways.filter((way) => way !== null);
}

function Agent({ about, ways }: { about: LiveAbout; ways: readonly Way[] }) {
  const { agent, state } = about;
  return (
    <Section title="Agent" note={agent ? `${agent.name} ${agent.version}` : 'none yet'}>
      <chakra.p
        fontSize="13px"
        mb="4px"
        color={state === 'running' ? 'ink' : 'vermilion'}
        data-agent-state={state}
      >
        {STATE_WORDS[state]}
      </chakra.p>
      {agent && (
        <chakra.p fontSize="12px" color="slate" mb="8px">
          It can: {agent.can.map((word) => CAN_WORDS[word] ?? word).join(', ')}.
        </chakra.p>
      )}
      {ways
        .filter(({ of }) => of === 'agent')
        .map(({ key, text, run }) => (
          <Flex key={key} gap="8px" minH="26px" align="center">
            <KeyCap>{key.toUpperCase()}</KeyCap>
            <TextButton onClick={run}>{text}</TextButton>
          </Flex>
        ))}
      <Flex gap="8px" minH="26px" align="center" fontSize="12px" color="slate" flexWrap="wrap">
        <KeyCaps caps={['Ctrl', 'Alt', 'Shift', 'Esc']} /> the way out on the real keyboard, always
      </Flex>
    </Section>
  );
}

/** How long rounds take: figures, and a bar for each of the last ones. */
function Times() {
  const latency = useLive((state) => state.latency);
  return (
    <Section title="Time for a change" note="of the last 200">
      {latency ? (
        <>
          <Grid templateColumns="1fr auto auto" columnGap="14px" fontSize="12px" rowGap="2px">
            <span />
            <chakra.span color="slate">median</chakra.span>
            <chakra.span color="slate">99 of 100</chakra.span>
            {(['decided', 'done'] as const).map((part) => (
              <TimeRow key={part} part={part} latency={latency} />
            ))}
          </Grid>
          <TimeBars last={latency.last} />
        </>
      ) : (
        <chakra.p fontSize="13px" color="slate">
          Nothing was arranged yet.
        </chakra.p>
      )}
    </Section>
  );
}

const TIME_WORDS = { decided: 'until it is told', done: 'until windows stand' } as const;
const ms = (value: number) => `${value.toFixed(value < 10 ? 1 : 0)} ms`;

function TimeRow({ part, latency }: { part: 'decided' | 'done'; latency: LiveLatency }) {
  const { median, most } = latency[part];
  return (
    <>
      <span>{TIME_WORDS[part]}</span>
      <chakra.span fontFamily="mono" fontSize="11px" textAlign="right" data-median={part}>
        {ms(median)}
      </chakra.span>
      <chakra.span fontFamily="mono" fontSize="11px" textAlign="right">
        {ms(most)}
      </chakra.span>
    </>
  );
}

const BAR = 5;
const HEIGHT = 44;

function TimeBars({ last }: { last: readonly number[] }) {
  const most = Math.max(1, ...last);
  return (
    <Box mt="8px" color="petrol">
      <svg
        width="100%"
        height={HEIGHT}
        viewBox={`0 0 ${60 * BAR} ${HEIGHT}`}
        preserveAspectRatio="none"
        role="img"
        aria-label={`The last ${countText(last.length, 'change')}: at most ${ms(most)}`}
        fill="currentColor"
      >
        <rect y={HEIGHT - 1} width="100%" height="1" />
        {last.map((time, i) => {
          const height = Math.max(1, (time / most) * (HEIGHT - 2));
          const x = (60 - last.length + i) * BAR;
          return <rect key={i} x={x} y={HEIGHT - height} width={BAR - 1} height={height} />;
        })}
      </svg>
      <chakra.p fontSize="11px" color="slate">
        the tallest is {ms(most)}
      </chakra.p>
    </Box>
  );
}

function LiveFindings({ findings }: { findings: LiveAbout['findings'] }) {
  return (
    <Section title="Findings" note="of the live desk">
      {findings.length === 0 && (
        <chakra.p fontSize="13px" color="slate">
          None: everything stands as it is told.
        </chakra.p>
      )}
      <chakra.ul fontSize="13px">
        {findings.map(({ text }) => (
          <chakra.li key={text} mb="4px" pl="10px" borderLeft="2px solid" borderColor="vermilion">
            {text}
          </chakra.li>
        ))}
      </chakra.ul>
    </Section>
  );
}

function NoAgent() {
  return (
    <Section title="No desk is live">
      <chakra.p fontSize="13px" mb="8px">
        An agent lets the engine arrange real windows, so that you work with what you set up here.
        It is named when Sorn is started:
      </chakra.p>
      <chakra.p fontFamily="mono" fontSize="12px" fontStretch="88%" mb="8px">
        npm start -- --agent stand-in
      </chakra.p>
      <chakra.p fontSize="12px" color="slate">
        That one arranges a stand-in desktop, to try. docs/live.md tells the rest.
      </chakra.p>
    </Section>
  );
}

/** The connected monitors, each beside the one of the profile that it is taken for. */
function MonitorList(props: {
  monitors: readonly RealMonitor[];
  chosen: RealMonitor | null;
  ways: readonly Way[];
  onChoose: (name: string) => void;
}) {
  const known = useProfileStore((state) => state.profile.monitors);
  const nameOf = (id: string) => known.find((each) => each.id === id)?.name ?? id;
  return (
    <Box
      as="section"
      aria-label="Connected monitors"
      bg="sheet"
      borderTop="1px solid"
      borderColor="ink"
    >
      <Flex align="center" gap="8px" px="10px" py="5px" color="slate" fontSize="12px">
        <chakra.span fontWeight={650} color="ink">
          Connected monitors
        </chakra.span>
        <span>and which of the profile’s each is</span>
        <Box flex="1" />
        {props.ways
          .filter(({ of }) => of === 'monitor')
          .map(({ key, label }) => (
            <Flex key={key} gap="4px" align="center">
              <KeyCap>{key.toUpperCase()}</KeyCap> {label}
            </Flex>
          ))}
      </Flex>
      {props.monitors.length === 0 && (
        <chakra.p fontSize="13px" px="10px" pb="8px" color="slate">
          None is connected: every window waits as it is.
        </chakra.p>
      )}
      <chakra.ul css={MONITOR_LINES}>
        {props.monitors.map((monitor) => {
          const { name, id, by, width, height, x, y } = monitor;
          return (
            <li
              key={name}
              data-real-monitor={name}
              data-is={id}
              data-selected={monitor === props.chosen}
            >
              <button type="button" onClick={() => props.onChoose(name)}>
                {name}
              </button>
              <span>{by === 'nothing' ? 'none of the profile’s' : nameOf(id)}</span>
              <span className="quiet">
                {by === 'nothing' ? 'it has the defaults' : `known by ${by}`}
              </span>
              <span className="figures">
                {width} × {height} at {x}, {y}
              </span>
            </li>
          );
        })}
      </chakra.ul>
    </Box>
  );
}

const MONITOR_LINES = {
  '& li': {
    display: 'grid',
    gridTemplateColumns: 'minmax(0, 1fr) minmax(0, 1fr) minmax(0, 1fr) 215px',
    alignItems: 'center',
    gap: '8px',
    minHeight: '30px',
    paddingInline: '7px',
    listStyleType: 'none',
    fontSize: '13px',
    borderLeft: '3px solid transparent',
    borderTop: '1px solid',
    borderTopColor: 'hairline',
  },
  '& li[data-selected=true]': { bg: 'petrol.wash', borderLeftColor: 'petrol' },
  '& button': { textAlign: 'left', cursor: 'pointer' },
  '& .quiet': { color: 'slate', fontSize: '12px' },
  '& .figures': { fontFamily: 'mono', fontSize: '11px', color: 'slate', textAlign: 'right' },
} as const;
