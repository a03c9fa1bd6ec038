import { Button, chakra, Flex } from '@chakra-ui/react';
import { countText } from '@sorn/core/values';
import { useEffect, useState } from 'react';
import { useLive } from '../state/live-store.ts';
import { KeyCaps } from '../ui/KeyCap.tsx';
import { usePageKeys, type PageKey } from '../ui/page-keys.ts';

/** Something that the live desk asks, with its answers. */
interface Asked {
  name: string;
  text: React.ReactNode;
  yes: { text: string; run: () => void };
  no: { text: string; run: () => void };
}

const PART_WORDS = {
  keys: 'keys',
  desks: 'desks',
  monitors: 'monitors',
  machines: 'machines',
} as const;

/** What the live desk asks now; null where it asks nothing. The most urgent comes first. */
function useAsked(): Asked | null {
  const about = useLive((live) => live.about);
  const isShown = useLive((live) => live.isShown);
  const { ask } = useLive.use().getState();
  const left = useSecondsLeft(about?.question?.left);
  const [put, setPut] = useState<string | null>(null);
  if (!about) return null;
  const { question, held, waitingLaunch } = about;
  if (question) {
    const parts = question.parts.map((part) => PART_WORDS[part]).join(' and ');
    return {
      name: 'keep',
      text: (
        <>
          Keep this? The edit changes the {parts} of the live desk. It is taken back in{' '}
          <chakra.span fontFamily="mono" data-seconds-left={left}>
            {countText(left, 'second')}
          </chakra.span>
          .
        </>
      ),
      yes: { text: 'Keep it', run: () => void ask({ ask: 'keep', isKept: true }) },
      no: { text: 'Take it back', run: () => void ask({ ask: 'keep', isKept: false }) },
    };
  }
  if (held === 'edits' && isShown)
    return {
      name: 'held',
      text: 'The profile was edited while it was rehearsed. The live desk goes on as it was.',
      yes: { text: 'Apply the edits', run: () => void ask({ ask: 'go-on', edits: 'apply' }) },
      no: { text: 'Take them back', run: () => void ask({ ask: 'go-on', edits: 'drop' }) },
    };
  if (waitingLaunch !== null && waitingLaunch !== put)
    return {
      name: 'launch',
      text: (
        <>
          Launch <chakra.code fontSize="12px">{waitingLaunch}</chakra.code> on the live desk? It is
          asked for once.
        </>
      ),
      yes: {
        text: 'Launch it, now and always',
        run: () => void ask({ ask: 'allow', line: waitingLaunch }),
      },
      no: { text: 'Not now', run: () => setPut(waitingLaunch) },
    };
  return null;
}

/** Below the top bar: a question about the live desk, and the two keys that answer it, from wherever one types. */
export function LiveBar({ hasKeys }: { hasKeys: boolean }) {
  const asked = useAsked();
  const keys: PageKey[] = asked
    ? [
        {
          keys: ['Enter'],
          ctrl: true,
          caps: ['Ctrl', 'Enter'],
          label: asked.yes.text.toLowerCase(),
          run: asked.yes.run,
        },
        {
          keys: ['Backspace'],
          ctrl: true,
          caps: ['Ctrl', 'Backspace'],
          label: asked.no.text.toLowerCase(),
          run: asked.no.run,
        },
      ]
    : [];
  usePageKeys('live question', hasKeys ? keys : []);
  if (!asked) return null;
  return (
    <Flex
      role="alert"
      align="center"
      gap="12px"
      px="14px"
      py="6px"
      minW="0"
      flexWrap="wrap"
      borderTop="1px solid"
      borderColor="vermilion"
      bg="sheet"
      fontSize="13px"
      data-live-asks={asked.name}
    >
      <chakra.span flex="1" minW="0">
        {asked.text}
      </chakra.span>
      <Button size="xs" borderRadius="edge" onClick={asked.yes.run}>
        {asked.yes.text} <KeyCaps caps={['Ctrl', 'Enter']} />
      </Button>
      <Button size="xs" variant="outline" borderRadius="edge" onClick={asked.no.run}>
        {asked.no.text} <KeyCaps caps={['Ctrl', 'Backspace']} />
      </Button>
    </Flex>
  );
}

/** Whole seconds until a time is over that was told once. */
function useSecondsLeft(left: number | undefined): number {
  const [passed, setPassed] = useState(0);
  useEffect(() => {
    if (left === undefined) return;
    const from = performance.now();
    const timer = setInterval(() => setPassed(performance.now() - from), 250);
    return () => {
      clearInterval(timer);
      setPassed(0);
    };
  }, [left]);
  return Math.max(0, Math.ceil(((left ?? 0) - passed) / 1000));
}
