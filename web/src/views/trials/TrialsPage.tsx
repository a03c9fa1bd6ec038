import { Box, chakra, Flex } from '@chakra-ui/react';
import { linesOfTrial, type TrialLine } from '@sorn/core/simulate';
import { useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { ViewLayout } from '../../sheet/ViewLayout.tsx';
import { useProfileStore, useProfileStoreApi } from '../../state/profile-context.ts';
import { useSelection } from '../../state/selection.ts';
import { useCopied } from '../../state/slip-here.ts';
import { hasHeld, useTrialWatch } from '../../state/trial-watch.ts';
import { Bar } from '../../ui/Bar.tsx';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { Paper } from '../../ui/Paper.tsx';
import { TextButton } from '../../ui/TextButton.tsx';
import { failingTry, firstToLookAt, writtenTry } from './drawn-try.ts';
import { useTrialEdits } from './edits.ts';
import { FailureSection } from './FailureSection.tsx';
import { FiguresSection } from './FiguresSection.tsx';
import { StepSection } from './StepSection.tsx';
import { StepStrip } from './StepStrip.tsx';
import { TrialList } from './TrialList.tsx';
import { HeatSheet, TrialSheet } from './TrialSheet.tsx';
import { TrialSection } from './TrialSection.tsx';
import { useTrialKeys } from './trial-keys.ts';

/** The list of trials; below it the selected one as a strip of steps, and the desk after the selected step. */
export function TrialsPage({ pages }: { pages: ReactNode }) {
  const present = useProfileStore((state) => state.profile);
  const store = useProfileStoreApi();
  const watch = useTrialWatch.use();
  const { trials, profile: tried, isWatching } = useTrialWatch((state) => state);
  const selected = useSelection((selection) => selection.trial);
  const takeTrial = useSelection((selection) => selection.takeTrial);
  const watched = trials.find(({ trial }) => trial.id === selected) ?? trials[0] ?? null;
  const trial = watched?.trial ?? null;
  const [asked, setAsked] = useState<'written' | 'failing' | null>(null);
  const [heat, setHeat] = useState(false);
  const [wanted, setWanted] = useState<number | null>(null);
  const [adds, setAdds] = useState(false);
  const nameInput = useRef<HTMLInputElement>(null);
  const stepInput = useRef<HTMLInputElement>(null);
  const furtherInput = useRef<HTMLInputElement>(null);

  useCopied(`trial ${trial?.name ?? trial?.id}`, trial && { trial });

  const written = useMemo(() => (trial ? writtenTry(tried, trial) : null), [tried, trial]);
  const result = watched?.result ?? null;
  const report = watched?.report ?? null;
  const failing = useMemo(
    () => (trial ? failingTry(tried, trial, result, report) : null),
    [tried, trial, result, report],
  );
  const isFailing = watched !== null && result !== null && !hasHeld(watched);
  // What fails is shown first: that is what a person comes for.
  const isShort = failing !== null && (asked ?? 'failing') === 'failing';
  const drawn = isShort ? failing : written;
  const count = drawn?.steps.length ?? 0;
  const at = Math.min(wanted ?? (drawn ? firstToLookAt(drawn) : -1), count - 1);
  const here = drawn?.steps[at] ?? null;
  const lines = useMemo(() => (trial ? linesOfTrial(trial) : []), [trial]);
  // The list of steps is that of the trial as it is written; a shortest case has its own.
  const line: TrialLine | null = isShort ? null : (lines[at] ?? null);
  const groups = useMemo(() => (isShort ? [] : groupsOf(lines)), [isShort, lines]);
  const edits = useTrialEdits(trial, watched?.isOwn ?? false);

  const explain = watch.getState().explain;
  const id = trial?.id;
  const isDone = isFailing && !isWatching && !watched.isRunning;
  useEffect(() => {
    if (id !== undefined && isDone) explain(id);
  }, [explain, id, isDone]);

  const choose = (next: string) => {
    takeTrial(next);
    setWanted(null);
    setAsked(null);
    setAdds(false);
  };
  const show = (which: 'written' | 'failing') => {
    setAsked(which);
    setWanted(null);
  };
  const fixes = report?.failure?.fixes ?? [];
  const mend = (number: number) => {
    const fix = fixes[number];
    if (!fix || tried !== store.getState().profile) return;
    store.getState().edit(() => fix.profile);
    setWanted(null);
    setAsked(null);
  };

  useTrialKeys({
    trials,
    watched,
    at,
    count,
    line,
    lines,
    isShort,
    hasFailing: failing !== null,
    edits,
    nameInput,
    stepInput,
    furtherInput,
    onTrial: choose,
    onStep: setWanted,
    onShow: show,
    onAdd: setAdds,
    onHeat: () => setHeat(!heat),
    onMend: mend,
    onRun: () => id !== undefined && watch.getState().runAll(id),
    onStop: watch.getState().stop,
  });

  const state = here ?? drawn;
  return (
    <ViewLayout
      name="Trials"
      inspector={
        watched && (
          <>
            {isFailing && (
              <FailureSection
                watched={watched}
                isLooking={report === null}
                isShort={isShort}
                onShow={show}
                onMend={mend}
              />
            )}
            <StepSection
              key={`${watched.trial.id} ${isShort} ${adds ? 'new' : at}`}
              watched={watched}
              here={here}
              line={line}
              at={at}
              isShort={isShort}
              adds={adds}
              edits={edits}
              stepInput={stepInput}
              onAdd={setAdds}
              onStep={setWanted}
              lines={lines}
            />
            <TrialSection
              watched={watched}
              edits={edits}
              nameInput={nameInput}
              furtherInput={furtherInput}
              onRun={() => watch.getState().runAll(watched.trial.id)}
              onStop={watch.getState().stop}
            />
            <FiguresSection watched={watched} />
          </>
        )
      }
    >
      <Paper>
        <Box minH="120px" maxH="28%" display="flex" flexDirection="column" flexShrink="0">
          <Bar isHead>
            {pages}
            <span>Tried after every edit</span>
            <chakra.span flex="1" />
            <Flex gap="6px" align="center">
              <KeyCap>N</KeyCap>
              <TextButton onClick={() => edits.add()}>New trial</TextButton>
            </Flex>
          </Bar>
          <TrialList trials={trials} selected={trial?.id ?? null} onTrial={choose} />
        </Box>
        {drawn && trial && state && (
          <Box flex="1" minH="0" display="flex" flexDirection="column" data-drawn={drawn.title}>
            <StepStrip steps={drawn.steps} selected={at} groups={groups} onSelect={setWanted} />
            <Box flex="1" minH="0" display="grid">
              {heat && result ? (
                <HeatSheet
                  state={state}
                  result={result}
                  title={`Where windows were after ${result.tries.toLocaleString('en')} tries`}
                />
              ) : (
                <TrialSheet
                  state={state}
                  title={`${drawn.title}: ${here ? here.text : 'the desk that it begins on'}`}
                  failure={here?.failure ?? null}
                />
              )}
            </Box>
          </Box>
        )}
        {present.trials.length === 0 && (
          <chakra.p fontSize="13px" color="slate">
            No trial of your own yet: <KeyCap>N</KeyCap> begins one, and in Rehearse{' '}
            <KeyCap>&quot;</KeyCap> keeps what you did as one.
          </chakra.p>
        )}
      </Paper>
    </ViewLayout>
  );
}

/** The groups in any order, by the places of their first and last steps in the list. */
function groupsOf(lines: readonly TrialLine[]): (readonly [number, number])[] {
  const groups: [number, number][] = [];
  lines.forEach(({ place }, i) => {
    if (place.inGroup === null) return;
    if (place.inGroup === 0) groups.push([i, i]);
    else groups.at(-1)![1] = i;
  });
  return groups;
}
