import { chakra, Flex } from '@chakra-ui/react';
import {
  importItems,
  SECTION_NAMES,
  SECTIONS,
  textAfterImport,
  withImported,
  type ImportItem,
  type Taking,
} from '@sorn/core/files';
import { countText, faultText } from '@sorn/core/values';
import { useMemo, useRef, useState, type ReactNode } from 'react';
import { ViewLayout } from '../../sheet/ViewLayout.tsx';
import { Bar } from '../../ui/Bar.tsx';
import { FileInput } from '../../ui/FileInput.tsx';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { Paper } from '../../ui/Paper.tsx';
import { Section } from '../../ui/Section.tsx';
import { usePageKeys } from '../../ui/page-keys.ts';
import { useProfileStore, useProfileStoreApi } from '../../state/profile-context.ts';
import { readChosenFile, type ChosenFile } from '../../state/chosen-file.ts';
import { useComparison } from '../../state/comparison.ts';
import { Action } from '../../ui/Action.tsx';
import { ChangeList } from './ChangeList.tsx';
import { Difference } from './Difference.tsx';
import { ImportTable } from './ImportTable.tsx';
import { newFindings } from './new-findings.ts';
import { TrialsThen } from './TrialsThen.tsx';

/** What a file would bring, thing by thing, before any of it is taken. */
export function ImportPage({ pages }: { pages: ReactNode }) {
  const profile = useProfileStore((state) => state.written);
  const store = useProfileStoreApi();
  const [brought, setBrought] = useState<ChosenFile | null>(null);
  const [takings, setTakings] = useState<ReadonlyMap<string, Taking>>(new Map());
  const [at, setAt] = useState(0);
  const [said, setSaid] = useState('');
  const input = useRef<HTMLInputElement>(null);

  const file = brought?.file ?? null;
  const items = useMemo(() => (file ? importItems(profile, file) : []), [profile, file]);
  const made = useMemo(
    () => (file ? withImported(profile, file, known(takings, items)) : null),
    [profile, file, takings, items],
  );
  const next = made?.ok ? made.value : undefined;
  const { now, then } = useComparison(next);
  const found = useMemo(() => (next ? newFindings(profile, next) : []), [profile, next]);
  // What is written around what it says: comments, and the order of fields.
  const own = useProfileStore((state) => state.text);
  const text = useMemo(
    () => (next && brought?.text ? textAfterImport(own, brought.text, next) : own),
    [own, brought, next],
  );
  const isTextNews = text !== null && text.content !== own?.content;
  const here = items[Math.min(at, items.length - 1)];

  async function read(files: FileList | null) {
    const chosen = files?.[0];
    if (!chosen) return;
    const { bundles } = store.getState().written.keys;
    const result = await readChosenFile(
      chosen,
      bundles.map(({ id }) => id),
    );
    setBrought(result);
    setAt(0);
    setSaid('');
    const fresh = result.file ? importItems(store.getState().written, result.file) : [];
    setTakings(
      new Map(fresh.flatMap(({ id, kind }) => (kind === 'conflict' ? [] : [[id, 'theirs']]))),
    );
  }
  const give = (item: ImportItem, taking: Taking | null) => {
    const rest = [...takings].filter(([id]) => id !== item.id);
    setTakings(new Map(taking ? [...rest, [item.id, taking]] : rest));
  };
  const tick = (item: ImportItem | undefined) => {
    if (item) give(item, takings.has(item.id) ? null : 'theirs');
  };
  const tickAll = (some: readonly ImportItem[]) => {
    const isAll = some.every(({ id }) => takings.has(id));
    const rest = [...takings].filter(([id]) => !some.some((item) => item.id === id));
    setTakings(new Map(isAll ? rest : [...rest, ...some.map(({ id }) => [id, 'theirs'] as const)]));
  };
  const both = () => {
    if (here?.canBoth) give(here, takings.get(here.id) === 'both' ? 'theirs' : 'both');
  };
  const count = known(takings, items).size;
  const take = () => {
    if (!next || (count === 0 && !isTextNews)) return;
    store.getState().editWritten(() => next, '', text ?? undefined);
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
          <Section title="A file" note="a profile, sections of one, or a table">
            <Flex align="center" gap="8px">
              <KeyCap>F</KeyCap>
              <FileInput
                label="File to bring in"
                accept=".yaml,.yml,.toml,.json,.csv"
                inputRef={input}
                onFiles={(files) => void read(files)}
              />
            </Flex>
            <chakra.p fontSize="12.5px" color="slate" mt="6px">
              YAML, TOML or JSON of any version so far; rules or keys as CSV.
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
        {file && items.length === 0 && (
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

/** Only what the file still brings: the profile may have changed since it was read. */
function known(takings: ReadonlyMap<string, Taking>, items: readonly ImportItem[]) {
  const order = (item: ImportItem) => SECTIONS.indexOf(item.section);
  const there = [...items].sort((a, b) => order(a) - order(b));
  return new Map(
    there.flatMap(({ id }) => {
      const taking = takings.get(id);
      return taking ? [[id, taking] as const] : [];
    }),
  );
}
