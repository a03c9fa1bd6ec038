import { Box, chakra, Flex } from '@chakra-ui/react';
import {
  checkKeys,
  keysCaps,
  readTrigger,
  takenLists,
  withTakenList,
  type Profile,
  type TakenList,
} from '@sorn/core';
import { useState } from 'react';
import { KeyCaps } from '../../app/KeyCap.tsx';
import { Section } from '../../app/Section.tsx';
import { TextButton } from '../../app/TextButton.tsx';
import { TextField } from '../../app/TextField.tsx';
import { Choice } from '../../app/SettingRow.tsx';
import { useBenchStore } from '../../data/bench-context.ts';

/** Shortcuts that the desktop keeps for itself, in lists that hold or not. */
export function TakenLists({ profile }: { profile: Profile }) {
  const store = useBenchStore();
  const [open, setOpen] = useState<string | null>(null);
  const change = (id: string, next: (list: TakenList) => TakenList) =>
    store.getState().edit((now) => withTakenList(now, id, next));
  return (
    <Section title="What the desktop takes" note="as common; yours may differ">
      {takenLists(profile).map((list) => (
        <Box key={list.id} mb="6px" data-taken={list.id}>
          <Flex align="center" gap="8px" minH="28px">
            <chakra.button
              type="button"
              aria-expanded={open === list.id}
              flex="1"
              textAlign="left"
              fontSize="13px"
              cursor="pointer"
              onClick={() => setOpen(open === list.id ? null : list.id)}
            >
              {open === list.id ? '−' : '+'} {list.name}
            </chakra.button>
            <chakra.span fontSize="12px" color="slate" whiteSpace="nowrap">
              {inTheWay(profile, list)}
            </chakra.span>
            <Choice
              label={list.name}
              value={list.on ? 'on' : 'off'}
              options={[
                { value: 'on', text: 'on' },
                { value: 'off', text: 'off' },
              ]}
              onChange={(value) => change(list.id, (each) => ({ ...each, on: value === 'on' }))}
            />
          </Flex>
          {open === list.id && (
            <OpenList profile={profile} list={list} onChange={(next) => change(list.id, next)} />
          )}
        </Box>
      ))}
    </Section>
  );
}

/** How many bindings a list takes; of one that is off, how many it would. */
function inTheWay(profile: Profile, list: TakenList): string {
  const alone = takenLists(profile).map((each) => ({ ...each, on: each.id === list.id }));
  const tried = { ...profile, keys: { ...profile.keys, taken: alone }, apps: [] };
  const count = checkKeys(tried).filter(({ kind }) => kind === 'keys-taken').length;
  if (count === 0) return '';
  return list.on ? `takes ${count}` : `would take ${count}`;
}

function OpenList(props: {
  profile: Profile;
  list: TakenList;
  onChange: (next: (list: TakenList) => TakenList) => void;
}) {
  const { profile, list, onChange } = props;
  const { main } = profile.keys;
  return (
    <Box pl="14px" fontSize="12.5px">
      {list.shortcuts.map(({ keys, what }, i) => (
        <Flex key={`${keys} ${i}`} gap="8px" align="center" minH="24px">
          <KeyCaps caps={keysCaps(keys, main)} />
          <chakra.span flex="1" color="slate">
            {what}
          </chakra.span>
          <TextButton
            label={`Take ${keys} off the list ${list.name}`}
            onClick={() =>
              onChange((each) => ({
                ...each,
                shortcuts: each.shortcuts.filter((_, j) => j !== i),
              }))
            }
          >
            take off
          </TextButton>
        </Flex>
      ))}
      <TextField
        label={`One more of ${list.name}`}
        value=""
        placeholder="one more, as Ctrl+KeyQ closes the window"
        faultOf={(text) => {
          if (text === '') return null;
          const [keys = '', ...what] = text.split(' ');
          const trigger = readTrigger(keys);
          if (typeof trigger === 'string') return trigger;
          return what.length > 0 ? null : 'keys, and what it does';
        }}
        onChange={(text) => {
          const [keys = '', ...what] = text.split(' ');
          onChange((each) => ({
            ...each,
            shortcuts: [...each.shortcuts, { keys, what: what.join(' ') }],
          }));
        }}
      />
    </Box>
  );
}
