import { Box } from '@chakra-ui/react';
import { KEYBOARDS, deviceName } from '@sorn/core/keys';
import { AT_ONCE, KEYBOARD_FORMS, type KeyboardForm, type InputDevice } from '@sorn/core/model';
import { isCode } from '@sorn/core/values';
import type { Ref } from 'react';
import { Figure } from '../../ui/Figure.tsx';
import { Section } from '../../ui/Section.tsx';
import { Select } from '../../ui/Select.tsx';
import { Choice, OnOff, SettingRow } from '../../ui/SettingRow.tsx';
import { TextField } from '../../ui/TextField.tsx';

/** What a device says it can send. */
export function DeviceSettings(props: {
  device: InputDevice;
  change: (next: (device: InputDevice) => InputDevice, merge?: string) => void;
  nameInput: Ref<HTMLInputElement>;
}) {
  const { device, change, nameInput } = props;
  return (
    <Section title={deviceName(device)} note="what it can send">
      <SettingRow label="Name" caps={['Enter']}>
        <Box width="180px">
          <TextField
            key={device.id}
            label="Name of the device"
            value={deviceName(device)}
            isNeeded
            inputRef={nameInput}
            onChange={(name) => change((each) => ({ ...each, name }))}
          />
        </Box>
      </SettingRow>
      <SettingRow label="Keyboard">
        <Select
          label="Keyboard"
          value={device.board ?? ''}
          options={[
            { value: '', text: 'none' },
            ...KEYBOARD_FORMS.map((form) => ({ value: form, text: KEYBOARDS[form].title })),
          ]}
          onChange={(form) =>
            change(({ board: _former, ...each }) =>
              form === '' ? each : { ...each, board: form as KeyboardForm },
            )
          }
        />
      </SettingRow>
      <SettingRow label="Buttons" origin="the first three point">
        <Figure
          label="Buttons"
          value={device.buttons ?? 0}
          least={0}
          most={64}
          step={1}
          onChange={(count) =>
            change(({ buttons: _former, ...each }) => {
              const buttons = Math.round(count);
              return buttons === 0 ? each : { ...each, buttons };
            }, 'buttons')
          }
        />
      </SettingRow>
      <SettingRow label="Further inputs">
        <Box width="180px">
          <TextField
            key={device.id}
            label="Further inputs"
            value={(device.codes ?? []).join(' ')}
            placeholder="codes, as F13 Numpad7"
            faultOf={(text) => {
              const wrong = text.split(/\s+/).find((code) => code !== '' && !isCode(code));
              return wrong === undefined ? null : `no key is called ${wrong}`;
            }}
            onChange={(text) =>
              change(({ codes: _former, ...each }) => {
                const codes = text.split(/\s+/).filter((code) => code !== '');
                return codes.length === 0 ? each : { ...each, codes };
              })
            }
          />
        </Box>
      </SettingRow>
      <OnOff
        label="Sends modifiers"
        value={device.modifiers}
        onChange={(modifiers) => change((each) => ({ ...each, modifiers }))}
      />
      <SettingRow label="Keys at once">
        <Choice
          label="Keys at once"
          value={device.atOnce}
          options={AT_ONCE.map((value) => ({ value, text: value }))}
          onChange={(atOnce) => change((each) => ({ ...each, atOnce }))}
        />
      </SettingRow>
      <SettingRow label="Profiles of its own">
        <Figure
          label="Profiles of its own"
          value={device.profiles}
          least={1}
          most={16}
          step={1}
          onChange={(count) =>
            change((each) => ({ ...each, profiles: Math.round(count) }), 'profiles')
          }
        />
      </SettingRow>
    </Section>
  );
}
