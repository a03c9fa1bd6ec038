import { Box, chakra } from '@chakra-ui/react';
import { KEY_COMMANDS, commandText, type KeyCommand, type KeyCommandId } from '@sorn/core/commands';
import { movedByLetters, STARTER_MAPS, type KeyBinding, readTypedKeys } from '@sorn/core/keys';
import { BASE, MARKS, type Profile } from '@sorn/core/model';
import { keysCaps } from '@sorn/core/values';
import type { Ref } from 'react';
import { Figure } from '../../ui/Figure.tsx';
import { KeyCaps } from '../../ui/KeyCap.tsx';
import { Section } from '../../ui/Section.tsx';
import { Select } from '../../ui/Select.tsx';
import { Choice, SettingRow } from '../../ui/SettingRow.tsx';
import { TextField } from '../../ui/TextField.tsx';
import { useProfileStore } from '../../state/profile-context.ts';
import {
  BINDABLE,
  argumentFault,
  fieldsOf,
  firstOf,
  valueOfField,
  withArgument,
} from './command-fields.ts';
import type { KeyEdits } from './edits.ts';

const NONE = '';

/** What is done with the keys: the sentence begins with it. */
const DONE = { press: 'Pressing', tap: 'Tapping', hold: 'Holding' };

/** Why a binding of the starter is not where it would be. */
function MovedNote({ profile, binding }: { profile: Profile; binding: KeyBinding }) {
  const moved =
    binding.from === 'starter' &&
    movedByLetters(profile, profile.keys.from).find(
      ({ binding: { keys } }) => keys === binding.keys,
    );
  if (!moved) return null;
  return (
    <chakra.p fontSize="12px" color="slate" mb="6px">
      <KeyCaps caps={keysCaps(moved.from, profile.keys)} /> is for {moved.by}.
    </chakra.p>
  );
}

/** The selected binding: its keys, its layer, and what it does. */
export function BindingSettings(props: {
  binding: KeyBinding;
  edits: KeyEdits;
  keysInput: Ref<HTMLInputElement>;
  commandSelect: Ref<HTMLSelectElement>;
}) {
  const { binding, edits } = props;
  const profile = useProfileStore((state) => state.profile);
  const { command, release, layer, app, from, keys, pinned, trigger } = binding;
  const first = command ?? release!;
  const { layers, marks } = profile.keys;
  const isFixed = from === 'fixed';
  const mark = marks.find((each) => commandText(each.command) === commandText(first))?.mark;
  const caps = keysCaps(keys, profile.keys);
  // A tap or hold begins with that word, which is the sentence's own.
  const pressed = trigger.how === 'press' ? caps : caps.slice(1);
  const origin = { own: 'yours', starter: 'from starter', fixed: 'fixed' }[from];
  return (
    <Section title={commandText(first)} note={TELLS[from](STARTER_MAPS[profile.keys.from].title)}>
      <chakra.p fontSize="14px" mb="6px" data-sentence>
        {DONE[trigger.how]} <KeyCaps caps={pressed} /> in the layer <b>{layer}</b>
        {app !== null && (
          <>
            {' '}
            in <b>{profile.apps.find(({ id }) => id === app)?.name ?? app}</b>
          </>
        )}{' '}
        does <b>{command ? commandText(command) : 'nothing'}</b>
        {release && (
          <>
            , and <b>{commandText(release)}</b> when it is let go
          </>
        )}
        .
      </chakra.p>
      <MovedNote profile={profile} binding={binding} />
      {!isFixed && (
        <>
          <SettingRow label="Keys" caps={['Enter']} origin={origin}>
            <Box width="150px">
              <TextField
                label="Keys"
                value={keys}
                isNeeded
                inputRef={props.keysInput}
                faultOf={(text) => {
                  const typed = readTypedKeys(profile, text);
                  return 'expected' in typed ? typed.expected : null;
                }}
                onChange={(text) => {
                  const typed = readTypedKeys(profile, text);
                  if ('keys' in typed) edits.setKeys(typed.keys);
                }}
              />
            </Box>
          </SettingRow>
          <CommandRows
            label="Command"
            caps={['T']}
            command={command}
            selectRef={props.commandSelect}
            isNeeded={!release}
            onChange={(next) => {
              if (next) edits.setCommand(next);
            }}
          />
          <CommandRows
            label="On release"
            command={release}
            isNeeded={false}
            onChange={edits.setRelease}
          />
          <SettingRow label="Layer">
            <Select
              label="Layer"
              value={layer}
              options={[BASE, ...layers.map(({ id }) => id)].map((id) => ({ value: id, text: id }))}
              onChange={edits.setLayer}
            />
          </SettingRow>
          <SettingRow label="While in">
            <Select
              label="While in"
              value={app ?? NONE}
              options={[
                { value: NONE, text: 'every app' },
                ...profile.apps.map(({ id, name = id }) => ({ value: id, text: name })),
              ]}
              onChange={edits.setApp}
            />
          </SettingRow>
          <SettingRow label="When keys are suggested" caps={['O']}>
            <Choice
              label="When keys are suggested"
              value={pinned ? 'pinned' : 'moved'}
              options={[
                { value: 'moved', text: 'may move' },
                { value: 'pinned', text: 'stays' },
              ]}
              onChange={(value) => edits.setPinned(value === 'pinned')}
            />
          </SettingRow>
          <SettingRow
            label="Needed"
            onSetBack={mark ? () => edits.setMark(first, null) : undefined}
          >
            <Choice
              label="How much it is needed"
              value={mark ?? 'wanted'}
              options={MARKS.map((value) => ({ value, text: value }))}
              onChange={(value) => edits.setMark(first, value)}
            />
          </SettingRow>
        </>
      )}
    </Section>
  );
}

const TELLS: Record<KeyBinding['from'], (starter: string) => string> = {
  own: () => 'your own',
  starter: (starter) => `from “${starter}”`,
  fixed: () => 'there while it lasts',
};

/** A command by its name, and what is said with it. */
function CommandRows(props: {
  label: string;
  caps?: readonly string[];
  command: KeyCommand | undefined;
  selectRef?: Ref<HTMLSelectElement>;
  isNeeded: boolean;
  onChange: (command: KeyCommand | null) => void;
}) {
  const { label, command, onChange } = props;
  const profile = useProfileStore((state) => state.profile);
  const ids = KEY_COMMANDS.filter(
    (id) => id === command?.command || (BINDABLE.includes(id) && firstOf(id, profile) !== null),
  );
  return (
    <>
      <SettingRow label={label} {...(props.caps && { caps: props.caps })}>
        <Select
          label={label}
          {...(props.selectRef && { selectRef: props.selectRef })}
          value={command?.command ?? NONE}
          options={[
            ...(props.isNeeded && command ? [] : [{ value: NONE, text: 'nothing' }]),
            ...ids.map((id) => ({ value: id, text: id })),
          ]}
          onChange={(id) => onChange(id === NONE ? null : firstOf(id as KeyCommandId, profile))}
        />
      </SettingRow>
      {command &&
        fieldsOf(command.command, profile).map((field) => {
          const said = valueOfField(command, field);
          const name = `${field.label} of ${label.toLowerCase()}`;
          const say = (value: string) => onChange(withArgument(command, field, value));
          return (
            <SettingRow key={field.name} label={`· ${field.label}`}>
              {field.of === 'choice' && (
                <Select
                  label={name}
                  value={said}
                  options={[
                    ...(field.none !== undefined ? [{ value: NONE, text: field.none }] : []),
                    ...(said === '' || field.options.some(({ value }) => value === said)
                      ? []
                      : [{ value: said, text: said }]),
                    ...field.options,
                  ]}
                  onChange={say}
                />
              )}
              {field.of === 'flag' && (
                <Choice
                  label={name}
                  value={said === '' ? String(field.isOn) : said}
                  options={[
                    { value: 'true', text: 'yes' },
                    { value: 'false', text: 'no' },
                  ]}
                  onChange={say}
                />
              )}
              {field.of === 'figure' && (
                <Figure
                  label={name}
                  value={Number(said)}
                  least={field.least}
                  most={field.most}
                  step={10}
                  unit="px"
                  onChange={(value) => say(String(Math.round(value)))}
                />
              )}
              {field.of === 'text' && (
                <Box width="150px">
                  <TextField
                    label={name}
                    value={said}
                    placeholder={field.placeholder}
                    isNeeded={field.first !== undefined}
                    {...(field.offered && { offered: field.offered })}
                    faultOf={(text) => argumentFault(field, text)}
                    onChange={say}
                  />
                </Box>
              )}
            </SettingRow>
          );
        })}
    </>
  );
}
