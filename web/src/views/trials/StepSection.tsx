import { chakra } from '@chakra-ui/react';
import { deskInForce } from '@sorn/core/desk';
import { rulesWhy, whyHere, windowName } from '@sorn/core/engine';
import { readStepLine, type TrialLine, type TryStep } from '@sorn/core/simulate';
import { useEffect, useRef, type Ref } from 'react';
import type { WatchedTrial } from '../../state/trial-watch.ts';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { Reasons } from '../../ui/Reasons.tsx';
import { Section } from '../../ui/Section.tsx';
import { TextButton } from '../../ui/TextButton.tsx';
import { TextField } from '../../ui/TextField.tsx';
import type { TrialEdits } from './edits.ts';

const faultOf = (typed: string) => {
  const step = readStepLine(typed);
  return typeof step === 'string' ? step : null;
};

/** The step or expectation that is selected: its line, what was found instead, and why. */
export function StepSection(props: {
  watched: WatchedTrial;
  here: TryStep | null;
  line: TrialLine | null;
  lines: readonly TrialLine[];
  at: number;
  isShort: boolean;
  adds: boolean;
  edits: TrialEdits;
  stepInput: Ref<HTMLInputElement>;
  onAdd: (adds: boolean) => void;
  onStep: (at: number) => void;
}) {
  const { watched, here, line, lines, at, isShort, adds, edits, stepInput } = props;
  const canEdit = watched.isOwn && !isShort;
  const add = (typed: string) => {
    const step = readStepLine(typed);
    if (typeof step === 'string' || 'anyOrder' in step) return;
    edits.addStep(line?.place ?? null, step);
    // Behind a group, an expectation stands after its last step.
    const group = line?.place.inGroup === null ? undefined : line?.place.step;
    const last = lines.findLastIndex(({ place }) => place.step === group);
    // One more can be typed at once.
    props.onStep('expect' in step && last >= 0 ? last + 1 : at + 1);
  };
  const title = titleOf(here, canEdit && adds);
  return (
    <Section title={title} note={adds ? 'after the selected one; Esc ends it' : stepNote(line)}>
      {canEdit && line && !adds && (
        <TextField
          label={here?.expectation ? 'What is expected' : 'What is done'}
          value={line.text}
          most={4000}
          isNeeded
          faultOf={faultOf}
          inputRef={stepInput}
          onChange={(typed) => {
            const step = readStepLine(typed);
            if (typeof step !== 'string' && !('anyOrder' in step)) edits.setStep(line.place, step);
          }}
        />
      )}
      {!(canEdit && (line || adds)) && here && <chakra.p fontSize="13px">{here.text}</chakra.p>}
      {canEdit && adds && <NewStep onTake={add} onLeave={() => props.onAdd(false)} />}
      {here?.failure && (
        <chakra.p fontSize="13px" color="vermilion" fontWeight={600} mt="6px" data-found>
          {here.failure.found}
        </chakra.p>
      )}
      {here?.expectation && !here.failure && !adds && (
        <chakra.p fontSize="12.5px" color="petrol" mt="6px">
          It holds here.
        </chakra.p>
      )}
      {here?.failure && <Why here={here} />}
      {canEdit && !adds && (
        <chakra.p fontSize="12px" color="slate" mt="8px">
          <KeyCap>A</KeyCap>{' '}
          <TextButton onClick={() => props.onAdd(true)}>add a step after it</TextButton>{' '}
          {line && (
            <>
              <KeyCap>-</KeyCap> takes it out.
            </>
          )}{' '}
          {line && isAfterStep(line, lines) && (
            <>
              <KeyCap>O</KeyCap> any order with the one before.
            </>
          )}
        </chakra.p>
      )}
    </Section>
  );
}

function titleOf(here: TryStep | null, isNew: boolean): string {
  if (isNew) return 'A new step or expectation';
  if (!here) return 'It begins';
  return here.expectation ? 'Expected' : 'Step';
}

/** True of a step right after another one, or after a group: they can come in any order. */
function isAfterStep({ place, step }: TrialLine, lines: readonly TrialLine[]): boolean {
  const before = lines.findLast((each) => each.place.step === place.step - 1);
  return before !== undefined && !('expect' in step) && !('expect' in before.step);
}

function stepNote(line: TrialLine | null): string | undefined {
  return line && line.place.inGroup !== null ? 'in any order with those beside it' : undefined;
}

/** Steps are typed one after the other; nothing typed, or Escape, leaves it. */
function NewStep(props: { onTake: (typed: string) => void; onLeave: () => void }) {
  const input = useRef<HTMLInputElement>(null);
  useEffect(() => input.current?.focus(), []);
  return (
    <chakra.div
      onKeyDown={({ key }) => {
        if (key === 'Escape' || (key === 'Enter' && input.current?.value === '')) props.onLeave();
        // The field gives the keyboard away once it took a line; the next line is typed at once.
        else if (key === 'Enter') input.current?.focus();
      }}
    >
      <TextField
        label="What is done or expected next"
        value=""
        placeholder="open-app post, press Main+KeyB, post is the lead"
        most={4000}
        inputRef={input}
        faultOf={(typed) => (typed === '' ? null : faultOf(typed))}
        onChange={props.onTake}
      />
    </chakra.div>
  );
}

/** Why the windows that an expectation fails for are where they are. */
function Why({ here }: { here: TryStep }) {
  const { session, profile, failure } = here;
  const id = failure?.windows[0];
  const window = session.windows.find((each) => each.id === id);
  if (!window) return null;
  const context = { session, profile, desk: deskInForce(profile, session) };
  const ruled = rulesWhy(context, window.id).filter(
    ({ because, minor }) => because !== 'default' && !minor,
  );
  return (
    <>
      <chakra.p fontSize="12px" color="slate" mt="8px" mb="4px">
        Why is {windowName(profile, window)} here?
      </chakra.p>
      <Reasons
        reasons={[...whyHere(context, window.id), ...ruled]}
        data={{ 'data-why': window.id }}
      />
    </>
  );
}
