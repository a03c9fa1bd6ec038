import type { Revision } from '@sorn/api';
import { countText } from '@sorn/core/values';
import { Box, chakra } from '@chakra-ui/react';
import { changeTexts, RETENTION_TEXT } from '@sorn/core/files';
import { useMemo, useRef, useState, type ReactNode } from 'react';
import { ViewLayout } from '../../sheet/ViewLayout.tsx';
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
import { TrialsThen } from './TrialsThen.tsx';
import { SearchField } from '../../ui/SearchField.tsx';
import { dateText, dayText } from '../../ui/date-text.ts';

const AGAINST = [
  { value: 'now', text: 'against now' },
  { value: 'before', text: 'against the one before' },
] as const;
type Against = (typeof AGAINST)[number]['value'];

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

/** Every saved state: when, what changed, how it looks; named, and gone back to. */
export function RevisionsPage({ pages }: { pages: ReactNode }) {
  const id = useProfileStore((state) => state.id);
  const profile = useProfileStore((state) => state.written);
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
  const [against, setAgainst] = useState<Against>('now');
  const kept = useRevision(id, here?.revision ?? null).data;
  const former = useRevision(id, against === 'before' ? (before?.revision ?? null) : null).data;
  const name = useNameRevision();
  const nameField = useRef<HTMLInputElement>(null);

  const whole = kept?.revision === here?.revision ? kept?.profile : undefined;
  const { now, then } = useComparison(whole);
  const { then: earlier } = useComparison(against === 'before' ? former?.profile : undefined);
  const ifRestored = useMemo(() => (whole ? changeTexts(profile, whole) : []), [profile, whole]);

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
      run: () => setAgainst(against === 'now' ? 'before' : 'now'),
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

  const number = here?.revision ?? saved;
  const isBefore = against === 'before' && before !== undefined;
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
          <Choice label="Drawn" value={against} options={AGAINST} onChange={setAgainst} />
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
        <Difference
          before={isBefore ? earlier : now}
          after={then}
          titles={
            isBefore
              ? [`Revision ${before.revision}`, `Revision ${number}`]
              : ['Now', `Revision ${number}`]
          }
        />
      </Paper>
    </ViewLayout>
  );
}
