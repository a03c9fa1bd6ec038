import { commandText } from '@sorn/core/commands';
import { Box, chakra, Flex } from '@chakra-ui/react';
import { keyMap, withBindingChanged, withSuggestion, type Suggestion } from '@sorn/core/keys';
import { MARKS, usesByCommand, type Mark } from '@sorn/core/model';
import { countText, keysCaps } from '@sorn/core/values';
import { useCallback, useMemo, useState } from 'react';
import { ViewLayout } from '../../sheet/ViewLayout.tsx';
import { Bar } from '../../ui/Bar.tsx';
import { KeyCap, KeyCaps } from '../../ui/KeyCap.tsx';
import { Paper } from '../../ui/Paper.tsx';
import { Section } from '../../ui/Section.tsx';
import { Choice, SettingRow } from '../../ui/SettingRow.tsx';
import { TextButton } from '../../ui/TextButton.tsx';
import { usePageKeys } from '../../ui/page-keys.ts';
import { useProfileStore, useProfileStoreApi } from '../../state/profile-context.ts';
import { suggestKeys } from '../../state/suggest.ts';
import { useKeyEdits } from './edits.ts';
import { SuggestionTable } from './SuggestionTable.tsx';
import { useAnswer, type SuggestBody } from './suggestion.ts';

/** New keys for every command of a device: what it would have, what is left out, and what it would come to. */
export function SuggestAnew(props: SuggestBody) {
  const { pages, settings, device, codes, isCounted, together } = props;
  const profile = useProfileStore((state) => state.profile);
  const counted = useProfileStore((state) => state.session.uses);
  const store = useProfileStoreApi();
  const captions = profile.keys;
  const capsOf = useCallback(
    (keys: string) => <KeyCaps caps={keysCaps(keys, captions)} />,
    [captions],
  );
  const [selected, setInHand] = useState<string | null>(null);
  const { found, fault } = useAnswer<Suggestion>(
    useMemo(() => {
      const uses = isCounted ? usesByCommand(counted) : null;
      const wanted = { device, uses, grouped: together, ...(codes && { codes }) };
      return () => suggestKeys(profile, wanted);
    }, [profile, device, codes, counted, isCounted, together]),
  );
  const lines = found
    ? [
        ...found.given.map(({ candidate }) => candidate.text),
        ...found.leftOut.map(({ text }) => text),
      ]
    : [];
  const at = Math.max(0, lines.indexOf(selected ?? ''));
  const text = lines[at] ?? null;
  const command =
    found?.given.find(({ candidate }) => candidate.text === text)?.candidate.command ??
    keyMap(profile).find((each) => each.command && commandText(each.command) === text)?.command;
  const edits = useKeyEdits(null, () => undefined);
  const mark =
    profile.keys.marks.find((each) => commandText(each.command) === text)?.mark ?? 'wanted';
  const setMark = (next: Mark) => {
    if (command) edits.setMark(command, next === 'wanted' ? null : next);
  };
  const take = () => {
    if (found) store.getState().edit((now) => withSuggestion(now, device, found));
  };
  const pin = () => {
    const line = found?.given.find(({ candidate }) => candidate.text === text);
    const bound =
      line?.was &&
      keyMap(profile).find(
        ({ keys, command: of }) => keys === line.was && of && commandText(of) === text,
      );
    if (!bound) return;
    edits.setWhole(
      withBindingChanged(profile, bound, ({ pinned, ...own }) =>
        pinned ? own : { ...own, pinned: true },
      ),
    );
  };
  usePageKeys('Suggest', [
    {
      keys: ['ArrowUp'],
      caps: ['↑', '↓'],
      label: 'command',
      run: () => setInHand(lines[at - 1] ?? text),
    },
    {
      keys: ['ArrowDown'],
      label: 'select the next command',
      minor: true,
      run: () => setInHand(lines[at + 1] ?? text),
    },
    { keys: ['Enter'], label: 'take it', run: take },
    {
      keys: ['n'],
      label: 'needed, wanted, spare',
      run: () => setMark(MARKS[(MARKS.indexOf(mark) + 1) % MARKS.length]!),
    },
    { keys: ['o'], label: 'stays where it is', run: pin },
  ]);
  return (
    <ViewLayout
      name="Keys"
      inspector={
        <>
          {settings}
          {text !== null && (
            <Section title={text}>
              <SettingRow label="It is" caps={['N']}>
                <Choice
                  label="How much it is needed"
                  value={mark}
                  options={MARKS.map((value) => ({ value, text: value }))}
                  onChange={setMark}
                />
              </SettingRow>
            </Section>
          )}
          {found && (
            <Section title="Total reach" note="uses × reach of each press">
              <Flex gap="24px" data-suggested={found.is}>
                <Total name="before" value={found.before} says="now" />
                <Total name="after" value={found.after} says={WORDS[found.is]} />
              </Flex>
              <chakra.p fontSize="12px" color="slate" mt="6px">
                Over the commands that have keys before and after it. A finger’s way by Fitts’s law
                (MacKenzie 1992), each finger by a factor of its own.
              </chakra.p>
              <Flex mt="8px" gap="6px" align="center" fontSize="13px">
                <KeyCap>Enter</KeyCap>
                <TextButton onClick={take}>Take these keys</TextButton>
              </Flex>
            </Section>
          )}
          {found && found.substitutes.length > 0 && (
            <Section title="In the place of many">
              {found.substitutes.map(({ by, instead }) => (
                <chakra.p key={by[0]} fontSize="13px" data-substitute={by[0]}>
                  <b>{by.join(', ')}</b> instead of {instead.join(', ')}
                </chakra.p>
              ))}
            </Section>
          )}
        </>
      }
    >
      <Paper>
        <Bar>
          {pages}
          {!found && fault === null && <progress aria-label="Search of keys" />}
          <span role="status">
            {fault ??
              (found
                ? `${countText(found.given.length, 'command')} with keys, ${found.leftOut.length} left out`
                : 'Searching…')}
          </span>
        </Bar>
        {found && (
          <SuggestionTable found={found} capsOf={capsOf} selected={text} onRow={setInHand} />
        )}
      </Paper>
    </ViewLayout>
  );
}

const WORDS: Record<Suggestion['is'], string> = {
  least: 'the least there is',
  'best found': 'best found',
};

function Total(props: { name: string; value: number; says: string }) {
  return (
    <Box>
      <chakra.p fontSize="18px" lineHeight="24px" data-total={props.name}>
        {Math.round(props.value)}
      </chakra.p>
      <chakra.p fontSize="12px" color="slate">
        {props.says}
      </chakra.p>
    </Box>
  );
}
