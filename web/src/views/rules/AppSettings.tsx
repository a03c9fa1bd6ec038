import { chakra, Flex } from '@chakra-ui/react';
import { readTypedKeys } from '@sorn/core/keys';
import { matchText, readMatch, type App, type Profile } from '@sorn/core/model';
import { KINDS } from '@sorn/core/values';
import type { Ref } from 'react';
import { useProfileStore } from '../../state/profile-context.ts';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { Section } from '../../ui/Section.tsx';
import { Choice, OnOff, SettingRow } from '../../ui/SettingRow.tsx';
import { TextButton } from '../../ui/TextButton.tsx';
import { TextField } from '../../ui/TextField.tsx';
import { sizeTyped } from './setting-rows.ts';

/** The selected app: what it is called, and what its own window says of itself. */
export function AppSettings(props: {
  app: App;
  change: (next: (app: App) => App, merge?: string) => void;
  onRemove: () => void;
  nameInput: Ref<HTMLInputElement>;
}) {
  const { app, change } = props;
  const profile = useProfileStore((state) => state.profile);
  const size = (field: 'min' | 'max' | 'preferred', label: string) => (
    <SettingRow
      label={label}
      onSetBack={
        app[field] ? () => change(({ [field]: _gone, ...rest }) => rest as App) : undefined
      }
    >
      <TextField
        label={label}
        placeholder="width × height"
        value={app[field] ? `${app[field].width} × ${app[field].height}` : ''}
        faultOf={(text) =>
          text === '' || sizeTyped(text) ? null : 'width × height in logical pixels'
        }
        onChange={(text) => {
          const typed = sizeTyped(text);
          change(
            ({ [field]: _former, ...rest }) =>
              ({ ...rest, ...(typed && { [field]: typed }) }) as App,
          );
        }}
      />
    </SettingRow>
  );
  return (
    <Section title={app.name ?? app.id} note={app.id}>
      <SettingRow label="Name" caps={['Enter']}>
        <TextField
          label="Name of the app"
          value={app.name ?? app.id}
          isNeeded
          inputRef={props.nameInput}
          onChange={(name) => change((there) => ({ ...there, name }))}
        />
      </SettingRow>
      <SettingRow label="Balloon">
        <TextField
          label="Balloon"
          value={app.balloon ?? ''}
          faultOf={(text) => (/^\S{1,2}$/u.test(text) ? null : 'one or two characters')}
          onChange={(balloon) => change((there) => ({ ...there, balloon }))}
        />
      </SettingRow>
      <SettingRow label="Title">
        <TextField
          label="Title of its window"
          value={app.title ?? ''}
          onChange={(title) =>
            change(({ title: _former, ...rest }) => ({ ...rest, ...(title && { title }) }))
          }
        />
      </SettingRow>
      <SettingRow label="Known by">
        <TextField
          label="Known by"
          placeholder="class Notes; process notes"
          value={matchText(app.match)}
          faultOf={(text) => {
            const read = readMatch(text);
            return typeof read === 'string' ? read : null;
          }}
          onChange={(text) => {
            const read = readMatch(text);
            if (typeof read === 'string') return;
            change(({ match: _former, ...rest }) =>
              read.length > 0 ? { ...rest, match: [...read] } : rest,
            );
          }}
        />
      </SettingRow>
      <SettingRow label="Kind">
        <Choice
          label="Kind"
          value={app.kind}
          options={KINDS.map((kind) => ({ value: kind, text: kind }))}
          onChange={(kind) => change((there) => ({ ...there, kind }))}
        />
      </SettingRow>
      {size('preferred', 'Floating size')}
      {size('min', 'At least')}
      {size('max', 'At most')}
      <OnOff
        label="Can be resized"
        value={app.resizable !== false}
        onChange={(is) =>
          change(({ resizable: _former, ...rest }) => (is ? rest : { ...rest, resizable: false }))
        }
      />
      <OnOff
        label="Keeps all keys for itself"
        value={app.keepsAllBut !== undefined}
        onChange={(is) =>
          change(({ keepsAllBut: _former, ...rest }) => (is ? { ...rest, keepsAllBut: [] } : rest))
        }
      />
      {app.keepsAllBut && (
        <SettingRow label="but not">
          <TextField
            label="Keys that it does not keep"
            placeholder="such as meta f12, meta tab"
            value={app.keepsAllBut.join(', ')}
            faultOf={(text) => typedList(profile, text).fault}
            onChange={(text) => {
              const { keys } = typedList(profile, text);
              change((there) => ({ ...there, keepsAllBut: keys }));
            }}
          />
        </SettingRow>
      )}
      {app.exec !== undefined && (
        <SettingRow label="Exec" origin="kept as text, never run">
          <Text>{app.exec}</Text>
        </SettingRow>
      )}
      {app.icon !== undefined && (
        <SettingRow label="Icon">
          <Text>{app.icon}</Text>
        </SettingRow>
      )}
      {app.windows?.map(({ title, kind }) => (
        <Flex key={title} align="center" gap="8px" minH="26px" fontSize="13px">
          <chakra.span flex="1" truncate>
            {title}
          </chakra.span>
          <chakra.span fontSize="12px" color="slate">
            {kind}
          </chakra.span>
          <TextButton
            label={`Take the window ${title} out`}
            onClick={() =>
              change(({ windows = [], ...rest }) => {
                const left = windows.filter((window) => window.title !== title);
                return left.length > 0 ? { ...rest, windows: left } : rest;
              })
            }
          >
            take out
          </TextButton>
        </Flex>
      ))}
      <Flex mt="6px" gap="8px" fontSize="12px">
        <KeyCap>Delete</KeyCap> <TextButton onClick={props.onRemove}>delete the app</TextButton>
      </Flex>
    </Section>
  );
}

/** Keys as they are typed, with commas between; the first fault among them. */
function typedList(profile: Profile, text: string): { keys: string[]; fault: string | null } {
  const read = text
    .split(',')
    .map((part) => part.trim())
    .filter((part) => part !== '')
    .map((part) => readTypedKeys(profile, part));
  const wrong = read.find((each) => 'expected' in each);
  return {
    keys: read.flatMap((each) => ('keys' in each ? [each.keys] : [])),
    fault: wrong && 'expected' in wrong ? wrong.expected : null,
  };
}

function Text({ children }: { children: string }) {
  return (
    <chakra.span
      fontFamily="mono"
      fontSize="11px"
      fontStretch="86%"
      truncate
      maxW="190px"
      title={children}
    >
      {children}
    </chakra.span>
  );
}
