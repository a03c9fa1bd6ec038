import { chakra } from '@chakra-ui/react';
import { commandText } from '@sorn/core/commands';
import { commandOfList, withNewChain } from '@sorn/core/keys';
import { isChainable, MOST_IN_CHAIN } from '@sorn/core/model';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useProfileStore, useProfileStoreApi } from '../../state/profile-context.ts';
import type { LogEntry } from '../../state/profile-state.ts';
import { useSelection } from '../../state/selection.ts';
import { KeyCaps } from '../../ui/KeyCap.tsx';
import { Panel } from '../../ui/Panel.tsx';
import { usePageKeys } from '../../ui/page-keys.ts';
import { takenName, TickForm } from '../../ui/TickForm.tsx';

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
  const taken = done.filter(({ number }) => !left.has(number));
  const tick = (number: number) => {
    const next = new Set(left);
    if (!next.delete(number)) next.add(number);
    setLeft(next);
  };
  const make = () => {
    if (taken.length === 0) return;
    const commands = taken.map(({ command }) => command);
    const made = withNewChain(store.getState().profile, takenName(name, UNNAMED), commands);
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
    <TickForm
      name={name}
      unnamed={UNNAMED}
      onName={setName}
      label="Presses, the last one at the end"
      lines={done.map(({ number, caps, command }) => ({
        id: number,
        isTicked: !left.has(number),
        data: { 'data-press': commandText(command) },
        children: (
          <>
            {commandText(command)}
            <KeyCaps caps={caps} />
          </>
        ),
      }))}
      onTick={(at) => tick(done[at]!.number)}
      takeText={`Make one key of ${taken.length === 1 ? 'this press' : `these ${taken.length} presses`}`}
      line="a press"
      tickText="leaves it out"
      onTake={make}
    />
  );
}

const UNNAMED = 'New chain';
