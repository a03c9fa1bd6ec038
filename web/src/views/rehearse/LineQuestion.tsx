import { chakra, Flex } from '@chakra-ui/react';
import { memo } from 'react';
import { useProfileStoreApi } from '../../state/profile-context.ts';
import { perProfile } from '../../state/per-profile.ts';
import { useAllowedLines } from '../../state/allowed-lines.ts';
import { Panel } from '../../ui/Panel.tsx';
import { TextButton } from '../../ui/TextButton.tsx';

interface Asked {
  /** The command line that a key asked for, and the caps of that key; null where nothing is asked. */
  asked: { line: string; caps: readonly string[] } | null;
  ask: (asked: Asked['asked']) => void;
}

/** A command line that was not typed on this machine, and waits to be allowed. */
export const useLineQuestion = perProfile<Asked>((set) => ({
  asked: null,
  ask: (asked) => set({ asked }),
}));

/** Asks once whether a key may run a command line that came with a file. */
export const LineQuestion = memo(function LineQuestion() {
  const question = useLineQuestion.use();
  const asked = useLineQuestion((state) => state.asked);
  const store = useProfileStoreApi();
  const close = () => question.getState().ask(null);
  const allow = () => {
    if (!asked) return;
    useAllowedLines.getState().allow(asked.line);
    store.getState().note(asked.caps, 'run-line', 'it was asked first', 'the line is allowed');
    close();
  };
  return (
    <Panel title="May this key run a command line?" isOpen={asked !== null} onClose={close}>
      <chakra.p fontSize="13px" mb="10px">
        It was not typed on this machine, so it came with a file. It is asked for once.
      </chakra.p>
      <chakra.p
        fontFamily="mono"
        fontSize="12px"
        fontStretch="88%"
        p="8px"
        border="1px solid"
        borderColor="hairline"
        overflowWrap="anywhere"
        data-line
      >
        {asked?.line}
      </chakra.p>
      <Flex mt="12px" gap="16px">
        <TextButton onClick={close}>Not now</TextButton>
        <TextButton onClick={allow}>Allow this line here from now on</TextButton>
      </Flex>
    </Panel>
  );
});
