import { Box, chakra, Flex } from '@chakra-ui/react';
import { checkKeys } from '@sorn/core/checkup';
import { readTypedKeys, shortcutLists, withShortcutList } from '@sorn/core/keys';
import { withApp, type Profile, type Shortcut, type ShortcutList } from '@sorn/core/model';
import { keysCaps } from '@sorn/core/values';
import { useState } from 'react';
import { KeyCaps } from '../../ui/KeyCap.tsx';
import { Section } from '../../ui/Section.tsx';
import { TextButton } from '../../ui/TextButton.tsx';
import { TextField } from '../../ui/TextField.tsx';
import { Choice } from '../../ui/SettingRow.tsx';
import { useProfileStoreApi } from '../../state/profile-context.ts';

/** Shortcuts that the desktop keeps for itself, in lists that hold or not, and those of each app. */
export function ShortcutLists({ profile }: { profile: Profile }) {
  const store = useProfileStoreApi();
  const [open, setOpen] = useState<string | null>(null);
  const { edit } = store.getState();
  const toggle = (id: string) => setOpen(open === id ? null : id);
  return (
    <>
      <Section title="What the desktop takes" note="as common; yours may differ">
        {shortcutLists(profile).map((list) => {
          const change = (next: (list: ShortcutList) => ShortcutList) =>
            edit((now) => withShortcutList(now, list.id, next));
          return (
            <Box key={list.id} mb="6px" data-taken={list.id}>
              <Flex align="center" gap="8px" minH="28px">
                <Opener id={list.id} name={list.name} open={open} onToggle={toggle} />
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
                  onChange={(value) => change((each) => ({ ...each, on: value === 'on' }))}
                />
              </Flex>
              {open === list.id && (
                <Shortcuts
                  profile={profile}
                  name={list.name}
                  shortcuts={list.shortcuts}
                  onChange={(shortcuts) => change((each) => ({ ...each, shortcuts }))}
                />
              )}
            </Box>
          );
        })}
      </Section>
      <Section title="What apps take" note="while they have the focus">
        {profile.apps.map(({ id, name = id, shortcuts = NONE }) => (
          <Box key={id} data-taken={`app ${id}`}>
            <Flex align="center" gap="8px" minH="26px">
              <Opener id={`app ${id}`} name={name} open={open} onToggle={toggle} />
              <chakra.span fontSize="12px" color="slate">
                {shortcuts.length > 0 && shortcuts.length}
              </chakra.span>
            </Flex>
            {open === `app ${id}` && (
              <Shortcuts
                profile={profile}
                name={name}
                shortcuts={shortcuts}
                onChange={(next) =>
                  edit((now) =>
                    withApp(now, id, ({ shortcuts: _former, ...app }) =>
                      next.length > 0 ? { ...app, shortcuts: next } : app,
                    ),
                  )
                }
              />
            )}
          </Box>
        ))}
      </Section>
    </>
  );
}

const NONE: Shortcut[] = [];

function Opener(props: {
  id: string;
  name: string;
  open: string | null;
  onToggle: (id: string) => void;
}) {
  const isOpen = props.open === props.id;
  return (
    <chakra.button
      type="button"
      aria-expanded={isOpen}
      flex="1"
      textAlign="left"
      fontSize="13px"
      cursor="pointer"
      onClick={() => props.onToggle(props.id)}
    >
      {isOpen ? '−' : '+'} {props.name}
    </chakra.button>
  );
}

/** How many bindings a list takes; of one that is off, how many it would. */
function inTheWay(profile: Profile, list: ShortcutList): string {
  const alone = shortcutLists(profile).map((each) => ({ ...each, on: each.id === list.id }));
  const tried = { ...profile, keys: { ...profile.keys, taken: alone }, apps: [] };
  const count = checkKeys(tried).filter(({ kind }) => kind === 'keys-taken').length;
  if (count === 0) return '';
  return list.on ? `takes ${count}` : `would take ${count}`;
}

/** The shortcuts of a list, one more by typing it, and each taken off. */
function Shortcuts(props: {
  profile: Profile;
  name: string;
  shortcuts: Shortcut[];
  onChange: (shortcuts: Shortcut[]) => void;
}) {
  const { profile, name, shortcuts, onChange } = props;
  return (
    <Box pl="14px" fontSize="12.5px">
      {shortcuts.map(({ keys, what }, i) => (
        <Flex key={`${keys} ${i}`} gap="8px" align="center" minH="24px">
          <KeyCaps caps={keysCaps(keys, profile.keys)} />
          <chakra.span flex="1" color="slate">
            {what}
          </chakra.span>
          <TextButton
            label={`Take ${keys} off ${name}`}
            onClick={() => onChange(shortcuts.filter((_, j) => j !== i))}
          >
            take off
          </TextButton>
        </Flex>
      ))}
      <TextField
        label={`One more of ${name}`}
        value=""
        placeholder="one more, as Ctrl+KeyQ closes the window"
        faultOf={(text) => {
          if (text === '') return null;
          const [keys = '', ...what] = text.split(' ');
          const typed = readTypedKeys(profile, keys);
          if ('expected' in typed) return typed.expected;
          return what.length > 0 ? null : 'keys, and what it does';
        }}
        onChange={(text) => {
          const [keys = '', ...what] = text.split(' ');
          const typed = readTypedKeys(profile, keys);
          if ('keys' in typed) onChange([...shortcuts, { keys: typed.keys, what: what.join(' ') }]);
        }}
      />
    </Box>
  );
}
