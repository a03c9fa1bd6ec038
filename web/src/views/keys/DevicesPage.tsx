import { Box, chakra, Flex } from '@chakra-ui/react';
import { checkKeys } from '@sorn/core/checkup';
import {
  deviceCsv,
  deviceHtml,
  deviceMarkdown,
  deviceName,
  deviceTable,
  inputsOf,
  keyFaces,
  withDevice,
  withNewDevice,
  withoutDevice,
} from '@sorn/core/keys';
import { BASE, type InputDevice, type Profile } from '@sorn/core/model';
import { countText, isCode, keyName, keysCaps, modifierOf } from '@sorn/core/values';
import { useRef, useState, type ReactNode } from 'react';
import { ViewLayout } from '../../sheet/ViewLayout.tsx';
import { Bar } from '../../ui/Bar.tsx';
import { KeyCap } from '../../ui/KeyCap.tsx';
import { ListLine } from '../../ui/ListLine.tsx';
import { Paper } from '../../ui/Paper.tsx';
import { Section } from '../../ui/Section.tsx';
import { TextButton } from '../../ui/TextButton.tsx';
import { download, textFile } from '../../ui/download.ts';
import { focusFigure } from '../../ui/inspector.ts';
import { usePageKeys } from '../../ui/page-keys.ts';
import { useProfileStore, useProfileStoreApi } from '../../state/profile-context.ts';
import { SwitchResult } from './SwitchResult.tsx';
import { Printed } from './Printed.tsx';
import { printed } from './print.ts';
import { ChooseCommand } from './ChooseCommand.tsx';
import { DeviceInputs } from './DeviceInputs.tsx';
import { useKeyEdits } from './edits.ts';
import { useRecorder } from './recorder.ts';
import { DeviceSettings } from './DeviceSettings.tsx';
import { useKeyTrial } from './key-trial.ts';
import { useSwitchTrial } from './switch-trial.ts';

/** What the map is pressed on: what each device says it can send, beside what arrived from it. */
export function DevicesPage({ pages }: { pages: ReactNode }) {
  const profile = useProfileStore((state) => state.profile);
  const store = useProfileStoreApi();
  const { devices } = profile.keys;
  const [selected, setInHand] = useState<string | null>(null);
  const device = devices.find(({ id }) => id === selected) ?? devices[0] ?? null;
  const nameInput = useRef<HTMLInputElement>(null);
  const trying = useKeyTrial();
  const switching = useSwitchTrial(device);
  /** The keys that are to get a command. */
  const [binds, setBinds] = useState<string | null>(null);
  const edits = useKeyEdits(null, NOTHING);
  const recorder = useRecorder.use();
  const edit = (change: (profile: Profile) => Profile, merge = '') =>
    store.getState().edit(change, merge);
  const change = (next: (device: InputDevice) => InputDevice, merge = '') => {
    if (device) edit((now) => withDevice(now, device.id, next), merge && `${merge} ${device.id}`);
  };
  const declared = device ? inputsOf(device) : [];
  // Modifiers of a device that sends them need not be declared one by one.
  const isOwn = (code: string) =>
    declared.includes(code) || (device?.modifiers === true && modifierOf(code) !== null);
  const strange = trying.arrived.filter(({ code }) => isCode(code) && !isOwn(code));
  const declare = () => {
    const codes = [...new Set(strange.map(({ code }) => code))];
    if (codes.length > 0) change((each) => ({ ...each, codes: [...(each.codes ?? []), ...codes] }));
  };
  const saveTable = (form: 'csv' | 'markdown') => {
    if (!device) return;
    const lines = deviceTable(profile, device);
    const name = deviceName(device);
    if (form === 'csv') download('device.csv', textFile(deviceCsv(lines), 'text/csv'));
    else download('device.md', textFile(deviceMarkdown(name, lines), 'text/markdown'));
  };
  const printTable = async () => {
    if (device) await printed(deviceHtml(deviceName(device), deviceTable(profile, device)));
  };
  const add = () => {
    const made = withNewDevice(store.getState().profile);
    edit(() => made.profile);
    setInHand(made.id);
  };
  const remove = () => {
    if (device) edit((now) => withoutDevice(now, device.id));
  };
  const goTo = (by: 1 | -1) => {
    const next = devices[(device ? devices.indexOf(device) : -1) + by];
    if (next) setInHand(next.id);
  };
  usePageKeys(
    'Devices',
    trying.isOn || switching.isOn
      ? [{ keys: [], caps: ['Esc'], label: 'end trying', run: () => undefined }]
      : [
          { keys: ['ArrowUp'], caps: ['↑', '↓'], label: 'device', run: () => goTo(-1) },
          { keys: ['ArrowDown'], label: 'select the next device', minor: true, run: () => goTo(1) },
          { keys: ['t'], label: 'try it', run: trying.begin },
          { keys: ['a'], label: 'declare what arrived', run: declare },
          ...((device?.profiles ?? 1) > 1
            ? [{ keys: ['h'], label: 'prove its profiles', run: switching.begin }]
            : []),
          {
            keys: ['b'],
            label: 'bind what is pressed',
            run: () => recorder.getState().record('Keys to bind', setBinds),
          },
          { keys: ['i'], label: 'table for its driver', minor: true, run: () => saveTable('csv') },
          {
            keys: ['m'],
            label: 'the table in Markdown',
            minor: true,
            run: () => saveTable('markdown'),
          },
          {
            keys: ['p'],
            caps: ['Ctrl', 'P'],
            ctrl: true,
            label: 'print the table',
            minor: true,
            run: () => void printTable(),
          },
          { keys: ['n'], label: 'new device', run: add },
          { keys: ['Enter'], label: 'name', minor: true, run: () => focusFigure(nameInput) },
          {
            keys: ['Delete', 'Backspace'],
            caps: ['Delete'],
            label: 'delete the device',
            minor: true,
            run: remove,
          },
        ],
  );
  const findings = checkKeys(profile).filter(({ kind }) => OF_DEVICES.includes(kind));
  const faces = keyFaces(profile, BASE, device?.modifiers ? [profile.keys.main] : []);
  const arrived = new Set(trying.arrived.map(({ code }) => code));
  return (
    <ViewLayout
      name="Keys"
      inspector={
        <>
          <Section title="Devices">
            <chakra.ul>
              {devices.map((each) => (
                <ListLine
                  key={each.id}
                  name={deviceName(each)}
                  isHere={each === device}
                  data={{ 'data-device': each.id }}
                  onChoose={() => setInHand(each.id)}
                >
                  <chakra.span fontSize="12px" color="slate">
                    {inputsOf(each).length} inputs
                  </chakra.span>
                </ListLine>
              ))}
            </chakra.ul>
            {devices.length === 0 && (
              <chakra.p fontSize="13px" color="slate">
                No device is declared. <KeyCap>N</KeyCap>{' '}
                <TextButton onClick={add}>Declare one</TextButton>.
              </chakra.p>
            )}
          </Section>
          {device && <DeviceSettings device={device} change={change} nameInput={nameInput} />}
          {device && (
            <Section title="For its driver" note="what each input sends">
              <Flex gap="6px" align="center" fontSize="13px" wrap="wrap">
                <KeyCap>I</KeyCap>
                <TextButton onClick={() => saveTable('csv')}>CSV</TextButton>
                <KeyCap>M</KeyCap>
                <TextButton onClick={() => saveTable('markdown')}>Markdown</TextButton>
                <KeyCap>Ctrl</KeyCap>
                <KeyCap>P</KeyCap>
                <TextButton onClick={() => void printTable()}>Print</TextButton>
              </Flex>
            </Section>
          )}
          {device && device.profiles > 1 && (
            <SwitchResult
              switching={switching}
              nameOf={(code) => keyName(code, profile.keys.legends)}
            />
          )}
          <Printed isBusy={trying.isOn || switching.isOn} />
          <Section title="What fits" note="from the checkup">
            {findings.length === 0 && (
              <chakra.p fontSize="13px" color="slate">
                Every binding can be sent by a device.
              </chakra.p>
            )}
            {findings.map(({ title, text }) => (
              <chakra.p key={title + text} fontSize="13px" py="4px" data-device-finding>
                <b>{title}.</b> {text}
              </chakra.p>
            ))}
          </Section>
        </>
      }
    >
      <Paper>
        <Bar>
          {pages}
          <span role="status" data-trying={trying.isOn}>
            {trying.isOn
              ? 'Press every input of the device, one after the other. Escape ends it.'
              : trying.arrived.length > 0
                ? `${declared.filter((code) => arrived.has(code)).length} of ${countText(declared.length, 'declared input')} arrived, ${strange.length} others.`
                : 'Declared inputs.'}
          </span>
          {!trying.isOn && (
            <Flex gap="6px" align="center">
              <KeyCap>B</KeyCap>
              <span>binds what is pressed, so does a click</span>
              <KeyCap>T</KeyCap>
              <TextButton onClick={trying.begin}>try it</TextButton>
              {strange.length > 0 && (
                <>
                  <KeyCap>A</KeyCap>
                  <TextButton onClick={declare}>declare what arrived</TextButton>
                </>
              )}
            </Flex>
          )}
        </Bar>
        {device && (
          <DeviceInputs
            device={device}
            strange={[...new Set(strange.map(({ code }) => code))]}
            arrived={arrived}
            nameOf={(code) => keyName(code, profile.keys.legends)}
            doesOf={(code) => faces.get(code)?.text ?? null}
            onInput={(code) => setBinds(device.modifiers ? `Main+${code}` : code)}
          />
        )}
        <Box
          overflowY="auto"
          minH="80px"
          flex="1"
          tabIndex={0}
          role="log"
          aria-label="What arrived"
        >
          {trying.arrived.length > 0 && (
            <chakra.p fontSize="12px" color="slate" pb="4px">
              What arrived, the last first
            </chakra.p>
          )}
          {[...trying.arrived].reverse().map(({ number, code, key, modifiers }) => (
            <chakra.p key={number} fontSize="12px" fontFamily="mono" fontStretch="88%" py="2px">
              {code} {key && `types ${key}`} {modifiers.length > 0 && `with ${modifiers.join(' ')}`}
              {!isOwn(code) && ' · not declared'}
              {modifiers.length > 0 && device && !device.modifiers && ' · it says it sends none'}
            </chakra.p>
          ))}
        </Box>
      </Paper>
      <ChooseCommand
        title={`What ${binds === null ? 'it' : keysCaps(binds, profile.keys).join(' ')} does`}
        isOpen={binds !== null}
        onClose={() => setBinds(null)}
        onCommand={(command) => {
          if (binds !== null) edits.add(binds, command, BASE);
        }}
      />
    </ViewLayout>
  );
}

const NOTHING = () => undefined;
const OF_DEVICES: readonly string[] = [
  'keys-absent',
  'too-many-keys',
  'needs-letters',
  'modifiers-not-sent',
  'one-at-a-time',
];
