import { chakra, Flex } from '@chakra-ui/react';
import { memo, useEffect, useState } from 'react';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { usePageKeys } from '../../ui/page-keys.ts';
import { useProfileStore, useProfileStoreApi } from '../../state/profile-context.ts';

const PLAY_MS = 700;

/** Steps back and forth through what happened in this visit, and plays it. */
function useTimeLine() {
  const store = useProfileStoreApi();
  const count = useProfileStore((state) => state.moments.length);
  const looking = useProfileStore((state) => state.looking);
  const [isPlaying, setPlaying] = useState(false);
  const at = looking ?? count - 1;
  const goTo = (moment: number) => store.getState().lookAt(moment);
  const plays = isPlaying && at < count - 1;

  useEffect(() => {
    if (!plays) return;
    const timer = setInterval(() => store.getState().lookAt(at + 1), PLAY_MS);
    return () => clearInterval(timer);
  }, [plays, at, store]);

  return {
    at,
    count,
    plays,
    step: (by: number) => {
      setPlaying(false);
      goTo(at + by);
    },
    goTo(moment: number) {
      setPlaying(false);
      goTo(moment);
    },
    play() {
      if (!plays && at === count - 1) goTo(0);
      setPlaying(!plays);
    },
  };
}

/** The time line beneath the sheet: a mark for everything that changed the desk, the shown one filled. */
export const TimeLine = memo(function TimeLine() {
  const { at, count, plays, step, goTo, play } = useTimeLine();
  const moments = useProfileStore((state) => state.moments);
  const isPast = at < count - 1;
  usePageKeys('time-line', [
    { keys: ['['], caps: ['[', ']'], label: 'back and forth in time', run: () => step(-1) },
    { keys: [']'], label: 'a step forth in time', minor: true, run: () => step(1) },
    { keys: ['{'], label: 'the beginning', minor: true, run: () => goTo(0) },
    { keys: ['}'], label: 'the present', minor: true, run: () => goTo(count - 1) },
    { keys: [' '], caps: ['Space'], label: 'play', minor: true, run: play },
  ]);
  const button = (label: string, text: string, run: () => void, isOff = false) => (
    <chakra.button
      type="button"
      aria-label={label}
      fontFamily="mono"
      fontSize="12px"
      fontWeight={600}
      minW="26px"
      height="22px"
      border="1px solid"
      borderColor="hairline"
      color={isOff ? 'slate' : 'ink'}
      cursor="pointer"
      aria-disabled={isOff}
      onClick={run}
    >
      {text}
    </chakra.button>
  );
  return (
    <Flex
      role="group"
      aria-label="Time line"
      align="center"
      gap="6px"
      height="34px"
      px="10px"
      border="1px solid"
      borderTop="none"
      borderColor="hairline"
      bg="sheet"
      data-time={at}
    >
      {button('A step back', '‹', () => step(-1), at === 0)}
      {button('A step forth', '›', () => step(1), !isPast)}
      {button(plays ? 'Stop playing' : 'Play', plays ? '■' : '▶', play, count === 1)}
      <KeyCap>Space</KeyCap>
      <Marks at={at} count={count} onGo={goTo} />
      <chakra.span
        fontFamily="mono"
        fontSize="11px"
        color={isPast ? 'vermilion' : 'slate'}
        whiteSpace="nowrap"
      >
        {at + 1} / {count}
      </chakra.span>
      <chakra.span
        fontSize="12px"
        flex="0 1 190px"
        minW="0"
        truncate
        color={isPast ? 'ink' : 'slate'}
      >
        after {moments[at]?.text}
      </chakra.span>
    </Flex>
  );
});

const MOST_MARKS = 120;

function Marks(props: { at: number; count: number; onGo: (moment: number) => void }) {
  const { at, count } = props;
  const every = Math.ceil(count / MOST_MARKS);
  const marks = Array.from({ length: Math.ceil(count / every) }, (_, i) => i * every);
  const x = (moment: number) => `${count === 1 ? 100 : (moment / (count - 1)) * 100}%`;
  return (
    <chakra.svg
      flex="1 1 60px"
      minW="0"
      height="22px"
      overflow="visible"
      mx="8px"
      cursor="pointer"
      aria-hidden
      css={{ '& line': { stroke: 'slate' }, '& circle': { fill: 'vermilion' } }}
      onClick={(event) => {
        const { left, width } = event.currentTarget.getBoundingClientRect();
        props.onGo(Math.round(((event.clientX - left) / width) * (count - 1)));
      }}
    >
      <rect width="100%" height="22" fill="transparent" />
      <line x1="0" x2="100%" y1="11" y2="11" />
      {marks.map((moment) => (
        <line key={moment} x1={x(moment)} x2={x(moment)} y1="6" y2="16" />
      ))}
      <circle cx={x(at)} cy="11" r="4.5" />
    </chakra.svg>
  );
}
