import { Box, chakra, Flex } from '@chakra-ui/react';
import { readTypedKeys } from '@sorn/core/keys';
import { keyName } from '@sorn/core/values';
import { useEffect, useRef } from 'react';
import { KeyCap, KeyCaps } from '../../ui/KeyCap.tsx';
import { TextField } from '../../ui/TextField.tsx';
import { useProfileStore } from '../../state/profile-context.ts';
import { recordedCaps, useRecorder } from './recorder.ts';

/** Over the page while keys are recorded: what they are for, and what was pressed so far. */
export function Recording() {
  const asks = useRecorder((recorder) => recorder.asks);
  const phase = useRecorder((recorder) => recorder.phase);
  if (asks === null) return null;
  return (
    <Box
      role="status"
      aria-label="Recording"
      position="fixed"
      top="96px"
      left="50%"
      transform="translateX(-50%)"
      zIndex="10"
      bg="sheet"
      border="2px solid"
      borderColor="vermilion"
      px="18px"
      py="12px"
      minW="min(380px, 92vw)"
      fontSize="13px"
    >
      <chakra.p fontWeight={650}>{asks}</chakra.p>
      {phase === 'typing' ? <Typed /> : <Pressed />}
    </Box>
  );
}

function Pressed() {
  const phase = useRecorder((recorder) => recorder.phase);
  const taken = useRecorder((recorder) => recorder.keys);
  const { steps, held, undecided } = useRecorder((recorder) => recorder.recorded);
  const captions = useProfileStore((state) => state.profile.keys);
  const { main, standIn, bundles, recordMs, legends } = captions;
  const isTaken = phase === 'taken';
  const caps = recordedCaps(isTaken ? taken : steps.join(' '), captions);
  const down = new Set([...held, ...(undecided ? [undecided.code] : [])]);
  const names = [...down].map(
    (code) => bundles.find(({ hold }) => hold === code)?.id ?? keyName(code, legends),
  );
  const isWaiting = steps.length > 0 && recordMs > 0;
  return (
    <>
      <Flex minH="30px" align="center" gap="8px" data-recorded>
        {caps.length + names.length > 0 ? (
          <KeyCaps caps={[...caps, ...names]} />
        ) : (
          <chakra.span color="slate">
            Press the keys. {standIn !== main && `${standIn} stands in for ${main}.`}
          </chakra.span>
        )}
        {isWaiting && (
          <>
            <WaitRing key={steps.length} ms={recordMs} />
            <chakra.span color="slate">a further press makes a sequence</chakra.span>
          </>
        )}
        {isTaken && (
          <chakra.span color="slate">taken; what follows at once goes nowhere</chakra.span>
        )}
      </Flex>
      <Flex color="slate" fontSize="12px" gap="6px" align="center">
        <KeyCap>Esc</KeyCap> leaves it as it was
        {steps.length === 0 && !isTaken && (
          <>
            <KeyCap>Enter</KeyCap> lets you type them, as words
          </>
        )}
      </Flex>
    </>
  );
}

const RADIUS = 7;
const AROUND = 2 * Math.PI * RADIUS;

/** A ring that runs down while a further press is waited for. */
function WaitRing({ ms }: { ms: number }) {
  const ring = useRef<SVGCircleElement>(null);
  useEffect(() => {
    const frames = [{ strokeDashoffset: 0 }, { strokeDashoffset: AROUND }];
    const running = ring.current?.animate?.(frames, { duration: ms, fill: 'forwards' });
    return () => running?.cancel();
  }, [ms]);
  return (
    <chakra.svg
      width="20px"
      height="20px"
      viewBox="0 0 20 20"
      flexShrink="0"
      aria-hidden
      data-wait={ms}
      css={{ '& circle': { fill: 'none', strokeWidth: 3 } }}
    >
      <chakra.circle cx="10" cy="10" r={RADIUS} stroke="hairline" />
      <chakra.circle
        ref={ring}
        cx="10"
        cy="10"
        r={RADIUS}
        stroke="vermilion"
        strokeDasharray={AROUND}
        transform="rotate(-90 10 10)"
      />
    </chakra.svg>
  );
}

/** The keys as words, where pressing them does not do: the system takes them, or the keyboard is another. */
function Typed() {
  const profile = useProfileStore((state) => state.profile);
  const recorder = useRecorder.use();
  const { finish, end } = recorder.getState();
  const input = useRef<HTMLInputElement>(null);
  useEffect(() => input.current?.focus(), []);
  return (
    <chakra.div
      mt="8px"
      onBlur={() => {
        // Left with nothing typed, or by the pointer: it is over.
        const { phase, end: over } = recorder.getState();
        if (phase === 'typing') over();
      }}
      onKeyDown={(event) => {
        // The field has put itself back by then.
        if (event.key === 'Escape') end();
      }}
    >
      <TextField
        label="Keys as words"
        value=""
        isNeeded
        placeholder="meta shift left, ctrl k then s, tap caps, button 4"
        inputRef={input}
        faultOf={(text) => {
          const typed = readTypedKeys(profile, text);
          return text !== '' && 'expected' in typed ? typed.expected : null;
        }}
        onChange={(text) => {
          const typed = readTypedKeys(profile, text);
          if ('keys' in typed) finish(typed.keys);
        }}
      />
    </chakra.div>
  );
}
