import type { Revision } from '@sorn/api';
import { countText } from '@sorn/core/values';
import { Box, chakra, Flex } from '@chakra-ui/react';
import { changeTexts, RETENTION_TEXT, unifiedDifference, type OwnText } from '@sorn/core/files';
import type { Profile } from '@sorn/core/model';
import { useMemo, useRef, useState, type ReactNode } from 'react';
import { ViewLayout } from '../../sheet/ViewLayout.tsx';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { Bar } from '../../ui/Bar.tsx';
import { Paper } from '../../ui/Paper.tsx';
import { Section } from '../../ui/Section.tsx';
import { Choice, SettingRow } from '../../ui/SettingRow.tsx';
import { TextField } from '../../ui/TextField.tsx';
import { usePageKeys } from '../../ui/page-keys.ts';
import { useProfileStore, useProfileStoreApi } from '../../state/profile-context.ts';
import { useComparison } from '../../state/comparison.ts';
import { useNameRevision, useRevision, useRevisions } from '../../state/queries.ts';
import { Action } from '../../ui/Action.tsx';
import { ChangeList } from './ChangeList.tsx';
import { Difference } from './Difference.tsx';
import { RevisionTable } from './RevisionTable.tsx';
import { UnifiedText } from './UnifiedText.tsx';
import { fileSlug } from './export-file.ts';
import { download, textFile } from '../../ui/download.ts';
import { TrialsThen } from './TrialsThen.tsx';
import { SearchField } from '../../ui/SearchField.tsx';
import { dateText, dayText } from '../../ui/date-text.ts';

type Against = 'now' | 'before' | 'marked';
const AGAINST: readonly Against[] = ['now', 'before', 'marked'];

/** What a revision can be held against; a marked one where there is one. */
function againstOptions(marked: number | null): { value: Against; text: string }[] {
  return [
    { value: 'now', text: 'against now' },
    { value: 'before', text: 'the one before' },
    ...(marked === null ? [] : [{ value: 'marked' as const, text: `revision ${marked}` }]),
  ];
}

const NONE: readonly Revision[] = [];

/** The revisions that have all words in what they changed, in their name or in their day. */
function found(revisions: readonly Revision[], typed: string): readonly Revision[] {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  if (words.length === 0) return revisions;
  return revisions.filter(({ revision, savedAt, label = '', changes }) => {
    const text = [revision, dayText(savedAt), dateText(savedAt), label, ...changes].join(' ');
    return words.every((word) => text.toLowerCase().includes(word));
  });
}

/** What is held against next. */
function nextAgainst(now: Against, marked: number | null): Against {
  const all = AGAINST.filter((each) => each !== 'marked' || marked !== null);
  return all[(all.indexOf(now) + 1) % all.length]!;
}

/** Every saved state: when, what changed, how it looks; named, and gone back to. */
export function RevisionsPage({ pages }: { pages: ReactNode }) {
  const id = useProfileStore((state) => state.id);
  const profile = useProfileStore((state) => state.written);
  const ownText = useProfileStore((state) => state.text);
  const saved = useProfileStore((state) => state.saves.profile.revision);
  const store = useProfileStoreApi();
  const [below, setBelow] = useState<number | undefined>();
  const list = useRevisions(id, saved, below);
  const all = list.data?.revisions ?? NONE;
  const [typed, setTyped] = useState('');
  const searchField = useRef<HTMLInputElement>(null);
  const revisions = useMemo(() => found(all, typed), [all, typed]);
  const [wanted, setWanted] = useState<number | null>(null);
  const at = Math.max(
    0,
    revisions.findIndex(({ revision }) => revision === wanted),
  );
  const here = revisions[at];
  // What a revision changed is told against the one before it, found or not.
  const before = all[all.findIndex((each) => each === here) + 1];
  const [wished, setAgainst] = useState<Against>('now');
  const [marked, setMarked] = useState<number | null>(null);
  const [isText, setText] = useState(false);
  const against = wished === 'before' && !before ? 'now' : wished;
  const kept = useRevision(id, here?.revision ?? null).data;
  const other = { now: null, before: before?.revision ?? null, marked }[against];
  const former = useRevision(id, other).data;
  const name = useNameRevision();
  const nameField = useRef<HTMLInputElement>(null);

  const whole = kept?.revision === here?.revision ? kept?.profile : undefined;
  const { now, then } = useComparison(whole);
  const otherWhole = former?.revision === other ? former?.profile : undefined;
  const { then: earlier } = useComparison(otherWhole);
  const ifRestored = useMemo(() => (whole ? changeTexts(profile, whole) : []), [profile, whole]);

  const number = here?.revision ?? saved;
  const slug = fileSlug(profile.name);
  const stateOf = (of: string, state: Profile, text?: OwnText | null) => ({
    name: `${of}/${slug}.yaml`,
    profile: state,
    ...(text && { text }),
  });
  const sides = {
    before:
      other === null || !otherWhole
        ? stateOf('now', profile, ownText)
        : stateOf(`revision-${other}`, otherWhole, former?.text),
    after: stateOf(`revision-${number}`, whole ?? profile, kept?.text),
  };

  const restore = () => {
    if (whole && ifRestored.length > 0) store.getState().editWritten(() => whole, '', kept?.text);
  };
  const goTo = (by: 1 | -1) => {
    const next = revisions[at + by];
    if (next) setWanted(next.revision);
  };
  const hasOlder = all.length === list.data?.most;
  const older = () => {
    if (hasOlder) setBelow(all.at(-1)!.revision);
  };
  const goDay = (by: 1 | -1) => {
    const day = here && dayText(here.savedAt);
    const others = by > 0 ? revisions.slice(at) : revisions.slice(0, at);
    const isOther = ({ savedAt }: Revision) => dayText(savedAt) !== day;
    const next = by > 0 ? others.find(isOther) : others.findLast(isOther);
    if (next) setWanted(next.revision);
  };
  usePageKeys('Revisions', [
    { keys: ['ArrowUp'], caps: ['↑', '↓'], label: 'revision', run: () => goTo(-1) },
    { keys: ['ArrowDown'], label: 'older revision', minor: true, run: () => goTo(1) },
    {
      keys: ['w'],
      label: 'against now or before',
      run: () => setAgainst(nextAgainst(wished, marked)),
    },
    {
      keys: ['m'],
      label: 'hold others against this one',
      minor: true,
      run: () => {
        if (!here) return;
        setMarked(here.revision);
        setAgainst('marked');
      },
    },
    { keys: ['u'], label: 'drawn or as text', run: () => setText(!isText) },
    {
      keys: ['s'],
      label: 'save the difference',
      minor: true,
      run: () => {
        const unified = unifiedDifference(sides.before, sides.after);
        if (unified !== '') download(`${slug}.diff`, textFile(unified, 'text/x-diff'));
      },
    },
    {
      keys: ['d'],
      shift: false,
      caps: ['D'],
      label: 'the day before',
      run: () => goDay(1),
    },
    {
      keys: ['d'],
      shift: true,
      caps: ['Shift', 'D'],
      label: 'the day after',
      minor: true,
      run: () => goDay(-1),
    },
    { keys: ['/'], label: 'search', run: () => searchField.current?.focus() },
    { keys: ['n'], label: 'name it', run: () => nameField.current?.focus() },
    { keys: ['Enter'], label: 'restore', run: restore },
    { keys: ['PageDown'], label: 'older ones', minor: true, run: older },
    { keys: ['PageUp'], label: 'the newest', minor: true, run: () => setBelow(undefined) },
  ]);

  return (
    <ViewLayout
      name="Files"
      inspector={
        here && (
          <>
            <Section title={`Revision ${number}`} note={dateText(here.savedAt)}>
              <SettingRow label="Name" caps={['N']}>
                <Box width="190px">
                  <TextField
                    key={number}
                    label={`Name of revision ${number}`}
                    value={here.label ?? ''}
                    placeholder="none"
                    faultOf={(text) => (text.length > 80 ? 'at most 80 characters' : null)}
                    inputRef={nameField}
                    onChange={(label) => name.mutate([id, number, label])}
                  />
                </Box>
              </SettingRow>
              {name.isError && (
                <chakra.p role="alert" color="vermilion" fontSize="12px">
                  {name.error.message}
                </chakra.p>
              )}
              {here.sameAs !== undefined && (
                <chakra.p fontSize="12.5px" color="slate">
                  The same as revision {here.sameAs}: it was gone back to.
                </chakra.p>
              )}
            </Section>
            <Section
              title="Changed by it"
              note={before ? `since revision ${before.revision}` : 'the first that is kept'}
            >
              <ChangeList label="Changed by it" changes={here.changes} />
            </Section>
            <Section title="Restore" note="as a new revision; undo takes it back">
              {ifRestored.length === 0 ? (
                <chakra.p fontSize="12.5px" color="slate">
                  This is how the profile is now.
                </chakra.p>
              ) : (
                <>
                  <Action
                    cap="Enter"
                    text={`Restore revision ${number}`}
                    says={countText(ifRestored.length, 'change')}
                    onClick={restore}
                  />
                  <ChangeList label="What restoring changes" changes={ifRestored} />
                </>
              )}
            </Section>
            <TrialsThen next={ifRestored.length > 0 ? whole : undefined} />
            <Section title="How long they are kept">
              <chakra.p fontSize="12.5px" color="slate" data-rule>
                {RETENTION_TEXT}
              </chakra.p>
            </Section>
          </>
        )
      }
    >
      <Paper>
        <Bar>
          {pages}
          <Box flex="1" minW="0" />
          <SearchField
            label="Search revisions"
            typed={typed}
            inputRef={searchField}
            onType={setTyped}
          />
          <Choice
            label="Shown as"
            value={isText ? 'text' : 'drawn'}
            options={[
              { value: 'drawn', text: 'drawn' },
              { value: 'text', text: 'as text', cap: 'U' },
            ]}
            onChange={(value) => setText(value === 'text')}
          />
          <Choice
            label="Against"
            value={against}
            options={againstOptions(marked)}
            onChange={setAgainst}
          />
        </Bar>
        {list.isError && (
          <chakra.p role="alert" color="vermilion">
            {list.error.message}
          </chakra.p>
        )}
        <RevisionTable
          revisions={revisions}
          chosen={number}
          present={saved}
          onChoose={setWanted}
          onOlder={hasOlder ? older : undefined}
          first={hasOlder ? undefined : all.at(-1)?.revision}
        />
        {revisions.length === 0 && typed !== '' && (
          <chakra.p fontSize="13px" color="slate">
            No revision on this page of the list has “{typed}” in its changes, name or day.
          </chakra.p>
        )}
        {isText ? (
          <>
            <Flex gap="8px" fontSize="12.5px" align="baseline">
              <KeyCap>S</KeyCap> save it as {slug}.diff, for version control;
              <KeyCap>M</KeyCap> hold others against revision {number}
            </Flex>
            <UnifiedText {...sides} />
          </>
        ) : (
          <Difference
            before={other === null ? now : earlier}
            after={then}
            titles={[other === null ? 'Now' : `Revision ${other}`, `Revision ${number}`]}
          />
        )}
      </Paper>
    </ViewLayout>
  );
}
