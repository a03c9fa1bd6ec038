import { chakra, Flex } from '@chakra-ui/react';
import { commandText } from '@sorn/core/commands';
import { commandOfList, withNewChain } from '@sorn/core/keys';
import { isChainable, MOST_IN_CHAIN } from '@sorn/core/model';
import { useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { useProfileStore, useProfileStoreApi } from '../../state/profile-context.ts';
import type { LogEntry } from '../../state/profile-state.ts';
import { useSelection } from '../../state/selection.ts';
import { KeyCap, KeyCaps } from '../../ui/KeyCap.tsx';
import { Panel } from '../../ui/Panel.tsx';
import { usePageKeys } from '../../ui/page-keys.ts';
import { TextButton } from '../../ui/TextButton.tsx';

/** How many of the last presses are ticked to begin with. */
const TICKED = 5;

/** The last presses as one key: which of them, and what they are called together. */
export function ChainFromLog() {
  const [isOpen, setOpen] = useState(false);
  usePageKeys('Chain of presses', [
    { keys: ["'"], label: 'the last presses as one key', run: () => setOpen(true) },
  ]);
  return (
    <Panel title="The last presses as one key" isOpen={isOpen} onClose={() => setOpen(false)}>
      <Presses onClose={() => setOpen(false)} />
    </Panel>
  );
}

type Done = LogEntry & { command: NonNullable<LogEntry['command']> };
const isDone = (entry: LogEntry): entry is Done =>
  entry.command !== undefined && isChainable(entry.command);

function Presses({ onClose }: { onClose: () => void }) {
  const log = useProfileStore((state) => state.log);
  const store = useProfileStoreApi();
  const selections = useSelection.use();
  const navigate = useNavigate();
  const done = log.filter(isDone).slice(-MOST_IN_CHAIN);
  const [left, setLeft] = useState<ReadonlySet<number>>(
    new Set(done.slice(0, -TICKED).map(({ number }) => number)),
  );
  const [name, setName] = useState('');
  const list = useRef<HTMLOListElement>(null);
  const taken = done.filter(({ number }) => !left.has(number));
  const tick = (number: number) => {
    const next = new Set(left);
    if (!next.delete(number)) next.add(number);
    setLeft(next);
  };
  const make = () => {
    if (taken.length === 0) return;
    const commands = taken.map(({ command }) => command);
    const called = name.trim() === '' ? 'New chain' : name.trim();
    const made = withNewChain(store.getState().profile, called, commands);
    store.getState().edit(() => made.profile);
    onClose();
    // Its keys are recorded next.
    selections.getState().bind(commandOfList('chains', made.id));
    void navigate('../keys', { relative: 'path' });
  };
  if (done.length === 0) {
    return (
      <chakra.p fontSize="13px" color="slate">
        Nothing was pressed yet that could be a part of a chain. Give the sheet the keyboard and
        press what is to become one key.
      </chakra.p>
    );
  }
  return (
    <chakra.form
      onSubmit={(event) => {
        event.preventDefault();
        make();
      }}
      onKeyDown={(event) => {
        // From a tick box, too, which sends no form by itself.
        if (event.key === 'Enter' && (event.target as HTMLInputElement).type === 'checkbox') {
          event.preventDefault();
          make();
        }
        const by = { ArrowDown: 1, ArrowUp: -1 }[event.key];
        if (by === undefined) return;
        event.preventDefault();
        const boxes = [...(list.current?.querySelectorAll('input') ?? [])];
        const at = boxes.indexOf(event.target as HTMLInputElement);
        boxes[at < 0 ? (by > 0 ? 0 : boxes.length - 1) : at + by]?.focus();
      }}
    >
      <chakra.label fontSize="13px" display="block" mb="10px">
        Its name
        <chakra.input
          // The panel was asked for by key: what it needs first is typed at once.
          // eslint-disable-next-line jsx-a11y/no-autofocus
          autoFocus
          display="block"
          width="100%"
          fontSize="14px"
          px="8px"
          py="4px"
          bg="sheet"
          border="1px solid"
          borderColor="hairline"
          placeholder="New chain"
          value={name}
          onChange={(event) => setName(event.target.value)}
        />
      </chakra.label>
      <chakra.ol ref={list} aria-label="Presses, the last one at the end">
        {done.map(({ number, caps, command }) => (
          <chakra.li key={number} listStyleType="none" data-press={commandText(command)}>
            <chakra.label display="flex" alignItems="center" gap="8px" minH="27px" fontSize="13px">
              <chakra.input
                type="checkbox"
                checked={!left.has(number)}
                onChange={() => tick(number)}
                width="15px"
                height="15px"
                accentColor="var(--sorn-colors-petrol)"
              />
              {commandText(command)}
              <KeyCaps caps={caps} />
            </chakra.label>
          </chakra.li>
        ))}
      </chakra.ol>
      <Flex mt="10px" gap="8px" align="center" fontSize="13px" wrap="wrap">
        <KeyCap>Enter</KeyCap>
        <TextButton onClick={make}>
          {`Make one key of ${taken.length === 1 ? 'this press' : `these ${taken.length} presses`}`}
        </TextButton>
        <KeyCap>↑</KeyCap>
        <KeyCap>↓</KeyCap>
        <span>a press,</span>
        <KeyCap>Space</KeyCap>
        <span>leaves it out</span>
      </Flex>
    </chakra.form>
  );
}
