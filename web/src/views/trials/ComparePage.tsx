import { Box, chakra, Flex } from '@chakra-ui/react';
import { changeTexts } from '@sorn/core/files';
import {
  comparisonCsv,
  comparisonHtml,
  comparisonSvg,
  measuredRun,
  MEASURE_NAMES,
  type Compared,
  type MeasureName,
  type Shares,
} from '@sorn/core/simulate';
import { useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { useMoves } from '../../sheet/moves.ts';
import { TwoSheets } from '../../sheet/TwoSheets.tsx';
import { ViewLayout } from '../../sheet/ViewLayout.tsx';
import { readChosenFile } from '../../state/chosen-file.ts';
import { useProfileStore } from '../../state/profile-context.ts';
import { useProfiles, useRevisions } from '../../state/queries.ts';
import { useSelection } from '../../state/selection.ts';
import { trialsOf } from '../../state/trial-watch.ts';
import { sharesOf } from '../../state/try-pool.ts';
import { Action } from '../../ui/Action.tsx';
import { Bar } from '../../ui/Bar.tsx';
import { download, textFile } from '../../ui/download.ts';
import { FileInput } from '../../ui/FileInput.tsx';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { usePageKeys } from '../../ui/page-keys.ts';
import { Paper } from '../../ui/Paper.tsx';
import { Section } from '../../ui/Section.tsx';
import { dateText } from '../../ui/date-text.ts';
import { sideId, sideName, useSide, type Side } from './compared-side.ts';
import { DifferenceSection, MeasureSection } from './CompareFigures.tsx';
import { CompareTable } from './CompareTable.tsx';
import { SideList, type SideLine } from './SideList.tsx';

/** The same script on two profiles, revisions or files, side by side with one time line. */
export function ComparePage({ pages }: { pages: ReactNode }) {
  const id = useProfileStore((state) => state.id);
  const present = useProfileStore((state) => state.profile);
  const saved = useProfileStore((state) => state.saves.profile.revision);
  const selected = useSelection((selection) => selection.trial);
  const takeTrial = useSelection((selection) => selection.takeTrial);
  const scripts = useMemo(() => trialsOf(present).map(({ trial }) => trial), [present]);
  const script = scripts.find((each) => each.id === selected) ?? scripts[0]!;
  const [file, setFile] = useState<Extract<Side, { kind: 'file' }> | null>(null);
  const [faults, setFaults] = useState<readonly string[]>([]);
  const lines = useSideLines(id, saved, file);
  const [left, setLeft] = useState<Side>({ kind: 'now' });
  const [wanted, setWanted] = useState<string | null>(null);
  const right = (lines.find(({ side }) => sideId(side) === wanted) ?? lines[1] ?? lines[0]!).side;
  const [at, setAt] = useState(0);
  const [measure, setMeasure] = useState<MeasureName>('moved');
  const fileInput = useRef<HTMLInputElement>(null);

  const one = useSide(left);
  const other = useSide(right);
  const compared = useMemo(
    (): Compared | null =>
      one && other
        ? {
            script: script.name ?? script.id,
            names: [sideName(left), sideName(right)],
            runs: [measuredRun(one, script), measuredRun(other, script)],
          }
        : null,
    [one, other, script, left, right],
  );
  const [found, setFound] = useState<{ of: Compared; shares: Shares } | null>(null);
  useEffect(() => {
    if (!compared || !one || !other) return;
    const running = sharesOf({ before: one, after: other, trial: script }, (shares) =>
      setFound({ of: compared, shares }),
    );
    return running.cancel;
  }, [compared, one, other, script]);
  const shares = found && found.of === compared ? found.shares : null;
  const changes = useMemo(() => (one && other ? changeTexts(one, other) : []), [one, other]);

  const count = compared
    ? Math.max(compared.runs[0].steps.length, compared.runs[1].steps.length)
    : 1;
  const step = Math.min(at, count - 1);
  const goSide = (by: 1 | -1) => {
    const here = lines.findIndex(({ side }) => sideId(side) === sideId(right));
    const next = lines[here + by];
    if (next) setWanted(sideId(next.side));
  };
  const goScript = (by: 1 | -1) => {
    const next = scripts[scripts.indexOf(script) + by];
    if (!next) return;
    takeTrial(next.id);
    setAt(0);
  };
  const goMeasure = (by: number) => {
    const places = MEASURE_NAMES.length;
    setMeasure(MEASURE_NAMES[(MEASURE_NAMES.indexOf(measure) + by + places) % places]!);
  };
  const read = async (files: FileList | null) => {
    const chosen = files?.[0];
    if (!chosen) return;
    const result = await readChosenFile(
      chosen,
      present.keys.bundles.map((bundle) => bundle.id),
    );
    if (!result.file?.isWhole) {
      setFaults(
        result.file
          ? [`${chosen.name} is a part of a profile; expected a whole one`]
          : result.faults,
      );
      return;
    }
    setFaults([]);
    const side = { kind: 'file', name: chosen.name, profile: result.file.profile } as const;
    setFile(side);
    setWanted(sideId(side));
  };
  const save = (text: string, type: string, ending: string) =>
    download(`${script.id}-comparison.${ending}`, textFile(text, type));
  const saves = {
    csv: () => compared && save(comparisonCsv(compared), 'text/csv', 'csv'),
    svg: () => compared && save(comparisonSvg(compared, measure), 'image/svg+xml', 'svg'),
    html: () => compared && save(comparisonHtml(compared, measure, shares), 'text/html', 'html'),
  };
  usePageKeys('Compare', [
    { keys: ['ArrowUp'], caps: ['↑', '↓'], label: 'with what', run: () => goSide(-1) },
    { keys: ['ArrowDown'], label: 'the next to compare with', minor: true, run: () => goSide(1) },
    {
      keys: ['ArrowLeft'],
      caps: ['←', '→'],
      label: 'step',
      run: () => setAt(Math.max(0, step - 1)),
    },
    {
      keys: ['ArrowRight'],
      label: 'next step',
      minor: true,
      run: () => setAt(Math.min(count - 1, step + 1)),
    },
    { keys: ['['], caps: ['[', ']'], label: 'script', run: () => goScript(-1) },
    { keys: [']'], label: 'next script', minor: true, run: () => goScript(1) },
    { keys: ['l'], shift: false, label: 'put it on the left', run: () => setLeft(right) },
    { keys: ['m'], shift: false, label: 'measure', run: () => goMeasure(1) },
    {
      keys: ['m'],
      shift: true,
      caps: ['Shift', 'M'],
      label: 'the measure before',
      minor: true,
      run: () => goMeasure(-1),
    },
    { keys: ['f'], label: 'a file', run: () => fileInput.current?.click() },
    { keys: ['c'], label: 'save as CSV', run: saves.csv },
    { keys: ['g'], label: 'save the drawing', minor: true, run: saves.svg },
    { keys: ['h'], label: 'save as a page', minor: true, run: saves.html },
  ]);

  return (
    <ViewLayout
      name="Trials"
      inspector={
        <>
          <Section title={script.name ?? script.id} note="the script, on both">
            <chakra.p fontSize="12.5px" color="slate">
              <KeyCap>[</KeyCap> <KeyCap>]</KeyCap> another one. Left: {sideName(left)}. Right:{' '}
              {sideName(right)}.
            </chakra.p>
          </Section>
          {compared && (
            <MeasureSection compared={compared} measure={measure} step={step} onStep={setAt} />
          )}
          {compared && (
            <DifferenceSection
              compared={compared}
              measure={measure}
              shares={shares}
              changes={changes.length}
            />
          )}
          <Section title="Save the comparison">
            <Action cap="C" text="The table as CSV" onClick={saves.csv} />
            <Action cap="G" text="The drawing as SVG" onClick={saves.svg} />
            <Action cap="H" text="All of it as a page" onClick={saves.html} />
          </Section>
        </>
      }
    >
      <Paper>
        <Box minH="90px" maxH="22%" display="flex" flexDirection="column" flexShrink="0">
          <Bar isHead>
            {pages}
            <span>{sideName(left)} on the left, compared with</span>
            <chakra.span flex="1" />
            <KeyCap>F</KeyCap>
            <Box width="200px">
              <FileInput
                label="A profile in a file"
                accept=".yaml,.yml,.toml,.json"
                inputRef={fileInput}
                onFiles={(files) => void read(files)}
              />
            </Box>
          </Bar>
          {faults.length > 0 && (
            <chakra.p role="alert" fontSize="12.5px" color="vermilion">
              {faults[0]}
            </chakra.p>
          )}
          <SideList
            lines={lines}
            selected={sideId(right)}
            onSide={(side) => setWanted(sideId(side))}
          />
        </Box>
        {compared ? (
          <ComparedDesks compared={compared} step={step} onStep={setAt} measure={measure} />
        ) : (
          <chakra.p fontSize="13px" color="slate" role="status">
            Reading it …
          </chakra.p>
        )}
      </Paper>
    </ViewLayout>
  );
}

/** All that can be compared with: as it is now, saved states, other profiles, a file. */
function useSideLines(
  id: string,
  saved: number,
  file: Extract<Side, { kind: 'file' }> | null,
): readonly SideLine[] {
  const revisions = useRevisions(id, saved).data?.revisions;
  const profiles = useProfiles().data;
  return useMemo(
    () => [
      { side: { kind: 'now' }, when: '', says: 'the profile as it is' },
      ...(file ? [{ side: file, when: '', says: 'a file' }] : []),
      ...(revisions ?? [])
        .filter(({ revision }) => revision !== saved)
        .map(({ revision, savedAt, label, changes }): SideLine => ({
          side: { kind: 'revision', revision },
          when: dateText(savedAt),
          says: saysOf(label, changes),
        })),
      ...(profiles ?? [])
        .filter((profile) => profile.id !== id)
        .map((profile): SideLine => ({
          side: { kind: 'profile', id: profile.id, name: profile.name },
          when: '',
          says: 'another profile',
        })),
    ],
    [file, revisions, saved, profiles, id],
  );
}

function saysOf(label: string | undefined, changes: readonly string[]): string {
  const [first = 'as it was at first', second] = changes;
  const changed = second === undefined ? first : `${first}; ${second}`;
  return label === undefined ? changed : `${label}: ${changed}`;
}

/** Both desks after a step, and the figures of all steps. */
function ComparedDesks(props: {
  compared: Compared;
  step: number;
  measure: MeasureName;
  onStep: (at: number) => void;
}) {
  const { compared, step } = props;
  const [one, other] = compared.runs.map(({ steps }) => steps[Math.min(step, steps.length - 1)]!);
  const moves = useMoves(one!, other!);
  const after = step === 0 ? 'at the beginning' : `after step ${step}`;
  return (
    <Flex direction="column" flex="1" minH="0" gap="10px" data-moves={moves.length}>
      <Box flex="1" minH="180px" display="flex">
        <TwoSheets
          before={one!}
          after={other!}
          titles={[`${compared.names[0]} ${after}`, `${compared.names[1]} ${after}`]}
          moves={moves}
        />
      </Box>
      <CompareTable {...props} />
    </Flex>
  );
}
