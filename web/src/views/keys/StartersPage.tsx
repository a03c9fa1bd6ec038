import { commandText } from '@sorn/core/commands';
import { Box, chakra, Flex } from '@chakra-ui/react';
import {
  beginningFrom,
  mapChanges,
  modifierSets,
  movedByLetters,
  STARTER_MAPS,
  withMerged,
} from '@sorn/core/keys';
import { BASE, KEY_STARTERS, type Profile, type KeyStarterId } from '@sorn/core/model';
import { countText, keysCaps } from '@sorn/core/values';
import { useMemo, useState, type ReactNode } from 'react';
import { ViewLayout } from '../../sheet/ViewLayout.tsx';
import { KeyCap, KeyCaps } from '../../ui/KeyCap.tsx';
import { ListLine } from '../../ui/ListLine.tsx';
import { Paper } from '../../ui/Paper.tsx';
import { Section } from '../../ui/Section.tsx';
import { Choice } from '../../ui/SettingRow.tsx';
import { TextButton } from '../../ui/TextButton.tsx';
import { tableStyle } from '../../ui/table-style.ts';
import { usePageKeys } from '../../ui/page-keys.ts';
import { useProfileStore, useProfileStoreApi } from '../../state/profile-context.ts';
import { KeyboardDrawing } from './KeyboardDrawing.tsx';
import { usePressedModifiers } from './pressed-modifiers.ts';
import { useBoardHeight, useRoom } from './room.ts';

const HOW = [
  { value: 'merge', text: 'Merge into mine' },
  { value: 'begin', text: 'Begin from it' },
] as const;
/** The board takes at most this part of the paper's height. */
const BOARD_HEIGHT = 330;
const NO_COUNTS: ReadonlyMap<string, number> = new Map();
const NO_KEYS: ReadonlySet<string> = new Set();
const NOTHING = () => undefined;

/** The profile with the keys of a starter alone, to be drawn. */
function startedFrom(profile: Profile, id: KeyStarterId): Profile {
  return beginningFrom({ ...profile, keys: { ...profile.keys, bindings: [], layers: [] } }, id);
}

type How = (typeof HOW)[number]['value'];

/** The commands of a starter whose letters a person gave away, and where they are. */
function MovedByLetters({ profile, id }: { profile: Profile; id: KeyStarterId }) {
  const moved = movedByLetters(profile, id);
  if (moved.length === 0) return null;
  const { main } = profile.keys;
  return (
    <Box mb="8px" fontSize="12px" role="group" aria-label="Moved by your letters">
      <chakra.p mb="4px">
        Your letters come first. What stood on them is behind {main} Space:
      </chakra.p>
      <chakra.ul>
        {moved.map(({ binding, by }) => (
          <chakra.li key={binding.keys} display="flex" alignItems="center" gap="6px" minH="24px">
            <KeyCaps caps={keysCaps(binding.keys, profile.keys)} />
            <chakra.span flex="1" truncate>
              {commandText(binding.command)}
            </chakra.span>
            <chakra.span color="slate">{by}</chakra.span>
          </chakra.li>
        ))}
      </chakra.ul>
    </Box>
  );
}

/** Ready-made maps, and what would change if one were merged into the map or begun from. */
export function StartersPage({ pages }: { pages: ReactNode }) {
  const profile = useProfileStore((state) => state.profile);
  const store = useProfileStoreApi();
  const [id, setId] = useState<KeyStarterId>('few');
  const [how, setHow] = useState<How>('merge');
  const next = useMemo(
    () => (how === 'merge' ? withMerged(profile, id) : beginningFrom(profile, id)),
    [profile, id, how],
  );
  const alone = useMemo(() => startedFrom(profile, id), [profile, id]);
  const sets = useMemo(() => modifierSets(alone, BASE), [alone]);
  const [set, setSet] = useState(0);
  const pressed = usePressedModifiers(profile);
  const modifiersDown = pressed.length > 0 ? pressed : (sets[set % Math.max(1, sets.length)] ?? []);
  const [setRoom, width] = useRoom();
  const boardHeight = useBoardHeight(BOARD_HEIGHT);
  const changes = useMemo(() => mapChanges(profile, next), [profile, next]);
  const take = () => {
    if (changes.length > 0) store.getState().edit(() => next);
  };
  const goTo = (by: 1 | -1) => {
    const to = KEY_STARTERS[KEY_STARTERS.indexOf(id) + by];
    if (!to) return;
    setId(to);
    setSet(0);
  };
  usePageKeys('Starters', [
    { keys: ['ArrowUp'], caps: ['↑', '↓'], label: 'starter', run: () => goTo(-1) },
    { keys: ['ArrowDown'], label: 'next starter', minor: true, run: () => goTo(1) },
    {
      keys: ['h'],
      label: 'modifiers shown',
      run: () => setSet((set + 1) % Math.max(1, sets.length)),
    },
    {
      keys: ['w'],
      label: 'merge or begin',
      run: () => setHow(how === 'merge' ? 'begin' : 'merge'),
    },
    { keys: ['Enter'], label: 'take it', run: take },
  ]);
  const { from } = profile.keys;
  return (
    <ViewLayout
      name="Keys"
      inspector={
        <>
          <Section title="Starters" note={`this map begins from “${STARTER_MAPS[from].title}”`}>
            <chakra.ul>
              {KEY_STARTERS.map((each) => (
                <ListLine
                  key={each}
                  name={STARTER_MAPS[each].title}
                  isHere={each === id}
                  data={{ 'data-starter': each }}
                  onChoose={() => setId(each)}
                />
              ))}
            </chakra.ul>
          </Section>
          <Section title={STARTER_MAPS[id].title}>
            <chakra.p fontSize="13px" color="slate" mb="8px">
              {STARTER_MAPS[id].says}
            </chakra.p>
            <MovedByLetters profile={profile} id={id} />
            <Choice label="What becomes of it" value={how} options={HOW} onChange={setHow} />
            <Flex mt="10px" gap="6px" align="center" fontSize="13px">
              <KeyCap>Enter</KeyCap>
              <TextButton onClick={take}>
                {how === 'merge' ? 'Merge it' : 'Begin from it'}
              </TextButton>
            </Flex>
          </Section>
        </>
      }
    >
      <Paper>
        <Flex align="center" gap="12px" fontSize="13px" color="slate">
          {pages}
          <span data-changes={changes.length}>
            {changes.length === 0
              ? 'Nothing would change.'
              : `${countText(changes.length, 'key')} would change.`}
          </span>
        </Flex>
        <Box ref={setRoom} minW="0">
          <Flex align="center" gap="6px" pb="6px" fontSize="13px" color="slate">
            <span>
              {modifiersDown.length > 0
                ? `${STARTER_MAPS[id].title}, with`
                : STARTER_MAPS[id].title}
            </span>
            <span data-holding={modifiersDown.join(' ')}>
              <KeyCaps caps={modifiersDown} />
            </span>
            <chakra.span flex="1" />
            <KeyCap>H</KeyCap>
            <span>other modifiers</span>
          </Flex>
          <KeyboardDrawing
            profile={alone}
            layer={BASE}
            modifiersDown={modifiersDown}
            face="commands"
            uses={NO_COUNTS}
            selected={null}
            faulty={NO_KEYS}
            width={width}
            height={boardHeight}
            onKey={NOTHING}
          />
        </Box>
        {changes.length > 0 && (
          <Box overflow="auto" minH="0" tabIndex={0} role="region" aria-label="What would change">
            <chakra.table width="100%" fontSize="12.5px" css={tableStyle}>
              <thead>
                <tr>
                  <th>Keys</th>
                  <th>Does now</th>
                  <th>Would do</th>
                </tr>
              </thead>
              <tbody>
                {changes.map(({ keys, layer, was, is }) => (
                  <tr key={`${layer} ${keys} ${was} ${is}`} data-change={keys}>
                    <td>
                      <KeyCaps caps={keysCaps(keys, profile.keys)} />
                    </td>
                    <td>{was ?? '—'}</td>
                    <td>{is ?? 'nothing'}</td>
                  </tr>
                ))}
              </tbody>
            </chakra.table>
          </Box>
        )}
      </Paper>
    </ViewLayout>
  );
}
