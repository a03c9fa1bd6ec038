import { chakra, Flex } from '@chakra-ui/react';
import {
  bestHoldTime,
  holdErrors,
  keyMap,
  timedPresses,
  type KeyInput,
  type TimedPress,
} from '@sorn/core/keys';
import type { Profile } from '@sorn/core/model';
import { countText, keyName } from '@sorn/core/values';
import { lazy, Suspense, useState, type KeyboardEvent } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { useProfileStore, useProfileStoreApi } from '../../state/profile-context.ts';
import { Panel } from '../../ui/Panel.tsx';
import { Choice, SettingRow } from '../../ui/SettingRow.tsx';
import { TextButton } from '../../ui/TextButton.tsx';

const HoldChart = lazy(() => import('./HoldChart.tsx'));

/** What is typed, where nobody thinks of a text of their own: with many spaces, and letters at both hands. */
const TEXT =
  'Morning bulletin. The north bowl is quiet, the wind turns to the west by noon, and two of the stations below the pass still report fresh snow on a thin crust.';

/** The keys that do one thing tapped and another held; the space bar where there is none yet. */
function dualKeys(profile: Profile): string[] {
  const codes = keyMap(profile).flatMap(({ trigger: { how, steps } }) =>
    how === 'press' ? [] : [steps[0]!.code!],
  );
  return codes.length > 0 ? [...new Set(codes)] : ['Space'];
}

/** Proves the hold time: how often typing would be taken for holding, and holding for typing. */
export function HoldTrial(props: { isOpen: boolean; onClose: () => void }) {
  return (
    <Panel title="Prove the hold time" width="640px" {...props}>
      <Trial onClose={props.onClose} />
    </Panel>
  );
}

type Part = 'typed' | 'held';

function Trial({ onClose }: { onClose: () => void }) {
  const profile = useProfileStore((state) => state.profile);
  const store = useProfileStoreApi();
  const { holdMs, legends } = profile.keys;
  const codes = dualKeys(profile);
  const names = codes.map((code) => keyName(code, legends)).join(', ');
  const [part, setPart] = useState<Part>('typed');
  const [inputs, setInputs] = useState<Record<Part, readonly KeyInput[]>>({ typed: [], held: [] });
  const pressesOf = (of: Part): TimedPress[] => timedPresses(inputs[of], new Set(codes));
  const [typed, held] = [pressesOf('typed'), pressesOf('held')];
  const errors = holdErrors(typed, held);
  const best = bestHoldTime(typed, held);
  const now = errors.reduce((near, each) =>
    Math.abs(each.holdMs - holdMs) < Math.abs(near.holdMs - holdMs) ? each : near,
  );
  const note = (event: KeyboardEvent, type: 'down' | 'up') => {
    if (event.code === 'Escape' || event.code === 'Tab') return;
    const input: KeyInput =
      type === 'up'
        ? { type, at: event.timeStamp, code: event.code }
        : { type, at: event.timeStamp, code: event.code, modifiers: [], repeat: event.repeat };
    setInputs((all) => ({ ...all, [part]: [...all[part], input] }));
  };
  const take = (ms: number) => {
    store.getState().edit((each) => ({ ...each, keys: { ...each.keys, holdMs: ms } }));
    onClose();
  };
  return (
    <>
      <chakra.p fontSize="13px" my="8px" color="slate">
        {part === 'typed'
          ? `Type this as you always do: “${TEXT}”`
          : `Hold ${names} and let it go about ten times, as you would to enter a layer.`}
      </chakra.p>
      <chakra.textarea
        key={part}
        // The panel was asked for by key, and this is what it is for.
        // eslint-disable-next-line jsx-a11y/no-autofocus
        autoFocus
        aria-label={part === 'typed' ? 'Type here' : 'Hold here'}
        width="100%"
        rows={4}
        fontSize="13px"
        p="8px"
        bg="sheet"
        border="1px solid"
        borderColor="hairline"
        autoComplete="off"
        spellCheck={false}
        onKeyDown={(event) => note(event, 'down')}
        onKeyUp={(event) => note(event, 'up')}
      />
      <SettingRow label="What is pressed is meant">
        <Choice
          label="What is pressed is meant"
          value={part}
          options={[
            { value: 'typed', text: 'to type' },
            { value: 'held', text: 'to hold' },
          ]}
          onChange={setPart}
        />
      </SettingRow>
      <chakra.p
        role="status"
        fontSize="13px"
        my="8px"
        data-typed={typed.length}
        data-held={held.length}
        data-as-holds={now.asHolds}
        data-as-taps={now.asTaps}
      >
        {names}: {countText(typed.length, 'press', 'presses')} to type and {held.length} to hold. At{' '}
        {holdMs} ms {now.asHolds} of them would be taken for holds, and {now.asTaps} for taps.
      </chakra.p>
      <chakra.div height="130px">
        <ErrorBoundary fallback={null}>
          <Suspense fallback={null}>
            <HoldChart
              errors={errors}
              holdMs={best?.holdMs ?? holdMs}
              onPick={(ms) => take(Math.round(ms / 10) * 10)}
            />
          </Suspense>
        </ErrorBoundary>
      </chakra.div>
      <chakra.p fontSize="12px" color="slate">
        Solid: taps taken for holds. Dashed: holds taken for taps. One over which another key is
        typed and let go is a hold at every time.
      </chakra.p>
      {best && (
        <Flex mt="8px" fontSize="13px" gap="8px" data-best={best.holdMs}>
          <TextButton onClick={() => take(best.holdMs)}>{`Take ${best.holdMs} ms`}</TextButton>
          <span>
            {best.asHolds} and {best.asTaps} would be mistaken then.
          </span>
        </Flex>
      )}
    </>
  );
}
