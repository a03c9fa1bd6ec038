import { countText } from '@sorn/core/values';
import { Box, chakra } from '@chakra-ui/react';
import { changeTexts, SECTION_NAMES, SECTIONS, type SectionId } from '@sorn/core/files';
import type { Profile } from '@sorn/core/model';
import { allStartedOver, startedOver } from '@sorn/core/starters';
import { useMemo, useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { ViewLayout } from '../../sheet/ViewLayout.tsx';
import { Bar } from '../../ui/Bar.tsx';
import { ListLine } from '../../ui/ListLine.tsx';
import { Paper } from '../../ui/Paper.tsx';
import { Section } from '../../ui/Section.tsx';
import { usePageKeys } from '../../ui/page-keys.ts';
import { useProfileStore, useProfileStoreApi } from '../../state/profile-context.ts';
import { useComparison } from '../../state/comparison.ts';
import { Action } from '../../ui/Action.tsx';
import { Difference } from './Difference.tsx';
import { TrialsThen } from './TrialsThen.tsx';

const ALL = 'all';
const PARTS = [...SECTIONS, ALL] as const;
type Part = (typeof PARTS)[number];

const titleOf = (part: Part) => (part === ALL ? 'All of them' : SECTION_NAMES[part].title);

const BECOMES: Record<SectionId, string> = {
  desks:
    'the monitors stay; where they stand, the workspaces, and what machines have otherwise, go',
  layouts: 'a lead and the rest, gaps 10 and 6',
  boards: 'the ready-made boards that fit',
  rules: 'what people expect of dialogs and fixed windows',
  keys: 'every command on a key, focus on the arrows',
  apps: 'a browser, mail, a terminal and five more',
  look: 'a vermilion frame, 120 ms of motion',
  trials: 'none of your own; those that every profile has stay',
};

const overOf = (profile: Profile, part: Part): Profile =>
  part === ALL ? allStartedOver(profile) : startedOver(profile, part);

/** A part of the profile, or all of it, begun anew out of the starters. */
export function StartOverPage({ pages }: { pages: ReactNode }) {
  const profile = useProfileStore((state) => state.written);
  const store = useProfileStoreApi();
  const navigate = useNavigate();
  const [part, setPart] = useState<Part>('layouts');
  const next = useMemo(() => overOf(profile, part), [profile, part]);
  const changes = useMemo(() => changeTexts(profile, next), [profile, next]);
  const { now, then } = useComparison(next);
  const take = () => {
    if (changes.length > 0) store.getState().editWritten((present) => overOf(present, part));
  };
  const goTo = (by: 1 | -1) => setPart(PARTS[PARTS.indexOf(part) + by] ?? part);
  const ask = () => void navigate('/begin');
  usePageKeys('Start over', [
    { keys: ['ArrowUp'], caps: ['↑', '↓'], label: 'part', run: () => goTo(-1) },
    { keys: ['ArrowDown'], label: 'next part', minor: true, run: () => goTo(1) },
    { keys: ['Enter'], label: 'begin it anew', run: take },
    { keys: ['q'], label: 'a new profile by four questions', run: ask },
  ]);
  return (
    <ViewLayout
      name="Files"
      inspector={
        <>
          <Section title="Start over" note="undo takes it back">
            <chakra.ul>
              {PARTS.map((each) => (
                <ListLine
                  key={each}
                  name={titleOf(each)}
                  isHere={each === part}
                  data={{ 'data-part': each }}
                  onChoose={() => setPart(each)}
                />
              ))}
            </chakra.ul>
          </Section>
          <Section title={titleOf(part)}>
            <chakra.p fontSize="12.5px" color="slate" mb="6px">
              {part === ALL
                ? 'Each part as it is told beside its name. The profile keeps its name, its revisions and its monitors.'
                : `Becomes: ${BECOMES[part]}.`}
            </chakra.p>
            <Action
              cap="Enter"
              text={`Begin ${part === ALL ? 'all' : titleOf(part).toLowerCase()} anew`}
              onClick={take}
            />
          </Section>
          <TrialsThen next={changes.length > 0 ? next : undefined} />
          <Section title="Or another profile">
            <Action
              cap="Q"
              text="Four questions"
              says="make a new profile; this one stays"
              onClick={ask}
            />
          </Section>
        </>
      }
    >
      <Paper>
        <Bar>
          {pages}
          <span data-changes={changes.length}>
            {changes.length === 0
              ? 'It is as at the beginning already.'
              : `${countText(changes.length, 'thing')} would change.`}
          </span>
        </Bar>
        <Box
          flex="0 1 auto"
          minH="96px"
          maxH="46%"
          overflow="auto"
          tabIndex={0}
          role="region"
          aria-label="What would change"
        >
          <chakra.ul fontSize="12.5px">
            {changes.map((change, i) => (
              <chakra.li
                key={`${change} ${i}`}
                listStyleType="none"
                py="3px"
                borderBottom="1px solid"
                borderColor="hairline"
              >
                {change}
              </chakra.li>
            ))}
          </chakra.ul>
        </Box>
        <Difference before={now} after={then} titles={['Now', 'Then']} />
      </Paper>
    </ViewLayout>
  );
}
