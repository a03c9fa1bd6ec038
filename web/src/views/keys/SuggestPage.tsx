import { deviceName, hasFewInputs } from '@sorn/core/keys';
import { useState, type ReactNode } from 'react';
import { ViewLayout } from '../../sheet/ViewLayout.tsx';
import { Bar } from '../../ui/Bar.tsx';
import { Paper } from '../../ui/Paper.tsx';
import { Section } from '../../ui/Section.tsx';
import { Select } from '../../ui/Select.tsx';
import { Choice, SettingRow } from '../../ui/SettingRow.tsx';
import { usePageKeys } from '../../ui/page-keys.ts';
import { useProfileStore } from '../../state/profile-context.ts';
import { SuggestAnew } from './SuggestAnew.tsx';
import { SuggestChanges } from './SuggestChanges.tsx';
import { AMONG, useSuggestChoices } from './suggestion.ts';

/** Keys nearer to the fingers: single changes of a keyboard, or new keys for everything where inputs are few. */
export function SuggestPage({ pages }: { pages: ReactNode }) {
  const devices = useProfileStore((state) => state.profile.keys.devices);
  const hasCounts = useProfileStore((state) => (state.session.uses?.length ?? 0) > 0);
  const [deviceId, setDevice] = useState<string | null>(null);
  const [among, setAmong] = useState('all');
  const [isCounted, setCounted] = useState(hasCounts);
  const [{ together, letters }, choose] = useSuggestChoices();
  const device = devices.find(({ id }) => id === deviceId) ?? devices[0] ?? null;
  usePageKeys('Suggest for', [
    {
      keys: ['v'],
      label: 'next device',
      run: () => {
        const next = devices[(device ? devices.indexOf(device) + 1 : 0) % devices.length];
        if (next) setDevice(next.id);
      },
    },
    { keys: ['u'], label: 'my use or an estimate', run: () => setCounted(!isCounted) },
    {
      keys: ['w'],
      label: 'what belongs together',
      minor: true,
      run: () => choose({ together: !together }),
    },
  ]);
  const settings = (
    <Section title="Suggest keys for">
      <SettingRow label="Device" caps={['V']}>
        <Select
          label="Device"
          value={device?.id ?? ''}
          options={devices.map((each) => ({ value: each.id, text: deviceName(each) }))}
          onChange={setDevice}
        />
      </SettingRow>
      <SettingRow label="Among">
        <Select label="Among" value={among} options={AMONG} onChange={setAmong} />
      </SettingRow>
      <SettingRow label="Based on" caps={['U']}>
        <Choice
          label="Based on"
          value={isCounted ? 'counted' : 'guessed'}
          options={[
            { value: 'counted', text: 'my use' },
            { value: 'guessed', text: 'an estimate' },
          ]}
          onChange={(value) => setCounted(value === 'counted')}
        />
      </SettingRow>
      <SettingRow label="Directions, pairs" caps={['W']}>
        <Choice
          label="What belongs together"
          value={together ? 'together' : 'apart'}
          options={[
            { value: 'together', text: 'stay together' },
            { value: 'apart', text: 'may part' },
          ]}
          onChange={(value) => choose({ together: value === 'together' })}
        />
      </SettingRow>
    </Section>
  );
  if (!device) {
    return (
      <ViewLayout name="Keys" inspector={settings}>
        <Paper>
          <Bar>
            {pages}
            <span role="status">No device is declared: D declares one.</span>
          </Bar>
        </Paper>
      </ViewLayout>
    );
  }
  const Body = hasFewInputs(device) ? SuggestAnew : SuggestChanges;
  return (
    <Body
      key={device.id}
      pages={pages}
      settings={settings}
      device={device}
      codes={AMONG.find(({ value }) => value === among)?.codes ?? null}
      isCounted={isCounted}
      together={together}
      letters={letters}
      onLetters={(next) => choose({ letters: next })}
    />
  );
}
