import { chakra } from '@chakra-ui/react';
import type { Trial } from '@sorn/core/model';
import {
  expectationText,
  keptSteps,
  offeredExpectations,
  pressesIn,
  stepLine,
  withNewTrial,
  type Recorded,
} from '@sorn/core/simulate';
import { countText } from '@sorn/core/values';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { recordOf } from '../../state/desk-record.ts';
import type { Moment } from '../../state/moments.ts';
import { simulatedOf } from '../../state/per-profile.ts';
import { useProfileStoreApi } from '../../state/profile-context.ts';
import type { ProfileStore } from '../../state/profile-state.ts';
import { useSelection } from '../../state/selection.ts';
import { Panel } from '../../ui/Panel.tsx';
import { usePageKeys } from '../../ui/page-keys.ts';
import { takenName, TickForm } from '../../ui/TickForm.tsx';

/** Keeps what was done, from the moment that is looked at to now, as a trial. */
export function KeepTrial() {
  const [isOpen, setOpen] = useState(false);
  usePageKeys('Keep as a trial', [
    { keys: ['"'], label: 'keep it as a trial', run: () => setOpen(true) },
  ]);
  return (
    <Panel title="Keep what was done as a trial" isOpen={isOpen} onClose={() => setOpen(false)}>
      <Kept onClose={() => setOpen(false)} />
    </Panel>
  );
}

/** What was done, and the moments that it is done from and to. */
interface Stretch {
  from: Moment;
  to: Moment;
  recorded: readonly Recorded[];
}

/** From the moment that is looked at, else from the first one from which all that was done is known. */
function stretchOf(
  { moments, looking }: ProfileStore,
  since: (moment: Moment) => readonly Recorded[] | null,
): Stretch | null {
  const from = looking === null ? moments.find((moment) => since(moment)) : moments[looking];
  const recorded = from ? since(from) : null;
  return from && recorded ? { from, to: moments.at(-1)!, recorded } : null;
}

function Kept({ onClose }: { onClose: () => void }) {
  const store = simulatedOf(useProfileStoreApi());
  const [stretch] = useState(() =>
    stretchOf(store.getState(), ({ session }) => recordOf(store)?.since(session) ?? null),
  );
  if (!stretch || stretch.recorded.length === 0) {
    return (
      <chakra.p fontSize="13px" color="slate">
        {stretch
          ? 'Nothing was done yet since then. Give the sheet the keyboard and do what is to hold every day.'
          : 'What was done since then is not known any more: the time line was gone back on. Choose a later moment with [ and ].'}
      </chakra.p>
    );
  }
  return <KeepForm stretch={stretch} onClose={onClose} />;
}

function KeepForm({ stretch, onClose }: { stretch: Stretch; onClose: () => void }) {
  const store = simulatedOf(useProfileStoreApi());
  const selections = useSelection.use();
  const navigate = useNavigate();
  const { from, to, recorded } = stretch;
  const [profile] = useState(store.getState().profile);
  const kept = useMemo(
    () => keptSteps(profile, from.session, recorded, to.session),
    [profile, from, recorded, to],
  );
  const offered = useMemo(
    () => offeredExpectations(profile, from.session, to.session, pressesIn(recorded)),
    [profile, from, recorded, to],
  );
  const [ticked, setTicked] = useState<ReadonlySet<number>>(
    () => new Set(offered.flatMap(({ isLikely }, i) => (isLikely ? [i] : []))),
  );
  const [name, setName] = useState('');
  const tick = (at: number) => {
    const next = new Set(ticked);
    if (!next.delete(at)) next.add(at);
    setTicked(next);
  };
  const keep = () => {
    const expected = offered.flatMap(({ expects }, i) =>
      ticked.has(i) ? [{ expect: expects }] : [],
    );
    const trial: Partial<Trial> & { name: string } = {
      name: takenName(name, UNNAMED),
      session: kept.session,
      steps: [...kept.steps, ...expected],
    };
    const made = withNewTrial(store.getState().profile, trial);
    store.getState().edit(() => made.profile);
    onClose();
    selections.getState().takeTrial(made.id);
    void navigate('../trials', { relative: 'path' });
  };
  return (
    <TickForm
      name={name}
      unnamed={UNNAMED}
      onName={setName}
      label="What can be expected"
      lines={offered.map(({ expects }, i) => {
        const text = expectationText(expects);
        return {
          id: text,
          isTicked: ticked.has(i),
          data: { 'data-offered': text },
          children: text,
        };
      })}
      onTick={tick}
      takeText={`Keep it with ${countText(ticked.size, 'expectation')}`}
      line="an expectation"
      tickText="ticks it"
      onTake={keep}
    >
      <chakra.p fontSize="12.5px" color="slate" data-kept-steps={kept.steps.length}>
        From “{from.text}” to now, {countText(kept.steps.length, 'step')}:{' '}
        {kept.steps.map(stepLine).join(' · ')}
      </chakra.p>
      {kept.differences.length > 0 && (
        <chakra.p role="alert" fontSize="12.5px" color="vermilion" mt="6px">
          Done again by itself it ends otherwise: {kept.differences[0]}
          {kept.differences.length > 1 && `, and ${kept.differences.length - 1} more`}. Something
          else was changed meanwhile, perhaps the profile.
        </chakra.p>
      )}
      <chakra.p fontSize="13px" fontWeight={650} mt="12px" mb="4px">
        Then it must hold that
      </chakra.p>
    </TickForm>
  );
}

const UNNAMED = 'What was done';
