import { Box } from '@chakra-ui/react';
import type { Rule } from '@sorn/core/model';
import type { Ref } from 'react';
import { Section } from '../../ui/Section.tsx';
import { Choice, SettingRow } from '../../ui/SettingRow.tsx';
import { Select } from '../../ui/Select.tsx';
import { TextField } from '../../ui/TextField.tsx';
import { useProfileStore } from '../../state/profile-context.ts';
import type { RuleEdits } from './edits.ts';
import { isSame, optionsWith, SETTING_ROWS, sizeTyped } from './setting-rows.ts';

const NOT_SAID = '';

/** What a rule says of the windows it matches; what it does not say is up to later rules and the defaults. */
export function RuleSettingsRows(props: {
  rule: Rule;
  edits: RuleEdits;
  firstInput: Ref<HTMLSelectElement>;
}) {
  const { rule, edits } = props;
  const profile = useProfileStore((state) => state.profile);
  const { then, again } = rule;
  return (
    <>
      <Section title="Then" note="what is not said is up to the next rule">
        {SETTING_ROWS.map((row, i) => {
          const { setting, label } = row;
          const options = optionsWith(row, profile, then);
          const chosen = options.findIndex(({ value }) => isSame(value, then[setting]));
          return (
            <SettingRow
              key={setting}
              label={label}
              {...(i === 0 && { caps: ['S'] })}
              onSetBack={
                then[setting] === undefined
                  ? undefined
                  : () => edits.setThen({ [setting]: undefined })
              }
            >
              <Select
                label={label}
                {...(i === 0 && { selectRef: props.firstInput })}
                value={chosen < 0 ? NOT_SAID : String(chosen)}
                options={[
                  { value: NOT_SAID, text: `default: ${row.without}` },
                  ...options.map(({ text }, at) => ({ value: String(at), text })),
                ]}
                onChange={(at) =>
                  edits.setThen({
                    [setting]: at === NOT_SAID ? undefined : options[Number(at)]!.value,
                  })
                }
              />
            </SettingRow>
          );
        })}
        <SettingRow
          label="Floating size"
          {...(then.size === undefined && { origin: 'default: what it prefers' })}
          onSetBack={then.size === undefined ? undefined : () => edits.setThen({ size: undefined })}
        >
          <Box width="96px">
            <TextField
              label="Floating size"
              placeholder="420 × 120"
              value={then.size ? `${then.size.width} × ${then.size.height}` : ''}
              faultOf={(text) =>
                text === '' || sizeTyped(text) ? null : 'width × height in logical pixels'
              }
              onChange={(text) => edits.setThen({ size: sizeTyped(text) ?? undefined })}
            />
          </Box>
        </SettingRow>
      </Section>
      <Section title="Also apply when">
        {(['title', 'desk'] as const).map((what) => (
          <SettingRow
            key={what}
            label={what === 'title' ? 'The title changes' : 'The desk or its mode changes'}
          >
            <Choice
              label={what === 'title' ? 'The title changes' : 'The desk or its mode changes'}
              value={again[what] ? 'yes' : 'no'}
              options={[
                { value: 'no', text: 'no' },
                { value: 'yes', text: 'yes' },
              ]}
              onChange={(value) => edits.setAgain(what, value === 'yes')}
            />
          </SettingRow>
        ))}
      </Section>
    </>
  );
}
