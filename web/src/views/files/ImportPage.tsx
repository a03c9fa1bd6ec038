import { chakra, Flex } from '@chakra-ui/react';
import { SECTION_NAMES } from '@sorn/core/files';
import { countText, faultText } from '@sorn/core/values';
import { useMemo, useRef, useState, type ReactNode } from 'react';
import { ViewLayout } from '../../sheet/ViewLayout.tsx';
import { Bar } from '../../ui/Bar.tsx';
import { FileInput } from '../../ui/FileInput.tsx';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { Paper } from '../../ui/Paper.tsx';
import { Section } from '../../ui/Section.tsx';
import { usePageKeys } from '../../ui/page-keys.ts';
import { useProfileStoreApi } from '../../state/profile-context.ts';
import { readChosenFile, type ChosenFile } from '../../state/chosen-file.ts';
import { useComparison } from '../../state/comparison.ts';
import { useImportPlan } from '../../state/import-plan.ts';
import { Action } from '../../ui/Action.tsx';
import { ChangeList } from './ChangeList.tsx';
import { Difference } from './Difference.tsx';
import { ImportTable } from './ImportTable.tsx';
import { newFindings } from './new-findings.ts';
import { TrialsThen } from './TrialsThen.tsx';

/** What a file would bring, thing by thing, before any of it is taken. */
export function ImportPage({ pages }: { pages: ReactNode }) {
  const store = useProfileStoreApi();
  const [brought, setBrought] = useState<ChosenFile | null>(null);
  const [at, setAt] = useState(0);
  const [said, setSaid] = useState('');
  const input = useRef<HTMLInputElement>(null);

  const plan = useImportPlan(brought);
  const { profile, items, takings, made, next, count, isTextNews, tick, tickAll } = plan;
  const { now, then } = useComparison(next);
  const found = useMemo(() => (next ? newFindings(profile, next) : []), [profile, next]);
  const here = items[Math.min(at, items.length - 1)];

  async function read(files: FileList | null) {
    const chosen = files?.[0];
    if (!chosen) return;
    const { bundles } = store.getState().profile.keys;
    const result = await readChosenFile(
      chosen,
      bundles.map(({ id }) => id),
    );
    setBrought(result);
    setAt(0);
    setSaid('');
  }
  const both = () => plan.setBeside(here);
  const take = () => {
    if (!plan.take()) return;
    const things = count > 0 ? countText(count, 'thing') : 'The comments';
    setSaid(`${things} taken from ${brought!.name}. Ctrl Z takes it back.`);
    setBrought(null);
  };
  const choose = () => {
    input.current?.focus();
    input.current?.click();
  };
  const move = (by: 1 | -1) =>
    setAt((former) => Math.min(Math.max(0, items.length - 1), Math.max(0, former + by)));
  usePageKeys('Import', [
    { keys: ['f'], label: 'choose a file', run: choose },
    { keys: ['ArrowUp'], caps: ['↑', '↓'], label: 'thing', run: () => move(-1) },
    { keys: ['ArrowDown'], label: 'next thing', minor: true, run: () => move(1) },
    { keys: [' '], caps: ['Space'], label: 'tick', run: () => tick(here) },
    { keys: ['a'], label: 'all or none', run: () => tickAll(items) },
    {
      keys: ['p'],
      label: 'its section',
      run: () => tickAll(items.filter(({ section }) => section === here?.section)),
    },
    { keys: ['g'], label: 'beside mine', minor: true, run: both },
    { keys: ['Enter'], label: 'take what is ticked', run: take },
  ]);

  return (
    <ViewLayout
      name="Files"
      inspector={
        <>
          <Section title="A file" note="a profile, sections of one, a slip, or a table">
            <Flex align="center" gap="8px">
              <KeyCap>F</KeyCap>
              <FileInput
                label="File to bring in"
                accept=".yaml,.yml,.toml,.json,.csv,.svg"
                inputRef={input}
                onFiles={(files) => void read(files)}
              />
            </Flex>
            <chakra.p fontSize="12.5px" color="slate" mt="6px">
              YAML, TOML or JSON of any version so far; rules or keys as CSV; a board or layout
              drawn as SVG.
            </chakra.p>
            <chakra.p fontSize="12.5px" color="slate" mt="6px">
              What was copied is pasted on any page: <KeyCap>Ctrl</KeyCap> <KeyCap>V</KeyCap>
            </chakra.p>
            <chakra.p role="status" fontSize="13px" mt="6px" data-import-said>
              {said}
            </chakra.p>
          </Section>
          {here && (
            <>
              <Section title={here.text} note={SECTION_NAMES[here.section].title.toLowerCase()}>
                {here.kind === 'added' ? (
                  <chakra.p fontSize="12.5px">It is not here yet.</chakra.p>
                ) : (
                  <ChangeList label="What it changes" changes={here.details} />
                )}
                {here.canBoth && (
                  <Action
                    cap="G"
                    text={takings.get(here.id) === 'both' ? 'In the place of mine' : 'Beside mine'}
                    says="under another id"
                    onClick={both}
                  />
                )}
              </Section>
              <Section title="Take" note="one step; undo takes it back">
                <Action cap="Enter" text={`Take ${count} of ${items.length}`} onClick={take} />
                {made?.ok === false && (
                  <ChangeList label="Faults" changes={made.faults.map(faultText)} />
                )}
              </Section>
              <TrialsThen next={next} />
              <Section title="Problems this would cause" note="by the checkup">
                <ChangeList label="Problems this would cause" changes={found} />
              </Section>
            </>
          )}
        </>
      }
    >
      <Paper>
        <Bar>
          {pages}
          {brought && <span data-brought>{brought.name}</span>}
        </Bar>
        {!brought && (
          <chakra.p>
            Choose a file with <KeyCap>F</KeyCap>. What it would add and change, and what is in its
            way here, is shown before anything is taken.
          </chakra.p>
        )}
        {brought && brought.faults.length > 0 && (
          <chakra.div role="alert" data-faults={brought.faults.length}>
            <chakra.p color="vermilion" mb="6px">
              This file cannot be used. Nothing was changed.
            </chakra.p>
            <ChangeList label="Faults of the file" changes={brought.faults} />
          </chakra.div>
        )}
        {brought?.file && items.length === 0 && (
          <chakra.p>
            It says nothing that is not so here already.{' '}
            {isTextNews && (
              <>
                Its comments are not here yet: <KeyCap>Enter</KeyCap> takes them.
              </>
            )}
          </chakra.p>
        )}
        {items.length > 0 && (
          <>
            <ImportTable items={items} takings={takings} at={at} onAt={setAt} onTick={tick} />
            <Difference before={now} after={then} titles={['Now', 'Then']} />
          </>
        )}
      </Paper>
    </ViewLayout>
  );
}
