import { chakra, Flex } from '@chakra-ui/react';
import { monitorName } from '@sorn/core/desk';
import { PAST_LAST_MONITOR } from '@sorn/core/model';
import { MODES } from '@sorn/core/values';
import { MODE_WORDS, pluggedIn, useDeskChange } from '../../state/desk-change.ts';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { ListLine } from '../../ui/ListLine.tsx';
import { Section } from '../../ui/Section.tsx';
import { Choice, SettingRow } from '../../ui/SettingRow.tsx';
import { Select } from '../../ui/Select.tsx';
import { TextField } from '../../ui/TextField.tsx';
import { TextButton } from '../../ui/TextButton.tsx';
import { useProfileStore, type DeskLayout } from '../../state/profile-context.ts';
import type { DeskEdits } from './edits.ts';

/** The desks of the profile, which one applies and why, and what is set for it. */
export function DeskSettings({ deskLayout, edits }: { deskLayout: DeskLayout; edits: DeskEdits }) {
  const { desk } = deskLayout;
  const profile = useProfileStore((state) => state.profile);
  const { goTo } = useDeskChange();
  const session = useProfileStore((state) => state.session);
  const plugged = pluggedIn(profile, session);
  const present = profile.desks.find(({ id }) => id === desk.desk);
  return (
    <Section
      title="Desks"
      note={
        <Flex as="span" gap="6px" align="center">
          <KeyCap>X</KeyCap> switch <KeyCap>N</KeyCap> one more
        </Flex>
      }
    >
      <chakra.ul>
        {profile.desks.map(({ id, name = id, monitors }) => {
          const isHere = id === desk.desk;
          return (
            <ListLine
              key={id}
              name={name}
              isHere={isHere}
              data={{ 'data-desk-line': id }}
              onChoose={() => goTo(id, name)}
            >
              <chakra.span fontSize="12px" color="slate" maxW="150px" truncate>
                {monitors.map(({ monitor }) => monitor).join(', ')}
              </chakra.span>
              {!isHere && (
                <TextButton
                  label={`Delete the desk ${name}`}
                  onClick={() => edits.dropDesk(id, name)}
                >
                  delete
                </TextButton>
              )}
            </ListLine>
          );
        })}
      </chakra.ul>
      <chakra.p fontSize="12px" color="slate" mt="8px">
        {desk.desk === null
          ? `Made up: ${desk.because}. The first change here writes it down as a desk.`
          : `${desk.name} applies: ${desk.because}.`}{' '}
        Connected: {plugged.join(', ') || 'nothing'}.
      </chakra.p>
      {present && (
        <Flex direction="column" gap="4px" mt="8px">
          <SettingRow label="Name">
            <TextField
              label="Name of the desk"
              value={present.name ?? present.id}
              isNeeded
              onChange={(name) => edits.setDesk((there) => ({ ...there, name }))}
            />
          </SettingRow>
          <SettingRow label="Mode of this desk">
            <span />
          </SettingRow>
          <Choice
            label="Mode of this desk"
            value={present.mode}
            options={MODES.map((value) => ({ value, text: MODE_WORDS[value].title }))}
            onChange={(mode) => edits.setDesk((there) => ({ ...there, mode }))}
          />
          {present.mode === 'one' && (
            <SettingRow label="The only one lit">
              <Select
                label="The only one lit"
                value={present.only ?? ''}
                options={[
                  { value: '', text: 'the primary' },
                  ...present.monitors.map(({ monitor }) => ({
                    value: monitor,
                    text: monitorName(profile, monitor),
                  })),
                ]}
                onChange={(only) =>
                  edits.setDesk(({ only: _former, ...there }) =>
                    only === '' ? there : { ...there, only },
                  )
                }
              />
            </SettingRow>
          )}
          {desk.mode !== present.mode && (
            <chakra.p fontSize="12px" color="vermilion">
              {MODE_WORDS[desk.mode].title} was chosen by key and holds for now (X).
            </chakra.p>
          )}
        </Flex>
      )}
      <SettingRow label="A direction past the last monitor">
        <span />
      </SettingRow>
      <Choice
        label="A direction past the last monitor"
        value={profile.tiling.pastLastMonitor}
        options={PAST_LAST_MONITOR.map((value) => ({
          value,
          text: value === 'stop' ? 'stops' : 'comes in again on the other side',
        }))}
        onChange={edits.setWrap}
      />
    </Section>
  );
}
